import clsx from 'clsx';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Mark } from '../../../core/photo/photoMarks.ts';
import type { Pixel } from '../../../core/photo/photoReading.ts';
import type { Picture } from './loadPicture.ts';
import { placeNumbers } from './placeNumbers.ts';
import { markedPicture as say } from '../words.ts';

/** Dark lines with light ones round their numbers stand out from any picture. */
const LINE = 'fill-none stroke-ink [vector-effect:non-scaling-stroke]';

interface MarkedPictureProps {
  picture: Picture;
  url: string;
  plan: readonly Mark[];
  marks: Readonly<Record<string, Pixel>>;
  /** null = every mark is placed. */
  active: string | null;
  onMove: (id: string, to: Pixel) => void;
  onActive: (id: string) => void;
  /** The active mark lies right. */
  onPlaced: () => void;
}

const STEPS: Readonly<Record<string, Pixel>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const LARGE_STEP = 10;
const MAGNIFIED = 4;
/** Of the shorter edge. */
const GLASS_SHARE = 0.2;
const HANDLE_SHARE = 0.012;
const REACH_SHARE = 0.035;

/** A picture with its marks: point, drag, or move the active one with the arrow keys. */
export function MarkedPicture(props: MarkedPictureProps) {
  const { picture, url, plan, marks, active, onMove, onActive, onPlaced } = props;
  const { width, height } = picture;
  const svg = useRef<SVGSVGElement>(null);
  const [isDragging, setIsDragging] = useState(false);
  const shorter = Math.min(width, height);
  const at = active === null ? null : (marks[active] ?? null);
  const clamp = ([x, y]: Pixel): Pixel => [
    Math.max(0, Math.min(width, x)),
    Math.max(0, Math.min(height, y)),
  ];
  const toPixel = (event: PointerEvent): Pixel => {
    // The picture may be smaller than its frame, so the page is asked where it really lies.
    const toScreen = svg.current?.getScreenCTM();
    if (toScreen == null) return [0, 0];
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(toScreen.inverse());
    return clamp([x, y]);
  };
  const onPointerDown = (event: PointerEvent<SVGSVGElement>): void => {
    const pixel = toPixel(event);
    const near = plan.find(({ id }) => {
      const mark = marks[id];
      return (
        mark !== undefined &&
        Math.hypot(mark[0] - pixel[0], mark[1] - pixel[1]) < REACH_SHARE * shorter
      );
    });
    const id = near?.id ?? active;
    if (id === null) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setIsDragging(true);
    onActive(id);
    onMove(id, pixel);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const step = STEPS[event.key];
    const chosen = plan[Number(event.key) - 1];
    if (chosen !== undefined) onActive(chosen.id);
    else if (event.key === 'Enter' && at !== null) onPlaced();
    else if (step !== undefined && active !== null) {
      const by = event.shiftKey ? LARGE_STEP : 1;
      const [x, y] = at ?? [width / 2, height / 2];
      onMove(active, clamp([x + by * step[0], y + by * step[1]]));
    } else return;
    event.preventDefault();
  };
  const r = HANDLE_SHARE * shorter;
  const placed = plan.map(({ id }) => marks[id]);
  const numbers = placeNumbers(placed, r, picture);
  const glass = GLASS_SHARE * shorter;
  const isLeft = at !== null && at[0] < width / 2 && at[1] < 2.4 * glass;
  const middle: Pixel = [isLeft ? width - 1.15 * glass : 1.15 * glass, 1.15 * glass];
  return (
    <svg
      ref={svg}
      className="block max-h-120 w-full cursor-crosshair touch-none border border-hair bg-sheet"
      viewBox={`0 0 ${String(width)} ${String(height)}`}
      role="application"
      aria-label={say.pictureActiveMarkArrows(
        plan.find((each) => each.id === active)?.words ?? 'none',
      )}
      tabIndex={0}
      onPointerDown={onPointerDown}
      onPointerMove={(event) => {
        if (isDragging && active !== null) onMove(active, toPixel(event));
      }}
      onPointerUp={() => {
        if (isDragging) onPlaced();
        setIsDragging(false);
      }}
      onKeyDown={onKeyDown}
    >
      <defs>
        <clipPath id="glass">
          <circle cx={middle[0]} cy={middle[1]} r={glass} />
        </clipPath>
      </defs>
      <image href={url} width={width} height={height} />
      {plan.map(({ id }, i) => {
        const mark = marks[id];
        const number = numbers[i];
        if (mark === undefined || number == null) return null;
        return (
          <g key={id}>
            <circle
              className={clsx(LINE, id === active ? 'stroke-4' : 'stroke-2')}
              cx={mark[0]}
              cy={mark[1]}
              r={r}
            />
            <path
              className={clsx(LINE, 'stroke-2')}
              d={`M ${String(mark[0] - 2 * r)} ${String(mark[1])} h ${String(4 * r)}`}
            />
            <path
              className={clsx(LINE, 'stroke-2')}
              d={`M ${String(mark[0])} ${String(mark[1] - 2 * r)} v ${String(4 * r)}`}
            />
            <text
              className="stroke-sheet stroke-[0.3em] font-bold [paint-order:stroke]"
              x={number.at[0]}
              y={number.at[1]}
              fontSize={number.size}
              textAnchor={number.anchor}
            >
              {i + 1}
            </text>
          </g>
        );
      })}
      {at !== null && (
        <g aria-hidden>
          <g clipPath="url(#glass)">
            <image
              href={url}
              width={width * MAGNIFIED}
              height={height * MAGNIFIED}
              x={middle[0] - at[0] * MAGNIFIED}
              y={middle[1] - at[1] * MAGNIFIED}
            />
          </g>
          <circle className={clsx(LINE, 'stroke-3')} cx={middle[0]} cy={middle[1]} r={glass} />
          <path
            className={clsx(LINE, 'stroke-[1.5px]')}
            d={`M ${String(middle[0] - glass / 3)} ${String(middle[1])} h ${String((2 * glass) / 3)}`}
          />
          <path
            className={clsx(LINE, 'stroke-[1.5px]')}
            d={`M ${String(middle[0])} ${String(middle[1] - glass / 3)} v ${String((2 * glass) / 3)}`}
          />
        </g>
      )}
    </svg>
  );
}
