import {
  type PhotoFrame,
  type Pixel,
  type PhotoValue,
  readPhotoAngle,
  readPhotoLength,
} from '../photo/photoReading.ts';

/** A quantity of a pose that a picture can show. */
interface PhotoQuantity {
  readonly id: string;
  /** What is compared. */
  readonly name: string;
  readonly unit: 'deg' | 'cm';
  /** What it is when the picture has more of it, and when it has less. */
  readonly more: string;
  readonly less: string;
  readonly read: (frame: PhotoFrame, at: (id: string) => Pixel) => PhotoValue;
}

/** The bend of a joint: how far its two arms are from one straight line. */
const bend =
  (joint: string, up: string, down: string): PhotoQuantity['read'] =>
  (frame, at) => {
    const { value, error95 } = readPhotoAngle(frame, {
      ray: [at(joint), at(up)],
      against: [at(joint), at(down)],
    });
    return { value: 180 - value, error95 };
  };

/** How far a line is from upright. */
const lean =
  (from: string, to: string): PhotoQuantity['read'] =>
  (frame, at) =>
    readPhotoAngle(frame, { ray: [at(from), at(to)], against: 'up' });

const NO_LENGTH: PhotoValue = { value: NaN, error95: NaN };

/** What a picture from the side can show. */
export const SIDE_QUANTITIES: readonly PhotoQuantity[] = [
  {
    id: 'stance-length',
    name: 'stance, heel to back ankle',
    unit: 'cm',
    more: 'longer',
    less: 'shorter',
    read: (frame, at) => readPhotoLength(frame, [at('front-heel'), at('back-ankle')]) ?? NO_LENGTH,
  },
  {
    id: 'front-knee-bend',
    name: 'front knee',
    unit: 'deg',
    more: 'more bent',
    less: 'less bent',
    read: bend('front-knee', 'front-hip', 'front-ankle'),
  },
  {
    id: 'knee-over-ankle',
    name: 'front shin from upright',
    unit: 'deg',
    more: 'more tilted: the knee is not above the ankle',
    less: 'more upright',
    read: lean('front-ankle', 'front-knee'),
  },
  {
    id: 'back-knee-bend',
    name: 'back knee',
    unit: 'deg',
    more: 'more bent',
    less: 'straighter',
    read: bend('back-knee', 'back-hip', 'back-ankle'),
  },
  {
    id: 'trunk-lean',
    name: 'trunk from upright',
    unit: 'deg',
    more: 'leans more',
    less: 'leans less',
    read: lean('pelvis', 'chest'),
  },
];

/** What a picture from the front can show. */
export const FRONT_QUANTITIES: readonly PhotoQuantity[] = [
  {
    id: 'knee-drift',
    name: 'front knee off the line from hip to ankle',
    unit: 'deg',
    more: 'drifts more',
    less: 'drifts less',
    read: bend('front-knee', 'front-hip', 'front-ankle'),
  },
  {
    id: 'pelvis-level',
    name: 'pelvis from level',
    unit: 'deg',
    more: 'less level',
    less: 'more level',
    read: (frame, at) => {
      const { value, error95 } = readPhotoAngle(frame, {
        ray: [at('asis-left'), at('asis-right')],
        against: 'up',
      });
      return { value: Math.abs(90 - value), error95 };
    },
  },
  {
    id: 'trunk-lean-across',
    name: 'trunk from upright',
    unit: 'deg',
    more: 'leans more',
    less: 'leans less',
    read: lean('pelvis', 'chest'),
  },
];
