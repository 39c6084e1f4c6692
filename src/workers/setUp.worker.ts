import { expose } from 'comlink';
import { planSetUp } from '../core/setup/planSetUp.ts';

const api = { planSetUp };
export type SetUpWorker = typeof api;

expose(api);
