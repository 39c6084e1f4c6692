import type { Studio } from '../../core/studio/studio.ts';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { showToast } from '../shared/ui/toasts.ts';
import { useWrite } from '../shared/useWrite.tsx';
import { changeStudio } from '../../data/studio.ts';
import { NumberField } from './NumberField.tsx';
import { habits as say } from './words.ts';

const USUAL_SIDE_M = 6;

/** The room and what holds until somebody's own is known; each field is saved when it is left. */
export function HabitsPanel({ studio }: { studio: Studio }) {
  const { write, told } = useWrite();
  const put = (change: Partial<Studio>): void => {
    write(async () => {
      await changeStudio(() => change);
      showToast({ words: say.saved });
    });
  };
  const { room } = studio;
  return (
    <>
      {told}
      <SelectField
        label={say.paper}
        value={studio.paper}
        options={[
          ['A4', 'A4'],
          ['Letter', 'Letter'],
        ]}
        onChange={(paper) => {
          put({ paper: paper === 'Letter' ? 'Letter' : 'A4' });
        }}
      />
      <NumberField
        label={say.breath}
        value={studio.breathSeconds}
        range={[2, 20]}
        onChange={(breathSeconds) => {
          put({ breathSeconds });
        }}
      />
      <NumberField
        label={say.wall}
        value={studio.wallM}
        range={[0, 100]}
        onChange={(wallM) => {
          put({ wallM });
        }}
      />
      <NumberField
        label={say.roomLength}
        value={room?.lengthM ?? null}
        range={[1, 100]}
        onChange={(lengthM) => {
          put({ room: { lengthM, widthM: room?.widthM ?? USUAL_SIDE_M } });
        }}
      />
      <NumberField
        label={say.roomWidth}
        value={room?.widthM ?? null}
        range={[1, 100]}
        onChange={(widthM) => {
          put({ room: { lengthM: room?.lengthM ?? USUAL_SIDE_M, widthM } });
        }}
      />
    </>
  );
}
