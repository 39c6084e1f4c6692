import type { APIRoute } from 'astro';
import { answerPoses } from '../../server/posesEndpoint.ts';
import { refuseMethod } from '../../server/problemAnswer.ts';

export const prerender = false;
export const GET: APIRoute = () => answerPoses();
export const ALL: APIRoute = () => refuseMethod('GET');
