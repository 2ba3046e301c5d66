import { cite, isWithin, type Limits } from '../../limits';
import { convert, type Exact, exact, plainOf, roundTo } from '../../quantity';
import { bySeverity, type Finding, finding, isReportable, Sheet, standard } from '../../working';
import { aggregateFindings } from '../aggregate';
import { airVerdicts, compareFindings, layerFindings, sievedAir } from '../air';
import type { Outcome } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { clockFindings } from '../stamps';
import { correctionLine } from './correction';
import type { AirVolumetricInput } from './input';
import { finalReading } from './readings';

const C173 = standard('ASTM C173/C173M');
const AGAIN =
  'Make a new test on a new portion of the sample if its clock allows, else on the load’s next sample.';

/**
 * Air content by the volumetric method.
 * @param input readings of the neck in percent, alcohol in pints or litres, cups added
 * @param setup limits in force, the air that is specified
 * @returns the air content to 0.25 %; none until two readings agree, or when the alcohol is outside the table
 * Source: ASTM C173/C173M (from memory): A = R − C + W. The older way, alcohol after rolling, A = R + cups, is common
 *   practice of some agencies.
 */
export function compute(input: AirVolumetricInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const older = input.variant === 'after';
  // The older way reads to half a percent whatever school the project follows otherwise.
  const step = older
    ? limits.number('agency/air-volumetric.step', system)
    : limits.number('air-volumetric.step', system);
  const { value: reading, findings: ofReadings } = finalReading(input, limits);
  const olderReading = readMeasure(input, 'reading1')?.value;
  const findings: Finding[] = [
    ...equipmentUse(input, { meter: 'departure' }, input.readAt, setup, limits),
    ...clockFindings(input, setup, limits, [
      'air-start',
      'shake',
      'roll',
      ...(older ? [] : (['stable'] as const)),
    ]),
    ...layerFindings(input, older ? 1 : 2, limits),
    ...conditionFindings(input, limits),
    ...aggregateFindings(
      input,
      'air-volumetric.aggregate',
      'meter',
      'Wet-sieve the part for the meter over 1 in [25 mm] and give the volumes.',
      setup,
      limits,
    ),
    ...(older ? [] : ofReadings),
    ...alcoholFindings(input, limits),
  ];
  let air: Exact | undefined;
  if (older && olderReading) {
    const cups = readMeasure(input, 'alcoholCups')?.value ?? exact(0);
    air = sheet.line({
      symbol: 'A',
      name: 'Air content, alcohol added back by cups',
      formula: 'R + n',
      uses: { R: olderReading, n: cups },
      unit: 'percent',
      source: { kind: 'common practice' },
      round: { step, rule: `air to ${step} %` },
    });
  }
  const pints = pintsOf(input);
  const inTable = isReportable(alcoholFindings(input, limits));
  if (!older && reading && pints && inTable) {
    const correction = correctionLine(pints, limits, system, sheet);
    const cups = readMeasure(input, 'waterCups')?.value ?? exact(0);
    air = sheet.line({
      symbol: 'A',
      name: input.wetSieved ? 'Air of the sieved part' : 'Air content',
      formula: 'R - C + W',
      uses: { R: reading, C: correction, W: cups },
      unit: 'percent',
      source: C173,
      ...(input.wetSieved ? {} : { round: { step, rule: `air to ${step} %` } }),
    });
  }
  const full = air && input.wetSieved ? sievedAir(air, input, sheet, findings) : air && { air };
  // Without the volumes only the sieved part's air is known, and that cannot be below zero either.
  const negative = (full === undefined ? air : full?.air)?.isNegative() ?? false;
  if (negative) findings.push(negativeFinding());
  const result = negative ? undefined : full?.air;
  return {
    results: result
      ? [resultOf({ quantity: 'air content', symbol: 'A', value: result, unit: 'percent', step, mode })]
      : [],
    lines: sheet.lines,
    findings: bySeverity([
      ...findings,
      ...compareFindings(result, older ? 'reading1' : 'reading2', system, setup, limits),
    ]),
    verdicts: airVerdicts(result && roundTo(result, step, mode), system, setup, limits),
    picture: {
      kind: 'neck',
      values: {
        level:
          (older ? olderReading : (reading ?? readMeasure(input, 'reading1')?.value))?.toNumber() ?? null,
        scale: limits.number('air-volumetric.scale', system).toNumber(),
        foam: readMeasure(input, 'foam')?.value.toNumber() ?? null,
        correction: null,
        air: result?.toNumber() ?? null,
      },
    },
  };
}

function pintsOf(input: AirVolumetricInput): Exact | undefined {
  const alcohol = readMeasure(input, 'alcohol');
  return alcohol && convert(alcohol.value, alcohol.unit, 'pt');
}

function alcoholFindings(input: AirVolumetricInput, limits: Limits): Finding[] {
  if (input.variant !== 'before') return [];
  const alcohol = readMeasure(input, 'alcohol');
  const limit = limits.of('air-volumetric.alcohol', input.system);
  if (!alcohol) {
    if (!input.reading2) return [];
    return [
      finding({
        id: 'air-volumetric.alcohol-unrecorded',
        severity: 'invalid',
        fields: ['alcohol'],
        message: 'The amount of alcohol was not recorded: the correction cannot be known.',
        action: 'Enter it if it was measured; otherwise make a new test.',
      }),
    ];
  }
  if (isWithin(alcohol.value, limit)) return [];
  const over = limit.high !== undefined && alcohol.value.greaterThan(limit.high);
  return [
    finding({
      id: 'air-volumetric.alcohol',
      severity: over ? 'invalid' : 'advice',
      fields: ['alcohol'],
      limit: cite(limit),
      message: `${plainOf(alcohol.value, alcohol.unit)} of alcohol is ${over ? 'beyond' : 'less than'} what the table covers.`,
      action: over
        ? 'The correction is not known: use another method.'
        : 'Check the amount; too little leaves foam.',
    }),
  ];
}

function conditionFindings(input: AirVolumetricInput, limits: Limits): Finding[] {
  const found: Finding[] = [];
  const foam = readMeasure(input, 'foam')?.value;
  const limit = limits.of('air-volumetric.foam', input.system);
  if (foam && !isWithin(foam, limit)) {
    found.push(
      finding({
        id: 'air-volumetric.foam',
        severity: 'invalid',
        fields: ['foam'],
        limit: cite(limit),
        message: `The foam stands ${foam} divisions above the liquid.`,
        action: `Discard it: more alcohol is needed. ${AGAIN}`,
      }),
    );
  }
  return found;
}

function negativeFinding(): Finding {
  return finding({
    id: 'air-volumetric.negative',
    severity: 'invalid',
    fields: ['reading2', 'alcohol'],
    message: 'The correction is larger than the reading: air cannot be below zero.',
    action: 'Check the readings and the amount of alcohol.',
  });
}
