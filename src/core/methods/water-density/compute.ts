import { isWithin, type Limits } from '../../limits';
import { type Exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factMeasure } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import type { WaterDensityInput } from './input';

const EN = standard('EN 12390-7');
export const DENSITY = 'density by water';
const STATE = { saturated: 'saturated', received: 'as received', dry: 'oven-dry' } as const;

/**
 * Density of a specimen from its masses in air and in water, and how it stands to the fresh density of its batch.
 * @param input masses in lb or kg; the hanger’s own is taken off the mass in water where it was not tared
 * @returns D = m ρ / (m - s); of the concrete alone where what is in it is known
 * Source: EN 12390-7 5 (from memory).
 */
export function compute(input: WaterDensityInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const unit = system === 'US' ? 'lb/ft3' : 'kg/m3';
  const step = limits.number('weighed.step', system);
  const read = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const [m, hung, hanger] = ['massAir', 'massWater', 'hanger'].map(read);
  const w = limits.number('weighed.water', system);
  const s = hung && hanger && !hanger.isZero() ? own(sheet, hung, hanger, system) : hung;
  const findings: Finding[] = [];
  const results: Outcome['results'][number][] = [];
  let density: Exact | undefined;
  if (m && s && (s.greaterThanOrEqualTo(m) || s.isNegative())) findings.push(impossible(s.isNegative()));
  else if (m && s) {
    const known = concreteAlone(input, { m, s, w });
    density = sheet.line({
      symbol: 'D',
      name: `Density, ${STATE[input.moisture ?? 'received']}${known ? ', concrete alone' : ''}`,
      formula: known ? '(m - mi) / ((m - s) / w - mi / ri)' : 'm * w / (m - s)',
      uses: known ? { m, s, w, ...known } : { m, s, w },
      unit,
      source: EN,
      round: { step, rule: `to ${limits.of('weighed.step', system).text}` },
    });
    results.push(resultOf({ quantity: DENSITY, symbol: 'D', value: density, unit, step, mode: sheet.mode }));
    if (!isWithin(density, limits.of('weighed.usual', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'weighed.usual', severity: 'advice', fields: ['massAir', 'massWater'] },
          {
            message: `${plainOf(density.toSignificantDigits(4), unit)} is unusual.`,
            action: 'Read both masses again; is it a light or a heavy concrete, is something in it?',
          },
        ),
      );
    if (known && !isWithin(known.mi.div(m).times(100), limits.of('weighed.inside', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'weighed.inside', severity: 'advice', fields: ['insideMass'] },
          {
            message: `What is in it would be ${known.mi.div(m).times(100).toFixed(0)} % of it.`,
            action: 'Read its mass again: a digit too many, or the mass of all bars of the batch.',
          },
        ),
      );
    if (input.inside === 'something' && !known)
      findings.push(
        finding({
          id: 'weighed.whole',
          severity: 'departure',
          fields: ['inside', 'insideMass', 'insideDensity'],
          message: 'What is in it is weighed with it.',
          action: 'Give its mass and its density, or report the density as that of the whole.',
          remark: 'Density of the specimen with what is in it.',
        }),
      );
  }
  const fresh = factMeasure(setup, 'freshDensity', 'density', unit);
  const share = density && fresh && closure(sheet, density, fresh);
  const off = share?.minus(100);
  if (share) findings.push(...closureFindings(share, limits, system));
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { balance: 'departure' }, input.weighedAt, setup, limits),
      ...findings,
    ]),
    verdicts: [],
    picture: {
      kind: 'hung',
      values: {
        air: m ? m.toNumber() : null,
        water: s ? s.toNumber() : null,
        unit: system === 'US' ? 'lb' : 'kg',
        density: density ? plainOf(density.toSignificantDigits(4), unit) : null,
        fresh: fresh ? plainOf(fresh.toSignificantDigits(4), unit) : null,
        off: off ? off.toFixed(1) : null,
      },
    },
  };
}

function own(sheet: Sheet, hung: Exact, hanger: Exact, system: WaterDensityInput['system']): Exact {
  return sheet.line({
    symbol: 's',
    name: 'Mass in water, of itself',
    formula: 'r - h',
    uses: { r: hung, h: hanger },
    unit: system === 'US' ? 'lb' : 'kg',
    source: EN,
  });
}

/** What is in it, where its mass and its density are known and there is concrete around it. */
function concreteAlone(input: WaterDensityInput, { m, s, w }: Record<'m' | 's' | 'w', Exact>) {
  const [mi, ri] = ['insideMass', 'insideDensity'].map((name) => readMeasure(input, name)?.value);
  if (input.inside !== 'something' || !mi || !ri || mi.isZero() || mi.greaterThanOrEqualTo(m))
    return undefined;
  return m.minus(s).div(w).greaterThan(mi.div(ri)) ? { mi, ri } : undefined;
}

function impossible(floats: boolean): Finding {
  return finding({
    id: 'weighed.order',
    severity: 'invalid',
    fields: ['massAir', 'massWater', 'hanger'],
    message: floats
      ? 'The hanger weighs more than both together.'
      : 'In water it cannot weigh as much as in air.',
    action: 'Look for masses that were exchanged, a hanger that was tared already, another unit.',
  });
}

/** What it is of the fresh density of its batch, percent. Source: our choice. */
function closure(sheet: Sheet, density: Exact, fresh: Exact): Exact {
  return sheet.line({
    symbol: 'c',
    name: 'Of the fresh density of its batch',
    formula: '100 * D / Df',
    uses: { D: density, Df: fresh },
    unit: 'percent',
    source: standard('ASTM C138/C138M'),
    show: 3,
  });
}

function closureFindings(share: Exact, limits: Limits, system: WaterDensityInput['system']): Finding[] {
  const off = share.minus(100);
  const far = !isWithin(share, limits.of('weighed.far', system));
  const id = far ? 'weighed.far' : 'weighed.fresh';
  if (isWithin(share, limits.of(id, system))) return [];
  const costs = off.abs().times(limits.number('weighed.air-costs', system));
  return [
    limitFinding(
      limits,
      system,
      { id, severity: 'advice', fields: ['massAir', 'massWater'] },
      far
        ? {
            message: `It is ${off.toFixed(1)} % off the fresh density of its batch.`,
            action: 'That is no concrete of that batch, or a mass is wrong: look at both, and at the label.',
          }
        : off.isNegative()
          ? {
              message: `It is ${off.abs().toFixed(1)} % lighter than its fresh concrete was.`,
              action: `As much air more as was compacted out of the fresh concrete: about ${costs.toFixed(0)} % of strength, and the maker’s, not the mixture’s.`,
            }
          : {
              message: `It is ${off.toFixed(1)} % heavier than its fresh concrete was.`,
              action:
                'Was the fresh measure filled and struck off well, or did mortar leak out of the mould?',
            },
    ),
  ];
}
