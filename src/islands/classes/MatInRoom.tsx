import type { KeyboardEvent, PointerEvent } from 'react';
import type { Placed } from '../../core/classes/room/placeClass.ts';
import { HALF_CHAIR_CM } from '../../core/classes/room/reach.ts';
import type { RoomPlace } from '../../core/classes/yogaClass.ts';
import type { MatSize } from '../../core/studio/studio.ts';
import { roomPart as say } from './words.ts';

/** The floor is drawn in centimetres. */
export const CM_PER_M = 100;

interface MatInRoomProps {
  placed: Placed;
  name: string;
  mat: MatSize;
  /** Whose clear space is shown; '' = of every pose. */
  pose: string;
  meets: boolean;
  onGrab: (event: PointerEvent<SVGGElement>) => void;
  onDrag: (event: PointerEvent) => void;
  onDrop: () => void;
  onKey: (event: KeyboardEvent) => void;
}

/** One mat with its person’s clear space and chair. */
export function MatInRoom({
  placed: { place, reaches },
  name,
  mat,
  pose,
  meets,
  onGrab,
  onDrag,
  onDrop,
  onKey,
}: MatInRoomProps) {
  const shown = reaches.filter((each) => pose === '' || each.pose === pose);
  const most = (way: 'ahead' | 'behind' | 'left' | 'right'): number =>
    Math.max(0, ...shown.map((each) => each[way])) * CM_PER_M;
  const { widthCm, lengthCm } = mat;
  const chairs = shown.flatMap(({ chair }) => chair ?? []);
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={say.place(name)}
      className="cursor-grab outline-none [&:focus-visible>.mat]:stroke-[6px]"
      transform={`translate(${String(place.x * CM_PER_M)} ${String(place.y * CM_PER_M)})`}
      onPointerDown={onGrab}
      onPointerMove={onDrag}
      onPointerUp={onDrop}
      onPointerCancel={onDrop}
      onKeyDown={onKey}
    >
      {shown.length > 0 && (
        <rect
          x={-most('left')}
          y={-most('ahead')}
          width={most('left') + most('right')}
          height={most('ahead') + most('behind')}
          rx={20}
          className={meets ? 'fill-sand stroke-stop' : 'fill-mist stroke-water'}
          strokeDasharray="8 6"
          strokeWidth={2}
          opacity={0.8}
        />
      )}
      <rect
        className="mat fill-shallow stroke-ink"
        x={-widthCm / 2}
        y={-lengthCm / 2}
        width={widthCm}
        height={lengthCm}
        rx={4}
        strokeWidth={2}
      />
      {chairs.map(({ ahead, right }) => (
        <rect
          key={`${String(ahead)} ${String(right)}`}
          x={right * CM_PER_M - HALF_CHAIR_CM}
          y={-ahead * CM_PER_M - HALF_CHAIR_CM}
          width={2 * HALF_CHAIR_CM}
          height={2 * HALF_CHAIR_CM}
          rx={4}
          className="fill-sand stroke-ink"
          strokeWidth={3}
        >
          <title>{say.chair(name)}</title>
        </rect>
      ))}
    </g>
  );
}

/** Whose mat it is; the mat itself says it to those who do not see it. */
export const NameOnMat = ({ name, place }: { name: string; place: RoomPlace }) => (
  <g
    aria-hidden
    className="pointer-events-none fill-ink"
    transform={`translate(${String(place.x * CM_PER_M)} ${String(place.y * CM_PER_M)})`}
  >
    {name.split(' ').map((word, i) => (
      <text key={word} y={i * 22 - 4} fontSize={17} textAnchor="middle">
        {word}
      </text>
    ))}
  </g>
);
