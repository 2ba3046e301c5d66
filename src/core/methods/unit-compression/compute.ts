import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf, type System } from '../../quantity';
import { bySeverity, commonPractice, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factText, factTexts } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { FORCE_UNIT, LENGTH_UNIT, STRESS_UNIT, zeroFindings } from '../press';
import { limitsOf, type RunSetup, setupMeasure } from '../setup';
import { specifiedSizes } from '../unit-absorption/compute';
import { meanSide, variationResults, variations } from '../unit-absorption/measured';
import {
  type BearingArea,
  bearingArea,
  expectedLoad,
  isCoupon,
  required,
  requiredLoad,
  sizesOf,
} from './area';
import type { UnitCompressionInput } from './input';
import { fitsMachine, plateNeeded } from './plan';
import { ratesFor } from './press';

const C140 = standard('ASTM C140/C140M');

/** Seconds from half of the peak to the peak: by the record, else by the stopwatch. */
function secondHalf(input: UnitCompressionInput, setup: RunSetup): Exact | undefined {
  const logged = setup.loadLog?.secondHalf;
  return logged === undefined || logged === null ? readMeasure(input, 'secondHalf')?.value : exact(logged);
}

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
  let net: Exact | undefined;
  if (area && load && !load.isZero()) {
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
    give('gross compressive strength', 'fg', strength('fg', 'Gross strength', 'Ag', gross, load));
  }
  // A coupon has no specified sizes of its own.
  const off = isCoupon(setup) ? [] : variations(input, specifiedSizes(setup, system));
  results.push(...variationResults(off, input, limits, mode));
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
      ...zeroFindings(input),
      ...conditionFindings(input, setup),
      ...couponFindings(input, setup, limits),
      ...machineFindings(input, setup, loads, limits),
      ...plateFindings(input, setup, limits),
      ...timeFindings(input, setup, net, limits),
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
        broken: Boolean(load),
        secondHalf: secondHalf(input, setup)?.toNumber() ?? null,
        ...wedge(loads, system, limits),
      },
    },
  };
}

/** The loads that a unit is expected and asked to take on its area. */
interface Loads {
  readonly area: Exact;
  readonly expected: Exact | undefined;
  readonly required: Exact | undefined;
}

function loadsOn({ area }: BearingArea, setup: RunSetup, system: System, limits: Limits): Loads {
  return {
    area,
    expected: expectedLoad(area, setup, system, limits),
    required: requiredLoad(area, setup, system, limits),
  };
}

/** Loads and rate that the picture of the plan is drawn with. */
function wedge(loads: Loads | undefined, system: System, limits: Limits) {
  const time = limits.of('unit.second-half', system);
  const rates = loads?.expected && ratesFor(loads.expected, limits, system);
  return {
    least: time.low?.toNumber() ?? null,
    most: time.high?.toNumber() ?? null,
    expected: loads?.expected?.toNumber() ?? null,
    required: loads?.required?.toNumber() ?? null,
    rate: rates?.target.toNumber() ?? null,
  };
}

/** The area as a line of the sheet: the mean of the dried units, or the estimate as it stands. */
function areaLine(sheet: Sheet, bearing: BearingArea, unit: 'in2' | 'mm2', step: Exact): Exact {
  const round = { step, rule: 'for reading; the unrounded area is used' };
  const { area, of, own } = bearing;
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
  const uses = Object.fromEntries(of.map((each, place) => [`A${place + 1}`, each]));
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
function conditionFindings(input: UnitCompressionInput, setup: RunSetup): Finding[] {
  const over = factText(setup, 'conditionedAt');
  if (!input.cappedAt) return [];
  if (over === undefined)
    return [
      finding({
        id: 'unit.conditioning-unknown',
        severity: 'departure',
        needsReason: true,
        beforeLoad: true,
        fields: ['cappedAt'],
        message: 'Its conditioning is not on record.',
        action: 'Two days in the room, or the fan with its weighings, before it is capped.',
        remark: 'Conditioning before capping not on record.',
      }),
    ];
  if (Date.parse(input.cappedAt) >= Date.parse(over)) return [];
  return [
    finding({
      id: 'unit.conditioning-short',
      severity: 'invalid',
      beforeLoad: true,
      fields: ['cappedAt'],
      message: 'It was capped before its conditioning was over.',
      action: 'Take the caps off, condition it to the end, cap it again.',
    }),
  ];
}

/** A coupon is twice as high and four times as long as it is thick, its height as the unit stands. */
function couponFindings(input: UnitCompressionInput, setup: RunSetup, limits: Limits): Finding[] {
  if (!isCoupon(setup)) return [];
  const { system } = input;
  const [t, height, length] = [
    meanSide(input, 'width'),
    meanSide(input, 'height'),
    meanSide(input, 'length'),
  ];
  if (!t) return [];
  const rows = [
    ['unit.coupon-thick', t, 'width1', `It is ${plainOf(t.toDecimalPlaces(2), LENGTH_UNIT[system])} thick`],
    [
      'unit.coupon-height',
      height?.div(t),
      'height1',
      `It is ${height?.div(t).toFixed(2)} times as high as thick`,
    ],
    [
      'unit.coupon-length',
      length?.div(t),
      'length1',
      `It is ${length?.div(t).toFixed(2)} times as long as thick`,
    ],
  ] as const;
  return rows.flatMap(([id, value, field, words]) =>
    value && !isWithin(value, limits.of(id, system))
      ? [
          limitFinding(
            limits,
            system,
            { id, severity: 'invalid', beforeLoad: true, fields: [field] },
            {
              message: `${words}.`,
              action:
                'No coupon of this method: saw another, its height in the height of the unit, and condition it again.',
            },
          ),
        ]
      : [],
  );
}

/** Whether the machine that is chosen can break it at all. */
function machineFindings(
  input: UnitCompressionInput,
  setup: RunSetup,
  loads: Loads | undefined,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const machine = setup.equipment?.find(({ number }) => number === input.machine);
  if (!machine || !loads?.expected) return [];
  const fit = fitsMachine(machine, { ...loads, expected: loads.expected }, system, limits);
  if (!fit || fit.state === 'can') return [];
  const cannot = fit.state === 'cannot';
  return [
    limitFinding(
      limits,
      system,
      {
        id: cannot ? 'unit.capacity' : 'unit.capacity-room',
        severity: cannot ? 'departure' : 'advice',
        needsReason: cannot,
        beforeLoad: true,
        fields: ['machine'],
      },
      {
        message: `${machine.number} ${cannot ? 'cannot' : 'may not'} break it: ${fit.why}.`,
        action: cannot
          ? 'A sawn unit goes back into conditioning before it is capped.'
          : 'A unit that stays whole proves at least its load over its area, and is no break.',
        ...(cannot ? { remark: `Required load beyond ${machine.number}.` } : {}),
      },
    ),
  ];
}

/** A plate between platen and unit that is too thin bends, and loads the middle more than the corners. */
function plateFindings(input: UnitCompressionInput, setup: RunSetup, limits: Limits): Finding[] {
  const { system } = input;
  const machine = setup.equipment?.find(({ number }) => number === input.machine);
  const face = setupMeasure(machine?.machine?.upperFace, 'length', LENGTH_UNIT[system]);
  const { length, width } = sizesOf(input, setup);
  const plate = readMeasure(input, 'plate')?.value;
  if (!face || !length || !width || !machine) return [];
  const share = limits.number('unit.plate', system).div(100);
  const needed = plateNeeded({ length, width }, exact(face)).times(share);
  if (needed.isZero() || plate?.greaterThanOrEqualTo(needed)) return [];
  const least = plainOf(needed.toDecimalPlaces(system === 'US' ? 2 : 0), LENGTH_UNIT[system]);
  return [
    limitFinding(
      limits,
      system,
      { id: 'unit.plate', severity: 'departure', needsReason: true, beforeLoad: true, fields: ['plate'] },
      {
        message: plate
          ? `The plate is ${plainOf(plate, LENGTH_UNIT[system])}; on the platen of ${machine.number} it has to be ${least}.`
          : `On the platen of ${machine.number} this unit wants a bearing plate of ${least}.`,
        action: 'Take one single plate of that thickness, or a machine with a wider platen.',
        remark: `Bearing plate thinner than ${least} on ${machine.number}.`,
      },
    ),
  ];
}

/**
 * The time of the second half: too fast reads high, too slow reads low, so that what is failed fast, or passed slowly, stands.
 * Source: ASTM C140/C140M 7.4 (from memory); what stands with a remark is our choice.
 */
function timeFindings(
  input: UnitCompressionInput,
  setup: RunSetup,
  net: Exact | undefined,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const time = secondHalf(input, setup);
  const load = readMeasure(input, 'maximumLoad');
  if (!load) return [];
  if (!time)
    return [
      finding({
        id: 'unit.time-unknown',
        severity: 'departure',
        needsReason: true,
        fields: ['secondHalf'],
        message: 'How long the second half took is not known.',
        action: 'Keep the record of the press, or take the time from half of the peak on.',
        remark: 'Time of the second half of loading not recorded.',
      }),
    ];
  const band = limits.of('unit.second-half', system);
  if (isWithin(time, band)) return [];
  const first = isFirst(input, setup);
  const said = `The second half took ${plainOf(time.toDecimalPlaces(1), 's')}`;
  const make = (
    id: 'unit.second-half' | 'unit.second-half-first',
    severity: 'invalid' | 'departure' | 'advice',
    action: string,
  ): Finding[] => [
    limitFinding(
      limits,
      system,
      { id, severity, needsReason: severity === 'invalid', fields: ['secondHalf'] },
      {
        message: `${said}.`,
        action,
        ...(severity === 'departure' ? { remark: `${said}; ${band.text} is asked for.` } : {}),
      },
    ),
  ];
  const fast = band.low !== undefined && time.lessThan(band.low);
  const floor = required(setup, 'each', system, limits);
  const passes = net !== undefined && floor !== undefined ? net.greaterThanOrEqualTo(floor) : true;
  const slower = 'Set the rate that the plan says now: it goes by this break.';
  if (fast && first)
    return isWithin(time, limits.of('unit.second-half-first', system))
      ? make('unit.second-half-first', 'advice', `It counts as the first of its set. ${slower}`)
      : make('unit.second-half-first', 'invalid', `Take a spare in its place. ${slower}`);
  if (fast)
    return passes
      ? make(
          'unit.second-half',
          'invalid',
          `Loaded too fast it reads high, and it passes: take a spare. ${slower}`,
        )
      : make(
          'unit.second-half',
          'departure',
          `Loaded too fast it reads high, and it fails all the same: it stands as a failing one. ${slower}`,
        );
  return passes
    ? make(
        'unit.second-half',
        'departure',
        `Loaded too slowly it reads low, and it passes all the same: it stands. ${slower}`,
      )
    : make(
        'unit.second-half',
        'invalid',
        `Loaded too slowly it reads low, and it fails: take a spare. ${slower}`,
      );
}

/** True where no other unit of the set was broken before this one. */
function isFirst({ testedAt }: UnitCompressionInput, setup: RunSetup): boolean {
  const own = Date.parse(testedAt ?? '');
  return !factTexts(setup, 'brokenAt').some((at) => Number.isNaN(own) || Date.parse(at) < own);
}
