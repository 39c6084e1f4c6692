/** A side and its number, to be read from across the room. */
export const LIVE_ROW =
  'flex items-center gap-[1.2rem] max-phone:flex-wrap max-phone:justify-start max-phone:gap-[0.7rem]';

/** The right side stands to the right of its number. */
export const ON_THE_RIGHT = 'flex-row-reverse justify-end max-phone:flex-row-reverse';
