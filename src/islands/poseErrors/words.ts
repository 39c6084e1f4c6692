export const errorTiles = {
  seeIt: 'see it',
} as const;

export const errorView = {
  looksLike: 'What it looks like',
  cause: 'Likely cause',
  changeFirst: 'Change first',
  feel: 'Feel the difference',
  say: 'Say',
  quote: (words: string) => `“${words}”`,
  change: 'Change it',
  changed: (words: string) => `Changed: ${words}`,
  undo: 'undo',
  close: 'close',
  workingOut: 'Drawing it on this body…',
  cannotHappen: 'The joints of this body do not allow it in this set-up: it is not drawn.',
  noDrawing: 'It does not show in where the joints are: the sign stands for it.',
  size: (amount: string) => `Drawn by ${amount}, about as large as it is when it is noted.`,
} as const;

export const errorsPart = {
  summary: 'Errors to recognise',
  order: 'The likeliest first, by what has least margin here and by what was seen before.',
} as const;
