import { expose } from 'comlink';
import { planInFull } from '../core/setup/planInFull.ts';
import { planSetUp } from '../core/setup/planSetUp.ts';

const api = { planSetUp, planInFull };
export type SetUpWorker = typeof api;

expose(api);
