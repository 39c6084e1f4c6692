import type { APIRoute } from 'astro';
import { answerFlow } from '../../server/flowEndpoint.ts';
import { refuseMethod } from '../../server/problemAnswer.ts';

export const prerender = false;
export const POST: APIRoute = ({ request }) => answerFlow(request);
export const ALL: APIRoute = () => refuseMethod('POST');
