import type { VerdictState } from '../acceptance/criterion';
import { summarise } from '../acceptance/evaluate';
import type { LotSays, SampleOfLot } from '../material/contract';

/** What a delivery hangs on besides the verdicts of its samples. */
export interface BesideSamples {
  /** Why another report says that it does not meet; absent where none does. */
  readonly bad?: string | undefined;
  /** What has no result though its specification asks for it. */
  missing(deciding: readonly SampleOfLot[]): readonly string[];
  /** Verdicts of a sample that count; absent: all of them. */
  counts?(verdict: SampleOfLot['verdicts'][number]): boolean;
}

/**
 * How a delivery stands by its samples: the first decides, or after it failed the second, and there is no third. It never
 * meets while something that its specification asks for has no result.
 * @returns null while no sample has been tested
 * Source: ASTM C90, C129, C936, C1372, their common clause on retests (from memory).
 */
export function afterRetest(
  samples: readonly SampleOfLot[],
  { bad, missing, counts = () => true }: BesideSamples,
): NonNullable<LotSays['verdict']> | null {
  const tested = samples
    .filter(({ verdicts }) => verdicts.length > 0)
    .map((sample) => ({ ...sample, verdicts: sample.verdicts.filter(counts) }));
  if (tested.length === 0) return null;
  const of = (draw: string) => tested.filter(({ about }) => about.draw === draw);
  const [first, second] = [of('first'), of('second')];
  const failed = first.some((sample) => summarise(sample.verdicts) === 'does not meet');
  const deciding = failed ? second : first;
  if (failed && second.length === 0)
    return says(
      'does not meet',
      'The first set does not meet. The producer may take units out; of what is left the purchaser draws a second set, which decides.',
    );
  if (failed && second.some((sample) => summarise(sample.verdicts) === 'does not meet'))
    return says(
      'does not meet',
      'The second set does not meet either: the rest of the delivery does not conform. There is no third.',
    );
  if (bad) return says('does not meet', `By another report it does not meet: ${bad}`);
  const open = [...openWords(deciding), ...missing(deciding)];
  if (open.length > 0)
    return says('not yet determinable', `Undecided while there is no result of ${open.join('; ')}.`);
  return says(
    'meets',
    failed
      ? 'The second set meets: what is left of the delivery conforms, the units taken out do not.'
      : 'Every row of its specification is met.',
  );
}

function says(state: VerdictState, sentence: string): NonNullable<LotSays['verdict']> {
  return { state, sentence };
}

/** What is not decided yet, by the names of its criteria. */
function openWords(samples: readonly SampleOfLot[]): string[] {
  const words = samples.flatMap(({ label, verdicts }) =>
    verdicts
      .filter(({ state }) => state === 'not yet determinable' || state === 'needs decision')
      .map(({ title }) => `${title.toLowerCase()}, ${label}`),
  );
  return [...new Set(words)];
}
