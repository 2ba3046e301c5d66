import type { Verdict } from '../../acceptance/criterion';
import type { Limits } from '../../limits';
import { type Exact, exact, meanOf, roundTo, type System, type UnitId } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { factMeasure } from '../facts';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { heldWithin } from '../within';
import { type DensityValues, densityFindings } from './findings';
import type { DensityYieldInput } from './input';
import { batchMaterials, type Material } from './materials';
import { asComputed, volumeLine } from './measure-volume';

const C138 = standard('ASTM C138/C138M');

/**
 * Density of fresh concrete, yield, cementitious content and gravimetric air.
 * @param input masses in lb or kg, volume of the measure in ft³ or L, the batch by its ticket
 * @returns density to 0.1 lb/ft³ [1 kg/m³]; the rest when the ticket gives what it needs, from the unrounded density
 * Source: ASTM C138/C138M (from memory): D = (Mc − Mm) / Vm, Y = M / D, Ry = Y / Yd, C = Cb / Y, T = M / V,
 *   A = 100 (T − D) / T.
 */
export function compute(input: DensityYieldInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const us = system === 'US';
  const unit: UnitId = us ? 'lb/ft3' : 'kg/m3';
  const volume = measureVolume(input, limits, sheet);
  const empty = readMeasure(input, 'emptyMass')?.value;
  const full = readMeasure(input, 'fullMass')?.value;
  const step = limits.number('density.step', system);
  let density: Exact | undefined;
  if (volume && empty && full?.greaterThan(empty)) {
    density = sheet.line({
      symbol: 'D',
      name: 'Density',
      formula: '(Mc - Mm) / Vm',
      uses: { Mc: full, Mm: empty, Vm: volume },
      unit,
      source: C138,
      round: { step, rule: `density to ${step}` },
    });
    const other: System = us ? 'SI' : 'US';
    results.push(
      resultOf({
        quantity: 'density',
        symbol: 'D',
        value: density,
        unit,
        step,
        mode,
        other: { unit: us ? 'kg/m3' : 'lb/ft3', step: limits.number('density.step', other) },
      }),
    );
  }
  const batch = batchOf(input, limits);
  if (batch.mass) {
    sheet.line({
      symbol: 'M',
      name: 'Mass of the batch with the water added on site',
      formula: 'b + w',
      uses: { b: batch.mass.minus(batch.siteWater), w: batch.siteWater },
      unit: us ? 'lb' : 'kg',
      source: standard('ASTM C138/C138M'),
    });
  }
  const yielded =
    density && batch.mass ? yieldLines(density, batch.mass, input, limits, sheet, results, mode) : undefined;
  const air =
    density && batch.mass ? airLines(density, batch, system, limits, sheet, results, mode) : undefined;
  const values: DensityValues = {
    density,
    relativeYield: yielded?.relative,
    content: yielded?.content,
    gravimetricAir: air,
    volume,
    bad: batch.bad,
  };
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(densityFindings(input, values, setup, limits)),
    verdicts: densityVerdicts(density && roundTo(density, step, mode), system, setup, limits),
    picture: {
      kind: 'measure',
      values: {
        density: density?.toNumber() ?? null,
        relativeYield: yielded?.relative?.toNumber() ?? null,
        air: air?.toNumber() ?? null,
        meterAir: factMeasure(setup, 'measuredAir', 'percent', 'percent')?.toNumber() ?? null,
        unit: us ? 'lb/ft³' : 'kg/m³',
      },
    },
  };
}

/** The measure's volume, ft³ or m³: typed from its standardisation, else from the water that fills it. */
function measureVolume(input: DensityYieldInput, limits: Limits, sheet: Sheet): Exact | undefined {
  const typed = readMeasure(input, 'measureVolume')?.value;
  const water = readMeasure(input, 'waterMass')?.value;
  const temperature = readMeasure(input, 'waterTemperature')?.value;
  const found =
    water && temperature ? volumeLine(water, temperature, input.system, limits, sheet) : undefined;
  const volume = typed ? asComputed(typed, input.system) : found;
  return volume?.greaterThan(0) ? volume : undefined;
}

interface Batch {
  readonly mass: Exact | undefined;
  readonly materials: readonly Material[];
  readonly siteWater: Exact;
  readonly bad: readonly string[];
}

function batchOf(input: DensityYieldInput, limits: Limits): Batch {
  const { materials, bad } = batchMaterials(input.materials);
  const gallons = readMeasure(input, 'siteWater')?.value ?? exact(0);
  const siteWater = gallons.times(limits.number('delivery.gallon', input.system));
  const listed = materials.reduce((sum, each) => sum.plus(each.mass).plus(each.freeWater), exact(0));
  const typed = readMeasure(input, 'batchMass')?.value;
  const batched = typed ?? (materials.length > 0 ? listed : undefined);
  return { mass: batched?.plus(siteWater), materials, siteWater, bad };
}

function yieldLines(
  density: Exact,
  mass: Exact,
  input: DensityYieldInput,
  limits: Limits,
  sheet: Sheet,
  results: Result[],
  mode: 'half-even' | 'half-up',
): { relative?: Exact; content?: Exact } {
  const { system } = input;
  const us = system === 'US';
  const unit: UnitId = us ? 'yd3' : 'm3';
  const yieldStep = limits.number('density.yield-step', system);
  const made = sheet.line({
    symbol: 'Y',
    name: 'Yield',
    formula: us ? 'M / (27 * D)' : 'M / D',
    uses: { M: mass, D: density },
    unit,
    source: C138,
    round: { step: yieldStep, rule: `yield to ${yieldStep}` },
  });
  results.push(resultOf({ quantity: 'yield', symbol: 'Y', value: made, unit, step: yieldStep, mode }));
  const cement = readMeasure(input, 'cementitious')?.value;
  let content: Exact | undefined;
  if (cement && made.greaterThan(0)) {
    const step = limits.number('density.cement-step', system);
    content = sheet.line({
      symbol: 'C',
      name: 'Cementitious content',
      formula: 'Cb / Y',
      uses: { Cb: cement, Y: made },
      unit: us ? 'lb/yd3' : 'kg/m3',
      source: C138,
      round: { step, rule: `content to ${step}` },
    });
    results.push(
      resultOf({
        quantity: 'cementitious content',
        symbol: 'C',
        value: content,
        unit: us ? 'lb/yd3' : 'kg/m3',
        step,
        mode,
      }),
    );
  }
  const ticket = readMeasure(input, 'ticketVolume')?.value;
  const known = content ? { content } : {};
  if (!ticket?.greaterThan(0)) return known;
  const step = limits.number('density.relative-step', system);
  const relative = sheet.line({
    symbol: 'Ry',
    name: 'Relative yield',
    formula: 'Y / Yd',
    uses: { Y: made, Yd: ticket },
    unit: 'one',
    source: C138,
    round: { step, rule: `relative yield to ${step}` },
  });
  results.push(
    resultOf({ quantity: 'relative yield', symbol: 'Ry', value: relative, unit: 'one', step, mode }),
  );
  return { relative, ...known };
}

function airLines(
  density: Exact,
  batch: Batch,
  system: System,
  limits: Limits,
  sheet: Sheet,
  results: Result[],
  mode: 'half-even' | 'half-up',
): Exact | undefined {
  const { materials, siteWater, mass } = batch;
  if (materials.length === 0 || !mass?.greaterThan(0)) return undefined;
  const unit = limits.number('density.water-unit', system);
  const water = materials.reduce((sum, each) => sum.plus(each.freeWater), siteWater);
  const names = materials.map((_, index) => `m${index + 1} / r${index + 1}`);
  const uses: Record<string, Exact> = { mw: water, u: unit };
  materials.forEach((each, index) => {
    uses[`m${index + 1}`] = each.mass;
    uses[`r${index + 1}`] = each.relativeDensity;
  });
  const volume = sheet.line({
    symbol: 'V',
    name: 'Absolute volume of the materials, air-free',
    formula: `(${names.join(' + ')} + mw) / u`,
    uses,
    unit: system === 'US' ? 'ft3' : 'm3',
    source: C138,
  });
  if (!volume.greaterThan(0)) return undefined;
  const theoretical = sheet.line({
    symbol: 'T',
    name: 'Theoretical density, air-free',
    formula: 'M / V',
    uses: { M: mass, V: volume },
    unit: system === 'US' ? 'lb/ft3' : 'kg/m3',
    source: C138,
  });
  const air = sheet.line({
    symbol: 'A',
    name: 'Gravimetric air',
    formula: '100 * (T - D) / T',
    uses: { T: theoretical, D: density },
    unit: 'percent',
    source: C138,
    round: { step: '0.1', rule: 'air to 0.1 %' },
  });
  if (!air.isNegative()) {
    results.push(
      resultOf({ quantity: 'gravimetric air', symbol: 'A', value: air, unit: 'percent', step: '0.1', mode }),
    );
  }
  return air;
}

function densityVerdicts(
  rounded: Exact | undefined,
  system: System,
  setup: RunSetup,
  limits: Limits,
): Verdict[] {
  const unit: UnitId = system === 'US' ? 'lb/ft3' : 'kg/m3';
  const target = factMeasure(setup, 'density', 'density', unit);
  if (!target) return [];
  const tolerance = limits.number('density.tolerance', system);
  const label = system === 'US' ? 'lb/ft³' : 'kg/m³';
  const [low, high] = [target.minus(tolerance), target.plus(tolerance)];
  return heldWithin({
    what: 'fresh density',
    value: rounded && { number: rounded, text: `${rounded} ${label}` },
    low,
    high,
    range: `${low} to ${high} ${label} (target ${target} ± ${tolerance})`,
    source: 'project',
    outside: 'Tell the purchaser’s representative now.',
  });
}

/**
 * The yield that a claim rests on: the batch over the mean of the densities of several loads.
 * @param mass of one batch, lb or kg
 * @param densities one from each load, unrounded, lb/ft³ or kg/m³
 * @returns yield in yd³ or m³; null with fewer loads than the register asks for
 * Source: ASTM C94/C94M (from memory): the mean of at least three, one from each of three loads.
 */
export function yieldForClaim(
  mass: Exact,
  densities: readonly Exact[],
  system: System,
  limits: Limits,
): Exact | null {
  if (exact(densities.length).lessThan(limits.number('density.loads', system))) return null;
  const mean = meanOf(densities);
  return mass.div(system === 'US' ? mean.times(27) : mean);
}
