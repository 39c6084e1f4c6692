import type { Protocol } from '../../core/measures/protocol.ts';
import { useQuery } from '../shared/useQuery.ts';

/** Cold or warmed up: asked once a round and kept with each range. */
export function StateChoice() {
  const [query, setQuery] = useQuery();
  const state = query.get('state') === 'warm' ? 'warm' : 'cold';
  const other = state === 'cold' ? 'warm' : 'cold';
  return (
    <>
      Ranges are taken{' '}
      <button
        type="button"
        className="word-button"
        onClick={() => {
          setQuery({ state: other });
        }}
      >
        {state === 'cold' ? 'cold' : 'warmed up'}
        <span className="sr-only">, change to {other === 'cold' ? 'cold' : 'warmed up'}</span>
      </button>
    </>
  );
}

/** By the protocol's first instrument, typed as an angle, or by tape with the trigonometry done. */
export function InstrumentChoice({ protocol }: { protocol: Protocol }) {
  const [query, setQuery] = useQuery();
  const byTape = query.get('by') === 'tape';
  const other = protocol.instruments.find((each) => each !== 'tape') ?? 'goniometer';
  return (
    <>
      {' '}
      and read by{' '}
      <button
        type="button"
        className="word-button"
        onClick={() => {
          setQuery({ by: byTape ? null : 'tape' });
        }}
      >
        {byTape ? 'tape' : other}
        <span className="sr-only">, change to {byTape ? other : 'tape'}</span>
      </button>
    </>
  );
}
