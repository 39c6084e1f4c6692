import { sayCount } from '../../core/units/sayCount.ts';
import type { CueKind } from '../../core/cues/cues.ts';

const KINDS: Readonly<Record<CueKind, readonly [one: string, many?: string]>> = {
  inhale: ['cue for breathing in', 'cues for breathing in'],
  exhale: ['cue for breathing out', 'cues for breathing out'],
  gaze: ['gaze'],
  farPoints: ['far point'],
  tendencies: ['thing that is often seen', 'things that are often seen'],
  easier: ['easier option'],
  harder: ['harder option'],
};

export const cuesPart = {
  summary: 'Cues',
  hold: (breaths: number, seconds: number) =>
    `${sayCount(breaths, 'breath')} of ${String(seconds)} seconds.`,
  withBreath: 'With the breath',
  at: (breath: number, on: 'in' | 'out') => `breath ${String(breath)}, ${on}`,
  thenQuiet: 'Then quiet.',
  ifTime: (actions: string) => `If there is time: ${actions}.`,
  gaze: 'Gaze',
  apart: 'Reach apart',
  and: ' and ',
  oftenSeen: 'Often seen, the likeliest first',
  noted: (times: number) => `noted ${sayCount(times, 'time')}`,
  easier: 'Easier',
  harder: 'Harder',
  fits: 'fits',
  fitsNot: 'does not fit yet',
  leadsTo: 'Leads to',
  complete: 'Complete.',
  missing: (kind: CueKind, missing: number) => sayCount(missing, ...KINDS[kind]),
  isMissing: (list: string) => `Still missing: ${list}.`,
  ownWords: (teacher: string) => (teacher === '' ? 'In your own words.' : `In ${teacher}’s words.`),
  edit: 'edit in your own words',
  close: 'close',
  onPaper: 'on paper',
  asText: 'as a text file',
} as const;

export const cueEditor = {
  label: 'Cues, one a line',
  hint: 'Each line begins with what it is, as “Breathe in:”. It is stored when you leave the field.',
  undo: 'undo',
  back: 'back to Stillwater’s words',
} as const;

export const breathCues = {
  in: 'in',
  out: 'out',
  quiet: 'quiet',
  readAloud: (isOn: boolean) => (isOn ? 'stop reading aloud (Q)' : 'read aloud'),
  noVoice: 'This device has no voice of its own, and no other is used.',
} as const;
