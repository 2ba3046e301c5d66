import { roundTo, unitLabel } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import type { Outcome } from '../contract';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { temperatureFindings } from './findings';
import type { ConcreteTemperatureInput } from './input';
import { TEMPERATURE_UNIT, temperatureLimits, temperatureVerdicts } from './range';

/**
 * Temperature of fresh concrete.
 * @param input temperature in °F or °C, cover in in or mm, times in seconds or m:ss
 * @param setup limits in force and the project's own temperature limits
 * @returns the temperature to 1 °F [0.5 °C], findings on cover and clocks, how it stands to the limits
 * Source: ASTM C1064/C1064M (from memory).
 */
export function compute(input: ConcreteTemperatureInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const unit = TEMPERATURE_UNIT[system];
  const mode = setup.rounding ?? 'half-even';
  const step = limits.number('temperature.step', system);
  const sheet = new Sheet(mode);
  const read = readMeasure(input, 'temperature')?.value;
  if (read) {
    sheet.line({
      symbol: 'T',
      name: 'Concrete temperature',
      formula: 't',
      uses: { t: read },
      unit,
      source: standard('ASTM C1064/C1064M'),
      round: { step, rule: `temperature to ${step} ${unitLabel(unit)}` },
    });
  }
  const held = temperatureLimits(input, setup, limits);
  const rounded = read ? roundTo(read, step, mode) : undefined;
  const other = system === 'US' ? 'SI' : 'US';
  return {
    results: read
      ? [
          resultOf({
            quantity: 'concrete temperature',
            symbol: 'T',
            value: read,
            unit,
            step,
            mode,
            other: { unit: TEMPERATURE_UNIT[other], step: limits.number('temperature.step', other) },
          }),
        ]
      : [],
    lines: sheet.lines,
    findings: bySeverity(temperatureFindings(input, read, setup, limits)),
    verdicts: temperatureVerdicts(rounded, input, setup, limits),
    picture: {
      kind: 'temperature',
      values: {
        temperature: read?.toNumber() ?? null,
        maximum: held.maximum.toNumber(),
        minimum: held.minimum?.toNumber() ?? null,
        unit: unitLabel(unit),
      },
    },
  };
}
