import type { AsFound } from '../../core/rules/houseRules.ts';
import type { SettingId } from '../../core/setup/setUp.ts';

/** Pedals send these. */
export const NEXT_KEYS = ['PageDown', 'ArrowRight'];
export const BACK_KEYS = ['PageUp', 'ArrowLeft'];
/** These press the button that is reached; elsewhere they lead on. */
export const PRESS_KEYS = [' ', 'Enter'];

/** Numbers that can be corrected on the spot, and by how much a press does it. */
export const HELD: Partial<
  Record<SettingId, { readonly key: keyof AsFound; readonly by: number }>
> = {
  'stance-length': { key: 'stanceCm', by: 0.5 },
  'stance-width': { key: 'widthCm', by: 0.5 },
  'back-foot-angle': { key: 'backFootDeg', by: 1 },
  'hand-height': { key: 'handCm', by: 0.5 },
};
