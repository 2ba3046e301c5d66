import { summarise } from '../../acceptance/evaluate';
import type { LotAbout, LotSays, SampleOfLot } from '../../material/contract';
import { PROPERTIES, type Property } from '../../methods/unit-report/input';
import { productOf } from './products';

/** What a product wants of other reports. Source: ASTM C90, C129, C936 (from memory). */
const OTHERS: Readonly<Partial<Record<string, readonly Property[]>>> = {
  c90: ['shrinkage'],
  c129: ['shrinkage'],
  c936: ['freeze', 'abrasion'],
};

/**
 * What the sets of a delivery say together, with the reports of other tests: the first set decides, or after it failed the
 * second, and there is no third. It never meets while something that its product asks has no result.
 * @returns null while no set has been tested
 * Source: ASTM C90, C129, C936, C1372, their common clause on retests (from memory).
 */
export function across(samples: readonly SampleOfLot[], { asked, tests }: LotAbout): LotSays | null {
  const tested = samples.filter(({ verdicts }) => verdicts.length > 0);
  if (tested.length === 0) return null;
  const of = (draw: string) => tested.filter(({ about }) => about.draw === draw);
  const [first, second] = [of('first'), of('second')];
  const failed = first.some((sample) => standingOf(sample) === 'does not meet');
  const deciding = failed ? second : first;
  const again = second.map(standingOf);
  if (failed && second.length === 0)
    return says(
      'does not meet',
      'The first set does not meet. The producer may take units out; of what is left the purchaser draws a second set, which decides.',
    );
  if (failed && again.includes('does not meet'))
    return says(
      'does not meet',
      'The second set does not meet either: the rest of the delivery does not conform. There is no third.',
    );
  const others = tests.flatMap(({ verdicts }) => verdicts);
  const bad = others.find(({ state }) => state === 'does not meet');
  if (bad) return says('does not meet', `By another report it does not meet: ${bad.sentence}`);
  const wanted = OTHERS[productOf(String(asked.product)) ?? ''] ?? [];
  const missing = wanted.filter(
    (property) => !others.some(({ criterion }) => criterion.startsWith(PROPERTIES[property])),
  );
  const open = [...openWords(deciding), ...missing.map((property) => PROPERTIES[property].toLowerCase())];
  if (open.length > 0)
    return says('not yet determinable', `Undecided while there is no result of ${open.join('; ')}.`);
  return says(
    'meets',
    failed
      ? 'The second set meets: what is left of the delivery conforms, the units taken out do not.'
      : 'Every row of its specification is met.',
  );
}

/** How one set of a delivery stands. */
function standingOf({ verdicts }: SampleOfLot) {
  return summarise(verdicts);
}

function says(state: NonNullable<LotSays['verdict']>['state'], sentence: string): LotSays {
  return { results: [], lines: [], remarks: [], verdict: { state, sentence } };
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
