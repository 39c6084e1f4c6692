import type { APIRoute } from 'astro';
import { refuseMethod } from '../../server/problemAnswer.ts';
import { answerSetUp } from '../../server/setUpEndpoint.ts';

export const prerender = false;
export const POST: APIRoute = ({ request }) => answerSetUp(request);
export const ALL: APIRoute = () => refuseMethod('POST');
