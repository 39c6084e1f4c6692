import { findActiveCautions } from '../cautions/stopSigns.ts';
import { escapeText } from '../drawing/svg.ts';
import type { PersonFile } from '../formats/personFile.ts';
import { isCounted } from '../measures/reading.ts';
import { getProtocol } from '../measures/protocols/index.ts';
import { findChange, nameSeries, sayChange } from '../progress/change.ts';
import { listSeries } from '../progress/series.ts';
import { listTimeline } from '../progress/timeline.ts';
import { drawSeries } from './drawSeries.ts';

/** A picture beside the page, by its file name. */
export interface CopiedPicture {
  readonly path: string;
  readonly measure: string;
  readonly takenAt: string;
}

interface CopyAsked {
  readonly file: Omit<PersonFile, 'format' | 'version'>;
  readonly pictures: readonly CopiedPicture[];
  /** ISO date of the copy. */
  readonly madeAt: string;
  readonly writeDate: (iso: string) => string;
  /** What an answer is called, by its field. */
  readonly nameField: (field: string) => string;
}

const STYLE = `body{font:16px/1.5 Georgia,serif;max-width:44rem;margin:2rem auto;padding:0 1rem;color:#26221c}
h1,h2{line-height:1.2}table{border-collapse:collapse}td,th{text-align:left;padding:.2rem 1rem .2rem 0;vertical-align:top}
svg{display:block;max-width:30rem}svg polyline{fill:none;stroke:#26221c}svg line{stroke:#26221c;opacity:.4}
svg text{font-size:11px;text-anchor:middle}img{max-width:20rem}`;

const paragraph = (text: string): string => `<p>${escapeText(text)}</p>`;

const section = (title: string, body: string): string =>
  body === '' ? '' : `<section><h2>${escapeText(title)}</h2>${body}</section>`;

function writeAnswers({ file, writeDate, nameField }: CopyAsked): string {
  const { intake, name: _name, id: _id, ...person } = file.person;
  const isDate = (value: string): boolean => /^\d{4}-\d{2}-\d{2}T/.test(value);
  const rows = Object.entries({ ...person, ...intake }).flatMap(([field, value]) => {
    if ((typeof value !== 'string' && typeof value !== 'number') || value === '') return [];
    const words = isDate(String(value)) ? writeDate(String(value)) : String(value);
    return [
      `<tr><th scope="row">${escapeText(nameField(field))}</th><td>${escapeText(words)}</td></tr>`,
    ];
  });
  return rows.length === 0 ? '' : `<table>${rows.join('')}</table>`;
}

const writeCautions = ({ file }: CopyAsked): string =>
  findActiveCautions(file.person)
    .map(({ entry, kind }) => {
      const parts = [kind?.name ?? entry.id, entry.side ?? '', entry.note];
      return paragraph(parts.filter((each) => each !== '').join(', '));
    })
    .join('');

function writeMeasures({ file, writeDate }: CopyAsked): string {
  return listSeries(file.readings.filter(isCounted))
    .map((series) => {
      const { unit } = getProtocol(series.measure);
      const sign = unit === 'deg' ? '°' : ` ${unit}`;
      const latest = series.values.at(-1)!;
      const change = findChange(series);
      return [
        `<h3>${escapeText(nameSeries(series))}</h3>`,
        paragraph(
          `${latest.value.toFixed(1)}${sign} ± ${latest.error.toFixed(1)}${sign}, ${writeDate(latest.takenAt)}`,
        ),
        change === null
          ? ''
          : paragraph(sayChange(series, change, writeDate(change.first.takenAt))),
        drawSeries(series, writeDate),
      ].join('');
    })
    .join('');
}

function writeStory({ file, writeDate }: CopyAsked): string {
  const { setUps, sessions } = file;
  return listTimeline(file, setUps, sessions)
    .map(
      ({ at, words, details }) =>
        `<p><time datetime="${escapeText(at)}">${escapeText(writeDate(at))}</time>: ${[words, ...details].map(escapeText).join('<br>')}</p>`,
    )
    .join('');
}

const writeAppointments = ({ file }: CopyAsked): string =>
  file.appointments
    .map(({ start, minutes, weeks, note }) =>
      paragraph(
        `${start.replace('T', ', ')}, ${String(minutes)} minutes${weeks > 1 ? `, ${String(weeks)} weeks in a row` : ''}${note === '' ? '' : `: ${note}`}`,
      ),
    )
    .join('');

const writeFlows = ({ file }: CopyAsked): string =>
  file.flows.map(({ name, steps }) => paragraph(`${name}, ${String(steps.length)} steps`)).join('');

const writePictures = ({ pictures, writeDate }: CopyAsked): string =>
  pictures
    .map(
      ({ path, measure, takenAt }) =>
        `<figure><img src="${escapeText(path)}" alt="${escapeText(measure)}"><figcaption>${escapeText(`${measure}, ${writeDate(takenAt)}`)}</figcaption></figure>`,
    )
    .join('');

/**
 * Everything that is kept of a person as one page to read, with their measures drawn over
 * time. Pictures stand beside it; the person file holds the same for another program.
 *
 * @param asked the person with everything that is kept of them
 * @returns HTML that needs nothing else
 */
export function writeOwnCopy(asked: CopyAsked): string {
  const { file, madeAt, writeDate } = asked;
  const title = `What is kept of ${file.person.name}`;
  return [
    '<!doctype html><html lang="en"><head><meta charset="utf-8">',
    `<title>${escapeText(title)}</title><style>${STYLE}</style></head><body>`,
    `<h1>${escapeText(title)}</h1>`,
    paragraph(
      `Made on ${writeDate(madeAt)}. This is all of it; person.json beside this page holds the same for another program. You may have it corrected or erased.`,
    ),
    section('Answers', writeAnswers(asked)),
    section('Health', writeCautions(asked)),
    section('Measures', writeMeasures(asked)),
    section('What happened, in order', writeStory(asked)),
    section('Appointments', writeAppointments(asked)),
    section('Flows', writeFlows(asked)),
    section('Pictures', writePictures(asked)),
    '</body></html>\n',
  ].join('\n');
}
