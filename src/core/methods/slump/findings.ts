import { cite, isWithin, type Limits } from '../../limits';
import {
  type Exact,
  exact,
  interpolate,
  type Measure,
  plainOf,
  type System,
  unitLabel,
} from '../../quantity';
import { type Finding, finding } from '../../working';
import { aggregateFindings } from '../aggregate';
import { countsIn } from '../counts';
import { equipmentUse } from '../equipment-checks';
import { factMeasure, factText } from '../facts';
import { readMeasure } from '../fields';
import type { RunSetup } from '../setup';
import { clockFindings, sampleStamps } from '../stamps';
import type { SlumpInput } from './input';
import { slumpRange } from './range';

/** Everything a slump test is held against besides the specification. */
export function slumpFindings(
  input: SlumpInput,
  read: Measure | undefined,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  return [
    ...equipmentUse(input, { mould: 'departure' }, input.readAt, setup, limits),
    ...clockFindings(
      input,
      setup,
      limits,
      ['slump-start', 'slump-total', 'slump-off', 'slump-lift', 'slump-read'],
      {
        'slump-start': 'startDelay',
        'slump-total': 'totalTime',
        'slump-lift': 'liftTime',
      },
    ),
    ...totalFindings(input),
    ...layerFindings(input, limits),
    ...aggregateFindings(
      input,
      'slump.aggregate',
      'cone',
      'Wet-sieve the part for the slump, remix it and test that, inside the same clocks.',
      setup,
      limits,
    ),
    ...shapeFindings(input, shearedTwice(input, setup), limits),
    ...rangeFindings(input, read, limits),
    ...repeatFindings(input, read, setup, limits),
    ...suspectFindings(input, read, setup, limits),
  ];
}

/** The whole cannot take less time than a part of it. */
function totalFindings(input: SlumpInput): Finding[] {
  const [lift, total] = [readMeasure(input, 'liftTime'), readMeasure(input, 'totalTime')];
  if (!lift || !total?.value.lessThan(lift.value)) return [];
  return [
    finding({
      id: 'slump.total-below-lift',
      severity: 'departure',
      needsReason: true,
      fields: ['totalTime', 'liftTime'],
      message: `From fill to mould off ${plainOf(total.value, total.unit)}, the lift alone ${plainOf(lift.value, lift.unit)}.`,
      action: 'The lift is part of it: one of the two is wrong. Minutes and seconds are typed as 2:05.',
      remark: 'Times of filling and lifting not consistent.',
    }),
  ];
}

function layerFindings(input: SlumpInput, limits: Limits): Finding[] {
  const layers = limits.number('slump.layers', input.system).toNumber();
  const strokes = limits.of('slump.strokes', input.system);
  const counted = countsIn(input.strokes);
  const wrong =
    counted.length > 0 && (counted.length !== layers || counted.some((each) => !isWithin(each, strokes)));
  if (input.layers !== false && !wrong) return [];
  return [
    finding({
      id: 'slump.layers',
      severity: 'invalid',
      fields: [wrong ? 'strokes' : 'layers'],
      limit: { ...cite(strokes), text: `${layers} layers of ${strokes.high} strokes` },
      message: wrong
        ? `Counted ${counted.join(', ')}: the method asks for ${layers} layers of ${strokes.high} strokes.`
        : 'Layers or strokes were not as the method asks.',
      action: 'Repeat on another part of the sample.',
    }),
  ];
}

/** True when the portion before this one sheared too: said by the technician, or known from the test before. */
export function shearedTwice(input: SlumpInput, setup: RunSetup): boolean {
  return input.shearedBefore === true || factText(setup, 'earlierShape') === 'shear';
}

function shapeFindings(input: SlumpInput, twice: boolean, limits: Limits): Finding[] {
  if (input.shape === 'collapse') {
    return [
      finding({
        id: 'slump.collapse',
        severity: 'invalid',
        fields: ['shape'],
        message: 'The cone collapsed: the method does not apply.',
        action:
          limits.profile === 'is'
            ? 'Repeat once on another sample; measure slump flow if the mix is meant to flow.'
            : 'Report the collapse; measure slump flow if the mix is meant to flow.',
      }),
    ];
  }
  if (input.shape !== 'shear') return [];
  if (twice && limits.profile === 'is') {
    return [
      finding({
        id: 'slump.sheared',
        severity: 'departure',
        fields: ['shape'],
        message: 'Two portions in a row sheared: this school measures the second and reports it as sheared.',
        action: 'Measure it and report the number with the word sheared.',
        remark: 'Sheared slump.',
      }),
    ];
  }
  return [
    finding({
      id: twice ? 'slump.shear-twice' : 'slump.shear',
      severity: 'invalid',
      fields: ['shape'],
      message: twice
        ? 'Two portions in a row sheared: the concrete lacks the cohesion this test needs.'
        : 'A sheared portion gives no slump.',
      action: twice
        ? 'Report "slump test not applicable, lacks cohesion". No number is reported.'
        : 'Repeat on another portion of the sample. If it shears again, the test is not applicable.',
    }),
  ];
}

function rangeFindings(input: SlumpInput, read: Measure | undefined, limits: Limits): Finding[] {
  if (!read) {
    if (input.shape !== 'true') return [];
    return [
      finding({
        id: 'slump.not-measured',
        severity: 'invalid',
        fields: ['slump'],
        message: 'The cone stood true and no slump was measured.',
        action: 'Measure it at once, or repeat on another part of the sample.',
      }),
    ];
  }
  const limit = limits.of('slump.measurable', input.system);
  if (isWithin(read.value, limit)) return [];
  const high = limit.high !== undefined && read.value.greaterThan(limit.high);
  if (limits.profile === 'en') {
    return [
      finding({
        id: 'slump.measurable',
        severity: 'departure',
        fields: ['slump'],
        limit: cite(limit),
        message: `${plainOf(read.value, read.unit)} is beyond the range in which the test is sensitive.`,
        action: 'Report it with the remark; another consistency test tells more.',
        remark: `Slump outside ${limit.text}.`,
      }),
    ];
  }
  return [
    finding({
      id: 'slump.measurable',
      severity: 'invalid',
      fields: ['slump'],
      limit: cite(limit),
      message: `${plainOf(read.value, read.unit)} is outside what this method can tell.`,
      action: high
        ? `Report "more than ${limit.high} ${unitLabel(limit.unit)}, not applicable"; measure slump flow if the mix is cohesive.`
        : `Report "less than ${limit.low} ${unitLabel(limit.unit)}, not plastic enough for the method".`,
    }),
  ];
}

/**
 * How far two slumps on one sample may differ.
 * @param mean of the two, in the system's unit
 * @param people one operator's two, or two people's
 * @returns the largest difference in the same unit, between the levels by straight lines
 * Source: ASTM C143/C143M precision (from memory).
 */
export function slumpRepeatability(
  mean: Exact,
  system: System,
  limits: Limits,
  people: 'one' | 'two' = 'one',
): Exact {
  const levels = limits.of('slump.repeat-level', system);
  const at = (level: 'low' | 'mid' | 'high') =>
    limits.number(people === 'one' ? `slump.repeat-${level}` : `slump.people-${level}`, system);
  return interpolate(mean, [
    [levels.low ?? mean, at('low')],
    [limits.number('slump.repeat-middle', system), at('mid')],
    [levels.high ?? mean, at('high')],
  ]);
}

function repeatFindings(
  input: SlumpInput,
  read: Measure | undefined,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const earlier = factMeasure(setup, 'earlierSlump', 'length', input.system === 'US' ? 'in' : 'mm');
  if (!read || !earlier || input.shape !== 'true') return [];
  const allowed = slumpRepeatability(read.value.plus(earlier).div(2), input.system, limits);
  const difference = read.value.minus(earlier).abs();
  if (difference.lessThanOrEqualTo(allowed)) return [];
  return [
    finding({
      id: 'slump.repeat',
      severity: 'advice',
      fields: ['slump'],
      limit: {
        ...cite(limits.of('slump.repeat-mid', input.system)),
        text: `not more than ${plainOf(allowed, read.unit)} at this level`,
      },
      message: `It differs by ${plainOf(difference, read.unit)} from the slump before on this sample.`,
      action: 'Look for a cause. Two slumps are never averaged into one result.',
    }),
  ];
}

/** A slump that the rest of what is known of the load does not explain. Common practice, no source. */
function suspectFindings(
  input: SlumpInput,
  read: Measure | undefined,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { system } = input;
  if (!read || input.shape !== 'true') return [];
  const us = system === 'US';
  const found: Finding[] = [];
  const temperature = factMeasure(setup, 'measuredTemperature', 'temperature', us ? 'degF' : 'degC');
  const { batched, 'final-portion': sampled } = sampleStamps(input, setup);
  const range = slumpRange(system, setup, limits);
  const hot = limits.of('slump.hot-above', system);
  const old = limits.of('slump.old-after', system);
  const age = batched === undefined || sampled === undefined ? 0 : (sampled - batched) / 60_000;
  if (
    range?.high &&
    read.value.greaterThan(range.high) &&
    temperature?.greaterThan(hot.high ?? temperature) &&
    age > (old.high?.toNumber() ?? age)
  ) {
    found.push(
      finding({
        id: 'slump.hot-above',
        severity: 'advice',
        fields: ['slump'],
        limit: cite(hot),
        message: `High slump of a load that is ${Math.floor(age)} min old and ${plainOf(temperature, us ? 'degF' : 'degC')} warm: it should have stiffened.`,
        action: 'Ask for water or admixture that is not on the ticket, wash water too.',
      }),
    );
  }
  const previous = factMeasure(setup, 'previousSlump', 'length', us ? 'in' : 'mm');
  const jump = limits.of('slump.jump', system);
  const [ratio, ratioBefore] = [factText(setup, 'ratio'), factText(setup, 'previousRatio')];
  const same =
    ratio !== undefined && ratioBefore !== undefined && exact(ratio).lessThanOrEqualTo(ratioBefore);
  if (previous && same && read.value.minus(previous).greaterThanOrEqualTo(jump.high ?? previous)) {
    found.push(
      finding({
        id: 'slump.jump',
        severity: 'advice',
        fields: ['slump'],
        limit: cite(jump),
        message: `${plainOf(read.value.minus(previous), read.unit)} more than the load before, with no more water on its ticket.`,
        action: 'Ask for wash water and admixture.',
      }),
    );
  }
  return found;
}
