import fc from 'fast-check';
import Qty from 'js-quantities';
import { describe, expect, it } from 'vitest';
import {
  convert,
  decimalsOf,
  Exact,
  exact,
  measureIn,
  parseMeasure,
  roundedText,
  roundTo,
  UNITS,
  type UnitId,
  withThousands,
} from '.';

describe('rounding', () => {
  // ASTM E29, published examples and tables (from memory).
  it.each([
    ['89490', '1000', '89000'],
    ['6025', '50', '6000'],
    ['6075', '50', '6100'],
    ['35940', '100', '35900'],
    ['35950', '100', '36000'],
    ['35960', '100', '36000'],
    ['56.4', '1', '56'],
    ['56.5', '1', '56'],
    ['56.6', '1', '57'],
    ['0.54', '0.1', '0.5'],
    ['0.55', '0.1', '0.6'],
    ['0.56', '0.1', '0.6'],
  ])('%s to the nearest %s is %s', (value, step, rounded) => {
    expect(roundTo(exact(value), step).toFixed()).toBe(rounded);
  });

  // Ties that binary arithmetic gets wrong; worked by hand from ASTM E29's rule.
  it.each([
    ['4.005', '0.01', '4.00', '4.01'],
    ['4.015', '0.01', '4.02', '4.02'],
    ['3.625', '0.25', '3.50', '3.75'],
    ['27.65', '0.1', '27.6', '27.7'],
    ['-2.5', '1', '-2', '-3'],
  ])('%s to %s: half to even %s, half up %s', (value, step, even, up) => {
    expect(roundedText(exact(value), step)).toBe(even);
    expect(roundedText(exact(value), step, 'half-up')).toBe(up);
  });

  // A step of one digit is cut off the value, any other divides it: the two ways are one rule.
  it('is the same by the digit as by dividing, in either mode, below the step too', () => {
    const scaled = fc.record({
      digits: fc.bigInt({ min: -(10n ** 20n), max: 10n ** 20n }),
      places: fc.integer({ min: -4, max: 24 }),
      step: fc.constantFrom('1000', '10', '1', '0.1', '0.01', '0.0001', '1e-9'),
      mode: fc.constantFrom('half-even' as const, 'half-up' as const),
    });
    fc.assert(
      fc.property(scaled, ({ digits, places, step, mode }) => {
        const value = exact(`${digits}e${-places}`);
        const code = mode === 'half-even' ? Exact.ROUND_HALF_EVEN : Exact.ROUND_HALF_UP;
        const divided = value.div(step).toDecimalPlaces(0, code).times(step);
        expect(roundTo(value, step, mode).toFixed()).toBe(divided.toFixed());
      }),
    );
    for (const tie of ['5', '-5', '15', '4.9999', '0', '-0'])
      expect(roundTo(exact(tie), '10').toFixed()).toBe(
        exact(tie).div(10).toDecimalPlaces(0, Exact.ROUND_HALF_EVEN).times(10).toFixed(),
      );
  });

  it.each([
    ['999', '999'],
    ['1000', '1,000'],
    ['-1000', '-1,000'],
    ['-999.25', '-999.25'],
    ['1234567.12345', '1,234,567.12345'],
  ])('%s with its thousands is %s', (plain, grouped) => {
    expect(withThousands(plain)).toBe(grouped);
  });

  it('refuses a step that is no step', () => {
    expect(() => roundTo(exact(1), '0')).toThrow(RangeError);
  });

  it('is a multiple of the step, no further than half of it, and does nothing twice', () => {
    const step = fc.constantFrom('10', '0.25', '0.01', '5', '0.1');
    fc.assert(
      fc.property(fc.integer({ min: -10_000_000, max: 10_000_000 }), step, (thousandths, place) => {
        const value = exact(thousandths).div(1000);
        const rounded = roundTo(value, place);
        expect(rounded.div(place).isInteger()).toBe(true);
        expect(rounded.minus(value).abs().times(2).lessThanOrEqualTo(place)).toBe(true);
        expect(roundTo(rounded, place).equals(rounded)).toBe(true);
        expect(decimalsOf(place)).toBeLessThanOrEqual(2);
      }),
    );
  });
});

describe('units', () => {
  // js-quantities is an independent implementation; its names for our units.
  const NAMES: Partial<Record<UnitId, string>> = {
    mm: 'mm',
    cm: 'cm',
    m: 'm',
    in: 'in',
    ft: 'ft',
    mm2: 'mm^2',
    in2: 'in^2',
    cm2: 'cm^2',
    m2: 'm^2',
    ft2: 'ft^2',
    'lb/yd3': 'lb/yd^3',
    L: 'l',
    mL: 'ml',
    gal: 'gal',
    pt: 'pint',
    floz: 'floz',
    mph: 'mph',
    'km/h': 'kph',
    'm/s': 'm/s',
    'lb/ft2/h': 'lb/ft^2*h',
    'kg/m2/h': 'kg/m^2*h',
    kg: 'kg',
    g: 'g',
    lb: 'lb',
    N: 'N',
    kN: 'kN',
    lbf: 'lbf',
    Pa: 'Pa',
    bar: 'bar',
    MPa: 'MPa',
    psi: 'psi',
    degC: 'tempC',
    degF: 'tempF',
    deltaC: 'degC',
    deltaF: 'degF',
    'kg/m3': 'kg/m^3',
    'lb/ft3': 'lb/ft^3',
    m3: 'm^3',
    yd3: 'yd^3',
    ft3: 'ft^3',
    s: 's',
    min: 'min',
    h: 'h',
    d: 'day',
    deg: 'deg',
  };
  const pairs = (Object.keys(NAMES) as UnitId[]).flatMap((from) =>
    (Object.keys(NAMES) as UnitId[])
      .filter((to) => to !== from && UNITS[to].dimension === UNITS[from].dimension)
      .map((to) => [from, to] as const),
  );

  it.each(pairs)('%s to %s as the units library has it', (from, to) => {
    const theirs = Qty(37.5, NAMES[from] ?? '').to(NAMES[to] ?? '').scalar;
    const ours = convert(exact('37.5'), from, to).toNumber();
    expect(ours / theirs).toBeCloseTo(1, 6);
  });

  // NIST SP 811 appendix B (from memory).
  it.each([
    ['1', 'in', 'mm', '25.4'],
    ['1', 'lbf', 'N', '4.4482216152605'],
    ['1', 'lb', 'kg', '0.45359237'],
    ['1', 'yd3', 'm3', '0.764554857984'],
    ['212', 'degF', 'degC', '100'],
    ['-40', 'degC', 'degF', '-40'],
  ] as const)('%s %s is exactly %s %s', (value, from, to, wanted) => {
    expect(convert(exact(value), from, to).toSignificantDigits(30).toFixed()).toBe(wanted);
  });

  it('1 MPa is 145.0377 psi (common practice, no source)', () => {
    expect(convert(exact(1), 'MPa', 'psi').toFixed(4)).toBe('145.0377');
  });

  it('never mixes a temperature with a temperature difference', () => {
    expect(() => convert(exact(5), 'degF', 'deltaC')).toThrow(TypeError);
    expect(convert(exact(5), 'deltaF', 'deltaC').toFixed(1)).toBe('2.8');
  });

  it('comes back to where it was', () => {
    const ids = Object.keys(UNITS) as UnitId[];
    fc.assert(
      fc.property(
        fc.constantFrom(...ids),
        fc.nat(),
        fc.integer({ min: -1_000_000, max: 1_000_000 }),
        (from, pick, number) => {
          const same = ids.filter((id) => UNITS[id].dimension === UNITS[from].dimension);
          const to = same[pick % same.length] ?? from;
          const value = exact(number).div(1000);
          const back = convert(convert(value, from, to), to, from);
          expect(back.minus(value).abs().lessThan('1e-25')).toBe(true);
        },
      ),
    );
  });
});

describe('what people type', () => {
  it.each([
    ['6 1/8 in', 'length', 'in', '6.125', 'in', '0.125'],
    ['2 ¼', 'length', 'in', '2.25', 'in', '0.25'],
    ['¾', 'length', 'in', '0.75', 'in', '0.25'],
    ['6-1/8"', 'length', 'in', '6.125', 'in', '0.125'],
    ['152 mm', 'length', 'in', '152', 'mm', '1'],
    [`12' 4"`, 'length', 'in', '148', 'in', '1'],
    [`12' 4 1/2"`, 'length', 'in', '148.5', 'in', '0.5'],
    [`5 ft 3 in`, 'length', 'in', '63', 'in', '1'],
    ['4.00', 'length', 'in', '4', 'in', '0.01'],
    ['61,870', 'force', 'lbf', '61870', 'lbf', '1'],

    ['0,25', 'stressRate', 'MPa/s', '0.25', 'MPa/s', '0.01'],
    ['279.6 kN', 'force', 'lbf', '279.6', 'kN', '0.1'],
    ['23 °C', 'temperature', 'degF', '23', 'degC', '1'],
    ['−4', 'temperature', 'degF', '-4', 'degF', '1'],
    ['2:10', 'duration', 's', '130', 's', '1'],
    ['1:02:03', 'duration', 's', '3723', 's', '1'],
    ['.5', 'length', 'in', '0.5', 'in', '0.1'],
  ] as const)('%s', (text, dimension, fallback, value, unit, resolution) => {
    const parsed = parseMeasure(text, dimension, fallback);
    expect(parsed.ok && parsed.measure.value.toFixed()).toBe(value);
    expect(parsed.ok && parsed.measure.unit).toBe(unit);
    expect(parsed.ok && parsed.measure.resolution.toFixed()).toBe(resolution);
  });

  it.each(['', 'abc', '4 furlong', '1/0', '1,2,3', '4..0', '4 psi', '2:75', '1e5', '--4'])(
    '%s is answered in words',
    (text) => {
      const parsed = parseMeasure(text, 'length', 'in');
      expect(parsed.ok).toBe(false);
      expect(parsed.ok ? '' : parsed.message).toMatch(/[a-z]/);
    },
  );

  it('never throws and never gives a number that is none', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        const parsed = parseMeasure(text, 'length', 'in');
        if (parsed.ok) expect(parsed.measure.value.isFinite()).toBe(true);
      }),
      { numRuns: 2000 },
    );
  });

  it('keeps how finely it was read when the unit changes', () => {
    const parsed = parseMeasure('152 mm', 'length', 'in');
    const inches = parsed.ok ? measureIn(parsed.measure, 'in') : undefined;
    expect(inches?.resolution.toFixed(5)).toBe('0.03937');
  });
});
