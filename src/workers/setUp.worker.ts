import { expose } from 'comlink';
import { planBands } from '../core/setup/planBands.ts';
import { planInFull } from '../core/setup/planInFull.ts';
import { planRecheck } from '../core/setup/planRecheck.ts';
import { planSetUp } from '../core/setup/planSetUp.ts';

const api = { planSetUp, planInFull, planBands, planRecheck };
export type SetUpWorker = typeof api;

expose(api);
