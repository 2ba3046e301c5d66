import { type Exact, exact, plainOf, roundedText, type System, unitLabel } from '../../quantity';
import type { PlanItem } from '../contract';
import { FORCE_UNIT, STRESS_UNIT } from '../press/units';
import { limitsOf, type RunSetup } from '../setup';
import { fitsMachine } from './machine';
import { type HalfRow, loadOn, ratesFor } from './rates';

const WORDS = { can: 'can break it', 'may not': 'may not break it', cannot: 'cannot break it' } as const;

/** The loads of a masonry specimen, the rates they ask for, and which machine can break it. */
export function ratePlan(
  about: {
    readonly area: Exact;
    readonly expected: Exact | undefined;
    /** The mean strength that is asked for. */
    readonly stress: Exact | undefined;
    readonly row: HalfRow;
  },
  setup: RunSetup,
  system: System,
): PlanItem[] {
  const { area, expected, stress, row } = about;
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
  const rates = ratesFor(expected, row, limits, system);
  const place = system === 'US' ? '10' : '0.05';
  const each = `${unitLabel(force)}/s`;
  const time = limits.of(row, system);
  // At a steady rate the second half is half of the load: P = 2 r t.
  const [fast, slow] = [exact(2).times(time.low ?? 0), exact(2).times(time.high ?? 0)];
  const [from, to] = [rates.target.times(fast), rates.target.times(slow)];
  items.push(
    {
      label: 'Expected load',
      text: plainOf(expected.toSignificantDigits(4), force),
      note: brokenWords(setup),
    },
    {
      label: 'Rate to set',
      text: `${roundedText(rates.target, place)} ${each}`,
      note: `good for breaks from ${plainOf(from.toSignificantDigits(4), force)} to ${plainOf(to.toSignificantDigits(4), force)}: then the second half takes ${time.text}`,
    },
  );
  if (least) {
    const careful = least.times(limits.number('unit.rate-low', system)).div(fast);
    items.push({
      label: 'Rate that a failing unit bears too',
      text: `${roundedText(careful, place)} ${each}`,
      note: `from ${plainOf(careful.times(fast).toSignificantDigits(4), force)} to ${plainOf(careful.times(slow).toSignificantDigits(4), force)}`,
    });
  }
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
