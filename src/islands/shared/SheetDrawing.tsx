import clsx from 'clsx';
import type { ReactNode, Ref } from 'react';
import type { Drawing, Shape } from '../../core/drawing/shapes.ts';
import { findStyle, SCREEN, toSvgAttributes } from '../../core/drawing/styles.ts';
import { arcPath } from '../../core/drawing/svg.ts';

const pointList = (points: readonly (readonly [number, number])[]): string =>
  points.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ');

const looks = new Map<string, ReturnType<typeof toSvgAttributes>>();

/** How a shape looks, worked out once a role: a drag draws hundreds of shapes a frame. */
function findLook(shape: Shape, look: Drawing['look']): ReturnType<typeof toSvgAttributes> {
  const key = `${look ?? ''} ${shape.kind} ${shape.role}`;
  let found = looks.get(key);
  if (found === undefined) {
    found = toSvgAttributes(findStyle(shape, look), SCREEN, look);
    looks.set(key, found);
  }
  return found;
}

function ShapeElement({ shape, look }: { shape: Shape; look: Drawing['look'] }) {
  const styled = { className: shape.role, ...findLook(shape, look) };
  switch (shape.kind) {
    case 'polygon':
      return <polygon {...styled} points={pointList(shape.points)} />;
    case 'line':
      return <polyline {...styled} points={pointList(shape.points)} />;
    case 'circle':
      return <circle {...styled} cx={shape.centre[0]} cy={shape.centre[1]} r={shape.radius} />;
    case 'arc':
      return <path {...styled} d={arcPath(shape)} />;
    case 'text':
      return (
        <text
          {...styled}
          x={shape.at[0]}
          y={shape.at[1]}
          fontSize={shape.size}
          textAnchor={shape.anchor}
          data-setting={shape.setting}
        >
          {shape.text}
        </text>
      );
  }
}

const SIZES = {
  large:
    'max-h-[calc(100vh-236px)] min-h-120 max-phone:max-h-none max-phone:min-h-0 print:max-h-[15cm] print:min-h-0',
  medium: 'max-h-112',
  small: 'max-h-88',
} as const;
/** On paper a body and its feet are left white, to be written on. */
const SHEET =
  'block w-full print:[&_.body-flesh]:fill-white print:[&_.footprint]:fill-white print:[&_text]:stroke-white';

interface SheetDrawingProps {
  drawing: Drawing;
  /** A sheet fills its column; without a size, `className` says how large it is. */
  size?: keyof typeof SIZES;
  className?: string;
  /** A newer one is on its way. */
  isFaded?: boolean;
  /** What lies over the drawing and can be taken hold of. */
  children?: ReactNode;
  ref?: Ref<SVGSVGElement>;
  /** A box to keep while something is dragged, so that nothing slides under the hand. */
  box?: Drawing['box'];
}

/** A drawing of the core. Its caption says the same in words. */
export function SheetDrawing({
  drawing,
  size,
  className,
  isFaded = false,
  children,
  ref,
  box,
}: SheetDrawingProps) {
  return (
    <svg
      className={clsx(
        size !== undefined && [SHEET, SIZES[size]],
        isFaded && 'opacity-55',
        className,
      )}
      data-testid={size === undefined ? undefined : 'sheet'}
      data-faded={isFaded}
      ref={ref}
      viewBox={(box ?? drawing.box).map((each) => each.toFixed(1)).join(' ')}
    >
      <g role="img" aria-label={drawing.caption}>
        {drawing.shapes.map((shape, i) => (
          <ShapeElement key={i} shape={shape} look={drawing.look} />
        ))}
      </g>
      {children}
    </svg>
  );
}
