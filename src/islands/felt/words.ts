import type { Felt } from '../../core/felt/places.ts';

export const feltNote = {
  title: 'Where is it felt?',
  titleOf: (felt: string) => `Felt: ${felt}`,
  how: 'How it feels',
  hows: { stretch: 'a stretch', work: 'a muscle at work' } satisfies Record<Felt['how'], string>,
  sign: 'tingling or numb',
  pain: 'pain',
  nowhere: 'nowhere',
  front: 'Front',
  back: 'Back',
  left: 'left',
  right: 'right',
  looking: 'Looking for what would explain it…',
  seeOnBody: (error: string) => `see “${error}” on this body`,
  arithmetic: 'How much each place is stretched',
  source: (words: string) => `Where it is felt: ${words}.`,
} as const;

export const feltTrendView = {
  title: 'Where each pose was felt',
  columns: ['Pose and side', 'Felt', 'Sessions', 'Last'],
  times: (times: number, sessions: number) => `${String(times)} of ${String(sessions)}`,
} as const;
