import { summarise } from '../../acceptance/evaluate';
import type { LotSays, SampleOfLot } from '../../material/contract';

/** How one set of a delivery stands. */
function standingOf({ verdicts }: SampleOfLot) {
  return summarise(verdicts);
}

/**
 * What the sets of a delivery say together: the first decides, or after it failed the second, and there is no third.
 * @returns null while no set has been tested
 * Source: ASTM C90, C129, C936, C1372, their common clause on retests (from memory).
 */
export function across(samples: readonly SampleOfLot[]): LotSays | null {
  const tested = samples.filter(({ verdicts }) => verdicts.length > 0);
  if (tested.length === 0) return null;
  const of = (draw: string) => tested.filter(({ about }) => about.draw === draw);
  const [first, second] = [of('first'), of('second')];
  const states = first.map(standingOf);
  const failed = states.includes('does not meet');
  const again = second.map(standingOf);
  const say = (state: NonNullable<LotSays['verdict']>['state'], sentence: string): LotSays => ({
    results: [],
    lines: [],
    remarks: [],
    verdict: { state, sentence },
  });
  if (failed && second.length === 0)
    return say(
      'does not meet',
      'The first set does not meet. The producer may take units out; of what is left the purchaser draws a second set, which decides.',
    );
  if (failed && again.includes('does not meet'))
    return say(
      'does not meet',
      'The second set does not meet either: the rest of the delivery does not conform. There is no third.',
    );
  const open = [...(failed ? again : states)];
  if (open.includes('not yet determinable') || open.includes('needs decision'))
    return say('not yet determinable', `Undecided: ${openWords(failed ? second : first)}.`);
  return say(
    'meets',
    failed
      ? 'The second set meets: what is left of the delivery conforms, the units taken out do not.'
      : 'Every row that was tested is met. Drying shrinkage and what else the specification asks comes from other reports.',
  );
}

/** What is not decided yet, by the sentences of its verdicts. */
function openWords(samples: readonly SampleOfLot[]): string {
  const words = samples.flatMap(({ label, verdicts }) =>
    verdicts
      .filter(({ state }) => state === 'not yet determinable' || state === 'needs decision')
      .map(({ title }) => `${title.toLowerCase()} of ${label}`),
  );
  return [...new Set(words)].join(', ');
}
