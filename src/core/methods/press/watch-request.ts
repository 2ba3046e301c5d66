import type { Limits } from '../../limits';
import { stackOf, type WatchRequest } from '../../press';
import { convert, type Exact, type System } from '../../quantity';
import type { PressTest } from '../contract';
import { type EquipmentFacts, setupMeasure } from '../setup';
import { loadBand, readableChange } from './rates';
import { spaceOf } from './space';
import { FORCE_UNIT, LENGTH_UNIT } from './units';

/** Smallest changes of an indicator, and share of its scale, that are a contact. */
const CONTACT_CHANGES = 5;
const CONTACT_SHARE = 0.002;
/** Where nothing is known of the indicator: lbf and kN. */
const CONTACT = { US: 500, SI: 2 } as const;
const HALF = 0.5;

/**
 * What a break is watched with on a machine: the band of this specimen, and where this machine ends.
 * @param test as far as the specimen is known; its expected load may be missing
 * @param machine the one chosen, with what its description and its verification say
 * @returns loads in lbf or kN, travel in mm, area in mm²
 * Source: our choice of what is a contact and of the room before the end of the stroke.
 */
export function watchRequestOf(
  test: PressTest,
  machine: EquipmentFacts | undefined,
  limits: Limits,
  system: System,
): WatchRequest {
  const band = loadBand(test, system);
  const space = spaceOf(test, machine, limits, system);
  const mm = (value: Exact): number => convert(value, LENGTH_UNIT[system], 'mm').toNumber();
  const tops = [machine?.verifiedTo, machine?.machine?.capacity].flatMap(
    (text) => setupMeasure(text, 'force', FORCE_UNIT[system])?.toNumber() ?? [],
  );
  return {
    expected: test.expected?.toNumber() ?? 0,
    low: band.low.toNumber(),
    high: band.high.toNumber(),
    from: test.from === 'start' ? 0 : HALF,
    pads: test.ends === 'pads',
    contact: contactLoad(machine, system),
    ...(tops.length > 0 ? { most: Math.min(...tops) } : {}),
    ...(space
      ? { travel: mm(stackOf(space, []).usable.minus(limits.number('press.stroke-alarm', system))) }
      : {}),
    ...(test.halves ? { halves: true } : {}),
    ...(test.measured ? { area: convert(test.area, system === 'US' ? 'in2' : 'mm2', 'mm2').toNumber() } : {}),
  };
}

/** The load from which the platen touches the specimen: more than the indicator wanders by itself. */
function contactLoad(machine: EquipmentFacts | undefined, system: System): number {
  const readable = readableChange(machine?.machine, system);
  if (!readable) return CONTACT[system];
  const byChange = CONTACT_CHANGES * readable.change.toNumber();
  return Math.max(byChange, CONTACT_SHARE * (readable.scale?.toNumber() ?? 0));
}
