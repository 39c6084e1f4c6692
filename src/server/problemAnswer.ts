import type { Problem } from '../core/problems/problem.ts';

const TITLES = {
  400: 'The request cannot be read',
  405: 'This method is not allowed here',
  413: 'The request is too large',
  415: 'The request must be JSON',
  422: 'The request is well formed, but something is missing to answer it',
  404: 'There is no such thing',
  503: 'The server cannot answer this now',
} as const;

type RefusalStatus = keyof typeof TITLES;

/** Problem details for HTTP, RFC 9457, with every problem by path. */
export function refuse(
  status: RefusalStatus,
  detail: string,
  problems: readonly Problem[] = [],
  headers: Readonly<Record<string, string>> = {},
): Response {
  const body = { type: 'about:blank', title: TITLES[status], status, detail, problems };
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': 'application/problem+json', ...headers },
  });
}

export const answerJson = (value: unknown): Response =>
  new Response(JSON.stringify(value), { headers: { 'Content-Type': 'application/json' } });

export const refuseMethod = (allowed: string): Response =>
  refuse(405, `Use ${allowed}.`, [], { Allow: allowed });
