import clsx from 'clsx';
import { useRef, type KeyboardEvent } from 'react';
import { mergeProps, useMove } from 'react-aria';
import type { Handle } from '../../core/drawing/handles.ts';
import type { Point } from '../../core/drawing/shapes.ts';

interface SheetHandleProps {
  handle: Handle;
  label: string;
  /** cm or degrees; null = the set-up has no such number. */
  value: number | null;
  valueText: string;
  range: readonly [least: number, most: number];
  isDragged: boolean;
  /** From pixels of the screen to millimetres of the paper; null = not on the screen yet. */
  findScale: () => DOMMatrix | null;
  onDragStart: () => void;
  /** Millimetres of paper from where it was taken, right and down. */
  onDrag: (right: number, down: number) => void;
  onDragEnd: () => void;
  /** An arrow key: presses to the right and down. */
  onStep: (right: number, down: number, isLarge: boolean) => void;
  /** A bracket, degrees. */
  onTurn: (deg: number) => void;
}

const RADIUS = 4;
/** A bracket turns by a degree, with Shift by five. */
const BRACKETS: Readonly<Record<string, number>> = { '[': -1, ']': 1, '{': -5, '}': 5 };

interface Drag {
  /** Pixels from where it was taken, right and down. */
  travelled: Point;
  /** As the paper lay when it was taken: the page may shift meanwhile. */
  readonly scale: DOMMatrix;
}

/** A place on the drawing that is dragged by a pointer or moved by keys. */
export function SheetHandle(props: SheetHandleProps) {
  const { handle, label, value, valueText, range, isDragged, findScale } = props;
  const drag = useRef<Drag | null>(null);
  const { moveProps } = useMove({
    onMoveStart: ({ pointerType }) => {
      if (pointerType === 'keyboard') return;
      const scale = findScale();
      if (scale === null) return;
      drag.current = { travelled: [0, 0], scale };
      props.onDragStart();
    },
    onMove: ({ pointerType, deltaX, deltaY, shiftKey }) => {
      if (pointerType === 'keyboard') {
        props.onStep(deltaX, deltaY, shiftKey);
        return;
      }
      if (drag.current === null) return;
      const { travelled, scale } = drag.current;
      const [x, y] = [travelled[0] + deltaX, travelled[1] + deltaY];
      drag.current.travelled = [x, y];
      props.onDrag(scale.a * x + scale.c * y, scale.b * x + scale.d * y);
    },
    onMoveEnd: ({ pointerType }) => {
      if (pointerType === 'keyboard') return;
      drag.current = null;
      props.onDragEnd();
    },
  });
  const onKeyDown = (event: KeyboardEvent): void => {
    const turn = BRACKETS[event.key];
    if (turn === undefined) return;
    props.onTurn(turn);
    event.preventDefault();
  };
  return (
    <circle
      {...mergeProps(moveProps, { onKeyDown })}
      className={clsx(
        'cursor-grab touch-none fill-transparent stroke-1 outline-none hover:stroke-water focus-visible:stroke-water',
        isDragged && 'stroke-water',
      )}
      cx={handle.at[0]}
      cy={handle.at[1]}
      r={RADIUS}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={range[0]}
      aria-valuemax={range[1]}
      aria-valuenow={value ?? 0}
      aria-valuetext={valueText}
    />
  );
}
