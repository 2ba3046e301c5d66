import { cite, isWithin, type LimitId, type Limits } from '../../limits';
import { nominalOf } from '../../moulds';
import { type Exact, exact, largest, meanOf, plainOf, smallest } from '../../quantity';
import { bySeverity, type Finding, finding, type Severity, Sheet, standard } from '../../working';
import type { Outcome, PressTest, PressUse, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { type FindingWords, limitFinding } from '../limit-finding';
import {
  compressiveStrength,
  expectedStrength,
  FORCE_FACTOR,
  LENGTH_UNIT,
  PRESS_FIELDS,
  specimenFindings,
} from '../press';
import { limitsOf, type RunSetup } from '../setup';
import type { GroutPrismInput } from './input';

const C1019 = standard('ASTM C1019');

interface Size {
  readonly x: readonly [Exact, Exact];
  readonly y: readonly [Exact, Exact];
}

function sizeOf(input: GroutPrismInput): Size | undefined {
  const [x1, x2, y1, y2] = ['x1', 'x2', 'y1', 'y2'].map((field) => readMeasure(input, field)?.value);
  return x1 && x2 && y1 && y2 ? { x: [x1, x2], y: [y1, y2] } : undefined;
}

/** A grout prism in the press. */
export const PRESS: PressUse<GroutPrismInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: { ...PRESS_FIELDS, rate: 'loadingRate' },
  test(input, setup): PressTest | undefined {
    const limits = limitsOf(setup);
    const size = sizeOf(input);
    const nominal = nominalOf(setup.specimen?.form, 'grout prism', input.system);
    if (!size && !nominal) return undefined;
    const [x, y] = size
      ? [meanOf(size.x), meanOf(size.y)]
      : [nominal?.across ?? exact(1), nominal?.across ?? exact(1)];
    const area = x.times(y);
    const factor = exact(FORCE_FACTOR[input.system]);
    return {
      area,
      factor,
      band: limits.of('grout-prism.rate', input.system),
      from: 'half',
      expected: expectedStrength(setup, input.system, limits)?.times(area).div(factor),
      width: largest([x, y]),
      height: readMeasure(input, 'height')?.value ?? nominal?.length,
      ends: input.ends === 'sulfur' || input.ends === 'gypsum' ? 'bonded' : 'bare',
      measured: size !== undefined,
    };
  },
};

/**
 * Compressive strength of one grout prism.
 * @param input widths and height in in or mm, load in lbf or kN
 * @returns f = P / A over the product of the two mean widths, to 10 psi [0.1 MPa]; no factor for the height
 * Source: ASTM C1019 (from memory).
 */
export function compute(input: GroutPrismInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const size = sizeOf(input);
  const load = readMeasure(input, 'maximumLoad')?.value;
  let area: Exact | undefined;
  if (size) {
    const [x, y] = (['x', 'y'] as const).map((side) => {
      const [one, two] = size[side];
      return sheet.line({
        symbol: side,
        name: `Mean width ${side}`,
        formula: `(${side}1 + ${side}2) / 2`,
        uses: { [`${side}1`]: one, [`${side}2`]: two },
        unit: LENGTH_UNIT[system],
        source: C1019,
      });
    }) as [Exact, Exact];
    area = sheet.line({
      symbol: 'A',
      name: 'Area',
      formula: 'x * y',
      uses: { x, y },
      unit: system === 'US' ? 'in2' : 'mm2',
      source: C1019,
    });
    if (load && !load.isZero())
      results.push(
        compressiveStrength(sheet, {
          load,
          area,
          system,
          limits,
          step: 'small.step',
          mode,
          source: C1019,
          symbols: { load: 'P', strength: 'f' },
        }),
      );
  }
  const height = readMeasure(input, 'height')?.value;
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...specimenFindings(input, setup, limits),
      ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
      ...sizeFindings(input, limits, size, height),
      ...timeFindings(input, limits, area, load),
    ]),
    verdicts: [],
    picture: {
      kind: 'grout prism',
      values: {
        x: size ? meanOf(size.x).toNumber() : null,
        y: size ? meanOf(size.y).toNumber() : null,
        height: height?.toNumber() ?? null,
        capped: input.ends === 'sulfur' || input.ends === 'gypsum',
        leaning: input.square === 'no',
        broken: Boolean(load),
      },
    },
  };
}

function sizeFindings(
  input: GroutPrismInput,
  limits: Limits,
  size: Size | undefined,
  height: Exact | undefined,
): Finding[] {
  const found: Finding[] = [];
  if (!size) return found;
  const { system } = input;
  const unit = LENGTH_UNIT[system];
  const [x, y] = [meanOf(size.x), meanOf(size.y)];
  const small = smallest([x, y]);
  const hold = (
    id: LimitId,
    value: Exact,
    severity: Severity,
    fields: readonly string[],
    words: FindingWords,
  ): void => {
    if (isWithin(value, limits.of(id, system))) return;
    found.push(limitFinding(limits, system, { id, severity, beforeLoad: true, fields }, words));
  };
  hold('grout-prism.side', small, 'departure', ['x1', 'y1'], {
    message: `The prism is ${plainOf(small.toSignificantDigits(5), unit)} wide.`,
    action: 'Measure again. If it stands, build the next space wider.',
    remark: 'Prism narrower than the least width.',
  });
  hold('grout-prism.square', x.minus(y).abs().div(small).times(100), 'departure', ['x1', 'y1'], {
    message: `Its sides differ by ${x.minus(y).abs().div(small).times(100).toFixed(1)} %.`,
    action: 'Measure again. If it stands, the space between the units was not square.',
    remark: 'Sides of the prism not alike.',
  });
  if (height)
    hold('grout-prism.height', height.div(small), 'invalid', ['height'], {
      message: `It is ${height.div(small).toFixed(2)} times as high as wide.`,
      action: 'Measure again. If it stands, it is no prism of this test: no factor corrects it.',
    });
  return found;
}

/**
 * The second half by stopwatch: its mean rate against the band. A time that only older editions ask for is said, no more.
 * Source: arithmetic, r = P / (2 A t).
 */
function timeFindings(
  input: GroutPrismInput,
  limits: Limits,
  area: Exact | undefined,
  load: Exact | undefined,
): Finding[] {
  const { system } = input;
  const time = readMeasure(input, 'secondHalf')?.value;
  if (!time || time.isZero() || !area || !load || readMeasure(input, 'loadingRate')) return [];
  const band = limits.of('grout-prism.rate', system);
  const rate = load.times(FORCE_FACTOR[system]).div(area).div(2).div(time);
  if (isWithin(rate, band)) return [];
  const older = isWithin(time, limits.of('grout-prism.time', system));
  const words = `${rate.toSignificantDigits(3).toFixed()} ${system === 'US' ? 'psi/s' : 'MPa/s'}`;
  return [
    finding({
      id: 'grout-prism.rate',
      severity: older ? 'advice' : 'departure',
      fields: ['secondHalf'],
      limit: cite(band),
      message: `The second half went at ${words} on the mean${older ? ': as older editions ask, by time' : ''}.`,
      action: older
        ? 'Ask which edition the project means.'
        : 'Set the rate earlier on the next one, and leave the valve alone near the top.',
      ...(older ? {} : { remark: `Mean rate of the second half ${words}, outside ${band.text}.` }),
    }),
  ];
}
