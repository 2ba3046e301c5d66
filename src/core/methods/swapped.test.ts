import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exact } from '../quantity';
import { usableInput } from '.';
import { findMethod } from './registry';
import { exchanged } from './swapped';
import { unitSoak } from './unit-soak';

const ALIKE = exact('0.5');
const twice = (...read: readonly (readonly [label: string, before: string, now: string])[]) =>
  read.map(([label, before, now]) => ({ label, before: exact(before), now: exact(now) }));

// Arithmetic: units of one lot take up alike; by hand 34.41 / 32.93 = 1.0449, 34.75 / 33.27 = 1.0445, exchanged 1.0343 and 1.0553.
describe('two marks that were exchanged', () => {
  it('are found by what the units weighed as they came', () => {
    expect(
      exchanged(twice(['A', '32.93', '34.75'], ['B', '33.27', '34.41'], ['C', '33.05', '34.53']), ALIKE),
    ).toEqual(['A', 'B']);
  });
  it('are not seen in units that gained alike, nor where one mass alone is wrong', () => {
    expect(
      exchanged(twice(['A', '32.93', '34.41'], ['B', '33.27', '34.75'], ['C', '33.05', '34.53']), ALIKE),
    ).toBeUndefined();
    expect(
      exchanged(twice(['A', '32.93', '36.10'], ['B', '33.27', '34.75'], ['C', '33.05', '34.53']), ALIKE),
    ).toBeUndefined();
    expect(exchanged(twice(['A', '32.93', '36.10']), ALIKE)).toBeUndefined();
  });
  it('are found for whichever two of six, where their masses differ by more than the rest', () => {
    const base = [31.2, 32.1, 33, 33.9, 34.8, 35.7];
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5 }),
        fc.integer({ min: 0, max: 5 }),
        fc.array(fc.double({ min: -0.001, max: 0.001, noNaN: true }), { minLength: 6, maxLength: 6 }),
        (one, two, noise) => {
          const now = base.map((mass, place) => mass * (1.045 + (noise[place] ?? 0)));
          [now[one], now[two]] = [now[two] as number, now[one] as number];
          const all = base.map((mass, place) => ({
            label: `U${place}`,
            before: exact(mass),
            now: exact(now[place] ?? 0),
          }));
          const found = exchanged(all, ALIKE);
          expect(found).toEqual(
            one === two ? undefined : [`U${Math.min(one, two)}`, `U${Math.max(one, two)}`],
          );
        },
      ),
    );
  });
  it('are said where the tank is weighed out, with a reason asked for', () => {
    const method = findMethod(unitSoak.id) ?? unitSoak;
    const specimens = [
      ['U4', '32.93 lb', '34.75'],
      ['U5', '33.27 lb', '34.41'],
    ] as const;
    const { input } = usableInput(method as never, {
      system: 'US',
      units: specimens.map(([specimen, , saturated]) => ({ specimen, immersed: '17.1', saturated })),
    });
    const say = (told: boolean) =>
      method
        .compute(input as never, {
          batch: {
            label: 'SK-1',
            seed: 1,
            specimens: specimens.map(([label, mass]) => ({
              label,
              ...(told ? { facts: { receivedMass: mass } } : {}),
            })),
          },
        })
        .findings.find(({ id }) => id === 'batch.exchanged');
    expect(say(true)).toMatchObject({ severity: 'departure', needsReason: true });
    expect(say(true)?.message).toContain('U4 and U5');
    expect(say(false)).toBeUndefined();
  });
});
