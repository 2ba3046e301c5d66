import { isWithin, type LimitId, type Limits } from '../../limits';
import { webTable } from '../../materials/masonry/criteria';
import { type Exact, plainOf, type System, smallest, type UnitId } from '../../quantity';
import { bySeverity, type Finding, finding, numbered, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factMeasure, factText } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import type { UnitAbsorptionInput } from './input';
import { faceShell, SIDES, type Side, sideOf, variationResults, variations } from './measured';

const C140 = standard('ASTM C140/C140M');
const SYMBOL = { width: 'W', height: 'H', length: 'L' } as const;

/** Units of what a unit of masonry is measured and computed in. */
const UNITS = {
  US: { length: 'in', area: 'in2', mass: 'lb', density: 'lb/ft3', volume: 'ft3', web: 'in2/ft2' },
  SI: { length: 'mm', area: 'mm2', mass: 'kg', density: 'kg/m3', volume: 'L', web: 'mm2/m2' },
} as const satisfies Record<System, Record<string, UnitId>>;
/** A volume as area times height: cubic inches a cubic foot, cubic millimetres a litre. */
const CUBES = { US: '1728', SI: '1000000' } as const;

/** Adds a line to the sheet, rounded to a row where it is reported; and a result. */
type Line = (
  symbol: string,
  name: string,
  formula: string,
  uses: Record<string, Exact>,
  unit: UnitId,
  step?: LimitId,
) => Exact;
type Give = (quantity: string, symbol: string, value: Exact, unit: UnitId, step: LimitId) => void;

/** The masses of a unit as far as they are known, lb or kg. */
function massesOf(setup: RunSetup, system: System) {
  const of = (name: string): Exact | undefined => factMeasure(setup, name, 'mass', UNITS[system].mass);
  return { Wr: of('receivedMass'), Wi: of('immersed'), Ws: of('saturated'), Wd: of('dryMass') };
}

/**
 * Absorption, density and net area of a masonry unit.
 * @param input sizes in in or mm; the masses of scale, tank and oven come as facts, lb or kg
 * @returns what can be told so far: sizes at once, what hangs on the masses when they are there
 * Source: ASTM C140/C140M 9 and annex A1 (from memory).
 */
export function compute(input: UnitAbsorptionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const units = UNITS[system];
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const findings: Finding[] = [
    ...equipmentUse(input, { calliper: 'departure' }, input.measuredAt, setup, limits),
  ];
  const line: Line = (symbol, name, formula, uses, unit, step) =>
    sheet.line({
      symbol,
      name,
      formula,
      uses,
      unit,
      source: C140,
      ...(step
        ? { round: { step: limits.number(step, system), rule: `to ${limits.of(step, system).text}` } }
        : {}),
    });
  const give: Give = (quantity, symbol, value, unit, step) => {
    results.push(resultOf({ quantity, symbol, value, unit, step: limits.number(step, system), mode }));
  };
  const sides: Partial<Record<Side, Exact>> = {};
  for (const side of SIDES) {
    const both = sideOf(input, side);
    const symbol = SYMBOL[side];
    if (both)
      sides[side] = line(
        symbol,
        `Mean ${side}`,
        `(${symbol}1 + ${symbol}2) / 2`,
        { [`${symbol}1`]: both[0], [`${symbol}2`]: both[1] },
        units.length,
        'unit.size-step',
      );
  }
  const { Wr, Wi, Ws, Wd } = massesOf(setup, system);
  const wrong = orderFinding({ Wi, Ws, Wd });
  if (wrong) findings.push(wrong);
  findings.push(...cutFindings(input, Wr, limits));
  const { width: W, height: H, length: L } = sides;
  const gross =
    W && L ? line('Ag', 'Gross area', 'L * W', { L, W }, units.area, 'unit.area-step') : undefined;
  if (Wi && Ws && Wd && !wrong) {
    const water = limits.number('unit.water', system);
    const a = line(
      'A',
      'Absorption',
      '(Ws - Wd) / (Ws - Wi) * w',
      { Ws, Wd, Wi, w: water },
      units.density,
      'unit.absorption-step',
    );
    const percent = line(
      'Am',
      'Absorption by mass',
      '100 * (Ws - Wd) / Wd',
      { Ws, Wd },
      'percent',
      'unit.percent-step',
    );
    const density = line(
      'D',
      'Oven-dry density',
      'Wd / (Ws - Wi) * w',
      { Wd, Ws, Wi, w: water },
      units.density,
      'unit.absorption-step',
    );
    // A kilogram of water is a litre: the volume in SI is the difference of the masses itself.
    const volume = line(
      'Vn',
      'Net volume',
      system === 'US' ? '(Ws - Wi) / w' : 'Ws - Wi',
      system === 'US' ? { Ws, Wi, w: water } : { Ws, Wi },
      units.volume,
      'unit.volume-step',
    );
    give('absorption', 'A', a, units.density, 'unit.absorption-step');
    give('absorption by mass', 'Am', percent, 'percent', 'unit.percent-step');
    give('density', 'D', density, units.density, 'unit.absorption-step');
    give('net volume', 'Vn', volume, units.volume, 'unit.volume-step');
    if (H) {
      const net = line(
        'An',
        'Net area',
        `${CUBES[system]} * Vn / H`,
        { Vn: volume, H },
        units.area,
        'unit.area-step',
      );
      give('net area', 'An', net, units.area, 'unit.area-step');
      if (gross)
        give(
          'share solid',
          's',
          line('s', 'Share solid', '100 * An / Ag', { An: net, Ag: gross }, 'percent', 'unit.percent-step'),
          'percent',
          'unit.percent-step',
        );
      if (L && input.piece === 'full')
        give(
          'equivalent thickness',
          'Te',
          line(
            'Te',
            'Equivalent thickness',
            `${CUBES[system]} * Vn / (L * H)`,
            { Vn: volume, L, H },
            units.length,
            'unit.thick-step',
          ),
          units.length,
          'unit.thick-step',
        );
    }
    findings.push(
      ...usual(
        limits,
        system,
        'unit.density-usual',
        density,
        `The density comes to ${plainOf(density.toDecimalPlaces(1), units.density)}.`,
      ),
      ...usual(
        limits,
        system,
        'unit.absorption-usual',
        a,
        `The absorption comes to ${plainOf(a.toDecimalPlaces(1), units.density)}.`,
      ),
    );
    if (Wr && input.piece === 'full') {
      const moisture = line(
        'M',
        'Moisture content as received, of total absorption',
        '100 * (Wr - Wd) / (Ws - Wd)',
        { Wr, Wd, Ws },
        'percent',
        'unit.percent-step',
      );
      if (Wr.greaterThan(Ws)) findings.push(wetter(moisture));
      else give('moisture content', 'M', moisture, 'percent', 'unit.percent-step');
    }
  }
  const specified = specifiedSizes(setup, system);
  const joint = factMeasure(setup, 'joint', 'length', units.length);
  const nominal = Object.fromEntries(
    Object.entries(specified).flatMap(([side, size]) => (joint ? [[side, size.plus(joint)]] : [])),
  );
  thinParts(input, { limits, system, nominal, length: L, product: factText(setup, 'product'), give, line });
  // A piece that was cut out has no specified sizes of its own.
  const off = variations(input, input.piece === 'cut' ? {} : specified);
  results.push(...variationResults(off, input, limits, mode));
  for (const { side, off: by } of off)
    if (!isWithin(by.abs(), limits.of('unit.size-far', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'unit.size-far', severity: 'advice', fields: [`${side}1`, `${side}2`] },
          {
            message: `The ${side} is ${plainOf(by.abs().toDecimalPlaces(2), units.length)} off the specified one.`,
            action: 'Were two sides swapped? Measure again.',
          },
        ),
      );
  // The absorption stands first: it is what this test is about.
  return {
    results: results.toSorted(
      (a, b) => Number(b.quantity === 'absorption') - Number(a.quantity === 'absorption'),
    ),
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'unit',
      values: {
        width: W?.toNumber() ?? null,
        height: H?.toNumber() ?? null,
        length: L?.toNumber() ?? null,
        shell: smallestOf(input, ['shell1', 'shell2']),
        webs: (input.webs ?? [])
          .flatMap((web) => readMeasure(web, 'thickness')?.value.toNumber() ?? [])
          .join(','),
        unit: units.length,
        received: Wr?.toFixed() ?? null,
        immersed: Wi?.toFixed() ?? null,
        saturated: Ws?.toFixed() ?? null,
        dry: Wd?.toFixed() ?? null,
        mass: units.mass,
      },
    },
  };
}

function smallestOf(input: UnitAbsorptionInput, fields: readonly string[]): number | null {
  const values = fields.flatMap((field) => readMeasure(input, field)?.value ?? []);
  return values.length > 0 ? smallest(values).toNumber() : null;
}

/** The sizes that are asked for, in or mm. */
export function specifiedSizes(setup: RunSetup, system: System): Partial<Record<Side, Exact>> {
  return Object.fromEntries(
    SIDES.flatMap((side) => {
      const value = factMeasure(setup, side, 'length', UNITS[system].length);
      return value ? [[side, value]] : [];
    }),
  );
}

/** A unit weighs least under water and most when it is saturated: anything else is a wrong reading, or another unit’s. */
function orderFinding({
  Wi,
  Wd,
  Ws,
}: Readonly<Record<'Wi' | 'Wd' | 'Ws', Exact | undefined>>): Finding | undefined {
  const wrong =
    (Wi && Ws && Wi.greaterThanOrEqualTo(Ws)) ||
    (Wd && Ws && Wd.greaterThanOrEqualTo(Ws)) ||
    (Wi && Wd && Wi.greaterThanOrEqualTo(Wd));
  if (!wrong) return undefined;
  return finding({
    id: 'unit.order',
    severity: 'invalid',
    fields: [],
    message: 'Immersed, dry and saturated mass do not lie in this order.',
    action:
      'Two of them are swapped, or one is another unit’s: look at the marks, and at the rows of tank and oven.',
  });
}

/** A piece that is cut too small says little of its unit. */
function cutFindings(input: UnitAbsorptionInput, received: Exact | undefined, limits: Limits): Finding[] {
  const { system } = input;
  const cut = readMeasure(input, 'cutMass')?.value;
  if (input.piece !== 'cut' || !cut || !received) return [];
  const share = cut.div(received).times(100);
  if (isWithin(share, limits.of('unit.cut-share', system))) return [];
  return [
    limitFinding(
      limits,
      system,
      { id: 'unit.cut-share', severity: 'invalid', fields: ['cutMass'] },
      {
        message: `The piece has ${share.toFixed(1)} % of the received mass of its unit.`,
        action: 'Cut a larger piece, or take the whole unit.',
      },
    ),
  ];
}

function wetter(moisture: Exact): Finding {
  return finding({
    id: 'unit.wetter',
    severity: 'departure',
    needsReason: false,
    fields: [],
    message: `It came wetter than saturated: moisture would be ${moisture.toFixed(1)} %.`,
    action:
      'Are the received mass and the saturated one of the same unit? The absorption stands, the moisture does not.',
    remark: 'Moisture content not reported: received mass above the saturated one.',
  });
}

function usual(limits: Limits, system: System, id: LimitId, value: Exact, message: string): Finding[] {
  if (isWithin(value, limits.of(id, system))) return [];
  return [
    limitFinding(
      limits,
      system,
      { id, severity: 'departure', needsReason: true, fields: [] },
      { message, action: 'Look at the three masses again: a digit, a tare, another unit.', remark: message },
    ),
  ];
}

interface Thin {
  readonly limits: Limits;
  /** Nominal length and height: the specified ones with a joint. */
  readonly nominal: Readonly<Partial<Record<Side, Exact>>>;
  /** The mean measured length. */
  readonly length: Exact | undefined;
  readonly product: string | undefined;
  readonly system: System;
  readonly give: Give;
  readonly line: Line;
}

/** Face shells and webs of a hollow unit. */
function thinParts(input: UnitAbsorptionInput, about: Thin): void {
  const { limits, system, nominal, give, line } = about;
  const units = UNITS[system];
  const [one, two] = ['shell1', 'shell2'].map((name) => readMeasure(input, name)?.value);
  if (one && two)
    give(
      'face shell',
      'tf',
      faceShell([one, two], limits.number('unit.shells-alike', system)),
      units.length,
      'unit.thin-step',
    );
  const webs = (input.webs ?? []).flatMap((web) => {
    const [thickness, height] = ['thickness', 'height'].map((name) => readMeasure(web, name)?.value);
    return thickness ? [{ thickness, height }] : [];
  });
  if (webs.length === 0) return;
  give('least web', 'tw', smallest(webs.map(({ thickness }) => thickness)), units.length, 'unit.thin-step');
  if (about.length && webTable(about.product) === 'older') {
    const uses = numbered(
      't',
      webs.map(({ thickness }) => thickness),
    );
    const sum = line(
      'St',
      'Thickness of the webs together',
      Object.keys(uses).join(' + '),
      uses,
      units.length,
    );
    const per = { US: ['12', 'in/ft'], SI: ['1000', 'mm/m'] } as const;
    const [run, unit] = per[system];
    const value = line(
      'tq',
      'Equivalent web thickness',
      `${run} * St / L`,
      { St: sum, L: about.length },
      unit,
      'unit.thin-step',
    );
    give('equivalent web thickness', 'tq', value, unit, 'unit.thin-step');
  }
  const { length, height } = nominal;
  const areas = webs.flatMap(({ thickness, height: own }) => (own ? [thickness.times(own)] : []));
  if (!length || !height || areas.length < webs.length) return;
  const uses = numbered('A', areas);
  const sum = line('SA', 'Area of the webs', Object.keys(uses).join(' + '), uses, units.area);
  const factor = system === 'US' ? '144' : '1000000';
  give(
    'normalised web area',
    'Anw',
    line(
      'Anw',
      'Normalised web area',
      `${factor} * SA / (Ln * Hn)`,
      { SA: sum, Ln: length, Hn: height },
      units.web,
      'unit.web-area-step',
    ),
    units.web,
    'unit.web-area-step',
  );
}
