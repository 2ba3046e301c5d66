import { cite, isWithin, type Limits } from '../../limits';
import { convert, type Exact, exact, plainOf, roundTo } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import { airConformity, compareFindings, fullMixtureAir, layerFindings } from '../air';
import type { Outcome } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup, setupMeasure } from '../setup';
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
    ...conditionFindings(input, setup, limits),
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
      value: olderReading.plus(cups),
      unit: 'percent',
      source: { kind: 'common practice' },
      round: { step, rule: `air to ${step} %` },
    });
  }
  const pints = pintsOf(input);
  const inTable = alcoholFindings(input, limits).every(({ severity }) => severity !== 'invalid');
  if (!older && reading && pints && inTable) {
    const correction = correctionLine(pints, limits, system, sheet);
    const cups = readMeasure(input, 'waterCups')?.value ?? exact(0);
    air = sheet.line({
      symbol: 'A',
      name: input.wetSieved ? 'Air of the sieved part' : 'Air content',
      formula: 'R - C + W',
      uses: { R: reading, C: correction, W: cups },
      value: reading.minus(correction).plus(cups),
      unit: 'percent',
      source: C173,
      ...(input.wetSieved ? {} : { round: { step, rule: `air to ${step} %` } }),
    });
  }
  const sieved = input.wetSieved === true;
  const whole = readMeasure(input, 'wholeVolume')?.value;
  const retained = readMeasure(input, 'retainedVolume')?.value;
  const full = air && sieved && whole && retained ? fullMixtureAir(air, { whole, retained }, sheet) : air;
  if (full === null || (air && sieved && !(whole && retained))) findings.push(sievedFinding(full === null));
  const negative = full?.isNegative() ?? false;
  if (negative) findings.push(negativeFinding());
  const result = full && !negative && !(sieved && !(whole && retained)) ? full : undefined;
  return {
    results: result
      ? [resultOf({ quantity: 'air content', symbol: 'A', value: result, unit: 'percent', step, mode })]
      : [],
    lines: sheet.lines,
    findings: bySeverity([
      ...findings,
      ...compareFindings(result, older ? 'reading1' : 'reading2', system, setup, limits),
    ]),
    conformity: airConformity(result && roundTo(result, step, mode), system, setup, limits),
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

function conditionFindings(input: AirVolumetricInput, setup: RunSetup, limits: Limits): Finding[] {
  const found: Finding[] = [];
  const bad = (id: string, field: string, message: string, action = AGAIN): void =>
    void found.push(finding({ id, severity: 'invalid', fields: [field], message, action }));
  if (input.leaked === 'yes')
    bad(
      'air-volumetric.leak',
      'leaked',
      'Liquid leaked: the reading is too high.',
      `Clean flange and gasket. ${AGAIN}`,
    );
  if (input.stuck === 'yes')
    bad(
      'air-volumetric.stuck',
      'stuck',
      'Packed concrete was left in the bowl: not all of its air came out.',
    );
  if (input.zeroed === false)
    bad('air-volumetric.zero', 'zeroed', 'The level was not set to zero before rolling.');
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
  const largest = limits.of('air-volumetric.aggregate', input.system);
  const aggregate = setupMeasure(setup.sample?.aggregate, 'length', largest.unit);
  if (aggregate && !isWithin(aggregate, largest) && input.wetSieved !== true) {
    found.push(
      finding({
        id: 'air-volumetric.aggregate',
        severity: 'invalid',
        fields: ['wetSieved'],
        limit: cite(largest),
        message: `The aggregate of this mix, ${plainOf(aggregate, largest.unit)}, is too large for the meter.`,
        action: 'Wet-sieve the part for the meter over 1 in [25 mm] and give the volumes.',
      }),
    );
  }
  return found;
}

function sievedFinding(impossible: boolean): Finding {
  return finding({
    id: 'air.sieved-volumes',
    severity: impossible ? 'invalid' : 'advice',
    fields: ['wholeVolume', 'retainedVolume'],
    message: impossible
      ? 'The aggregate on the sieve cannot be as much as the whole mixture.'
      : 'The air of a wet-sieved part is not that of the mixture.',
    action: 'Enter the absolute volumes of the mixture and of the aggregate on the sieve, in one unit.',
  });
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
