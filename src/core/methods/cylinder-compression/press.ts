import { type Exact, exact, PI, roundTo } from '../../quantity';
import type { PressTest, PressUse } from '../contract';
import { readMeasure } from '../fields';
import { expectedStrength, FORCE_FACTOR } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { nominalDiameter, nominalLength } from './facts';
import type { CylinderCompressionInput } from './input';

/** The mean diameter as measured, else the nominal one; in or mm. */
function diameterOf(input: CylinderCompressionInput, setup: RunSetup): Exact | undefined {
  const [one, two] = [readMeasure(input, 'diameter1')?.value, readMeasure(input, 'diameter2')?.value];
  const size = setup.specimen?.nominalSize;
  if (!one || !two) return size ? nominalDiameter(size, input.system) : undefined;
  const step = limitsOf(setup).number('cylinder.diameter-step', input.system);
  return roundTo(one.plus(two).div(2), step, setup.rounding ?? 'half-even');
}

function test(input: CylinderCompressionInput, setup: RunSetup): PressTest | undefined {
  const { system } = input;
  const diameter = diameterOf(input, setup);
  if (!diameter) return undefined;
  const limits = limitsOf(setup);
  const size = setup.specimen?.nominalSize;
  const area = diameter.pow(2).times(PI).div(4);
  const factor = exact(FORCE_FACTOR[system]);
  const strength = expectedStrength(setup, system, limits);
  return {
    area,
    factor,
    band: limits.of('cylinder.loading-rate', system),
    from: 'half',
    expected: strength?.times(area).div(factor),
    width: diameter,
    height: readMeasure(input, 'length')?.value ?? (size ? nominalLength(size, system) : undefined),
    ends:
      input.ends === 'pads' || input.ends === undefined
        ? 'pads'
        : input.ends === 'as-cast'
          ? 'bare'
          : 'bonded',
    measured: readMeasure(input, 'diameter1') !== undefined && readMeasure(input, 'diameter2') !== undefined,
  };
}

/** A cylinder in the press. */
export const PRESS: PressUse<CylinderCompressionInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: {
    machine: 'machine',
    load: 'maximumLoad',
    at: 'testedAt',
    rate: 'loadingRate',
    spacers: 'spacers',
  },
  test,
};
