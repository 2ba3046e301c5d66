import { type Limit, type LimitId, type Limits, limitText } from '../../limits';
import { ofDeclared, schoolOf } from '../../materials/schools';
import { convert, type Exact, exact, type System } from '../../quantity';
import { type Finding, finding, type Sheet, standard } from '../../working';
import type { PressTest, Step } from '../contract';
import { factMeasure, factText } from '../facts';
import { FORCE_FACTOR, STRESS_UNIT } from '../press/units';
import type { RunSetup } from '../setup';
import { bandFor, type HalfRow } from './rates';
import { shapeFactor } from './shape-factor';

/** What a unit of another school bears on. */
export const BEARING = {
  label: 'Bearing faces',
  options: [
    { value: 'ground', label: 'Ground plane' },
    { value: 'mortar', label: 'Cement mortar, hardened' },
    { value: 'plywood', label: 'Between plywood, 3 mm, recess filled' },
  ],
  carry: true,
  help: 'EN grinds or caps with mortar; IS lays it between plywood.',
  example: '',
} as const;

/** How wet it was broken: its strength is brought to that of an air-dry one. */
export const CONDITION = {
  label: 'Broken',
  options: [
    { value: 'air', label: 'Air-dry' },
    { value: 'oven', label: 'Oven-dry' },
    { value: 'wet', label: 'After immersion' },
  ],
  carry: true,
  help: 'Of EN: strength is brought to the air-dry one.',
  example: '',
} as const;

export interface OfSchool {
  readonly system: System;
  bearing?: 'ground' | 'mortar' | 'plywood';
  condition?: 'air' | 'oven' | 'wet';
}

/** The school that a unit is loaded by: EN or IS; undefined where it is loaded as ASTM has it. */
export function loadedBy(setup: RunSetup): 'en' | 'is' | undefined {
  const school = schoolOf(factText(setup, 'product'));
  return school === 'csa' ? undefined : school;
}

/** The strength that a school asks for by what is declared, psi or MPa; undefined for a product of ASTM. */
export function declaredStrength(
  setup: RunSetup,
  which: 'mean' | 'each',
  system: System,
  limits: Limits,
): Exact | undefined {
  const declared = factMeasure(setup, 'declared', 'stress', STRESS_UNIT[system]);
  return declared && schoolOf(factText(setup, 'product'))
    ? ofDeclared(declared, which, limits, system)
    : undefined;
}

/** What is read besides, where a school loads it otherwise. */
export const SCHOOL_STEP: Step = {
  id: 'school',
  title: 'As its school has it',
  phase: 'before',
  instruction:
    'EN: faces ground or capped with mortar, at least six units, and how wet they are. IS: 24 h in water, frog filled, between plywood.',
  fields: ['bearing', 'condition'],
  when: (setup) => loadedBy(setup) !== undefined,
};

/** The expected strengths up to which a rate of EN holds, in N/mm², with its row. Source: EN 772-1 (from memory). */
const RATES: readonly (readonly [upTo: number, row: LimitId])[] = [
  [10, 'school.rate-10'],
  [20, 'school.rate-20'],
  [40, 'school.rate-40'],
  [80, 'school.rate-80'],
];

/**
 * The rate of the stress that a school asks for.
 * @param expected strength that is expected, psi or MPa
 * @returns N/mm² a second
 * Source: EN 772-1; IS 3495-1 and IS 2185-1 (from memory).
 */
export function schoolRate(
  school: 'en' | 'is',
  expected: Exact,
  limits: Limits,
  system: System,
): { readonly rate: Exact; readonly row: LimitId } {
  if (school === 'is')
    return { rate: limits.number('school.rate-is', system).div(60), row: 'school.rate-is' };
  const stress = convert(expected, STRESS_UNIT[system], 'MPa');
  const row = RATES.find(([upTo]) => stress.lessThanOrEqualTo(upTo))?.[1] ?? 'school.rate-more';
  return { rate: limits.number(row, system), row };
}

/** A load that is expected on an area, lbf or kN on in² or mm². */
interface OnArea {
  readonly area: Exact;
  readonly load: Exact;
}

/** The band of the load on an area, lbf/s or kN/s, about the rate of a school. */
export function schoolBand(
  school: 'en' | 'is',
  { area, load }: OnArea,
  limits: Limits,
  system: System,
): Limit & { readonly target: Exact } {
  const factor = FORCE_FACTOR[system];
  const { rate, row } = schoolRate(school, load.times(factor).div(area), limits, system);
  const target = convert(rate, 'MPa', STRESS_UNIT[system]).times(area).div(factor);
  const off = limits.number('school.rate-off', system).div(100);
  const unit = system === 'US' ? 'lbf/s' : 'kN/s';
  const [low, high] = [target.times(exact(1).minus(off)), target.times(exact(1).plus(off))];
  const shown = (value: Exact): string => value.toFixed(system === 'US' ? 0 : 2);
  const text = limitText({ low: shown(low), high: shown(high), unit });
  return { ...limits.of(row, system), low, high, unit, text, target };
}

/** How a unit is loaded in the press: by the time of its second half, or at the rate of its school. */
export function loading(
  school: 'en' | 'is' | undefined,
  { row, ...on }: OnArea & { readonly row: HalfRow },
  limits: Limits,
  system: System,
): Pick<PressTest, 'band' | 'from' | 'halves'> {
  if (!school)
    return { band: bandFor(on.load, row, limits, system), from: 'half', halves: limits.of(row, system) };
  return { band: schoolBand(school, on, limits, system), from: school === 'en' ? 'half' : 'start' };
}

/** Faces that nobody said anything of. */
function bearingFindings({ bearing }: OfSchool): Finding[] {
  if (bearing) return [];
  return [
    finding({
      id: 'school.bearing',
      severity: 'departure',
      needsReason: true,
      beforeLoad: true,
      fields: ['bearing'],
      message: 'What it bears on is not on record.',
      action: 'Grind its faces, cap them with mortar, or lay it between plywood, as its school has it.',
      remark: 'Bearing faces not on record.',
    }),
  ];
}

/** Height and least width, in or mm. */
interface Size {
  readonly height: Exact | undefined;
  readonly width: Exact | undefined;
}

const EN = standard('EN 772-1');

/**
 * The normalised strength of a unit: that of an air-dry one, 100 mm high and wide.
 * @param gross strength on the gross area with its symbol, psi or MPa @param size height and least width, in or mm
 * @returns undefined outside the table of factors, or while it is not said how wet it was
 * Source: EN 772-1 (from memory).
 */
export function normalised(
  sheet: Sheet,
  gross: { readonly symbol: string; readonly value: Exact },
  size: Size,
  input: OfSchool,
  limits: Limits,
): Exact | undefined {
  const { condition, system } = input;
  if (!condition || !size.height || !size.width) return undefined;
  const factor = shapeFactor(size.height, size.width, limits, system);
  if (!factor) return undefined;
  const step = limits.number('unit.strength-step', system);
  return sheet.line({
    symbol: 'fb',
    name: 'Normalised strength',
    formula: `${gross.symbol} * kc * d`,
    uses: { [gross.symbol]: gross.value, kc: limits.number(`school.${condition}`, system), d: factor },
    unit: STRESS_UNIT[system],
    source: EN,
    round: { step, rule: `strength to ${step} ${STRESS_UNIT[system]}` },
  });
}

/** What keeps a unit from a normalised strength. */
function normalisedFindings(size: Size, { condition, system }: OfSchool, limits: Limits): Finding[] {
  const about = { severity: 'departure', needsReason: false } as const;
  if (!condition)
    return [
      finding({
        ...about,
        id: 'school.condition',
        fields: ['condition'],
        message: 'How wet it was broken is not said.',
        action: 'Air-dry, oven-dry or after immersion: without it there is no normalised strength.',
        remark: 'Normalised strength not worked out: moisture at the break not recorded.',
      }),
    ];
  if (!size.height || !size.width || shapeFactor(size.height, size.width, limits, system)) return [];
  return [
    finding({
      ...about,
      id: 'school.shape',
      fields: [],
      message: 'Its height and width lie outside the table of shape factors.',
      action: 'The strength on its gross area stands; there is no normalised one.',
      remark: 'Outside the table of shape factors: no normalised strength.',
    }),
  ];
}

/** What is said of a unit that its school has loaded otherwise. */
export function schoolFindings(school: 'en' | 'is', size: Size, input: OfSchool, limits: Limits): Finding[] {
  return [...bearingFindings(input), ...(school === 'en' ? normalisedFindings(size, input, limits) : [])];
}
