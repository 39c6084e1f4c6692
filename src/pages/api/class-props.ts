import type { APIRoute } from 'astro';
import { answerClassProps } from '../../server/classPropsEndpoint.ts';
import { refuseMethod } from '../../server/problemAnswer.ts';

export const prerender = false;
export const POST: APIRoute = ({ request }) => answerClassProps(request);
export const ALL: APIRoute = () => refuseMethod('POST');
