import type { Limits } from '../../limits';
import { BEAMS, nominalOf } from '../../moulds';
import { type Exact, exact } from '../../quantity';
import { expectedRupture } from '../beam/expected';
import { DEPTHS, WIDTHS } from '../beam/sizes';
import type { Driven, PressTest, PressUse } from '../contract';
import { readMeasure } from '../fields';
import { FORCE_FACTOR, PRESS_FIELDS } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { meanRead } from './base';
import type { BendInput } from './input';

/** What a load is divided by to give the stress of the extreme fibre, by how it is loaded. */
export type BendArea<I> = (input: I, b: Exact, d: Exact, span: Exact) => Exact;

/** How a beam is driven, from its readings. */
export type DrivenBy<I> = (input: I, limits: Limits, setup: RunSetup) => Driven;

/** A beam that is driven by its displacement, in the press. */
export function bendPress<I extends BendInput>(
  area: BendArea<I>,
  spanOver: number,
  drivenBy: DrivenBy<I>,
): PressUse<I> {
  return {
    steps: { setup: 'spacers', load: 'load' },
    fields: { ...PRESS_FIELDS, crack: 'crackSeen', ended: 'ended' },
    test(input: I, setup: RunSetup): PressTest | undefined {
      const { system } = input;
      const limits = limitsOf(setup);
      const mould = nominalOf(setup.specimen?.form, BEAMS, system)?.across;
      const [width, depth] = [meanRead(input, WIDTHS) ?? mould, meanRead(input, DEPTHS) ?? mould];
      if (!width || !depth) return undefined;
      const span = readMeasure(input, 'span')?.value ?? depth.times(spanOver);
      const own = area(input, width, depth, span);
      const factor = exact(FORCE_FACTOR[system]);
      return {
        area: own,
        factor,
        band: limits.of('beam.rate', system),
        from: 'start',
        driven: drivenBy(input, limits, setup),
        expected: expectedRupture(setup, system, limits)?.times(own).div(factor),
        ends: 'bare',
        measured: meanRead(input, [...WIDTHS, ...DEPTHS]) !== undefined,
      };
    },
  };
}
