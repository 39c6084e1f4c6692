import { describe, expect, it } from 'vitest';
import { ARM_OUT, CANONICAL_BODY, STANDING, standOn } from '../../support/canonicalBody.ts';
import { fromYawTiltList } from '../../../src/core/geometry/rotation.ts';
import type { Spine } from '../../../src/core/skeleton/posture.ts';
import type { ArmPlan } from '../../../src/core/skeleton/arm.ts';
import { buildSkeleton } from '../../../src/core/skeleton/skeleton.ts';
import { findBonyPoints } from '../../../src/core/skeleton/bonyPoints.ts';
import type { ContactPlan } from '../../../src/core/skeleton/contacts.ts';
import { distance } from '../../../src/core/geometry/vector.ts';

const DOWN: ArmPlan = {
  reach: 'down',
  bears: false,
  clearFrontFoot: null,
  mostAside: 0.15,
  onHeight: 0,
  elbowOutward: false,
};
const DEG = Math.PI / 180;
const contacts = (arms: ArmPlan = ARM_OUT): ContactPlan => standOn(0.17, arms);

describe('the skeleton', () => {
  it('stands upright with every joint at zero', () => {
    const { legs, chestCentre, head } = buildSkeleton(CANONICAL_BODY, contacts(), STANDING);
    for (const leg of [legs.front, legs.back]) {
      expect(leg.overreach).toBeCloseTo(0, 9);
      expect(leg.hipAngles.flexion).toBeCloseTo(0, 6);
      expect(leg.hipAngles.abduction).toBeCloseTo(0, 6);
      expect(leg.ankleAngles.dorsiflexion).toBeCloseTo(0, 6);
    }
    expect(chestCentre[2]).toBeCloseTo(1.39, 9);
    expect(head[2]).toBeCloseTo(1.39 + 0.118 * 1.7, 9);
  });

  it('carries its weight where the table puts it, summed by hand', () => {
    const { centreOfMass } = buildSkeleton(CANONICAL_BODY, contacts(), STANDING);
    // Heights of the segment centres of this body, Winter after Dempster (from memory).
    const thigh = 0.89 - 0.433 * 0.42;
    const shank = 0.47 - 0.433 * 0.4;
    const parts: readonly (readonly [number, number])[] = [
      [0.497, 0.89 + 0.25],
      [0.081, 1.39 + 0.118 * 1.7],
      [0.2, thigh],
      [0.093, shank],
      [0.029, 0],
      [2 * (0.028 + 0.016 + 0.006), 1.39],
    ];
    const mass = parts.reduce((sum, [share]) => sum + share, 0);
    const height = parts.reduce((sum, [share, z]) => sum + share * z, 0) / mass;
    expect(centreOfMass[2]).toBeCloseTo(height, 6);
    // A standing body's weight lies a little above half its height (common practice, no source).
    expect(centreOfMass[2] / 1.7).toBeGreaterThan(0.52);
    expect(centreOfMass[2] / 1.7).toBeLessThan(0.6);
    expect(centreOfMass[1]).toBeCloseTo(0.085, 9);
  });

  it('bends the spine forward, sideways and round by what it is told', () => {
    const bent = (changes: Partial<Spine>) =>
      buildSkeleton(CANONICAL_BODY, contacts(), {
        ...STANDING,
        spine: { ...STANDING.spine, ...changes },
      });
    const forward = bent({ flexion: 30 * DEG });
    expect(forward.chestCentre[0] - STANDING.pelvisCentre[0]).toBeCloseTo(0.25, 9);
    const toLeft = bent({ sideBend: 30 * DEG });
    expect(toLeft.chestCentre[1] - STANDING.pelvisCentre[1]).toBeCloseTo(0.25, 9);
    const round = bent({ rotation: 90 * DEG });
    expect(round.chest.forward[1]).toBeCloseTo(1, 9);
    expect(round.chestCentre[2]).toBeCloseTo(1.39, 9);
  });

  it('hangs arms plumb, and bends the elbow when the shoulder is too low for its reach', () => {
    const upright = buildSkeleton(CANONICAL_BODY, contacts(DOWN), STANDING);
    expect(upright.arms.front.palm[2]).toBeCloseTo(1.39 - 0.62, 9);
    const low = buildSkeleton(CANONICAL_BODY, contacts(DOWN), {
      ...STANDING,
      pelvis: fromYawTiltList({ yaw: 0, tilt: 130 * DEG, list: 0 }),
    });
    const { shoulder, elbow, wrist, palm } = low.arms.front;
    expect(palm[2]).toBe(0);
    expect(distance(shoulder, elbow)).toBeCloseTo((0.186 / 0.386) * 0.62, 6);
    expect(distance(elbow, wrist)).toBeCloseTo((0.146 / 0.386) * 0.62, 6);
    expect(distance(shoulder, palm)).toBeLessThan(0.62);
  });

  it('has its bony points where Bell, Pedersen & Brand put them (from memory)', () => {
    const skeleton = buildSkeleton(CANONICAL_BODY, contacts(), STANDING);
    const { asis, sacrum } = findBonyPoints(CANONICAL_BODY, skeleton);
    const width = distance(asis.front, asis.back);
    expect(width).toBeCloseTo(0.17 / 0.72, 9);
    const { hip } = skeleton.legs.front;
    expect((asis.front[2] - hip[2]) / width).toBeCloseTo(0.3, 9);
    expect((asis.front[0] - hip[0]) / width).toBeCloseTo(0.19, 9);
    expect((hip[1] - asis.front[1]) / width).toBeCloseTo(0.14, 9);
    expect(sacrum[2]).toBeCloseTo(asis.front[2], 9);
  });
});
