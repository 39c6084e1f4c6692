import { useState } from 'react';
import { drawFromFront } from '../../core/drawing/sheet.ts';
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

/** The third view: the same body from the mat's front edge, drawn once it is opened. */
export function FrontView({ pose, setUp, unit, labelMm }: FrontViewProps) {
  const [isOpen, setIsOpen] = useState(false);
  const drawing = isOpen ? drawFromFront(pose, setUp, { unit, labelMm }) : null;
  return (
    <details
      className="more"
      open={isOpen}
      onToggle={(event) => {
        setIsOpen(event.currentTarget.open);
      }}
    >
      <summary>From the front edge of the mat</summary>
      {drawing !== null && <SheetDrawing drawing={drawing} className="sheet" />}
    </details>
  );
}
