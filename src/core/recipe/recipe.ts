import { otherSide, type Side } from '../measures/protocol.ts';
import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import type { Setting } from '../setup/setUp.ts';
import {
  findSettingKind,
  SETTING_KINDS,
  type SaySetting,
  type SettingId,
} from '../setup/settingKinds.ts';
import { sayKnee } from '../setup/settingWords.ts';

/** Lines that replace the usual ones; null = left out, because the drawing or another line says it. */
type OtherLines = Partial<Record<SettingId, SaySetting | null>>;

/** The back knee has a line only where neither foot is in front. */
const USUAL: OtherLines = { 'back-knee-bend': null };

/**
 * Feet side by side, both straight ahead: neither is in front. Legs of different length bend their
 * knees differently, and then each knee has a line.
 */
function saySideBySide(side: Side, kneesAlike: boolean): OtherLines {
  const knee =
    (whose: string): SaySetting =>
    (value, raw, to) =>
      sayKnee(whose, value, raw, to);
  return {
    ...USUAL,
    'front-heel-from-mat-edge': (value) => `both heels ${value} from the mat’s front edge`,
    'stance-width': (value) => `heels ${value} apart`,
    'front-foot-angle': () => 'all toes straight ahead',
    'back-foot-angle': null,
    'front-knee-bend': knee(kneesAlike ? 'both knees' : `${side} knee`),
    'back-knee-bend': kneesAlike ? null : knee(`${otherSide(side)} knee`),
  };
}

const spoken = (id: string): string => id.replaceAll('-', ' ');

/** What of a setting is said. */
type Said = Pick<Setting, 'id' | 'value' | 'unit' | 'from' | 'to'>;

function writeSetting({ value, unit }: Said, lengthUnit: LengthUnit): string {
  if (unit === 'deg') return `${String(Math.abs(Math.round(value)))}°`;
  const settable = lengthUnit === 'cm' ? Math.round(value * 2) / 2 : value;
  return writeLength(metresFromCm(Math.abs(settable)), lengthUnit, 1);
}

/** How a line says its number; null when the drawing or another line says it. */
function findSay(id: SettingId, others: OtherLines): SaySetting | null {
  const other = others[id];
  if (other !== undefined) return other;
  const kind = findSettingKind(id);
  return kind === null
    ? (value, _raw, to, from) => `${spoken(id)} ${value}, ${from} to ${to}`
    : kind.say;
}

/** One line of a recipe: a number, and how it is said on the mat. */
export interface RecipeLine<Each extends Said = Setting> {
  readonly setting: Each;
  /** The whole line, with its number. */
  readonly words: string;
  /** The number alone, as it is set: `101 cm`, `75°`. */
  readonly value: string;
}

/**
 * A set-up as a recipe: what to set, in the order in which it is set.
 *
 * @param unit centimetres or inches
 * @returns one line a setting
 * @example
 * listRecipe(setUp, 'cm')[0].words // → "front heel 47.5 cm from the mat’s front edge"
 */
export function listRecipe<Each extends Said>(
  { settings, side }: { readonly settings: readonly Each[]; readonly side: Side },
  unit: LengthUnit,
): readonly RecipeLine<Each>[] {
  const find = (id: SettingId): Each | undefined => settings.find((each) => each.id === id);
  const isAhead = (id: SettingId): boolean => Math.abs(find(id)?.value ?? Infinity) < 0.5;
  const areSideBySide =
    find('stance-width') !== undefined &&
    find('stance-length') === undefined &&
    isAhead('front-foot-angle') &&
    isAhead('back-foot-angle');
  const knee = (place: 'front' | 'back'): number | undefined => find(`${place}-knee-bend`)?.value;
  const kneesAlike =
    knee('back') === undefined || Math.round(knee('back')!) === Math.round(knee('front')!);
  const otherLines = areSideBySide ? saySideBySide(side, kneesAlike) : USUAL;
  const ordered = SETTING_KINDS.flatMap(({ id }) => settings.filter((each) => each.id === id));
  const others = settings.filter((each) => !ordered.includes(each));
  return [...ordered, ...others].flatMap((setting) => {
    const say = findSay(setting.id, otherLines);
    if (say === null) return [];
    const value = writeSetting(setting, unit);
    const words = say(value, setting.value, spoken(setting.to), spoken(setting.from));
    return [{ setting, words, value }];
  });
}
