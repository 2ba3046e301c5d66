import { Exact, exact, withThousands } from '../quantity';

/** A dial with two hands; loads in one unit. */
export interface Dial {
  /** Between numbered marks, between the smallest marks, and at the end of the scale. */
  readonly major: Exact;
  readonly minor: Exact;
  readonly fullScale: Exact;
}

export type DialReading =
  | { readonly ok: true; readonly load: Exact; readonly steps: Exact; readonly above: Exact }
  | { readonly ok: false; readonly message: string };

const COUNTS = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const THOUSAND = 1000;

/** A count as people say it: `7`, `3.5`, `three and a half`, `3 1/2`, `half a`; undefined when it is none. */
function countOf(words: string): Exact | undefined {
  const text = words.trim().toLowerCase();
  if (/^\d+(\.\d+)?$/u.test(text)) return exact(text);
  const mixed = /^(\d+)\s+(\d+)\/(\d+)$/u.exec(text);
  if (mixed) return exact(mixed[1] ?? 0).plus(exact(mixed[2] ?? 0).div(mixed[3] ?? 1));
  if (text === 'half' || text === 'half a' || text === 'a half') return exact('0.5');
  const half = /^(.+?)\s+and\s+a\s+half$/u.exec(text);
  const whole = COUNTS.indexOf(half?.[1] ?? text);
  if (whole >= 0) return exact(whole).plus(half ? '0.5' : 0);
  if (text === 'a' || text === 'an') return exact(1);
  const number = /^(\d+)\s+and\s+a\s+half$/u.exec(text);
  return number ? exact(number[1] ?? 0).plus('0.5') : undefined;
}

/** The load that a number printed on the dial stands for: large dials are numbered in thousands. */
function numbered(text: string, dial: Dial): Exact | undefined {
  const plain = text.replaceAll(/[,\s]/gu, '');
  if (!/^\d+(\.\d+)?$/u.test(plain)) return undefined;
  const value = exact(plain);
  const thousands = value.times(THOUSAND);
  return !value.isZero() && thousands.lessThanOrEqualTo(dial.fullScale) ? thousands : value;
}

/**
 * The load that a person's words about the needle stand for: `48,500`, `7 past 45,000`, `one small mark over 60`,
 * `2 short of 70,000`, `three and a half past 130`.
 * @param words of the marks as they are counted; small marks unless they are called large
 * @returns the load with its count of small marks above the numbered one below; else what does not fit, in one sentence
 */
export function readDial(words: string, dial: Dial): DialReading {
  const text = words.trim().toLowerCase();
  const each = dial.major.div(dial.minor);
  const refuse = (message: string): DialReading => ({ ok: false, message });
  const place = (load: Exact): DialReading => {
    if (load.lessThan(0) || load.greaterThan(dial.fullScale))
      return refuse(`The dial ends at ${show(dial.fullScale)}.`);
    const quarter = dial.minor.div(4);
    const steps = load.div(quarter).round();
    const clean = steps.times(quarter);
    if (!clean.equals(load))
      return refuse(
        `${show(load)} lies between the marks: the smallest is ${show(dial.minor)}, read to a quarter at best.`,
      );
    const above = load.minus(load.div(dial.major).floor().times(dial.major)).div(dial.minor);
    return { ok: true, load, steps: load.div(dial.minor), above };
  };
  const counted =
    /^(.+?)\s*(?:small|minor|little)?\s*(?:marks?|divisions?|lines?)?\s+(over|past|above|after|under|below|before|short of)\s+([\d,. ]+)$/u.exec(
      text,
    );
  const added =
    /^([\d,. ]+?)\s*(\+|plus|-|minus)\s*(.+?)(?:\s+(?:small|minor)?\s*(?:marks?|divisions?|lines?))?$/u.exec(
      text,
    );
  const [count, side, base] = counted
    ? [counted[1], counted[2], counted[3]]
    : added
      ? [added[3], added[2] === '+' || added[2] === 'plus' ? 'over' : 'under', added[1]]
      : [];
  if (count === undefined || base === undefined || side === undefined) {
    const load = numbered(text, dial);
    return load
      ? place(load)
      : refuse('Type the load, or the marks as counted: 7 past 45,000, 2 short of 70,000.');
  }
  const marks = countOf(count.replace(/\s*(small|minor|little)$/u, ''));
  const from = numbered(base, dial);
  if (!marks) return refuse(`How many small marks? “${count}” is no number.`);
  if (!from?.mod(dial.major).isZero())
    return refuse(`Count from a numbered mark: they stand every ${show(dial.major)}.`);
  if (marks.greaterThanOrEqualTo(each))
    return refuse(`There are ${each} small marks from one numbered mark to the next: count again.`);
  const up = /over|past|above|after/u.test(side);
  return place(from.plus(marks.times(dial.minor).times(up ? 1 : -1)));
}

function show(value: Exact): string {
  return withThousands(value.toFixed());
}

/** The nearest load that can be read at a share of a full turn: half marks. */
export function loadAtTurn(share: number, dial: Dial): Exact {
  const half = dial.minor.div(2);
  const turned = dial.fullScale.times(Math.min(1, Math.max(0, share)));
  return Exact.min(dial.fullScale, turned.div(half).round().times(half));
}

/** The reading counted both ways, from the numbered mark below and from the one above. */
export function countedBothWays(load: Exact, dial: Dial): { readonly up: string; readonly down: string } {
  const below = load.div(dial.major).floor().times(dial.major);
  const above = below.plus(dial.major);
  const marks = (value: Exact): string => value.div(dial.minor).toFixed();
  if (load.equals(below)) return { up: show(load), down: show(load) };
  return {
    up: `${marks(load.minus(below))} past ${show(below)}`,
    down: `${marks(above.minus(load))} short of ${show(above)}`,
  };
}
