import type { SetUp, SettingId } from './setUp.ts';

/** A number of a set-up, cm or degrees; null = this set-up does not have it. */
export const getValue = ({ settings }: Pick<SetUp, 'settings'>, id: SettingId): number | null =>
  settings.find((each) => each.id === id)?.value ?? null;
