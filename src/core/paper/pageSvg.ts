import { writeSvg } from '../drawing/svg.ts';
import type { Page } from './page.ts';

/**
 * A page as an SVG file of its true size.
 *
 * @returns a whole file
 */
export const writePageSvg = ({ name, width, height, shapes }: Page): string =>
  writeSvg({ box: [0, 0, width, height], shapes, caption: name }, 10);
