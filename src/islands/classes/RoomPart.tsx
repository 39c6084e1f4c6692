import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import {
  findCollisions,
  findHidden,
  MAT_ALONE,
  placeClass,
  TEACHER_M,
  type Placed,
  type Room,
} from '../../core/classes/room/placeClass.ts';
import { HALF_CHAIR_CM } from '../../core/classes/room/reach.ts';
import { listStandings } from '../../core/classes/room/standings.ts';
import type { RoomPlace } from '../../core/classes/yogaClass.ts';
import { findMat, type MatSize } from '../../core/studio/studio.ts';
import { changeClass } from '../../data/classes.ts';
import { changeStudio } from '../../data/studio.ts';
import { namePose } from '../shared/poseWords.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { NumberField } from '../studio/NumberField.tsx';
import type { ClassPartProps } from './classPart.ts';
import { roomPart as say } from './words.ts';

const CM_PER_M = 100;
const USUAL_SIDE_M = 8;
const LONGEST_M = 60;
/** One press of an arrow key, and one with Shift, metres. */
const STEP_M = 0.1;
const LARGE_STEP_M = 0.5;
const MARGIN_CM = 20;

const metres = new Intl.NumberFormat(undefined, { maximumFractionDigits: 1 });
const writeM = (value: number): string => `${metres.format(value)} m`;

/** The room from above, to scale: who stands where, and whether anybody meets anybody. */
export function RoomPart(props: ClassPartProps) {
  const { state } = props;
  const { room } = state.studio;
  const { write, told } = useWrite();
  const put = (change: Partial<Room>): void => {
    const side = { lengthM: USUAL_SIDE_M, widthM: USUAL_SIDE_M };
    write(() => changeStudio((now) => ({ room: { ...side, ...now.room, ...change } })));
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,21rem)] gap-x-10 max-tablet:grid-cols-[minmax(0,1fr)]">
      <div>{room === null ? <p>{say.noSize}</p> : <Floor {...props} room={room} />}</div>
      <section className="max-tablet:order-first [&_input]:w-32">
        <h2>{say.size}</h2>
        <div className="flex flex-wrap gap-x-5">
          <NumberField
            key={`length ${String(room?.lengthM)}`}
            label={say.length}
            value={room?.lengthM ?? null}
            range={[2, LONGEST_M]}
            onChange={(lengthM) => {
              put({ lengthM });
            }}
          />
          <NumberField
            key={`width ${String(room?.widthM)}`}
            label={say.width}
            value={room?.widthM ?? null}
            range={[2, LONGEST_M]}
            onChange={(widthM) => {
              put({ widthM });
            }}
          />
        </div>
        {told}
        {room !== null && <Findings {...props} room={room} />}
      </section>
    </div>
  );
}

function useRoomPlan({ yogaClass, state, shared }: ClassPartProps, room: Room) {
  const mat = findMat(state.studio.cupboard);
  return useMemo(() => {
    const plan = placeClass(listStandings(shared.sheet, mat), room, yogaClass.places);
    return { ...plan, mat, collisions: findCollisions(plan.placed, room) };
  }, [shared.sheet, mat, room, yogaClass.places]);
}

/** What is wrong with the room or the places, in words. */
function Findings(props: ClassPartProps & { room: Room }) {
  const { state, room, yogaClass } = props;
  const { placed, tooSmall, collisions } = useRoomPlan(props, room);
  const { write, told } = useWrite();
  const nameOf = (id: string): string => state.members.find((each) => each.id === id)?.name ?? id;
  const nameReason = (pose: string): string => (pose === MAT_ALONE ? 'mats' : namePose(pose));
  return (
    <div data-testid="room-findings">
      {tooSmall !== null && (
        <p role="alert">{say.tooSmall(writeM(tooSmall.missingM), nameReason(tooSmall.pose))}</p>
      )}
      {tooSmall === null && collisions.length === 0 && <p role="status">{say.fits}</p>}
      <ul>
        {collisions.map(({ member, other, pose }) => (
          <li key={`${member} ${other ?? ''}`}>
            {other === null
              ? say.meetsWall(nameOf(member), nameReason(pose))
              : say.meets(nameOf(member), nameOf(other), nameReason(pose))}
          </li>
        ))}
        {findHidden(placed, room).map(({ member, by }) => (
          <li key={member} className="text-faint">
            {say.hidden(nameOf(member), nameOf(by))}
          </li>
        ))}
      </ul>
      {Object.keys(yogaClass.places).length > 0 && (
        <WordButton
          onClick={() => {
            write(() => changeClass(yogaClass.id, () => ({ places: {} })));
          }}
        >
          {say.byApp}
        </WordButton>
      )}
      {told}
    </div>
  );
}

/** Arrow keys and the way they move, metres. */
const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

function Floor(props: ClassPartProps & { room: Room }) {
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
                const next = { x: place.x + way[0] * step, y: place.y + way[1] * step };
                put(each.member, toInside(next, room));
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

function MatInRoom({
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
const NameOnMat = ({ name, place }: { name: string; place: RoomPlace }) => (
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
