import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { cylinderCompression } from '../methods/cylinder-compression';
import { METHODS } from '../methods/registry';
import { computeRecord, type KnownSpecimen, previewImport, resultsCsv } from '.';

const known = (label: string): KnownSpecimen | undefined =>
  /^S-\d$/.test(label)
    ? { label, system: 'US', refused: label === 'S-9' ? 'tested already' : null }
    : undefined;

describe('records', () => {
  it.each(METHODS.flatMap((method) => (['US', 'SI'] as const).map((system) => [method.id, system] as const)))(
    '%s %s: a record computed again gives the same record',
    (id, system) => {
      const method = METHODS.find((each) => each.id === id);
      const first = computeRecord(id, method?.example(system));
      expect(first.ok).toBe(true);
      if (!first.ok) return;
      const again = computeRecord(undefined, JSON.parse(JSON.stringify(first.record)));
      expect(again).toEqual(first);
    },
  );

  it.each([
    [null, ''],
    [[], ''],
    [{}, 'input'],
    [{ input: 5 }, 'input'],
    [{ input: {}, format: 'other' }, 'format'],
    [{ input: {}, version: 99 }, 'version'],
    [{ input: {}, method: 'slump' }, 'method'],
    [{ input: { system: 'US', diameter1: 'x' } }, 'input.diameter1'],
    [{ input: { system: 'US', stranger: '1' } }, 'input.stranger'],
    [{ input: { system: 'US' }, setup: { specimen: { since: 'yesterday' } } }, 'setup.specimen.since'],
    [{ input: { system: 'US' }, setup: { wrong: 1 } }, 'setup.wrong'],
  ])('%o is answered at %s', (data, field) => {
    const answer = computeRecord('cylinder-compression', data);
    expect(answer.ok).toBe(false);
    expect(Object.keys(answer.ok ? {} : answer.errors)).toContain(field);
  });
});

describe('CSV', () => {
  const record = computeRecord('cylinder-compression', cylinderCompression.example('US'));
  const rows = record.ok
    ? [
        { system: 'US' as const, record: { ...record.record, about: { specimen: 'S-1', job: 'J' } } },
        {
          system: 'US' as const,
          record: {
            ...record.record,
            input: { ...record.record.input, remarks: '=1+1, "q"' },
            about: { specimen: 'S-2', job: 'J' },
          },
        },
      ]
    : [];

  it('is read back by another parser with the same figures, and runs no formulas', () => {
    const parsed = Papa.parse<Record<string, string>>(resultsCsv('cylinder-compression', rows), {
      header: true,
    });
    expect(parsed.errors).toEqual([]);
    expect(parsed.data[0]).toMatchObject({
      specimen: 'S-1',
      diameter1_in: '4.01',
      maximum_load_lbf: '61870',
      compressive_strength_psi: '4920',
    });
    expect(parsed.data[1]?.remarks).toBe(`'=1+1, "q"`);
  });

  it('goes back in by the importer: every row of an export can be imported', () => {
    const preview = previewImport(resultsCsv('cylinder-compression', rows), 'cylinder-compression', known);
    expect(preview.problems).toEqual([]);
    expect(preview.rows.map(({ errors }) => errors)).toEqual([[], []]);
    expect(preview.rows[0]?.input).toMatchObject({
      diameter1: '4.01 in',
      maximumLoad: '61870 lbf',
      fracture: '3',
    });
  });

  const header =
    'specimen,machine,surface,diameter1_in,diameter2_in,ends,maximum_load_lbf,tested_at,fracture';
  const good = 'P,moist,4.00,4.01,pads,60110,2031-06-11T09:05:00-04:00,3';

  it.each([
    [`S-1,${good}`, []],
    [`S-1,${good.replace('60110', 'many')}`, ['maximum_load_lbf']],
    [`S-1,${good.replace('2031-06-11T09:05:00-04:00', '2031-06-11 09:05')}`, ['tested_at']],
    [`S-1,${good.replace('moist', 'soggy')}`, ['surface']],
    [`S-1,${good.replace(',3', ',')}`, ['fracture']],
    [`S-9,${good}`, ['specimen']],
    [`Q-1,${good}`, ['specimen']],
    [`,${good}`, ['specimen']],
  ])('%s', (line, columns) => {
    const preview = previewImport(`${header}\n${line}\n`, 'cylinder-compression', known);
    expect(preview.rows[0]?.errors.map(({ column }) => column)).toEqual(columns);
    expect(preview.rows[0]?.line).toBe(2);
  });

  it('takes semicolons, a byte order mark, empty lines and the other system’s columns', () => {
    const text = `\uFEFF${header.replace('maximum_load_lbf', 'maximum_load_kn').replaceAll(',', ';')}\r\n\r\nS-1;${good.replace('60110', '267.4').replaceAll(',', ';')}\r\n`;
    const preview = previewImport(text, 'cylinder-compression', known);
    expect(preview.rows.map(({ errors, line }) => [line, errors])).toEqual([[3, []]]);
    expect(preview.rows[0]?.input.maximumLoad).toBe('267.4 kN');
  });

  it('names the same specimen twice as a mistake, and says what it does not use', () => {
    const preview = previewImport(
      `${header},moon\nS-1,${good},x\nS-1,${good},x\n`,
      'cylinder-compression',
      known,
    );
    expect(preview.rows[1]?.errors[0]?.message).toContain('line 2');
    expect(preview.ignoredColumns).toEqual(['moon']);
  });

  it.each([[''], ['\n'], ['a,b\n1,2'], [`${header}\n`], [`specimen,specimen\nS-1,S-1`]])(
    '%o is a file with a problem',
    (text) => {
      const preview = previewImport(text, 'cylinder-compression', known);
      expect(preview.problems.length).toBe(1);
      expect(preview.rows).toEqual([]);
    },
  );
});
