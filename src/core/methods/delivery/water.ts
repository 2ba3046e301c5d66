import type { Limits } from '../../limits';
import { type Exact, exact } from '../../quantity';
import { type Sheet, standard } from '../../working';
import { factText } from '../facts';
import { readMeasure } from '../fields';
import { type RunSetup, setupMeasure } from '../setup';
import type { DeliveryInput } from './input';

const C94 = standard('ASTM C94/C94M');

export interface LoadWater {
  /** Everything in the load before water was added on site, lb or kg. */
  readonly batched: Exact | undefined;
  /** With the water added on site. */
  readonly total: Exact | undefined;
  readonly ratio: Exact | undefined;
  /** What may still be added on site, before any was, gal or L, rounded down; below zero when already over. */
  readonly permitted: Exact | undefined;
  /** The same by what the water-cementitious ratio alone would leave for what is still in the drum. */
  readonly permittedRest: Exact | undefined;
}

/** Free moisture of one aggregate as a line; zero when it is not asked for. Mass in lb or kg. */
function freeLine(input: DeliveryInput, which: 'fine' | 'coarse', symbol: string, sheet: Sheet): Exact {
  const wet = readMeasure(input, which)?.value;
  const moisture = readMeasure(input, `${which}Moisture`)?.value;
  const absorption = readMeasure(input, `${which}Absorption`)?.value;
  if (!wet || !moisture || !absorption) return exact(0);
  return sheet.line({
    symbol,
    name: `Free water of the ${which} aggregate`,
    formula: 'w / (1 + m / 100) * (m - b) / 100',
    uses: { w: wet, m: moisture, b: absorption },
    unit: input.system === 'US' ? 'lb' : 'kg',
    source: C94,
  });
}

/** Rounds down to a step: permitted water is never rounded up. */
function down(value: Exact, step: Exact): Exact {
  return value.div(step).floor().times(step);
}

/**
 * The water of a load: total, ratio, and what may still be added.
 * Source: ASTM C94/C94M (from memory): W = (w/cm max · cm − w batched), as gallons [litres], never below zero.
 */
export function loadWater(input: DeliveryInput, setup: RunSetup, limits: Limits, sheet: Sheet): LoadWater {
  const { system } = input;
  const mass = system === 'US' ? 'lb' : 'kg';
  const volume = system === 'US' ? 'gal' : 'L';
  const gallon = limits.number('delivery.gallon', system);
  const typed = readMeasure(input, 'water')?.value;
  const cement = readMeasure(input, 'cementitious')?.value;
  const free = [freeLine(input, 'fine', 'Ff', sheet), freeLine(input, 'coarse', 'Fc', sheet)] as const;
  const admixture = readMeasure(input, 'admixtureWater')?.value ?? exact(0);
  if (!typed || !cement?.greaterThan(0)) {
    return {
      batched: undefined,
      total: undefined,
      ratio: undefined,
      permitted: undefined,
      permittedRest: undefined,
    };
  }
  const batched = sheet.line({
    symbol: 'w',
    name: 'Water batched',
    formula: 'wb + Ff + Fc + wa',
    uses: { wb: typed, Ff: free[0], Fc: free[1], wa: admixture },
    unit: mass,
    source: C94,
  });
  const added = readMeasure(input, 'added')?.value ?? exact(0);
  const total = sheet.line({
    symbol: 'wt',
    name: 'Water in all',
    formula: 'w + g * q',
    uses: { w: batched, g: added, q: gallon },
    unit: mass,
    source: C94,
  });
  const step = limits.number('delivery.wc-step', system);
  const ratio = sheet.line({
    symbol: 'R',
    name: 'Water-cementitious ratio',
    formula: 'wt / cm',
    uses: { wt: total, cm: cement },
    unit: 'one',
    source: C94,
    round: { step, rule: `ratio to ${step}` },
    show: 4,
  });
  const asked = factText(setup, 'waterRatio');
  const most = asked === undefined ? undefined : exact(asked);
  if (!most) return { batched, total, ratio, permitted: undefined, permittedRest: undefined };
  const waterStep = limits.number('delivery.water-step', system);
  const room = sheet.line({
    symbol: 'W',
    name: 'Water the ratio still allows',
    formula: '(Rmax * cm - w) / q',
    uses: { Rmax: most, cm: cement, w: batched, q: gallon },
    unit: volume,
    source: C94,
  });
  const byTicket = readMeasure(input, 'ticketAllows')?.value;
  const capped = byTicket?.lessThan(room) ? byTicket : room;
  const load = readMeasure(input, 'loadVolume')?.value;
  const out = readMeasure(input, 'outBefore')?.value ?? exact(0);
  const rest = load?.greaterThan(0) ? room.times(load.minus(out)).div(load) : room;
  return {
    batched,
    total,
    ratio,
    permitted: capped.isNegative() ? capped : down(capped, waterStep),
    permittedRest: rest.isNegative() ? exact(0) : down(rest, waterStep),
  };
}

/** Batched masses against the mix design, by the batching tolerances; fractions of the design, or undefined. */
export function againstDesign(
  batched: Exact | undefined,
  design: string | undefined,
  volume: Exact | undefined,
  system: 'US' | 'SI',
): Exact | undefined {
  const each = setupMeasure(design, 'density', system === 'US' ? 'lb/yd3' : 'kg/m3');
  if (!batched || !each || !volume?.greaterThan(0)) return undefined;
  const wanted = each.times(volume);
  return wanted.isZero() ? undefined : batched.minus(wanted).div(wanted).times(100);
}

/** What is known of a load's water, for asking what more of it would do; lb, yd³ and gal, or kg, m³ and L. */
export interface WaterState {
  readonly cementitious: Exact;
  readonly total: Exact;
  readonly volume: Exact;
  /** Still permitted on site, with nothing added yet. */
  readonly permitted: Exact;
  /** Added so far. */
  readonly added: Exact;
}

/**
 * What it would take to raise the slump, by the usual rule of thumb.
 * @param rise wanted, in steps of 1 in or 25 mm
 * @returns water in gal or L, the ratio it leads to, and what is left of the permitted water (below zero: not allowed)
 * Source: common practice, in the register; it is shown and never judged by.
 */
export function waterForSlump(
  rise: Exact,
  state: WaterState,
  system: 'US' | 'SI',
  limits: Limits,
): { readonly water: Exact; readonly ratio: Exact; readonly left: Exact } {
  const mass = limits.number('delivery.slump-water', system).times(rise).times(state.volume);
  const water = mass.div(limits.number('delivery.gallon', system));
  return {
    water,
    ratio: state.total.plus(mass).div(state.cementitious),
    left: state.permitted.minus(state.added).minus(water),
  };
}
