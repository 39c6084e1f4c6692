/** Limits along other joints, by hand from the rules of the body model in docs/model.md. */
import { describe, expect, it } from 'vitest';
import { findPiece } from '../../../src/core/conditions/demandPieces.ts';
import { DemandSheet } from '../../../src/core/conditions/demandSheet.ts';
import { calcDemands } from '../../../src/core/conditions/demands.ts';
import type { Joint, LegLimits, Limits, Motion } from '../../../src/core/conditions/limits.ts';
import {
  findLegObservable,
  Observables,
  type LegObservable,
} from '../../../src/core/conditions/observables.ts';
import { buildSkeleton } from '../../../src/core/skeleton/skeleton.ts';
import { CANONICAL_BODY, STANDING, standOn } from '../../support/canonicalBody.ts';

const rad = (degrees: number): number => (degrees * Math.PI) / 180;
const deg = (radians: number): number => (radians * 180) / Math.PI;

const LEG: LegLimits = {
  straightLegRaise: rad(80),
  flexion: rad(120),
  extension: rad(20),
  extensionBentKnee: rad(6),
  abduction: rad(40),
  opening: rad(55),
  adduction: rad(20),
  externalRotation: rad(45),
  internalRotation: rad(30),
  dorsiflexionStraight: rad(30),
  dorsiflexionBent: rad(40),
  kneeFlexion: rad(140),
  toeExtension: rad(60),
};
const limitsOf = (leg: Partial<LegLimits> = {}): Limits => ({
  front: { ...LEG, ...leg },
  back: LEG,
  trunk: {
    flexion: rad(60),
    extension: rad(20),
    sideBendToFront: rad(25),
    sideBendToBack: rad(26),
    rotationToFront: rad(45),
    rotationToBack: rad(46),
  },
});

/** The front leg's limit of one motion, degrees, with joints bent as given. */
function hasAt(
  joint: Joint,
  motion: Motion,
  bent: Partial<Record<LegObservable, number>>,
  leg: Partial<LegLimits> = {},
  bears = true,
): number {
  const sheet = new DemandSheet(limitsOf(leg), { front: bears, back: true });
  const values = new Float64Array(new Observables().length);
  for (const [observable, degrees] of Object.entries(bent)) {
    values[findLegObservable('front', observable as LegObservable)] = rad(degrees);
  }
  sheet.fill(values);
  const at = findPiece('front', joint, motion);
  // A limit along another joint has two pieces; the smaller holds.
  return deg(Math.min(sheet.has[at]!, sheet.has[at + 1]!));
}

describe('a limit that depends on another joint', () => {
  it.each([
    [0, 80],
    [45, 100],
    [90, 120],
    [130, 120],
  ])('hip flexion with the knee at %i° is %i°', (knee, has) => {
    expect(hasAt('hip', 'flexion', { kneeFlexion: knee })).toBeCloseTo(has, 9);
  });

  it.each([
    [0, 20],
    [45, 13],
    [90, 6],
    [115, 3],
    [140, 0],
  ])('hip extension with the knee at %i° is %i°', (knee, has) => {
    expect(hasAt('hip', 'extension', { kneeFlexion: knee })).toBeCloseTo(has, 9);
  });

  it.each([
    [-20, 40],
    [0, 40],
    [30, 47.5],
    [60, 55],
    [90, 55],
  ])('hip abduction with the hip flexed by %i° is %f°', (hip, has) => {
    expect(hasAt('hip', 'abduction', { hipFlexion: hip })).toBeCloseTo(has, 9);
  });

  it.each([
    [0, 30],
    [20, 30],
    [30, 35],
    [40, 40],
    [90, 40],
  ])('dorsiflexion with the knee at %i° is %i°', (knee, has) => {
    expect(hasAt('ankle', 'dorsiflexion', { kneeFlexion: knee })).toBeCloseTo(has, 9);
  });

  it('bends a knee by up to 9° more with the hip flexed', () => {
    expect(hasAt('knee', 'flexion', { hipFlexion: 0 })).toBeCloseTo(140, 9);
    expect(hasAt('knee', 'flexion', { hipFlexion: 45 })).toBeCloseTo(149, 9);
  });

  it('is not known between its ends where one was not measured, and known near the other', () => {
    const leg = { flexion: null };
    expect(hasAt('hip', 'flexion', { kneeFlexion: 5 }, leg)).toBeNaN();
    const sheet = new DemandSheet(limitsOf(leg), { front: true, back: true });
    const values = new Float64Array(new Observables().length);
    sheet.fill(values);
    expect(deg(sheet.has[findPiece('front', 'hip', 'flexion')]!)).toBeCloseTo(80, 9);
    values[findLegObservable('front', 'kneeFlexion')] = rad(45);
    sheet.fill(values);
    expect(sheet.has[findPiece('front', 'hip', 'flexion')]).toBeNaN();
  });

  it('leaves an ankle that carries nothing without a limit', () => {
    expect(hasAt('ankle', 'dorsiflexion', { kneeFlexion: 30 }, {}, false)).toBeNaN();
  });
});

describe('the demands of a posture', () => {
  it('are nothing at every joint of someone who stands, each beside what they have', () => {
    const skeleton = buildSkeleton(CANONICAL_BODY, standOn(0.17), STANDING);
    const demands = calcDemands(skeleton, limitsOf());
    // Nine motions a leg, the toes, and six of the spine.
    expect(demands).toHaveLength(2 * 9 + 1 + 6);
    for (const { joint, motion, asked } of demands) {
      expect(Math.abs(deg(asked!)), `${joint} ${motion}`).toBeLessThan(0.5);
    }
    const hasOf = (joint: Joint, motion: Motion, place: 'front' | 'back' | null): number | null =>
      demands.find(
        (each) => each.joint === joint && each.motion === motion && each.place === place,
      )!.has;
    expect(deg(hasOf('hip', 'flexion', 'front')!)).toBeCloseTo(80, 0);
    expect(deg(hasOf('spine', 'side-bend', 'front')!)).toBeCloseTo(25, 9);
    expect(deg(hasOf('spine', 'side-bend', 'back')!)).toBeCloseTo(26, 9);
    // Inversion is reported, never a limit.
    expect(hasOf('ankle', 'inversion', 'back')).toBeNull();
  });

  it('ask opposite directions of one joint for opposite angles', () => {
    const turned = { ...STANDING, spine: { flexion: rad(10), sideBend: 0, rotation: rad(-12) } };
    const skeleton = buildSkeleton(CANONICAL_BODY, standOn(0.17), turned);
    const spine = calcDemands(skeleton, limitsOf()).filter(({ joint }) => joint === 'spine');
    const askedOf = (motion: Motion, place: 'front' | 'back' | null): number =>
      deg(spine.find((each) => each.motion === motion && each.place === place)!.asked!);
    expect(askedOf('flexion', null)).toBeCloseTo(10, 9);
    expect(askedOf('extension', null)).toBeCloseTo(-10, 9);
    expect(askedOf('axial-rotation', 'front')).toBeCloseTo(-askedOf('axial-rotation', 'back'), 9);
    expect(Math.abs(askedOf('axial-rotation', 'front'))).toBeCloseTo(12, 9);
  });
});
