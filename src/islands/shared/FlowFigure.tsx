import { memo } from 'react';
import { drawFlowMat } from '../../core/drawing/flowMat.ts';
import { drawLinkingFigure } from '../../core/drawing/linkingFigure.ts';
import type { Drawing } from '../../core/drawing/shapes.ts';
import { findView } from '../../core/drawing/view.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import type { FlowOnMat, PlannedStep } from '../../core/sequence/plannedFlow.ts';
import { SmallDrawing, Thumbnail } from './Thumbnail.tsx';

/** A linking pose's figure never changes. */
const linking = new Map<string, Drawing | null>();
function findLinking(id: string): Drawing | null {
  if (!linking.has(id)) linking.set(id, drawLinkingFigure(id));
  return linking.get(id) ?? null;
}

/** Pixels a millimetre at 1:10: every figure of a band is as large as the others. */
const SCALES = { usual: 0.5, small: 0.24, large: 2.6 } as const;

/** One step as a small figure, the mat's front edge on the right. */
export const FlowFigure = memo(function FlowFigure({
  step: { setUp, place },
  size = 'usual',
}: {
  step: Pick<PlannedStep, 'setUp' | 'place'>;
  size?: keyof typeof SCALES;
}) {
  const scale = SCALES[size];
  if (setUp === null) {
    const drawing = findLinking(place.pose);
    return drawing === null ? null : <SmallDrawing drawing={drawing} scale={scale} />;
  }
  const pose = findPose(setUp.pose);
  // Open poses are seen from the long edge that the chest faces: there the front edge is on the left.
  const isTurned = pose !== null && findView(pose, setUp).from === 1;
  return (
    <Thumbnail setUp={setUp} scale={scale} className={isTurned ? '-scale-x-100' : undefined} />
  );
});

/** The mat at one step: where the feet stand, and where they came from. */
export const StepMat = memo(function StepMat({
  mat,
  step: { feet, moves },
  className,
}: {
  mat: FlowOnMat;
  step: Pick<PlannedStep, 'feet' | 'moves'>;
  className?: string | undefined;
}) {
  return <SmallDrawing drawing={drawFlowMat(mat, feet, moves)} className={className} />;
});
