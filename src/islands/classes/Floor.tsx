import { useRef, useState, type PointerEvent } from 'react';
import { TEACHER_M, type Room } from '../../core/classes/room/placeClass.ts';
import type { RoomPlace } from '../../core/classes/yogaClass.ts';
import { changeClass } from '../../data/classes.ts';
import { namePose } from '../shared/poseWords.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import type { ClassPartProps } from './classPart.ts';
import { CM_PER_M, MatInRoom, NameOnMat } from './MatInRoom.tsx';
import { useRoomPlan, writeM } from './useRoomPlan.ts';
import { roomPart as say } from './words.ts';

/** One press of an arrow key, and one with Shift, metres. */
const STEP_M = 0.1;
const LARGE_STEP_M = 0.5;
const MARGIN_CM = 20;

/** Arrow keys and the way they move, metres. */
const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The floor of a room from above: mats that are dragged, or moved by keys. */
export function Floor(props: ClassPartProps & { room: Room }) {
  const { state, room, yogaClass } = props;
  const { placed, mat, collisions } = useRoomPlan(props, room);
  const [pose, setPose] = useState('');
  const [held, setHeld] = useState<{ readonly member: string; readonly place: RoomPlace } | null>(
    null,
  );
  const svg = useRef<SVGSVGElement>(null);
  const { write, told } = useWrite();
  const put = (member: string, place: RoomPlace): void => {
    write(async () => {
      await changeClass(yogaClass.id, ({ places }) => ({
        places: { ...places, [member]: place },
      }));
      // Until then it stays where it was put.
      setHeld(null);
    }, place);
  };
  /** Quick presses add up: each goes on from what is stored, not from what is drawn by now. */
  const move = (member: string, drawn: RoomPlace, right: number, down: number): void => {
    write(() =>
      changeClass(yogaClass.id, ({ places }) => {
        const { x, y } = places[member] ?? drawn;
        return { places: { ...places, [member]: toInside({ x: x + right, y: y + down }, room) } };
      }),
    );
  };
  /** Where the pointer is, metres; inside the room. */
  const toRoom = (event: PointerEvent): RoomPlace | null => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    if (matrix === undefined) return null;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return toInside({ x: x / CM_PER_M, y: y / CM_PER_M }, room);
  };
  const nameOf = (id: string): string => state.members.find((each) => each.id === id)?.name ?? id;
  const [width, length] = [room.widthM * CM_PER_M, room.lengthM * CM_PER_M];
  const meets = new Set(collisions.flatMap(({ member, other }) => [member, other ?? member]));
  const wall = Math.min(state.studio.wallM, room.widthM) * CM_PER_M;
  return (
    <div>
      <SelectField
        label={say.choose}
        value={pose}
        options={[
          ['', say.everyPose],
          ...yogaClass.poses.map((each) => [each, namePose(each)] as const),
        ]}
        onChange={setPose}
      />
      {told}
      <svg
        ref={svg}
        className="max-h-[70vh] w-full touch-none"
        viewBox={[-MARGIN_CM, -MARGIN_CM, width + 2 * MARGIN_CM, length + 2 * MARGIN_CM].join(' ')}
        data-testid="floor"
      >
        <title>{say.title(writeM(room.widthM), writeM(room.lengthM))}</title>
        <rect width={width} height={length} className="fill-sheet stroke-ink" strokeWidth={3} />
        <line
          x1={(width - wall) / 2}
          x2={(width + wall) / 2}
          y1={length}
          y2={length}
          className="stroke-water"
          strokeWidth={12}
        >
          <title>{say.backWall}</title>
        </line>
        <circle cx={width / 2} cy={(TEACHER_M * CM_PER_M) / 2} r={22} className="fill-ink" />
        <text
          x={width / 2 + 32}
          y={(TEACHER_M * CM_PER_M) / 2 + 9}
          fontSize={28}
          className="fill-ink"
        >
          {say.teacher}
        </text>
        {placed.map((each) => {
          const place = held?.member === each.member ? held.place : each.place;
          return (
            <MatInRoom
              key={each.member}
              placed={{ ...each, place }}
              name={nameOf(each.member)}
              mat={mat}
              pose={pose}
              meets={meets.has(each.member)}
              onGrab={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                setHeld({ member: each.member, place });
              }}
              onDrag={(event) => {
                const next = held?.member === each.member ? toRoom(event) : null;
                if (next !== null) setHeld({ member: each.member, place: next });
              }}
              onDrop={() => {
                if (held === null) return;
                put(held.member, held.place);
              }}
              onKey={(event) => {
                const way = WAYS[event.key];
                if (way === undefined) return;
                event.preventDefault();
                const step = event.shiftKey ? LARGE_STEP_M : STEP_M;
                move(each.member, place, way[0] * step, way[1] * step);
              }}
            />
          );
        })}
        {placed.map((each) => (
          <NameOnMat
            key={each.member}
            name={nameOf(each.member)}
            place={held?.member === each.member ? held.place : each.place}
          />
        ))}
      </svg>
      <p className="text-faint">{say.hint}</p>
    </div>
  );
}

/** To the centimetre, and no middle of a mat outside of the room. */
const toInside = ({ x, y }: RoomPlace, { widthM, lengthM }: Room): RoomPlace => {
  const hold = (value: number, most: number): number =>
    Math.round(Math.min(Math.max(value, 0), most) * CM_PER_M) / CM_PER_M;
  return { x: hold(x, widthM), y: hold(y, lengthM) };
};
