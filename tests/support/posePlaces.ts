/**
 * Where the marks of a photo against its plan lie on the drawn picture of a warrior II, as
 * shares of the width and height of the frame it is shown in: the upright rod, the floor
 * line, front heel, ankle, knee and hip, back ankle, knee and hip, pelvis, chest.
 */
export const WARRIOR_TWO_PLACES: readonly (readonly [number, number])[] = [
  [0.094, 0.025],
  [0.094, 0.754],
  [0.137, 0.815],
  [0.884, 0.815],
  [0.3, 0.815],
  [0.285, 0.774],
  [0.285, 0.526],
  [0.457, 0.515],
  [0.796, 0.774],
  [0.66, 0.643],
  [0.517, 0.506],
  [0.487, 0.51],
  [0.469, 0.203],
];
