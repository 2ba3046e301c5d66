import { isWithin, type Limits } from '../../limits';
import { type Exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, Sheet, standard } from '../../working';
import { bendFindings, bendPicture, fibreFactor, forceAt, meanSizes } from '../bend/base';
import type { Outcome } from '../contract';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { FORCE_UNIT, LENGTH_UNIT, STRESS_UNIT } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { drivenBy, placesOf } from './driven';
import type { ResidualBeamInput } from './input';

const C1399 = standard('ASTM C1399/C1399M');
export const RESIDUAL = 'average residual strength';
const LOADS = ['loadA', 'loadB', 'loadC', 'loadD'] as const;

/**
 * Average residual strength of a fibre beam that was cracked over a plate: the mean of four loads of the second loading.
 * @param input sizes in in or mm; loads by its record, else as they were read off, lbf or kN
 * @returns k (PA + PB + PC + PD) / 4 with k = L / (b d²); nothing until all four are known
 * Source: ASTM C1399/C1399M 10 (from memory).
 */
export function compute(input: ResidualBeamInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const bend = setup.loadLog?.bend;
  const { b, d } = meanSizes(sheet, input, { source: C1399, limits, system });
  const L = readMeasure(input, 'span')?.value;
  const driven = drivenBy(input, limits);
  const recorded = placesOf(input).map((at) => forceAt(bend, at, system));
  const step = limits.number('bend.step', system);
  const [PA, PB, PC, PD] = LOADS.map((name, index) => recorded[index] ?? readMeasure(input, name)?.value);
  const results: Outcome['results'][number][] = [];
  if (b && d && L && PA && PB && PC && PD) {
    const value = sheet.line({
      symbol: 'ARS',
      name: 'Average residual strength',
      formula: `${fibreFactor(system)}(PA + PB + PC + PD) / 4 * L / (b * d^2)`,
      uses: { PA, PB, PC, PD, L, b, d },
      unit: STRESS_UNIT[system],
      source: C1399,
      round: { step, rule: `to ${limits.of('bend.step', system).text}` },
    });
    results.push(
      resultOf({
        quantity: RESIDUAL,
        symbol: 'ARS',
        value,
        unit: STRESS_UNIT[system],
        step,
        mode: sheet.mode,
      }),
    );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...bendFindings(input, setup, { limits, bend, driven, whole: false }),
      ...sizeFindings(input, { d, L }, limits),
      ...placeFindings(input, L, limits),
      ...readingFindings(input, recorded, limits),
    ]),
    verdicts: [],
    picture: bendPicture(input, bend, driven.marks),
  };
}

/** Sizes that this method is for, and how far the first loading went. */
function sizeFindings(
  input: ResidualBeamInput,
  { d, L }: { readonly d: Exact | undefined; readonly L: Exact | undefined },
  limits: Limits,
): Finding[] {
  const { system } = input;
  const unit = LENGTH_UNIT[system];
  const held = (
    id: 'residual.depth' | 'residual.span' | 'residual.plate' | 'residual.most',
    value: Exact | undefined,
    field: string,
    words: (said: string) => string,
    severity: 'departure' | 'invalid' = 'departure',
  ): Finding[] => {
    if (!value || isWithin(value, limits.of(id, system))) return [];
    const message = words(plainOf(value.toSignificantDigits(4), unit));
    return [
      limitFinding(
        limits,
        system,
        { id, severity, fields: [field], ...(severity === 'departure' ? { needsReason: true } : {}) },
        {
          message,
          action:
            'The loads are read at fixed deflections: they say this of this beam over this plate alone.',
          ...(severity === 'departure' ? { remark: message } : {}),
        },
      ),
    ];
  };
  const first = readMeasure(input, 'firstTo')?.value;
  return [
    ...held('residual.depth', d, 'depth1', (said) => `The beam is ${said} deep.`),
    ...held('residual.span', L, 'span', (said) => `The span is ${said}.`),
    ...held(
      'residual.plate',
      readMeasure(input, 'plateThick')?.value,
      'plateThick',
      (said) => `The plate is ${said} thick.`,
    ),
    ...held(
      'residual.most',
      first,
      'firstTo',
      (said) => `Over its plate it was taken to ${said}.`,
      'invalid',
    ),
    ...(first &&
    isWithin(first, limits.of('residual.most', system)) &&
    first.greaterThan(limits.number('residual.first', system))
      ? [
          limitFinding(
            limits,
            system,
            { id: 'residual.first', severity: 'departure', fields: ['firstTo'] },
            {
              message: `The first loading went on to ${plainOf(first, unit)}.`,
              action: 'Allowed where it had not cracked before: say so with the beam.',
              remark: `First loading to ${plainOf(first, unit)}.`,
            },
          ),
        ]
      : []),
  ];
}

/** A crack too far outside the middle third is no test. */
function placeFindings(input: ResidualBeamInput, L: Exact | undefined, limits: Limits): Finding[] {
  const place = readMeasure(input, 'place')?.value;
  if (!place || !L) return [];
  const out = L.div(3).minus(place).div(L).times(100);
  if (isWithin(out, limits.of('residual.outside', input.system))) return [];
  return [
    limitFinding(
      limits,
      input.system,
      { id: 'residual.outside', severity: 'invalid', fields: ['place'] },
      { message: 'It cracked too far outside the middle third.', action: 'Discard it and say so.' },
    ),
  ];
}

/** Loads read off that are not those of the record. */
function readingFindings(
  input: ResidualBeamInput,
  recorded: readonly (Exact | undefined)[],
  limits: Limits,
): Finding[] {
  const { system } = input;
  const most = limits.of('bend.agrees', system);
  return LOADS.flatMap((name, index) => {
    const [own, of] = [readMeasure(input, name)?.value, recorded[index]];
    if (!own || !of || of.isZero()) return [];
    const off = own.minus(of).abs().div(of).times(100);
    if (isWithin(off, most)) return [];
    return [
      limitFinding(
        limits,
        system,
        { id: 'bend.agrees', severity: 'advice', fields: [name] },
        {
          message: `Read off ${plainOf(own, FORCE_UNIT[system])}, the record has ${plainOf(of.toSignificantDigits(4), FORCE_UNIT[system])}.`,
          action: 'The record counts. Was the deflection set to nought again, is it this beam’s file?',
        },
      ),
    ];
  });
}
