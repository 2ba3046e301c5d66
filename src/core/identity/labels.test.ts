import { expect, it } from 'vitest';
import { reportNumber, sampleLabel, specimenLabel } from './labels';

it('names samples, specimens and reports so that they sort as they were taken', () => {
  expect(sampleLabel('PMF', 7)).toBe('PMF-007');
  expect(specimenLabel('PMF', 7, 2)).toBe('PMF-007-C');
  expect(reportNumber('PMF', 112)).toBe('PMF-R112');
  const labels = [1, 9, 10, 99, 100].map((sample) => sampleLabel('X', sample));
  expect(labels.toSorted()).toEqual(labels);
});
