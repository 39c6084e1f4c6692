/**
 * What is often seen in a held pose, as a teacher logs it: large words, what it looks like,
 * the likely cause, the first thing to change, what to try and what to say. Common practice, no source.
 */
export interface PoseError {
  readonly id: string;
  readonly words: string;
  readonly seen: string;
  readonly cause: string;
  readonly first: string;
  /** What to try in the pose, to feel the difference. */
  readonly test: string;
  readonly say: string;
  /** It shows that the set-up asks more range than there is. Our reading of the practice. */
  readonly pointsToRange: boolean;
}

const range = (
  id: string,
  words: string,
  seen: string,
  cause: string,
  first: string,
  test: string,
  say: string,
): PoseError => ({ id, words, seen, cause, first, test, say, pointsToRange: true });

const habit = (...parts: Parameters<typeof range>): PoseError => ({
  ...range(...parts),
  pointsToRange: false,
});

export const POSE_ERRORS: readonly PoseError[] = [
  range(
    'knee-drifts',
    'knee drifts in',
    'The front knee falls to the big-toe side of its foot.',
    'The hip opens less than the bend asks.',
    'Bend the knee by one step less.',
    'Let the knee fall in and come back, twice. Feel which edge of the foot gets heavy.',
    'Let the knee look over the middle toes.',
  ),
  range(
    'pelvis-hauled',
    'pelvis hauled back',
    'The pelvis is pulled square and the front leg caves, its arch falls.',
    'Squareness is asked of a hip that has none left.',
    'Let the back hip come forward.',
    'Let the back hip roll forward a little. Feel the front arch come back.',
    'Let the pelvis rest where it stops.',
  ),
  range(
    'pelvis-drops',
    'front hip drops',
    'The front side of the pelvis sinks.',
    'The stance is too short for the depth.',
    'Come up by one step, or lengthen the stance.',
    'Lift the front hip bone by a finger’s breadth and let it go. Feel the front thigh take the weight.',
    'Lift the front hip bone a little.',
  ),
  range(
    'stance-long',
    'stance too long',
    'The back heel or its inner edge comes up.',
    'The legs are farther apart than the hips give.',
    'Shorten the stance by one step.',
    'Step the back foot in by half a foot. Feel its outer edge get heavy.',
    'Step the back foot in until its edge is heavy.',
  ),
  habit(
    'legs-upright',
    'stance too short',
    'The legs are almost upright and do no work.',
    'The feet are nearer together than the set-up has them.',
    'Set the feet on their marks.',
    'Step out to the mark. Feel both thighs begin to work.',
    'Step back to your mark.',
  ),
  range(
    'back-hip-rises',
    'back hip rises',
    'In a fold the back hip lifts.',
    'The front leg’s raise is used up.',
    'Raise the hands by one face.',
    'Put a hand on each hip bone and level them. Feel the pull behind the front thigh.',
    'Let both hip bones be level.',
  ),
  habit(
    'hip-creeps',
    'hip creeps forward',
    'The front hip slides out over its foot.',
    'The weight has left the back foot.',
    'Press the back foot.',
    'Press the back foot and let go, twice. Feel the front hip slide with it.',
    'Draw the front hip back.',
  ),
  range(
    'back-rounds',
    'low back rounds',
    'The low back bends where it should be long.',
    'The legs’ range is used up.',
    'Raise the hands by one face.',
    'Come up by a hand’s breadth. Feel the breastbone move away from the navel.',
    'Come up until the back is long.',
  ),
  range(
    'heel-floats',
    'back heel floats',
    'The back heel loses the floor.',
    'The ankle or the hip has no more.',
    'Shorten the stance, or put a wedge under the heel.',
    'Bend the back knee a little. Feel whether the heel lands.',
    'Let the heel be heavy.',
  ),
  habit(
    'feet-turned-in',
    'feet turned in',
    'The toes turn in and the thighs cross.',
    'The feet are off their angle.',
    'Turn the feet to their angle.',
    'Turn one foot in and out. Feel the thighs make room.',
    'Point the toes where the mark points.',
  ),
  habit(
    'heels-in-line',
    'heels on one line',
    'Both heels stand on one line and the balance goes.',
    'The feet are too close together across the mat.',
    'Set the feet wider across the mat.',
    'Step one foot a fist wider. Feel the swaying stop.',
    'Set each foot under its own hip.',
  ),
  habit(
    'knees-locked',
    'knees locked back',
    'A straight knee is pressed backward.',
    'The joint holds instead of the thigh.',
    'Soften the knee, then lift the kneecap.',
    'Bend and straighten by a finger’s breadth. Feel the thigh hold instead of the joint.',
    'Keep a breath of bend.',
  ),
  range(
    'knee-bends',
    'knee bends under load',
    'A leg that is meant to be straight bends.',
    'The leg’s raise is used up.',
    'Raise the hand by one face.',
    'Come up until the leg is straight. Feel the kneecap lift.',
    'Come up until the leg is long.',
  ),
  habit(
    'neck-short',
    'neck shortened',
    'The neck is pinched while looking up.',
    'The gaze leads and the chest does not follow.',
    'Look ahead or down.',
    'Look down, then ahead. Feel the back of the neck grow long.',
    'Look where the neck stays long.',
  ),
  range(
    'twist-from-pelvis',
    'pelvis makes the twist',
    'The pelvis turns instead of the chest.',
    'The spine’s rotation is used up.',
    'Turn less, or raise the hand.',
    'Hold the hip bones with both hands and turn the ribs alone.',
    'Keep the hip bones where they are.',
  ),
  habit(
    'hand-beside-ankle',
    'hand at the ankle',
    'In half moon the hand stands beside the ankle.',
    'The hand was set too near.',
    'Set the hand on its mark ahead.',
    'Take the weight off the hand for a moment. Feel whether the standing leg holds you.',
    'Reach farther before you lift.',
  ),
  habit(
    'on-kneecap',
    'kneeling on the kneecap',
    'The weight is on the kneecap.',
    'The hips are too far back for the pad.',
    'Move the hips forward, pad either side.',
    'Rock forward and back on the pad. Feel the weight move above the kneecap.',
    'Kneel above the kneecap.',
  ),
  range(
    'heel-hidden',
    'heel behind the thigh',
    'At the wall the heel hides behind the thigh.',
    'The knee bends less than the pose asks.',
    'Move the knee off the wall.',
    'Move the knee a hand’s breadth off the wall. Feel the front of the thigh let go.',
    'Let the shin find its own place.',
  ),
  habit(
    'arches-fall',
    'arches fall',
    'In a wide stance the arches sink.',
    'The outer edges are not used.',
    'Press the outer edges, or stand narrower.',
    'Lift the toes. Feel the arches rise, and lay the toes down again.',
    'Lift the arches.',
  ),
  range(
    'breath-held',
    'breath held, jaw set',
    'The breath stops or the jaw is hard.',
    'It is too deep.',
    'Come up by one step.',
    'Come up by a hand’s breadth and take one whole breath.',
    'Breathe, or come up.',
  ),
  habit(
    'shoulders-up',
    'shoulders up',
    'The shoulders are at the ears.',
    'The arms do what the legs should.',
    'Lower the arms.',
    'Lift the shoulders to the ears and let them fall.',
    'Let the shoulders sink.',
  ),
  habit(
    'gaze-wanders',
    'gaze wanders',
    'The eyes do not rest.',
    'Attention has gone.',
    'Name one point to look at.',
    'Rest the eyes on one point for a whole breath. Feel the swaying stop.',
    'Choose a point and stay.',
  ),
];

/**
 * An error that may be seen in a pose.
 *
 * @param id as it is logged
 * @returns null when it is none that we know
 */
export const findPoseError = (id: string): PoseError | null =>
  POSE_ERRORS.find((each) => each.id === id) ?? null;
