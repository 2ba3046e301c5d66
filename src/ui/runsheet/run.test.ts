import { describe, expect, it } from 'vitest';
import { fieldsOf } from '@/core/methods';
import { densityYield } from '@/core/methods/density-yield';
import { isTaken, missingAt, type Run, refusedAt, stepFields, takenRows } from './run';

/** As much of a run as its words are read from. */
function runOf(parts: {
  readonly values?: Record<string, string>;
  readonly refused?: Record<string, string>;
  readonly errors?: Record<string, string>;
  readonly missing?: Record<string, string>;
}): Run {
  const { values = {}, refused = {}, errors = {}, missing = {} } = parts;
  return {
    method: densityYield,
    fields: new Map(fieldsOf(densityYield.Input).map((field) => [field.name, field])),
    readings: { values, refused },
    live: { errors, missing },
  } as unknown as Run;
}

describe('what is said at a field of a run', () => {
  it('is its own, or of a table what is wrong first in it', () => {
    const run = runOf({
      missing: { emptyMass: 'Empty mass: not taken yet.', 'materials/k2/mass': 'Mass: not taken yet.' },
      errors: { 'materials/k1/mass': 'Mass: 12 what?' },
      refused: { fullMass: 'The run is complete.' },
    });
    expect(missingAt(run, 'emptyMass')).toBe('Empty mass: not taken yet.');
    expect(missingAt(run, 'materials')).toBe('Mass: not taken yet.');
    expect(missingAt(run, 'fullMass')).toBeUndefined();
    expect(refusedAt(run, 'materials')).toBe('Mass: 12 what?');
    expect(refusedAt(run, 'fullMass')).toBe('The run is complete.');
    expect(refusedAt(run, 'emptyMass')).toBeUndefined();
  });

  it('is never that of a field whose name only begins the same', () => {
    const run = runOf({ missing: { 'materialsElse/k1/mass': 'Mass: not taken yet.' } });
    expect(missingAt(run, 'materials')).toBeUndefined();
  });

  it('what cannot be used stands before what the server refused', () => {
    const run = runOf({ errors: { fullMass: 'No number.' }, refused: { fullMass: 'Too late.' } });
    expect(refusedAt(run, 'fullMass')).toBe('No number.');
  });
});

describe('what was taken', () => {
  const run = runOf({
    values: {
      emptyMass: '7.8',
      fullMass: '',
      'materials/k1/name': 'cement',
      'materials/k1/mass': '4600',
      'materials/k2/name': 'sand',
      'materials/k3/name': '',
    },
  });

  it('counts the rows that were begun, each once, and none that were emptied', () => {
    expect(takenRows(run, 'materials')).toBe(2);
    expect(takenRows(run, 'emptyMass')).toBe(0);
  });

  it('knows a field by its reading and a table by its rows', () => {
    expect(isTaken(run, 'emptyMass')).toBe(true);
    expect(isTaken(run, 'fullMass')).toBe(false);
    expect(isTaken(run, 'weighedAt')).toBe(false);
    expect(isTaken(run, 'materials')).toBe(true);
    expect(isTaken(runOf({}), 'materials')).toBe(false);
  });

  it('gives the fields of a step in its order', () => {
    const names = densityYield.steps[2]?.fields ?? [];
    expect(names.length).toBeGreaterThan(1);
    expect(stepFields(run, names).map(({ name }) => name)).toEqual(names);
    expect(stepFields(run, ['nothing here'])).toEqual([]);
  });
});
