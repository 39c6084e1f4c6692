import type { AsFound } from '../rules/houseRules.ts';
import type { PropItem } from '../props/propList.ts';
import { sayKnee, saySquare } from './settingWords.ts';
import { SERVES } from '../props/stacks.ts';

/** A line of the recipe from the value as it is written, as it is, and from where it is measured. */
export type SaySetting = (value: string, raw: number, to: string, from: string) => string;

/** What can be dragged on the drawing. */
export type HandleId = 'front-foot' | 'back-foot' | 'back-toes' | 'hand';

/** How a setting is corrected by hand. */
export interface ByHand {
  readonly key: Exclude<keyof AsFound, 'depth'>;
  /** One press of a key, cm or degrees. */
  readonly step: number;
  /** No body stands outside it, cm or degrees. Our choice. */
  readonly range: readonly [least: number, most: number];
  /** As it is asked for. */
  readonly name: string;
  readonly handles: readonly HandleId[];
}

/** One kind of setting: everything that is true of it in every set-up. */
interface SettingKind {
  readonly id: string;
  /** Its line in the recipe; null = the drawing shows it. */
  readonly say: SaySetting | null;
  /** Shown large while a pose is set. */
  readonly isLarge?: true;
  readonly byHand?: ByHand;
  /** Props that may give it; the nearest at or above is the easier side. */
  readonly servedBy?: readonly PropItem['kind'][] | 'strap' | 'rail';
  /** What any house has that would do where the cupboard has nothing. Common practice, no source. */
  readonly improvised?: string;
  readonly needsWall?: true;
}

const kind = <Id extends string>(
  each: SettingKind & { readonly id: Id },
): SettingKind & { readonly id: Id } => each;

/** Every kind of setting, in the order in which a teacher sets them. */
export const SETTING_KINDS = [
  kind({
    id: 'front-heel-from-mat-edge',
    isLarge: true,
    say: (value) => `front heel ${value} from the mat’s front edge`,
  }),
  kind({
    id: 'stance-length',
    isLarge: true,
    byHand: {
      key: 'stanceCm',
      step: 0.5,
      range: [0, 220],
      name: 'stance, heel to heel',
      handles: ['front-foot', 'back-foot'],
    },
    say: (value, _raw, to) => `${to} ${value} behind it`,
  }),
  kind({ id: 'back-heel-from-mat-edge', say: (value) => `back heel ${value} from the front edge` }),
  kind({
    id: 'back-ball-from-mat-edge',
    say: (value) => `ball of the back foot ${value} from the front edge`,
  }),
  kind({ id: 'back-knee-from-mat-edge', say: (value) => `back knee ${value} from the front edge` }),
  kind({
    id: 'stance-width',
    isLarge: true,
    byHand: {
      key: 'widthCm',
      step: 0.5,
      range: [-80, 80],
      name: 'back heel across from the front heel’s line (minus = heels overlap)',
      handles: [],
    },
    say: (value, raw, to) => {
      if (Math.abs(raw) < 0.25) return 'both heels on one line';
      if (to === 'back heel') {
        return raw > 0 ? `heels ${value} apart across the mat` : `heels overlap by ${value}`;
      }
      return `${to} ${value} ${raw > 0 ? 'to its own side of' : 'across'} the front heel’s line`;
    },
  }),
  kind({
    id: 'front-foot-angle',
    say: (value, raw) => (raw < 0.5 ? 'front toes straight ahead' : `front toes ${value} outward`),
  }),
  kind({
    id: 'back-foot-angle',
    isLarge: true,
    byHand: {
      key: 'backFootDeg',
      step: 1,
      range: [-45, 150],
      name: 'back toes from the mat’s line',
      handles: ['back-toes'],
    },
    say: (value) => `back toes ${value} from the mat’s line`,
  }),
  kind({
    id: 'front-knee-bend',
    isLarge: true,
    say: (value, raw, to) => sayKnee('front knee', value, raw, to),
  }),
  // Told where neither foot is in front and the knees differ.
  kind({ id: 'back-knee-bend', say: (value, raw, to) => sayKnee('back knee', value, raw, to) }),
  kind({
    id: 'pelvis-short-of-square',
    // The drawing writes “short of square” beside the number; here it is said in full.
    say: (value, raw, _to, from) => {
      const words = saySquare(raw);
      const edge = `the ${from === 'front edge' ? 'front' : from}`;
      if (words === 'square') return `pelvis square to ${edge}`;
      return raw > 0
        ? `let the pelvis rest ${value} short of facing ${edge}`
        : `pelvis turned ${value} past facing ${edge}`;
    },
  }),
  kind({ id: 'hips-off-wall', needsWall: true, say: (value) => `hips ${value} off the wall` }),
  kind({ id: 'heel-marks', say: (value) => `heel marks ${value} apart on the wall` }),
  kind({
    id: 'knee-support',
    servedBy: SERVES.lyingLimb,
    improvised: 'a firm cushion, or towels folded together',
    say: (value, raw, to) =>
      raw < 0.5 ? 'no support under the knee' : `support ${value} high under the ${to}`,
  }),
  kind({
    id: 'back-heel-block',
    servedBy: SERVES.lyingLimb,
    improvised: 'a firm cushion, or towels folded together',
    say: (value) => `block ${value} high under the back heel`,
  }),
  kind({
    id: 'chest-short-of-target',
    say: (value, raw, _to, from) =>
      raw < 2 ? `chest facing the ${from}` : `chest about ${value} short of the ${from}`,
  }),
  kind({
    id: 'back-heel-lift',
    isLarge: true,
    say: (value) => `back heel lifted ${value}, toes under`,
  }),
  kind({
    id: 'back-knee-from-wall',
    needsWall: true,
    say: (value) => `back knee ${value} from the wall, its foot against it`,
  }),
  kind({
    id: 'lifted-leg',
    isLarge: true,
    say: (value) => `back leg lifted ${value} from hanging`,
  }),
  kind({ id: 'lifted-ankle-height', say: (value) => `its ankle ${value} above the mat` }),
  kind({ id: 'sole-height', say: (value) => `toes of the lifted foot ${value} above the mat` }),
  kind({ id: 'knee-out', say: (value) => `its knee turned out ${value} from straight ahead` }),
  kind({ id: 'pelvis-tilt', say: (value) => `pelvis tipped forward ${value}` }),
  kind({ id: 'trunk-lean', say: (value) => `trunk leaning ${value} from upright` }),
  kind({ id: 'side-bend', say: (value) => `side bend of ${value} toward the back leg` }),
  kind({ id: 'chest-turned', say: (value) => `chest turned ${value} from facing the floor` }),
  kind({ id: 'spine-share-of-twist', say: (value) => `${value} of that from the spine` }),
  kind({
    id: 'pelvis-short-of-stacked',
    say: (value) => `let the upper hip rest ${value} short of stacked`,
  }),
  kind({
    id: 'hips-ahead-of-back-knee',
    say: (value) => `hips ${value} ahead of the back knee`,
  }),
  kind({
    id: 'hand-height',
    isLarge: true,
    byHand: {
      key: 'handCm',
      step: 0.5,
      range: [0, 150],
      name: 'hand above the mat',
      handles: ['hand'],
    },
    say: (value, raw) => (raw < 0.5 ? 'hand on the floor' : `hand ${value} above the mat`),
  }),
  kind({
    id: 'hand-ahead',
    say: (value, raw) =>
      Math.abs(raw) < 0.25
        ? 'that hand level with the front toe tips'
        : raw > 0
          ? `that hand ${value} ahead of the front toes`
          : `that hand ${value} behind the front toe tips`,
  }),
  kind({
    id: 'hand-beside',
    say: (value, raw) =>
      Math.abs(raw) < 0.25
        ? 'and on the foot’s line'
        : `and ${value} to the ${raw > 0 ? 'little-toe' : 'big-toe'} side of the foot’s line`,
  }),
  kind({
    id: 'elbow-bend',
    say: (value, _raw, to) =>
      to === 'forearm-on-its-support'
        ? `forearm on it, elbow bent ${value}`
        : `that elbow bent ${value}`,
  }),
  kind({ id: 'hands-apart', say: (value) => `hands ${value} apart` }),
  kind({
    id: 'second-block-in',
    say: (value, raw) =>
      raw < 0.5 ? 'both blocks under their shoulders' : `second block ${value} farther in`,
  }),
  kind({
    id: 'blocks-apart',
    say: (value) => `a block for each side, ${value} apart along the mat`,
  }),
  kind({ id: 'hand-up-shin', say: (value) => `hand on the shin, ${value} above the ankle` }),
  kind({
    id: 'thigh-support',
    servedBy: SERVES.thigh,
    improvised: 'a low stool with a folded blanket on it',
    say: (value) => `seat ${value} high under the front thigh`,
  }),
  kind({
    id: 'heel-wedge',
    servedBy: SERVES.heel,
    improvised: 'a mat or towel rolled tightly',
    say: (value) => `wedge ${value} high under the back heel`,
  }),
  kind({
    id: 'front-ball-block',
    servedBy: SERVES.ball,
    improvised: 'a mat rolled tightly, against a wall',
    say: (value) => `block ${value} high under the ball of the front foot`,
  }),
  kind({
    id: 'knee-pad',
    servedBy: SERVES.kneeOnMat,
    improvised: 'a folded towel, or the mat folded twice',
    say: (value) => `pad ${value} thick under the back knee`,
  }),
  kind({
    id: 'wall-behind',
    needsWall: true,
    say: (value, _raw, _to, from) => `wall ${value} behind the ${from}`,
  }),
  kind({
    id: 'wall-ahead',
    needsWall: true,
    say: (value) => `wall ${value} ahead of the front heel`,
  }),
  kind({
    id: 'heel-from-wall',
    needsWall: true,
    say: (value) => `front heel ${value} from the wall, toes up it`,
  }),
  kind({ id: 'ball-up-wall', say: (value) => `ball of the front foot ${value} up the wall` }),
  kind({
    id: 'foot-from-wall',
    needsWall: true,
    say: (value) => `outer edge of the standing foot ${value} from the wall`,
  }),
  kind({
    id: 'upper-hand-height',
    needsWall: true,
    say: (value) => `upper hand ${value} up the wall`,
  }),
  kind({
    id: 'upper-hand-along',
    say: (value, raw) => `and ${value} ${raw < 0 ? 'behind' : 'ahead of'} the front heel`,
  }),
  kind({
    id: 'rail-height',
    servedBy: 'rail',
    improvised: 'a wall behind the back in its place',
    say: (value) => `chair behind the back, its rail ${value} above the mat`,
  }),
  kind({
    id: 'chair-behind',
    say: (value) => `that rail ${value} from the front foot’s line, behind the back`,
  }),
  kind({
    id: 'chair-along',
    say: (value, raw) =>
      `under the lower shoulder blade, ${value} ${raw < 0 ? 'behind' : 'ahead of'} the front heel`,
  }),
  kind({
    id: 'wall-beside',
    needsWall: true,
    say: (value) => `wall ${value} to the standing side of the foot’s line`,
  }),
  kind({ id: 'loop-length', say: (value) => `strap loop ${value} long in all` }),
  kind({
    id: 'strap-to-own',
    servedBy: 'strap',
    improvised: 'a belt or a long scarf',
    say: (value) => `a strap of at least ${value}`,
  }),
  kind({
    id: 'pelvis-turn',
    say: (value) => `pelvis turned ${value} toward the front leg`,
  }),
  kind({
    id: 'bolster-height',
    servedBy: SERVES.head,
    improvised: 'a folded towel',
    say: (value) => `bolster ${value} high along the hip`,
  }),
  kind({
    id: 'head-support',
    servedBy: SERVES.head,
    improvised: 'a folded towel',
    say: (value, raw) =>
      raw < 0.5 ? 'nothing under the head' : `blanket ${value} high under the head`,
  }),
  kind({ id: 'leg-angle', say: (value, _raw, to) => `${to} ${value} from the floor` }),
  kind({
    id: 'strap-length',
    servedBy: 'strap',
    improvised: 'a belt or a long scarf',
    say: (value, raw) =>
      raw < 0.5 ? 'no strap: the hand reaches' : `strap of ${value} there and back`,
  }),
  kind({ id: 'door-frame-distance', say: (value) => `or hips ${value} off a door frame` }),
  kind({
    id: 'foot-height',
    say: (value, raw) =>
      raw < 0.5 ? 'crossed foot on the floor' : `crossed foot ${value} above the floor`,
  }),
  kind({
    id: 'seat-height',
    servedBy: SERVES.lyingLimb,
    improvised: 'a firm cushion, or towels folded together',
    say: (value, raw) => (raw < 0.5 ? 'sitting on the floor' : `seat ${value} high`),
  }),
  kind({
    id: 'bind-strap',
    servedBy: 'strap',
    improvised: 'a belt or a long scarf',
    say: (value) => `strap between the hands, ${value} to begin with`,
  }),
  kind({ id: 'pelvis-level', say: null }),
];

export type SettingId = (typeof SETTING_KINDS)[number]['id'];

/**
 * The kind of setting with an id.
 *
 * @param id as in a file
 * @returns null for an id that this version does not know, as in a file of a newer one
 * @example
 * findSettingKind('stance-length')?.isLarge // → true
 */
export const findSettingKind = (id: string): SettingKind | null =>
  SETTING_KINDS.find((each) => each.id === id) ?? null;
