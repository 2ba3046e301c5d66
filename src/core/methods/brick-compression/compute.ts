import { isWithin, type Limits } from '../../limits';
import { BRICK } from '../../materials/brick/forms';
import { type Exact, exact, plainOf, type System } from '../../quantity';
import { durationText } from '../../windows';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factMeasure, factText } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { cappedFrom, capsFindings } from '../masonry-press/caps';
import { machineFindings, plateFindings } from '../masonry-press/machine';
import { expectedLoad, loadOn, wedge } from '../masonry-press/rates';
import { loadedBy, normalised, schoolFindings } from '../masonry-press/school';
import { secondHalf, timeFindings } from '../masonry-press/time';
import { resultOf } from '../outcome';
import { FORCE_UNIT, LENGTH_UNIT, STRESS_UNIT, zeroFindings } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { type Bearing, bearingOf, gradeStrength, specifiedHalf } from './area';
import type { BrickCompressionInput } from './input';

const C67 = standard('ASTM C67/C67M');
const ROW = 'brick.second-half';

/**
 * Compressive strength of a half brick, flatwise.
 * @param input both bearing faces in in or mm, load in lbf or kN
 * @returns strength on the mean gross area of both faces, at least so much where the machine was at its end
 * Source: ASTM C67/C67M 7 (from memory).
 */
export function compute(input: BrickCompressionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const bearing = bearingOf(input, setup);
  const stress = gradeStrength(setup, 'mean', system, limits);
  const loads = bearing && {
    area: bearing.area,
    expected: expectedLoad(bearing.area, stress, setup, system, limits),
    required: loadOn(bearing.area, stress, system),
  };
  const load = readMeasure(input, 'maximumLoad')?.value;
  const area = bearing?.measured ? areaLine(sheet, bearing, system, limits) : undefined;
  let strength: Exact | undefined;
  if (area && load && !load.isZero()) {
    const step = limits.number('unit.strength-step', system);
    strength = sheet.line({
      symbol: 'C',
      name: 'Compressive strength',
      formula: system === 'US' ? 'P / A' : '1000 * P / A',
      uses: { P: load, A: area },
      unit: STRESS_UNIT[system],
      source: C67,
      round: { step, rule: `strength to ${step} ${STRESS_UNIT[system]}` },
    });
    results.push(
      resultOf({
        quantity: 'compressive strength',
        symbol: 'C',
        value: strength,
        unit: STRESS_UNIT[system],
        step,
        mode,
        ...(input.unbroken ? { bound: 'at least' as const } : {}),
      }),
    );
  }
  const school = loadedBy(setup);
  const size = {
    height: factMeasure(setup, 'height', 'length', LENGTH_UNIT[system]),
    width: bearing?.faces[0]?.W,
  };
  const fb =
    school === 'en' && strength && normalised(sheet, { symbol: 'C', value: strength }, size, input, limits);
  if (fb)
    results.push(
      resultOf({
        quantity: 'normalised strength',
        symbol: 'fb',
        value: fb,
        unit: STRESS_UNIT[system],
        step: limits.number('unit.strength-step', system),
        mode,
      }),
    );
  const [face] = bearing?.faces ?? [];
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
      ...zeroFindings(input),
      ...recessFindings(input, setup, limits),
      ...sizeFindings(input, bearing, setup, limits),
      ...(school
        ? schoolFindings(school, size, input, limits)
        : [...readyFindings(input, setup), ...capsFindings(input, setup, limits)]),
      ...machineFindings(input, setup, loads, limits),
      ...plateFindings(input, face ? { length: face.L, width: face.W } : {}, setup, limits),
      ...(school
        ? []
        : timeFindings(
            input,
            { row: ROW, first: 'departure', strength, floor: gradeStrength(setup, 'each', system, limits) },
            setup,
            limits,
          )),
    ]),
    verdicts: [],
    picture: {
      kind: 'unit in the press',
      values: {
        width: face?.W.toNumber() ?? null,
        height: null,
        length: face?.L.toNumber() ?? null,
        flat: true,
        area: bearing?.area.toNumber() ?? null,
        open: bearing && !bearing.measured ? 'by the specified size until it is measured' : null,
        load: load?.toNumber() ?? null,
        force: FORCE_UNIT[system],
        gross: true,
        areaUnit: system === 'US' ? 'in2' : 'mm2',
        broken: Boolean(load),
        secondHalf: secondHalf(input, setup)?.toNumber() ?? null,
        ...(school ? {} : wedge(loads, ROW, system, limits)),
      },
    },
  };
}

function areaLine(sheet: Sheet, { faces }: Bearing, system: System, limits: Limits): Exact {
  const uses = Object.fromEntries(
    faces.flatMap(({ L, W }, place) => [
      [`L${place + 1}`, L],
      [`W${place + 1}`, W],
    ]),
  );
  return sheet.line({
    symbol: 'A',
    name: faces.length > 1 ? 'Mean gross area of both faces' : 'Gross area of one face',
    formula: faces.length > 1 ? '(L1 * W1 + L2 * W2) / 2' : 'L1 * W1',
    uses,
    unit: system === 'US' ? 'in2' : 'mm2',
    source: C67,
    round: {
      step: limits.number('brick.area-step', system),
      rule: 'for reading; the unrounded area is used',
    },
  });
}

/** Dry, and cool before it was capped. */
function readyFindings(input: BrickCompressionInput, setup: RunSetup): Finding[] {
  const cooled = factText(setup, 'cooledAt');
  const capped = cappedFrom(setup);
  const about = { beforeLoad: true, fields: ['state'] } as const;
  const found: Finding[] = [];
  if (input.state === 'damp')
    found.push(
      finding({
        ...about,
        id: 'brick.damp',
        severity: 'invalid',
        message: 'Brick is broken dry.',
        action: 'Back into the oven, then cool it.',
      }),
    );
  if (cooled === undefined)
    found.push(
      finding({
        ...about,
        id: 'brick.drying-unknown',
        severity: 'departure',
        needsReason: true,
        message: 'That it was dried and cooled is not on record.',
        action: 'Dry and cool it with the others, on the page of its sample under Together.',
        remark: 'Drying before the test not on record.',
      }),
    );
  else if (capped && Date.parse(capped) < Date.parse(cooled))
    found.push(
      finding({
        ...about,
        id: 'brick.capped-early',
        severity: 'invalid',
        message: 'It was capped before it was dry and cool.',
        action: 'Take the caps off, dry and cool it, cap it again.',
      }),
    );
  return found;
}

/** A filled recess whose mortar is too young. */
function recessFindings(input: BrickCompressionInput, setup: RunSetup, limits: Limits): Finding[] {
  const stood = (Date.parse(input.testedAt ?? setup.asOf ?? '') - Date.parse(input.filledAt ?? '')) / 60_000;
  const filled = limits.number('brick.filled', 'US').times(60);
  if (input.recess !== 'filled' || Number.isNaN(stood) || exact(stood).greaterThanOrEqualTo(filled))
    return [];
  return [
    limitFinding(
      limits,
      input.system,
      { id: 'brick.filled', severity: 'invalid', beforeLoad: true, fields: ['filledAt'] },
      {
        message: `Its filled recess is ${durationText(Math.max(0, stood))} old.`,
        action: 'Wait until the mortar in it has stood for 48 h.',
      },
    ),
  ];
}

/** A half is half of its brick, a quarter has its least area; both faces are measured. */
function sizeFindings(
  input: BrickCompressionInput,
  bearing: Bearing | undefined,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { system } = input;
  if (!bearing?.measured) return [];
  const found: Finding[] = [];
  const specified = specifiedHalf(setup, system);
  const [face] = bearing.faces;
  const whole = setup.specimen?.form === BRICK;
  const quarter = input.piece === 'quarter';
  const off = specified && face && !whole && !quarter ? face.L.minus(specified.L).abs() : undefined;
  if (quarter && !isWithin(bearing.area, limits.of('brick.quarter', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'brick.quarter', severity: 'invalid', beforeLoad: true, fields: ['piece', 'lengthTop'] },
        {
          message: `The piece bears on ${plainOf(bearing.area.toDecimalPlaces(system === 'US' ? 1 : 0), system === 'US' ? 'in2' : 'mm2')}.`,
          action: 'Cut a larger one from the spare brick, or take a half to a stronger machine.',
        },
      ),
    );
  if (off && !isWithin(off, limits.of('brick.half', system)))
    found.push(
      limitFinding(
        limits,
        system,
        {
          id: 'brick.half',
          severity: 'departure',
          needsReason: true,
          beforeLoad: true,
          fields: ['lengthTop'],
        },
        {
          message: `It is ${plainOf(off.toDecimalPlaces(2), LENGTH_UNIT[system])} off half of its brick.`,
          action: 'Take the other half, or halve a spare brick.',
          remark: `Length of the half ${plainOf(off.toDecimalPlaces(2), LENGTH_UNIT[system])} off half of the brick.`,
        },
      ),
    );
  if (bearing.faces.length === 1)
    found.push(
      finding({
        id: 'brick.one-face',
        severity: 'departure',
        needsReason: false,
        fields: ['lengthBottom', 'widthBottom'],
        message: 'Only one of its two bearing faces is measured.',
        action: 'Measure the other one too: the two differ by a percent and more.',
        remark: 'Area from one bearing face only.',
      }),
    );
  return found;
}
