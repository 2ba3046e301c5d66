import { cite, isWithin, type Limits } from '../../limits';
import { spacingOf, stripTrouble } from '../../pipe/strips';
import { type Exact, exact, plainOf } from '../../quantity';
import { median } from '../../statistics/median';
import { type Finding, finding, ourChoice, type Sheet } from '../../working';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { setupMeasure } from '../measure-text';
import type { RunSetup } from '../setup';
import type { ThreeEdgeInput } from './input';
import { machineOf, type PipeLoads, ramsOf, UNITS_OF } from './loads';

const STRIPS = {
  'too wide': [
    'wider than the pipe allows: it would look stronger',
    'Set them nearer: it goes by the inside diameter, an inch for a foot [83 mm for a metre].',
  ],
  'too near': ['nearer than they may stand', 'Set them apart: never under an inch [25 mm].'],
  'too soft': ['softer than the method wants', 'Other strips: these give.'],
  'too hard': ['harder than the method wants', 'Other strips: sun and weather have hardened these.'],
} as const;

/** What is wrong with the strips as they are set. */
export function stripFindings(
  input: ThreeEdgeInput,
  { bore }: Pick<PipeLoads, 'bore'>,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const { bore: unit } = UNITS_OF[system];
  const diameter = bore.div(system === 'US' ? 12 : 1000);
  const apart = ['apart1', 'apart2', 'apart3'].flatMap((name) => {
    const value = readMeasure(input, name)?.value;
    return value ? [{ name, value }] : [];
  });
  const found: Finding[] = [];
  for (const { name, value } of apart) {
    const trouble = stripTrouble({ diameter, apart: value }, limits, system);
    if (trouble === 'none') continue;
    const { least, most } = spacingOf(diameter, limits, system);
    const [what, action] = STRIPS[trouble];
    found.push(
      finding({
        id: 'teb.strip',
        severity: 'invalid',
        fields: [name],
        beforeLoad: true,
        limit: {
          ...cite(limits.of('teb.strip', system)),
          text: least.equals(most) ? plainOf(least, unit) : `${least} to ${plainOf(most, unit)}`,
        },
        message: `The strips stand ${plainOf(value, unit)} apart, ${what}.`,
        action,
      }),
    );
  }
  const [first, last] = [
    apart.find(({ name }) => name === 'apart1'),
    apart.find(({ name }) => name === 'apart3'),
  ];
  if (first && last && !isWithin(first.value.minus(last.value).abs(), limits.of('teb.strip-ends', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'teb.strip-ends', severity: 'departure', fields: ['apart1', 'apart3'], beforeLoad: true },
        {
          message: 'The strips are not parallel: their ends stand apart differently.',
          action: 'Set them anew, the same at both ends.',
          remark: 'Lower strips not parallel.',
        },
      ),
    );
  return [...found, ...rubberFindings(input, diameter, limits)];
}

function rubberFindings(input: ThreeEdgeInput, diameter: Exact, limits: Limits): Finding[] {
  if (input.strips !== 'rubber') return [];
  const { system } = input;
  const read = ['hardness1', 'hardness2', 'hardness3'].flatMap(
    (name) => readMeasure(input, name)?.value.toNumber() ?? [],
  );
  if (read.length === 0)
    return [
      limitFinding(
        limits,
        system,
        { id: 'teb.rubber', severity: 'departure', fields: ['hardness1'], beforeLoad: true },
        {
          message: 'How hard the rubber is was not measured.',
          action: 'Three places, type A; the middle one counts.',
          remark: 'Hardness of the rubber strips not measured.',
        },
      ),
    ];
  const hardness = exact(median(read));
  const { least } = spacingOf(diameter, limits, system);
  const trouble = stripTrouble({ diameter, apart: least, hardness }, limits, system);
  if (trouble === 'none') return [];
  const [what, action] = STRIPS[trouble];
  return [
    limitFinding(
      limits,
      system,
      { id: 'teb.rubber', severity: 'invalid', fields: ['hardness1'], beforeLoad: true },
      { message: `The rubber has a hardness of ${hardness}, ${what}.`, action },
    ),
  ];
}

/** The upper beam on its marks, stiff enough; its sag with its lines. */
export function beamFindings(
  input: ThreeEdgeInput,
  { overall, ultimate, design }: PipeLoads,
  setup: RunSetup,
  limits: Limits,
  sheet: Sheet,
): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const off = ['off1', 'off2'].filter((name) => {
    const value = readMeasure(input, name)?.value;
    return value && !isWithin(value, limits.of('teb.offset', system));
  });
  if (off.length > 0)
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'teb.offset', severity: 'departure', fields: off, beforeLoad: true },
        {
          message: 'The upper beam does not lie on the line of the pipe.',
          action: 'Set it on the marks: beam, pipe and ram on one vertical.',
          remark: 'Upper beam off the line of the pipe.',
        },
      ),
    );
  const [b, h] = ['beamWide', 'beamHigh'].map((name) => readMeasure(input, name)?.value);
  const machine = machineOf(input, setup);
  const load = ultimate ?? design;
  // One ram in the middle is what the formula is of.
  const rams = machine && ramsOf(machine, system)?.count;
  if (!b?.greaterThan(0) || !h?.greaterThan(0) || !input.beamOf || !load || (rams && !rams.equals(1)))
    return found;
  const us = system === 'US';
  const inertia = sheet.line({
    symbol: 'I',
    name: 'Upper beam, second moment of its section',
    formula: 'b * h^3 / 12',
    uses: { b, h },
    unit: 'one',
    source: ourChoice('a rectangle, in⁴ or mm⁴'),
  });
  const sag = sheet.line({
    symbol: 'y',
    name: 'Sag of its ends at the ultimate load, one ram in the middle',
    formula: us ? 'P * (12 * Lb)^3 / (128 * E * I)' : 'P * 1000 * (1000 * Lb)^3 / (128 * E * I)',
    uses: {
      P: load,
      Lb: overall,
      E: limits.number(input.beamOf === 'wood' ? 'teb.wood' : 'teb.steel', system),
      I: inertia,
    },
    unit: us ? 'in' : 'mm',
    source: ourChoice('two cantilevers under an even load'),
    show: 3,
  });
  const most = overall.times(us ? 12 : 1000).div(limits.number('teb.sag', system));
  if (sag.greaterThan(most))
    found.push(
      finding({
        id: 'teb.sag',
        severity: 'departure',
        fields: ['beamWide', 'beamHigh'],
        beforeLoad: true,
        limit: {
          ...cite(limits.of('teb.sag', system)),
          text: `no more than ${most.toSignificantDigits(3)} ${us ? 'in' : 'mm'}`,
        },
        message: `The upper beam would sag by ${sag.toSignificantDigits(3)} ${us ? 'in' : 'mm'} at the ultimate load.`,
        action: 'A higher beam, or steel.',
        remark: 'Upper beam softer than the method wants.',
      }),
    );
  return found;
}

/** Whether machine and gauge suit the loads of the pipe, and are in date. */
export function machineFindings(
  input: ThreeEdgeInput,
  loads: PipeLoads | undefined,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const { force } = UNITS_OF[system];
  const found = equipmentUse(input, { machine: 'invalid', leaf: 'departure' }, input.testedAt, setup, limits);
  const machine = machineOf(input, setup);
  const goal = input.purpose === 'crack' ? loads?.design : (loads?.ultimate ?? loads?.design);
  if (!machine || !goal) return found;
  const reach =
    setupMeasure(machine.machine?.capacity, 'force', force) ??
    setupMeasure(machine.verifiedTo, 'force', force);
  if (reach && !isWithin(reach.div(goal), limits.of('teb.spare', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'teb.spare', severity: 'departure', fields: ['machine'], beforeLoad: true },
        {
          message: `${machine.number} reaches ${plainOf(reach, force)}; this pipe may take ${plainOf(goal.toSignificantDigits(4), force)} and more.`,
          action: 'A larger machine: a load that it cannot reach proves nothing.',
          remark: `${machine.number} has less than a fifth to spare.`,
        },
      ),
    );
  return [...found, ...gaugeFindings(machine, goal, loads, input, limits)];
}

function gaugeFindings(
  machine: NonNullable<ReturnType<typeof machineOf>>,
  goal: Exact,
  loads: PipeLoads | undefined,
  input: ThreeEdgeInput,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const unit = system === 'US' ? 'psi' : 'MPa';
  // A machine that shows the load itself is read as it is.
  const rams = machine.machine?.indicator === 'digital' ? undefined : ramsOf(machine, system);
  const end = setupMeasure(machine.machine?.gaugeEnd, 'stress', unit);
  const division = setupMeasure(machine.machine?.gaugeDivision, 'stress', unit);
  const found: Finding[] = [];
  const design = loads?.design ?? goal;
  if (rams && end) {
    const shares = [design, goal].map((load) => load.div(rams.factor).div(end).times(100));
    if (shares.some((share) => !isWithin(share, limits.of('teb.scale', system))))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'teb.scale', severity: 'advice', fields: ['machine'], beforeLoad: true },
          {
            message: `The loads of this pipe lie at ${shares.map((share) => share.toFixed(0)).join(' and ')} % of the gauge.`,
            action: 'Change the gauge: it is read badly near its ends.',
          },
        ),
      );
  }
  if (
    rams &&
    division &&
    !isWithin(division.times(rams.factor).div(design).times(100), limits.of('teb.division', system))
  )
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'teb.division', severity: 'advice', fields: ['machine'], beforeLoad: true },
        {
          message: `One division of the gauge is ${plainOf(division.times(rams.factor).toSignificantDigits(3), UNITS_OF[system].force)}.`,
          action: 'A finer gauge: this load cannot be stopped at.',
        },
      ),
    );
  return found;
}

/** Nothing that was typed makes a class: what keeps the test from having loads, said at once. */
export function productFinding(): Finding {
  return finding({
    id: 'teb.product',
    severity: 'invalid',
    fields: ['purpose'],
    beforeLoad: true,
    message: 'Class, diameter or joint of this pipe do not say its loads.',
    action:
      'Put them into its specification: class, inside diameter or span, overall length and what the joint takes off. The length decides at which load it is stopped.',
  });
}
