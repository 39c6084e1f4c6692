import { useStoredText } from '../shared/useStoredText.tsx';
import { useLiveQuery } from 'dexie-react-hooks';
import { findTapeForm } from '../../core/measures/tapeForms.ts';
import type { MeasureId } from '../../core/measures/protocols/index.ts';
import type { Protocol } from '../../core/measures/protocol.ts';
import type { Reading } from '../../core/measures/reading.ts';
import { planMarks } from '../../core/photo/photoMarks.ts';
import { getMeasurer, changeMeasurer } from '../../data/settings.ts';
import { useQuery } from '../shared/useQuery.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { WordSelect } from '../shared/ui/WordSelect.tsx';
import { howTaken as say } from './words.ts';

/** By what a reading comes onto the screen. */
export type MeasuringMethod = 'typed' | 'tape' | 'inclinometer' | 'phone' | 'stopwatch' | 'photo';

/** How the readings of a round are taken: asked once, kept with each. */
export interface HowTaken {
  readonly state: Reading['state'];
  readonly takenBy: string | null;
}

const useMeasurer = (): string => useLiveQuery(getMeasurer, []) ?? '';

export function useHowTaken(protocol: Protocol): HowTaken {
  const [query] = useQuery();
  const measurer = useMeasurer();
  const state = query.get('state') === 'warm' ? 'warm' : 'cold';
  return {
    state: protocol.unit === 'deg' ? state : null,
    takenBy: measurer === '' ? null : measurer,
  };
}

/** The ways this measure can come in, the protocol's usual one first. */
function findWays(protocol: Protocol): readonly MeasuringMethod[] {
  const { id, instruments } = protocol;
  const ways: MeasuringMethod[] = instruments.includes('stopwatch')
    ? ['stopwatch', 'typed']
    : ['typed'];
  if (findTapeForm(id as MeasureId) !== null) ways.push('tape');
  if (instruments.includes('inclinometer') || instruments.includes('phone')) {
    ways.push('inclinometer', 'phone');
  }
  if (planMarks(protocol) !== null) ways.push('photo');
  return ways;
}

/** The way in use: what was chosen last, where this measure has it. */
export function useWay(protocol: Protocol): MeasuringMethod {
  const [query] = useQuery();
  const ways = findWays(protocol);
  return ways.find((each) => each === query.get('by')) ?? ways[0] ?? 'typed';
}

/** Cold or warmed up, and who measures: asked once a round. */
export function RoundWords() {
  const [query, setQuery] = useQuery();
  const measurer = useMeasurer();
  const state = query.get('state') === 'warm' ? 'warm' : 'cold';
  const other = state === 'cold' ? 'warm' : 'cold';
  const { field, told } = useStoredText({
    label: say.whoMeasures,
    stored: measurer,
    store: changeMeasurer,
  });
  return (
    <>
      {say.rangesTaken}
      <WordButton
        onClick={() => {
          setQuery({ state: other });
        }}
      >
        {state === 'cold' ? 'cold' : say.warmedUp}
        <span className="sr-only">{say.change(other === 'cold' ? 'cold' : say.warmedUp)}</span>
      </WordButton>{' '}
      <label className="[&_input]:min-h-11 [&_input]:w-44 [&_input]:rounded-none [&_input]:border-0 [&_input]:border-b-2 [&_input]:border-water [&_input]:bg-transparent [&_input]:px-[0.2rem] [&_input]:py-0">
        {say.by}
        <input {...field} placeholder={say.whoMeasuresWord} autoComplete="off" />
      </label>
      {told}
    </>
  );
}

const WAY_WORDS: Readonly<Record<MeasuringMethod, string>> = {
  typed: say.typed,
  tape: say.byTapeMeasure,
  inclinometer: say.byInclinometer,
  phone: say.byPhone,
  stopwatch: say.byStopwatch,
  photo: say.fromPhoto,
};

/** How the numbers of this measure come in, as part of a sentence. */
export function WayChoice({ protocol }: { protocol: Protocol }) {
  const [, setQuery] = useQuery();
  const way = useWay(protocol);
  const ways = findWays(protocol);
  if (ways.length === 1) return null;
  return (
    <label>
      , {protocol.unit === 's' ? 'timed' : 'read'}{' '}
      <WordSelect
        aria-label={say.howReadingTaken}
        value={way}
        onChange={(event) => {
          setQuery({ by: event.target.value });
        }}
      >
        {ways.map((each) => (
          <option key={each} value={each}>
            {WAY_WORDS[each]}
          </option>
        ))}
      </WordSelect>
    </label>
  );
}
