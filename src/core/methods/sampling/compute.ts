import { cite, isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { clockFindings, sampleStamps } from '../stamps';
import type { SamplingInput } from './input';

const C172 = standard('ASTM C172/C172M');
const VOID = 'Discard it and sample again: every test on it is void.';

/**
 * A sample as it was taken: where in the load its portions came from, and whether it stands for the load.
 * @param input volumes of load and discharge in yd³ or m³, portions, instants
 * @returns shares of the load discharged at the portions, and what makes the sample void or remarkable
 * Source: ASTM C172/C172M, ASTM C94/C94M (from memory).
 */
export function compute(input: SamplingInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const load = readMeasure(input, 'loadVolume')?.value;
  const share = (field: 'outAtFirst' | 'outAtLast', symbol: string, name: string): Exact | undefined => {
    const out = readMeasure(input, field)?.value;
    if (!out || !load?.greaterThan(0)) return undefined;
    const value = sheet.line({
      symbol,
      name,
      formula: 'v / V',
      uses: { v: out, V: load },
      unit: 'one',
      source: C172,
    });
    results.push(resultOf({ quantity: name.toLowerCase(), symbol, value, unit: 'one', step: '0.001', mode }));
    return value;
  };
  const first = share('outAtFirst', 'q1', 'Share discharged at the first portion');
  const last = share('outAtLast', 'q2', 'Share discharged at the final portion');
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...clockFindings(input, setup, limits, ['composite']),
      ...orderFindings(input, setup),
      ...portionFindings(input, limits),
      ...(input.kind === 'preliminary'
        ? earlyFindings(input, limits)
        : middleFindings(input, first, last, limits)),
      ...pumpFindings(input),
      ...stateFindings(input, limits),
    ]),
    verdicts: [],
    picture: {
      kind: 'portions',
      values: {
        first: first?.toNumber() ?? null,
        last: last?.toNumber() ?? null,
        low: limits.of('sampling.middle', input.system).low?.toNumber() ?? 0,
        high: limits.of('sampling.middle', input.system).high?.toNumber() ?? 1,
        source: input.source ?? null,
        kind: input.kind ?? null,
      },
    },
  };
}

function orderFindings(input: SamplingInput, setup: RunSetup): Finding[] {
  const stamps = sampleStamps(input, setup);
  const [first, last, water] = [stamps['first-portion'], stamps['final-portion'], stamps['water-added']];
  const found: Finding[] = [];
  if (first !== undefined && last !== undefined && first > last) {
    found.push(
      finding({
        id: 'sampling.order',
        severity: 'invalid',
        fields: ['firstPortionAt', 'finalPortionAt'],
        message: 'The first portion was taken after the final one, by these times.',
        action: 'Correct the time that is wrong.',
      }),
    );
  }
  const sampled = first ?? last;
  if (
    input.kind !== 'preliminary' &&
    (input.allIn === false || (water !== undefined && sampled !== undefined && water > sampled))
  ) {
    found.push(
      finding({
        id: 'sampling.before-water',
        severity: 'invalid',
        fields: ['allIn'],
        message: 'The sample was taken before the last addition of water or admixture.',
        action: VOID,
      }),
    );
  }
  return found;
}

function portionFindings(input: SamplingInput, limits: Limits): Finding[] {
  const portions = readMeasure(input, 'portions')?.value;
  if (!portions || input.kind === 'preliminary') return [];
  const pile = input.source === 'pile';
  const limit = limits.of(pile ? 'sampling.picks' : 'sampling.portions', input.system);
  if (isWithin(portions, limit)) return [];
  return [
    finding({
      id: limit.id,
      severity: pile || input.kind === 'acceptance' ? 'invalid' : 'departure',
      fields: ['portions'],
      limit: cite(limit),
      message: pile
        ? `Only ${portions} places of the pile: that is no sample.`
        : 'One portion is a grab, not a composite.',
      action: pile
        ? 'Take at least five places around and in the pile.'
        : 'Resample for acceptance: two portions or more from the middle.',
      ...(pile || input.kind === 'acceptance' ? {} : { remark: 'Grab sample, one portion.' }),
    }),
  ];
}

function middleFindings(
  input: SamplingInput,
  first: Exact | undefined,
  last: Exact | undefined,
  limits: Limits,
): Finding[] {
  if (input.source === 'pile') return [];
  const limit = limits.of('sampling.middle', input.system);
  const off = [first, last].filter((share) => share !== undefined && !isWithin(share, limit));
  if (off.length === 0) return [];
  return [
    finding({
      id: limit.id,
      severity: 'invalid',
      fields: [first && !isWithin(first, limit) ? 'outAtFirst' : 'outAtLast'],
      limit: cite(limit),
      message: `${off.length === 2 ? 'Both portions are' : 'A portion is'} from the first or last part of the load (${off.map((share) => share?.toFixed(3)).join(', ')}).`,
      action: VOID,
    }),
  ];
}

function earlyFindings(input: SamplingInput, limits: Limits): Finding[] {
  const out = readMeasure(input, 'outAtFirst')?.value ?? readMeasure(input, 'outAtLast')?.value;
  const limit = limits.of('sampling.preliminary', input.system);
  if (!out || isWithin(out, limit)) return [];
  return [
    finding({
      id: limit.id,
      severity: 'invalid',
      fields: ['outAtFirst'],
      limit: cite(limit),
      message: `Taken after only ${plainOf(out, limit.unit)}: the first of a load stands for nothing.`,
      action: 'Let more run, then take the preliminary sample.',
    }),
  ];
}

function pumpFindings(input: SamplingInput): Finding[] {
  const found: Finding[] = [];
  if (input.source === 'pump' && input.boom === 'lowered') {
    found.push(
      finding({
        id: 'sampling.boom',
        severity: 'departure',
        fields: ['boom'],
        message: 'The boom was lowered for the sample: that changes the air.',
        action: 'Sample with the boom as it places.',
        remark: 'Boom lowered for the sample; air not representative.',
      }),
    );
  }
  if (input.source === 'pump' && input.slurryGone === false) {
    found.push(
      finding({
        id: 'sampling.slurry',
        severity: 'invalid',
        fields: ['slurryGone'],
        message: 'Priming slurry was still coming.',
        action: VOID,
      }),
    );
  }
  if (input.wholeStream === false && input.source !== 'pile') {
    found.push(
      finding({
        id: 'sampling.stream',
        severity: 'departure',
        fields: ['wholeStream'],
        message: 'The portions are not of the whole stream.',
        action: 'Pass the receptacle through the whole stream or divert all of it.',
        remark: 'Portions not of the whole stream.',
      }),
    );
  }
  return found;
}

function stateFindings(input: SamplingInput, limits: Limits): Finding[] {
  const found: Finding[] = [];
  const size = readMeasure(input, 'size');
  const limit = limits.of('sampling.smallest', input.system);
  if (size && input.specimens === 'yes' && !isWithin(size.value, limit)) {
    found.push(
      finding({
        id: limit.id,
        severity: 'departure',
        fields: ['size'],
        limit: cite(limit),
        message: `${plainOf(size.value, size.unit)} is too little when strength specimens are made.`,
        action: 'Take more before the tests begin.',
        remark: `Sample of ${plainOf(size.value, size.unit)}; ${limit.text} when strength specimens are made.`,
      }),
    );
  }
  const portions = readMeasure(input, 'portions')?.value ?? exact(0);
  if (input.size === undefined && portions.greaterThan(0) && input.specimens === 'yes') {
    found.push(
      finding({
        id: 'sampling.size-unknown',
        severity: 'advice',
        fields: ['size'],
        message: 'The size of the sample is not noted.',
        action: `Note it: ${limit.text} when strength specimens are made.`,
      }),
    );
  }
  return found;
}
