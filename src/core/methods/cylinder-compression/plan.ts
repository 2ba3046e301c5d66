import { mouldText } from '../../moulds';
import { type Exact, exact, PI, plainOf, roundedText, type System, unitLabel } from '../../quantity';
import type { PlanItem } from '../contract';
import { limitsOf, type RunSetup } from '../setup';
import { expectedStrength, FORCE_FACTOR, FORCE_UNIT, nominalDiameter, STRESS_UNIT } from './facts';

/**
 * What to know before the first load: expected load, the rate band in the machine's own units, the time it takes.
 * @returns nothing for a specimen of unknown size
 */
export function plan(system: System, setup: RunSetup): readonly PlanItem[] {
  const size = setup.specimen?.nominalSize;
  if (!size) return [];
  const limits = limitsOf(setup);
  const area = nominalDiameter(size, system).pow(2).times(PI).div(4);
  const rate = limits.of('cylinder.loading-rate', system);
  const low = rate.low ?? exact(0);
  const high = rate.high ?? exact(0);
  const target = low.plus(high).div(2);
  const unit = FORCE_UNIT[system];
  const perSecond = (stress: Exact): Exact => stress.times(area).div(FORCE_FACTOR[system]);
  const place = system === 'US' ? '1' : '0.01';
  const items: PlanItem[] = [{ label: 'Size', text: mouldText(size) }];
  const strength = expectedStrength(setup, system, limits);
  if (strength) {
    const load = strength.times(area).div(FORCE_FACTOR[system]);
    items.push({
      label: 'Expected load',
      text: plainOf(load, unit),
      note: `for about ${plainOf(strength, STRESS_UNIT[system])}`,
    });
    items.push({
      label: 'Hold the rate from',
      text: plainOf(load.div(2), unit),
      note: 'half the expected load',
    });
    items.push({
      label: 'Time at the target rate',
      text: `${strength.div(target).toFixed(0)} s`,
      note: `${target} ${unitLabel(rate.unit)}`,
    });
  }
  items.push({
    label: 'Rate at the machine',
    text: `${roundedText(perSecond(low), place)} to ${roundedText(perSecond(high), place)} ${unitLabel(unit)}/s`,
    note: `${rate.text} in the second half`,
  });
  items.push({
    label: 'In 10 s',
    text: `${roundedText(perSecond(low).times(10), place)} to ${roundedText(perSecond(high).times(10), place)} ${unitLabel(unit)}`,
  });
  return items;
}
