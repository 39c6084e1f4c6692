import type { Guidance, PoseOption, Tendency } from '../poses/guidance.ts';
import { problem, type Problem, type Result } from '../problems/problem.ts';
import { toCues, type Cues } from './cues.ts';

/** How each line of a plain text begins. */
export const LINE_NAMES = {
  inhale: 'Breathe in',
  exhale: 'Breathe out',
  gaze: 'Gaze',
  farPoints: 'Far point',
  seen: 'Often seen',
  first: 'First',
  felt: 'Then felt',
  easier: 'Easier',
  harder: 'Harder',
} as const;

type LineKind = keyof typeof LINE_NAMES;

const writeLine = (kind: LineKind, words: string): string => `${LINE_NAMES[kind]}: ${words}`;

/**
 * Cues as plain text, one a line, to be edited.
 *
 * @param cues of a pose
 * @returns lines such as “Breathe in: lengthen the crown over the front foot”
 */
export function writeCueText(cues: Cues): string {
  return [
    ...cues.inhale.map((each) => writeLine('inhale', each)),
    ...cues.exhale.map((each) => writeLine('exhale', each)),
    ...cues.gaze.map((each) => writeLine('gaze', each)),
    ...cues.farPoints.map((each) => writeLine('farPoints', each)),
    ...cues.tendencies.flatMap(({ seen, first, felt }) => [
      writeLine('seen', seen),
      ...(first === '' ? [] : [writeLine('first', first)]),
      ...(felt === '' ? [] : [writeLine('felt', felt)]),
    ]),
    ...cues.easier.map(({ words }) => writeLine('easier', words)),
    ...cues.harder.map(({ words }) => writeLine('harder', words)),
  ].join('\n');
}

/** What was read so far. */
interface Draft {
  inhale: string[];
  exhale: string[];
  gaze: string[];
  farPoints: string[];
  tendencies: Tendency[];
  easier: PoseOption[];
  harder: PoseOption[];
}

const BY_NAME: ReadonlyMap<string, LineKind> = new Map(
  (Object.entries(LINE_NAMES) as [LineKind, string][]).map(([kind, name]) => [
    name.toLowerCase(),
    kind,
  ]),
);

/** What a line of the teacher’s is in the pose’s data, where its words are the same. */
const findSame = <Known extends object>(
  known: readonly Known[],
  isSame: (each: Known) => boolean,
): Partial<Known> => known.find(isSame) ?? {};

function addLine(draft: Draft, kind: LineKind, words: string, own: Cues): boolean {
  switch (kind) {
    case 'inhale':
    case 'exhale':
    case 'gaze':
    case 'farPoints':
      draft[kind].push(words);
      return true;
    case 'easier':
    case 'harder':
      draft[kind].push({ ...findSame(own[kind], (each) => each.words === words), words });
      return true;
    case 'seen': {
      const same = findSame(own.tendencies, (each) => each.seen === words);
      draft.tendencies.push({ ...same, seen: words, first: '', felt: '' });
      return true;
    }
    case 'first':
    case 'felt': {
      const last = draft.tendencies.pop();
      if (last === undefined) return false;
      draft.tendencies.push({ ...last, [kind]: words });
      return true;
    }
  }
}

/**
 * Reads cues from plain text. Empty lines are left out.
 *
 * @param text as {@link writeCueText} writes it
 * @param own the pose’s cues in Stillwater’s words: a line that still has them keeps what is known of it
 * @returns the problems of every line that cannot be read, or the cues, complete or not
 */
export function readCueText(text: string, own: Cues): Result<Cues> {
  const draft: Draft = {
    inhale: [],
    exhale: [],
    gaze: [],
    farPoints: [],
    tendencies: [],
    easier: [],
    harder: [],
  };
  const problems: Problem[] = [];
  text.split(/\r?\n/).forEach((line, i) => {
    if (line.trim() === '') return;
    const path = `line ${String(i + 1)}`;
    const [name = '', ...rest] = line.split(':');
    const kind = BY_NAME.get(name.trim().toLowerCase());
    const words = rest.join(':').trim();
    const names = Object.values(LINE_NAMES).join(', ');
    if (kind === undefined) problems.push(problem('cue-line-unknown', path, { text: line, names }));
    else if (words === '') problems.push(problem('cue-line-empty', path, { text: name.trim() }));
    else if (!addLine(draft, kind, words, own)) {
      problems.push(problem('cue-line-alone', path, { text: LINE_NAMES[kind] }));
    }
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: draft };
}

/**
 * The cues of a pose in the teacher’s own words; in Stillwater’s where there are none, or where they
 * cannot be read.
 *
 * @param guidance of the pose’s data
 * @param ownText plain text; null = there is none
 * @returns the cues, and whose they are
 */
export function findCues(
  guidance: Guidance,
  ownText: string | null,
): { readonly cues: Cues; readonly isOwn: boolean } {
  const cues = toCues(guidance);
  const own = ownText === null ? null : readCueText(ownText, cues);
  return own?.ok === true ? { cues: own.value, isOwn: true } : { cues, isOwn: false };
}
