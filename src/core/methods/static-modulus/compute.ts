import { cite, isWithin, type Limits } from '../../limits';
import { nominalOf } from '../../moulds';
import { circleArea, type Exact, exact, meanOf, plainOf } from '../../quantity';
import { rangePercent } from '../../statistics';
import { bySeverity, type Finding, finding, Sheet, type Source, standard } from '../../working';
import type { Outcome, PressTest, PressUse, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { FORCE_FACTOR, meanDiameter, PRESS_FIELDS, STRESS_UNIT, specimenFindings } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { companionFindings } from './companions';
import type { StaticModulusInput } from './input';
import { type Between, type LoadingPoint, type Loadings, loadingsOf, passing } from './loadings';

const C469 = standard('ASTM C469/C469M');
const EN12390 = standard('EN 12390-13');
/** Strain of the lower point of the chord, millionths. */
const LOWER = exact(50);
const MILLION = exact(1_000_000);
/** The loadings that count: the first one seats the gauges. */
const COUNTED = [2, 3] as const;
/** Modulus that goes with a strength: 57,000 √f′c psi, 4,700 √f′c MPa. */
const RELATION = { US: '57000', SI: '4700' } as const;

/** A cylinder between its yokes: loaded and let go, never beyond 40 % of its companions. */
export const PRESS: PressUse<StaticModulusInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: { ...PRESS_FIELDS, rate: 'loadingRate' },
  test(input, setup): PressTest | undefined {
    const { system } = input;
    const limits = limitsOf(setup);
    const nominal = nominalOf(setup.specimen?.form, 'cylinder', system);
    const own = meanDiameter(input, setup);
    const diameter = own ?? nominal?.across;
    if (!diameter) return undefined;
    const area = circleArea(diameter);
    const factor = exact(FORCE_FACTOR[system]);
    const companion = readMeasure(input, 'companion')?.value;
    const upper = companion?.times(limits.number('modulus.share', system)).div(100);
    return {
      area,
      factor,
      band: limits.of('modulus.rate', system),
      from: 'start',
      expected: upper?.times(area).div(factor),
      width: diameter,
      round: true,
      height: nominal?.length,
      ends: input.ends === 'pads' ? 'pads' : 'bonded',
      measured: own !== undefined,
    };
  },
};

/** How an axial reading becomes strain, millionths: as it is, or by the geometry of the yokes. */
function strainBy(input: StaticModulusInput): ((reading: Exact) => Exact) | undefined {
  if (input.kind !== 'gauge') return (reading) => reading;
  const length = readMeasure(input, 'gaugeLength')?.value;
  if (!length || length.isZero()) return undefined;
  const [pivot, gauge] = [readMeasure(input, 'pivotArm')?.value, readMeasure(input, 'gaugeArm')?.value];
  // Equal arms: the gauge travels twice as far as the specimen shortens.
  const share = pivot && gauge ? pivot.div(pivot.plus(gauge)) : exact('0.5');
  return (reading) => reading.times(share).div(length).times(MILLION);
}

interface Chord {
  readonly cycle: number;
  readonly modulus: Exact;
  readonly poisson: Exact | undefined;
  readonly upperStrain: Exact;
}

/**
 * Static modulus of elasticity and Poisson's ratio of one cylinder, as a chord from a strain of 50 millionths to 40 %
 * of the companion strength.
 * @param input diameters in in or mm, loads in lbf or kN, strains in millionths or gauge travel in in or mm
 * @returns E as the mean of the second and third loading, to 50,000 psi [200 MPa]; ν to 0.01. In the EN school the secant
 * of the third loading between a tenth and a third of the strength, to 100 MPa
 * Source: ASTM C469/C469M (from memory): E = (S2 − S1) / (ε2 − 0.000050); EN 12390-13 (from memory).
 */
export function compute(input: StaticModulusInput, setup: RunSetup): Outcome {
  const { system } = input;
  const us = system === 'US';
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const en = limits.profile === 'en';
  const source = en ? EN12390 : C469;
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const diameter = meanDiameter(input, setup);
  const companion = readMeasure(input, 'companion')?.value;
  const strainOf = strainBy(input);
  const loadings = strainOf ? loadingsOf(input.loadings, strainOf) : undefined;
  const chords: Chord[] = [];
  if (diameter && companion && loadings) {
    const area = sheet.line({
      symbol: 'A',
      name: 'Area',
      formula: 'pi * D^2 / 4',
      uses: { D: diameter },
      unit: us ? 'in2' : 'mm2',
      source,
    });
    const upper = sheet.line({
      symbol: 'S2',
      name: 'Upper stress',
      formula: 'q * f / 100',
      uses: { q: limits.number('modulus.share', system), f: companion },
      unit: STRESS_UNIT[system],
      source,
    });
    const lower = en
      ? sheet.line({
          symbol: 'S1',
          name: 'Lower stress',
          formula: 'q * f / 100',
          uses: { q: limits.number('en/modulus.lower-share', system), f: companion },
          unit: STRESS_UNIT[system],
          source,
        })
      : undefined;
    for (const cycle of COUNTED) {
      const points = loadings.get(cycle) ?? [];
      const chord = chordOf({ sheet, cycle, points, area, upper, lower, system, source });
      if (chord) chords.push(chord);
    }
  }
  const [second, third] = chords;
  if (second && third) {
    const step = limits.number('modulus.step', system);
    const modulus = sheet.line({
      symbol: 'E',
      ...(en
        ? {
            name: 'Modulus of elasticity, stabilised: loading 3',
            formula: 'E3',
            uses: { E3: third.modulus },
            value: third.modulus,
          }
        : {
            name: 'Modulus of elasticity, mean of loadings 2 and 3',
            formula: '(E2 + E3) / 2',
            uses: { E2: second.modulus, E3: third.modulus },
            value: second.modulus.plus(third.modulus).div(2),
          }),
      unit: STRESS_UNIT[system],
      source,
      round: { step, rule: `modulus to ${step} ${STRESS_UNIT[system]}` },
    });
    const other = us ? 'SI' : 'US';
    results.push(
      resultOf({
        quantity: 'modulus of elasticity',
        symbol: 'E',
        value: modulus,
        unit: STRESS_UNIT[system],
        step,
        mode,
        other: { unit: STRESS_UNIT[other], step: limits.number('modulus.step', other) },
      }),
    );
    if (second.poisson && third.poisson) {
      const ratio = sheet.line({
        symbol: 'nu',
        name: 'Poisson’s ratio, mean of loadings 2 and 3',
        formula: '(n2 + n3) / 2',
        uses: { n2: second.poisson, n3: third.poisson },
        unit: 'one',
        source,
        round: { step: '0.01', rule: 'ratio to 0.01' },
      });
      results.push(
        resultOf({
          quantity: 'Poisson’s ratio',
          symbol: 'nu',
          value: ratio,
          unit: 'one',
          step: '0.01',
          mode,
        }),
      );
    }
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...specimenFindings(input, setup, limits),
      ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
      ...companionFindings(input, setup),
      ...modulusFindings(input, limits, {
        diameter,
        companion,
        chords,
        loadings,
      }),
    ]),
    verdicts: [],
    picture: {
      kind: 'modulus',
      values: {
        points: JSON.stringify(
          [...(loadings ?? [])].flatMap(([cycle, points]) =>
            points.map(({ load, axial }) => [cycle, axial.toNumber(), load.toNumber()]),
          ),
        ),
        upper:
          diameter && companion
            ? companion
                .times(limits.number('modulus.share', system))
                .div(100)
                .times(circleArea(diameter))
                .div(FORCE_FACTOR[system])
                .toNumber()
            : null,
        lower: LOWER.toNumber(),
        unit: us ? 'lbf' : 'kN',
      },
    },
  };
}

/** The lower end of a chord: where strain or stress passes it, and what both are there. */
interface LowerEnd {
  readonly pair: Between;
  readonly strain: Exact;
  readonly stress: Exact;
  /** How the strain stands in the formula of the modulus. */
  readonly strainText: '50' | 'e1';
}

/** In ASTM the lower end is a strain, in EN a stress: the other one is read between two readings. */
function lowerEnd(about: ChordRequest): LowerEnd | undefined {
  const { sheet, cycle, points, area, lower, system, source } = about;
  const factor = exact(FORCE_FACTOR[system]);
  const stress = (point: LoadingPoint): Exact => point.load.times(factor).div(area);
  const pair = lower ? passing(points, stress, lower) : passing(points, ({ axial }) => axial, LOWER);
  if (!pair) return undefined;
  const { below, above } = pair;
  if (lower) {
    const [sa, sb] = [stress(below), stress(above)];
    const strain = sheet.line({
      symbol: `e1_${cycle}`,
      name: `Strain at the lower stress, millionths, loading ${cycle}`,
      formula: 'ea + (eb - ea) * (S1 - sa) / (sb - sa)',
      uses: { ea: below.axial, eb: above.axial, S1: lower, sa, sb },
      unit: 'one',
      source,
    });
    return { pair, strain, stress: lower, strainText: 'e1' };
  }
  const formula = '(Pa + (Pb - Pa) * (50 - ea) / (eb - ea)) / A';
  const found = sheet.line({
    symbol: `S1_${cycle}`,
    name: `Stress at 50 millionths, loading ${cycle}`,
    formula: system === 'US' ? formula : `1000 * ${formula}`,
    uses: { Pa: below.load, Pb: above.load, ea: below.axial, eb: above.axial, A: area },
    unit: STRESS_UNIT[system],
    source,
  });
  return { pair, strain: LOWER, stress: found, strainText: '50' };
}

interface ChordRequest {
  readonly sheet: Sheet;
  readonly cycle: number;
  readonly points: readonly LoadingPoint[];
  readonly area: Exact;
  readonly upper: Exact;
  /** Stress at the lower end; undefined where the lower end is a strain. */
  readonly lower: Exact | undefined;
  readonly system: 'US' | 'SI';
  readonly source: Source;
}

/** The chord of one loading with its working; undefined where its readings do not reach both ends. */
function chordOf(about: ChordRequest): Chord | undefined {
  const { sheet, cycle, points, area, upper, system, source } = about;
  const factor = exact(FORCE_FACTOR[system]);
  const stress = (point: LoadingPoint): Exact => point.load.times(factor).div(area);
  const high = passing(points, stress, upper);
  const low = high && lowerEnd(about);
  if (!low || !high) return undefined;
  const [sa, sb] = [stress(high.below), stress(high.above)];
  const strain = sheet.line({
    symbol: `e2_${cycle}`,
    name: `Strain at the upper stress, millionths, loading ${cycle}`,
    formula: 'ea + (eb - ea) * (S2 - sa) / (sb - sa)',
    uses: { ea: high.below.axial, eb: high.above.axial, S2: upper, sa, sb },
    unit: 'one',
    source,
  });
  if (strain.lessThanOrEqualTo(low.strain)) return undefined;
  const e1: Readonly<Record<string, Exact>> = low.strainText === 'e1' ? { e1: low.strain } : {};
  const modulus = sheet.line({
    symbol: `E${cycle}`,
    name: `Chord of loading ${cycle}`,
    formula: `1000000 * (S2 - S1) / (e2 - ${low.strainText})`,
    uses: { S2: upper, S1: low.stress, e2: strain, ...e1 },
    unit: STRESS_UNIT[system],
    source,
  });
  const [la, lb] = [low.pair.below.lateral, low.pair.above.lateral];
  const [ha, hb] = [high.below.lateral, high.above.lateral];
  let poisson: Exact | undefined;
  if (la && lb && ha && hb) {
    // Where the lower end is a stress it is read along the stress: a gauge may stand still across it.
    const first = about.lower
      ? between(la, lb, about.lower, stress(low.pair.below), stress(low.pair.above))
      : between(la, lb, low.strain, low.pair.below.axial, low.pair.above.axial);
    const second = between(ha, hb, upper, sa, sb);
    poisson = sheet.line({
      symbol: `n${cycle}`,
      name: `Poisson’s ratio of loading ${cycle}`,
      formula: `(t2 - t1) / (e2 - ${low.strainText})`,
      uses: { t2: second, t1: first, e2: strain, ...e1 },
      unit: 'one',
      source,
    });
  }
  return { cycle, modulus, poisson, upperStrain: strain };
}

/** By a straight line between two readings. */
function between(from: Exact, to: Exact, at: Exact, low: Exact, high: Exact): Exact {
  return from.plus(to.minus(from).times(at.minus(low)).div(high.minus(low)));
}

function modulusFindings(
  input: StaticModulusInput,
  limits: Limits,
  found: {
    readonly diameter: Exact | undefined;
    readonly companion: Exact | undefined;
    readonly chords: readonly Chord[];
    readonly loadings: Loadings | undefined;
  },
): Finding[] {
  const { system } = input;
  const list: Finding[] = [];
  const { diameter, companion, chords, loadings } = found;
  const [second, third] = chords;
  const largest = readMeasure(input, 'maximumLoad')?.value;
  if (largest && companion && diameter) {
    const stress = largest.times(FORCE_FACTOR[system]).div(circleArea(diameter));
    if (stress.greaterThan(companion))
      list.push(
        finding({
          id: 'modulus.over-companion',
          severity: 'departure',
          needsReason: true,
          fields: ['maximumLoad', 'companion'],
          message: `The largest load is ${plainOf(stress.toSignificantDigits(3), STRESS_UNIT[system])}, more than its companion broke at.`,
          action:
            'It is loaded to two fifths of the companion: check the load, the companion’s strength and both units.',
          remark: 'Largest load not consistent with the companion’s strength.',
        }),
      );
  }
  if (input.kind === 'gauge' && !readMeasure(input, 'gaugeLength'))
    list.push(
      finding({
        id: 'modulus.gauge-length',
        severity: 'advice',
        fields: ['gaugeLength'],
        message: 'Gauge travel becomes strain only with the gauge length.',
        action: 'Type the gauge length, and the arms where they are not equal.',
      }),
    );
  if (loadings && loadings.size > 0 && companion && diameter && chords.length < 2)
    list.push(
      finding({
        id: 'modulus.loadings',
        severity: 'invalid',
        fields: ['loadings'],
        message: `Loadings 2 and 3 must each have readings on both sides of ${limits.profile === 'en' ? 'the lower' : '50 millionths'} and of the upper stress. The first loading seats the gauges and never counts.`,
        action: 'Take the missing readings, or load again.',
      }),
    );
  if (companion && diameter && loadings) {
    const area = circleArea(diameter);
    const all = [...loadings.values()].flat();
    const largest = all.reduce((most, { load }) => (load.greaterThan(most) ? load : most), exact(0));
    const share = largest.times(FORCE_FACTOR[system]).div(area).div(companion).times(100);
    const spoiled = limits.of('modulus.spoiled', system);
    if (!isWithin(share, spoiled))
      list.push(
        finding({
          id: 'modulus.spoiled',
          severity: 'invalid',
          fields: ['loadings'],
          limit: cite(spoiled),
          message: `Loaded to ${share.toFixed(1)} % of the companion strength.`,
          action: 'The specimen is spoiled for modulus: use it for strength only.',
        }),
      );
  }
  if (!second || !third) return list;
  const mean = meanOf([second.modulus, third.modulus]);
  const agree = limits.of('modulus.agree', system);
  // EN compares the strains at the upper stress, ASTM leaves it to the laboratory: we compare the chords.
  const pair =
    limits.profile === 'en' ? [second.upperStrain, third.upperStrain] : [second.modulus, third.modulus];
  const spread = rangePercent(pair) ?? exact(0);
  if (!isWithin(spread, agree))
    list.push(
      finding({
        id: 'modulus.agree',
        severity: 'invalid',
        fields: ['loadings'],
        limit: cite(agree),
        message: `Loadings 2 and 3 differ by ${spread.toFixed(1)} % of their mean: a gauge slipped.`,
        action: 'Fit the yokes again, zero, and repeat the loadings.',
      }),
    );
  if (companion) {
    const usual = limits.of('modulus.usual', system);
    const share = mean.div(companion.sqrt().times(RELATION[system]));
    if (!isWithin(share, usual))
      list.push(
        finding({
          id: 'modulus.usual',
          severity: 'advice',
          fields: ['loadings', 'companion'],
          limit: cite(usual),
          message: `${plainOf(mean.toSignificantDigits(4), STRESS_UNIT[system])} is ${share.toFixed(2)} times what usually goes with this strength.`,
          action: 'Check units, gauge length and arms; lightweight or very stiff aggregate may explain it.',
        }),
      );
  }
  for (const { poisson, cycle } of chords) {
    const usual = limits.of('modulus.poisson', system);
    if (poisson && !isWithin(poisson, usual))
      list.push(
        finding({
          id: 'modulus.poisson',
          severity: 'advice',
          fields: ['loadings'],
          limit: cite(usual),
          message: `Poisson’s ratio of loading ${cycle} is ${poisson.toFixed(2)}.`,
          action: 'Look at the lateral gauge: it may have slipped.',
        }),
      );
  }
  return list;
}
