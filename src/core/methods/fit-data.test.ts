import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { remembered } from '../quantity';
import { fieldOf, fieldsOf, readMeasure } from './fields';
import { IsDay, IsInstant, IsZone } from './instant-rules';
import { didYouMean } from './nearest';
import { plainDataProblem } from './plain-data';
import { METHODS } from './registry';
import { limitsOf } from './setup';
import { RATIO_RANGE, SPECIFIED } from './specified';
import { usableInput, validateInput, validateSetup } from './validate';
import { validated } from './validated';

const nested = (levels: number): unknown =>
  Array.from({ length: levels }).reduce((inner) => ({ a: inner }), 1 as unknown);

describe('data from outside', () => {
  it.each(['{"constructor":1}', '{"a":{"__proto__":{"x":1}}}', '{"a":[{"prototype":1}]}'])(
    'with a name that is none is unfit: %s',
    (text) => expect(plainDataProblem(JSON.parse(text))).toMatch(/not the name of a field/),
  );
  it('nested beyond measure is unfit, and asking costs no stack', () => {
    expect(plainDataProblem(nested(10))).toBeNull();
    expect(plainDataProblem(nested(40))).toMatch(/nested too deeply/);
    expect(plainDataProblem(nested(100_000))).toMatch(/nested too deeply/);
  });
  it('of any other kind is fit', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 6 }), (value) => {
        const unfit = /"(?:__proto__|constructor|prototype)":/u.test(JSON.stringify(value));
        if (!unfit) expect(plainDataProblem(value)).toBeNull();
      }),
    );
  });
  it('never throws in a method or a setup, whatever it is', () => {
    fc.assert(
      fc.property(fc.constantFrom(...METHODS), fc.jsonValue({ maxDepth: 4 }), (method, value) => {
        validateInput(method, value);
        validateSetup(method, value);
        if (typeof value === 'object' && value !== null && !Array.isArray(value)) {
          const { input } = usableInput(method, { ...(value as Record<string, unknown>), system: 'US' });
          method.compute(input, {});
        }
      }),
      { numRuns: 150 },
    );
  });
});

class Times {
  @IsInstant('When') at: string;
  @IsDay('Day') day: string;
  @IsZone('Zone') zone: string;
}
const good = { at: '2031-05-14T09:30:00Z', day: '2031-05-14', zone: 'America/New_York' };

describe('rules of time', () => {
  it('take what is there', () => expect(validated(Times, good)).toMatchObject({ ok: true }));
  it.each([
    [{ at: 'soon' }, 'at', /^When: give date and time/],
    [{ at: '2031-05-14T09:30:00' }, 'at', /^When: the offset/],
    [{ at: '3031-05-14T09:30:00Z' }, 'at', /^When: the year 3031/],
    [{ at: undefined }, 'at', /^When: /],
    [{ day: '2031-02-30' }, 'day', /^Day: there is no such day/],
    [{ day: 'Monday' }, 'day', /^Day: a date, as/],
    [{ zone: 'Moon/Base' }, 'zone', /^Zone: choose one as Area\/City/],
    [{ zone: 7 }, 'zone', /^Zone: /],
  ])('say at the field what is wrong: %j', (over, field, message) => {
    const checked = validated(Times, { ...good, ...over });
    expect(checked.ok ? {} : checked.errors).toEqual({ [field]: expect.stringMatching(message) });
  });
});

describe('the nearest known name', () => {
  it.each([
    ['slumpp', ['slump', 'air'], 'slump'],
    ['final_portion', ['final-portion', 'first-portion'], 'final-portion'],
    ['Setup', ['setup', 'input'], 'setup'],
  ])('of %s is said', (word, known, name) =>
    expect(didYouMean(word, known)).toBe(` Did you mean "${name}"?`),
  );
  it('is not said where none is near, or the word is no name at all', () => {
    expect(didYouMean('furlong', ['slump', 'air'])).toBe('');
    expect(didYouMean('x'.repeat(5000), ['x'])).toBe('');
    expect(didYouMean('x', [])).toBe('');
  });
});

describe('what is remembered', () => {
  it('is made once for a key, and anew when there was too much of it', () => {
    let made = 0;
    const double = remembered(
      2,
      (value: number) => String(value),
      (value) => {
        made += 1;
        return value * 2;
      },
    );
    expect([double(1), double(1), double(2), double(1)]).toEqual([2, 2, 4, 2]);
    expect(made).toBe(2);
    double(3);
    expect(double(1)).toBe(2);
    expect(made).toBe(4);
  });
  it('of fields is the same list, found by name too', () => {
    for (const { Input } of METHODS) {
      expect(fieldsOf(Input)).toBe(fieldsOf(Input));
      for (const field of fieldsOf(Input)) expect(fieldOf(Input, field.name)).toBe(field);
      expect(fieldOf(Input, 'constructor')).toBeUndefined();
    }
  });
  it('of limits is by the changes, their revision and the school, never mixed up', () => {
    const limitChanges = { 'slump.step': { status: 'confirmed', edition: 'ours' } } as const;
    const own = limitsOf({ limitChanges });
    expect(limitsOf({ limitChanges })).toBe(own);
    expect(limitsOf({ limitChanges, limitsRevision: 4 })).not.toBe(own);
    expect(limitsOf({ limitChanges, profile: 'en' }).profile).toBe('en');
    expect(limitsOf({}).entry('slump.step').status).toBe('recalled');
    expect(own.entry('slump.step').edition).toBe('ours');
  });
  it('of a reading is what it came to, in each of its units', () => {
    const slump = METHODS.find(({ id }) => id === 'slump');
    if (!slump) throw new Error('slump');
    for (const [system, text, value] of [
      ['US', '4', '4'],
      ['SI', '4', '4'],
      ['US', '101.6 mm', '4'],
      ['SI', '4 in', '101.6'],
    ] as const) {
      const { input } = usableInput(slump, { system, slump: text, shape: 'true' });
      expect(readMeasure(input, 'slump')?.value.toFixed()).toBe(value);
    }
  });
});

it('what can be asked for of a concrete is the same in both systems, but for round ends', () => {
  // 1 in = 25.4 mm, 1 psi = 0.00689475729 MPa, 1 lb/ft³ = 16.018463 kg/m³, 1 lb/yd³ = 0.593276 kg/m³, NIST SP 811.
  const factor: Readonly<Record<string, number>> = { length: 25.4, stress: 0.00689475729, percent: 1 };
  for (const { dimension, US, SI } of Object.values(SPECIFIED)) {
    const by = dimension === 'density' ? (US[0] === 'lb/ft3' ? 16.018463 : 0.593276) : factor[dimension];
    if (by === undefined) continue;
    for (const end of [1, 2] as const)
      if (US[end] > 0)
        expect(Math.abs((US[end] * by) / SI[end] - 1), `${dimension} ${US[end]}`).toBeLessThan(0.35);
  }
  expect(RATIO_RANGE[0]).toBeLessThan(RATIO_RANGE[1]);
});
