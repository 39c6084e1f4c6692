import { countBreaths } from '../../core/sequence/flow.ts';
import type { FlowPlan } from '../../core/sequence/flowChecks.ts';
import { sayWayInto } from '../../core/sequence/sayMoves.ts';
import { makeCueSheet, type CueSheet, type SheetAsked } from '../../core/cues/cueSheet.ts';
import { drawCuePage } from '../../core/paper/cuePage.ts';
import type { Page } from '../../core/paper/page.ts';
import type { RevisedRecord } from '../../core/person/person.ts';
import { countErrors } from '../../core/sessions/countErrors.ts';
import type { Session } from '../../core/sessions/session.ts';
import { toHolds } from '../../core/sessions/toHolds.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { listSessions } from '../../data/sessions.ts';
import { getMeasurer, getPace, listOwnCues } from '../../data/settings.ts';
import { getStudio } from '../../data/studio.ts';
import { planVersionsInWorker } from '../../workers/setUpClient.ts';
import { writeDate } from '../shared/writeValue.ts';

/** What all sheets that are made together share. */
interface CueContext {
  readonly texts: Readonly<Record<string, string>>;
  readonly secondsABreath: number;
  readonly sessions: readonly Session[];
}

/**
 * Whose words, at what pace, and what was noted.
 *
 * @param personId null = a class: at the studio’s pace
 * @param sessions null = all of the person’s
 */
async function findCueContext(
  personId: string | null,
  sessions: readonly Session[] | null,
): Promise<CueContext> {
  const [teacher, studio] = await Promise.all([getMeasurer(), getStudio()]);
  const pace = personId === null ? null : await getPace(personId);
  return {
    texts: await listOwnCues(teacher),
    secondsABreath: pace ?? studio.breathSeconds,
    sessions: sessions ?? (personId === null ? [] : await listSessions(personId)),
  };
}

const makeSheet = (
  { texts, secondsABreath, sessions }: CueContext,
  pose: string,
  more: Pick<SheetAsked, 'setUp' | 'versions' | 'breaths'>,
): CueSheet | null =>
  makeCueSheet({
    ...more,
    pose,
    secondsABreath,
    seen: countErrors(toHolds(sessions), pose, null),
    ownText: texts[pose] ?? null,
  });

const today = (): string => writeDate(new Date().toISOString());

/** The cues of one pose for a person, in the words of whoever teaches. */
export async function makePersonCuePages(
  record: RevisedRecord,
  pose: string,
  setUp: SetUp | null,
  paper: 'a4' | 'letter',
): Promise<readonly Page[]> {
  const { id, name } = record.person;
  const [context, answer] = await Promise.all([
    findCueContext(id, null),
    planVersionsInWorker(record, pose, setUp?.side ?? 'right', {}),
  ]);
  const versions = answer.ok ? answer.value.versions : [];
  const sheet = makeSheet(context, pose, { setUp, versions, breaths: null });
  return sheet === null ? [] : [drawCuePage({ sheet, name, date: today(), wayIn: [] }, paper)];
}

/** The cues of every hold of a flow, each with the way there. */
export async function makeFlowCuePages(
  record: RevisedRecord,
  sessions: readonly Session[],
  { flow, steps }: FlowPlan,
  unit: LengthUnit,
  paper: 'a4' | 'letter',
): Promise<readonly Page[]> {
  const context = await findCueContext(record.person.id, sessions);
  const name = `${record.person.name}, ${flow.name}`;
  return steps.flatMap(({ step, index, place, setUp }) => {
    if (step === null || step.kind === 'warm-up') return [];
    const breaths = countBreaths(step);
    const sheet = makeSheet(context, place.pose, { setUp, versions: [], breaths });
    const wayIn = sayWayInto(steps, index, unit);
    return sheet === null ? [] : [drawCuePage({ sheet, name, date: today(), wayIn }, paper)];
  });
}

/** The cues of a pose for a class: what was noted of anybody in it ranks what is seen. */
export async function makeClassCueSheet(
  pose: string,
  sessions: readonly Session[],
): Promise<CueSheet | null> {
  const context = await findCueContext(null, sessions);
  return makeSheet(context, pose, { setUp: null, versions: [], breaths: null });
}

/** The cues of every pose of a class, a page each. */
export async function makeClassCuePages(
  poses: readonly string[],
  sessions: readonly Session[],
  name: string,
  paper: 'a4' | 'letter',
): Promise<readonly Page[]> {
  const sheets = await Promise.all(poses.map((pose) => makeClassCueSheet(pose, sessions)));
  return sheets.flatMap((sheet) =>
    sheet === null ? [] : [drawCuePage({ sheet, name, date: today(), wayIn: [] }, paper)],
  );
}
