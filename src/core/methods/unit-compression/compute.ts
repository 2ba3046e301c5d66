import type { Limits } from '../../limits';
import type { Exact, System } from '../../quantity';
import { bySeverity, commonPractice, type Finding, finding, numbered, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factOption, factText, factTexts } from '../facts';
import { readMeasure } from '../fields';
import { cappedFrom, capsFindings } from '../masonry-press/caps';
import { couponFindings } from '../masonry-press/coupon';
import { type Loads, machineFindings, plateFindings } from '../masonry-press/machine';
import { wedge } from '../masonry-press/rates';
import { loadedBy, normalised, schoolFindings } from '../masonry-press/school';
import { secondHalf, timeFindings } from '../masonry-press/time';
import { resultOf } from '../outcome';
import { FORCE_UNIT, STRESS_UNIT, zeroFindings } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { specifiedSizes } from '../unit-absorption/compute';
import { meanSide, variationResults, variations } from '../unit-absorption/measured';
import { OTHER_AREA, SAWN, type Sawn } from '../unit-sawing/what-to-saw';
import {
  type BearingArea,
  bearingArea,
  expectedLoad,
  isCoupon,
  isCut,
  required,
  requiredLoad,
  sizesOf,
} from './area';
import type { UnitCompressionInput } from './input';

const C140 = standard('ASTM C140/C140M');

/**
 * Net and gross strength of a masonry unit.
 * @param input sizes in in or mm, load in lbf or kN; the net area is that of the set’s dried units, as a fact
 * @returns the net strength, provisional while the area is an estimate, at least so much where the machine was at its end
 * Source: ASTM C140/C140M 7 and 9 (from memory).
 */
export function compute(input: UnitCompressionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const us = system === 'US';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const step = limits.number('unit.strength-step', system);
  const areaUnit = us ? 'in2' : 'mm2';
  const [width, length] = [meanSide(input, 'width'), meanSide(input, 'length')];
  const bearing = bearingArea(input, setup, limits);
  const loads = bearing && loadsOn(bearing, setup, system, limits);
  const load = readMeasure(input, 'maximumLoad')?.value;
  const area = bearing && areaLine(sheet, bearing, areaUnit, limits.number('unit.area-step', system));
  const strength = (symbol: string, name: string, on: string, of: Exact, P: Exact): Exact =>
    sheet.line({
      symbol,
      name,
      formula: us ? `P / ${on}` : `1000 * P / ${on}`,
      uses: { P, [on]: of },
      unit: STRESS_UNIT[system],
      source: C140,
      round: { step, rule: `strength to ${step} ${STRESS_UNIT[system]}` },
    });
  const give = (quantity: string, symbol: string, value: Exact, provisional?: string): void => {
    results.push(
      resultOf({
        quantity,
        symbol,
        value,
        unit: STRESS_UNIT[system],
        step,
        mode,
        ...(input.unbroken ? { bound: 'at least' as const } : {}),
        ...(provisional ? { provisional } : {}),
      }),
    );
  };
  const school = loadedBy(setup);
  const normal = { height: meanSide(input, 'height'), width };
  let net: Exact | undefined;
  if (area && !school && load && !load.isZero()) {
    net = strength('f', bearing.open ? 'Net strength, area not settled' : 'Net strength', 'An', area, load);
    give('net compressive strength', 'f', net, bearing.open);
  }
  if (width && length && load && !load.isZero()) {
    const gross = sheet.line({
      symbol: 'Ag',
      name: 'Gross area',
      formula: 'L * W',
      uses: { L: length, W: width },
      unit: areaUnit,
      source: C140,
    });
    const fg = strength('fg', 'Gross strength', 'Ag', gross, load);
    give('gross compressive strength', 'fg', fg);
    const fb = school === 'en' && normalised(sheet, { symbol: 'fg', value: fg }, normal, input, limits);
    if (fb) give('normalised strength', 'fb', fb);
  }
  // What is sawn has no specified sizes of its own.
  const off = isCut(setup) ? [] : variations(input, specifiedSizes(setup, system));
  results.push(...variationResults(off, input, limits, mode));
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
      ...zeroFindings(input),
      ...(school
        ? schoolFindings(school, normal, input, limits)
        : [...conditionFindings(setup), ...capsFindings(input, setup, limits)]),
      ...(isCoupon(setup)
        ? couponFindings(
            { thickness: meanSide(input, 'width'), ...normal, length: meanSide(input, 'length') },
            ['width1', 'height1', 'length1'],
            { limits, system, beforeLoad: true },
          )
        : shapeFindings(setup)),
      ...sawnFindings(setup),
      ...machineFindings(input, setup, loads, limits),
      ...plateFindings(input, sizesOf(input, setup), setup, limits),
      ...(school
        ? []
        : timeFindings(
            input,
            {
              row: 'unit.second-half',
              first: 'advice',
              strength: net,
              floor: required(setup, 'each', system, limits),
            },
            setup,
            limits,
          )),
    ]),
    verdicts: [],
    picture: {
      kind: 'unit in the press',
      values: {
        width: width?.toNumber() ?? null,
        height: meanSide(input, 'height')?.toNumber() ?? null,
        length: length?.toNumber() ?? null,
        area: bearing?.area.toNumber() ?? null,
        open: bearing?.open ?? null,
        load: load?.toNumber() ?? null,
        force: FORCE_UNIT[system],
        areaUnit,
        gross: Boolean(school),
        broken: Boolean(load),
        secondHalf: secondHalf(input, setup)?.toNumber() ?? null,
        ...(school ? {} : wedge(loads, 'unit.second-half', system, limits)),
      },
    },
  };
}

function loadsOn({ area }: BearingArea, setup: RunSetup, system: System, limits: Limits): Loads {
  return {
    area,
    expected: expectedLoad(area, setup, system, limits),
    required: requiredLoad(area, setup, system, limits),
  };
}

/** The area as a line of the sheet: the mean of the dried units, or the estimate as it stands. */
function areaLine(sheet: Sheet, bearing: BearingArea, unit: 'in2' | 'mm2', step: Exact): Exact {
  const round = { step, rule: 'for reading; the unrounded area is used' };
  const { area, of, own, gross } = bearing;
  if (gross) return area;
  if (own)
    return sheet.line({
      symbol: 'An',
      name: 'Area of the coupon',
      formula: 'L * t',
      uses: { L: own.L, t: own.t },
      unit,
      source: C140,
      round,
    });
  const uses = numbered('A', of);
  return of.length > 0
    ? sheet.line({
        symbol: 'An',
        name: 'Mean net area of the dried units',
        formula: `(${Object.keys(uses).join(' + ')}) / ${of.length}`,
        uses,
        unit,
        source: C140,
        round,
      })
    : sheet.line({
        symbol: 'An',
        name: 'Net area, estimated by the usual share of solid',
        formula: 'A_est',
        uses: { A_est: area },
        unit,
        round,
        source: commonPractice,
      });
}

/** A unit is capped only after it was conditioned. */
function conditionFindings(setup: RunSetup): Finding[] {
  const over = factText(setup, 'conditionedAt');
  const capped = cappedFrom(setup);
  const about = { beforeLoad: true, fields: ['moisture'] } as const;
  const [sawnAt, from] = ['sawnAt', 'conditionedFrom'].map((name) => Date.parse(factText(setup, name) ?? ''));
  // Neither is a number while it is not known: then no comparison holds.
  const after = Number(from) >= Number(sawnAt);
  if (factText(setup, 'saw') === 'wet' && !after)
    return [
      finding({
        ...about,
        id: 'unit.sawn-wet',
        severity: 'invalid',
        message: 'It was sawn wet, and not conditioned again since.',
        action: 'Back to the room for two days, or before the fan; then it is capped.',
      }),
    ];
  if (over === undefined)
    return [
      finding({
        ...about,
        id: 'unit.conditioning-unknown',
        severity: 'departure',
        needsReason: true,
        message: 'Its conditioning is not on record.',
        action: 'Two days in the room, or the fan with its weighings, before it is capped.',
        remark: 'Conditioning before capping not on record.',
      }),
    ];
  if (!capped || Date.parse(capped) >= Date.parse(over)) return [];
  return [
    finding({
      ...about,
      id: 'unit.conditioning-short',
      severity: 'invalid',
      message: 'It was capped before its conditioning was over.',
      action: 'Take the caps off, condition it to the end, cap it again.',
    }),
  ];
}

/** What was sawn bears on another area than whole units have. */
function shapeFindings(setup: RunSetup): Finding[] {
  const sawn = factOption(setup, 'sawn', OTHER_AREA);
  if (!sawn || !factTexts(setup, 'areaPieces').includes('full')) return [];
  return [
    finding({
      id: 'unit.area-shape',
      severity: 'invalid',
      beforeLoad: true,
      fields: [],
      message: `${SAWN[sawn]}: the net area of whole units is not its own.`,
      action: 'Saw the units for absorption alike, soak and dry them: their net area counts.',
    }),
  ];
}

/** What was sawn of it stands in the report. */
function sawnFindings(setup: RunSetup): Finding[] {
  const sawn = factOption(setup, 'sawn', Object.keys(SAWN) as Sawn[]);
  if (!sawn || sawn === 'none') return [];
  const how = factText(setup, 'saw') === 'wet' ? ', wet' : '';
  return [
    finding({
      id: 'unit.sawn',
      severity: 'departure',
      needsReason: false,
      fields: [],
      message: `${SAWN[sawn]}${how}.`,
      action: 'The report says so.',
      remark: `${SAWN[sawn]}${how}.`,
    }),
  ];
}
