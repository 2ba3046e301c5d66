import { isWithin } from '../../limits';
import type { PipeStanding } from '../../pipe/retests';
import { type Exact, exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, isReportable, Sheet, standard } from '../../working';
import type { Outcome, Picture, Result } from '../contract';
import { dayOf } from '../equipment-checks';
import { factText } from '../facts';
import { type Lean, type Worth, worthOf } from '../leans';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { limitsOf, type RunSetup } from '../setup';
import { beamFindings, machineFindings, productFinding, stripFindings } from './apparatus';
import { crackSays, cracksOf } from './crack';
import { type Gauge, gaugeOf, loadRead, recordOf } from './gauge';
import type { ThreeEdgeInput } from './input';
import { likelyFindings } from './likely';
import { holdFindings, rateFindings, ratesIn } from './loading';
import { loadsOf, type PipeLoads, UNITS_OF } from './loads';
import { pictureOf } from './picture';
import { sizeFindings } from './sizes';

/** The quantities that a pipe between three edges gives. */
export const CRACK = 'D-load at the 0.01 in crack';
export const MOST = 'ultimate D-load';
export const FOOT = 'ultimate load on its length';
export const FOOT_CRACK = 'load on its length at the crack';
/** The D-load at the crack of a pipe that went to it: no bound. */
export const KNOWN = 'known D-load at the crack';

const C497 = standard('ASTM C497/C497M');

/** The loads that were read, on the pipe, lbf or kN. */
interface Read {
  readonly sound: Exact | undefined;
  readonly opened: Exact | undefined;
  readonly most: Exact | undefined;
  readonly sank: Exact | undefined;
  readonly hairline: Exact | undefined;
}

/**
 * What a pipe bore between three edges: the D-load at its 0.01 in crack and at its end.
 * @param input strips, beam, gauge, loads over time, probes along the crack, loads as the gauge showed them
 * @param setup facts: its product, class, size and joint; machine with rams where the gauge shows pressure
 * @returns D-loads in lbf/ft/ft or N/m/mm, of plain pipe the load on its length; `at least` where it was stopped, `at most`
 *   where it was loaded too fast, provisional while the probes cannot tell
 * Source: ASTM C497/C497M, C76/C76M (from memory); what a rate that was too fast is worth is our choice.
 */
export function compute(input: ThreeEdgeInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const onlyMost = input.purpose === 'most';
  const loads = loadsOf(setup, limits, system, { sheet, onlyMost });
  const gauge = gaugeOf(input, setup);
  const read = readOf(input, gauge, sheet);
  const record = recordOf(input, gauge);
  const log = record === 'unreadable' ? undefined : record;
  const cracks = cracksOf(input, limits);
  const says = crackSays(cracks);
  const findings: Finding[] = machineFindings(input, loads, setup, limits);
  for (const crack of cracks)
    if (crack.says.says === 'it is the crack')
      sheet.line({
        symbol: 'Lc',
        name: `Length that the leaf enters over, place by place${crack.where ? `, ${crack.where}` : ''}`,
        formula: 'b - a',
        uses: { a: exact(crack.says.from), b: exact(crack.says.to) },
        unit: UNITS_OF[system].bore,
        source: C497,
      });
  if (record === 'unreadable')
    findings.push(
      finding({
        id: 'teb.trace',
        severity: 'departure',
        fields: ['trace'],
        message: 'The record cannot be read.',
        action: 'Two numbers a line, seconds and load, in the order of time.',
        remark: 'The record of the load could not be read.',
      }),
    );
  findings.push(...turnFindings(input, setup));
  const results: Result[] = [];
  let fast = false;
  if (!loads) findings.push(productFinding());
  else {
    const parts = ratesIn(log, loads, limits, system, sheet);
    fast = parts.length > 0;
    if (!loads.design && input.purpose && input.purpose !== 'most')
      findings.push(
        finding({
          id: 'teb.purpose',
          severity: 'advice',
          fields: ['purpose'],
          message: 'Of pipe that is not reinforced no crack is asked for.',
          action: 'Choose the ultimate load only: it goes by that.',
        }),
      );
    findings.push(
      ...stripFindings(input, loads, limits),
      ...beamFindings(input, loads, setup, limits, sheet),
      ...sizeFindings(input, loads, setup, limits),
      ...lengthFindings(loads, limits, system),
      ...rateFindings(parts, loads, limits, system),
      ...holdFindings(input, loads, read, limits),
    );
    const leans: Lean[] = fast ? [{ bound: 'at most', why: 'it was loaded too fast' }] : [];
    results.push(
      ...crackResult(input, loads, read, { says, leans, probed: cracks.length > 0 }, sheet, setup),
      ...mostResult(input, loads, read, leans, sheet, setup),
    );
    findings.push(
      ...crackFindings(input, loads, read, says, cracks, setup),
      ...nearFindings(results, loads, setup),
      ...likelyFindings(results, loads, read, limits, setup),
    );
  }
  const standing = standingOf(results, loads, fast, isReportable(findings));
  const day = dayOf(input.testedAt, setup);
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: withJudged(
      pictureOf({ input, setup, loads, log, cracks, says, limits }),
      standing && day
        ? packedRows([
            [
              day,
              factText(setup, 'mark') ?? '',
              standing,
              factText(setup, 'retestOf') ?? '',
              input.purpose ?? '',
            ],
          ])
        : null,
    ),
  };
}

/** With how the pipe stands, for what is counted of its year: day, mark, standing, the one that it is tested for, purpose. */
function withJudged(picture: Picture, judged: string | null): Picture {
  return { ...picture, values: { ...picture.values, judged } };
}

function readOf(input: ThreeEdgeInput, gauge: Gauge, sheet: Sheet): Read {
  const of = (name: 'sound' | 'opened' | 'most', symbol: string, title: string): Exact | undefined =>
    loadRead(input, [name, `${name}Pressure`], gauge, { sheet, symbol, name: title });
  return {
    sound: of('sound', 'P0', 'Last load held without the crack, on the pipe'),
    opened: of('opened', 'P1', 'First load at which it was the crack'),
    most: of('most', 'Pm', 'Greatest load'),
    sank: loadRead(input, ['sank', ''], gauge),
    hairline: loadRead(input, ['hairline', ''], gauge),
  };
}

/** An elliptical cage has a top; a round one has none. */
function turnFindings(input: ThreeEdgeInput, setup: RunSetup): Finding[] {
  const cage = factText(setup, 'cage');
  if (input.turned !== 'none' || (cage !== 'elliptical' && cage !== 'quadrant')) return [];
  return [
    finding({
      id: 'teb.turned',
      severity: 'invalid',
      fields: ['turned'],
      beforeLoad: true,
      message: `Its cage is ${cage}: which way it lies decides what it bears.`,
      action: 'Find the mark of its top, or the drawing; set it with the top up.',
    }),
  ];
}

function lengthFindings(
  { length, overall }: PipeLoads,
  limits: ReturnType<typeof limitsOf>,
  system: ThreeEdgeInput['system'],
): Finding[] {
  const share = length.div(overall).times(100);
  if (isWithin(share, limits.of('teb.length', system))) return [];
  return [
    limitFinding(
      limits,
      system,
      { id: 'teb.length', severity: 'departure', fields: ['purpose'], beforeLoad: true },
      {
        message: `Its test length is ${share.toFixed(0)} % of its overall length.`,
        action: 'Look at the drawing of the joint: too short a length stops the test too early.',
        remark: `Test length ${share.toFixed(0)} % of the overall length.`,
      },
    ),
  ];
}

interface CrackAbout {
  readonly says: ReturnType<typeof crackSays>;
  readonly leans: readonly Lean[];
  readonly probed: boolean;
}

/** The D-load of a load, with its line. */
function dLoad(
  sheet: Sheet,
  symbol: string,
  name: string,
  P: Exact,
  { bore, length }: PipeLoads,
  system: ThreeEdgeInput['system'],
): Exact {
  return sheet.line({
    symbol,
    name,
    formula: system === 'US' ? 'P / (L * d / 12)' : '1000 * P / (L * d)',
    uses: { P, L: length, d: bore },
    unit: UNITS_OF[system].d,
    source: C497,
  });
}

function crackResult(
  input: ThreeEdgeInput,
  loads: PipeLoads,
  { sound, opened, hairline }: Read,
  { says, leans, probed }: CrackAbout,
  sheet: Sheet,
  setup: RunSetup,
): Result[] {
  const { system } = input;
  if (!loads.design || input.purpose === 'most') return [];
  const found = says === 'it is the crack' || (opened !== undefined && says !== 'probe on');
  // Found at the first look, nothing is known but that it is no more than that.
  const load = sound ?? (found ? opened : undefined);
  if (!load) return [];
  const own: Lean[] = [
    ...leans,
    ...(found && sound
      ? []
      : found
        ? [{ bound: 'at most', why: 'it was the crack when it was first probed' } as const]
        : [{ bound: 'at least', why: 'it was not the crack yet' } as const]),
  ];
  const open =
    says === 'probe on'
      ? 'the probes cannot tell yet whether it is the crack'
      : !probed && hairline && !opened && input.purpose !== 'proof'
        ? 'a hairline was seen and not probed'
        : undefined;
  const worth = open ? { provisional: open } : worthOf(own);
  if (loads.strength.footCrack)
    return [
      footResult(
        [FOOT_CRACK, 'wc', 'Last load without the crack, on its length'],
        load,
        loads,
        worth,
        sheet,
        setup,
        system,
      ),
    ];
  const value = dLoad(sheet, 'Dc', 'D-load at the last load without the crack', load, loads, system);
  return [
    resultOf({
      quantity: CRACK,
      symbol: 'Dc',
      value,
      unit: UNITS_OF[system].d,
      step: limitsOf(setup).number('teb.step', system),
      mode: sheet.mode,
      ...worth,
    }),
  ];
}

function mostResult(
  input: ThreeEdgeInput,
  loads: PipeLoads,
  { most }: Read,
  leans: readonly Lean[],
  sheet: Sheet,
  setup: RunSetup,
): Result[] {
  const { system, purpose } = input;
  if (!most || purpose === 'crack') return [];
  // No rate is asked for once the design load was carried: only what goes by its ultimate load alone leans by it.
  const own: Lean[] = [
    ...(purpose === 'most' || !loads.design ? leans : []),
    ...(input.ended === 'stopped' || input.ended === 'noise'
      ? [{ bound: 'at least', why: 'it was stopped before its end' } as const]
      : []),
  ];
  const worth = worthOf(own);
  if (loads.strength.foot)
    return [footResult([FOOT, 'w', 'Greatest load on its length'], most, loads, worth, sheet, setup, system)];
  return [
    resultOf({
      quantity: MOST,
      symbol: 'Dm',
      value: dLoad(sheet, 'Dm', 'Ultimate D-load', most, loads, system),
      unit: UNITS_OF[system].d,
      step: limitsOf(setup).number('teb.step', system),
      mode: sheet.mode,
      ...worth,
    }),
  ];
}

/** What a load comes to on a foot or metre of the pipe, with its line. */
function footResult(
  [quantity, symbol, name]: readonly [quantity: string, symbol: string, name: string],
  load: Exact,
  { length }: PipeLoads,
  worth: Worth,
  sheet: Sheet,
  setup: RunSetup,
  system: ThreeEdgeInput['system'],
): Result {
  const unit = UNITS_OF[system].foot;
  return resultOf({
    ...{ quantity, symbol, unit, mode: sheet.mode, ...worth },
    value: sheet.line({ symbol, name, formula: 'P / L', uses: { P: load, L: length }, unit, source: C497 }),
    step: limitsOf(setup).number('teb.step-foot', system),
  });
}

function crackFindings(
  input: ThreeEdgeInput,
  { design }: PipeLoads,
  { sound, opened }: Read,
  says: ReturnType<typeof crackSays>,
  cracks: ReturnType<typeof cracksOf>,
  setup: RunSetup,
): Finding[] {
  const { system } = input;
  const { bore, force } = UNITS_OF[system];
  const limits = limitsOf(setup);
  const found: Finding[] = [];
  if (says === 'probe on') {
    const at = cracks.flatMap((crack) => (crack.says.says === 'probe on' ? crack.says.at : []));
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'teb.probe-gap', severity: 'departure', fields: ['probes'] },
        {
          message: 'It cannot be told whether it is the crack.',
          action: `Hold the load and probe at ${at.map((each) => plainOf(exact(each).toDecimalPlaces(2), bore)).join(', ')}.`,
          remark: 'Probes too far apart to tell the crack.',
        },
      ),
    );
  }
  if (says === 'it is the crack' && !opened)
    found.push(
      finding({
        id: 'teb.opened',
        severity: 'departure',
        fields: ['opened'],
        message: 'The load at which it was the crack is not noted.',
        action: 'Type what the gauge showed when it was probed.',
        remark: 'Load at which the crack was found not noted.',
      }),
    );
  if (says === 'it is not' && opened)
    found.push(
      finding({
        id: 'teb.probes',
        severity: 'departure',
        fields: ['probes', 'opened'],
        message: 'It is said to be the crack, the probes do not show it.',
        action: 'Probe it again at that load: over a foot, no more than 3 in [75 mm] from one to the next.',
        remark: 'Crack noted without probes that show it.',
      }),
    );
  if (opened && cracks.length === 0)
    found.push(
      finding({
        id: 'teb.unprobed',
        severity: 'departure',
        fields: ['probes'],
        message: 'A crack by the eye or a card is called too early or too late.',
        action: 'Probe it with the leaf: a list of places.',
        remark: 'Crack called without probes.',
      }),
    );
  // What was held is below what is asked: it is a failure to be looked into, and both numbers are wanted.
  if (design && opened && (!sound || sound.lessThan(design)) && input.purpose !== 'crack')
    found.push(
      finding({
        id: 'teb.early',
        severity: 'advice',
        fields: ['opened'],
        message: `It is the crack below the design load, ${plainOf(design.toSignificantDigits(5), force)}.`,
        action: 'Note it and go on to its end all the same: both numbers tell what was wrong.',
      }),
    );
  return found;
}

/** What is asked of a result, in its own unit; undefined where nothing is. */
function askedOf(
  { strength: { crack, most, foot, footCrack } }: PipeLoads,
  quantity: string,
): Exact | undefined {
  return { [CRACK]: crack, [MOST]: most, [FOOT]: foot, [FOOT_CRACK]: footCrack }[quantity];
}

/** A number so near to what is asked that the machine may be what decides. */
function nearFindings(results: readonly Result[], loads: PipeLoads, setup: RunSetup): Finding[] {
  const limits = limitsOf(setup);
  const near = results.flatMap(({ quantity, value }) => {
    const asked = askedOf(loads, quantity);
    const share = asked && exact(value).div(asked).minus(1).times(100);
    return share && isWithin(share, limits.of('teb.near', 'US')) ? [quantity] : [];
  });
  if (near.length === 0) return [];
  return [
    limitFinding(
      limits,
      'US',
      { id: 'teb.near', severity: 'advice', fields: ['machine'] },
      {
        message: `Within the accuracy of a machine of what is asked: ${near.join(' and ')}.`,
        action: 'The number decides as it is; say that it is near.',
      },
    ),
  ];
}

/** How one pipe stands: for what is counted over a year. Undefined while nothing can be said. */
function standingOf(
  results: readonly Result[],
  loads: PipeLoads | undefined,
  fast: boolean,
  valid: boolean,
): PipeStanding | undefined {
  if (!loads || results.length === 0 || !valid) return undefined;
  const low = results.some(({ quantity, value, bound, provisional }) => {
    const asked = askedOf(loads, quantity);
    return !provisional && bound !== 'at least' && asked && exact(value).lessThan(asked);
  });
  if (low) return 'fails';
  if (results.some(({ provisional }) => provisional)) return 'open';
  if (fast) return 'again';
  const short = results.some(({ quantity, value }) => {
    const asked = askedOf(loads, quantity);
    return asked && exact(value).lessThan(asked);
  });
  return short ? 'open' : 'meets';
}
