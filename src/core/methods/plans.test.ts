import { describe, expect, it } from 'vitest';
import { PROFILES } from '../limits';
import { MOULDS, SPECIMEN_SIZES } from '../moulds';
import type { PlanItem, RunSetup } from '.';
import { examplePress } from './press';
import { METHODS } from './registry';

const SYSTEMS = ['US', 'SI'] as const;

/** What a plan must never say: a number that is none, something unknown, a word of the program. */
function readable(items: readonly PlanItem[], of: string): void {
  for (const { label, text, note } of items) {
    expect(label, of).toMatch(/\S/u);
    expect(text, of).toMatch(/\S/u);
    for (const said of [label, text, note ?? ''])
      expect(said, of).not.toMatch(/NaN|Infinity|undefined|null|\[object/u);
  }
}

describe.each(METHODS.map((method) => ({ id: method.id, method })))('the plan of $id', ({ method }) => {
  it.each(SYSTEMS)('can be read with nothing known, in %s', (system) => {
    readable(method.plan(system, {}), method.id);
  });
  it.each(SYSTEMS)('can be read with its example, in %s', (system) => {
    const { setup } = method.example(system);
    readable(method.plan(system, setup), method.id);
  });
  it.each(PROFILES)('can be read in the school %s', (profile) => {
    for (const system of SYSTEMS) {
      const setup: RunSetup = { ...method.example(system).setup, profile };
      readable(method.plan(system, setup), `${method.id} ${profile}`);
    }
  });
});

describe('the plan of a specimen in a press', () => {
  // What is driven by its displacement keeps to no rate of the load.
  const presses = METHODS.filter(({ press, bends }) => press && !bends);
  it('there are such methods', () => {
    expect(presses.length).toBeGreaterThanOrEqual(6);
  });
  // A core has no size before it is measured: its rate is told on the run sheet then.
  const sizes = SPECIMEN_SIZES.filter((size) => MOULDS[size].kind !== 'core');
  it.each(sizes)('names size and rate of every size it takes: %s', (mould) => {
    for (const method of presses.filter(({ forms }) => forms?.includes(mould) ?? true)) {
      for (const system of SYSTEMS) {
        const items = method.plan(system, examplePress(system, mould));
        readable(items, `${method.id} ${mould}`);
        const labels = items.map(({ label }) => label);
        if (labels.length === 0) continue;
        expect(labels, method.id).toContain('Rate at the machine');
        const rate = items.find(({ label }) => label === 'Rate at the machine')?.text ?? '';
        const [low = 0, high = 0] = rate
          .replaceAll(',', '')
          .match(/[\d.]+/gu)
          ?.map(Number) ?? [0, 0];
        expect(high, `${method.id} ${mould}: ${rate}`).toBeGreaterThanOrEqual(low);
        expect(rate).toContain(system === 'US' ? 'lbf/s' : 'kN/s');
      }
    }
  });
  it('every size is taken by some method', () => {
    for (const mould of SPECIMEN_SIZES.filter((size) => MOULDS[size].kind !== 'beam'))
      expect(
        presses.some(({ forms }) => forms?.includes(mould)),
        mould,
      ).toBe(true);
  });
});

describe('a load far too large or small for the machine', () => {
  it('takes longer at the same rate, never less', () => {
    const method = METHODS.find(({ id }) => id === 'cylinder-compression');
    const seconds = (specifiedStrength: string): number => {
      const setup = examplePress('US', '4x8');
      const items = method?.plan('US', { ...setup, facts: { specifiedStrength } }) ?? [];
      return Number.parseFloat(items.find(({ label }) => label.startsWith('Time'))?.text ?? 'NaN');
    };
    const all = ['1,000 psi', '3,000 psi', '6,000 psi', '12,000 psi'].map(seconds);
    expect(all).toEqual(all.toSorted((a, b) => a - b));
    expect(all[0]).toBeGreaterThan(0);
  });
});
