import { useEffect, useRef, useState } from 'react';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import type { Side } from '../../core/measures/protocol.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import type { Result } from '../../core/problems/problem.ts';
import { nameJoint } from '../../core/setup/jointReport.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { SHELF_ORDER, SHELVES, type ShelfEntry } from './shelves.ts';
import { useIsNarrow } from './useIsNarrow.ts';
import { useShelf } from './useShelf.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { Thumbnail } from '../shared/Thumbnail.tsx';
import { WordSelect } from '../shared/ui/WordSelect.tsx';
import { poseShelf as say } from './words.ts';

interface ShelfProps {
  record: RevisedRecord;
  poseId: string;
  side: Side;
  rules: Partial<HouseRules>;
  onChoose: (poseId: string) => void;
}

/** Accents and case do not matter when a name is looked for. */
const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Mark}/gu, '')
    .toLowerCase();

const SHOWN = {
  all: say.allPoses,
  ready: say.ready,
  missing: say.needsMeasures,
  withCaution: say.withCaution,
} as const;
type ShelfFilter = keyof typeof SHOWN;

/**
 * All poses by family: how deep each goes for this person, what stops it, what it lacks. On a
 * narrow screen it opens when it is asked for, so that the set-up comes first.
 */
export function PoseShelf({ record, poseId, side, rules, onChoose }: ShelfProps) {
  const [sought, setSought] = useState('');
  const [shown, setShown] = useState<ShelfFilter>('all');
  const planned = useShelf(SHELF_ORDER, record, side, rules);
  const matches = ({ id, name, sanskrit }: ShelfEntry): boolean =>
    plain(`${name} ${sanskrit}`).includes(plain(sought)) &&
    (shown === 'all' || findKind(planned.get(id) ?? null) === shown);
  const shelves = SHELVES.map(({ words, poses }) => ({
    words,
    poses,
    found: poses.filter(matches),
  }));
  const shelf = useRef<HTMLElement>(null);
  const opener = useRef<HTMLButtonElement>(null);
  const isNarrow = useIsNarrow();
  const [isOpen, setIsOpen] = useState(false);
  useEffect(() => {
    if (shelf.current !== null) showCurrent(shelf.current);
  }, [poseId]);
  const choose = (id: string): void => {
    opener.current?.focus();
    setIsOpen(false);
    onChoose(id);
  };
  return (
    <nav
      ref={shelf}
      aria-label={say.poses}
      className="sticky top-0 -mx-2 my-0 max-h-screen self-start overflow-y-auto p-2 print:hidden max-phone:static max-phone:m-0 max-phone:max-h-none max-phone:max-w-[calc(100vw-2rem)] max-phone:min-w-0 max-phone:overflow-visible max-phone:p-0 max-phone:*:[div]:max-w-[calc(100vw-2rem)] max-phone:*:[div]:min-w-0 [&_input[type=search]]:px-2 [&_input[type=search]]:py-[0.2rem]"
      data-testid="shelf"
      aria-busy={planned.size < SHELF_ORDER.length}
    >
      {isNarrow && (
        <WordButton
          ref={opener}
          type="button"
          aria-expanded={isOpen}
          onClick={() => {
            setIsOpen(!isOpen);
          }}
        >
          {isOpen ? say.keepPose : say.anotherPose}
        </WordButton>
      )}
      {(isOpen || !isNarrow) && (
        <>
          <input
            type="search"
            aria-label={say.findPose}
            placeholder={say.findAPose}
            value={sought}
            onChange={(event) => {
              setSought(event.target.value);
            }}
          />
          <WordSelect
            aria-label={say.whichPoses}
            value={shown}
            onChange={(event) => {
              setShown(event.target.value as ShelfFilter);
            }}
          >
            {Object.entries(SHOWN).map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </WordSelect>
          {shelves.every(({ found }) => found.length === 0) && <p>{say.noPoseMatches}</p>}
          {shelves.map(({ words, poses, found }) => (
            <div key={words} hidden={found.length === 0}>
              <p className="mt-3 mb-0 font-serif text-base leading-[normal] text-faint italic">
                {words}
              </p>
              <ul>
                {poses.map((pose) => (
                  <li key={pose.id} hidden={!found.includes(pose)}>
                    <button
                      type="button"
                      className="grid min-h-14 w-full cursor-pointer grid-cols-[2.75rem_minmax(0,1fr)] items-center gap-x-2 text-left leading-[1.2] aria-[current]:font-bold"
                      aria-current={pose.id === poseId ? 'true' : undefined}
                      onClick={() => {
                        choose(pose.id);
                      }}
                    >
                      <Figure result={planned.get(pose.id) ?? null} />
                      <span>
                        {pose.name}
                        <AtAGlance result={planned.get(pose.id) ?? null} />
                      </span>
                    </button>
                  </li>
                ))}
              </ul>
            </div>
          ))}
        </>
      )}
    </nav>
  );
}

/** Moves the shelf, and nothing but the shelf, until the pose that is looked at is on it to be seen. */
function showCurrent(shelf: HTMLElement): void {
  const current = shelf.querySelector<HTMLElement>('[aria-current]');
  if (current === null) return;
  const from = current.offsetTop - shelf.scrollTop;
  if (from >= 0 && from + current.offsetHeight <= shelf.clientHeight) return;
  shelf.scrollTop = current.offsetTop - shelf.clientHeight / 2;
}

/** What stands in the way of a pose, or stops it, in a few words. */
function sayState(result: Result<SetUp> | null): string {
  if (result === null) return '';
  if (!result.ok) {
    const missing = result.problems.filter((each) => each.code === 'missing-measure').length;
    return missing === 0 ? say.noSetUp : say.needs(missing);
  }
  const { status, limiting, problems, provenance } = result.value;
  if (status === 'failed') {
    return problems.some((each) => each.code === 'stop-sign') ? say.stopSign : say.noSetUp;
  }
  if (provenance.measures.length === 0 || limiting === null) return '';
  return nameJoint(limiting, result.value);
}

const findKind = (result: Result<SetUp> | null): ShelfFilter | null => {
  if (result === null) return null;
  if (!result.ok) return 'missing';
  const { status, adaptations } = result.value;
  return status === 'failed' || adaptations.length > 0 ? 'withCaution' : 'ready';
};

/** The pose as this person would hold it. */
const Figure = ({ result }: { result: Result<SetUp> | null }) => (
  <span className="flex h-11 w-11 items-end justify-center">
    {result?.ok === true && <Thumbnail setUp={result.value} className="h-full w-full" />}
  </span>
);

/** Its depth as a small glyph, and what stops it. */
function AtAGlance({ result }: { result: Result<SetUp> | null }) {
  const setUp = result?.ok === true ? result.value : null;
  const depth = setUp?.depth ?? null;
  const share = (value: number | null | undefined): string =>
    `${String(Math.round((100 * (value ?? 0)) / (depth?.textbook ?? 1)))}%`;
  const unit = depth?.unit === 'cm' ? ' cm' : '°';
  const isAdapted = setUp !== null && setUp.adaptations.length > 0;
  const words = [isAdapted ? 'adapted' : '', sayState(result)].filter(Boolean).join(' · ');
  return (
    <>
      <span className="relative mt-[3px] block h-[5px] border-b border-hair" aria-hidden>
        <span
          className="absolute -bottom-px left-0 h-px bg-ink"
          style={{ width: share(depth?.deepest) }}
        />
        <span
          className="absolute -bottom-px left-0 h-1 bg-water"
          style={{ width: share(depth?.value) }}
        />
      </span>
      <span className="block min-h-[1.2em] text-[0.78rem] leading-[1.2] font-normal text-faint">
        {depth?.value != null && (
          <span className="sr-only">
            {say.of(depth.value.toFixed(0), unit, depth.textbook.toFixed(0))}
          </span>
        )}
        {words !== '' && <span className="sr-only">, </span>}
        {words}
      </span>
    </>
  );
}
