export const driftView = {
  stanceLength: 'stance length',
  handHeight: 'hand height',
  setUpsOverSessions: (pose: string, side: string, count: number) =>
    `Set-ups of ${pose}, ${side}, over ${String(count)} sessions`,
  setUpsOverTheSessions: 'Set-ups over the sessions',
  poseSide: 'Pose and side',
  circlesStanceLengthSquares: 'Circles: stance length; squares, dashed: height of the hand.',
  rulesChanged: ' (rules changed)',
  asUsual: 'as usual',
} as const;

export const overTimeView = {
  nothingMeasuredYet: 'Nothing is measured yet. ',
  startShortRound: 'Start a short round',
  whatHasChanged: 'What has changed',
  everyMeasureHasOne:
    'Every measure has one date so far: a second one, weeks later, can tell a change.',
  nothingByMoreThan: 'Nothing by more than its measuring error.',
  leftRight: 'Left and right',
  noClearDifferenceAny: 'No clear difference in any measure.',
  measuresWithNoChange: (count: number) => `${String(count)} measures with no change to tell`,
} as const;

export const seriesView = {
  oneDateSoFar: (series: string) => `${series}: one date so far.`,
  measure: 'Measure',
  circlesSquaresDashed: (value: string, value2: string) =>
    `Circles: ${value}; squares, dashed: ${value2}`,
  waterLineThroughAll: ' Water: the line through all dates, 95 % sure.',
  lineThroughDatesNeeds: (LEAST_POINTS: number) =>
    ` A line through the dates needs ${String(LEAST_POINTS)} of them.`,
  eachWithOneStandard: (rest: string, rest2: string) =>
    `${rest}, each with one standard error. Sand: what measuring error alone would show.${rest2} Strokes below: sessions.`,
  asTable: 'As a table',
  smallestRealChangeFirst:
    'Smallest real change = 1.96 × √(first error² + later error²). One claim a measure: the latest date against the first.',
} as const;
