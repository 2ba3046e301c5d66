import { describe, expect, it } from 'vitest';
import { usableInput } from '..';
import { findMethod } from '../registry';
import { unitReceiving } from '.';

const method = findMethod(unitReceiving.id) ?? unitReceiving;
const setup = {
  batch: { label: 'RU-1', seed: 1, specimens: ['U1', 'U2', 'U3'].map((label) => ({ label })) },
};
const input = (...rows: readonly Record<string, string>[]) =>
  usableInput(method as never, {
    system: 'US',
    cleaned: true,
    units: rows.map((row, place) => ({ at: `2031-05-19T09:0${place}:00Z`, ...row })),
  }).input as never;
const ids = (...rows: readonly Record<string, string>[]) =>
  method.compute(input(...rows), setup).findings.map(({ id, severity }) => `${severity} ${id}`);

describe('units as they came', () => {
  it('have each its mass, the last that was read', () => {
    const read = input({ specimen: 'U1', mass: '33.4' }, { specimen: 'U1', mass: '33.46' });
    expect(method.compute(read, setup).results.map(({ about, text }) => [about, text])).toEqual([
      ['U1', '33.46'],
    ]);
    const tell = (label: string) => method.batch?.tells(read, { label, batch: 'RU-1', remarks: [] }, setup);
    expect(tell('U1')).toEqual({ receivedMass: '33.46 lb' });
    expect(tell('U2')).toEqual({});
  });
  it('are said where one is missing, broken, a stranger or unlike the others', () => {
    expect(ids({ specimen: 'U1', mass: '33' })).toContain('advice unit.received-missing');
    expect(ids({ specimen: 'U1', mass: '33', damage: 'broken' })).toContain('departure unit.received-broken');
    expect(ids({ specimen: 'U7', mass: '33' })).toContain('departure units.strange');
    const odd = method.compute(
      input(
        { specimen: 'U1', mass: '33.4' },
        { specimen: 'U2', mass: '33.5' },
        { specimen: 'U3', mass: '43.4' },
      ),
      setup,
    );
    expect(odd.findings.find(({ id }) => id === 'unit.received-range')?.message).toContain('U3 with 43.4 lb');
  });
});
