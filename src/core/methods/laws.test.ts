import 'reflect-metadata';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  convert,
  type Dimension,
  exact,
  parseMeasure,
  type System,
  UNITS,
  type UnitId,
  unitOf,
} from '../quantity';
import { type FieldSpec, fieldsOf, type Method, type Outcome, usableInput } from './index';
import { METHODS } from './registry';

/**
 * Laws that hold whatever the figures are: physics and arithmetic say them, no standard is needed.
 * common practice, no source.
 */
const SYSTEMS = ['US', 'SI'] as const satisfies readonly System[];

/** Every unit that a person may type for a dimension. */
const unitsOf = (dimension: Dimension): UnitId[] =>
  (Object.keys(UNITS) as UnitId[]).filter(
    (id) => unitOf(id).dimension === dimension && unitOf(id).names.length > 0,
  );

function computed(method: Method, system: System, over: Record<string, unknown> = {}) {
  const { input, setup } = method.example(system);
  const { errors, input: usable } = usableInput(method, { ...input, ...over });
  return { errors, outcome: method.compute(usable, setup) };
}

type MeasureSpec = Extract<FieldSpec, { kind: 'measure' }>;

/** The measured readings that the example of a method brings, with what was typed for each. */
function typedMeasures(method: Method, system: System): { spec: MeasureSpec; text: string }[] {
  const { input } = method.example(system);
  return fieldsOf(method.Input).flatMap((spec) => {
    const text = input[spec.name];
    return spec.kind === 'measure' && typeof text === 'string' && text !== '' ? [{ spec, text }] : [];
  });
}

/**
 * The same reading said in another unit; undefined when no number of places says it exactly, because the mean of two
 * readings may stand halfway between two steps, where the smallest difference decides.
 */
function saidIn(text: string, spec: MeasureSpec, system: System, unit: UnitId): string | undefined {
  const parsed = parseMeasure(text, spec.dimension, spec.unit[system]);
  if (!parsed.ok) throw new Error(parsed.message);
  const value = convert(parsed.measure.value, parsed.measure.unit, unit);
  if (value.decimalPlaces() > 24) return undefined;
  return `${value.toFixed()} ${unitOf(unit).names[0]}`;
}

/** Reported figures and verdicts: what goes into a report. */
const reported = ({ results, verdicts }: Outcome) => ({
  results: results.map(({ quantity, text, unit }) => `${quantity} ${text} ${unit}`),
  verdicts: verdicts.map(({ state }) => state),
});

const PRESSED = METHODS.filter(
  (method) =>
    // What is told from a record does not hang on the display.
    !method.bends &&
    fieldsOf(method.Input).some(({ name }) => name === 'maximumLoad') &&
    computed(method, 'US').outcome.results.some(({ quantity }) => /strength/iu.test(quantity)),
);

describe('the unit a reading was said in', () => {
  it.each(METHODS.map((method) => [method.id, method] as const))(
    '%s: changes no reported figure and no verdict',
    (_, method) => {
      for (const system of SYSTEMS) {
        const asIs = reported(computed(method, system).outcome);
        for (const { spec, text } of typedMeasures(method, system))
          for (const unit of unitsOf(spec.dimension)) {
            if (unit === spec.unit[system]) continue;
            const other = saidIn(text, spec, system, unit);
            if (other === undefined) continue;
            const { errors, outcome } = computed(method, system, { [spec.name]: other });
            expect(errors[spec.name], `${system} ${spec.name} = ${other}`).toBeUndefined();
            expect(reported(outcome), `${system} ${spec.name} = ${other}`).toEqual(asIs);
          }
      }
    },
  );

  it('is tried on readings of several dimensions, not on none', () => {
    const dimensions = new Set(
      METHODS.flatMap((method) => typedMeasures(method, 'US').map(({ spec }) => spec.dimension)),
    );
    for (const dimension of ['length', 'mass', 'force', 'temperature', 'volume'] as const)
      expect(dimensions).toContain(dimension);
  });
});

describe('computing', () => {
  it.each(METHODS.map((method) => [method.id, method] as const))(
    '%s: says the same twice and leaves what it was given as it was',
    (_, method) => {
      for (const system of SYSTEMS) {
        const { input, setup } = method.example(system);
        const { input: usable } = usableInput(method, input);
        const before = JSON.stringify({ usable, setup });
        const first = method.compute(usable, setup);
        expect(method.compute(usable, setup)).toEqual(first);
        expect(JSON.stringify({ usable, setup })).toBe(before);
      }
    },
  );

  it.each(METHODS.map((method) => [method.id, method] as const))(
    '%s: never gives a figure without its working',
    (_, method) => {
      for (const system of SYSTEMS) {
        const { outcome } = computed(method, system);
        if (outcome.results.some(({ text }) => /\d/u.test(text)))
          expect(outcome.lines.length, system).toBeGreaterThan(0);
      }
    },
  );

  it.each(METHODS.map((method) => [method.id, method] as const))(
    '%s: an empty sheet has no figure, and no verdict that something meets',
    (_, method) => {
      for (const system of SYSTEMS) {
        const { input, setup } = method.example(system);
        const empty = Object.fromEntries(
          Object.entries(input).filter(
            ([name]) => !fieldsOf(method.Input).some((spec) => spec.name === name),
          ),
        );
        const outcome = method.compute(usableInput(method, empty).input, setup);
        expect(outcome.verdicts.filter(({ state }) => state === 'meets')).toEqual([]);
      }
    },
  );
});

describe('a strength by breaking', () => {
  it('is known for every method at the press', () =>
    expect(PRESSED.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['cylinder-compression', 'core-compression', 'splitting-tensile']),
    ));

  const strength = (method: Method, system: System, over: Record<string, unknown>) => {
    const unit = system === 'US' ? 'psi' : 'MPa';
    const result = computed(method, system, over).outcome.results.find(
      (each) => each.unit === unit && /strength/iu.test(each.quantity),
    );
    return result && exact(result.value);
  };

  it.each(PRESSED.map((method) => [method.id, method] as const))(
    '%s: is the load times the same number, whatever the load',
    (_, method) => {
      for (const system of SYSTEMS) {
        const field = fieldsOf(method.Input).find(({ name }) => name === 'maximumLoad') as MeasureSpec;
        const typed = String(method.example(system).input.maximumLoad);
        const parsed = parseMeasure(typed, 'force', field.unit[system]);
        if (!parsed.ok) throw new Error(parsed.message);
        const whole = strength(method, system, {});
        expect(whole, system).toBeDefined();
        fc.assert(
          fc.property(fc.integer({ min: 20, max: 130 }), (percent) => {
            const load = parsed.measure.value.times(percent).div(100);
            const part = strength(method, system, { maximumLoad: load.toFixed() });
            // Fifteen figures of a result are kept.
            const ratio = part?.div(whole ?? 1).times(100);
            expect(ratio?.minus(percent).abs().lessThan('1e-9'), `${load} ${ratio}`).toBe(true);
          }),
          { numRuns: 25 },
        );
      }
    },
  );

  it.each(PRESSED.map((method) => [method.id, method] as const))(
    '%s: does not care which of two widths was read first',
    (_, method) => {
      for (const system of SYSTEMS) {
        const { input } = method.example(system);
        for (const name of ['diameter', 'width', 'depth']) {
          const [one, two] = [input[`${name}1`], input[`${name}2`]];
          if (typeof one !== 'string' || typeof two !== 'string') continue;
          expect(strength(method, system, { [`${name}1`]: two, [`${name}2`]: one })?.toFixed()).toBe(
            strength(method, system, {})?.toFixed(),
          );
        }
      }
    },
  );

  it('of a cylinder falls as the square of its diameter grows', () => {
    const cylinder = PRESSED.find(({ id }) => id === 'cylinder-compression') as Method;
    fc.assert(
      fc.property(fc.integer({ min: 395, max: 405 }), fc.integer({ min: 395, max: 405 }), (a, b) => {
        const at = (hundredths: number) => {
          const text = exact(hundredths).div(100).toFixed(2);
          // The same proportion of length to diameter, so that no correction comes between.
          const length = exact(hundredths).div(50).toFixed(2);
          return strength(cylinder, 'US', { diameter1: text, diameter2: text, length });
        };
        const [first, second] = [at(a), at(b)];
        const wanted = exact(b).div(a).pow(2);
        expect(
          first
            ?.div(second ?? 1)
            .minus(wanted)
            .abs()
            .lessThan('1e-9'),
        ).toBe(true);
      }),
      { numRuns: 30 },
    );
  });
});
