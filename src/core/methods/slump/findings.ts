import { cite, isWithin, type Limits } from '../../limits';
import { type Exact, interpolate, type Measure, plainOf, type System, unitLabel } from '../../quantity';
import { type Finding, finding } from '../../working';
import { aggregateFindings } from '../aggregate';
import { countsIn } from '../counts';
import { equipmentUse } from '../equipment-checks';
import { type RunSetup, setupMeasure } from '../setup';
import { clockFindings } from '../stamps';
import type { SlumpInput } from './input';

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
  return input.shearedBefore === true || setup.sample?.earlierSheared === true;
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
 * How far two slumps of one operator on one sample may differ.
 * @param mean of the two, in the system's unit
 * @returns the largest difference in the same unit, between the levels by straight lines
 * Source: ASTM C143/C143M precision (from memory).
 */
export function slumpRepeatability(mean: Exact, system: System, limits: Limits): Exact {
  const levels = limits.of('slump.repeat-level', system);
  const at = (id: 'slump.repeat-low' | 'slump.repeat-mid' | 'slump.repeat-high') => limits.number(id, system);
  return interpolate(mean, [
    [levels.low ?? mean, at('slump.repeat-low')],
    [limits.number('slump.repeat-middle', system), at('slump.repeat-mid')],
    [levels.high ?? mean, at('slump.repeat-high')],
  ]);
}

function repeatFindings(
  input: SlumpInput,
  read: Measure | undefined,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const earlier = setupMeasure(setup.sample?.earlierSlump, 'length', input.system === 'US' ? 'in' : 'mm');
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
