import type { APIRoute } from 'astro';
import { moveInclinometer, streamInclinometer } from '../../server/inclinometerEndpoint.ts';
import { refuseMethod } from '../../server/problemAnswer.ts';

export const prerender = false;
export const GET: APIRoute = ({ url }) => streamInclinometer(url);
export const POST: APIRoute = ({ request }) => moveInclinometer(request);
export const ALL: APIRoute = () => refuseMethod('GET or POST');
