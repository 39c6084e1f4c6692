export const rotationPart = {
  summary: 'Hip rotation, from above',
  lead: 'Where foot, thigh and pelvis point, and how far the hip has turned between them. Directions are counted from the front edge of the mat.',
  hip: (place: string) => `${place} hip`,
  twist: 'Twist',
  available: (motion: string, deg: string) => `${motion} available: ${deg}`,
  external: 'External rotation (knee turns out)',
  internal: 'Internal rotation (knee turns in)',
  inTheAir: (place: string) =>
    `The ${place} leg is in the air: no foot on the floor turns its hip.`,
  none: 'No hip of this pose is turned from the floor.',
} as const;
