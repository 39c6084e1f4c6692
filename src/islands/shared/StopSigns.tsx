import { CAUTION_KINDS, type CautionKind, type Tier } from '../../core/cautions/catalogue.ts';
import type { CautionEntry, Person } from '../../core/person/person.ts';
import { changePerson, type PersonAnswer } from '../../data/people.ts';
import { SavedField } from './SavedField.tsx';
import { useWrite } from './useWrite.tsx';
import { SelectField } from './ui/SelectField.tsx';
import { stopSigns as say } from './words.ts';

const TIERS: readonly { readonly tier: Tier; readonly heading: string }[] = [
  { tier: 'emergency', heading: 'Now' },
  { tier: 'same-day', heading: 'Today' },
  { tier: 'send-on', heading: 'Lately' },
  { tier: 'adapt', heading: say.goodKnowAsWell },
];

const today = (): string => new Date().toISOString().slice(0, 10);

const newEntry = (kind: CautionKind): CautionEntry => ({
  uid: crypto.randomUUID(),
  id: kind.id,
  side: null,
  since: today(),
  severity: kind.tier === 'adapt' ? 'mild' : 'stop',
  clearedBy: null,
  clearedAt: null,
  note: '',
});

/** One answer of an entry; whoever changes it has asked about it today. */
const answerOf = (
  uid: string,
  read: (entry: CautionEntry) => string,
  write: (text: string) => Partial<CautionEntry>,
): PersonAnswer => ({
  read: ({ cautions }) => {
    const entry = cautions.find((each) => each.uid === uid);
    return entry === undefined ? '' : read(entry);
  },
  write: ({ cautions }, text) => ({
    cautions: cautions.map((each) => (each.uid === uid ? { ...each, ...write(text) } : each)),
    cautionsAskedAt: new Date().toISOString(),
  }),
});

const noteOf = (uid: string): PersonAnswer =>
  answerOf(
    uid,
    ({ note }) => note,
    (note) => ({ note }),
  );

const clearedByOf = (uid: string): PersonAnswer =>
  answerOf(
    uid,
    ({ clearedBy }) => clearedBy ?? '',
    (by) => ({
      clearedBy: by === '' ? null : by,
      clearedAt: by === '' ? null : today(),
    }),
  );

/** The stop signs and conditions of a person, all groups at once. */
export const StopSigns = ({ person }: { person: Person }) => (
  <div className="columns-2 gap-x-10 max-phone:columns-1 [&_fieldset]:mb-3 [&_fieldset]:break-inside-avoid-column">
    {TIERS.map(({ tier, heading }) => (
      <SignGroup key={tier} person={person} tiers={[tier]} heading={heading} />
    ))}
  </div>
);

interface SignGroupProps {
  person: Person;
  tiers: readonly Tier[];
  heading: string;
}

/** A group of stop signs or conditions: asked before the first measure, kept with dates. */
export function SignGroup({ person, tiers, heading }: SignGroupProps) {
  const { write, told } = useWrite();
  const change = (to: (cautions: readonly CautionEntry[]) => readonly CautionEntry[]): void => {
    write(() =>
      changePerson(person.id, ({ cautions }) => ({
        cautions: to(cautions),
        cautionsAskedAt: new Date().toISOString(),
      })),
    );
  };
  const add = (kind: CautionKind): void => {
    // Pressed once more while it could not be stored: it is one sign all the same.
    change((cautions) =>
      cautions.some(({ id }) => id === kind.id) ? cautions : [...cautions, newEntry(kind)],
    );
  };
  const remove = ({ uid }: CautionEntry): void => {
    change((cautions) => cautions.filter((each) => each.uid !== uid));
  };
  const edit = ({ uid }: CautionEntry, changes: Partial<CautionEntry>): void => {
    change((cautions) =>
      cautions.map((each) => (each.uid === uid ? { ...each, ...changes } : each)),
    );
  };
  // A kind that two devices have noted stands here twice, each with its own answers.
  const listEntries = (kind: CautionKind): readonly (CautionEntry | null)[] => {
    const noted = person.cautions.filter((each) => each.id === kind.id);
    return noted.length > 0 ? noted : [null];
  };
  return (
    <fieldset className="[&_legend]:pt-[0.3rem] [&_legend]:font-serif [&_legend]:text-[1.1rem] [&_legend]:leading-[normal] [&_legend]:font-medium">
      <legend>{heading}</legend>
      {told}
      {CAUTION_KINDS.filter((kind) => tiers.includes(kind.tier)).flatMap((kind) =>
        listEntries(kind).map((entry, i) => (
          <Sign
            key={i === 0 ? kind.id : entry?.uid}
            kind={kind}
            entry={entry}
            person={person}
            onToggle={() => {
              if (entry === null) add(kind);
              else remove(entry);
            }}
            onEdit={(changes) => {
              if (entry !== null) edit(entry, changes);
            }}
          />
        )),
      )}
    </fieldset>
  );
}

interface SignProps {
  person: Person;
  kind: CautionKind;
  entry: CautionEntry | null;
  onToggle: () => void;
  onEdit: (changes: Partial<CautionEntry>) => void;
}

function Sign({ person, kind, entry, onToggle, onEdit }: SignProps) {
  const stops = entry !== null && kind.tier !== 'adapt' && entry.clearedAt === null;
  return (
    <div className="*:[label]:flex *:[label]:min-h-11 *:[label]:cursor-pointer *:[label]:items-center *:[label]:gap-[0.7rem]">
      <label>
        <input type="checkbox" checked={entry !== null} onChange={onToggle} />
        <span>{kind.ask}</span>
      </label>
      {entry !== null && (
        <div className="pr-0 pb-[0.6rem] pl-[2.1rem]">
          <p className={stops ? 'font-bold text-stop' : ''}>{kind.advice}</p>
          {kind.sided && (
            <SelectField
              label={say.side}
              value={entry.side ?? ''}
              options={[
                ['', say.notSaid],
                ['left', say.left],
                ['right', say.right],
                ['both', say.both],
              ]}
              onChange={(value) => {
                onEdit({ side: value === '' ? null : (value as CautionEntry['side']) });
              }}
            />
          )}
          {kind.tier !== 'adapt' && (
            <SavedField
              label={say.clearedByDoctorPhysiotherapist}
              person={person}
              answer={clearedByOf(entry.uid)}
            />
          )}
          <SavedField label={say.note} person={person} answer={noteOf(entry.uid)} />
        </div>
      )}
    </div>
  );
}
