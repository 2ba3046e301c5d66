import { describe, expect, it } from 'vitest';
import { computed, idsOf, lineOf, textOf } from '@/testing/outcome';
import type { Method } from './contract';
import { findMethod } from './registry';

// Formulas and the table of corrections: ASTM C173/C173M and C231/C231M (from memory); figures worked by hand.
/** The level every two minutes. */
const standing = (...levels: string[]) =>
  levels.map((level, place) => ({ at: `2031-05-14T09:1${2 * place}:00-04:00`, level }));

const airPressure = findMethod('air-pressure') as Method;
const airVolumetric = findMethod('air-volumetric') as Method;

describe('air, volumetric', () => {
  const roll = (input: Record<string, unknown>) => computed(airVolumetric, { variant: 'before', ...input });
  it.each([
    [{ reading1: '5.75', reading2: '5.75', alcohol: '1.0' }, '5.75'],
    [{ reading1: '6.50', reading2: '6.25', alcohol: '2.5' }, '6.00'],
    [{ reading1: '7.00', reading2: '6.50', reading3: '6.25', alcohol: '3.0' }, '6.00'],
    [{ reading1: '8.50', reading2: '8.50', alcohol: '4.0', waterCups: '2' }, '10.00'],
    [{ variant: 'after', reading1: '3.5', alcoholCups: '3' }, '6.5'],
  ])('%o is %s %%', (input, text) => {
    expect(textOf(roll(input), 'air content')).toBe(text);
  });

  it('corrects litres of alcohol as the pints they are', () => {
    const outcome = roll({ system: 'SI', reading1: '6', reading2: '6', alcohol: '1.9' });
    expect(lineOf(outcome, 'C')).toBeCloseTo(0.6046, 3);
    expect(idsOf(roll({ system: 'SI', reading1: '6', reading2: '6', alcohol: '2.4' }))).not.toContain(
      'air-volumetric.alcohol',
    );
    expect(lineOf(roll({ system: 'SI', reading1: '6', reading2: '6', alcohol: '2.4' }), 'C')).toBeCloseTo(
      0.9,
      9,
    );
  });

  it.each([
    [{ reading1: '7.00', reading2: '6.50', reading3: '6.00', alcohol: '3' }, 'air-volumetric.agree'],
    [{ standing: standing('4.00', '5.00', '5.75', '6.25'), alcohol: '1' }, 'air-volumetric.stable'],
    [{ reading1: '5', reading2: '5', alcohol: '5.5' }, 'air-volumetric.alcohol'],
    [{ leaked: 'yes', reading1: '5', reading2: '5', alcohol: '1' }, 'air-volumetric.leak'],
    [{ stuck: 'yes', reading1: '5', reading2: '5', alcohol: '1' }, 'air-volumetric.stuck'],
    [{ zeroed: false, reading1: '5', reading2: '5', alcohol: '1' }, 'air-volumetric.zero'],
    [{ foam: '3', reading1: '5', reading2: '5', alcohol: '1' }, 'air-volumetric.foam'],
    [{ reading1: '5', reading2: '5' }, 'air-volumetric.alcohol-unrecorded'],
    [{ reading1: '0.25', reading2: '0.25', alcohol: '4' }, 'air-volumetric.negative'],
  ])('%o is rejected', (input, id) => {
    const outcome = roll(input);
    expect(outcome.findings.find((found) => found.id === id)?.severity).toBe('invalid');
  });

  it('takes the first reading from a level that came to rest', () => {
    const outcome = roll({ standing: standing('5.00', '5.75', '6.00'), reading2: '6.00', alcohol: '1' });
    expect(textOf(outcome, 'air content')).toBe('6.00');
    expect(idsOf(outcome)).not.toContain('air-volumetric.stable');
  });

  it('gives no result until two readings agree', () => {
    expect(roll({ reading1: '6', alcohol: '1' }).results).toEqual([]);
    expect(roll({ reading1: '6', reading2: '6.5', alcohol: '1' }).results).toEqual([]);
  });
});

describe('air, pressure', () => {
  const press = (input: Record<string, unknown>, setup = {}) =>
    computed(airPressure, { consolidation: 'rod', ...input }, setup);
  const target = { facts: { air: '6 %' } };
  it.each([
    [{ apparent: '6.1', factor: '0.4' }, '5.7', 'meets'],
    [{ apparent: '7.9', factor: '0.4' }, '7.5', 'meets'],
    [{ apparent: '8.0', factor: '0.4' }, '7.6', 'does not meet'],
  ])('%o is %s %%: %s', (input, text, verdict) => {
    const outcome = press(input, target);
    expect(textOf(outcome, 'air content')).toBe(text);
    expect(outcome.verdicts[0]?.state).toBe(verdict);
  });

  it('finds the aggregate correction, and what goes into the bowl for it', () => {
    const outcome = press({
      factorReading: '5.4',
      factorRemoved: '5.0',
      bowlVolume: '0.25',
      batchVolume: '27.0',
      fineBatch: '1240',
      coarseBatch: '1780',
    });
    expect(textOf(outcome, 'aggregate correction')).toBe('0.4');
    expect(textOf(outcome, 'fine aggregate in the bowl')).toBe('11.48');
    expect(textOf(outcome, 'coarse aggregate in the bowl')).toBe('16.48');
    expect(idsOf(press({ apparent: '6', factorReading: '6.2', factorRemoved: '5.0' }))).toContain(
      'air-pressure.factor',
    );
  });

  it('says that the air is overstated when no correction is known', () => {
    const outcome = press({ apparent: '5.9' });
    expect(textOf(outcome, 'air content')).toBe('5.9');
    expect(outcome.findings[0]?.remark).toMatch(/overstates/);
  });

  it.each([
    [{ wholeVolume: '25.40', retainedVolume: '4.10', apparent: '5.6' }, 4.7389],
    [{ wholeVolume: '24.60', retainedVolume: '6.20', apparent: '6.8' }, 5.1749],
  ])('the full mixture of %o has %d %%', (input, air) => {
    expect(lineOf(press({ ...input, factor: '0', wetSieved: true }), 'At')).toBeCloseTo(air, 4);
  });

  it('the mortar holds more, and no more aggregate than mixture can stay on a sieve', () => {
    const sieved = {
      apparent: '5.6',
      factor: '0',
      wetSieved: true,
      wholeVolume: '25.40',
      retainedVolume: '4.10',
    };
    expect(lineOf(press({ ...sieved, mortarVolume: '14.90' }), 'Am')).toBeCloseTo(7.8173, 4);
    expect(textOf(press({ ...sieved, retainedVolume: '0' }), 'air content')).toBe('5.6');
    expect(idsOf(press({ ...sieved, retainedVolume: '25.40' }))).toContain('air.sieved-volumes');
  });

  it.each([
    [{ mainValve: 'open' }, {}, 'air-pressure.main-valve'],
    [{ petcocks: 'open' }, {}, 'air-pressure.petcocks'],
    [{ onLine: false }, {}, 'air-pressure.line'],
    [{ porous: true }, {}, 'air-pressure.porous'],
    [{ strokes: '25 25 24' }, {}, 'air.strokes'],
    [{}, { facts: { measuredSlump: '0.5 in' } }, 'air-pressure.vibrate-below'],
    [{ consolidation: 'vibrate' }, { facts: { measuredSlump: '4 in' } }, 'air-pressure.rod-above'],
    [{}, { facts: { aggregate: '3 in' } }, 'air-pressure.aggregate'],
  ])('%o with %o is rejected', (input, setup, id) => {
    const outcome = press({ apparent: '6', factor: '0.4', ...input }, setup);
    expect(outcome.findings.find((found) => found.id === id)?.severity).toBe('invalid');
  });

  it('reads a water column as the difference of its two heights', () => {
    expect(textOf(press({ type: 'A', h1: '7.2', h2: '0.3', factor: '0.4' }), 'air content')).toBe('6.5');
    expect(
      idsOf(press({ type: 'A', h1: '7.2', h2: '0.3', h1Again: '6.8', h2Again: '0.3', factor: '0' })),
    ).toContain('air-pressure.repeat');
  });

  it('asks for what the exposure class asks for, a point less at high strength', () => {
    // ACI 318 Table 19.3.3.1 (from memory): F1, 3/4 in: 5.0 %; F2: 6.0 %.
    const held = (facts: object) => press({ apparent: '4', factor: '0' }, { facts }).verdicts[0]?.criterion;
    expect(held({ exposure: 'F1', aggregate: '0.75 in' })).toContain('3.5 to 6.5 %');
    expect(held({ exposure: 'F3', aggregate: '0.75 in', specifiedStrength: '5500 psi' })).toContain(
      '4.5 to 7.5 %',
    );
    // The reduction is a choice of the project; then it is the target, with the same tolerance on both sides.
    expect(
      held({ exposure: 'F3', aggregate: '0.75 in', specifiedStrength: '6000 psi', airReduced: true }),
    ).toContain('3.5 to 6.5 %');
  });

  it('compares with the other meter and with the load before', () => {
    expect(idsOf(press({ apparent: '6', factor: '0' }, { facts: { otherAir: '5.2 %' } }))).toContain(
      'air.meters-agree',
    );
    expect(idsOf(press({ apparent: '6', factor: '0' }, { facts: { otherAir: '4.1 %' } }))).toContain(
      'air.meters-repeat',
    );
    expect(idsOf(press({ apparent: '6', factor: '0' }, { facts: { previousAir: '4.5 %' } }))).toContain(
      'air.jump',
    );
  });
});
