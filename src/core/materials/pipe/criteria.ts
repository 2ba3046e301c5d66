import type { Criterion, CriterionLimit } from '../../acceptance/criterion';
import { absorptionMost, COUNTS } from '../../pipe/absorption';
import { strengthOf } from '../../pipe/product';
import { standard } from '../../working';

const PIPE = {
  by: ['three-edge'],
  population: 'set',
  statistic: 'least',
  holds: 'at least',
  compare: 'unrounded',
  early: true,
} as const;

/** What its class or its order asks of a pipe. */
const asks =
  (what: 'crack' | 'most' | 'foot' | 'footCrack'): Extract<CriterionLimit, (...given: never[]) => unknown> =>
  ({ asked, said, limits, system }) => {
    const strength = strengthOf({ said, asked }, limits, system);
    const value = strength?.[what];
    return strength && value && { value, source: standard(strength.standard) };
  };

const D_UNIT = { US: 'lbf/ft/ft', SI: 'N/m/mm' } as const;
const AGAIN =
  'Two others of the same lot are tested for each that failed; the lot is accepted only if all of them pass. The owner’s engineer decides.';

/** What a pipe is held against: the D-load at its crack, at its end, or of plain pipe the load on its length. */
export const CRITERIA: readonly Criterion[] = [
  {
    ...PIPE,
    id: 'pipe-crack',
    title: 'D-load at the crack',
    asks: 'No 0.01 in crack below a D-load of',
    source: standard('ASTM C76/C76M'),
    quantity: 'D-load at the 0.01 in crack',
    limit: asks('crack'),
    unit: D_UNIT,
    step: 'teb.step',
    whenNot: AGAIN,
  },
  {
    ...PIPE,
    id: 'pipe-most',
    title: 'Ultimate D-load',
    asks: 'Ultimate D-load at least',
    source: standard('ASTM C76/C76M'),
    quantity: 'ultimate D-load',
    limit: asks('most'),
    unit: D_UNIT,
    step: 'teb.step',
    whenNot: AGAIN,
  },
  {
    ...PIPE,
    id: 'pipe-foot-crack',
    title: 'Load on its length at the crack',
    asks: 'No crack of its standard below',
    source: standard('EN 1916'),
    quantity: 'load on its length at the crack',
    limit: asks('footCrack'),
    unit: { US: 'lbf/ft', SI: 'kN/m' },
    step: 'teb.step-foot',
    whenNot: AGAIN,
  },
  {
    ...PIPE,
    id: 'pipe-foot',
    title: 'Ultimate load on its length',
    asks: 'Ultimate load on its length at least',
    source: standard('ASTM C14'),
    quantity: 'ultimate load on its length',
    limit: asks('foot'),
    unit: { US: 'lbf/ft', SI: 'kN/m' },
    step: 'teb.step-foot',
    whenNot: AGAIN,
  },
  {
    id: 'pipe-core',
    title: 'Core of the wall',
    asks: 'No core below',
    source: standard('ASTM C76/C76M'),
    quantity: 'core strength of the wall',
    by: ['pipe-core'],
    population: 'each',
    statistic: 'value',
    holds: 'at least',
    limit: { asked: 'specifiedStrength' },
    compare: 'unrounded',
    whenNot: 'Another core of the same pipe; never one of another pipe in its place.',
  },
  {
    id: 'pipe-absorption',
    title: 'Absorption',
    asks: 'Absorption at most',
    source: standard('ASTM C76/C76M'),
    quantity: COUNTS,
    by: ['pipe-absorption'],
    population: 'set',
    statistic: 'value',
    holds: 'at most',
    limit: absorptionMost,
    compare: 'unrounded',
    whenNot: 'Another piece of the same pipe: its result stands in the place of this one.',
  },
];
