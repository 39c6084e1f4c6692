import Ajv2020 from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import schema from '../../../docs/formats/flow.schema.json' with { type: 'json' };
import { checkFlowFile } from '../../../src/core/formats/flowFile.ts';
import { checkFlowRequest } from '../../../src/core/formats/flowRequest.ts';
import { fileOf, recordOf, REFERENCE } from '../../support/people.ts';
import { flowOf } from '../../support/flows.ts';

const file = {
  format: 'stillwater.flow',
  version: 1,
  ...flowOf('~ round-and-hollow', 'mountain', 'triangle left', 'rest'),
};
const codes = (value: unknown): readonly string[] => {
  const checked = checkFlowFile(value);
  return checked.ok ? [] : checked.problems.map(({ code, path }) => `${path} ${code}`);
};
const withStep = (step: object): object => ({ ...file, steps: [{ ...file.steps[2], ...step }] });

describe('a flow file', () => {
  it('comes back as it was, and a second reader of the schema agrees', () => {
    const checked = checkFlowFile(JSON.parse(JSON.stringify(file)));
    const { format: _format, version: _version, ...flow } = file;
    expect(checked).toEqual({ ok: true, value: flow });
    const isValid = new Ajv2020({ strict: false }).compile(schema);
    expect(isValid(file)).toBe(true);
    expect(isValid({ ...file, steps: [{ id: '1' }] })).toBe(false);
  });

  it('may leave out what has a usual value', () => {
    const { peak: _peak, minutes: _minutes, ...less } = file;
    expect(checkFlowFile(less)).toMatchObject({ ok: true, value: { peak: null, minutes: null } });
    const { level: _level, ...step } = file.steps[2] as { level: string };
    const checked = checkFlowFile({ ...file, steps: [step] });
    expect(checked).toMatchObject({ ok: true, value: { steps: [{ level: 'auto' }] } });
  });

  it('is refused by field where something is wrong', () => {
    expect(codes({ ...file, format: 'stillwater.person' })).toEqual(['format wrong-format']);
    expect(codes({ ...file, version: 2 })).toEqual(['version newer-version']);
    expect(codes({ ...file, name: '' })).toEqual(['name wrong-shape']);
    expect(codes({ ...file, tempo: 3 })).toEqual(['tempo wrong-shape']);
    expect(codes({ ...file, steps: [file.steps[1], file.steps[1]] })).toEqual([
      'steps[1].id duplicate-id',
    ]);
    expect(codes(withStep({ side: null }))).toEqual(['steps[0].side wrong-shape']);
    expect(codes(withStep({ pose: undefined }))).toContain('steps[0].pose wrong-shape');
    expect(codes(withStep({ manner: { kind: 'held' } }))).toEqual([
      'steps[0].manner.breaths wrong-shape',
    ]);
    expect(codes(withStep({ manner: { kind: 'rhythm', times: 0 } }))).toEqual([
      'steps[0].manner.times wrong-shape',
    ]);
    expect(codes(null)).toEqual(['format wrong-format']);
  });

  it('is asked for together with a person, and problems name whose field is wrong', () => {
    const person = fileOf(recordOf(REFERENCE));
    expect(checkFlowRequest({ person, flow: file }, null).ok).toBe(true);
    const wrong = checkFlowRequest(
      { person, flow: { ...file, name: 3 }, rules: { stance: 'huge' } },
      null,
    );
    if (wrong.ok) throw new Error('It was taken');
    const paths = wrong.problems.map(({ path }) => path);
    expect(paths).toContain('flow.name');
    expect(paths.some((path) => path.includes('stance'))).toBe(true);
    expect(checkFlowRequest(3, null).ok).toBe(false);
  });
});
