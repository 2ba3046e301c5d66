import { describe, expect, it } from 'vitest';
import { computed, idsOf, lineOf } from '../../testing/outcome';
import { rowsOf } from '../../testing/rows';
import { usesLeft } from '../ends';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { findMethod } from './registry';

/** The findings of a method's example with some readings changed. */
function found(id: string, over: Record<string, unknown>, more: object = {}): string[] {
  const method = findMethod(id);
  if (!method) throw new Error(id);
  const { input, setup } = method.example('US');
  return idsOf(computed(method, { ...input, ...over }, { ...setup, ...more }));
}

describe('what cannot be is told', () => {
  it.each([
    ['evaporation', { humidity: '0.62' }, 'evaporation.humidity-usual'],
    ['evaporation', { humidity: '1' }, 'evaporation.humidity-usual'],
    [
      'slump',
      {
        totalTime: '3',
        liftTime: '5',
        fillStartedAt: undefined,
        liftStartedAt: undefined,
        liftEndedAt: undefined,
      },
      'slump.total-below-lift',
    ],
    ['delivery', { outBefore: '9', loadVolume: '8', added: '0' }, 'delivery.out-over-load'],
    ['delivery', { cementitious: '46000' }, 'delivery.ratio-usual'],
    ['delivery', { ticketAllows: '180' }, 'delivery.ticket-usual'],
    ['delivery', { totalTurns: '100', remixTurns: '340' }, 'delivery.turns-remix-over'],
    ['density-yield', { measureVolume: '2.5', nominalVolume: '0.25' }, 'density.measure-most'],
    ['density-yield', { cementitious: '46000' }, 'density.cementitious-usual'],
    ['air-pressure', { factor: '0' }, 'air-pressure.zero-factor'],
    ['mortar-cube', { maximumLoad: '220,000' }, 'machine.stress-usual'],
    ['core-compression', { lengthBefore: '8', length: '7', ends: 'sulfur' }, 'core.length-order'],
    ['slump-flow', { ringTime: '60' }, 'flow.ring-usual'],
  ])('%s %j', (id, over, finding) => {
    expect(found(id, over)).toContain(finding);
  });

  it.each([
    'cement, 4600, 315',
    'cement, -4600, 3.15',
    'sand, 10100, 2.64, 400, 1',
    'sand, 10100, 2.64, 4, -1',
  ])('a material of the batch that cannot be is refused at its cell: %s', (text) => {
    const materials = rowsOf('name mass density moisture absorption', text);
    expect(() => found('density-yield', { materials })).toThrow(/cannot be/);
  });

  it('a measure of no volume is refused at its field', () => {
    expect(() => found('density-yield', { measureVolume: '0' })).toThrow(/cannot be/);
  });

  it('a verification of after the test shows nothing of the day of the test', () => {
    const method = findMethod('slump');
    const { setup } = method?.example('US') ?? { setup: {} };
    const equipment = [{ number: 'CONE-1', kind: 'slump mould', verifiedOn: '2031-09-01' }];
    expect(found('slump', {}, { ...setup, equipment })).toContain('equipment.verified-later');
  });

  it('masses of a batch count in the unit they are typed in', () => {
    const method = findMethod('density-yield');
    if (!method) throw new Error('no method');
    const { input, setup } = method.example('US');
    const of = (mass: string) =>
      lineOf(
        computed(
          method,
          { ...input, materials: rowsOf('name mass density', `cement, ${mass}, 3.15\nwater, 1960, 1`) },
          setup,
        ),
        'V',
      );
    // 1 lb = 0.45359237 kg, NIST SP 811.
    expect(of('2086.524902 kg')).toBeCloseTo(of('4600'), 6);
  });
});

describe('times in an impossible order are told', () => {
  it.each([
    ['slump', { liftStartedAt: '2031-05-14T09:31:00-04:00' }],
    ['slump', { fillStartedAt: '2031-05-14T09:00:00-04:00' }],
    ['delivery', { batchedAt: '2031-05-14T09:30:00-04:00' }],
    [
      'sampling',
      { finalPortionAt: '2031-05-14T09:00:00-04:00', firstPortionAt: '2031-05-14T09:10:00-04:00' },
    ],
    ['initial-curing', { receivedAt: '2031-05-15T11:00:00-04:00' }],
    ['core-compression', { drilledAt: '2031-07-14T10:00:00-04:00', testedAt: '2031-07-10T10:00:00-04:00' }],
    [
      'core-compression',
      {
        drilledAt: '2031-07-14T10:00:00-04:00',
        baggedAt: '2031-07-13T10:00:00-04:00',
        testedAt: '2031-07-20T10:00:00-04:00',
      },
    ],
    ['end-grinding', { startedAt: '2031-06-11T12:00:00-04:00', finishedAt: '2031-06-11T10:00:00-04:00' }],
    ['capping', { firstCapAt: '2031-06-11T12:00:00-04:00', lastCapAt: '2031-06-11T10:00:00-04:00' }],
  ])('%s %j', (id, over) =>
    expect(found(id, over).some((each) => each.startsWith('times.order'))).toBe(true),
  );

  it('and nothing is said of a day that went as it should', () => {
    for (const id of [
      'slump',
      'delivery',
      'sampling',
      'initial-curing',
      'moulding',
      'air-pressure',
      'air-volumetric',
      'core-compression',
      'capping',
    ])
      expect(
        found(id, {}).filter((each) => each.startsWith('times.order')),
        id,
      ).toEqual([]);
  });
});

describe('pads above the strength that needs no qualification', () => {
  const limits = new Limits();
  it('have their shorter life by what is expected or proved now, not only by what they saw before', () => {
    // 50 tests from 7,000 psi on, 100 below; ASTM C1231/C1231M (from memory).
    expect(usesLeft(50, [exact(5000), exact(9100)], 'US', limits)).toBe(0);
    expect(usesLeft(50, [undefined, exact(9100)], 'US', limits)).toBe(0);
    expect(usesLeft(50, [exact(5000), exact(5200)], 'US', limits)).toBe(50);
    expect(usesLeft(50, [exact(9100), exact(4000)], 'US', limits)).toBe(0);
  });
  it('50 times used, 70 durometer, qualified, 9,100 psi expected: not allowed', () => {
    const method = findMethod('cylinder-compression');
    if (!method) throw new Error('no method');
    const { input, setup } = method.example('US');
    const pads = {
      pad: '4.16 in',
      retainer: '4.19 in',
      durometer: '70' as const,
      thickness: '0.5 in',
      inServiceOn: '2031-01-05',
      uses: 50,
      qualifiedTo: '12000 psi',
    };
    const equipment = [...(setup.equipment ?? []), { number: 'P-70', kind: 'unbonded pads', pads }];
    const ids = (more: object) =>
      idsOf(
        computed(
          method,
          { ...input, ends: 'pads', pads: 'P-70', maximumLoad: undefined, ...more },
          { ...setup, equipment, facts: { ...setup.facts, specifiedStrength: '7900 psi' } },
        ),
      );
    expect(ids({})).toContain('pads.reuse');
  });
});

it('a gauge that stands still across the lower stress gives a ratio that is a number', () => {
  const method = findMethod('static-modulus');
  if (!method) throw new Error('no method');
  const { input, setup } = method.example('SI');
  const still = (input.loadings as Record<string, string>[]).map((row) =>
    row.load === '67.6' ? { ...row, axial: '58' } : row,
  );
  const outcome = computed(method, { ...input, loadings: still }, { ...setup, profile: 'en' });
  expect(outcome.results.map(({ quantity }) => quantity)).toContain('Poisson’s ratio');
  for (const { value } of [...outcome.results, ...outcome.lines])
    expect(Number.isFinite(Number(value))).toBe(true);
});
