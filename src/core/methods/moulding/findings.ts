import { cite, isWithin, type LimitId, type Limits } from '../../limits';
import { type CountPlan, mouldOf, specimenCount } from '../../moulds';
import { Exact as Decimal, type Exact, exact, plainOf } from '../../quantity';
import { type Finding, finding } from '../../working';
import { countsIn } from '../counts';
import { factMeasure } from '../facts';
import { readMeasure } from '../fields';
import type { RunSetup } from '../setup';
import { clockFindings } from '../stamps';
import type { MouldingInput } from './input';
import { measuredMoulds, type WeighedSpecimen } from './set-density';

const AGAIN = 'Make that specimen again with unused concrete while the moulding clock holds.';

/** Everything the making of a set is held against. */
export function mouldingFindings(
  input: MouldingInput,
  weighed: readonly WeighedSpecimen[],
  median: Exact | undefined,
  bad: readonly string[],
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const plan =
    input.mould && input.consolidation ? specimenCount(input.mould, input.consolidation, limits) : undefined;
  return [
    ...clockFindings(input, setup, limits, ['moulding', 'whole-sample', 'cover', 'to-cure']),
    ...wayFindings(input, setup, limits),
    ...aggregateFindings(input, setup, limits),
    ...(plan ? countFindings(input, plan, limits) : []),
    ...rodFindings(input, plan),
    ...mouldFindings(input, limits),
    ...densityFindings(weighed, median, bad, limits, input),
    ...stateFindings(input),
  ];
}

function wayFindings(input: MouldingInput, setup: RunSetup, limits: Limits): Finding[] {
  const unit = input.system === 'US' ? 'in' : 'mm';
  const slump = factMeasure(setup, 'measuredSlump', 'length', unit);
  const least = limits.of('moulding.rod-below', input.system);
  if (!slump || input.consolidation !== 'rod' || isWithin(slump, least)) return [];
  return [
    finding({
      id: least.id,
      severity: 'invalid',
      fields: ['consolidation'],
      limit: cite(least),
      message: `At a slump of ${plainOf(slump, unit)} specimens are vibrated, not rodded.`,
      action: 'Make them again with unused concrete, vibrated, while the moulding clock holds.',
    }),
  ];
}

function aggregateFindings(input: MouldingInput, setup: RunSetup, limits: Limits): Finding[] {
  if (!input.mould) return [];
  const unit = input.system === 'US' ? 'in' : 'mm';
  const aggregate = factMeasure(setup, 'aggregate', 'length', unit);
  const mould = mouldOf(input.mould);
  if (!aggregate || mould.system !== input.system) return [];
  if (input.mould === 'cube-100' && input.wetSieved !== true) {
    const largest = limits.of('moulding.cube-aggregate', input.system);
    if (!isWithin(aggregate, largest)) {
      return [
        finding({
          id: largest.id,
          severity: 'invalid',
          fields: ['mould'],
          limit: cite(largest),
          message: `An aggregate of ${plainOf(aggregate, unit)} is too large for cubes of 100 mm.`,
          action: 'Make cubes of 150 mm.',
        }),
      ];
    }
  }
  const factor = limits.of('moulding.aggregate', input.system);
  const needed = aggregate.times(factor.low ?? 3);
  if (needed.lessThanOrEqualTo(mould.least) || input.wetSieved === true) return [];
  return [
    finding({
      id: factor.id,
      severity: 'invalid',
      fields: ['mould'],
      limit: {
        ...cite(factor),
        text: `least dimension ${factor.low} times the aggregate, ${plainOf(needed, unit)}`,
      },
      message: `The mould is too small for an aggregate of ${plainOf(aggregate, unit)}.`,
      action: `Use larger moulds; above ${limits.of('moulding.sieve', input.system).high} ${unit} wet-sieve the concrete over that sieve.`,
    }),
  ];
}

function countFindings(input: MouldingInput, plan: CountPlan, limits: Limits): Finding[] {
  const found: Finding[] = [];
  const atLeast = input.mould ? mouldOf(input.mould).kind === 'cube' : false;
  const check = (field: 'strokes' | 'insertions', wanted: number, id: string): void => {
    const counted = countsIn(input[field]);
    const wrong = counted.some((each) => (atLeast ? each.lessThan(wanted) : !each.equals(wanted)));
    const layers = counted.length % plan.layers !== 0;
    if (counted.length === 0 || (!wrong && !layers)) return;
    found.push(
      finding({
        id,
        severity: 'invalid',
        fields: [field],
        message: `Counted ${counted.join(', ')}: ${plan.layers} ${plan.layers === 1 ? 'layer' : 'layers'} of ${atLeast ? 'at least ' : ''}${wanted} are asked for.`,
        action: AGAIN,
      }),
    );
  };
  check('strokes', plan.strokes, 'moulding.strokes');
  check('insertions', plan.insertions, 'moulding.insertions');
  const taps = countsIn(input.taps);
  const limit = limits.of('moulding.taps', input.system);
  if (plan.taps[1] > 0 && taps.some((each) => !isWithin(each, limit))) {
    found.push(
      finding({
        id: limit.id,
        severity: 'departure',
        fields: ['taps'],
        limit: cite(limit),
        message: `Taps counted: ${taps.join(', ')}.`,
        action: 'Tap the outside after every layer until the holes close.',
        remark: `Taps a layer ${taps.join(', ')}; ${limit.text}.`,
      }),
    );
  }
  const longest = readMeasure(input, 'vibration')?.value;
  const most = limits.of('moulding.vibrate-insertion', input.system);
  if (longest && !isWithin(longest, most)) {
    found.push(
      finding({
        id: most.id,
        severity: 'departure',
        fields: ['vibration'],
        limit: cite(most),
        message: `The vibrator was in one place for ${plainOf(longest, 's')}.`,
        action: 'Take it out when the surface is smooth and large bubbles stop.',
        remark: `Vibrated ${plainOf(longest, 's')} at one place; rarely more than ${most.high} s.`,
      }),
    );
  }
  return found;
}

function rodFindings(input: MouldingInput, plan: CountPlan | undefined): Finding[] {
  if (!input.rod || !plan || input.consolidation !== 'rod' || !input.mould) return [];
  const wanted = plan.rod.startsWith('3/8') || plan.rod.startsWith('10') ? 'small' : 'large';
  const cube = mouldOf(input.mould).kind === 'cube';
  if (input.rod === wanted || (cube && input.rod === 'bar')) return [];
  return [
    finding({
      id: 'moulding.rod',
      severity: 'invalid',
      fields: ['rod'],
      message: `The wrong rod: this mould takes the ${plan.rod}.`,
      action: AGAIN,
    }),
  ];
}

function mouldFindings(input: MouldingInput, limits: Limits): Finding[] {
  const found: Finding[] = [];
  if (!input.mould) return found;
  const moulds = measuredMoulds(input.mouldSizes, input.mould);
  if (moulds.length === 0) return found;
  const facts = mouldOf(input.mould);
  const limit = (id: LimitId) => limits.of(id, input.system);
  const off = (value: Exact, of: Exact): Exact => value.minus(of).abs().div(of).times(100);
  const rows: [LimitId, (each: (typeof moulds)[number]) => Exact, string][] = [
    [
      'moulding.mould-diameter',
      ({ one, two }) => one.minus(two).abs().div(Decimal.min(one, two)).times(100),
      'two diameters differ',
    ],
    [
      'moulding.mould-nominal',
      ({ one, two }) => off(one.plus(two).div(2), exact(facts.across)),
      'diameter off the nominal',
    ],
    ['moulding.mould-height', ({ height }) => off(height, exact(facts.length)), 'height off the nominal'],
  ];
  for (const [id, measure, what] of rows) {
    const worst = Decimal.max(...moulds.map(measure));
    if (isWithin(worst, limit(id))) continue;
    found.push(
      finding({
        id,
        severity: 'departure',
        fields: ['mouldSizes'],
        limit: cite(limit(id)),
        message: `Moulds of this shipment: ${what} by ${worst.toFixed(2)} %.`,
        action: 'Do not use the shipment; tell who bought it.',
        remark: `Moulds: ${what} by ${worst.toFixed(2)} %; ${limit(id).text}.`,
      }),
    );
  }
  if (!isWithin(exact(moulds.length), limit('moulding.moulds-measured'))) {
    found.push(
      finding({
        id: 'moulding.moulds-measured',
        severity: 'advice',
        fields: ['mouldSizes'],
        limit: cite(limit('moulding.moulds-measured')),
        message: `${moulds.length} of the shipment measured.`,
        action: 'Measure three at least of each shipment.',
      }),
    );
  }
  return found;
}

function densityFindings(
  weighed: readonly WeighedSpecimen[],
  median: Exact | undefined,
  bad: readonly string[],
  limits: Limits,
  input: MouldingInput,
): Finding[] {
  const found: Finding[] = [];
  if (bad.length > 0)
    found.push(
      finding({
        id: 'moulding.masses',
        severity: 'advice',
        fields: ['masses'],
        message: `No heavier filled than empty: ${bad.join(', ')}.`,
        action: 'Check which is which, and the digits.',
      }),
    );
  const usual = limits.of('cylinder.density-usual', input.system);
  const odd = weighed.filter(({ density }) => !isWithin(density, usual)).map(({ name }) => name);
  if (odd.length > 0)
    found.push(
      finding({
        id: 'moulding.density-usual',
        severity: 'advice',
        fields: ['masses'],
        limit: cite(usual),
        message: `A density that is that of no concrete: ${odd.join(', ')}.`,
        action: 'Check the masses, their unit, and which mould it is.',
      }),
    );
  if (!median || weighed.length < 3) return found;
  const limit = limits.of('moulding.set-density', input.system);
  const off = weighed.flatMap(({ name, density }) => {
    const percent = density.minus(median).div(median).times(100);
    return isWithin(percent.abs(), limit)
      ? []
      : [`${name} ${percent.greaterThan(0) ? '+' : ''}${percent.toFixed(2)} %`];
  });
  if (off.length > 0) {
    found.push(
      finding({
        id: limit.id,
        severity: 'advice',
        fields: ['masses'],
        limit: cite(limit),
        message: `Off the median of the set: ${off.join(', ')}.`,
        action: `Look for a void or too little concrete before covering. ${AGAIN}`,
      }),
    );
  }
  return found;
}

function stateFindings(input: MouldingInput): Finding[] {
  const found: Finding[] = [];
  const say = (id: string, field: string, message: string, action: string, remark: string): void =>
    void found.push(finding({ id, severity: 'departure', fields: [field], message, action, remark }));
  const planned = readMeasure(input, 'planned')?.value;
  const counted = readMeasure(input, 'counted')?.value;
  if (planned && counted && !planned.equals(counted))
    say(
      'moulding.count',
      'counted',
      `${counted} counted, ${planned} planned.`,
      'Explain the difference in the remarks.',
      `${counted} specimens made, ${planned} planned.`,
    );
  return found;
}
