import { box, Scene, SCENES, VIEWS, type LyingOptions, type LyingScene } from './scene.ts';
import { findMat, USUAL_STUDIO } from '../../studio/studio.ts';
import { toElevation } from '../view.ts';
import type { Point, Drawing } from '../shapes.ts';
import { lerp } from '../../geometry/vector.ts';
import type { LyingPose } from '../../poses/lying/lyingPose.ts';
import type { SetUp } from '../../setup/setUp.ts';
import { writeDegrees, writeSettable } from '../units.ts';

/** A loop sits this far above the knee, as a share of the thigh. Our drawing choice. */
const LOOP_ON_THIGH = 0.9;

const HALF_BLOCK = 7.5;

/** A wall is drawn beyond what stands at it by this, so that its word has room. */
const WALL_BEYOND = 24;

const SEAT_DEPTH = { behind: 20, ahead: 16 } as const;

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
  const mat = scene.setUp.mat ?? findMat(USUAL_STUDIO.cupboard);
  const half = mat.widthCm / 2;
  scene.shapes.push(box('mat', hips[0] - half, wallY - mat.lengthCm, hips[0] + half, wallY));
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

function drawLyingFromSide(scene: Scene): void {
  const hips = scene.at('pelvisCentre');
  const seat = scene.value('seat-height');
  const xs = Object.values(scene.setUp.landmarks).map((each) => toElevation(scene.view, each)[0]);
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
  'from-the-side': drawLyingFromSide,
  'from-the-feet': drawFromFeet,
};

/**
 * A lying or seated form to scale: the person's own body on the floor, with the wall, marks,
 * supports and straps of its set-up where they go.
 *
 * @param pose the form's data
 * @param setUp the set-up
 * @param options unit and size of the labels
 * @returns null when the set-up has no numbers (it was stopped)
 */
export function drawLying(pose: LyingPose, setUp: SetUp, options: LyingOptions): Drawing | null {
  if (setUp.settings.length === 0) return null;
  const kind = SCENES[pose.id];
  const scene = new Scene(setUp, options, kind);
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
