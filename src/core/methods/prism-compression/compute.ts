import { isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, meanOf, plainOf, type System, smallest } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, PressTest, PressUse, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factMeasure, factText } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { capsFindings } from '../masonry-press/caps';
import { machineFindings, plateFindings } from '../masonry-press/machine';
import { bandFor, expectedLoad, loadOn, wedge } from '../masonry-press/rates';
import { secondHalf, timeFindings } from '../masonry-press/time';
import { resultOf } from '../outcome';
import { FORCE_FACTOR, FORCE_UNIT, LENGTH_UNIT, PRESS_FIELDS, STRESS_UNIT, specimenFindings } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { MODES, type PrismCompressionInput } from './input';

const C1314 = standard('ASTM C1314');
const ROW = 'unit.second-half';

/** The factor by height over thickness, at the rows of its table. */
const FACTORS: readonly (readonly [at: string, row: LimitId])[] = [
  ['1.3', 'prism.f-1.3'],
  ['1.5', 'prism.f-1.5'],
  ['2.0', 'prism.f-2.0'],
  ['2.5', 'prism.f-2.5'],
  ['3.0', 'prism.f-3.0'],
  ['4.0', 'prism.f-4.0'],
  ['5.0', 'prism.f-5.0'],
];

interface Sizes {
  readonly length: Exact;
  readonly width: Exact;
}

/** Mean length and width of both faces; undefined while one is missing. */
function sizesOf(input: PrismCompressionInput): Sizes | undefined {
  const of = (side: 'length' | 'width'): Exact | undefined => {
    const all = ['Top', 'Bottom'].flatMap((face) => readMeasure(input, `${side}${face}`)?.value ?? []);
    return all.length === 2 ? meanOf(all) : undefined;
  };
  const [length, width] = [of('length'), of('width')];
  return length && width ? { length, width } : undefined;
}

/** The area that the load is divided by, and why. */
function areaOf(input: PrismCompressionInput, setup: RunSetup): { area: Exact; net: boolean } | undefined {
  const net = factText(setup, 'built') === 'hollow';
  const own = readMeasure(input, 'netArea')?.value;
  if (net) return own && { area: own, net };
  const sizes = sizesOf(input);
  return sizes && { area: sizes.length.times(sizes.width), net };
}

/** Strength of a prism that the strength of masonry asks for: the factor taken back; psi or MPa. */
function asked(setup: RunSetup, system: System): Exact | undefined {
  return factMeasure(setup, 'masonryStrength', 'stress', STRESS_UNIT[system]);
}

/** The two rows around a ratio and the factor between them as a line; undefined outside the table. */
export function heightFactor(ratio: Exact, limits: Limits, sheet: Sheet): Exact | undefined {
  const outside = (['prism.least', 'prism.most'] as const).some(
    (id) => !isWithin(ratio, limits.of(id, 'US')),
  );
  if (outside) return undefined;
  const above = Math.max(
    1,
    FACTORS.findIndex(([at]) => exact(at).greaterThanOrEqualTo(ratio)),
  );
  const [one, two] = [FACTORS[above - 1], FACTORS[above]];
  if (!one || !two) return undefined;
  return sheet.line({
    symbol: 'F',
    name: 'Factor for height over thickness, between the rows around it',
    formula: 'F1 + (F2 - F1) * (q - q1) / (q2 - q1)',
    uses: {
      F1: limits.number(one[1], 'US'),
      F2: limits.number(two[1], 'US'),
      q: ratio,
      q1: exact(one[0]),
      q2: exact(two[0]),
    },
    unit: 'one',
    source: C1314,
    round: {
      step: limits.number('prism.factor-step', 'US'),
      rule: 'for reading; the unrounded factor is used',
    },
  });
}

/** A masonry prism in the press. */
export const PRESS: PressUse<PrismCompressionInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: PRESS_FIELDS,
  test(input, setup): PressTest | undefined {
    const { system } = input;
    const limits = limitsOf(setup);
    const bearing = areaOf(input, setup);
    const expected = bearing && expectedLoad(bearing.area, asked(setup, system), setup, system, limits);
    if (!expected) return undefined;
    return {
      area: bearing.area,
      factor: exact(FORCE_FACTOR[system]),
      band: bandFor(expected, ROW, limits, system),
      from: 'half',
      halves: limits.of(ROW, system),
      expected,
      height: readMeasure(input, 'height')?.value,
      ends: 'bonded',
      measured: true,
    };
  },
};

/**
 * Strength of masonry by one prism.
 * @param input sizes in in or mm, load in lbf or kN
 * @returns the strength of the prism, and with the factor for its height that of the masonry
 * Source: ASTM C1314 (from memory): f = P / A; masonry strength = F f.
 */
export function compute(input: PrismCompressionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const step = limits.number('unit.strength-step', system);
  const unit = STRESS_UNIT[system];
  const sizes = sizesOf(input);
  const bearing = areaOf(input, setup);
  const height = readMeasure(input, 'height')?.value;
  const load = readMeasure(input, 'maximumLoad')?.value;
  const round = { step, rule: `strength to ${step} ${unit}` };
  const ratio =
    sizes && height
      ? sheet.line({
          symbol: 'q',
          name: 'Height over thickness',
          formula: 'h / t',
          uses: { h: height, t: smallest([sizes.length, sizes.width]) },
          unit: 'one',
          source: C1314,
        })
      : undefined;
  const factor = ratio && heightFactor(ratio, limits, sheet);
  const findings: Finding[] = [
    ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
    ...specimenFindings(input, setup, limits),
    ...capsFindings(input, setup, limits),
    ...unbaggedFindings(input, limits),
  ];
  if (ratio && !factor)
    findings.push(
      limitFinding(
        limits,
        system,
        {
          id: ratio.lessThan(2) ? 'prism.least' : 'prism.most',
          severity: 'invalid',
          beforeLoad: true,
          fields: ['height'],
        },
        {
          message: `It is ${ratio.toFixed(2)} times as high as thick.`,
          action: 'Measure again. If it stands, no factor corrects it: build prisms of other courses.',
        },
      ),
    );
  if (factText(setup, 'built') === 'hollow' && !readMeasure(input, 'netArea'))
    findings.push(
      finding({
        id: 'prism.net-unknown',
        severity: 'departure',
        needsReason: true,
        fields: ['netArea'],
        message: 'The net area of its units is not known.',
        action:
          'Take the mean net area of the dried units from their own test: gross area reads far too low.',
        remark: 'Net area of the units not known.',
      }),
    );
  let strength: Exact | undefined;
  if (bearing && load && !load.isZero()) {
    const area = sheet.line({
      symbol: 'A',
      name: bearing.net ? 'Net area of its units' : 'Gross area',
      formula: bearing.net ? 'An' : 'L * W',
      uses: bearing.net || !sizes ? { An: bearing.area } : { L: sizes.length, W: sizes.width },
      unit: system === 'US' ? 'in2' : 'mm2',
      source: C1314,
    });
    const own = sheet.line({
      symbol: 'fp',
      name: 'Strength of the prism',
      formula: system === 'US' ? 'P / A' : '1000 * P / A',
      uses: { P: load, A: area },
      unit,
      source: C1314,
      round,
    });
    const bound = input.unbroken ? { bound: 'at least' as const } : {};
    if (factor) {
      strength = sheet.line({
        symbol: 'fm',
        name: 'Strength of the masonry',
        formula: 'F * fp',
        uses: { F: factor, fp: own },
        unit,
        source: C1314,
        round,
      });
      results.push(
        resultOf({ quantity: 'masonry strength', symbol: 'fm', value: strength, unit, step, mode, ...bound }),
      );
    }
    results.push(
      resultOf({ quantity: 'prism strength', symbol: 'fp', value: own, unit, step, mode, ...bound }),
    );
  }
  const stress = asked(setup, system);
  const loads = bearing && {
    area: bearing.area,
    expected: expectedLoad(bearing.area, stress, setup, system, limits),
    required: loadOn(bearing.area, stress, system),
  };
  findings.push(
    ...machineFindings(input, setup, loads, limits),
    ...plateFindings(input, sizes ?? {}, setup, limits),
    ...timeFindings(input, { row: ROW, first: 'departure', strength, floor: stress }, setup, limits),
  );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'prism in the press',
      values: {
        courses: Number(factText(setup, 'courses') ?? 2),
        length: sizes?.length.toNumber() ?? null,
        width: sizes?.width.toNumber() ?? null,
        height: height?.toNumber() ?? null,
        ratio: ratio?.toNumber() ?? null,
        factor: factor?.toNumber() ?? null,
        area: bearing?.area.toNumber() ?? null,
        open: null,
        load: load?.toNumber() ?? null,
        force: FORCE_UNIT[system],
        areaUnit: system === 'US' ? 'in2' : 'mm2',
        unit: LENGTH_UNIT[system],
        mode: input.mode ? MODES[input.mode] : null,
        broken: Boolean(load),
        secondHalf: secondHalf(input, setup)?.toNumber() ?? null,
        ...wedge(loads, ROW, system, limits),
      },
    },
  };
}

/** It dries for two days in the air of the laboratory before it is broken. */
function unbaggedFindings(input: PrismCompressionInput, limits: Limits): Finding[] {
  const hours = (Date.parse(input.testedAt ?? '') - Date.parse(input.unbaggedAt ?? '')) / 3_600_000;
  if (Number.isNaN(hours) || exact(hours).greaterThanOrEqualTo(limits.number('prism.unbag', 'US'))) return [];
  return [
    finding({
      id: 'prism.unbag',
      severity: 'departure',
      needsReason: false,
      fields: ['unbaggedAt'],
      message: `It was out of its bag for ${plainOf(exact(hours).toDecimalPlaces(1), 'h')}.`,
      action: 'Two days before the test: wetter it breaks lower.',
      remark: `Out of its bag ${exact(hours).toFixed(0)} h before the test.`,
    }),
  ];
}
