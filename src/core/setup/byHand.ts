import { type HandleId, type SettingId, type ByHand, SETTING_KINDS } from './settingKinds.ts';
import type { AsFound } from '../rules/houseRules.ts';

/**
 * The setting that a handle of the drawing moves.
 *
 * @param handle on the drawing
 * @returns its id, and how it is corrected by hand
 */
export function findHandleKind(handle: HandleId): {
  readonly id: SettingId;
  readonly byHand: ByHand;
} {
  for (const { id, byHand } of SETTING_KINDS) {
    if (byHand?.handles.includes(handle) === true) return { id, byHand };
  }
  throw new Error(`No setting is moved by ${handle}`);
}

/**
 * What is held by hand, no further than any body stands.
 *
 * @param held cm and degrees
 * @returns the same fields
 */
export function clampByHand(held: Partial<AsFound>): Partial<AsFound> {
  const clamped = { ...held };
  for (const { byHand } of SETTING_KINDS) {
    const value = byHand === undefined ? null : held[byHand.key];
    if (byHand === undefined || value == null) continue;
    const [least, most] = byHand.range;
    Object.assign(clamped, { [byHand.key]: Math.min(most, Math.max(least, value)) });
  }
  return clamped;
}
