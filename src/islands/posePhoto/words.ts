export const findings = {
  comparisonAppearsHereOnce: 'The comparison appears here once all marks are placed.',
  asPlanned: 'As planned',
  oneThingDiffers: 'One thing differs',
  thingsDiffer: (different: number) => `${String(different)} things differ`,
  photoComparedWithPlan: 'Photo compared with plan',
  differenceSmallerThanError:
    'A difference smaller than the error does not count. The error covers placing the marks, a camera turned by up to 10°, and 5° or 3 cm for what skin and clothing hide.',
} as const;

export const filmPlayer = {
  choose: 'Film',
  film: 'Film of the pose',
  frameBack: 'frame back',
  frameOn: 'frame on',
  take: (frame: string) => `Take the ${frame}`,
  marksOf: (frame: string, seconds: number) => `Marks of the ${frame}, at ${seconds.toFixed(1)} s`,
  framesTaken: 'Frames taken',
  notStored:
    'The film stays in this browser and is not kept. Take up to three frames of a hold; the marks of one are the first guess for the next.',
} as const;

export const holdChart = {
  throughTheHold: 'Through the hold',
  quantity: 'Quantity',
  seen: 'seen',
  planned: 'planned',
  through: (quantity: string) => `${quantity} at start, middle and end of the hold`,
  column: (frame: string) => frame.charAt(0).toUpperCase() + frame.slice(1),
  value: (seen: string, error: string, words: string) => `${seen} ± ${error}, ${words}`,
} as const;

export const posePhotoView = {
  longEdgeMatSquare: 'the long edge of the mat, square to it',
  frontEdgeMat: 'the front edge of the mat',
  photoAgainstPlan: (pose: string, side: string) => `${pose}, ${side}: photo against plan`,
  takenFrom: 'Taken from',
  workingOutSetUp: 'Working out the set-up…',
  knownLength: 'Known length',
  photoAgainstPlanWord: 'Photo against plan',
  standWellBackCamera:
    'Stand well back, the camera at the height of the pelvis and square to the mat. The picture stays in this browser and is not kept.',
  knownLengthAlongMat: 'Known length, along the mat',
} as const;
