import { FELT_PLACES, type Felt, type FeltPlace } from '../../core/felt/places.ts';
import { otherSide, type Side } from '../../core/measures/protocol.ts';
import { BodyOutline } from '../shared/BodyOutline.tsx';
import { Toggle } from '../shared/ui/Button.tsx';
import { feltNote as say } from './words.ts';

interface FeltOutlineProps {
  face: FeltPlace['face'];
  felt: readonly Felt[];
  onPress: (place: string) => void;
}

/** Regions that lie at one height of the body, from its edge inward, and that height in per cent. */
const ROWS: Readonly<Record<FeltPlace['face'], readonly (readonly [number, readonly string[]])[]>> =
  {
    front: [
      [29, ['side of waist', 'belly']],
      [43, ['front of hip']],
      [56, ['front of thigh', 'inner thigh']],
    ],
    back: [
      [29, ['low back']],
      [43, ['outer hip', 'seat']],
      [56, ['back of thigh']],
      [69, ['calf']],
      [81, ['outer ankle', 'sole']],
    ],
  };

/** Seen from the front, the person’s right is on the left. */
const findFirst = (face: FeltPlace['face']): Side => (face === 'front' ? 'right' : 'left');

/** The places of a row from left to right, as they are seen. */
function listRow(regions: readonly string[], first: Side): readonly FeltPlace[] {
  const of = (side: Side | null): readonly FeltPlace[] =>
    regions.flatMap((region) =>
      FELT_PLACES.filter((each) => each.region === region && each.side === side),
    );
  return [...of(first), ...of(null), ...of(otherSide(first)).toReversed()];
}

/** One face of a body with its places, each a button. */
export function FeltOutline({ face, felt, onPress }: FeltOutlineProps) {
  const first = findFirst(face);
  return (
    <div className="min-w-0">
      <h3 className="mb-1 flex items-baseline justify-between text-base">
        <span className="font-normal text-faint" aria-hidden>
          {say[first]}
        </span>
        {say[face]}
        <span className="font-normal text-faint" aria-hidden>
          {say[otherSide(first)]}
        </span>
      </h3>
      <div className="relative h-105">
        <BodyOutline />
        {ROWS[face].map(([top, regions]) => (
          <div
            key={top}
            className="absolute inset-x-0 flex gap-1"
            style={{ top: `${String(top)}%` }}
          >
            {listRow(regions, first).map(({ id, region }) => {
              const how = felt.find(({ place }) => place === id)?.how ?? null;
              return (
                <Toggle
                  key={id}
                  size="on a picture"
                  className="min-w-0 flex-1 text-[0.95rem]"
                  aria-pressed={how !== null}
                  aria-label={how === null ? id : `${id}, ${say.hows[how]}`}
                  onClick={() => {
                    onPress(id);
                  }}
                >
                  {region}
                  {how === 'work' && ` (${how})`}
                </Toggle>
              );
            })}
          </div>
        ))}
      </div>
    </div>
  );
}
