import { describe, expect, it } from 'vitest';
import { commonPractice, ourChoice, standard } from '../working';
import { group, r } from './row';

const OWN = standard('A standard of this test', '7.1');
const row = (...said: Parameters<typeof r>) => group('Group', OWN, { id: r(...said) }).id;

describe('a row of the register', () => {
  it.each([
    ['<= 2 %', { high: '2', unit: 'percent' }, undefined],
    ['>= 3', { low: '3', unit: 'one' }, undefined],
    ['28 to 42 psi/s', { low: '28', high: '42', unit: 'psi/s' }, undefined],
    ['-5 to 38 degC', { low: '-5', high: '38', unit: 'degC' }, undefined],
    ['= 0.98', { high: '0.98', unit: 'one' }, 'equal'],
    ['± 0.5 h', { high: '0.5', unit: 'h' }, 'either way'],
    ['<= 1.50 in', { high: '1.50', unit: 'in' }, undefined],
  ])('%s is read as it is meant, its zeros kept', (said, both, sense) => {
    const entry = row('Title', said);
    expect([entry.both, entry.sense, entry.US, entry.SI]).toEqual([both, sense, undefined, undefined]);
  });
  it('has one value for both systems, or one for each, inch-pound first', () => {
    const entry = row('Ends plane within', '<= 0.002 in', '<= 0.05 mm');
    expect([entry.US, entry.SI, entry.both]).toEqual([
      { high: '0.002', unit: 'in' },
      { high: '0.05', unit: 'mm' },
      undefined,
    ]);
  });
  it('stands under its group with the group’s source, or with its own', () => {
    expect(row('Title', '<= 2 %')).toMatchObject({ group: 'Group', title: 'Title', source: OWN });
    expect(row('Title', '<= 2 %', commonPractice).source).toBe(commonPractice);
  });
  it('is recalled where a document says it, and names the edition that is wanted; else it is what it is', () => {
    expect(row('Title', '<= 2 %')).toMatchObject({
      status: 'recalled',
      edition: 'edition to be named by the laboratory',
    });
    expect(row('Title', '<= 2 %', commonPractice)).toMatchObject({ status: 'recalled', edition: '' });
    expect(row('Title', '<= 2 %', ourChoice('why'))).toMatchObject({ status: 'our choice', edition: '' });
  });
  it.each([
    ['2 %'],
    ['<= two'],
    ['<= 2 furlongs'],
    ['<= 2 to 3 in'],
    ['2 to 3 stone'],
    [''],
    ['<= 2 in or so'],
  ])('cannot be written as "%s"', (said) => {
    expect(() => row('Title', said)).toThrow(SyntaxError);
  });
  it('cannot be a limit in one system and a factor in the other, nor have three values, nor none', () => {
    expect(() => row('Title', '<= 2 in', '= 50 mm')).toThrow(/two kinds/u);
    expect(() => row('Title', '<= 2 in', '<= 50 mm', '<= 5 cm')).toThrow(SyntaxError);
    expect(() => row('Title')).toThrow(SyntaxError);
  });
});
