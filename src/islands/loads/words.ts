export const loadsPart = {
  summary: 'Load and balance',
  lead: 'The dash-dotted line is where the body’s weight acts. A joint farther from it has more to hold.',
  none: 'For this pose no loads are worked out.',
} as const;

export const loadsTable = {
  region: 'Loads in numbers',
  caption: 'Moment arms and torques',
  joint: 'joint',
  arm: 'moment arm',
  line: 'gravity line',
  torque: 'torque',
  sum: 'sum, cm ahead of the front heel',
  lineLies: (where: 'ahead' | 'behind') => (where === 'ahead' ? 'ahead of it' : 'behind it'),
  notDetermined: 'not determined',
  newtonMetres: (torque: string) => `${torque} N·m`,
  weightCaption: 'Weight on feet and hands',
  on: 'on',
  share: 'share',
  range: 'balance allows',
  weightSum: 'lever rule',
  onlyThis: 'only this',
  howTorque:
    'Torque is a share of body weight times leg length. It is determined on one foot and on two side by side. Feet that stand apart can push against each other as much as one likes, and a hand, a wall or a chair takes a part.',
  howHands:
    'Hands are taken to rest as lightly as they can. Walls and straps are taken to carry nothing.',
  howBack: 'For the low back the line is that of trunk, head and arms.',
  seat: 'The chair carries a part of the weight, so what is on each foot is not known.',
} as const;

export const loadVersions = {
  title: 'Lay another version over it',
  label: 'Another version',
  workingOut: 'Working out the versions…',
  none: 'This pose has no other version that changes its loads.',
  overlay: (name: string) => `Dashed: ${name}.`,
  spares: (what: string) => `Spares: ${what}.`,
  costs: (what: string) => `Costs: ${what}.`,
  otherDepth: (depth: string) => `It cannot be held at the same depth: shown at ${depth}.`,
} as const;

export const easeLoad = {
  title: 'Something is sore',
  lead: 'The smallest move of one setting that makes its moment arm a quarter shorter:',
  label: 'Which joint is sore',
  workingOut: 'Looking for the smallest move…',
  none: (joint: string) =>
    `No move of stance, hand or depth alone makes the arm of the ${joint} a quarter shorter here. Take an easier version, or leave the pose out.`,
  use: 'Use it',
  used: (words: string) => `Changed: ${words}`,
  undo: 'undo',
  caution:
    'This lowers a load; it does not treat anything. Pain that is sharp, new or lasting belongs to a doctor or physiotherapist.',
} as const;
