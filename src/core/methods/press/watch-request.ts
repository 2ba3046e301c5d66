import type { Limits } from '../../limits';
import { type BendWatchRequest, stackOf, type WatchRequest } from '../../press';
import { convert, type Exact, type System, type UnitId } from '../../quantity';
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
/** A nose that touches a beam: lbf and kN. */
const BENT_CONTACT = { US: 15, SI: 0.07 } as const;

/** The lower of capacity and highest verified load of a machine, lbf or kN; undefined where neither is known. */
function topOf(machine: EquipmentFacts | undefined, system: System): number | undefined {
  const tops = [machine?.verifiedTo, machine?.machine?.capacity].flatMap(
    (text) => setupMeasure(text, 'force', FORCE_UNIT[system])?.toNumber() ?? [],
  );
  return tops.length > 0 ? Math.min(...tops) : undefined;
}

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
  const most = topOf(machine, system);
  return {
    expected: test.expected?.toNumber() ?? 0,
    low: band.low.toNumber(),
    high: band.high.toNumber(),
    from: test.from === 'start' ? 0 : HALF,
    pads: test.ends === 'pads',
    contact: contactLoad(machine, system),
    ...(most === undefined ? {} : { most }),
    ...(space
      ? { travel: mm(stackOf(space, []).usable.minus(limits.number('press.stroke-alarm', system))) }
      : {}),
    ...(test.halves ? { halves: true } : {}),
    ...(test.measured ? { area: convert(test.area, system === 'US' ? 'in2' : 'mm2', 'mm2').toNumber() } : {}),
  };
}

/**
 * What a bend is watched with on a machine: the speeds of its parts, how far it goes, where this machine ends.
 * @param test of what is driven by its displacement; undefined is returned for any other
 * @returns loads in lbf or kN, displacements in mm, speeds in mm/min
 */
export function bendRequestOf(
  test: PressTest,
  machine: EquipmentFacts | undefined,
  system: System,
): BendWatchRequest | undefined {
  const { driven } = test;
  if (!driven) return undefined;
  const speed = (value: Exact | undefined, none: number, unit: UnitId): number =>
    value ? convert(value, unit, 'mm/min').toNumber() : none;
  const most = topOf(machine, system);
  return {
    expected: test.expected?.toNumber() ?? 0,
    contact: BENT_CONTACT[system],
    own: driven.own,
    sections: driven.parts.map(({ to, speed: { low, high, unit } }) => ({
      to,
      low: speed(low, 0, unit),
      high: speed(high, Number.POSITIVE_INFINITY, unit),
    })),
    end: driven.end,
    ...(most === undefined ? {} : { most }),
  };
}

/** The load from which the platen touches the specimen: more than the indicator wanders by itself. */
function contactLoad(machine: EquipmentFacts | undefined, system: System): number {
  const readable = readableChange(machine?.machine, system);
  if (!readable) return CONTACT[system];
  const byChange = CONTACT_CHANGES * readable.change.toNumber();
  return Math.max(byChange, CONTACT_SHARE * (readable.scale?.toNumber() ?? 0));
}
