/**
 * Where the marks of a photo against its plan lie on the drawn picture of a warrior II, as
 * shares of its width and height: the upright rod, the floor line, front heel, ankle, knee
 * and hip, back ankle, knee and hip, pelvis, chest.
 */
export const WARRIOR_TWO_PLACES: readonly (readonly [number, number])[] = [
  [0.133, 0.028],
  [0.133, 0.758],
  [0.152, 0.838],
  [0.843, 0.838],
  [0.335, 0.83],
  [0.312, 0.8],
  [0.312, 0.561],
  [0.462, 0.473],
  [0.737, 0.8],
  [0.628, 0.638],
  [0.52, 0.473],
  [0.49, 0.473],
  [0.485, 0.168],
];
