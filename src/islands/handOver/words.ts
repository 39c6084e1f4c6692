export const handOverBar = {
  lockedPin: 'Locked. PIN',
  handedOverPinTake: 'Handed over. PIN to take back',
  takeBack: 'Take back',
  notPinWaitHalf: 'Wrong PIN. Wait half a minute.',
  notPin: 'Wrong PIN.',
} as const;

export const handOverButton = {
  minutesWithoutTouch: '2 minutes without use',
  minutesWithoutATouch: '5 minutes without use',
  minutesWithoutTouchWord: '15 minutes without use',
  handOver: 'hand over',
  handOverWord: 'Hand over',
  appThenStaysView:
    'The app then shows only this view until the PIN is typed. It is a screen lock, not encryption: someone who can use this browser freely can still reach the data.',
  choosePinDigits: 'Choose a PIN, 4 to 8 digits',
  usePin: 'Use this PIN',
  handOverNow: 'Hand over now',
  chooseAnotherPin: 'choose another PIN',
  lockAutomaticallyAfter: 'Lock automatically after',
} as const;
