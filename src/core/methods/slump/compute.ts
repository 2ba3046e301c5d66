import { isWithin } from '../../limits';
import { type Exact, roundTo } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import type { Outcome } from '../contract';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { shearedTwice, slumpFindings } from './findings';
import type { SlumpInput } from './input';
import { slumpVerdicts } from './range';

const SOURCE = {
  astm: standard('ASTM C143/C143M'),
  agency: standard('ASTM C143/C143M'),
  en: standard('EN 12350-2'),
  is: standard('IS 1199'),
  isrm: standard('ASTM C143/C143M'),
} as const;

/**
 * Slump of fresh concrete.
 * @param input slump in in or mm; stamps, or times in seconds or m:ss
 * @param setup limits in force with the school of the project, and the specified slump
 * @returns the slump to the school's place, findings on shape and clocks, and how it stands to the specification.
 *   A sheared or collapsed portion, or one outside the method's range, gives no result.
 * Source: ASTM C143/C143M, EN 12350-2, IS 1199; tolerances ASTM C94/C94M, EN 206 (from memory).
 */
export function compute(input: SlumpInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const read = readMeasure(input, 'slump');
  const unit = system === 'US' ? 'in' : 'mm';
  const step = limits.number('slump.step', system);
  const sheared = input.shape === 'shear' && shearedTwice(input, setup) && limits.profile === 'is';
  const applicable =
    read !== undefined &&
    (input.shape === 'true' || input.shape === undefined || sheared) &&
    // EN goes on to report beyond its range, with a remark.
    (limits.profile === 'en' || isWithin(read.value, limits.of('slump.measurable', system)));
  let rounded: Exact | undefined;
  if (read && applicable) {
    sheet.line({
      symbol: 'S',
      name: 'Slump',
      formula: 's',
      uses: { s: read.value },
      unit,
      source: SOURCE[limits.profile],
      round: { step, rule: `slump to ${step} ${unit}` },
    });
    rounded = roundTo(read.value, step, mode);
  }
  const other = system === 'US' ? 'SI' : 'US';
  return {
    results:
      read && applicable
        ? [
            resultOf({
              quantity: 'slump',
              symbol: 'S',
              value: read.value,
              unit,
              step,
              mode,
              other: { unit: other === 'US' ? 'in' : 'mm', step: limits.number('slump.step', other) },
            }),
          ]
        : [],
    lines: sheet.lines,
    findings: bySeverity(slumpFindings(input, read, setup, limits)),
    verdicts: slumpVerdicts(rounded, system, setup, limits),
    picture: {
      kind: 'slump',
      values: {
        slump: read?.value.toNumber() ?? null,
        height: limits.number('slump.mould-height', system).toNumber(),
        shape: input.shape ?? null,
        layers: limits.number('slump.layers', system).toNumber(),
        unit,
      },
    },
  };
}
