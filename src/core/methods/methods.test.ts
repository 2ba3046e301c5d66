import fc from 'fast-check';
import { evaluate } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { isLimitId, LIMIT_IDS, Limits, PROFILES, shippedLimit } from '../limits';
import { bySeverity } from '../working';
import {
  type FieldSpec,
  fieldsOf,
  type Method,
  type Outcome,
  usableInput,
  validateInput,
  validateSetup,
} from '.';
import { mainQuantity } from './main-result';
import { findMethod, METHODS } from './registry';
import { stepsOf } from './steps-of';

const SYSTEMS = ['US', 'SI'] as const;
const CASES = METHODS.flatMap((method) =>
  SYSTEMS.map((system) => ({ method, system, name: `${method.id} ${system}` })),
);

/** Readings a technician could type for a field, in and out of the ordinary. */
function typed(field: FieldSpec, system: 'US' | 'SI'): fc.Arbitrary<unknown> {
  if (field.kind === 'measure') {
    const [low, high] = field.possible[system].map(Number) as [number, number];
    const usual = Number(
      /[\d.]+/.exec(String(typeof field.example === 'string' ? field.example : field.example[system]))?.[0] ??
        low,
    );
    return fc.oneof(
      {
        weight: 6,
        arbitrary: fc.integer({ min: 80, max: 120 }).map((share) => ((usual * share) / 100).toFixed(2)),
      },
      {
        weight: 2,
        arbitrary: fc.double({ min: low, max: high, noNaN: true }).map((value) => value.toFixed(3)),
      },
      { weight: 1, arbitrary: fc.constant('') },
    );
  }
  if (field.kind === 'choice') return fc.constantFrom(...field.options.map(({ value }) => value));
  if (field.kind === 'check') return fc.boolean();
  if (field.kind === 'instant') {
    return fc
      .integer({ min: 0, max: 60 * 24 * 60 })
      .map((minutes) => new Date(Date.UTC(2031, 4, 14) + minutes * 60_000).toISOString());
  }
  if (field.kind === 'equipment')
    return fc.constantFrom('PRESS-1', 'CALLIPER-1', 'CONE-1', 'THERMO-1', 'NOT-THERE');
  return fc.string({ maxLength: 40 });
}

function inputs({ method, system }: (typeof CASES)[number]): fc.Arbitrary<Record<string, unknown>> {
  const shape = Object.fromEntries(fieldsOf(method.Input).map((field) => [field.name, typed(field, system)]));
  return fc.record(shape, { requiredKeys: [] }).map((input) => ({ ...input, system }));
}

/** Every printed line, evaluated anew by an expression library that knows nothing of ours. */
function checkLines(outcome: Outcome): void {
  for (const line of outcome.lines) {
    const again = Number(evaluate(line.substituted));
    const shown = Number(line.value);
    expect(Math.abs(again - shown), `${line.symbol} = ${line.substituted}`).toBeLessThanOrEqual(
      Math.abs(shown) * 1e-9 + 1e-12,
    );
    if (!line.rounding) continue;
    const step = Number(line.rounding.step);
    const rounded = Number(line.rounded.replaceAll(',', ''));
    expect(Math.abs(rounded / step - Math.round(rounded / step))).toBeLessThan(1e-6);
    expect(Math.abs(rounded - shown)).toBeLessThanOrEqual(step / 2 + 1e-9);
  }
}

describe.each(CASES)('$name', (testCase) => {
  const { method, system } = testCase;

  it('computes its own example without a finding that forbids it', () => {
    const { input, setup } = method.example(system);
    const good = validateInput(method, input, { whole: true });
    expect(good).toMatchObject({ ok: true });
    expect(validateSetup(method, setup)).toMatchObject({ ok: true });
    if (!good.ok) return;
    const outcome = method.compute(good.value, setup);
    expect(outcome.results.map(({ quantity }) => quantity)).toContain(mainQuantity(method));
    expect(outcome.findings.filter(({ severity }) => severity !== 'advice')).toEqual([]);
    checkLines(outcome);
  });

  it('shows what it computed, whatever is typed, and never throws', () => {
    const { setup } = method.example(system);
    fc.assert(
      fc.property(inputs(testCase), (typedInput) => {
        const { input } = usableInput(method, typedInput);
        const outcome = method.compute(input, setup);
        checkLines(outcome);
        for (const result of outcome.results) expect(Number.isFinite(Number(result.value))).toBe(true);
        expect(bySeverity(outcome.findings)).toEqual(outcome.findings);
        for (const found of outcome.findings) {
          expect(found.action.length).toBeGreaterThan(5);
          for (const name of found.fields)
            expect(fieldsOf(method.Input).some((field) => field.name === name)).toBe(true);
          if (found.severity === 'departure') expect(found.remark).toBeTruthy();
        }
      }),
      { numRuns: 60 },
    );
  });

  it('answers any text at any field with words, not with an exception', () => {
    const fields = fieldsOf(method.Input).map(({ name }) => name);
    fc.assert(
      fc.property(fc.dictionary(fc.constantFrom(...fields, 'stranger'), fc.anything()), (anything) => {
        const checked = validateInput(method, { ...anything, system });
        if (!checked.ok)
          for (const message of Object.values(checked.errors)) expect(message.length).toBeGreaterThan(3);
        usableInput(method, { ...anything, system });
      }),
      { numRuns: 60 },
    );
  });

  it('names only fields and clocks that it has', () => {
    const names = new Set(fieldsOf(method.Input).map(({ name }) => name));
    expect(new Set(method.steps.flatMap(({ fields }) => fields))).toEqual(names);
    // Steps that take the place of one another read the same; of those that are there none is read twice.
    const { setup } = method.example(system);
    for (const profile of PROFILES) {
      const there = stepsOf(method, { ...setup, profile }).flatMap(({ fields }) => fields);
      expect(new Set(there).size, profile).toBe(there.length);
      for (const field of fieldsOf(method.Input)) if (field.required) expect(there).toContain(field.name);
    }
    expect(names.has(method.performedAt)).toBe(true);
    // A frame that is pumped by hand is named by a reading that chooses equipment.
    const frame = fieldsOf(method.Input).find(({ name }) => name === method.handPumped?.frame);
    expect(frame?.kind).toBe(method.handPumped === undefined ? undefined : 'equipment');
    for (const { clock } of method.steps) if (clock?.limit) expect(isLimitId(clock.limit)).toBe(true);
  });
});

it('finds each method by its own id, and nothing by what every object has', () => {
  for (const method of METHODS) expect(findMethod(method.id)).toBe(method);
  expect(findMethod('constructor')).toBeUndefined();
});

describe('limits register', () => {
  it.each(LIMIT_IDS)('%s has values in both systems, and a source', (id) => {
    const entry = shippedLimit(id);
    expect(entry.both !== undefined || (entry.US !== undefined && entry.SI !== undefined)).toBe(true);
    expect(entry.source.kind === 'standard' ? entry.source.designation : 'x').toBeTruthy();
    expect(['recalled', 'our choice']).toContain(entry.status);
    for (const system of SYSTEMS) expect(new Limits().of(id, system).text).toMatch(/\d/);
  });

  it('puts the laboratory’s own value in force, and no literal stands in its way', () => {
    const method = findMethod('cylinder-compression') as Method;
    const { input, setup } = method.example('US');
    const { input: usable } = usableInput(method, input);
    const own = {
      'cylinder.loading-rate': {
        status: 'set by the laboratory' as const,
        US: { low: '30', high: '35', unit: 'psi/s' as const },
      },
    };
    const outcome = method.compute(usable, { ...setup, limitChanges: own, limitsRevision: 1 });
    expect(outcome.findings.map(({ id }) => id)).toContain('cylinder.loading-rate');
    expect(outcome.findings[0]?.limit?.status).toBe('set by the laboratory');
  });
});

it('a cell that cannot be read is refused by itself, and the rest of its row stays', () => {
  const capping = findMethod('capping') as Method;
  const thickness = [{ id: 'k1', specimen: 'X-1', strength: ',', t1: '4.6' }];
  const { input, errors } = usableInput(capping, { system: 'SI', thickness });
  expect(Object.keys(errors)).toEqual(['thickness/k1/strength']);
  expect(capping.compute(input, {}).results[0]?.reported).toBe('4.6');
});
