import { memo } from 'react';
import { drawThumbnail, drawThumbnailFromAbove } from '../../core/drawing/thumbnail.ts';
import type { Drawing, Shape } from '../../core/drawing/shapes.ts';
import { findStyle, SCREEN, toSvgAttributes } from '../../core/drawing/styles.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { findLyingPose } from '../../core/poses/lying/index.ts';
import type { SetUp } from '../../core/setup/setUp.ts';

const writeCircle = ([x, y]: readonly [number, number], radius: number): string => {
  const [r, across] = [radius.toFixed(1), (2 * radius).toFixed(1)];
  return `M${(x - radius).toFixed(1)} ${y.toFixed(1)}a${r} ${r} 0 1 0 ${across} 0a${r} ${r} 0 1 0 -${across} 0`;
};

const writePath = (shape: Shape): string =>
  shape.kind === 'circle'
    ? writeCircle(shape.centre, shape.radius)
    : shape.kind === 'polygon' || shape.kind === 'line'
      ? `M${shape.points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}${shape.kind === 'polygon' ? 'Z' : ''}`
      : '';

interface Layer {
  readonly first: Shape;
  path: string;
}

/** Shapes of one look that follow one another, as one path: a page may hold many small figures. */
function findLayers(shapes: readonly Shape[]): readonly Layer[] {
  const layers: Layer[] = [];
  for (const shape of shapes) {
    const last = layers.at(-1);
    if (last?.first.role === shape.role) last.path += writePath(shape);
    else layers.push({ first: shape, path: writePath(shape) });
  }
  return layers;
}

/** Lines of a small figure are as thick at every size. */
const LINE_PX = 2;

/** A set-up as a small figure beside its name, which says the same to those who do not see it. */
export const Thumbnail = memo(function Thumbnail({
  setUp,
  view = 'side',
  className,
  scale,
}: {
  setUp: SetUp;
  view?: 'side' | 'above';
  className?: string | undefined;
  /** Pixels a millimetre, for figures that are to be compared; left out = as large as there is room. */
  scale?: number | undefined;
}) {
  const pose = findPose(setUp.pose) ?? findLyingPose(setUp.pose);
  const drawing =
    pose === null
      ? null
      : view === 'above' && 'starts' in pose
        ? drawThumbnailFromAbove(pose, setUp)
        : drawThumbnail(pose, setUp);
  return drawing === null ? null : (
    <SmallDrawing drawing={drawing} className={className} scale={scale} />
  );
});

interface SmallDrawingProps {
  drawing: Drawing;
  className?: string | undefined;
  scale?: number | undefined;
}

/** A drawing without numbers, with lines as thick at every size. */
export const SmallDrawing = ({ drawing, className, scale }: SmallDrawingProps) => (
  <svg
    className={className}
    width={scale === undefined ? undefined : drawing.box[2] * scale}
    height={scale === undefined ? undefined : drawing.box[3] * scale}
    viewBox={drawing.box.map((each) => each.toFixed(1)).join(' ')}
    aria-hidden
    data-testid="thumbnail"
  >
    {findLayers(drawing.shapes).map(({ first, path }, i) => (
      <path
        key={i}
        {...toSvgAttributes(findStyle(first), SCREEN)}
        strokeWidth={findStyle(first).width * LINE_PX}
        vectorEffect="non-scaling-stroke"
        d={path}
      />
    ))}
  </svg>
);
