import { isMould, mouldText } from '../../moulds';
import { type Exact, exact, plainOf, type System } from '../../quantity';
import type { PlanItem, PressTest } from '../contract';
import { FORCE_UNIT, LENGTH_UNIT, pressPlan } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import type { Arrangement } from './arrangement';
import { placeLimits } from './place';
import { usualSpan } from './press';

/** What to know before a beam leaves the water: marks to draw, load for the gaps, load and rate of the machine. */
export function beamPlan(
  test: PressTest | undefined,
  arrangement: Arrangement,
  depth: Exact | undefined,
  setup: RunSetup,
  system: System,
): readonly PlanItem[] {
  const { form = '' } = setup.specimen ?? {};
  if (!test || !depth) return [];
  const limits = limitsOf(setup);
  const unit = LENGTH_UNIT[system];
  const span = usualSpan(depth, limits, system);
  const { least } = placeLimits(span, depth, limits, system);
  const marks =
    arrangement.kind === 'third'
      ? [exact(0), least, span.div(3), span.times(2).div(3), span.minus(least), span]
      : [exact(0), span.div(2), span];
  const shown = (value: Exact): string => value.toDecimalPlaces(system === 'US' ? 2 : 1).toString();
  const preload = limits.of('beam.preload', system);
  const { expected } = test;
  const at = (share: Exact | undefined): string =>
    expected
      ? plainOf(
          expected
            .times(share ?? 0)
            .div(100)
            .toSignificantDigits(2),
          FORCE_UNIT[system],
        )
      : '';
  return [
    ...(isMould(form) ? [{ label: 'Size', text: mouldText(form) }] : []),
    {
      label: 'Span',
      text: plainOf(span.toDecimalPlaces(2), unit),
      note: `depth times ${limits.of('beam.span', system).text}`,
    },
    {
      label: 'Marks on the sides, from a support',
      text: `${marks.map(shown).join(', ')} ${unit}`,
      note: 'wax crayon, before it leaves the water; never scratched',
    },
    ...(expected
      ? [
          {
            label: 'Try the gaps at',
            text: `${at(preload.low)} to ${at(preload.high)}`,
            note: `${preload.text} of the load expected`,
          },
        ]
      : []),
    ...pressPlan(test, undefined, limits, system),
    {
      label: 'A depth read wrong by 1 %',
      text: 'changes the strength by 2 %',
      note: 'the depth counts twice: three readings to the place asked for',
    },
  ];
}
