import type { APIRoute } from 'astro';
import { refuseMethod } from '../../../server/problemAnswer.ts';
import { answerSchema } from '../../../server/schemas.ts';

export const prerender = false;
export const GET: APIRoute = ({ params }) => answerSchema(params.name);
export const ALL: APIRoute = () => refuseMethod('GET');
