import type { Verdict } from '../../acceptance/criterion';
import type { LimitId, Limits } from '../../limits';
import { type Exact, exact, type System } from '../../quantity';
import { factMeasure, factOption, factText } from '../facts';
import { SLUMP_CLASSES } from '../kinds';
import type { RunSetup } from '../setup';
import { heldWithin } from '../within';

export interface SlumpRange {
  readonly low: Exact;
  readonly high: Exact;
  readonly text: string;
  readonly source: string;
}

/** Ends of the range the specification allows, in the run's unit; undefined when no slump is specified. */
export function slumpRange(system: System, setup: RunSetup, limits: Limits): SlumpRange | undefined {
  const unit = system === 'US' ? 'in' : 'mm';
  const named = factOption(setup, 'slumpClass', SLUMP_CLASSES);
  if (named) {
    const limit = limits.of(`en/slump.class-${named}`, system);
    const low = limit.low ?? exact(0);
    const high = limit.high ?? limits.number('slump.mould-height', system);
    return { low, high, text: `${low} to ${high} ${unit} (class ${named})`, source: 'EN 206' };
  }
  const specified = factMeasure(setup, 'slump', 'length', unit);
  if (!specified) return undefined;
  const source = limits.profile === 'en' ? 'EN 206 tolerances' : 'ASTM C94/C94M tolerances';
  if (factText(setup, 'slumpKind') === 'maximum') {
    const small = specified.lessThanOrEqualTo(limits.number('slump.maximum-band', system));
    const minus = limits.number(small ? 'slump.maximum-minus-low' : 'slump.maximum-minus-high', system);
    const low = specified.minus(minus);
    const floor = low.lessThan(0) ? exact(0) : low;
    return {
      low: floor,
      high: specified,
      text: `${floor} to ${specified} ${unit} (maximum ${specified})`,
      source,
    };
  }
  const bands = limits.of('slump.target-bands', system);
  const id: LimitId = specified.lessThanOrEqualTo(bands.low ?? 0)
    ? 'slump.target-low'
    : specified.lessThanOrEqualTo(bands.high ?? 0)
      ? 'slump.target-mid'
      : 'slump.target-high';
  const tolerance = limits.number(id, system);
  const low = specified.minus(tolerance);
  const high = specified.plus(tolerance);
  return { low, high, text: `${low} to ${high} ${unit} (target ${specified} ± ${tolerance})`, source };
}

const OUTSIDE = 'Tell the purchaser’s representative now; a check test on a new sample is made at once.';

/** The slump against its specification. A class has an allowance for a single result, which is said and not hidden. */
export function slumpVerdicts(
  rounded: Exact | undefined,
  system: System,
  setup: RunSetup,
  limits: Limits,
): Verdict[] {
  const range = slumpRange(system, setup, limits);
  if (!range) return [];
  const unit = system === 'US' ? 'in' : 'mm';
  const requirement = {
    what: 'slump',
    value: rounded && { number: rounded, text: `${rounded} ${unit}` },
    low: range.low,
    high: range.high,
    range: range.text,
    source: range.source,
    outside: OUTSIDE,
  };
  const [verdict] = heldWithin(requirement);
  if (!verdict || !rounded || !factText(setup, 'slumpClass') || verdict.state === 'meets')
    return verdict ? [verdict] : [];
  const allowance = limits.of(
    setup.sample?.kind === 'preliminary' ? 'en/slump.single-first' : 'en/slump.single',
    system,
  );
  const low = range.low.minus(allowance.low ?? 0);
  const high = range.high.plus(allowance.high ?? 0);
  const single = rounded.greaterThanOrEqualTo(low) && rounded.lessThanOrEqualTo(high);
  if (!single) return [verdict];
  return [
    {
      ...verdict,
      side: undefined,
      criterion: `${verdict.criterion}, single result −${allowance.low} / +${allowance.high} ${unit}`,
      state: 'meets',
      sentence: `Outside the class but inside the allowance for a single result: ${rounded} ${unit}, ${low} to ${high} ${unit}.`,
    },
  ];
}
