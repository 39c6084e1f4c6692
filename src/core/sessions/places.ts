/** Where pain is felt, as the rows of a body seen from behind: left, middle, right. */
export const BODY_PLACES: readonly (readonly (string | null)[])[] = [
  [null, 'head or neck', null],
  ['left shoulder', 'upper back', 'right shoulder'],
  ['left front of hip', 'low back', 'right front of hip'],
  ['left outer hip', 'sacrum or pubis', 'right outer hip'],
  ['left thigh', 'groin', 'right thigh'],
  ['left knee', null, 'right knee'],
  ['left lower leg', null, 'right lower leg'],
  ['left ankle or foot', null, 'right ankle or foot'],
];
