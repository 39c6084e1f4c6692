/**
 * Where the marks of a photo against its plan lie on the drawn picture of a warrior II, as
 * shares of its width and height: the upright rod, the floor line, front heel, ankle, knee
 * and hip, back ankle, knee and hip, pelvis, chest.
 */
export const WARRIOR_TWO_PLACES: readonly (readonly [number, number])[] = [
  [0.019, 0.025],
  [0.019, 0.754],
  [0.069, 0.815],
  [0.956, 0.815],
  [0.263, 0.815],
  [0.245, 0.774],
  [0.245, 0.526],
  [0.449, 0.515],
  [0.852, 0.774],
  [0.69, 0.643],
  [0.521, 0.506],
  [0.485, 0.51],
  [0.464, 0.203],
];
