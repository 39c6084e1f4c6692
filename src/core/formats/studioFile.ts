import studioSchema from '../../../docs/formats/studio.schema.json' with { type: 'json' };
import type { Result } from '../problems/problem.ts';
import type { PropItem } from '../props/propList.ts';
import { findCupboardProblems } from '../studio/cupboard.ts';
import { USUAL_STUDIO, type Studio } from '../studio/studio.ts';
import { joiFromSchema } from './joiFromSchema.ts';
import { findFormatProblem, readJson } from './personFile.ts';
import { findShapeProblems } from './validate.ts';

const STUDIO_FORMAT = 'stillwater.studio';
const STUDIO_VERSION = 1;

const schema = joiFromSchema(studioSchema);

/** Faces are listed lowest first, so that the broad one is known. */
const withSortedFaces = (item: PropItem): PropItem => ({
  ...item,
  heightsCm: item.heightsCm.toSorted((a, b) => a - b),
});

/**
 * Reads the text of a studio file; what it leaves out is as in a usual studio.
 *
 * @param text as typed or read
 * @returns the studio, or every problem by path: `not-json`, `wrong-format`, `newer-version`,
 *   `wrong-shape`, `duplicate-id`, `prop-needs-length`, `rail-below-seat`
 */
export function readStudioFile(text: string): Result<Studio> {
  const json = readJson(text);
  return json.ok ? checkStudioFile(json.value) : json;
}

function checkStudioFile(value: unknown): Result<Studio> {
  const wrongFormat = findFormatProblem(value, STUDIO_FORMAT, STUDIO_VERSION);
  if (wrongFormat !== null) return { ok: false, problems: [wrongFormat] };
  const shape = findShapeProblems(schema, value);
  if (shape.length > 0) return { ok: false, problems: shape };
  const {
    format: _format,
    version: _version,
    ...given
  } = value as Partial<Studio> & {
    readonly format: string;
    readonly version: number;
  };
  const studio = { ...USUAL_STUDIO, ...given };
  const problems = findCupboardProblems(studio.cupboard, 'cupboard');
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, value: { ...studio, cupboard: studio.cupboard.map(withSortedFaces) } };
}

/**
 * A studio as file text.
 *
 * @param studio with its unit
 * @returns JSON text
 * @example
 * JSON.parse(writeStudioFile(studio)).format // → "stillwater.studio"
 */
export const writeStudioFile = (studio: Studio): string =>
  `${JSON.stringify({ format: STUDIO_FORMAT, version: STUDIO_VERSION, ...studio }, null, 2)}\n`;
