import type { Limits } from '../../limits';
import { chooseSpacers, type PressSpace, type SpacerStack, stackOf } from '../../press';
import { type Exact, exact, measureIn, parseMeasure, type System } from '../../quantity';
import type { PressTest } from '../contract';
import { type EquipmentFacts, setupMeasure } from '../setup';
import { LENGTH_UNIT } from './units';

/** The room in a press for a specimen; undefined while machine or specimen are not known well enough. */
export function spaceOf(
  test: PressTest,
  machine: EquipmentFacts | undefined,
  limits: Limits,
  system: System,
): PressSpace | undefined {
  const facts = machine?.machine;
  const length = (text: string | undefined): Exact | undefined =>
    setupMeasure(text, 'length', LENGTH_UNIT[system]);
  const [clearHeight, stroke] = [length(facts?.clearHeight), length(facts?.stroke)];
  if (!clearHeight || !stroke || !test.height) return undefined;
  const of = (id: Parameters<Limits['of']>[0]): Exact => limits.number(id, system);
  const pads = test.ends === 'pads';
  const added = pads ? of('press.pad-height') : test.ends === 'bonded' ? of('press.cap-height') : exact(0);
  const give = [
    pads ? of('press.pad-give') : of('press.cap-give'),
    test.height.times(of('press.shortening')),
    (test.expected ?? exact(0)).div(of('press.stiffness')),
    of('press.after'),
  ].reduce((sum, each) => sum.plus(each));
  const gap = limits.of('press.gap', system);
  return {
    clearHeight,
    lowerBlock: length(facts?.lowerBlock) ?? exact(0),
    stroke,
    spacers: (facts?.spacers ?? []).flatMap((text) => length(text) ?? []),
    assembly: test.height.plus(added),
    give,
    gap: { low: gap.low ?? exact(0), target: of('press.gap-target'), high: gap.high ?? exact(0) },
    margin: { length: of('press.stroke-margin'), percent: of('press.stroke-share') },
  };
}

/**
 * The stack that a person says is in the press, `4 + 2` or `4 in, 2 in`; undefined when it cannot be read.
 * An empty text is no stack said; `none` is a press without spacers.
 */
export function spokenStack(text: string | undefined, system: System): Exact[] | undefined {
  const words = text?.trim() ?? '';
  if (words === '') return undefined;
  if (/^(none|no spacers?|0)$/iu.test(words)) return [];
  const unit = LENGTH_UNIT[system];
  const heights: Exact[] = [];
  for (const part of words.split(/\s*(?:\+|,|;|\band\b)\s*/u).filter(Boolean)) {
    const read = parseMeasure(part, 'length', unit);
    if (!read.ok) return undefined;
    heights.push(measureIn(read.measure, unit).value);
  }
  return heights;
}

/** The stack in a press: the one said, else the one chosen for it. */
export function stackInUse(space: PressSpace, said: readonly Exact[] | undefined): SpacerStack {
  return said ? stackOf(space, said) : chooseSpacers(space);
}
