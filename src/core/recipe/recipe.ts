import { otherSide, type Side } from '../measures/protocol.ts';
import { metresFromCm } from '../units/brands.ts';
import { writeLength, type LengthUnit } from '../units/readQuantity.ts';
import { saySquare } from './saySquare.ts';
import type { Setting, SettingId } from '../setup/setUp.ts';

/** A line with its number, and with what that leads to and starts from, in words. */
type Say = (value: string, raw: number, to: string, from: string) => string;

/** In the order in which a teacher sets them. */
const ORDER: readonly { readonly id: SettingId; readonly say: Say }[] = [
  {
    id: 'front-heel-from-mat-edge',
    say: (value) => `front heel ${value} from the mat’s front edge`,
  },
  { id: 'stance-length', say: (value, _raw, to) => `${to} ${value} behind it` },
  { id: 'back-heel-from-mat-edge', say: (value) => `back heel ${value} from the front edge` },
  {
    id: 'back-ball-from-mat-edge',
    say: (value) => `ball of the back foot ${value} from the front edge`,
  },
  { id: 'back-knee-from-mat-edge', say: (value) => `back knee ${value} from the front edge` },
  {
    id: 'stance-width',
    say: (value, raw, to) =>
      Math.abs(raw) < 0.25
        ? 'both heels on one line'
        : `${to} ${value} ${raw > 0 ? 'to its own side of' : 'across'} the front heel’s line`,
  },
  {
    id: 'front-foot-angle',
    say: (value, raw) => (raw < 0.5 ? 'front toes straight ahead' : `front toes ${value} outward`),
  },
  { id: 'back-foot-angle', say: (value) => `back toes ${value} from the mat’s line` },
  {
    id: 'front-knee-bend',
    say: (value, raw, to) => sayKnee('front knee', value, raw, to),
  },
  // Told where neither foot is in front and the knees differ.
  { id: 'back-knee-bend', say: (value, raw, to) => sayKnee('back knee', value, raw, to) },
  {
    id: 'pelvis-short-of-square',
    say: (value, raw) => {
      const words = saySquare(raw);
      if (words === 'square') return 'pelvis square';
      return raw > 0 ? `let the pelvis rest ${value} ${words}` : `pelvis turned ${value} ${words}`;
    },
  },
  { id: 'hips-off-wall', say: (value) => `hips ${value} off the wall` },
  { id: 'heel-marks', say: (value) => `heel marks ${value} apart on the wall` },
  {
    id: 'knee-support',
    say: (value, raw, to) =>
      raw < 0.5 ? 'no support under the knee' : `support ${value} high under the ${to}`,
  },
  { id: 'back-heel-block', say: (value) => `block ${value} high under the back heel` },
  {
    id: 'chest-short-of-target',
    say: (value, raw, _to, from) =>
      raw < 2 ? `chest facing the ${from}` : `chest about ${value} short of the ${from}`,
  },
  { id: 'back-heel-lift', say: (value) => `back heel lifted ${value}, toes under` },
  {
    id: 'back-knee-from-wall',
    say: (value) => `back knee ${value} from the wall, its foot against it`,
  },
  { id: 'lifted-leg', say: (value) => `back leg lifted ${value} from hanging` },
  { id: 'lifted-ankle-height', say: (value) => `its ankle ${value} above the mat` },
  { id: 'sole-height', say: (value) => `toes of the lifted foot ${value} above the mat` },
  { id: 'knee-out', say: (value) => `its knee turned out ${value} from straight ahead` },
  { id: 'pelvis-tilt', say: (value) => `pelvis tipped forward ${value}` },
  { id: 'trunk-lean', say: (value) => `trunk leaning ${value} from upright` },
  { id: 'side-bend', say: (value) => `side bend of ${value} toward the back leg` },
  { id: 'chest-turned', say: (value) => `chest turned ${value} from facing the floor` },
  { id: 'spine-share-of-twist', say: (value) => `${value} of that from the spine` },
  {
    id: 'pelvis-short-of-stacked',
    say: (value) => `let the upper hip rest ${value} short of stacked`,
  },
  {
    id: 'hips-ahead-of-back-knee',
    say: (value) => `hips ${value} ahead of the back knee`,
  },
  {
    id: 'hand-height',
    say: (value, raw) => (raw < 0.5 ? 'hand on the floor' : `hand ${value} above the mat`),
  },
  {
    id: 'hand-ahead',
    say: (value, raw) =>
      Math.abs(raw) < 0.25
        ? 'that hand level with the front toe tips'
        : raw > 0
          ? `that hand ${value} ahead of the front toes`
          : `that hand ${value} behind the front toe tips`,
  },
  {
    id: 'hand-beside',
    say: (value, raw) =>
      Math.abs(raw) < 0.25
        ? 'and on the foot’s line'
        : `and ${value} to the ${raw > 0 ? 'little-toe' : 'big-toe'} side of the foot’s line`,
  },
  { id: 'hand-up-shin', say: (value) => `hand on the shin, ${value} above the ankle` },
  { id: 'thigh-support', say: (value) => `seat ${value} high under the front thigh` },
  { id: 'heel-wedge', say: (value) => `wedge ${value} high under the back heel` },
  {
    id: 'front-ball-block',
    say: (value) => `block ${value} high under the ball of the front foot`,
  },
  { id: 'knee-pad', say: (value) => `pad ${value} thick under the back knee` },
  { id: 'wall-behind', say: (value, _raw, _to, from) => `wall ${value} behind the ${from}` },
  { id: 'wall-ahead', say: (value) => `wall ${value} ahead of the front heel` },
  {
    id: 'wall-beside',
    say: (value) => `wall ${value} to the standing side of the foot’s line`,
  },
  { id: 'loop-length', say: (value) => `strap loop ${value} long in all` },
  { id: 'strap-to-own', say: (value) => `a strap of at least ${value}` },
  {
    id: 'pelvis-turn',
    say: (value) => `pelvis turned ${value} toward the front leg`,
  },
  { id: 'bolster-height', say: (value) => `bolster ${value} high along the hip` },
  {
    id: 'head-support',
    say: (value, raw) =>
      raw < 0.5 ? 'nothing under the head' : `blanket ${value} high under the head`,
  },
  { id: 'leg-angle', say: (value, _raw, to) => `${to} ${value} from the floor` },
  {
    id: 'strap-length',
    say: (value, raw) =>
      raw < 0.5 ? 'no strap: the hand reaches' : `strap of ${value} there and back`,
  },
  { id: 'door-frame-distance', say: (value) => `or hips ${value} off a door frame` },
  {
    id: 'foot-height',
    say: (value, raw) =>
      raw < 0.5 ? 'crossed foot on the floor' : `crossed foot ${value} above the floor`,
  },
  {
    id: 'seat-height',
    say: (value, raw) => (raw < 0.5 ? 'sitting on the floor' : `seat ${value} high`),
  },
  { id: 'bind-strap', say: (value) => `strap between the hands, ${value} to begin with` },
];

const sayKnee = (whose: string, value: string, raw: number, to: string): string => {
  if (raw < 5) return `${whose} straight`;
  if (raw < 12) return `${whose} soft, ${value}`;
  return `${whose} bent ${value}${to.endsWith('ankle') ? ', over its ankle' : ''}`;
};

/** Lines that are said in another way; null = told by the drawing or by another line. */
type OtherLines = Partial<Record<SettingId, Say | null>>;

const USUAL: OtherLines = { 'pelvis-level': null, 'back-knee-bend': null };

/**
 * Feet side by side, both straight ahead: neither is in front. Legs of different length bend their
 * knees differently, and then each knee is told.
 */
function saySideBySide(side: Side, kneesAlike: boolean): OtherLines {
  const knee =
    (whose: string): Say =>
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

/** How a line says its number; null when the drawing or another line tells it. */
function findSay(id: SettingId, others: OtherLines): Say | null {
  const other = others[id];
  if (other !== undefined) return other;
  const own = ORDER.find((each) => each.id === id);
  return own?.say ?? ((value, _raw, to, from) => `${spoken(id)} ${value}, ${from} to ${to}`);
}

/** One line of a recipe: a number, and how it is said on the mat. */
export interface RecipeLine<Each extends Said = Setting> {
  readonly setting: Each;
  /** The whole line, with its number. */
  readonly words: string;
  /** The number alone, as it is set: `101 cm`, `75°`. */
  readonly value: string;
}

/** A set-up as a recipe: what to set, in the order in which it is set. */
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
  const ordered = ORDER.flatMap(({ id }) => settings.filter((each) => each.id === id));
  const others = settings.filter((each) => !ordered.includes(each));
  return [...ordered, ...others].flatMap((setting) => {
    const say = findSay(setting.id, otherLines);
    if (say === null) return [];
    const value = writeSetting(setting, unit);
    const words = say(value, setting.value, spoken(setting.to), spoken(setting.from));
    return [{ setting, words, value }];
  });
}
