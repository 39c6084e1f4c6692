/** Pedals send these. */
export const NEXT_KEYS = ['PageDown', 'ArrowRight'];
export const BACK_KEYS = ['PageUp', 'ArrowLeft'];
/** These press the button that is reached; elsewhere they lead on. */
export const PRESS_KEYS = [' ', 'Enter'];
