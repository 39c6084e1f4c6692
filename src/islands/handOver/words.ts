export const handOverBar = {
  lockedPin: 'Locked. PIN',
  handedOverPinTake: 'Handed over. PIN to take back',
  takeBack: 'Take back',
  wrongPinWaitHalf: 'Wrong PIN. Wait half a minute.',
  wrongPin: 'Wrong PIN.',
} as const;

export const handOverButton = {
  minutesWithoutUse: '2 minutes without use',
  minutesWithoutUseWord: '5 minutes without use',
  minutesWithoutUse2: '15 minutes without use',
  handOver: 'hand over',
  handOverWord: 'Hand over',
  appThenShowsOnly:
    'The app then shows only this view until the PIN is typed. It is a screen lock, not encryption: someone who can use this browser freely can still reach the data.',
  choosePinDigits: 'Choose a PIN, 4 to 8 digits',
  usePin: 'Use this PIN',
  handOverNow: 'Hand over now',
  chooseAnotherPin: 'choose another PIN',
  lockAutomaticallyAfter: 'Lock automatically after',
} as const;
