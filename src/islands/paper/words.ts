export const paperView = {
  paper: 'On paper',
  what: 'What',
  on: 'On',
  letter: 'Letter',
  frontFoot: 'Front foot',
  right: 'right',
  left: 'left',
  poses: 'Poses',
  layingOut: 'Laying it out…',
  pages: 'Pages',
  nothingPrintYetChoose: 'Nothing to print yet: choose a pose that has a set-up.',
  print: 'Print',
  saveAsPdf: 'Save as PDF',
  printEveryPageHas:
    'Print at 100 %. Every page has a bar of 100 mm: lay a ruler on it before you trust the rest. Notes and answers about health are never printed.',
  asSvg: 'as SVG',
  asPng: 'as PNG',
} as const;
