import { describe, expect, it } from 'vitest';
import { fieldsOf, type Method } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';
import { takeFigures } from './take-figures';

/** A run as far as taking figures needs it, and what was saved into it. */
function taking(
  id: string,
  values: Record<string, string> = {},
): { run: Run; saved: Record<string, string> } {
  const method = findMethod(id) as Method;
  const saved: Record<string, string> = {};
  const run = {
    method,
    fields: new Map(fieldsOf(method.Input).map((field) => [field.name, field])),
    readings: { values, save: (field: string, text: string) => Object.assign(saved, { [field]: text }) },
  } as unknown as Run;
  return { run, saved };
}
const US = { system: 'US' } as RunSheetData;
const figures = { peak: 61_874, meanRate: 2.4, at: '2031-06-11T09:05:00.000Z' };

describe('figures of a record', () => {
  it('go into readings that are still empty', () => {
    const { run, saved } = taking('cylinder-compression');
    takeFigures(run, US, figures);
    expect(saved).toEqual({ maximumLoad: '61870', loadingRate: '2.4', testedAt: figures.at });
  });
  it('never over what somebody read off', () => {
    const { run, saved } = taking('cylinder-compression', { maximumLoad: '61900', loadingRate: '35' });
    takeFigures(run, US, { peak: 61_874, meanRate: 36 });
    expect(saved).toEqual({});
  });
  it('in the unit the method reads its rate in: 2.4 psi/s are 144 psi/min', () => {
    const { run, saved } = taking('splitting-tensile');
    takeFigures(run, US, figures);
    expect(saved.loadingRate).toBe('144.0');
  });
});
