import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dueOn } from '../windows';
import { type CardFacts, cardState, isCertified, lapsedCard } from '.';

const card = (over: Partial<CardFacts> = {}): CardFacts => ({
  methods: ['slump'],
  issuedOn: '2027-03-01',
  expiresOn: '2032-03-01',
  ...over,
});

// Five years from the day of issue: ACI certification policy (from memory).
describe('a certificate', () => {
  it.each([
    ['2027-02-28', 'not yet'],
    ['2027-03-01', 'valid'],
    ['2031-12-01', 'valid'],
    ['2031-12-02', 'lapses soon'],
    ['2032-03-01', 'lapses soon'],
    ['2032-03-02', 'lapsed'],
  ])('on %s is %s', (day, state) => {
    expect(cardState(card(), day)).toBe(state);
  });
  it('counts to the day before it was withdrawn', () => {
    const withdrawn = card({ withdrawnOn: '2029-06-10' });
    expect(cardState(withdrawn, '2029-06-09')).toBe('valid');
    expect(cardState(withdrawn, '2029-06-10')).toBe('withdrawn');
    expect(isCertified([withdrawn], 'slump', '2029-06-10')).toBe(false);
  });
  it('covers only what it names, and any of several is enough', () => {
    const cards = [card(), card({ methods: ['sampling', 'moulding'], expiresOn: '2029-01-01' })];
    expect(isCertified(cards, 'slump', '2031-01-01')).toBe(true);
    expect(isCertified(cards, 'moulding', '2028-01-01')).toBe(true);
    expect(isCertified(cards, 'moulding', '2029-01-02')).toBe(false);
    expect(isCertified(cards, 'air-pressure', '2028-01-01')).toBe(false);
    expect(isCertified([], 'slump', '2028-01-01')).toBe(false);
  });
  it('that lapsed last is the one that is told', () => {
    const cards = [
      card({ expiresOn: '2028-01-01' }),
      card({ expiresOn: '2030-05-05' }),
      card({ methods: ['sampling'] }),
    ];
    expect(lapsedCard(cards, 'slump', '2031-01-01')?.expiresOn).toBe('2030-05-05');
    expect(lapsedCard(cards, 'slump', '2029-01-01')?.expiresOn).toBe('2028-01-01');
    expect(lapsedCard(cards, 'moulding', '2031-01-01')).toBeUndefined();
  });
  it('holds on every day between issue and end, and on none outside', () => {
    const days = fc.date({ min: new Date('2020-01-01'), max: new Date('2040-01-01'), noInvalidDate: true });
    fc.assert(
      fc.property(days, (at) => {
        const day = at.toISOString().slice(0, 10);
        const inside = day >= '2027-03-01' && day <= '2032-03-01';
        expect(isCertified([card()], 'slump', day)).toBe(inside);
      }),
    );
  });
  it('of a leap day ends on the last of February', () => {
    expect(dueOn('2028-02-29', 60)).toBe('2033-02-28');
    expect(dueOn('2027-03-01', 60)).toBe('2032-03-01');
  });
});
