import { nominalOf } from '../../moulds';
import { circleArea, exact } from '../../quantity';
import type { PressTest, PressUse } from '../contract';
import { readMeasure } from '../fields';
import { expectedStrength, FORCE_FACTOR, meanDiameter } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import type { CylinderCompressionInput } from './input';

function test(input: CylinderCompressionInput, setup: RunSetup): PressTest | undefined {
  const { system } = input;
  const nominal = nominalOf(setup.specimen?.form, 'cylinder', system);
  const own = meanDiameter(input, setup);
  const diameter = own ?? nominal?.across;
  if (!diameter) return undefined;
  const limits = limitsOf(setup);
  const area = circleArea(diameter);
  const factor = exact(FORCE_FACTOR[system]);
  const strength = expectedStrength(setup, system, limits);
  return {
    area,
    factor,
    band: limits.of('cylinder.loading-rate', system),
    from: 'half',
    expected: strength?.times(area).div(factor),
    width: diameter,
    round: true,
    height: readMeasure(input, 'length')?.value ?? nominal?.length,
    ends:
      input.ends === 'pads' || input.ends === undefined
        ? 'pads'
        : input.ends === 'as-cast'
          ? 'bare'
          : 'bonded',
    measured: own !== undefined,
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
