import type { Limits } from '../../limits';
import { type Exact, exact, plainOf, roundedText, type System, unitLabel } from '../../quantity';
import type { PlanItem } from '../contract';
import { FORCE_UNIT, STRESS_UNIT } from '../press/units';
import { limitsOf, type RunSetup } from '../setup';
import { fitsMachine } from './machine';
import { type HalfRow, loadOn, ratesFor } from './rates';
import { schoolBand } from './school';

const WORDS = { can: 'can break it', 'may not': 'may not break it', cannot: 'cannot break it' } as const;

/** The loads of a masonry specimen, the rates they ask for, and which machine can break it. */
export function ratePlan(
  about: {
    readonly area: Exact;
    readonly expected: Exact | undefined;
    /** The mean strength that is asked for. */
    readonly stress: Exact | undefined;
    readonly row: HalfRow;
    readonly school?: 'en' | 'is' | undefined;
  },
  setup: RunSetup,
  system: System,
): PlanItem[] {
  const { area, expected, stress, row, school } = about;
  const limits = limitsOf(setup);
  const least = loadOn(area, stress, system);
  const force = FORCE_UNIT[system];
  const items: PlanItem[] = [];
  if (least && stress)
    items.push({
      label: 'Required load',
      text: plainOf(least.toSignificantDigits(4), force),
      note: `for ${plainOf(stress, STRESS_UNIT[system])}`,
    });
  if (!expected) return items;
  items.push({
    label: 'Expected load',
    text: plainOf(expected.toSignificantDigits(4), force),
    note: brokenWords(setup),
  });
  items.push(
    ...(school
      ? schoolItems(school, { area, expected }, limits, system)
      : halfItems({ expected, least, row }, limits, system)),
  );
  for (const machine of setup.equipment ?? []) {
    const fit = fitsMachine(machine, { area, expected, required: least }, system, limits);
    if (fit) items.push({ label: machine.number, text: WORDS[fit.state], note: fit.why });
  }
  return items;
}

function brokenWords({ facts }: RunSetup): string {
  const broken = facts?.brokenLoads;
  const count = Array.isArray(broken) ? broken.length : 0;
  return count > 0 ? `mean of the ${count} broken before it` : 'before the first break';
}

/** The rate that gives the second half its time, and the one that a failing specimen bears too. */
function halfItems(
  { expected, least, row }: { expected: Exact; least: Exact | undefined; row: HalfRow },
  limits: Limits,
  system: System,
): PlanItem[] {
  const force = FORCE_UNIT[system];
  const rates = ratesFor(expected, row, limits, system);
  const place = system === 'US' ? '10' : '0.05';
  const each = `${unitLabel(force)}/s`;
  const time = limits.of(row, system);
  // At a steady rate the second half is half of the load: P = 2 r t.
  const [fast, slow] = [exact(2).times(time.low ?? 0), exact(2).times(time.high ?? 0)];
  const range = (rate: Exact): string =>
    `${plainOf(rate.times(fast).toSignificantDigits(4), force)} to ${plainOf(rate.times(slow).toSignificantDigits(4), force)}`;
  const careful = least?.times(limits.number('unit.rate-low', system)).div(fast);
  return [
    {
      label: 'Rate to set',
      text: `${roundedText(rates.target, place)} ${each}`,
      note: `good for breaks from ${range(rates.target)}: then the second half takes ${time.text}`,
    },
    ...(careful
      ? [
          {
            label: 'Rate that a failing unit bears too',
            text: `${roundedText(careful, place)} ${each}`,
            note: `from ${range(careful)}`,
          },
        ]
      : []),
  ];
}

/** The rate of a school, by the strength that is expected. */
function schoolItems(
  school: 'en' | 'is',
  { area, expected }: { area: Exact; expected: Exact },
  limits: Limits,
  system: System,
): PlanItem[] {
  const { target, text, title } = schoolBand(school, { area, load: expected }, limits, system);
  const place = system === 'US' ? '10' : '0.05';
  return [
    {
      label: 'Rate to set',
      text: `${roundedText(target, place)} ${unitLabel(FORCE_UNIT[system])}/s`,
      note: `${title}: ${text}${school === 'en' ? '; half of the load at any rate before' : ''}`,
    },
  ];
}
