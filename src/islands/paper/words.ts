export const paperView = {
  paper: 'On paper',
  whatPrinted: 'What is printed',
  paperSize: 'Paper size',
  letter: 'Letter',
  frontFoot: 'Front foot',
  right: 'right',
  left: 'left',
  poses: 'Poses',
  preparingPages: 'Preparing the pages…',
  pages: 'Pages',
  nothingPrintYetChoose: 'Nothing to print yet. Choose a pose that has a set-up.',
  print: 'Print',
  saveAsPdf: 'Save as PDF',
  printEachPageHas:
    'Print at 100 %. Each page has a bar 100 mm long: check it with a ruler first. Notes and health answers are never printed.',
  asSvg: 'as SVG',
  asPng: 'as PNG',
} as const;
