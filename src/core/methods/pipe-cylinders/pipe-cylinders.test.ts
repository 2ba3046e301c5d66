import { describe, expect, it } from 'vitest';
import { findMethod } from '../registry';
import { usableInput } from '../validate';

const method = findMethod('pipe-cylinders') as NonNullable<ReturnType<typeof findMethod>>;
/** Cylinders of 10 in²: 3.568 in wide, by strength in psi. */
const broken = (psi: readonly number[], more: object = {}, asked: string | null = '5,000 psi') => {
  const { input } = usableInput(method, {
    system: 'US',
    cylinders: psi.map((strength, place) => ({
      ...{ id: `c${place}`, mark: `M${place}`, diameter1: '3.568248', load: String(strength * 10) },
    })),
    ...more,
  });
  return method.compute(input, asked ? { facts: { specifiedStrength: asked } } : {});
};
const states = ({ verdicts }: ReturnType<typeof broken>) => verdicts.map(({ state }) => state);

// ASTM C76 (from memory): five and more; mean not below, a tenth of them below, none under 80 %. Means by hand.
describe('cylinders of a group of pipe', () => {
  it.each([
    [
      [5110, 5070, 5260, 5190, 5080],
      ['meets', 'meets', 'meets'],
    ],
    [
      [5110, 4870, 5260, 4590, 4980],
      ['does not meet', 'does not meet', 'meets'],
    ],
    [
      [6000, 6000, 6000, 6000, 3990],
      ['meets', 'does not meet', 'does not meet'],
    ],
    [
      [5200, 5200, 5200, 5200, 5200, 5200, 5200, 5200, 5200, 4900],
      ['meets', 'meets', 'meets'],
    ],
    [[5110, 5260, 5190, 5080], Array(3).fill('not yet determinable')],
  ])('%j: %j', (psi, says) => {
    expect(states(broken(psi))).toEqual(says);
  });
  it('tells mean, lowest and share', () => {
    const done = broken([5110, 4870, 5260, 4590, 4980]);
    expect(done.results.map(({ text }) => text)).toEqual(['4,960', '4,590', '60']);
  });
  it('says what is missing or twice there', () => {
    const ids = (done: ReturnType<typeof broken>) => done.findings.map(({ id }) => id);
    expect(ids(broken([5000, 5000]))).toContain('pipe-cylinders.fewest');
    expect(ids(broken([5000], {}, null))).toContain('pipe-cylinders.asked');
    const row = { mark: 'M1', diameter1: '4', load: '60000' };
    expect(
      ids(
        broken([], {
          cylinders: [
            { id: 'a', ...row },
            { id: 'b', ...row },
          ],
        }),
      ),
    ).toContain('pipe-cylinders.twice');
    expect(ids(broken([50_000]))).toContain('pipe-cylinders.slip');
  });
});
