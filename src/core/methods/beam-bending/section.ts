import type { Limits } from '../../limits';
import type { Exact, System } from '../../quantity';
import { ourChoice, type Sheet, standard } from '../../working';
import { readMeasure } from '../fields';
import { LENGTH_UNIT, STRESS_UNIT } from '../press';
import type { BeamBendingInput } from './input';

const ELASTIC = ourChoice('elastic cracked section, plane sections stay plane');

/**
 * What a cracked section with reinforcement says: depth of the zone in compression, force and stress of the bars, mean
 * bond, and the load at which shear would crack it.
 * @param M largest moment, lbf·in or N·m; @param b width and L span, in or mm
 * Source: b x²/2 = n As (ds - x), T = M / (ds - x/3); shear 2 √f′c b d psi, 0.17 √f′c b d MPa: ACI 318 (from memory).
 */
export function sectionLines(
  input: BeamBendingInput,
  sheet: Sheet,
  about: {
    readonly M: Exact;
    readonly b: Exact;
    readonly L: Exact;
    readonly limits: Limits;
    readonly system: System;
  },
): void {
  const { M, b, L, limits, system } = about;
  const us = system === 'US';
  const of = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const [As, ds, Eb, Ec, u, fc] = [
    'barArea',
    'barDepth',
    'barModulus',
    'concreteModulus',
    'barPerimeter',
    'concreteStrength',
  ].map(of);
  const length = LENGTH_UNIT[system];
  if (As && ds && Eb && Ec) {
    const n = sheet.line({
      symbol: 'n',
      name: 'Ratio of the moduli',
      formula: 'Eb / Ec',
      uses: { Eb, Ec },
      unit: 'one',
      source: ELASTIC,
      show: 4,
    });
    const x = sheet.line({
      symbol: 'x',
      name: 'Depth in compression, cracked',
      formula: '(sqrt((n * As)^2 + 2 * b * n * As * ds) - n * As) / b',
      uses: { n, As, ds, b },
      unit: length,
      source: ELASTIC,
      show: 4,
    });
    const z = sheet.line({
      symbol: 'z',
      name: 'Lever arm',
      formula: 'ds - x / 3',
      uses: { ds, x },
      unit: length,
      source: ELASTIC,
      show: 5,
    });
    // A moment in N·m is a thousand N·mm: over mm it gives kN after all, as lbf·in over in gives lbf.
    const T = sheet.line({
      symbol: 'T',
      name: 'Force in the reinforcement',
      formula: 'M / z',
      uses: { M, z },
      unit: us ? 'lbf' : 'kN',
      source: ELASTIC,
      show: 4,
    });
    sheet.line({
      symbol: 'sb',
      name: 'Stress in the reinforcement',
      formula: us ? 'T / As' : '1000 * T / As',
      uses: { T, As },
      unit: STRESS_UNIT[system],
      source: ELASTIC,
      show: 4,
    });
    if (u)
      sheet.line({
        symbol: 'tb',
        name: 'Mean bond over half of the span',
        formula: us ? 'T / (u * L / 2)' : '1000 * T / (u * L / 2)',
        uses: { T, u, L },
        unit: STRESS_UNIT[system],
        source: ELASTIC,
        show: 3,
      });
  }
  if (fc && ds)
    sheet.line({
      symbol: 'Ps',
      name: 'Load at which shear would crack it',
      formula: us ? '2 * k * sqrt(fc) * b * ds' : '2 * k * sqrt(fc) * b * ds / 1000',
      uses: { k: limits.number('bend.shear', system), fc, b, ds },
      unit: us ? 'lbf' : 'kN',
      source: standard('ACI 318'),
      show: 4,
    });
}
