import { drawFromFront } from '../../core/drawing/frontView.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { SheetDrawing } from '../shared/SheetDrawing.tsx';

interface FrontViewProps {
  pose: PoseDefinition;
  setUp: SetUp;
  unit: LengthUnit;
  labelMm: number;
}

/** The third view: the same body from the mat's front edge. */
export function FrontView({ pose, setUp, unit, labelMm }: FrontViewProps) {
  const drawing = drawFromFront(pose, setUp, { unit, labelMm });
  return drawing === null ? null : <SheetDrawing drawing={drawing} size="large" />;
}
