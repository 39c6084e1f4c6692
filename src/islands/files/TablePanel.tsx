import { useState } from 'react';
import {
  CSV_FIELDS,
  guessMapping,
  planCsv,
  readCsv,
  writeReadingsCsv,
  type CsvField,
  type CsvMapping,
  type CsvTable,
} from '../../core/formats/readingsCsv.ts';
import { isAgreed } from '../../core/person/consent.ts';
import type { Problem } from '../../core/problems/problem.ts';
import { addReadings, loadRecord } from '../../data/people.ts';
import type { PersonRow } from '../../data/rows.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { sayError } from '../shared/sayError.ts';
import { sayWriteError } from '../shared/sayWriteError.ts';
import { saveFile } from '../shared/saveFile.ts';
import { Field } from '../shared/ui/Field.tsx';
import { FileField } from '../shared/ui/FileField.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { tablePanel as say } from './words.ts';

/** What a field is called beside its choice of columns. */
const FIELD_WORDS: Readonly<Record<CsvField, string>> = {
  id: say.id,
  measure: 'Measure',
  side: 'Side',
  value: 'Value',
  unit: 'Unit',
  takenAt: 'Date',
  state: say.coldWarm,
  posture: 'Posture',
  instrument: 'Instrument',
  note: 'Note',
  takenBy: say.measuredBy,
  setAside: say.setAsideBecause,
};
const MOST_SHOWN = 12;

/** Readings as a table, out and in. Nothing comes in before every row is looked at. */
export function TablePanel({ people }: { people: readonly PersonRow[] }) {
  const [personId, setPersonId] = useState('');
  const [table, setTable] = useState<CsvTable | null>(null);
  const [mapping, setMapping] = useState<CsvMapping | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [failed, setFailed] = useState('');
  const [done, setDone] = useState<string | null>(null);
  const person = people.find((each) => each.id === personId) ?? null;

  const choose = async (chosen: File | undefined): Promise<void> => {
    setTable(null);
    setDone(null);
    setProblems([]);
    setFailed('');
    if (chosen === undefined) return;
    try {
      const read = readCsv(await chosen.text());
      if (!read.ok) {
        setProblems(read.problems);
        return;
      }
      setTable(read.value);
      setMapping(guessMapping(read.value.columns));
    } catch (error) {
      setFailed(say.couldNotRead(chosen.name, sayError(error)));
    }
  };
  const take = async (
    { id, person: { name } }: PersonRow,
    readings: Parameters<DryRunProps['onTake']>[0],
  ): Promise<void> => {
    try {
      const added = await addReadings(id, readings);
      setFailed('');
      setTable(null);
      setDone(say.importedForWereAlready(added, name, readings.length - added));
    } catch (error) {
      setFailed(say.nothingSaved(sayWriteError(error)));
    }
  };
  const handOut = async (): Promise<void> => {
    const record = await loadRecord(personId);
    if (record === null) return;
    saveFile(say.readingsCsv(record.person.name), writeReadingsCsv(record.readings), 'text/csv');
  };
  return (
    <section>
      <h2>{say.readingsAsTable}</h2>
      <Field label={say.readings}>
        <select
          value={personId}
          onChange={(event) => {
            setPersonId(event.target.value);
            setDone(null);
          }}
        >
          <option value="">{say.choosePerson}</option>
          {people.map((each) => (
            <option key={each.id} value={each.id}>
              {each.person.name}
            </option>
          ))}
        </select>
      </Field>
      {person !== null && (
        <>
          <p>
            <WordButton onClick={() => void handOut()}>{say.saveTheirReadingsAs}</WordButton>
          </p>
          {isAgreed(person.person) ? (
            <FileField
              label={say.tableImportCsv}
              accept=".csv,text/csv,text/plain"
              onChoose={(file) => void choose(file)}
            />
          ) : (
            <p>
              {say.theyHaveAgreeBefore}
              <a href={`/measure?id=${encodeURIComponent(person.id)}`}>{say.askForConsent}</a>.
            </p>
          )}
        </>
      )}
      {(problems.length > 0 || failed !== '') && (
        <div role="alert">
          <p>{say.tableCannotImportedNothing(failed)}</p>
          <ProblemList problems={problems.slice(0, MOST_SHOWN)} />
        </div>
      )}
      {person !== null && table !== null && mapping !== null && (
        <DryRun
          table={table}
          mapping={mapping}
          onMapping={setMapping}
          onTake={(readings) => {
            void take(person, readings);
          }}
        />
      )}
      {done !== null && <p role="status">{done}</p>}
    </section>
  );
}

interface DryRunProps {
  table: CsvTable;
  mapping: CsvMapping;
  onMapping: (mapping: CsvMapping) => void;
  onTake: (readings: ReturnType<typeof planCsv>['readings']) => void;
}

/** Which column holds what, and what would come of every row. */
function DryRun({ table, mapping, onMapping, onTake }: DryRunProps) {
  const [today] = useState(() => new Date().toISOString());
  const { readings, problems } = planCsv(table, mapping, today);
  const errors = problems.filter((each) => each.severity === 'error');
  const others = problems.filter((each) => each.severity !== 'error');
  const shown = [...errors, ...others];
  return (
    <div>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-x-4 gap-y-1">
        {CSV_FIELDS.map((field) => (
          <Field key={field} label={FIELD_WORDS[field]}>
            <select
              value={mapping[field] ?? ''}
              onChange={(event) => {
                const column = event.target.value === '' ? null : event.target.value;
                onMapping({ ...mapping, [field]: column });
              }}
            >
              <option value="">{say.noColumn}</option>
              {table.columns.map((each) => (
                <option key={each} value={each}>
                  {each}
                </option>
              ))}
            </select>
          </Field>
        ))}
      </div>
      <p role="status">
        {readings.length}
        {say.of}
        {table.rows.length}
        {say.rowsCanImported}
        {errors.length > 0 && say.othersLeftOut}
      </p>
      <ProblemList problems={shown.slice(0, MOST_SHOWN)} />
      {shown.length > MOST_SHOWN && <p>{say.more(shown.length - MOST_SHOWN)}</p>}
      <Button
        disabled={readings.length === 0}
        onClick={() => {
          onTake(readings);
        }}
      >
        {say.importWord(readings.length)}
      </Button>
    </div>
  );
}
