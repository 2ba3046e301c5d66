import { isWithin } from '../../limits';
import { type Exact, largest, meanOf, plainOf, smallest } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import { rowsFor, strangerFindings } from '../batch-rows';
import type { Outcome } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { MASS, massText } from '../mass-spec';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { labelsOf } from '../tested';
import type { UnitReceivingInput } from './input';

const C140 = standard('ASTM C140/C140M');

/** The received mass of a unit, the last that was read. */
export function receivedMass(input: Pick<UnitReceivingInput, 'units'>, label: string) {
  const row = rowsFor(input.units, label).findLast((each) => readMeasure(each, 'mass'));
  const mass = row && readMeasure(row, 'mass');
  return mass ? { mass, at: row.at } : undefined;
}

/**
 * Units as they came: the mass of each, with its time.
 * @param input masses in lb or kg
 * @returns the received mass of each unit; findings on what is missing, damaged or unlike the others
 * Source: ASTM C140/C140M (from memory): weighed at once after sampling and marking.
 */
export function compute(input: UnitReceivingInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const unit = MASS.unit[system];
  const sheet = new Sheet(mode);
  const read = labelsOf(setup).flatMap((label) => {
    const found = receivedMass(input, label);
    return found ? [{ label, mass: found.mass.value }] : [];
  });
  const results = read.map(({ label, mass }) =>
    resultOf({
      quantity: 'received mass',
      symbol: 'Wr',
      value: mass,
      unit,
      step: MASS.step[system],
      mode,
      about: label,
    }),
  );
  const masses = read.map(({ mass }) => mass);
  const findings: Finding[] = [
    ...strangerFindings(input.units, 'units', setup),
    ...equipmentUse(input, { balance: 'departure' }, input.receivedAt, setup, limits),
  ];
  if (masses.length > 1) {
    const apart = sheet.line({
      symbol: 'w',
      name: 'Range of the received masses, of their mean',
      formula: '100 * (m_most - m_least) / m_mean',
      uses: { m_most: largest(masses), m_least: smallest(masses), m_mean: meanOf(masses) },
      unit: 'percent',
      source: C140,
    });
    if (!isWithin(apart, limits.of('unit.received-range', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'unit.received-range', severity: 'advice', fields: ['units'] },
          {
            message: `The masses lie ${apart.toFixed(1)} % apart: ${farthest(read, unit)} is the odd one.`,
            action: 'Look whether it is the same unit as the others, and weigh it again.',
          },
        ),
      );
  }
  const missing = labelsOf(setup).filter((label) => !read.some((each) => each.label === label));
  if (read.length > 0 && missing.length > 0)
    findings.push(
      finding({
        id: 'unit.received-missing',
        severity: 'advice',
        fields: ['units'],
        message: `Not weighed yet: ${missing.join(', ')}.`,
        action: 'Weigh them now: moisture content needs the mass as received.',
      }),
    );
  const broken = (input.units ?? []).filter(({ damage }) => damage === 'broken');
  if (broken.length > 0)
    findings.push(
      finding({
        id: 'unit.received-broken',
        severity: 'departure',
        needsReason: false,
        fields: ['units'],
        message: `Broken on the way: ${broken.map(({ specimen }) => specimen).join(', ')}.`,
        action: 'Take a spare in its place, and discard it with a photograph of it.',
        remark: `Damaged in transit: ${broken.map(({ specimen }) => specimen).join(', ')}.`,
      }),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'masses',
      values: {
        unit,
        labels: labelsOf(setup).join(','),
        masses: read.map(({ label, mass }) => `${label}=${mass.toFixed(system === 'US' ? 2 : 3)}`).join(','),
      },
    },
  };
}

/** The unit whose mass lies farthest from the mean of all. */
function farthest(
  read: readonly { readonly label: string; readonly mass: Exact }[],
  unit: 'lb' | 'kg',
): string {
  const mean = meanOf(read.map(({ mass }) => mass));
  const [odd] = read.toSorted((a, b) => b.mass.minus(mean).abs().comparedTo(a.mass.minus(mean).abs()));
  return odd ? `${odd.label} with ${plainOf(odd.mass, unit)}` : '';
}

/** What the batch says of one of its units: its received mass, with its unit. */
export function tells(input: UnitReceivingInput, label: string): { receivedMass?: string } {
  const found = receivedMass(input, label);
  return found ? { receivedMass: massText(found.mass.value, input.system) } : {};
}
