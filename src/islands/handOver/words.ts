export const handOverBar = {
  lockedPin: 'Locked. PIN',
  handedOverPinTake: 'Handed over. PIN to take back',
  takeBack: 'Take back',
  notPinWaitHalf: 'That was not the PIN. Wait half a minute.',
  notPin: 'That was not the PIN.',
} as const;

export const handOverButton = {
  minutesWithoutTouch: '2 minutes without a touch',
  minutesWithoutATouch: '5 minutes without a touch',
  minutesWithoutTouchWord: '15 minutes without a touch',
  handOver: 'hand over',
  handOverWord: 'Hand over',
  appThenStaysView:
    'The app then stays on this view until the PIN is typed. It is a screen lock, no encryption: whoever can use this device’s browser freely can still reach the data.',
  choosePinDigits: 'Choose a PIN, 4 to 8 digits',
  usePin: 'Use this PIN',
  handOverNow: 'Hand over now',
  chooseAnotherPin: 'choose another PIN',
  lockAutomaticallyAfter: 'Lock automatically after',
} as const;
