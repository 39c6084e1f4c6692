import loadHighs from 'highs';
import {
  planSettings,
  type ClassAsked,
  type ClassSettings,
} from '../../core/classes/planSettings.ts';
import type { PropsFile } from '../../core/formats/propsFile.ts';
import type { FlowRequest } from '../../core/formats/flowRequest.ts';
import type { SetUpRequest } from '../../core/formats/setUpRequest.ts';
import type { Result } from '../../core/problems/problem.ts';
import { readSolution } from '../../core/props/readSolution.ts';
import { shareProps, type SharedProps, type SolveProgram } from '../../core/props/shareProps.ts';
import { PlanningContext } from '../../core/planning/planningContext.ts';
import { planInFull } from '../../core/whatIf/planInFull.ts';
import { readNoted } from '../../core/sessions/noted.ts';
import { FlowPlanner } from '../../core/sequence/flowPlanner.ts';
import type { FlowPlan } from '../../core/sequence/flowChecks.ts';
import { planSetUp } from '../../core/setup/planSetUp.ts';
import { USUAL_STUDIO } from '../../core/studio/studio.ts';
import type { SetUp } from '../../core/setup/setUp.ts';

/** HiGHS: loaded once, when it is first needed. */
let highs: ReturnType<typeof loadHighs> | null = null;

/** HiGHS ends with the best it has found before the whole task is stopped, s. */
const SHARING_SECONDS = 2.5;

const solve: SolveProgram = async (program) => {
  highs ??= loadHighs();
  return readSolution((await highs).solve(program, { time_limit: SHARING_SECONDS }));
};

/** What is computed for a request, here or in a worker thread. */
export const tasks = {
  setUp: ({ person, pose, side, rules, level, props, detail }: SetUpRequest): Result<SetUp> => {
    const studio = props === undefined ? person.studio : { ...USUAL_STUDIO, cupboard: props };
    const context = new PlanningContext(studio === undefined ? person : { ...person, studio });
    return detail === 'quick'
      ? planSetUp(context, pose, side, rules, level)
      : planInFull(context, pose, side, rules, level);
  },
  flow: ({ person, sessions, flow, rules }: FlowRequest): FlowPlan =>
    new FlowPlanner(new PlanningContext(person), rules, readNoted(sessions)).plan(flow),
  classSettings: (asked: ClassAsked): ClassSettings => planSettings(asked),
  classProps: ({ needs, props }: PropsFile): Promise<SharedProps | null> =>
    shareProps(needs, props, solve),
};

export type Tasks = typeof tasks;
