import type { Limit } from '../../limits';
import type { Dial } from '../../press';
import {
  convert,
  type Exact,
  exact,
  plainOf,
  roundedText,
  type System,
  unitLabel,
  unitOf,
} from '../../quantity';
import type { PlanItem, PressTest } from '../contract';
import type { MachineFacts } from '../machine-facts';
import { type EquipmentFacts, setupMeasure } from '../setup';
import { FORCE_UNIT } from './units';

/** A rate limit's ends as load a second, lbf/s or kN/s. */
export interface LoadBand {
  readonly low: Exact;
  readonly target: Exact;
  readonly high: Exact;
}

/** One end of a band as load a second. */
function loadRate(value: Exact, band: Limit, test: PressTest, system: System): Exact {
  if (unitOf(band.unit).dimension === 'forceRate')
    return convert(value, band.unit, system === 'US' ? 'lbf/s' : 'kN/s');
  const stress = convert(value, band.unit, system === 'US' ? 'psi/s' : 'MPa/s');
  return stress.times(test.area).div(test.factor);
}

/** The band of the rate as load a second, for the specimen's own area. */
export function loadBand(test: PressTest, system: System): LoadBand {
  // What is driven by its displacement keeps to no rate of the load.
  if (test.driven) return { low: exact(0), target: exact(0), high: exact(Number.POSITIVE_INFINITY) };
  const { band } = test;
  const low = loadRate(band.low ?? exact(0), band, test, system);
  const high = loadRate(band.high ?? band.low ?? exact(0), band, test, system);
  return { low, high, target: low.plus(high).div(2) };
}

/** The band of the rate as load a second, in words: `352 to 528 lbf/s`. */
export function bandText({ low, high }: Pick<LoadBand, 'low' | 'high'>, system: System): string {
  const place = system === 'US' ? '1' : '0.01';
  return `${roundedText(low, place)} to ${roundedText(high, place)} ${unitLabel(FORCE_UNIT[system])}/s`;
}

/** The dial of a machine, in the unit of the run; undefined for a digital one or where its marks are not known. */
export function dialOf(machine: EquipmentFacts | undefined, system: System): Dial | undefined {
  const facts = machine?.machine;
  if (facts?.indicator !== 'dial') return undefined;
  const [major, minor, fullScale] = [facts.major, facts.minor, facts.fullScale].map((text) =>
    setupMeasure(text, 'force', FORCE_UNIT[system]),
  );
  return major && minor && fullScale ? { major, minor, fullScale } : undefined;
}

/**
 * The smallest change of load that can be read off a machine, with the load at the end of its scale; lbf or kN.
 * @returns what a digital indicator steps by, half a small mark of a dial; undefined where neither is known
 * Source: ASTM C39/C39M asks for 0.1 % of full scale (from memory); half marks are common practice.
 */
export function readableChange(
  facts: MachineFacts | undefined,
  system: System,
): { readonly change: Exact; readonly scale: Exact | undefined } | undefined {
  const force = (text: string | undefined): Exact | undefined =>
    setupMeasure(text, 'force', FORCE_UNIT[system]);
  const scale = force(facts?.fullScale) ?? force(facts?.capacity);
  if (facts?.indicator === 'dial') {
    const minor = force(facts.minor);
    return minor && { change: minor.div(2), scale };
  }
  const increment = force(facts?.increment);
  return increment && { change: increment, scale };
}

/**
 * The rate as it is seen at this machine: a second, in ten seconds, and from mark to mark of its dial.
 * @param machine the one chosen; without it only what every machine shows
 * Source: arithmetic, P-rate = r · A.
 */
export function rateItems(
  test: PressTest,
  machine: EquipmentFacts | undefined,
  system: System,
): readonly PlanItem[] {
  if (test.driven) return [];
  const unit = unitLabel(FORCE_UNIT[system]);
  const place = system === 'US' ? '1' : '0.01';
  const { low, target, high } = loadBand(test, system);
  const where = test.from === 'half' ? ' in the second half' : '';
  const items: PlanItem[] = [
    {
      label: 'Rate at the machine',
      text: bandText({ low, high }, system),
      note: `${test.band.text}${where}`,
    },
    {
      label: 'In 10 s',
      text: `${roundedText(low.times(10), place)} to ${roundedText(high.times(10), place)} ${unit}`,
    },
  ];
  const dial = dialOf(machine, system);
  if (dial && !low.isZero()) {
    const seconds = (rate: Exact): string => dial.major.div(rate).toFixed(1);
    items.push({
      label: `From mark to mark, ${plainOf(dial.major, FORCE_UNIT[system])}`,
      text: `${seconds(high)} to ${seconds(low)} s`,
      note: `aim at ${seconds(target)} s`,
    });
    const marks = (rate: Exact): string => rate.times(10).div(dial.minor).toFixed(1);
    items.push({ label: 'Small marks in 10 s', text: `${marks(low)} to ${marks(high)}` });
  }
  return items;
}
