/**
 * Draws the picture of the empty first page from the demo's Marit Sollen: public/first-page.svg.
 * Use: npx tsx scripts/drawFirstPage.ts
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { drawSheet } from '../src/core/drawing/sheet.ts';
import { SCREEN } from '../src/core/drawing/styles.ts';
import { writeSvg } from '../src/core/drawing/svg.ts';
import { readPersonFile } from '../src/core/formats/personFile.ts';
import { PlanningContext } from '../src/core/planning/planningContext.ts';
import { warriorTwo } from '../src/core/poses/catalogue/warriorTwo.ts';
import { planWithErrorBars } from '../src/core/whatIf/planInFull.ts';

const read = readPersonFile(readFileSync('public/demo/marit-sollen.json', 'utf8'), null);
if (!read.ok) throw new Error(read.problems[0]!.message);
const planned = planWithErrorBars(new PlanningContext(read.value.file), warriorTwo.id, 'right');
if (!planned.ok) throw new Error(planned.problems[0]!.message);
const drawing = drawSheet(warriorTwo, planned.value, { unit: 'cm', labelMm: 6.5 });
if (drawing === null) throw new Error('There is nothing to draw');
writeFileSync('public/first-page.svg', writeSvg(drawing, undefined, SCREEN));
