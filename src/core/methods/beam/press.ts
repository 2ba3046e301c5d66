import type { Limits } from '../../limits';
import { type Exact, exact, type System } from '../../quantity';
import type { PressTest, PressUse } from '../contract';
import { readMeasure } from '../fields';
import { FORCE_FACTOR, PRESS_FIELDS } from '../press';
import { limitsOf } from '../setup';
import type { Arrangement } from './arrangement';
import { expectedRupture } from './expected';
import type { BeamInput } from './input';
import { sizeOf } from './sizes';

/** The span that the school asks for with a depth, where none was measured yet: the middle of its range. */
export function usualSpan(depth: Exact, limits: Limits, system: System): Exact {
  const { low, high } = limits.of('beam.span', system);
  return depth.times((low ?? exact(3)).plus(high ?? exact(3)).div(2));
}

/** A beam in the press: the stress is that of its extreme fibre, so that a rate of it becomes one of the machine's load. */
export function pressOf(arrangement: Arrangement): PressUse<BeamInput> {
  return {
    steps: { setup: 'spacers', load: 'load' },
    fields: { ...PRESS_FIELDS, rate: 'loadingRate' },
    test(input, setup): PressTest | undefined {
      const { system } = input;
      const limits = limitsOf(setup);
      const size = sizeOf(input, setup);
      if (!size) return undefined;
      const { width, depth } = size;
      const span = readMeasure(input, 'span')?.value ?? usualSpan(depth, limits, system);
      const area = arrangement.area(width, depth, span);
      const factor = exact(FORCE_FACTOR[system]);
      const fixture = readMeasure(input, 'fixture')?.value;
      return {
        area,
        factor,
        band: limits.of('beam.rate', system),
        from: input.going === 'fast half' ? 'half' : 'start',
        judged: limits.of('beam.judged', system),
        strict: true,
        snaps: true,
        expected: expectedRupture(setup, system, limits)?.times(area).div(factor),
        // What stands between the blocks is the fixture with the beam in it.
        ...(fixture ? { height: depth.plus(fixture) } : {}),
        ends: 'bare',
        // Where it is measured at its fracture only, the mould stands for it until then: a percent or two of the rate.
        measured: size.measured || limits.profile === 'astm' || limits.profile === 'agency',
      };
    },
  };
}
