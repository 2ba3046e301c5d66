import type { Limits } from '../../limits';
import { lengthOf, loadsAsked, type PipeStrength, strengthOf } from '../../pipe/product';
import type { HandPump } from '../../pipe/pump';
import { type RatePlan, ratePlan } from '../../pipe/rates';
import { type Exact, exact, type System } from '../../quantity';
import { type Sheet, standard } from '../../working';
import { setupMeasure } from '../measure-text';
import { saidIn } from '../pipe/said';
import type { EquipmentFacts, RunSetup } from '../setup';
import type { ThreeEdgeInput } from './input';

/** Units of a pipe by system: of its diameter, its length, loads, D-loads and loads on a foot or metre. */
export const UNITS_OF = {
  US: { bore: 'in', long: 'ft', force: 'lbf', rate: 'lbf/min', d: 'lbf/ft/ft', foot: 'lbf/ft' },
  SI: { bore: 'mm', long: 'm', force: 'kN', rate: 'kN/min', d: 'N/m/mm', foot: 'kN/m' },
} as const;

/** A pipe as it is to be loaded: diameter in in or mm, length in ft or m, loads in lbf or kN. */
export interface PipeLoads {
  readonly system: System;
  readonly bore: Exact;
  readonly length: Exact;
  readonly overall: Exact;
  readonly words: string;
  readonly strength: PipeStrength;
  /** The load at which the crack is looked for; absent where none is asked for. */
  readonly design?: Exact;
  readonly ultimate?: Exact;
  /** By the design load, or by the ultimate one where only that is asked for. */
  readonly rates: RatePlan;
}

const C497 = standard('ASTM C497/C497M');

/**
 * The loads of a pipe by its product and joint, with their lines.
 * @param onlyMost the test goes by the ultimate load alone
 * @returns undefined while class, diameter or joint do not say them
 * Source: ASTM C76/C76M, the definition of the D-load; ASTM C497/C497M (from memory).
 */
export function loadsOf(
  setup: RunSetup,
  limits: Limits,
  system: System,
  { sheet, onlyMost = false }: { readonly sheet?: Sheet; readonly onlyMost?: boolean } = {},
): PipeLoads | undefined {
  const said = saidIn(setup);
  const strength = strengthOf(said, limits, system);
  const bore = said.asked('span', UNITS_OF[system].bore);
  const tested = lengthOf(said, system);
  if (!strength || !bore || !tested) return undefined;
  const { length } = tested;
  const { crack: design, most: ultimate } = loadsAsked(strength, bore, length, system);
  const goal = onlyMost || !design ? ultimate : design;
  if (!goal) return undefined;
  const rates = ratePlan(goal, length, limits, system, strength.steady);
  if (sheet)
    linesOf(sheet, { bore, tested, strength, design, ultimate, goal, rates, limits, system, onlyMost });
  return {
    system,
    bore,
    length,
    overall: tested.overall,
    words: tested.words,
    strength,
    ...(design ? { design } : {}),
    ...(ultimate ? { ultimate } : {}),
    rates,
  };
}

interface LinesAbout {
  readonly bore: Exact;
  readonly tested: { readonly length: Exact; readonly words: string };
  readonly strength: PipeStrength;
  readonly design: Exact | undefined;
  readonly ultimate: Exact | undefined;
  readonly goal: Exact;
  readonly rates: RatePlan;
  readonly limits: Limits;
  readonly system: System;
  readonly onlyMost: boolean;
}

function linesOf(sheet: Sheet, about: LinesAbout): void {
  const { bore, tested, strength, design, ultimate, goal, rates, limits, system, onlyMost } = about;
  const { long, force, rate } = UNITS_OF[system];
  const product = standard(strength.standard);
  const L = sheet.line({
    symbol: 'L',
    name: `Test length, ${tested.words}`,
    formula: 'L',
    uses: { L: tested.length },
    unit: long,
    source: C497,
  });
  const formula = system === 'US' ? 'D * d / 12 * L' : 'D * d * L / 1000';
  const bears = (
    symbol: string,
    name: string,
    D: Exact | undefined,
    w: Exact | undefined,
    to: Exact | undefined,
  ): void => {
    if (!to) return;
    sheet.line({
      symbol,
      name,
      ...(D ? { formula, uses: { D, d: bore, L } } : { formula: 'w * L', uses: { w: w ?? exact(0), L } }),
      unit: force,
      source: product,
    });
  };
  bears('Ps', 'Design load', strength.crack, strength.footCrack, design);
  bears('Pu', 'Ultimate load', strength.most, strength.foot, ultimate);
  const goalName = onlyMost || !design ? 'Pu' : 'Ps';
  const share = limits.number('teb.switch', system);
  sheet.line({
    symbol: 'Pt',
    name: 'Where the first rate ends',
    formula: `${goalName} * s / 100`,
    uses: { [goalName]: goal, s: share },
    unit: force,
    source: C497,
  });
  sheet.line({
    symbol: 'r1',
    name: 'First rate at the most',
    formula: 'q * L',
    uses: { q: strength.steady ?? limits.number('teb.first-rate', system), L },
    unit: rate,
    source: strength.steady ? product : C497,
  });
  sheet.line({
    symbol: 'r2',
    name: 'Second rate at the most',
    ...(strength.steady
      ? { formula: 'r1', uses: { r1: rates.first } }
      : {
          formula: `min(${goalName} / n, r1)`,
          uses: { [goalName]: goal, n: limits.number('teb.second-rate', system), r1: rates.first },
        }),
    unit: rate,
    source: strength.steady ? product : C497,
  });
}

/** Rams of a machine whose gauge shows pressure: how many, the area of each in in² or mm², and how well they work. */
export interface Rams {
  readonly count: Exact;
  readonly area: Exact;
  readonly works: Exact;
  /** Load for one unit of pressure, lbf for psi or kN for MPa. */
  readonly factor: Exact;
}

/** The rams of a machine as it is described; undefined where their area is not. */
export function ramsOf({ machine }: Pick<EquipmentFacts, 'machine'>, system: System): Rams | undefined {
  const area = setupMeasure(machine?.ramArea, 'area', system === 'US' ? 'in2' : 'mm2');
  if (!area) return undefined;
  const count = exact(machine?.rams ?? '1');
  const works = exact(machine?.ramFactor ?? '1');
  return {
    count,
    area,
    works,
    factor: count
      .times(area)
      .times(works)
      .div(system === 'US' ? 1 : 1000),
  };
}

/** The hand pump of a machine as it is described; undefined where a stroke or the rams are not. */
export function pumpOf(facts: Pick<EquipmentFacts, 'machine'>, system: System): HandPump | undefined {
  const stroke = setupMeasure(facts.machine?.strokeVolume, 'volume', system === 'US' ? 'in3' : 'mL');
  const rams = ramsOf(facts, system);
  return stroke && rams ? { stroke, count: rams.count, area: rams.area } : undefined;
}

/** What frame and pipe give together, lbf/in or kN/mm; undefined where it is not described. */
export function stiffnessOf({ machine }: Pick<EquipmentFacts, 'machine'>, system: System): Exact | undefined {
  return setupMeasure(machine?.stiffness, 'stiffness', system === 'US' ? 'lbf/in' : 'kN/mm');
}

export function machineOf(input: ThreeEdgeInput, setup: RunSetup): EquipmentFacts | undefined {
  return setup.equipment?.find(({ number }) => number === input.machine);
}
