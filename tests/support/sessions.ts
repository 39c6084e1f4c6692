import { RULES_VERSION } from '../../src/core/rules/houseRules.ts';
import type { PlannedHold, Session, SessionEntry } from '../../src/core/sessions/session.ts';

/** A planned hold with what a test does not care about filled in. */
export const plannedHold = (id: string, changes: Partial<PlannedHold> = {}): PlannedHold => ({
  id,
  pose: 'triangle',
  level: null,
  side: 'right',
  breaths: 5,
  rounds: 1,
  madeAt: '2026-10-01T10:00:00.000Z',
  rules: {},
  rulesVersion: RULES_VERSION,
  moved: null,
  settings: [
    { id: 'stance-length', value: 82, unit: 'cm', from: 'front-heel', to: 'back-heel' },
    { id: 'hand-height', value: 30, unit: 'cm', from: 'mat', to: 'hand' },
  ],
  depth: 50,
  toSpareDeg: 8,
  isAtBound: false,
  why: [],
  ...changes,
});

export const plannedSession = (
  day: string,
  holds: readonly PlannedHold[],
  entries: readonly SessionEntry[],
  changes: Partial<Session> = {},
): Session => ({
  id: `s-${day}`,
  plannedAt: `${day}T10:00:00.000Z`,
  timeZone: 'Europe/Oslo',
  today: null,
  holds,
  entries: [{ id: `${day}-begin`, at: `${day}T10:00:00.000Z`, kind: 'begin' }, ...entries],
  position: null,
  heldAt: null,
  ...changes,
});

/** An entry at so many minutes after the session was begun. */
export const entryAt = <Body extends object>(
  day: string,
  minute: number,
  body: Body,
): Body & { readonly id: string; readonly at: string } => ({
  id: `${day}-${String(minute).padStart(3, '0')}`,
  at: `${day}T10:${String(minute).padStart(2, '0')}:00.000Z`,
  ...body,
});
