import { expect, it } from 'vitest';
import { companionFindings, companionsOf } from './companions';
import { StaticModulusInput } from './input';

const told = (...companions: string[]) => ({ facts: { companions } });
const found = (typed: string, ...companions: string[]) =>
  companionFindings(
    Object.assign(new StaticModulusInput(), { system: 'US', companion: typed }),
    told(...companions),
  ).map(({ message }) => message);

it('tells what the companions broke at, as soon as one is broken', () => {
  expect(companionsOf(told(), 'US')).toBeUndefined();
  expect(companionsOf(told('5,120 psi'), 'US')).toMatchObject({ text: '5,120 psi', note: 'one cylinder' });
  // Worked by hand: (5,120 + 5,060) / 2.
  expect(companionsOf(told('5,120 psi', '5,060 psi'), 'US')).toMatchObject({
    text: '5,090 psi',
    note: 'mean of 2',
  });
});

it('asks where a strength is typed that none of them can have given', () => {
  expect(found('5,090', '5,120 psi', '5,060 psi')).toEqual([]);
  expect(found('5,060', '5,120 psi', '5,060 psi')).toEqual([]);
  expect(found('509', '5,120 psi', '5,060 psi')).toEqual([
    'The companions of this age broke at 5,060 psi to 5,120 psi; 509 psi is typed.',
  ]);
  expect(found('5,000', '5,120 psi')).toHaveLength(1);
  expect(found('5,000')).toEqual([]);
});
