import type { Limits } from '../../limits';
import { isMould, mouldText } from '../../moulds';
import { plainOf, type System, unitLabel } from '../../quantity';
import type { PlanItem, PressTest } from '../contract';
import { type EquipmentFacts, limitsOf, type RunSetup } from '../setup';
import { bandText, loadBand, rateItems } from './rates';
import { FORCE_UNIT, STRESS_UNIT } from './units';

/**
 * What to know before a press is started: expected load, where the rate begins to count, the time it takes, the rate
 * in the machine's own units.
 * @param machine the one chosen, when it is
 */
export function pressPlan(
  test: PressTest,
  machine: EquipmentFacts | undefined,
  limits: Limits,
  system: System,
): readonly PlanItem[] {
  const unit = FORCE_UNIT[system];
  const { target } = loadBand(test, system);
  const { expected } = test;
  const items: PlanItem[] = [];
  if (expected) {
    items.push({
      label: 'Expected load',
      text: plainOf(expected, unit),
      note: `for about ${plainOf(expected.times(test.factor).div(test.area), STRESS_UNIT[system])}`,
    });
    if (test.from === 'half') {
      items.push({
        label: 'Hold the rate from',
        text: plainOf(expected.div(2), unit),
        note: 'half the expected load',
      });
    }
    if (!target.isZero()) {
      const fast = limits.number('press.first-half', system);
      const two = expected.div(2).div(target);
      items.push({
        label: 'Time at the target rate',
        text: `${expected.div(target).toFixed(0)} s`,
        note:
          test.from === 'half'
            ? `${two.plus(two.div(fast)).toFixed(0)} s when the first half goes ${fast} times as fast`
            : `${target.toSignificantDigits(4)} ${unitLabel(unit)}/s`,
      });
    }
  }
  return [...items, ...rateItems(test, machine, system)];
}

/** How far the load will go and the rate to keep, in one line. */
export function pressBrief(test: PressTest, system: System): string {
  const unit = FORCE_UNIT[system];
  const { expected } = test;
  if (test.driven) return expected ? `About ${plainOf(expected, unit)} is expected.` : '';
  const rate = bandText(loadBand(test, system), system);
  if (!expected) return test.from === 'half' ? `From half of the load on keep ${rate}.` : `Keep ${rate}.`;
  const most = `About ${plainOf(expected, unit)} is expected`;
  return test.from === 'half'
    ? `${most}: from ${plainOf(expected.div(2), unit)} on keep ${rate}.`
    : `${most}: keep ${rate} from the beginning.`;
}

/** What to know before a specimen of a size is loaded: the size, and what the press will show of it. */
export function specimenPlan(
  test: PressTest | undefined,
  setup: RunSetup,
  system: System,
): readonly PlanItem[] {
  const { form = '' } = setup.specimen ?? {};
  if (!isMould(form) || !test) return [];
  return [{ label: 'Size', text: mouldText(form) }, ...pressPlan(test, undefined, limitsOf(setup), system)];
}
