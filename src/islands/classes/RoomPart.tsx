import { findHidden, MAT_ALONE, type Room } from '../../core/classes/room/placeClass.ts';
import { changeClass } from '../../data/classes.ts';
import { changeStudio } from '../../data/studio.ts';
import { namePose } from '../shared/poseWords.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { NumberField } from '../studio/NumberField.tsx';
import type { ClassPartProps } from './classPart.ts';
import { Floor } from './Floor.tsx';
import { useRoomPlan, writeM } from './useRoomPlan.ts';
import { roomPart as say } from './words.ts';

const USUAL_SIDE_M = 8;
const LONGEST_M = 60;

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

/** What is wrong with the room or the places, in words. */
function Findings(props: ClassPartProps & { room: Room }) {
  const { state, room, yogaClass, plan, shared } = props;
  const { placed, tooSmall, collisions } = useRoomPlan(props, room);
  const isWaiting = plan.isWorking || shared.answer === null;
  const { write, told } = useWrite();
  const nameOf = (id: string): string => state.members.find((each) => each.id === id)?.name ?? id;
  const nameReason = (pose: string): string => (pose === MAT_ALONE ? 'mats' : namePose(pose));
  return (
    <div data-testid="room-findings">
      {isWaiting && <p role="status">{say.wait}</p>}
      {tooSmall !== null && (
        <p role="alert">{say.tooSmall(writeM(tooSmall.missingM), nameReason(tooSmall.pose))}</p>
      )}
      {!isWaiting && tooSmall === null && collisions.length === 0 && (
        <p role="status">{say.fits}</p>
      )}
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
