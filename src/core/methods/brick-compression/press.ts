import { exact } from '../../quantity';
import type { PressTest, PressUse } from '../contract';
import { expectedLoad } from '../masonry-press/rates';
import { loadedBy, loading } from '../masonry-press/school';
import { FORCE_FACTOR, PRESS_FIELDS } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { bearingOf, gradeStrength } from './area';
import type { BrickCompressionInput } from './input';

/** A half brick in the press, flatwise. */
export const PRESS: PressUse<BrickCompressionInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: PRESS_FIELDS,
  test(input, setup: RunSetup): PressTest | undefined {
    const { system } = input;
    const limits = limitsOf(setup);
    const bearing = bearingOf(input, setup);
    const stress = gradeStrength(setup, 'mean', system, limits);
    const expected = bearing && expectedLoad(bearing.area, stress, setup, system, limits);
    if (!expected) return undefined;
    const school = loadedBy(setup);
    return {
      area: bearing.area,
      factor: exact(FORCE_FACTOR[system]),
      ...loading(school, { area: bearing.area, load: expected, row: 'brick.second-half' }, limits, system),
      expected,
      ends: 'bonded',
      measured: bearing.measured,
    };
  },
};
