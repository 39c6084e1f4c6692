import { sayCount } from '../../core/units/sayCount.ts';

export const driftView = {
  stanceLength: 'stance length',
  handHeight: 'hand height',
  setUpsOver: (pose: string, side: string, count: number) =>
    `Set-ups of ${pose}, ${side}, over ${sayCount(count, 'session')}`,
  setUpsOverSessions: 'Set-ups over the sessions',
  poseSide: 'Pose and side',
  circlesStanceLengthSquares: 'Circles: stance length; squares, dashed: height of the hand.',
  rulesChanged: ' (rules changed)',
  version: 'version',
  versionsOverSessions: 'Versions over the sessions, easier below',
  versionsHeld: (pose: string, steps: readonly string[]) =>
    `Versions of ${pose}: ${steps.join(', ')}`,
} as const;

export const overTimeView = {
  noMeasuresYet: 'No measures yet. ',
  startShortRound: 'Start a short round',
  whatHasChanged: 'What has changed',
  eachMeasureHasOne:
    'Each measure has one date so far. A second one, weeks later, can show a change.',
  nothingHasChangedBy: 'Nothing has changed by more than its measuring error.',
  leftRight: 'Left and right',
  noClearDifferenceAny: 'No clear difference in any measure.',
  withoutClearChange: (count: number) => `${sayCount(count, 'measure')} without a clear change`,
} as const;

export const seriesView = {
  oneDateSoFar: (series: string) => `${series}: one date so far.`,
  measure: 'Measure',
  circlesSquaresDashed: (first: string, second: string) =>
    `Circles: ${first}; squares, dashed: ${second}`,
  blueTrendLineWith: ' Blue: trend line with its 95 % band.',
  trendLineNeedsDates: (LEAST_POINTS: number) =>
    ` A trend line needs ${String(LEAST_POINTS)} dates.`,
  eachWithOneStandard: (legend: string, trend: string) =>
    `${legend}, each with one standard error. Sand: what measuring error alone could show.${trend} Ticks below: sessions.`,
  asTable: 'As a table',
  smallestRealChangeFirst:
    'Smallest real change = 1.96 × √(first error² + later error²). Only the latest date is compared with the first.',
} as const;
