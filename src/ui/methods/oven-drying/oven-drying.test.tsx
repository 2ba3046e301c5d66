// @vitest-environment jsdom
import { cleanup, render, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { usableInput } from '@/core/methods';
import { ovenDrying } from '@/core/methods/oven-drying';
import { Oven } from '../drying/Oven';

const START = Date.UTC(2031, 4, 21, 10);
const HOUR = 3_600_000;
beforeEach(
  () => void vi.useFakeTimers({ now: START + 27 * HOUR, toFake: ['Date', 'setInterval', 'clearInterval'] }),
);
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

const at = (hours: number): string => new Date(START + hours * HOUR).toISOString();
const bench = (...read: readonly (readonly [string, string, number])[]) => {
  const { input } = usableInput(ovenDrying as never, {
    system: 'US',
    inAt: at(0),
    weighings: read.map(([specimen, mass, hours]) => ({ specimen, mass, at: at(hours) })),
  });
  const batch = { label: 'OV-1', seed: 1, specimens: [{ label: 'U4' }, { label: 'U5' }] };
  return <Oven picture={ovenDrying.compute(input as never, { batch, zone: 'utc' }).picture} />;
};
const row = (label: string): string[] =>
  within(screen.getByRole('row', { name: new RegExp(label, 'u') }))
    .getAllByRole('cell')
    .map((cell) => cell.textContent ?? '');

describe('the oven', () => {
  it('says of each when its next weighing counts, and what is probably still to come', () => {
    // 0.12 of 32.61 lost: by the usual share two more weighings, the last mass 32.31.
    render(bench(['U4', '32.61', 24], ['U4', '32.49', 26]));
    expect(row('U4')).toEqual(['U4', '0.37 %', 'from Thu 22 May 14:00', '2 more; ends at 32.31 lb']);
    expect(row('U5')).toEqual(['U5', '', 'weigh it now', '']);
  });
  it('ticks what is dry', () => {
    render(bench(['U4', '32.49', 24], ['U4', '32.45', 26]));
    expect(row('U4')[2]).toBe('✓ dry, Thu 22 May 12:00');
    expect(screen.getByRole('img', { name: /dry below 0\.2 %/u })).toBeDefined();
  });
});
