/** A technician's certificate as it counts for a test: which methods, from which day to which, days as `2031-05-14`. */
export interface CardFacts {
  readonly methods: readonly string[];
  readonly issuedOn: string;
  readonly expiresOn: string;
  readonly withdrawnOn?: string | undefined;
}

export type CardState = 'valid' | 'lapses soon' | 'lapsed' | 'not yet' | 'withdrawn';

const DAY = 86_400_000;
/** Days before its end at which a certificate is called out: time to book an examination. Our choice. */
const NOTICE_DAYS = 90;

/** How a card stands on a day; its last day still counts, the day of its withdrawal does not. */
export function cardState(card: CardFacts, day: string): CardState {
  if (card.withdrawnOn !== undefined && day >= card.withdrawnOn) return 'withdrawn';
  if (day < card.issuedOn) return 'not yet';
  if (day > card.expiresOn) return 'lapsed';
  return Date.parse(card.expiresOn) - Date.parse(day) <= NOTICE_DAYS * DAY ? 'lapses soon' : 'valid';
}

/** True when one of the cards covers a method on a day. */
export function isCertified(cards: readonly CardFacts[], method: string, day: string): boolean {
  return cards.some(
    (card) => card.methods.includes(method) && ['valid', 'lapses soon'].includes(cardState(card, day)),
  );
}

/** The last card that covered a method before a day, for saying when it lapsed. */
export function lapsedCard(cards: readonly CardFacts[], method: string, day: string): CardFacts | undefined {
  return cards
    .filter((card) => card.methods.includes(method) && cardState(card, day) === 'lapsed')
    .toSorted((a, b) => a.expiresOn.localeCompare(b.expiresOn))
    .at(-1);
}
