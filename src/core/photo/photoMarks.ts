import type { BodyPoint } from '../measures/demonstration.ts';
import type { Protocol } from '../measures/protocol.ts';
import {
  readPhotoAngle,
  readPhotoLength,
  type PhotoFrame,
  type PhotoValue,
  type Pixel,
} from './photoReading.ts';

/** One place to be pointed at on a picture. */
export interface Mark {
  readonly id: string;
  /** What to point at. */
  readonly words: string;
}

const POINT_WORDS: Partial<Record<BodyPoint, string>> = {
  asis: 'the front hip bone',
  'other asis': 'the other front hip bone',
  acromion: 'the tip of the shoulder',
  'other acromion': 'the tip of the other shoulder',
  hip: 'the outer hip bone',
  trochanter: 'the outer hip bone',
  knee: 'the outer knee joint line',
  ankle: 'the outer ankle bone',
  heel: 'the back of the heel',
  toe: 'the longest toe',
  palm: 'the middle of the palm',
  pelvis: 'the middle of the pelvis',
  neck: 'the root of the neck',
  chest: 'the middle between the shoulders',
};

const nameOf = (point: BodyPoint): string => POINT_WORDS[point] ?? `the ${point}`;

/** What the picture is straightened by. */
export type LineKind = 'plumb' | 'floor';

const LINES: Readonly<Record<LineKind, readonly Mark[]>> = {
  plumb: [
    { id: 'line-a', words: 'the upper end of something upright near the body' },
    { id: 'line-b', words: 'its lower end' },
  ],
  floor: [
    { id: 'line-a', words: 'one end of the floor line near the body' },
    { id: 'line-b', words: 'its other end' },
  ],
};
const SCALE: readonly Mark[] = [
  { id: 'scale-a', words: 'one end of the known length' },
  { id: 'scale-b', words: 'its other end' },
];

/** Places that set where an angle is counted from. */
const REFERENCES: Readonly<
  Record<'leg line' | 'thigh line' | 'across the pelvis', readonly Mark[]>
> = {
  'leg line': [{ id: 'reference', words: 'the ankle bone of the leg that lies straight' }],
  'thigh line': [
    { id: 'thigh-a', words: 'the outer hip bone' },
    { id: 'thigh-b', words: 'the outer knee joint line' },
  ],
  'across the pelvis': [
    { id: 'pelvis-a', words: 'the right front hip bone' },
    { id: 'pelvis-b', words: 'the left front hip bone' },
  ],
};

/**
 * What has to be pointed at, in order; null = a picture cannot show this measure.
 *
 * @param lineKind what the picture is straightened by
 * @returns marks in the order in which they are placed
 */
export function planMarks(
  { demonstration: { reads } }: Protocol,
  lineKind: LineKind = 'plumb',
): readonly Mark[] | null {
  if (reads === null || reads.kind === 'girth') return null;
  if (reads.kind === 'tape') {
    const to = reads.to === 'floor' ? 'the floor below it' : nameOf(reads.to);
    return [...SCALE, { id: 'from', words: nameOf(reads.from) }, { id: 'to', words: to }];
  }
  return [
    ...(reads.from === 'straight up' ? LINES[lineKind] : REFERENCES[reads.from]),
    { id: 'from', words: nameOf(reads.at) },
    { id: 'to', words: nameOf(reads.to) },
  ];
}

/**
 * Whether the picture has to be straightened.
 *
 * @returns true for angles against the world
 */
export const needsLine = ({ demonstration: { reads } }: Protocol): boolean =>
  reads?.kind === 'angle' && reads.from === 'straight up';

/**
 * Whether the picture needs a known length.
 *
 * @returns true for lengths
 */
export const needsScale = ({ demonstration: { reads } }: Protocol): boolean =>
  reads?.kind === 'tape';

/**
 * Reads a measure off the marks of a picture, in the measure's unit.
 *
 * @param protocol how the measure is taken
 * @param marks places by mark id
 * @param by the length between the two scale marks, and what the two line marks lie on
 * @returns null while a mark or the known length is missing
 */
export function readMarks(
  protocol: Protocol,
  { width, height }: { readonly width: number; readonly height: number },
  marks: Readonly<Record<string, Pixel>>,
  { knownCm, lineKind }: { readonly knownCm: number | null; readonly lineKind: LineKind },
): PhotoValue | null {
  const { reads } = protocol.demonstration;
  const isComplete = planMarks(protocol)?.every(({ id }) => marks[id] !== undefined) ?? false;
  if (!isComplete || reads === null || reads.kind === 'girth') return null;
  const pair = (a: string, b: string): readonly [Pixel, Pixel] => [marks[a]!, marks[b]!];
  const frame: PhotoFrame = { width, height, line: null, scale: null };
  const ray = pair('from', 'to');
  if (reads.kind === 'tape') {
    if (knownCm === null) return null;
    return readPhotoLength(
      { ...frame, scale: { ends: pair('scale-a', 'scale-b'), cm: knownCm } },
      ray,
    );
  }
  switch (reads.from) {
    case 'straight up':
      return readPhotoAngle(
        { ...frame, line: { kind: lineKind, ends: pair('line-a', 'line-b') } },
        { ray, against: 'up' },
      );
    case 'leg line':
      return readPhotoAngle(frame, { ray, against: pair('from', 'reference') });
    case 'thigh line':
      return readPhotoAngle(frame, { ray, against: pair('thigh-a', 'thigh-b') });
    case 'across the pelvis':
      return readPhotoAngle(frame, { ray, against: pair('pelvis-a', 'pelvis-b') });
  }
}
