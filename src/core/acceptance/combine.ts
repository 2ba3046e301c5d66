import type { LimitId, Limits } from '../limits';
import type { Facts } from '../methods/facts';
import {
  decimalsOf,
  type Exact,
  exact,
  largest,
  meanOf,
  type RoundingMode,
  roundTo,
  type System,
  type UnitId,
  withThousands,
} from '../quantity';
import { rangePercent } from '../statistics';
import { plain, Sheet, sourceText, type WorkingLine } from '../working';
import { criteriaOf } from './criteria';
import { type Asked, type Criterion, type LimitAbout, type Member, rowBy, type Verdict } from './criterion';
import { evaluate } from './evaluate';
import { meanLine, rangeLine } from './set-lines';
import { type Derived, ruleFor, type SetPiece, type SetRule, type SpreadRule } from './set-rule';

export interface CombineAbout {
  readonly system: System;
  readonly limits: Limits;
  readonly mode: RoundingMode;
  readonly unit: UnitId;
  readonly asked: Asked;
  /** What is asked for in words. */
  readonly said?: LimitAbout['said'];
  /** How many more were tested and make no valid result. */
  readonly rejected?: number;
  /** What the rule asks to know besides. */
  readonly facts?: Facts;
  /** The age that is asked of the set, hours. */
  readonly ageHours?: number;
  /** How many the plan of the sample wants. */
  readonly planned?: number;
}

/** What the results of a set say together. */
export interface Combined {
  /** The mean as reported, as plain decimal text and as it is printed; null where there is none to report. */
  readonly value: string | null;
  readonly text: string | null;
  /** The same before it was rounded. */
  readonly mean: string | null;
  /** The rule of the set in words, once there is something to say. */
  readonly note: string | undefined;
  /** Places in the list of the values that count. */
  readonly used: readonly number[];
  readonly lines: readonly WorkingLine[];
  /** What the set is held against. */
  readonly verdicts: readonly Verdict[];
  /** What follows from the mean; absent where nothing does. */
  readonly derived?: Derived;
}

/** One result of a set. */
export interface Combinable extends Pick<Member, 'bound' | 'provisional'> {
  readonly label: string;
  /** Unrounded, of a specimen that may be reported. */
  readonly value: string;
  /** All that its test gave, by quantity. */
  readonly quantities?: Readonly<Record<string, string>>;
}

/**
 * Combines the results of a set by the rule of their method.
 * @param waits true while some of the set are not tested: then its criteria decide nothing
 */
export function combine(
  given: SetRule,
  members: readonly Combinable[],
  about: CombineAbout,
  waits = false,
): Combined {
  const rule = ruleFor(given, about.limits.profile, about.said);
  const values = members.map(({ value }) => value);
  const all = values.map((_, place) => place);
  if (rule.combine === 'each alone') {
    const settled = members.filter(({ provisional }) => provisional === undefined);
    const derived =
      settled.length > 0
        ? rule.derives?.(meanOf(settled.map(({ value }) => exact(value))), {
            ...about,
            facts: about.facts ?? {},
            rejected: about.rejected ?? 0,
            // What can still change is in none of it.
            pieces: piecesOf(settled, all),
          })
        : undefined;
    return judged(rule, all, heldAgainst(rule, members, all, about, { derived }), derived);
  }
  if (values.length < fewestOf(rule, about))
    return { value: null, text: null, mean: null, note: undefined, used: all, lines: [], verdicts: [] };
  const numbers = values.map((value) => exact(value));
  const { used, note, reports } = chosen(rule, numbers, about);
  const words = [
    note,
    ...fewerWords(rule, values.length, about),
    ...openWords(members),
    ...(reports ? askedWords(rule, numbers, about) : []),
  ].filter((each) => each !== undefined);
  const counted = used.map((place) => numbers[place] ?? exact(0));
  const pieces = piecesOf(members, used);
  const derived = reports
    ? rule.derives?.(meanOf(counted), {
        ...about,
        facts: about.facts ?? {},
        rejected: about.rejected ?? 0,
        pieces,
      })
    : undefined;
  const step = number(rule.step, about);
  const reported = reports ? roundTo(meanOf(counted), step, about.mode).toFixed(decimalsOf(step)) : null;
  return {
    value: reported,
    text: reported && withThousands(reported),
    mean: reports ? plain(meanOf(counted), 15) : null,
    note: words.length > 0 ? words.join(' ') : undefined,
    used: reports ? used : all,
    lines: [...linesOf(rule, reports ? counted : numbers, about), ...(derived ? derived.lines : [])],
    verdicts: reports ? heldAgainst(rule, members, used, about, { waits, derived }) : [],
    ...(derived ? { derived } : {}),
  };
}

function piecesOf(members: readonly Combinable[], used: readonly number[]): SetPiece[] {
  return members.map(({ label, value, bound, quantities = {} }, place) => ({
    label,
    value,
    used: used.includes(place),
    ...(bound ? { bound } : {}),
    quantities,
  }));
}

function number(id: LimitId, { limits, system }: CombineAbout): Exact {
  return limits.number(id, system);
}

/** Fewer results give no mean. */
function fewestOf({ fewest = 1 }: SetRule, about: CombineAbout): number {
  return typeof fewest === 'string' ? number(fewest, about).toNumber() : fewest;
}

/** How far each lies from the mean of all, of it, in percent. */
function offMean(values: readonly Exact[]): Exact[] {
  const mean = meanOf(values);
  return values.map((value) => value.minus(mean).abs().div(mean).times(100));
}

interface Chosen {
  readonly used: readonly number[];
  readonly note: string | undefined;
  /** False where there is no mean to report. */
  readonly reports: boolean;
}

/** Which of the values count, and what is said of it. */
function chosen(rule: SetRule, values: readonly Exact[], about: CombineAbout): Chosen {
  const all = values.map((_, place) => place);
  if (rule.combine === 'trimmed mean') return trimmed(rule, values, about);
  const { spread } = rule;
  // One alone lies nowhere apart.
  if (!spread || values.length < 2) return { used: all, note: undefined, reports: true };
  const whole = apart(spread, values, about);
  if (rule.combine === 'two nearest of three' && values.length === 3 && !whole.good)
    return nearest(spread, values, whole, about);
  if (rule.combine === 'near the mean' && !whole.good) return nearMean(rule, spread, values, whole, about);
  const named =
    rule.named && whole.row ? `${sourceText(about.limits.of(whole.row, about.system).source)}: ` : '';
  return {
    used: all,
    note: `${named}${whole.words}`,
    reports: whole.good || spread.beyond === 'said',
  };
}

/** Leaves out the highest and the lowest: their number by how many there are. Equal values go as many as the rule says. */
function trimmed({ trim }: SetRule, values: readonly Exact[], about: CombineAbout): Chosen {
  const places = values
    .map((value, place) => ({ value, place }))
    .toSorted((a, b) => a.value.comparedTo(b.value) || a.place - b.place)
    .map(({ place }) => place);
  const reaches = (id: LimitId): boolean => number(id, about).lessThanOrEqualTo(values.length);
  const ends = trim && reaches(trim.two) ? 2 : trim && reaches(trim.one) ? 1 : 0;
  const used = places.slice(ends, places.length - ends).toSorted((a, b) => a - b);
  const both = ends === 2 ? 'two ' : '';
  return {
    used,
    note:
      ends === 0
        ? `Mean of all ${values.length}: too few to leave any out.`
        : `Mean of ${used.length} of ${values.length}: the ${both}highest and the ${both}lowest are left out.`,
    reports: true,
  };
}

interface Apart {
  readonly good: boolean;
  readonly row: LimitId | undefined;
  readonly value: Exact;
  readonly words: string;
}

const COUNTS: Readonly<Record<number, string>> = { 2: ' of two', 3: ' of three' };

/** How far values lie apart, against the row for their number. */
function apart(spread: SpreadRule, values: readonly Exact[], about: CombineAbout): Apart {
  const { rows, place, rounded, measure } = spread;
  const exactly = measure === 'range' ? (rangePercent(values) ?? exact(0)) : largest(offMean(values));
  const value = rounded ? exactly.toDecimalPlaces(place) : exactly;
  const shown = value.toFixed(place);
  const row = rows[values.length as 2 | 3] ?? rows.any;
  const of = rows.any ? '' : (COUNTS[values.length] ?? ` of ${values.length}`);
  const what =
    measure === 'range'
      ? `Range ${shown} % of the mean${of}`
      : `The farthest lies ${shown} % from the mean${of}`;
  if (!row) return { good: true, row, value, words: `${what}: ${spread.otherwise ?? 'no rule is known'}.` };
  const most = about.limits.of(row, about.system).high ?? value;
  const good = value.lessThanOrEqualTo(most);
  const tail = good ? spread.good : spread.bad;
  return { good, row, value, words: `${what}; ${most} % is allowed.${tail ? ` ${tail}` : ''}` };
}

/** Of three beyond their range the two nearest one another, when those agree; of a tie a person decides. */
function nearest(spread: SpreadRule, values: readonly Exact[], whole: Apart, about: CombineAbout): Chosen {
  const all = values.map((_, place) => place);
  const middle = meanOf(values);
  const distance = values.map((value) => value.minus(middle).abs());
  const farthest = largest(distance);
  const pairs = all
    .filter((place) => distance[place]?.equals(farthest))
    .map((place) => all.filter((each) => each !== place))
    .map((pair) => ({
      pair,
      of: apart(
        spread,
        pair.map((place) => values[place] ?? exact(0)),
        about,
      ),
    }))
    .filter(({ of }) => of.good);
  const most = whole.row && about.limits.of(whole.row, about.system).high;
  const beyond = `Range ${whole.value.toFixed(spread.place)} % of the mean of three, more than ${most} %`;
  const least = spread.rows[2] && about.limits.of(spread.rows[2], about.system).high;
  const [first] = pairs;
  if (!first)
    return { used: [], reports: false, note: `${beyond}; no two agree within ${least} %. ${spread.bad}` };
  if (pairs.length > 1)
    return {
      used: [],
      reports: false,
      note: `${beyond}; two lie equally far from the mean. A reviewer decides which one is left out.`,
    };
  return {
    used: first.pair,
    reports: true,
    note: `${beyond}: the one farthest from the mean is left out. The other two: ${first.of.value.toFixed(spread.place)} %; ${least} % is allowed.`,
  };
}

/** Those farther from the mean of all than allowed are left out together; the others give their mean while enough are left. */
function nearMean(
  rule: SetRule,
  spread: SpreadRule,
  values: readonly Exact[],
  whole: Apart,
  about: CombineAbout,
): Chosen {
  const most = (whole.row && about.limits.of(whole.row, about.system).high) || whole.value;
  const used = offMean(values).flatMap((off, place) => (off.lessThanOrEqualTo(most) ? [place] : []));
  const least = fewestOf(rule, about);
  return used.length < least
    ? { used: [], reports: false, note: `${whole.words} Fewer than ${least} are left.` }
    : {
        used,
        reports: true,
        note: `The farthest lies ${whole.value.toFixed(spread.place)} % from the mean of ${values.length}, more than ${most} %: mean of the other ${used.length}.`,
      };
}

/** What follows from a mean can still change, or is no more than a bound, where one of its results is. */
function openOf(members: readonly Combinable[]): Pick<Member, 'bound' | 'provisional'> {
  const bound = members.find((each) => each.bound)?.bound;
  const provisional = members.find((each) => each.provisional)?.provisional;
  return { ...(bound ? { bound } : {}), ...(provisional ? { provisional } : {}) };
}

/** Which of the results are no more than a bound, or can still change. */
function openWords(members: readonly Combinable[]): string[] {
  return members.flatMap(({ label, bound, provisional }) => [
    ...(bound ? [`${label} is known ${bound} only.`] : []),
    ...(provisional ? [`${label} can still change: ${provisional}.`] : []),
  ]);
}

function fewerWords({ wanted, word }: SetRule, count: number, about: CombineAbout): string[] {
  const least = wanted && number(rowBy(wanted, about.said), about).toNumber();
  return least && count < least
    ? [`${count} of the ${least} ${word.toLowerCase()} the method asks for.`]
    : [];
}

function askedWords({ againstAsked }: SetRule, values: readonly Exact[], { asked }: CombineAbout): string[] {
  const wanted = againstAsked ? asked(againstAsked) : undefined;
  if (!wanted) return [];
  // A mean is compared unrounded.
  return [`The mean is ${meanOf(values).lessThan(wanted) ? 'below' : 'not below'} the strength asked for.`];
}

function linesOf(rule: SetRule, values: readonly Exact[], about: CombineAbout): readonly WorkingLine[] {
  if (values.length === 0) return [];
  const { limits, system, unit } = about;
  const sheet = new Sheet(about.mode);
  meanLine(sheet, values, {
    name: 'Mean of the unrounded results',
    unit,
    step: number(rule.step, about),
    source: limits.of(rule.step, system).source,
  });
  const row =
    rule.spread && (rule.spread.rows[values.length as 2 | 3] ?? rule.spread.rows.any ?? rule.spread.rows[3]);
  if (row) rangeLine(sheet, values, limits.of(row, system).source);
  return sheet.lines;
}

/** What a set is held against: a mean is that of the results that count, everything else is of all of them. */
function heldAgainst(
  rule: SetRule,
  members: readonly Combinable[],
  used: readonly number[],
  about: CombineAbout,
  { waits = false, derived }: { readonly waits?: boolean; readonly derived?: Derived | undefined } = {},
): Verdict[] {
  const step = number(rule.step, about);
  return criteriaOf(rule.criteria ?? []).flatMap((criterion) => {
    const follows = derived?.values[criterion.quantity];
    const counted =
      follows === undefined
        ? members
            .filter((_, place) => criterion.statistic !== 'mean' || used.includes(place))
            .flatMap((member) => lookedAt(rule, criterion, member))
        : [{ label: rule.word, value: follows, ...openOf(members) }];
    const known = counted.map((each, place) => ({ ...each, id: String(place) }));
    const still = { id: 'waits', label: 'those of the set that are not tested yet', value: null };
    // While some are not tested a mean of them all decides nothing; one that does not hold may.
    const held =
      waits || (criterion.awaited && counted.length < members.length)
        ? [...(criterion.early ? known : []), still]
        : known;
    const found = (quantity: string) => {
      const value = derived?.values[quantity];
      return value === undefined ? undefined : exact(value);
    };
    return evaluate(criterion, held, { ...about, found, step });
  });
}

/** What a criterion looks at of one of a set: the result that the set is about, or another that its test gave. */
function lookedAt(rule: SetRule, { quantity }: Criterion, member: Combinable): Combinable[] {
  if (quantity === rule.quantity) return [member];
  const value = member.quantities?.[quantity];
  return value === undefined ? [] : [{ ...member, value }];
}

/** Results that make no mean of their own: the criteria of the set say what they come to. */
function judged(
  rule: SetRule,
  used: readonly number[],
  verdicts: readonly Verdict[],
  derived?: Derived,
): Combined {
  const unmet = criteriaOf(rule.criteria ?? []).filter(({ id }) =>
    verdicts.some(({ criterion, state }) => criterion === id && state === 'does not meet'),
  );
  const words = new Set([
    ...verdicts.map(({ sentence }) => sentence),
    ...unmet.flatMap(({ whenNot }) => whenNot ?? []),
  ]);
  // Verdicts on several quantities stand by their names: as one sentence nobody could tell them apart.
  const several = new Set(criteriaOf(rule.criteria ?? []).map(({ quantity }) => quantity)).size > 1;
  return {
    value: null,
    text: null,
    mean: null,
    note: words.size > 0 && !several ? [...words].join(' ') : undefined,
    used,
    lines: [...verdicts.flatMap(({ lines }) => lines), ...(derived?.lines ?? [])],
    verdicts,
    ...(derived ? { derived } : {}),
  };
}
