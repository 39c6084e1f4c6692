import type { Body } from '../../body/body.ts';
import { lerp } from '../../geometry/vector.ts';
import type { LyingPose } from '../../poses/lying/lyingPose.ts';
import { getValue } from '../../setup/setUp.ts';
import { MAT_LENGTH_CM, MAT_WIDTH_CM } from '../../setup/mat.ts';
import type { LandmarkCm, SetUp, SettingId } from '../../setup/setUp.ts';
import type { LengthUnit } from '../../units/readQuantity.ts';
import { poseDemonstration } from '../demonstration/poseDemonstration.ts';
import { drawFigure } from '../figure.ts';
import { boxOfPoints, boxOfText, choosePlace, type Box } from '../placement.ts';
import { line, type Drawing, type Point, type Shape } from '../shapes.ts';
import { NUMBER_SIZE } from '../sheetFrame.ts';
import { writeDegrees, writeSettable } from '../units.ts';
import { toElevation, type View } from '../view.ts';
import { findLyingPosture, type LyingScene } from './lyingPosture.ts';

interface LyingOptions {
  readonly unit: LengthUnit;
  readonly labelMm: number;
}

/** A loop sits this far above the knee, as a share of the thigh. Our drawing choice. */
const LOOP_ON_THIGH = 0.9;
const MARGIN = 10;
const HALF_BLOCK = 7.5;
/** A wall is drawn beyond what stands at it by this, so that its word has room. */
const WALL_BEYOND = 24;
const SEAT_DEPTH = { behind: 20, ahead: 16 } as const;

const VIEWS: Readonly<Record<LyingScene, View>> = {
  // A body on its back seen from above is drawn as one that stands, seen from the front.
  'before-a-wall': { axis: 'front', from: 1, words: 'seen from above' },
  'beside-a-wall': { axis: 'front', from: 1, words: 'seen from above' },
  'from-the-side': { axis: 'side', from: -1, words: 'seen from the side' },
  'from-the-feet': { axis: 'front', from: 1, words: 'seen from the feet' },
};

/** Left and right change places, where the left leg is the one in front. */
function mirror(landmarks: Readonly<Record<string, LandmarkCm>>): Record<string, LandmarkCm> {
  const swapped = (name: string): string =>
    name.endsWith('Left') ? name.replace(/Left$/, 'Right') : name.replace(/Right$/, 'Left');
  return Object.fromEntries(
    Object.entries(landmarks).map(([name, [x, y, z]]) => [swapped(name), [x, -y, z] as const]),
  );
}

/** Draws in one scene; labels are placed last, where they meet nothing. */
class Scene {
  readonly shapes: Shape[] = [];
  private readonly taken: Box[] = [];
  private readonly labels: (() => void)[] = [];
  readonly view: View;
  readonly landmarks: Readonly<Record<string, LandmarkCm>>;

  constructor(
    readonly setUp: SetUp,
    readonly options: LyingOptions,
    readonly scene: LyingScene,
    landmarks: Readonly<Record<string, LandmarkCm>>,
  ) {
    this.view = VIEWS[scene];
    this.landmarks = landmarks;
  }

  /** A landmark of the front or the back leg, or of the middle, on the page. */
  at(name: string, place: 'front' | 'back' | null = null): Point {
    return toElevation(this.view, this.mark(name, place));
  }

  mark(name: string, place: 'front' | 'back' | null = null): LandmarkCm {
    const right = (this.setUp.side === 'right') === (place === 'front');
    const suffix = place === null ? '' : right ? 'Right' : 'Left';
    return this.landmarks[`${name}${suffix}`]!;
  }

  value(id: SettingId): number | null {
    return getValue(this.setUp, id);
  }

  put(...shapes: Shape[]): void {
    this.shapes.push(...shapes);
    for (const shape of shapes) {
      if (shape.kind === 'polygon' || shape.kind === 'line')
        this.taken.push(boxOfPoints(shape.points));
    }
  }

  /** Only points, so that a slanting line does not keep labels out of its whole box. */
  putLine(role: string, from: Point, to: Point): void {
    this.shapes.push(line(role, from, to));
    for (let i = 0; i <= 8; i += 1) {
      const [x, y] = [from[0] + ((to[0] - from[0]) * i) / 8, from[1] + ((to[1] - from[1]) * i) / 8];
      this.taken.push([x - 0.8, y - 0.8, x + 0.8, y + 0.8]);
    }
  }

  /** A dimension between two points, with its number and words. */
  dimension(id: SettingId, from: Point, to: Point, words: string): void {
    const size = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
    const across: Point = [(-(to[1] - from[1]) / size) * 2.5, ((to[0] - from[0]) / size) * 2.5];
    this.putLine('dimension', from, to);
    for (const [x, y] of [from, to]) {
      this.shapes.push(
        line('dimension', [x - across[0], y - across[1]], [x + across[0], y + across[1]]),
      );
    }
    this.label(id, [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2], words);
  }

  /** A number of the set-up told near a point. */
  label(id: SettingId, near: Point, words: string): void {
    this.labels.push(() => {
      this.placeLabel(id, near, words);
    });
  }

  private placeLabel(id: SettingId, near: Point, words: string): void {
    const setting = this.setUp.settings.find((each) => each.id === id);
    if (setting === undefined) return;
    const { unit, labelMm: label } = this.options;
    const number =
      setting.unit === 'deg' ? writeDegrees(setting.value) : writeSettable(setting.value, unit);
    const told = setting.unit === 'deg' ? words : `${unit} ${words}`;
    const size = NUMBER_SIZE * label;
    const places = [1, 1.8, 2.8, 4, 5.5].flatMap((ring) =>
      Array.from({ length: 12 }, (_, i) => {
        const angle = (i * Math.PI) / 6;
        const x = near[0] + Math.cos(angle) * ring * label * 1.9;
        const y = near[1] + Math.sin(angle) * ring * label * 1.2;
        const anchor: 'start' | 'middle' | 'end' =
          Math.abs(Math.cos(angle)) < 0.3 ? 'middle' : Math.cos(angle) > 0 ? 'start' : 'end';
        const below: Point = [x, y + label * 1.35];
        return {
          at: [x, y] as Point,
          below,
          anchor: anchor,
          boxes: [boxOfText(number, [x, y], size, anchor), boxOfText(told, below, label, anchor)],
        };
      }),
    );
    const [first, ...others] = places;
    const place = choosePlace([first!, ...others], this.taken);
    this.taken.push(...place.boxes);
    this.shapes.push(
      {
        kind: 'text',
        role: 'number',
        at: place.at,
        text: number,
        size,
        anchor: place.anchor,
        setting: id,
      },
      {
        kind: 'text',
        role: 'label',
        at: place.below,
        text: told,
        size: label,
        anchor: place.anchor,
      },
    );
  }

  /** A word that labels keep clear of. */
  word(text: string, at: Point, anchor: 'start' | 'end'): void {
    const size = this.options.labelMm;
    this.taken.push(boxOfText(text, at, size, anchor));
    this.shapes.push({ kind: 'text', role: 'edge', at, text, size, anchor });
  }

  drawBody(): void {
    this.shapes.push(...drawFigure(this.view, { ...this.setUp, landmarks: this.landmarks }, true));
    const joints = ['hip', 'knee', 'ankle'].flatMap((name) => [
      this.at(name, 'front'),
      this.at(name, 'back'),
    ]);
    for (const centre of joints) {
      this.shapes.push({ kind: 'circle', role: 'joint', centre, radius: 1.1 });
    }
    // The body keeps labels off by its limbs, not by one box round it.
    const limb = (from: Point, to: Point, half: number): void => {
      for (let i = 0; i <= 6; i += 1) {
        const [x, y] = [
          from[0] + ((to[0] - from[0]) * i) / 6,
          from[1] + ((to[1] - from[1]) * i) / 6,
        ];
        this.taken.push([x - half, y - half, x + half, y + half]);
      }
    };
    for (const place of ['front', 'back'] as const) {
      limb(this.at('hip', place), this.at('knee', place), 7);
      limb(this.at('knee', place), this.at('ankle', place), 5);
      limb(this.at('ankle', place), this.at('toe', place), 3);
      limb(this.at('shoulder', place), this.at('hand', place), 4);
    }
    limb(this.at('pelvisCentre'), this.at('chestCentre'), 12);
    limb(this.at('neck'), this.at('head'), 8);
  }

  finish(caption: string): Drawing {
    for (const place of this.labels) place();
    const points = this.shapes.flatMap((shape): Point[] => {
      switch (shape.kind) {
        case 'polygon':
        case 'line':
          return [...shape.points];
        case 'circle':
        case 'arc':
          return [shape.centre];
        case 'text': {
          const [left, top, right, bottom] = boxOfText(
            shape.text,
            shape.at,
            shape.size,
            shape.anchor,
          );
          return [
            [left, top],
            [right, bottom],
          ];
        }
      }
    });
    const [left, top, right, bottom] = boxOfPoints(points);
    return {
      box: [left - MARGIN, top - MARGIN, right - left + 2 * MARGIN, bottom - top + 2 * MARGIN],
      shapes: this.shapes,
      caption,
    };
  }
}

const box = (role: string, left: number, top: number, right: number, bottom: number): Shape => ({
  kind: 'polygon',
  role,
  points: [
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ],
});

/** From above: the wall at the feet, the heel marks on it, supports under knee and heel. */
function drawBeforeWall(scene: Scene): void {
  const hips = scene.at('pelvisCentre');
  const off = scene.value('hips-off-wall') ?? 0;
  const wallY = hips[1] + off;
  const { labelMm: label } = scene.options;
  const support = scene.value('knee-support');
  const block = scene.value('back-heel-block');
  const knee = scene.at('knee', 'front');
  const ankle = scene.at('ankle', 'back');
  // The mat lies with its short edge to the wall.
  const half = MAT_WIDTH_CM / 2;
  scene.shapes.push(box('mat', hips[0] - half, wallY - MAT_LENGTH_CM, hips[0] + half, wallY));
  if (support !== null && support > 0) {
    scene.put(box('prop', knee[0] - 11, knee[1] - 11, knee[0] + 11, knee[1] + 11));
  }
  if (block !== null) {
    scene.put(
      box('prop', ankle[0] - HALF_BLOCK, ankle[1] - 6, ankle[0] + HALF_BLOCK, ankle[1] + 4),
    );
  }
  scene.drawBody();
  const marks = scene.value('heel-marks');
  const across = Math.sign(ankle[0] - scene.at('hip', 'front')[0]) || 1;
  const backX = scene.at('hip', 'back')[0] + (ankle[0] - scene.at('hip', 'back')[0]);
  const frontX = marks === null ? backX : backX - across * marks;
  const ends = [frontX, backX, scene.at('hand', 'front')[0], scene.at('hand', 'back')[0]];
  const [wallStart, wallEnd] = [Math.min(...ends) - WALL_BEYOND, Math.max(...ends) + WALL_BEYOND];
  scene.putLine('floor', [wallStart, wallY], [wallEnd, wallY]);
  // At the end where no block has its number.
  scene.word(
    'wall',
    [across > 0 ? wallStart : wallEnd, wallY - label * 0.5],
    across > 0 ? 'start' : 'end',
  );
  if (marks !== null) {
    for (const x of [frontX, backX]) {
      scene.put({
        kind: 'polygon',
        role: 'heel-mark',
        points: [
          [x, wallY],
          [x - 2.2, wallY + 5],
          [x + 2.2, wallY + 5],
        ],
      });
    }
    const y = wallY + 8;
    scene.dimension('heel-marks', [frontX, y], [backX, y], 'between the heel marks');
  }
  scene.dimension('hips-off-wall', hips, [hips[0], wallY], 'off the wall');
  if (support !== null) scene.label('knee-support', knee, 'support under the knee');
  if (block !== null)
    scene.label('back-heel-block', [ankle[0], ankle[1] - 6], 'block under the heel');
  if (scene.value('bolster-height') !== null) {
    scene.label('bolster-height', [hips[0], hips[1] - 4], 'bolster at the hip');
  }
  if (scene.value('head-support') !== null) {
    scene.label('head-support', scene.at('head'), 'under the head');
  }
  if (scene.value('pelvis-turn') !== null) {
    scene.label('pelvis-turn', hips, 'pelvis turned to the front leg');
  }
}

/** From above: the leg lies across, its foot toward a wall at that side. */
function drawCrossed(scene: Scene): void {
  const hips = scene.at('pelvisCentre');
  const foot = scene.at('ankle', 'front');
  const off = scene.value('hips-off-wall') ?? 0;
  const toward = Math.sign(foot[0] - hips[0]) || 1;
  const wallX = hips[0] + toward * off;
  scene.drawBody();
  scene.putLine('floor', [wallX, hips[1] - 45], [wallX, hips[1] + 45]);
  scene.word('wall', [wallX - toward * 2, hips[1] + 44], toward > 0 ? 'end' : 'start');
  const y = hips[1] + 30;
  scene.dimension('hips-off-wall', [hips[0], y], [wallX, y], 'off the wall');
  scene.label('foot-height', foot, 'foot above the floor');
}

function drawFromSide(scene: Scene): void {
  const hips = scene.at('pelvisCentre');
  const seat = scene.value('seat-height');
  const xs = Object.values(scene.landmarks).map((each) => toElevation(scene.view, each)[0]);
  scene.putLine('floor', [Math.min(...xs) - 14, 0], [Math.max(...xs) + 14, 0]);
  if (seat !== null && seat > 0) {
    const [back, front] = [hips[0] - SEAT_DEPTH.behind, hips[0] + SEAT_DEPTH.ahead];
    scene.put(box('prop', back, -seat, front, 0));
  }
  scene.drawBody();
  const angle = scene.value('leg-angle');
  if (angle !== null) {
    const radius = 26;
    // From the leg on the floor, whose foot stays on its side when the other one passes upright.
    const toward = Math.sign(scene.at('ankle', 'back')[0] - hips[0]) || 1;
    scene.shapes.push({
      kind: 'arc',
      role: 'dimension',
      centre: hips,
      radius,
      fromDeg: toward > 0 ? 0 : 180,
      toDeg: toward > 0 ? -angle : 180 + angle,
    });
    const half = ((angle / 2) * Math.PI) / 180;
    const near: Point = [
      hips[0] + toward * radius * Math.cos(half),
      hips[1] - radius * Math.sin(half),
    ];
    scene.label('leg-angle', near, 'leg from the floor');
  }
  const strap = scene.value('strap-length');
  if (strap !== null && strap > 0) {
    const [hand, sole] = [scene.at('hand', 'front'), scene.at('ball', 'front')];
    scene.putLine('strap', hand, sole);
    scene.label(
      'strap-length',
      [(hand[0] + sole[0]) / 2, (hand[1] + sole[1]) / 2],
      'strap, there and back',
    );
  }
  if (scene.value('loop-length') !== null) {
    const [hip, knee] = [scene.mark('hip', 'front'), scene.mark('knee', 'front')];
    const thigh = toElevation(scene.view, lerp(hip, knee, LOOP_ON_THIGH));
    const sole = scene.at('heel', 'back');
    scene.putLine('strap', thigh, sole);
    scene.label('loop-length', [(thigh[0] + sole[0]) / 2, (thigh[1] + sole[1]) / 2], 'loop in all');
  }
  const frame = scene.value('door-frame-distance');
  if (frame !== null) {
    const toward = Math.sign(scene.at('ankle', 'back')[0] - hips[0]) || 1;
    const x = hips[0] + toward * frame;
    scene.putLine('square', [x, 0], [x, scene.at('ankle', 'front')[1]]);
    scene.dimension('door-frame-distance', [hips[0], 9], [x, 9], 'hips off a door frame');
  }
  if (seat !== null) scene.label('seat-height', [hips[0] - SEAT_DEPTH.behind, -seat / 2], 'seat');
  if (scene.value('knee-support') !== null) {
    scene.label('knee-support', scene.at('knee', 'front'), 'roll under the knees');
  }
}

function drawFromFeet(scene: Scene): void {
  const support = scene.value('knee-support') ?? 0;
  const knees = (['front', 'back'] as const).map((place) => scene.at('knee', place));
  const xs = knees.map(([x]) => x);
  scene.putLine('floor', [Math.min(...xs) - 25, 0], [Math.max(...xs) + 25, 0]);
  if (support > 0) {
    for (const [x] of knees) scene.put(box('prop', x - HALF_BLOCK, -support, x + HALF_BLOCK, 0));
  }
  scene.drawBody();
  scene.label('knee-support', knees[0]!, 'support under each knee');
}

const DRAW: Readonly<Record<LyingScene, (scene: Scene) => void>> = {
  'before-a-wall': drawBeforeWall,
  'beside-a-wall': drawCrossed,
  'from-the-side': drawFromSide,
  'from-the-feet': drawFromFeet,
};

/**
 * A lying or seated form to scale: the person's own body on the floor, with the wall, marks,
 * supports and straps of its set-up where they go.
 *
 * @param body the same that the set-up was computed from
 * @returns null when the set-up has no numbers (it was stopped)
 */
export function drawLying(
  pose: LyingPose,
  setUp: SetUp,
  body: Body,
  options: LyingOptions,
): Drawing | null {
  if (setUp.settings.length === 0) return null;
  const { scene: kind, demo, raisedCm } = findLyingPosture(pose.id, setUp, body);
  const posed = poseDemonstration(body, demo).landmarks;
  const own = setUp.side === 'right' ? posed : mirror(posed);
  const landmarks = Object.fromEntries(
    Object.entries(own).map(([name, [x, y, z]]) => [name, [x, y, z + raisedCm] as const]),
  );
  const scene = new Scene(setUp, options, kind, landmarks);
  DRAW[kind](scene);
  const told = setUp.settings.map(({ id, value, unit }) => {
    const number =
      unit === 'deg'
        ? writeDegrees(value)
        : `${writeSettable(value, options.unit)} ${options.unit}`;
    return `${id.replaceAll('-', ' ')} ${number}`;
  });
  return scene.finish(`${pose.name}, ${setUp.side} leg, ${VIEWS[kind].words}: ${told.join(', ')}.`);
}
