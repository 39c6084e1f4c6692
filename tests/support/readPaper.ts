import { DOMParser, type Element } from '@xmldom/xmldom';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

export type Point = readonly [number, number];

/** What a reader other than our writers finds on a page, in mm from its upper left corner. */
export interface ReadPage {
  readonly width: number;
  readonly height: number;
  readonly lines: readonly (readonly Point[])[];
  readonly texts: readonly { readonly text: string; readonly at: Point; readonly sizeMm: number }[];
}

const MM_PER_POINT = 25.4 / 72;
type Matrix = readonly [number, number, number, number, number, number];

const multiply = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];

const apply = (m: Matrix, [x, y]: Point): Point => [
  m[0] * x + m[2] * y + m[4],
  m[1] * x + m[3] * y + m[5],
];

/** Follows pdf.js's list of operators: the transforms and every path that is constructed. */
export async function readPdf(bytes: Uint8Array): Promise<ReadPage[]> {
  const file = await getDocument({ data: bytes, verbosity: 0 }).promise;
  const pages: ReadPage[] = [];
  for (let number = 1; number <= file.numPages; number += 1) {
    const page = await file.getPage(number);
    const { width, height } = page.getViewport({ scale: 1 });
    const { fnArray, argsArray } = await page.getOperatorList();
    const toPage = ([x, y]: Point): Point => [x * MM_PER_POINT, (height - y) * MM_PER_POINT];
    const lines: Point[][] = [];
    let matrix: Matrix = [1, 0, 0, 1, 0, 0];
    const stack: Matrix[] = [];
    fnArray.forEach((fn, i) => {
      const args = argsArray[i] as unknown[];
      if (fn === OPS.save) stack.push(matrix);
      else if (fn === OPS.restore) matrix = stack.pop()!;
      else if (fn === OPS.transform) matrix = multiply(matrix, args as unknown as Matrix);
      else if (fn === OPS.constructPath) {
        const [kinds, numbers] = args as [number[], number[]];
        let at = 0;
        for (const kind of kinds) {
          if (kind === OPS.moveTo) lines.push([]);
          if (kind === OPS.moveTo || kind === OPS.lineTo) {
            lines.at(-1)!.push(toPage(apply(matrix, [numbers[at]!, numbers[at + 1]!])));
            at += 2;
          } else if (kind === OPS.closePath) lines.at(-1)!.push(lines.at(-1)![0]!);
          else throw new Error(`A path with operator ${String(kind)}, which we never write`);
        }
      }
    });
    const { items } = await page.getTextContent();
    const texts = items.flatMap((each) =>
      'str' in each
        ? [
            {
              text: each.str,
              at: toPage([each.transform[4] as number, each.transform[5] as number]),
              sizeMm: Math.abs(each.transform[3] as number) * MM_PER_POINT,
            },
          ]
        : [],
    );
    pages.push({ width: width * MM_PER_POINT, height: height * MM_PER_POINT, lines, texts });
  }
  return pages;
}

const numbersIn = (text: string): number[] => text.split(/[\s,]+/).map(Number);

/** Reads an SVG file by an XML parser; its lengths come from its width, height and view box. */
export function readSvg(text: string): ReadPage {
  const root = new DOMParser().parseFromString(text, 'image/svg+xml').documentElement!;
  const millimetres = (name: string): number => {
    const value = root.getAttribute(name) ?? '';
    if (!value.endsWith('mm')) throw new Error(`${name} ${value} is not in millimetres`);
    return Number.parseFloat(value);
  };
  const [left = 0, top = 0, boxWidth = 1] = numbersIn(root.getAttribute('viewBox') ?? '');
  const width = millimetres('width');
  const scale = width / boxWidth;
  const toPage = ([x, y]: Point): Point => [(x - left) * scale, (y - top) * scale];
  const elements = (name: string): Element[] => Array.from(root.getElementsByTagName(name));
  const lines = ['polyline', 'polygon'].flatMap((name) =>
    elements(name).map((each) => {
      const numbers = numbersIn(each.getAttribute('points') ?? '');
      const points: Point[] = [];
      for (let i = 0; i + 1 < numbers.length; i += 2) {
        points.push(toPage([numbers[i]!, numbers[i + 1]!]));
      }
      return name === 'polygon' ? [...points, points[0]!] : points;
    }),
  );
  const texts = elements('text').map((each) => ({
    text: each.textContent ?? '',
    at: toPage([Number(each.getAttribute('x')), Number(each.getAttribute('y'))]),
    sizeMm: Number(each.getAttribute('font-size')) * scale,
  }));
  return { width, height: millimetres('height'), lines, texts };
}
