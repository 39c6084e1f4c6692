import type { APIRoute } from 'astro';
import { answerClassSettings } from '../../server/classSettingsEndpoint.ts';
import { refuseMethod } from '../../server/problemAnswer.ts';

export const prerender = false;
export const POST: APIRoute = ({ request }) => answerClassSettings(request);
export const ALL: APIRoute = () => refuseMethod('POST');
