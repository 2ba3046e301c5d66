import { cite, isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf, roundTo } from '../../quantity';
import { type Finding, finding } from '../../working';
import { consolidationFindings, disagreement, layerFindings } from '../air';
import { equipmentUse } from '../equipment-checks';
import { factMeasure } from '../facts';
import { readMeasure } from '../fields';
import type { RunSetup } from '../setup';
import type { DensityYieldInput } from './input';
import { asComputed, measureRow } from './measure-volume';

/** Values of one density test that its checks look at; lb, ft³, yd³ or kg, m³. */
export interface DensityValues {
  readonly density: Exact | undefined;
  readonly relativeYield: Exact | undefined;
  readonly gravimetricAir: Exact | undefined;
  readonly volume: Exact | undefined;
  /** Cementitious material in a yard or metre of the concrete. */
  readonly content: Exact | undefined;
  readonly bad: readonly string[];
}

/** Everything a density test is held against. */
export function densityFindings(
  input: DensityYieldInput,
  values: DensityValues,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  return [
    ...equipmentUse(input, { measure: 'departure', balance: 'departure' }, input.weighedAt, setup, limits),
    ...consolidationFindings(input, setup, limits),
    ...(input.consolidation === 'rod' ? layerFindings(input, 3, limits) : []),
    ...plateFindings(input),
    ...massFindings(input),
    ...measureFindings(input, values, setup, limits),
    ...batchFindings(input, values, limits),
    ...meterFindings(values, input, setup, limits),
    ...repeatFindings(values, input, setup, limits),
  ];
}

function plateFindings(input: DensityYieldInput): Finding[] {
  if (input.plate !== false) return [];
  return [
    finding({
      id: 'density.plate',
      severity: 'invalid',
      fields: ['plate'],
      message: 'Struck off without the flat plate: a rod leaves a dish.',
      action: 'Fill it again with unused concrete and strike off with the plate.',
    }),
  ];
}

function massFindings(input: DensityYieldInput): Finding[] {
  const empty = readMeasure(input, 'emptyMass')?.value;
  const full = readMeasure(input, 'fullMass')?.value;
  if (!empty || !full || full.greaterThan(empty)) return [];
  return [
    finding({
      id: 'density.masses',
      severity: 'invalid',
      fields: ['emptyMass', 'fullMass'],
      message: 'The full measure weighs no more than the empty one.',
      action: 'Check which is which, and the digits.',
    }),
  ];
}

function measureFindings(
  input: DensityYieldInput,
  { volume }: DensityValues,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const found: Finding[] = [];
  const nominal = readMeasure(input, 'nominalVolume')?.value;
  const share = limits.of('density.measure-share', input.system);
  if (nominal?.greaterThan(0) && volume) {
    const percent = volume.div(asComputed(nominal, input.system)).times(100);
    if (!isWithin(percent, share)) {
      found.push(
        finding({
          id: share.id,
          severity: 'invalid',
          fields: ['measureVolume', 'nominalVolume'],
          limit: cite(share),
          message: `The measure holds ${percent.toFixed(1)} % of its nominal volume.`,
          action: 'Use another measure; this one is too small for what it is called.',
        }),
      );
    }
  }
  const most = limits.of('density.measure-most', input.system);
  if (nominal?.greaterThan(0) && volume) {
    const percent = volume.div(asComputed(nominal, input.system)).times(100);
    if (!isWithin(percent, most))
      found.push(
        finding({
          id: most.id,
          severity: 'invalid',
          fields: ['measureVolume', 'nominalVolume'],
          limit: cite(most),
          message: `The measure holds ${percent.toFixed(0)} % of its nominal volume.`,
          action: 'One of the two volumes is wrong: check the digits, the unit, and which measure it is.',
        }),
      );
  }
  const aggregate = factMeasure(setup, 'aggregate', 'length', input.system === 'US' ? 'in' : 'mm');
  const row = aggregate && measureRow(aggregate, input.system);
  const size = nominal ?? readMeasure(input, 'measureVolume')?.value;
  if (row && size) {
    const limit = limits.of(row, input.system);
    // The nominal size counts: its actual volume has a rule of its own.
    if (!isWithin(size, limit)) {
      found.push(
        finding({
          id: row,
          severity: 'invalid',
          fields: [nominal ? 'nominalVolume' : 'measureVolume'],
          limit: cite(limit),
          message: `The measure is too small for an aggregate of ${plainOf(aggregate, input.system === 'US' ? 'in' : 'mm')}.`,
          action: 'Use a larger measure.',
        }),
      );
    }
  }
  return found;
}

function batchFindings(input: DensityYieldInput, values: DensityValues, limits: Limits): Finding[] {
  const found: Finding[] = [];
  if (values.bad.length > 0)
    found.push(
      finding({
        id: 'density.materials',
        severity: 'departure',
        needsReason: true,
        fields: ['materials'],
        message: `Moisture and absorption go together: ${values.bad.join(', ')}.`,
        action: 'Give both, or neither where the mass is dry. What lacks one is in no sum.',
        remark: `Not counted among the materials: ${values.bad.join(', ')}.`,
      }),
    );
  if (values.gravimetricAir?.isNegative()) {
    found.push(
      finding({
        id: 'density.negative-air',
        severity: 'invalid',
        fields: ['fullMass', 'materials'],
        message: `Gravimetric air of ${values.gravimetricAir.toFixed(2)} % is impossible.`,
        action: 'Check masses, relative densities, tare and the volume of the measure.',
      }),
    );
  }
  const usual = limits.of('density.cementitious-usual', input.system);
  const { content } = values;
  if (content && !isWithin(content, usual))
    found.push(
      finding({
        id: usual.id,
        severity: 'departure',
        needsReason: true,
        fields: ['cementitious', 'batchMass'],
        limit: cite(usual),
        message: `A content of ${plainOf(content.toSignificantDigits(4), input.system === 'US' ? 'lb/yd3' : 'kg/m3')} is that of no concrete.`,
        action:
          'Check the mass of cementitious material and of the batch: digits, and the whole batch for both.',
        remark: 'Cementitious content not plausible.',
      }),
    );
  const limit = limits.of('density.relative', input.system);
  if (values.relativeYield && !isWithin(values.relativeYield, limit)) {
    const loads = readMeasure(input, 'loads')?.value ?? exact(1);
    const enough = loads.greaterThanOrEqualTo(limits.number('density.loads', input.system));
    found.push(
      finding({
        id: limit.id,
        severity: 'advice',
        fields: ['ticketVolume', input.batchMass === undefined ? 'materials' : 'batchMass'],
        limit: cite(limit),
        message: `Relative yield ${roundTo(values.relativeYield, '0.01').toFixed(2)}: ${values.relativeYield.lessThan(1) ? 'less' : 'more'} than the ticket says.`,
        action: enough
          ? 'Look at the batch weights and the measure before anybody is told.'
          : 'Look before accusing: a claim rests on the mean of three loads, not on one.',
      }),
    );
  }
  return found;
}

function meterFindings(
  { gravimetricAir }: DensityValues,
  input: DensityYieldInput,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const meter = factMeasure(setup, 'measuredAir', 'percent', 'percent');
  if (!gravimetricAir || gravimetricAir.isNegative() || !meter) return [];
  // Both are compared as reported.
  const difference = roundTo(gravimetricAir, '0.1').minus(meter).abs();
  return disagreement(difference, input.system, limits, {
    field: 'fullMass',
    message: `Gravimetric air ${roundTo(gravimetricAir, '0.1').toFixed(1)} %, meter ${meter} %: they differ by ${difference.toFixed(1)} %.`,
    look: 'Look at tare, relative densities and moisture.',
  });
}

/** A density made again by the same operator on the same sample. */
function repeatFindings(
  values: DensityValues,
  input: DensityYieldInput,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const unit = input.system === 'US' ? 'lb/ft3' : 'kg/m3';
  const earlier = factMeasure(setup, 'earlierDensity', 'density', unit);
  const limit = limits.of('density.operator', input.system);
  if (!values.density || !earlier) return [];
  const difference = values.density.minus(earlier).abs();
  if (isWithin(difference, limit)) return [];
  return [
    finding({
      id: limit.id,
      severity: 'advice',
      fields: ['fullMass'],
      limit: cite(limit),
      message: `It differs by ${plainOf(difference.toDecimalPlaces(2), unit)} from the density before on this sample.`,
      action:
        'Look for a cause: tare, strike-off, filling. Two densities are never averaged into one result.',
    }),
  ];
}
