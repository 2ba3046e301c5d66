import type { LotAbout, LotSays, SampleOfLot } from '../../material/contract';
import { PROPERTIES, type Property } from '../../methods/unit-report/input';
import { inSentence } from '../../words';
import { afterRetest } from '../retest';
import { CRITERIA } from './criteria';
import { baseOf, productOf } from './products';

/** What a product wants of other reports. Source: ASTM C90, C129, C936 (from memory). */
const OTHERS: Readonly<Partial<Record<string, readonly Property[]>>> = {
  c90: ['shrinkage'],
  is2185: ['shrinkage'],
  c129: ['shrinkage'],
  c936: ['freeze', 'abrasion'],
};

/** What says that its absorption was tested: strength on the gross area does not wait for it. */
const SOAKED = CRITERIA.find(({ id }) => id === 'unit-mass-mean')?.title;
const isSoaked = ({ verdicts }: SampleOfLot): boolean => verdicts.some(({ title }) => title === SOAKED);

/** What the sets of a delivery say together, with the reports of other tests. @returns null while no set has been tested */
export function across(samples: readonly SampleOfLot[], { asked, tests }: LotAbout): LotSays | null {
  const others = tests.flatMap(({ verdicts }) => verdicts);
  const product = productOf(String(asked.product));
  const wanted = (product && OTHERS[baseOf(product)]) ?? [];
  const verdict = afterRetest(samples, {
    bad: others.find(({ state }) => state === 'does not meet')?.sentence,
    missing: (deciding) => [
      ...(product === 'is2185' && !deciding.some(isSoaked) ? ['absorption'] : []),
      ...wanted
        .filter((property) => !others.some(({ criterion }) => criterion.startsWith(PROPERTIES[property])))
        .map((property) => inSentence(PROPERTIES[property])),
    ],
  });
  return verdict && { results: [], lines: [], remarks: [], verdict };
}
