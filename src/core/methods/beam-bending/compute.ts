import { isWithin } from '../../limits';
import { type Exact, exact, meanOf, PI, plainOf, type System } from '../../quantity';
import { bySeverity, type Finding, finding, ourChoice, Sheet, standard } from '../../working';
import { bendFindings, bendPicture, fibreFactor, meanSizes, peakOf } from '../bend/base';
import { BEND_UNITS, type Bend, bendUnits } from '../bend/units';
import type { Outcome, Result } from '../contract';
import { factTexts } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { STRESS_UNIT } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { BY, type Crack, crackFindings, crackTaken } from './crack';
import { drivenBy } from './driven';
import type { BeamBendingInput } from './input';
import { sectionLines } from './section';

const STATICS = standard('statics of the simple beam');
const OWN = ourChoice('all of one record');

export const STRESS = 'stress at the peak';
export const ENERGY = 'energy to the peak';
export const STIFFNESS = 'stiffness';

/**
 * What a beam does that is bent by its displacement: stress at the peak and at the first crack, stiffness, energies,
 * ductility; with reinforcement also what its section says.
 * @param input sizes in in or mm; the record comes with the setup, in N and mm
 * Source: statics of the simple beam; how first crack, stiffness and ductility are found in the record is our choice.
 */
export function compute(input: BeamBendingInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const bend = setup.loadLog?.bend;
  const first = crackTaken(input, bend);
  const units = BEND_UNITS[system];
  const to = bendUnits(system);
  const results: Result[] = [];
  const findings: Finding[] = [];
  const { b, d } = meanSizes(sheet, input, { source: STATICS, limits, system });
  const L = readMeasure(input, 'span')?.value;
  const P = peakOf(input, bend);
  const third = input.loading === 'third';
  if (b && d && L && P && !P.isZero() && input.loading) {
    const step = limits.number('bend.step', system);
    // N·m of kN and mm, as lbf·in of lbf and in.
    const M = sheet.line({
      symbol: 'M',
      name: 'Largest moment',
      formula: third ? 'P * L / 6' : 'P * L / 4',
      uses: { P, L },
      unit: system === 'US' ? 'in.lbf' : 'N.m',
      source: STATICS,
      show: 5,
    });
    const stress = sheet.line({
      symbol: 's',
      name: 'Stress at the peak, uncracked section',
      formula: `${fibreFactor(system)}6 * M / (b * d^2)`,
      uses: { M, b, d },
      unit: STRESS_UNIT[system],
      source: STATICS,
      round: { step, rule: `to ${limits.of('bend.step', system).text}` },
    });
    results.push(
      resultOf({ quantity: STRESS, symbol: 's', value: stress, unit: STRESS_UNIT[system], step, mode }),
    );
    if (!isWithin(stress, limits.of('bend.usual', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'bend.usual', severity: 'departure', needsReason: true, fields: ['maximumLoad'] },
          {
            message: `It would be ${plainOf(stress.toSignificantDigits(3), STRESS_UNIT[system])}.`,
            action: 'kN read as N, a third-point formula on a load in the middle, or another span?',
            remark: 'Stress at the peak not plausible.',
          },
        ),
      );
    if (input.kind === 'bars' || input.kind === 'composite')
      sectionLines(input, sheet, { M, b, L, limits, system });
    if (first) {
      const Pc = to.force(first.force);
      const crack = sheet.line({
        symbol: 'sc',
        name: `Stress at the first crack, by ${BY[first.by]}`,
        formula: third
          ? `${fibreFactor(system)}Pc * L / (b * d^2)`
          : `${fibreFactor(system)}3 * Pc * L / (2 * b * d^2)`,
        uses: { Pc, L, b, d },
        unit: STRESS_UNIT[system],
        source: OWN,
        round: { step, rule: `to ${limits.of('bend.step', system).text}` },
      });
      results.push(
        resultOf({
          quantity: 'stress at the first crack',
          symbol: 'sc',
          value: crack,
          unit: STRESS_UNIT[system],
          step,
          mode,
        }),
      );
      const ratio = sheet.line({
        symbol: 'h',
        name: 'Peak over first crack',
        formula: 'P / Pc',
        uses: { P, Pc },
        unit: 'one',
        source: OWN,
        show: 3,
      });
      results.push(
        resultOf({
          quantity: 'peak over first crack',
          symbol: 'h',
          value: ratio,
          unit: 'one',
          step: '0.01',
          mode,
        }),
      );
    }
    if (bend?.stiffness) {
      const step2 = limits.number('bend.stiffness-step', system);
      const k = to.stiffness(bend.stiffness.k);
      results.push(
        resultOf({ quantity: STIFFNESS, symbol: 'k', value: k, unit: units.stiffness, step: step2, mode }),
      );
      findings.push(...alikeFindings(k, setup, input));
      const frame = input.measuredBy === 'crosshead' ? ', frame and beam together' : '';
      sheet.line({
        symbol: 'Ea',
        name: `Apparent modulus${frame}`,
        formula: `${fibreFactor(system)}${third ? '23 * k * L^3 / (108 * b * d^3)' : 'k * L^3 / (4 * b * d^3)'}`,
        uses: { k, L, b, d },
        unit: system === 'US' ? 'psi' : 'MPa',
        source: STATICS,
        show: 4,
      });
    }
  }
  if (bend) results.push(...recordResults(input.system, bend, first, { limits, mode, sheet }));
  findings.push(...placeFindings(input, limits), ...oddFindings(input, { b, d, L }, limits));
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...bendFindings(input, setup, { limits, bend, driven: drivenBy(input, limits) }),
      ...crackFindings(input, bend, first),
      ...findings,
    ]),
    verdicts: [],
    picture: {
      kind: 'bend',
      values: {
        ...bendPicture(input, bend, [], first).values,
        words: [...(bend ? behaviour(input, bend, first) : []), ...besidePlain(input, setup, results)].join(
          ' ',
        ),
        beam: input.kind ?? null,
      },
    },
  };
}

/** Energies and ductility of the record. */
function recordResults(
  system: System,
  bend: Bend,
  first: Crack | null,
  {
    limits,
    mode,
    sheet,
  }: { readonly limits: ReturnType<typeof limitsOf>; readonly mode: Sheet['mode']; readonly sheet: Sheet },
): Result[] {
  const to = bendUnits(system);
  const units = BEND_UNITS[system];
  const found: Result[] = [];
  const energy = limits.number('bend.energy-step', system);
  const place = limits.number('bend.place-step', system);
  const crackAt = first?.at ?? 0;
  found.push(
    resultOf({
      quantity: 'displacement at the peak',
      symbol: 'dp',
      value: to.length(bend.peak.at),
      unit: units.length,
      step: place,
      mode,
    }),
    resultOf({
      quantity: ENERGY,
      symbol: 'Ep',
      value: to.energy(bend.energy.peak),
      unit: units.energy,
      step: energy,
      mode,
    }),
  );
  // The energy is of the place that the record was read at, and of no other.
  if (bend.energy.crack !== null && first?.at === bend.firstCrack?.at)
    found.push(
      resultOf({
        quantity: 'energy to the first crack',
        symbol: 'Ec',
        value: to.energy(bend.energy.crack),
        unit: units.energy,
        step: energy,
        mode,
      }),
    );
  if (bend.at85 !== null && crackAt > 0) {
    const ductility = sheet.line({
      symbol: 'mu',
      name: 'Ductility: 85 % of the peak on the falling side, over the first crack',
      formula: 'd85 / dc',
      uses: { d85: to.length(bend.at85), dc: to.length(crackAt) },
      unit: 'one',
      source: OWN,
      show: 3,
    });
    found.push(
      resultOf({
        quantity: 'ductility',
        symbol: 'mu',
        value: ductility,
        unit: 'one',
        step: limits.number('bend.ductility-step', system),
        mode,
      }),
    );
  }
  return found;
}

/** Beams of one sample are as stiff before they crack, whatever is in them: another one tells of a roller or a seat. */
function alikeFindings(k: Exact, setup: RunSetup, { system }: BeamBendingInput): Finding[] {
  const others = factTexts(setup, 'otherStiffnesses').map((text) => exact(text));
  if (others.length === 0) return [];
  const limits = limitsOf(setup);
  const off = k.div(meanOf(others)).minus(1).times(100);
  if (isWithin(off.abs(), limits.of('bend.stiffness-alike', system))) return [];
  const words = `${off.abs().toFixed(0)} % ${off.isNegative() ? 'softer' : 'stiffer'} than its fellows`;
  return [
    limitFinding(
      limits,
      system,
      { id: 'bend.stiffness-alike', severity: 'advice', fields: ['span'] },
      {
        message: `It is ${words} of the same sample.`,
        action:
          'Before the crack they are alike: look at span and sizes, for a roller that is stuck or a seat with grit.',
      },
    ),
  ];
}

function placeFindings(input: BeamBendingInput, limits: ReturnType<typeof limitsOf>): Finding[] {
  const [place, span] = [readMeasure(input, 'place')?.value, readMeasure(input, 'span')?.value];
  if (!place || !span || input.loading !== 'centre') return [];
  const off = span.div(2).minus(place).div(span).times(100);
  if (off.isNegative())
    return [
      finding({
        id: 'bend.nearer',
        severity: 'departure',
        fields: ['place'],
        message: 'That is more than half of the span.',
        action: 'Measure to the nearer support, from its line.',
        remark: 'Place of the break not consistent.',
      }),
    ];
  if (isWithin(off, limits.of('bend.centre-place', input.system))) return [];
  return [
    limitFinding(
      limits,
      input.system,
      { id: 'bend.centre-place', severity: 'departure', fields: ['place'] },
      {
        message: `It broke ${off.toFixed(1)} % of the span from the middle.`,
        action:
          'The stress at the break was less than at the peak section: look for what made it break there.',
        remark: `Broke ${off.toFixed(1)} % of the span from midspan.`,
      },
    ),
  ];
}

/** Reinforcement and cracks that cannot be as they were read. */
function oddFindings(
  input: BeamBendingInput,
  {
    b,
    d,
    L,
  }: { readonly b: Exact | undefined; readonly d: Exact | undefined; readonly L: Exact | undefined },
  limits: ReturnType<typeof limitsOf>,
): Finding[] {
  const { system } = input;
  const of = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const [area, perimeter, cracks, spacing] = ['barArea', 'barPerimeter', 'cracks', 'spacing'].map(of);
  const found: Finding[] = [];
  const odd = (id: 'bend.bar-share' | 'bend.bars', fields: readonly string[], message: string): void => {
    found.push(
      limitFinding(
        limits,
        system,
        { id, severity: 'advice', fields },
        {
          message,
          action: 'Read area and perimeter again: of all of them together, in the unit that stands there.',
        },
      ),
    );
  };
  const share = area && b && d ? area.div(b.times(d)).times(100) : undefined;
  if (share && !isWithin(share, limits.of('bend.bar-share', system)))
    odd('bend.bar-share', ['barArea'], `The reinforcement is ${share.toFixed(1)} % of the section.`);
  // A round bar has u² = 4π A: of several the square grows with their number.
  const bars = area && perimeter ? perimeter.pow(2).div(area.times(PI).times(4)) : undefined;
  if (bars && !isWithin(bars, limits.of('bend.bars', system)))
    odd(
      'bend.bars',
      ['barArea', 'barPerimeter'],
      `Area and perimeter would be those of ${bars.toFixed(1)} round bars.`,
    );
  if (cracks && spacing && L && cracks.minus(1).times(spacing).greaterThan(L))
    found.push(
      finding({
        id: 'bend.cracks',
        severity: 'advice',
        fields: ['cracks', 'spacing'],
        message: 'So many cracks so far apart do not fit into the span.',
        action: 'Count again, or measure from crack to crack.',
      }),
    );
  return found;
}

/** What the record and the cracks say of the beam, in words: ductility, crack pattern, bond. */
function behaviour(input: BeamBendingInput, bend: Bend, first: Crack | null): string[] {
  const words: string[] = [];
  const ratio = first ? bend.peak.force / first.force : 1;
  if (bend.brittle) words.push('Brittle: the force fell under half of its peak at once.');
  else if (ratio > 1.02)
    words.push(`Hardens: it carried ${ratio.toFixed(2)} times the force of its first crack.`);
  else words.push('Softens by degrees after its first crack.');
  const [cracks, spacing, widest] = ['cracks', 'spacing', 'widest'].map(
    (name) => readMeasure(input, name)?.value,
  );
  if (input.kind !== 'plain' && cracks) {
    if (cracks.greaterThan(2) && spacing)
      words.push(
        `${cracks} cracks, ${plainOf(spacing, input.system === 'US' ? 'in' : 'mm')} apart: the bond spreads the load over them.`,
      );
    else if (cracks.lessThanOrEqualTo(exact(1)) && widest)
      words.push(
        `One crack, ${plainOf(widest, input.system === 'US' ? 'in' : 'mm')} wide: ${input.failure === 'slipped' ? 'the reinforcement slipped, its bond is poor' : 'nothing spread the load beside it'}.`,
      );
  }
  if (input.failure === 'slipped' && !(cracks?.lessThanOrEqualTo(1) ?? false))
    words.push('Its reinforcement slipped before it tore: the bond gave out.');
  if (input.failure === 'shear') words.push('A slanting crack towards the load is shear, not bending.');
  return words;
}

/**
 * What a beam with something in it did beside the plain ones of its sample at the same age: no claim from a few beams but
 * that they differ by more than the method scatters.
 */
function besidePlain(input: BeamBendingInput, setup: RunSetup, results: readonly Result[]): string[] {
  if (!input.kind || input.kind === 'plain') return [];
  const kinds = factTexts(setup, 'otherKinds');
  const plains = (name: 'otherStresses' | 'otherEnergies'): Exact[] => {
    const values = factTexts(setup, name);
    // Both are told of the same tests, in the same order; where one of them gave no result they cannot be laid together.
    return values.length === kinds.length
      ? values.filter((_, place) => kinds[place] === 'plain').map((text) => exact(text))
      : [];
  };
  const own = (quantity: string): Exact | undefined => {
    const found = results.find((each) => each.quantity === quantity);
    return found && exact(found.value);
  };
  const [stresses, energies] = [plains('otherStresses'), plains('otherEnergies')];
  const [stress, energy] = [own(STRESS), own(ENERGY)];
  if (!stress || stresses.length === 0) return [];
  const ratio = stress.div(meanOf(stresses));
  const scatter = limitsOf(setup).of('beam.centre-range-2', input.system);
  const differs = !isWithin(ratio.minus(1).abs().times(100), scatter);
  const work = energy && energies.length > 0 ? energy.div(meanOf(energies)) : undefined;
  const count = stresses.length === 1 ? 'the plain one' : `the ${stresses.length} plain ones`;
  return [
    `Beside ${count} of its sample: ${ratio.toFixed(2)} times their stress at the peak${work ? `, ${work.toFixed(1)} times the energy up to it` : ''}.`,
    differs
      ? `That is more than two beams of one batch scatter, ${scatter.text}.`
      : `That lies within what two beams of one batch scatter, ${scatter.text}: it says nothing.`,
  ];
}
