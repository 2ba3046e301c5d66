import { isWithin, type LimitId } from '../../limits';
import type { Exact } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import { rowsFor, strangerFindings } from '../batch-rows';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { MASS, massText } from '../mass-spec';
import { closedFindings } from '../opening';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { exchangedFindings } from '../swapped';
import { labelsOf } from '../tested';
import type { UnitSoakInput } from './input';

const C140 = standard('ASTM C140/C140M');

/** The last immersed and saturated mass that were read of a unit. */
function massesOf(
  input: UnitSoakInput,
  label: string,
): { immersed?: Exact; saturated?: Exact; drained?: Exact } {
  const row = rowsFor(input.units, label).at(-1);
  const of = (name: string): Exact | undefined => (row ? readMeasure(row, name)?.value : undefined);
  const [immersed, saturated, drained] = [of('immersed'), of('saturated'), of('drained')];
  return {
    ...(immersed ? { immersed } : {}),
    ...(saturated ? { saturated } : {}),
    ...(drained ? { drained } : {}),
  };
}

/**
 * Units soaked for a day, weighed under water and saturated.
 * @param input masses in lb or kg
 * @returns the volume that each displaces, as difference of the two masses
 * Source: ASTM C140/C140M 8 (from memory).
 */
export function compute(input: UnitSoakInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const unit = MASS.unit[system];
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const findings: Finding[] = [
    ...strangerFindings(input.units, 'units', setup),
    ...equipmentUse(input, { balance: 'departure' }, input.weighedAt, setup, limits),
    ...closedFindings({ from: input.inAt, done: input.outAt, limit: 'soak.time', field: 'inAt' }, setup),
  ];
  const say = (
    id: LimitId,
    label: string,
    severity: 'departure' | 'advice',
    message: string,
    action: string,
  ): void => {
    findings.push({
      ...limitFinding(
        limits,
        system,
        { id, severity, needsReason: false, fields: ['units'] },
        {
          message,
          action,
          ...(severity === 'departure' ? { remark: message } : {}),
        },
      ),
      id: `${id}.${label}`,
    });
  };
  for (const [place, label] of labelsOf(setup).entries()) {
    const { immersed, saturated, drained } = massesOf(input, label);
    if (drained && !isWithin(drained, limits.of('soak.drain', system)))
      say(
        'soak.drain',
        label,
        'departure',
        `${label} drained for ${drained} s.`,
        'Back under water for ten minutes, then a minute by the timer.',
      );
    if (!immersed || !saturated) continue;
    if (saturated.lessThanOrEqualTo(immersed)) {
      findings.push(
        finding({
          id: `soak.order.${label}`,
          severity: 'invalid',
          fields: ['units'],
          message: `${label} is no lighter under water than in air.`,
          action: 'The two masses are swapped or one is another unit’s: read both again.',
        }),
      );
      continue;
    }
    const share = immersed.div(saturated);
    if (!isWithin(share, limits.of('soak.share', system)))
      say(
        'soak.share',
        label,
        'advice',
        `${label} weighs ${share.times(100).toFixed(0)} % of its saturated mass under water.`,
        'Was the hanger tared, and did nothing touch? Weigh it under water again.',
      );
    const displaced = sheet.line({
      symbol: `V${place + 1}`,
      name: `Mass of water that ${label} displaces`,
      formula: 'Ws - Wi',
      uses: { Ws: saturated, Wi: immersed },
      unit,
      source: C140,
    });
    results.push(
      resultOf({
        quantity: 'displaced water',
        symbol: 'V',
        value: displaced,
        unit,
        step: MASS.step[system],
        mode,
        about: label,
      }),
    );
  }
  findings.push(
    ...exchangedFindings(
      labelsOf(setup).flatMap((label) => {
        const mass = massesOf(input, label).saturated;
        return mass ? [{ label, mass }] : [];
      }),
      { field: 'units', what: 'saturated', unit },
      setup,
      limits,
      system,
    ),
  );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'tank',
      values: {
        zone: setup.zone ?? 'utc',
        inAt: input.inAt ?? null,
        outAt: input.outAt ?? null,
        least: limits.of('soak.time', system).low?.toNumber() ?? null,
        most: limits.of('soak.time', system).high?.toNumber() ?? null,
        labels: labelsOf(setup).join(','),
        weighed: labelsOf(setup)
          .filter((label) => massesOf(input, label).saturated)
          .join(','),
      },
    },
  };
}

/** The two masses of one unit, each with its unit. */
export function tells(input: UnitSoakInput, label: string): { immersed?: string; saturated?: string } {
  const { immersed, saturated } = massesOf(input, label);
  if (!immersed || !saturated) return {};
  return { immersed: massText(immersed, input.system), saturated: massText(saturated, input.system) };
}
