import { exact } from '../../quantity';
import type { PressTest, PressUse } from '../contract';
import { loadedBy, loading } from '../masonry-press/school';
import { FORCE_FACTOR, PRESS_FIELDS } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { bearingArea, expectedLoad, sizesOf } from './area';
import type { UnitCompressionInput } from './input';

/** A masonry unit in the press. */
export const PRESS: PressUse<UnitCompressionInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: PRESS_FIELDS,
  test(input, setup: RunSetup): PressTest | undefined {
    const { system } = input;
    const limits = limitsOf(setup);
    const bearing = bearingArea(input, setup, limits);
    if (!bearing) return undefined;
    const expected = expectedLoad(bearing.area, setup, system, limits);
    if (!expected) return undefined;
    const { height } = sizesOf(input, setup);
    const school = loadedBy(setup);
    return {
      area: bearing.area,
      factor: exact(FORCE_FACTOR[system]),
      ...loading(school, { area: bearing.area, load: expected, row: 'unit.second-half' }, limits, system),
      expected,
      height,
      ends: 'bonded',
      measured: bearing.open === undefined,
    };
  },
};
