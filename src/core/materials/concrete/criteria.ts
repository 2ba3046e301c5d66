import type { Criterion, LimitAbout } from '../../acceptance/criterion';
import type { Limits } from '../../limits';
import { type Exact, exact, type System } from '../../quantity';
import { standard } from '../../working';

const ACI_26_12_3 = standard('ACI 318', '26.12.3');
const ACI_26_12_6 = standard('ACI 318', '26.12.6');

/** Smallest single test allowed. Source: ACI 318 26.12.3 (from memory): f'c − 500 psi [3.5 MPa], above 5,000 [35] 0.90 f'c. */
export function individualLimit(specified: Exact, system: System, limits: Limits): Exact {
  const high = specified.greaterThan(limits.number('acceptance.dividing-strength', system));
  return high
    ? specified.times(exact(1).minus(limits.number('acceptance.individual-share', system)))
    : specified.minus(limits.number('acceptance.individual-shortfall', system));
}

const STRENGTH_TESTS = {
  source: ACI_26_12_3,
  quantity: 'compressive strength',
  by: ['cylinder-compression'],
  holds: 'at least',
} as const;

const FLEXURAL = {
  // What such texts usually ask; the project's own decides.
  source: standard('project specification'),
  quantity: 'modulus of rupture',
  by: ['beam-third-point', 'beam-centre-point'],
  holds: 'at least',
} as const;

/** Mean asked of flexural tests in a row: the strength, in IS 0.3 N/mm² more. */
const flexuralMean = (of: LimitAbout) =>
  of.asked('flexuralStrength')?.plus(of.limits.number('flexure.average-over', of.system));

/** Traffic: of beams that were cured with the slab and loaded as it is asked for, and of no others. */
const opening = (loading: 'third' | 'centre'): Omit<Criterion, 'id' | 'by'> => ({
  ...FLEXURAL,
  title: 'Opening to traffic',
  asks: 'Mean of the beams cured with the slab at least',
  population: 'set',
  statistic: 'mean',
  limit: ({ asked, said }) =>
    said('cure') === 'field' && (said('flexuralLoading') ?? 'third') === loading
      ? asked('openingStrength')
      : undefined,
  compare: 'unrounded',
  count: 'beam.count',
  whenNot: 'Traffic waits: break the next beams when they have grown.',
});

const ERRATIC = 'Further cores where results are erratic, else the licensed professional evaluates.';

/** What concrete is held against: its series of strength tests, and cores out of it. */
export const CRITERIA: readonly Criterion[] = [
  {
    ...STRENGTH_TESTS,
    id: 'running-average',
    title: 'Mean of three in a row',
    asks: 'Every mean of three in a row at least',
    population: 'three in a row',
    statistic: 'mean',
    limit: { asked: 'specifiedStrength' },
    compare: 'unrounded',
  },
  // A single test is compared as reported: that is the figure the reader of the report can check.
  {
    ...STRENGTH_TESTS,
    id: 'individual',
    title: 'Single test',
    asks: 'No single test below',
    population: 'each',
    statistic: 'value',
    limit: ({ asked, limits, system }) => {
      const specified = asked('specifiedStrength');
      return specified && individualLimit(specified, system, limits);
    },
    compare: 'as reported',
  },
  {
    ...FLEXURAL,
    id: 'flexure-average',
    title: 'Mean of three in a row',
    asks: 'Every mean of three flexural tests in a row at least',
    population: 'three in a row',
    statistic: 'mean',
    limit: flexuralMean,
    compare: 'unrounded',
  },
  {
    ...FLEXURAL,
    source: standard('IS 456', '16.2'),
    id: 'flexure-average-four',
    title: 'Mean of four in a row',
    asks: 'Every mean of four flexural tests in a row at least',
    population: 'four in a row',
    statistic: 'mean',
    limit: flexuralMean,
    compare: 'unrounded',
  },
  {
    ...FLEXURAL,
    id: 'flexure-each',
    title: 'Single flexural test',
    asks: 'No single flexural test below',
    population: 'each',
    statistic: 'value',
    limit: ({ asked, limits, system }) =>
      asked('flexuralStrength')?.minus(limits.number('flexure.single-short', system)),
    compare: 'as reported',
  },
  {
    ...FLEXURAL,
    source: standard('AC 150/5370-10', 'P-501'),
    id: 'flexure-within',
    title: 'Share of the lot within its limit',
    asks: 'Of every lot within its limit at least',
    population: 'lot',
    statistic: 'percent within',
    lower: { asked: 'flexuralStrength', share: 'flexure.within-lower' },
    limit: { row: 'flexure.within-least' },
    unit: { US: 'percent', SI: 'percent' },
    step: 'flexure.within-step',
    compare: 'unrounded',
    count: 'flexure.within-count',
    whenNot: 'The engineer decides by the project’s text: payment reduced, or the lot taken out.',
  },
  { ...opening('third'), id: 'opening-traffic', by: ['beam-third-point'] },
  { ...opening('centre'), id: 'opening-traffic-centre', by: ['beam-centre-point'] },
  {
    id: 'core-mean',
    title: 'The mean at least',
    asks: 'Mean of the cores at least',
    source: ACI_26_12_6,
    quantity: 'core strength',
    by: ['core-compression'],
    population: 'set',
    statistic: 'mean',
    holds: 'at least',
    limit: { asked: 'specifiedStrength', share: 'core.mean-share' },
    compare: 'unrounded',
    count: 'core.count',
    whenNot: ERRATIC,
  },
  {
    id: 'core-each',
    title: 'Each core at least',
    asks: 'No core below',
    source: ACI_26_12_6,
    quantity: 'core strength',
    by: ['core-compression'],
    population: 'set',
    statistic: 'least',
    holds: 'at least',
    limit: { asked: 'specifiedStrength', share: 'core.single-share' },
    compare: 'unrounded',
    count: 'core.count',
    whenNot: ERRATIC,
  },
];
