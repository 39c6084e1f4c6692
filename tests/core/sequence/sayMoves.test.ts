import { describe, expect, it } from 'vitest';
import type { FootPlace } from '../../../src/core/sequence/feetPlaces.ts';
import { findFootMoves } from '../../../src/core/sequence/moves.ts';
import { sayFootChange, sayMove } from '../../../src/core/sequence/sayMoves.ts';

const foot = (x: number, y: number, turnDeg = 0, part: FootPlace['part'] = 'foot'): FootPlace => ({
  part,
  x,
  y,
  turnDeg,
});
const front = foot(0, -8);
const say = (from: FootPlace | null, to: FootPlace | null, stepsIn = 0): string => {
  const [move] = findFootMoves({ left: from, right: front }, { left: to, right: front }, stepsIn);
  return move === undefined ? 'stays' : sayMove(move, 'right', 'cm');
};

describe('what a foot does, in words', () => {
  it('is said along the mat, across it, and where the toes point', () => {
    expect(say(foot(-100, 0, 80), foot(-89, 0, 70))).toBe('back foot in 11 cm, toes to 70°');
    expect(say(foot(-89, 0), foot(-100, 0))).toBe('back foot out 11 cm');
    expect(say(foot(-90, 0), foot(-90, 12))).toBe('back foot 12 cm to the left');
    expect(say(foot(-90, 0, 70), foot(-90, 0, 0))).toBe('back foot, toes ahead');
    expect(say(foot(-90, 0), foot(-90.4, 0, 0.5))).toBe('stays');
  });

  it('names heels and knees that come up or down, and feet that leave the mat', () => {
    expect(say(foot(-90, 0, 75), foot(-80, 0, 0, 'ball'))).toBe(
      'back foot in 10 cm, toes ahead, heel up',
    );
    expect(say(foot(-80, 0, 0, 'ball'), foot(-55, 0, 0, 'knee'))).toBe(
      'back knee in 25 cm, knee down',
    );
    expect(say(foot(-100, -8), null, 0.5)).toBe('back foot in 50 cm, then off the mat');
    expect(say(null, foot(-100, 0, 70))).toBe('back foot down to its mark');
  });

  it('is said in inches too, and for a pose without a front leg by its side', () => {
    const [move] = findFootMoves(
      { left: foot(-100, 8), right: front },
      { left: foot(-74.6, 8), right: front },
    );
    expect(sayMove(move!, 'right', 'in')).toBe('back foot in 10 in');
    expect(sayMove(move!, null, 'cm')).toBe('left foot ahead 25 cm');
    expect(sayFootChange({ stanceCm: -11, turnDeg: 0 }, 'cm')).toBe('step in 11 cm');
    expect(sayFootChange({ stanceCm: 4, turnDeg: -6 }, 'cm')).toBe(
      'step out 4 cm and turn the back foot in 6°',
    );
  });
});
