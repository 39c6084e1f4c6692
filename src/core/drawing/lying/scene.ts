import type { LengthUnit } from '../../units/readQuantity.ts';
import type { LyingFormId } from '../../poses/lying/lyingPose.ts';
import { type View, toElevation } from '../view.ts';
import type { Vec3 } from '../../geometry/vector.ts';
import type { LandmarkCm } from '../../skeleton/landmark.ts';
import { type SetUp, getValue } from '../../setup/setUp.ts';
import type { SettingId } from '../../setup/settingKinds.ts';
import { type Shape, type Point, line, type Drawing } from '../shapes.ts';
import { type Box, boxOfPoints, boxOfText, choosePlace } from '../placement.ts';
import { writeDegrees, writeSettable } from '../units.ts';
import { NUMBER_SIZE } from '../sheetFrame.ts';
import { drawFigure } from '../figure.ts';

export interface LyingOptions {
  readonly unit: LengthUnit;
  readonly labelMm: number;
}

const MARGIN = 10;

/** How a lying or seated form is seen: on the floor before a wall, from the side, or from the feet. */
export type LyingScene = 'before-a-wall' | 'beside-a-wall' | 'from-the-side' | 'from-the-feet';

export const SCENES: Readonly<Record<LyingFormId, LyingScene>> = {
  'lying-warrior-two': 'before-a-wall',
  'lying-side-angle': 'before-a-wall',
  'lying-warrior-one': 'before-a-wall',
  'lying-revolved-side-angle': 'before-a-wall',
  'lying-triangle': 'before-a-wall',
  'lying-crossed-twist': 'beside-a-wall',
  'lying-hand-to-foot': 'from-the-side',
  'lying-pyramid': 'from-the-side',
  staff: 'from-the-side',
  'seated-straddle': 'from-the-side',
  'bound-angle': 'from-the-feet',
};

export const VIEWS: Readonly<Record<LyingScene, View>> = {
  // The head is up the page, the wall at the feet below.
  'before-a-wall': { axis: 'above', from: 1, words: 'seen from above' },
  'beside-a-wall': { axis: 'above', from: 1, words: 'seen from above' },
  'from-the-side': { axis: 'side', from: 1, words: 'seen from the side' },
  'from-the-feet': { axis: 'front', from: -1, words: 'seen from the feet' },
};

/** Which way the soles look away from, so that the flesh of a foot stays off the wall or the floor. */
const SOLE_UP: Readonly<Record<View['axis'], Vec3>> = {
  above: [1, 0, 0],
  side: [0, 0, 1],
  front: [0, 0, 1],
};

/** Draws in one scene; labels are placed last, where they meet nothing. */
export class Scene {
  readonly shapes: Shape[] = [];
  private readonly taken: Box[] = [];
  private readonly labels: (() => void)[] = [];
  readonly view: View;

  constructor(
    readonly setUp: SetUp,
    readonly options: LyingOptions,
    readonly scene: LyingScene,
  ) {
    this.view = VIEWS[scene];
  }

  /** A landmark of the front or the back leg, or of the middle, on the page. */
  at(name: string, place: 'front' | 'back' | null = null): Point {
    return toElevation(this.view, this.mark(name, place));
  }

  mark(name: string, place: 'front' | 'back' | null = null): LandmarkCm {
    const right = (this.setUp.side === 'right') === (place === 'front');
    const suffix = place === null ? '' : right ? 'Right' : 'Left';
    return this.setUp.landmarks[`${name}${suffix}`]!;
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

  /** A number of the set-up, written near a point. */
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
    this.shapes.push(...drawFigure(this.view, this.setUp, true, SOLE_UP[this.view.axis]));
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

/**
 * A rectangle, its sides along the page.
 *
 * @param role what it is
 * @param left mm, x to the right
 * @param top mm, y down
 * @param right mm
 * @param bottom mm
 * @returns a polygon
 */
export const box = (
  role: string,
  left: number,
  top: number,
  right: number,
  bottom: number,
): Shape => ({
  kind: 'polygon',
  role,
  points: [
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ],
});
