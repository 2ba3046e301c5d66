import { verdictWith } from '../../acceptance/criterion';
import { isWithin, type Limits } from '../../limits';
import { lengthOf } from '../../pipe/product';
import { type Exact, exact, plainOf, type System } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, PlanItem } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { saidIn } from '../pipe/said';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import type { PipeJointInput } from './input';

export const HELD = 'pressure held';

const C443 = standard('ASTM C443/C443M');
const MINUTE = 60_000;

/** What it has to be held at: as typed, else by what is tested; undefined for a barrel of which nothing is asked. */
function askedOf(input: PipeJointInput, limits: Limits): Exact | undefined {
  const typed = readMeasure(input, 'asked')?.value;
  if (typed || !input.kind || input.kind === 'barrel') return typed;
  return limits.of(input.kind === 'deflected' ? 'joint.deflected' : 'joint.straight', input.system).low;
}

interface Read {
  readonly at: number;
  readonly pressure: Exact;
}

function readingsOf(input: PipeJointInput): Read[] {
  return wholeRows(input.readings)
    .flatMap((row) => {
      const pressure = readMeasure(row, 'pressure')?.value;
      const at = Date.parse(row.at ?? '');
      return pressure && !Number.isNaN(at) ? [{ at, pressure }] : [];
    })
    .toSorted((a, b) => a.at - b.at);
}

/** Since when it stands at what is asked without a break, ms since the epoch; undefined where the last reading is below. */
function heldSince(read: readonly Read[], asked: Exact): number | undefined {
  const below = read.findLastIndex(({ pressure }) => pressure.lessThan(asked));
  return read[below + 1]?.at;
}

/** The longest that it stood so, in minutes, from reading to reading. */
function longest(read: readonly Read[], asked: Exact): number {
  let [best, since] = [0, Number.NaN];
  for (const { at, pressure } of read) {
    if (pressure.lessThan(asked)) since = Number.NaN;
    else {
      if (Number.isNaN(since)) since = at;
      best = Math.max(best, (at - since) / MINUTE);
    }
  }
  return best;
}

/**
 * How long a pipe or a joint held a pressure of water without a break, and whether it leaked meanwhile.
 * @param input the gauge over time in psi or MPa, places where water was seen
 * @returns minutes held, cut down to whole ones; the clock begins anew where the pressure falls below what is asked
 * Source: ASTM C443/C443M, C497/C497M (from memory).
 */
export function compute(input: PipeJointInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const asked = askedOf(input, limits);
  const read = readingsOf(input);
  const leaks = wholeRows(input.leaks);
  const runs = leaks.filter(({ what }) => what === 'runs');
  const unit = system === 'US' ? ('psi' as const) : ('MPa' as const);
  const findings: Finding[] = equipmentUse(input, { gauge: 'departure' }, input.endedAt, setup, limits);
  if (input.kind && !asked)
    findings.push(
      finding({
        id: 'joint.asked',
        severity: 'departure',
        fields: ['asked'],
        beforeLoad: true,
        message: 'Of a barrel alone the owner says the pressure.',
        action: 'Type what the order asks for.',
        remark: 'Pressure asked for not noted.',
      }),
    );
  const base = { lines: sheet.lines, verdicts: [] as const };
  const picture: Outcome['picture'] = {
    kind: 'pipe-joint',
    values: {
      zone: setup.zone ?? 'utc',
      unit,
      asked: asked?.toNumber() ?? null,
      hold: limits.number('joint.hold', system).toNumber(),
      since: asked ? (heldSince(read, asked) ?? null) : null,
      ended: input.endedAt ? Date.parse(input.endedAt) : null,
      read: packedRows(read.map(({ at, pressure }) => [at, pressure.toNumber()])),
      leaks: packedRows(leaks.map(({ where = '', what = '' }) => [where, what])),
    },
  };
  if (asked)
    findings.push(...loadFindings(input, setup, limits), ...overFindings(input, read, asked, limits));
  if (!asked || read.length === 0) return { ...base, results: [], findings: bySeverity(findings), picture };
  const minutes = exact(longest(read, asked)).floor();
  const held = sheet.line({
    symbol: 't',
    name: `Held at ${plainOf(asked, unit)} without a break, whole minutes`,
    formula: 't',
    uses: { t: minutes },
    unit: 'min',
    source: C443,
  });
  const enough = isWithin(held, limits.of('joint.hold', system));
  const limit = limits.of('joint.hold', system);
  const done = input.endedAt !== undefined;
  const state =
    runs.length > 0 ? 'does not meet' : enough ? 'meets' : done ? 'does not meet' : 'not yet determinable';
  return {
    results: [
      resultOf({
        quantity: HELD,
        symbol: 't',
        value: held,
        unit: 'min',
        step: limits.number('joint.step', system),
        mode: sheet.mode,
      }),
    ],
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [
      verdictWith({
        criterion: 'Tight under water pressure',
        limit: limit.text,
        state,
        statistic: held.toFixed(),
        sentence:
          runs.length > 0
            ? `It leaks: ${runs.map(({ where }) => where).join(', ')}. The owner’s engineer decides.`
            : enough
              ? `Held at ${plainOf(asked, unit)} for ${held} min without a leak.${leaks.length > 0 ? ' Beads that stick are none.' : ''}`
              : `Held at ${plainOf(asked, unit)} for ${held} min so far, 10 min without a break are asked for.`,
      }),
    ],
    picture,
  };
}

function overFindings(input: PipeJointInput, read: readonly Read[], asked: Exact, limits: Limits): Finding[] {
  const most = limits.of('joint.over', input.system);
  const over = read.some(({ pressure }) => !isWithin(pressure.div(asked).times(100), most));
  if (!over) return [];
  return [
    limitFinding(
      limits,
      input.system,
      { id: 'joint.over', severity: 'advice', fields: ['readings'] },
      {
        message: 'That is far more than is asked for.',
        action: 'Let it down: the ties are rated for what was planned. Or was another unit typed?',
      },
    ),
  ];
}

/** A joint that is loaded wants its load by its diameter. */
function loadFindings(input: PipeJointInput, setup: RunSetup, limits: Limits): Finding[] {
  const { system } = input;
  const wanted = input.kind === 'loaded' ? wantedLoad(setup, limits, system) : undefined;
  const load = readMeasure(input, 'load')?.value;
  if (!wanted || load?.greaterThanOrEqualTo(wanted)) return [];
  const unit = system === 'US' ? 'lbf' : 'kN';
  return [
    limitFinding(
      limits,
      system,
      { id: 'joint.load', severity: 'departure', fields: ['load'], beforeLoad: true },
      {
        message: `The load on the spigot side is not ${plainOf(wanted.toSignificantDigits(4), unit)}.`,
        action: 'Set it before the pressure, on timber, clear of the joint.',
        remark: 'Joint loaded with less than its diameter asks for.',
      },
    ),
  ];
}

function wantedLoad(setup: RunSetup, limits: Limits, system: System): Exact | undefined {
  const span = saidIn(setup).asked('span', system === 'US' ? 'in' : 'mm');
  return span?.times(limits.number('joint.load', system)).div(system === 'US' ? 1 : 1000);
}

/** Thrust on a bulkhead, head and water, before anything is filled. */
export function plan(system: System, setup: RunSetup): PlanItem[] {
  const limits = limitsOf(setup);
  const us = system === 'US';
  const said = saidIn(setup);
  const span = said.asked('span', us ? 'in' : 'mm');
  const p = limits.of('joint.straight', system).low;
  if (!span || !p) return [];
  const area = span.pow(2).times(Math.PI).div(4);
  const thrust = p.times(area).div(us ? 1 : 1000);
  const load = wantedLoad(setup, limits, system);
  const length = lengthOf(said, system)?.overall;
  const water = length
    ?.times(area)
    .div(us ? 144 : 1_000_000)
    .times(limits.number('joint.water', system));
  return [
    {
      label: 'Thrust on a bulkhead',
      text: plainOf(thrust.toDecimalPlaces(us ? 0 : 1), us ? 'lbf' : 'kN'),
      note: `At ${plainOf(p, us ? 'psi' : 'MPa')}. The rods are rated for it, and what the local rule adds, by who is competent to.`,
    },
    {
      label: 'Head of water',
      text: plainOf(p.times(limits.number('joint.head', system)).toDecimalPlaces(1), us ? 'ft' : 'm'),
    },
    ...(water
      ? [{ label: 'Water to fill one pipe', text: plainOf(water.toDecimalPlaces(0), us ? 'gal' : 'L') }]
      : []),
    ...(load
      ? [
          {
            label: 'Load on the spigot side, where it is asked for',
            text: plainOf(load.toSignificantDigits(4), us ? 'lbf' : 'kN'),
          },
        ]
      : []),
  ];
}

/** The end of the ten minutes, as long as the pressure stands. */
export function waits(input: PipeJointInput, setup: RunSetup): Wait[] {
  const limits = limitsOf(setup);
  const asked = askedOf(input, limits);
  const since = asked && heldSince(readingsOf(input), asked);
  if (since === undefined) return [];
  const minutes = limits.number('joint.hold', input.system).toNumber();
  return [
    {
      id: 'held',
      what: 'Look at the joint, let the pressure down',
      lane: 'press',
      opens: new Date(since + minutes * MINUTE).toISOString(),
      ...(input.endedAt ? { done: input.endedAt } : {}),
    },
  ];
}
