import { cite, isWithin, type LimitId, type Limits } from '../limits';
import { isLargeCylinder, type MouldSize } from '../moulds';
import {
  exact,
  meanOf,
  plainOf,
  type RoundingMode,
  roundedText,
  roundTo,
  type System,
  type UnitId,
} from '../quantity';
import { type Finding, finding, plain, Sheet, standard, type WorkingLine } from '../working';
import { meanLine, rangeLine } from './set-lines';

/** One cylinder of a set, as far as the set's test result needs it. */
export interface SetMember {
  readonly label: string;
  readonly size: MouldSize;
  /** Unrounded strength, decimal text; null while not broken. */
  readonly strength: string | null;
  /** The strength as reported for this cylinder. */
  readonly reported: string | null;
  /** False when a finding forbids reporting it as a valid test. */
  readonly valid: boolean;
  /** True when the age is outside its window: an engineer decides whether it counts. */
  readonly outOfWindow: boolean;
  /** Why a reviewer left it out, on evidence apart from its strength; absent for one that counts. */
  readonly leftOut?: string;
  /** Unrounded density where it was determined, decimal text. */
  readonly density?: string;
}

/** The averaged value of a set: what acceptance looks at. */
export interface StrengthTest {
  readonly state: 'tested' | 'pending' | 'no valid result';
  /** Reported mean, plain decimal text. */
  readonly value: string | null;
  readonly text: string | null;
  readonly unit: UnitId;
  readonly used: readonly string[];
  readonly leftOut: readonly { readonly label: string; readonly why: string }[];
  readonly waitingFor: readonly string[];
  readonly lines: readonly WorkingLine[];
  readonly findings: readonly Finding[];
  /** Reasons why an engineer must say whether this test counts in the series. */
  readonly engineer: readonly string[];
}

/** Beginnings of the names of the limits that a strength test and its criteria are held to. */
export const STRENGTH_TEST_LIMITS = [
  'acceptance.',
  'set.',
  'cylinder.strength-step',
  'cylinder.density-agree',
] as const;

/**
 * The strength test of one sample at one age: the mean of its valid cylinders.
 * @param members all cylinders made for this age, held ones not included
 * @param options rounding mode, and whether this is the age the specified strength is for
 * @returns the mean of the unrounded strengths, rounded once to 10 psi [0.1 MPa]; `pending` while any is unbroken
 * Source: ACI 318 26.12 (from memory): at least two 6×12 in or three 4×8 in cylinders; ASTM C39/C39M for the range.
 */
export function strengthTest(
  members: readonly SetMember[],
  system: System,
  limits: Limits,
  options: {
    mode?: RoundingMode;
    /** False for a younger age: its mean informs, it is no strength test and needs no full set. */
    designated?: boolean;
  } = {},
): StrengthTest {
  const { mode = 'half-even', designated = true } = options;
  const unit: UnitId = system === 'US' ? 'psi' : 'MPa';
  const waitingFor = members.filter((member) => member.strength === null && member.valid).map((m) => m.label);
  const leftOut = members
    .filter((member) => !member.valid || member.leftOut !== undefined)
    .map(({ label, valid, leftOut: evidence }) => ({
      label,
      why: valid && evidence !== undefined ? evidence : 'no valid result; see its findings',
    }));
  const whole = members.filter((member) => member.valid && member.strength !== null);
  const used = whole.filter((member) => member.leftOut === undefined);
  const sheet = new Sheet(mode);
  const step = limits.number('cylinder.strength-step', system);
  const values = used.map((member) => exact(member.strength ?? 0));
  const base = {
    unit,
    used: used.map(({ label }) => label),
    leftOut,
    waitingFor,
    engineer: [] as string[],
  };
  if (values.length === 0) {
    const state = waitingFor.length > 0 ? 'pending' : 'no valid result';
    return { ...base, state, value: null, text: null, lines: [], findings: [] };
  }
  const mean = meanLine(sheet, values, {
    name: designated
      ? 'Strength test, mean of the unrounded strengths'
      : 'Mean of the unrounded strengths, for information',
    unit,
    step,
    source: standard('ASTM C39/C39M'),
  });
  const findings = [
    ...rangeFinding(used, values, system, limits, sheet),
    ...densityFinding(whole, system, limits),
    ...leftOutFinding(whole, mean, { system, limits, mode }),
  ];
  const engineer: string[] = [];
  const large = used.every((member) => isLargeCylinder(member.size));
  const countId: LimitId = large ? 'set.count-6x12' : 'set.count-4x8';
  const asked = limits.number(countId, system).toNumber();
  if (new Set(used.map((member) => member.size)).size > 1) {
    engineer.push('cylinders of different sizes in one set');
  }
  if (designated && waitingFor.length === 0 && used.length < asked) {
    engineer.push(`reduced set: ${used.length} of the ${asked} cylinders a strength test needs`);
    findings.push(
      finding({
        id: 'set.reduced',
        severity: 'departure',
        needsReason: false,
        fields: [],
        limit: cite(limits.of(countId, system)),
        message: `Reduced set: ${used.length} valid ${used.length === 1 ? 'cylinder' : 'cylinders'}, ${asked} make a strength test.`,
        action: 'Report it so; an engineer decides whether it counts.',
        remark: `Reduced set: mean of ${used.length}.`,
      }),
    );
  }
  if (used.some((member) => member.outOfWindow))
    engineer.push('a cylinder was broken outside its age window');
  const printedMean = meanOf(used.map((member) => exact(member.reported ?? 0)));
  const rounded = roundTo(mean, step, mode);
  if (!roundTo(printedMean, step, mode).equals(rounded)) {
    findings.push(
      finding({
        id: 'set.printed-mean',
        severity: 'advice',
        fields: [],
        message: `The mean of the printed values would be ${roundedText(printedMean, step, mode)} ${unit}.`,
        action: 'None: the mean is formed from the unrounded values. Said so that a reader can follow.',
      }),
    );
  }
  return {
    ...base,
    state: waitingFor.length > 0 ? 'pending' : 'tested',
    value: plain(rounded, 15),
    text: roundedText(mean, step, mode),
    lines: sheet.lines,
    findings,
    engineer,
  };
}

/** Those left out on evidence, with the mean that they would have given: a reader sees both. */
function leftOutFinding(
  whole: readonly SetMember[],
  mean: ReturnType<typeof exact>,
  about: { readonly system: System; readonly limits: Limits; readonly mode: RoundingMode },
): Finding[] {
  const out = whole.filter(({ leftOut }) => leftOut !== undefined);
  if (out.length === 0) return [];
  const { system, limits, mode } = about;
  const unit: UnitId = system === 'US' ? 'psi' : 'MPa';
  const step = limits.number('cylinder.strength-step', system);
  const all = roundedText(meanOf(whole.map(({ strength }) => exact(strength ?? 0))), step, mode);
  const words = out.map(({ label, leftOut }) => `${label}: ${leftOut}`).join('; ');
  return [
    finding({
      id: 'set.left-out',
      severity: 'departure',
      needsReason: false,
      fields: [],
      message: `Left out on evidence, ${words}. With ${out.length === 1 ? 'it' : 'them'} the mean would be ${all} ${unit}, without ${roundedText(mean, step, mode)} ${unit}.`,
      action: 'Reported with the evidence; an engineer decides whether the test counts.',
      remark: `Left out on evidence, ${words}. Mean with ${out.length === 1 ? 'it' : 'them'} ${all} ${unit}.`,
    }),
  ];
}

/** A density off its companions is another specimen, another reading, or another concrete. */
function densityFinding(whole: readonly SetMember[], system: System, limits: Limits): Finding[] {
  const known = whole.flatMap(({ label, density }) =>
    density === undefined ? [] : [{ label, density: exact(density) }],
  );
  const limit = limits.of('cylinder.density-agree', system);
  const off = known.flatMap(({ label, density }) => {
    const others = known.filter((each) => each.label !== label);
    if (others.length === 0) return [];
    const apart = density.minus(meanOf(others.map((each) => each.density)));
    return isWithin(apart.abs(), limit) ? [] : [{ label, apart }];
  });
  // Of two it cannot be said which; of more, the one furthest off draws the others’ mean too.
  const worst = off.toSorted((a, b) => b.apart.abs().comparedTo(a.apart.abs()))[0];
  if (!worst) return [];
  const unit: UnitId = system === 'US' ? 'lb/ft3' : 'kg/m3';
  return [
    finding({
      id: 'set.density',
      severity: 'advice',
      fields: [],
      limit: cite(limit),
      message: `${worst.label} is ${plainOf(worst.apart.abs().toDecimalPlaces(0), unit)} ${worst.apart.isNegative() ? 'lighter' : 'heavier'} than its companions.`,
      action:
        'Label, mass and length first; then the pieces: voids, much air, another mix. Look before blaming the strength.',
    }),
  ];
}

function rangeFinding(
  used: readonly SetMember[],
  values: readonly ReturnType<typeof exact>[],
  system: System,
  limits: Limits,
  sheet: Sheet,
): Finding[] {
  const size = used[0]?.size;
  if (!size || (values.length !== 2 && values.length !== 3)) return [];
  const id: LimitId = `set.${values.length}x${isLargeCylinder(size) ? '6x12' : '4x8'}` as LimitId;
  const limit = limits.of(id, system);
  const range = rangeLine(sheet, values, limit.source);
  if (isWithin(range, limit)) return [];
  return [
    finding({
      id: 'set.range',
      severity: 'advice',
      fields: [],
      limit: cite(limit),
      message: `The set's range is ${plainOf(range, 'percent')} of its mean.`,
      action:
        'Look now, before the pieces go: diameters, fracture, caps or pads, who moulded. The result stands unless there is evidence other than the number.',
    }),
  ];
}
