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
  cannotHappen: 'Not drawn: this cannot happen from this set-up.',
  noDrawing: 'This one moves no joint, so it is shown as a sign.',
  size: (amount: string) => `Drawn at a typical size: ${amount}.`,
} as const;

export const errorsPart = {
  summary: 'Errors to recognise',
  order:
    'The likeliest come first: those whose joint has least margin here, then those seen before.',
} as const;
