import { groupBy } from '../group-by';
import type { Limits } from '../limits';
import {
  decimalsOf,
  type Exact,
  exact,
  plainOf,
  type RoundingMode,
  roundTo,
  type System,
  type UnitId,
  withUnit,
} from '../quantity';
import { numbered, plain, Sheet, type Source, sourceText } from '../working';
import {
  type Asked,
  type Criterion,
  type LimitAbout,
  type Member,
  ROW_WORDS,
  rowBy,
  rowOf,
  type Verdict,
  type VerdictState,
  verdictWith,
} from './criterion';
import { shareWithin } from './within-limits';

export interface EvaluateAbout {
  readonly system: System;
  readonly unit: UnitId;
  readonly limits: Limits;
  readonly mode: RoundingMode;
  readonly asked: Asked;
  /** What is asked for in words, and what follows from the mean of the set; absent where nothing is or does. */
  readonly said?: LimitAbout['said'];
  readonly found?: LimitAbout['found'];
  /** The age that is asked of the set, hours. */
  readonly ageHours?: number;
  /** How many the plan of the sample wants; absent where it has none. */
  readonly planned?: number;
  /** What results are reported to, for the question whether rounding decides. */
  readonly step: Exact;
}

/**
 * Holds results against a criterion: one verdict for every population that it has.
 * @param members in the order of the series
 * @returns none where the criterion's limit is not asked for, or where there are not enough for one population
 */
export function evaluate(criterion: Criterion, members: readonly Member[], given: EvaluateAbout): Verdict[] {
  const { unit, step } = criterion;
  const about = {
    ...given,
    ...(unit ? { unit: unit[given.system] } : {}),
    ...(step ? { step: given.limits.number(step, given.system) } : {}),
  };
  const limit = limitOf(criterion, about);
  // It is asked for in the unit of the results, whatever their share is told in.
  const lower = criterion.lower && limitOf({ ...criterion, limit: criterion.lower }, given);
  if (!limit || (criterion.lower && !lower)) return [];
  return populationsOf(criterion, members).map((own) =>
    verdictOf(criterion, own, limit, { ...about, ...(lower ? { lower, resultUnit: given.unit } : {}) }),
  );
}

function populationsOf(criterion: Criterion, members: readonly Member[]): (readonly Member[])[] {
  const row = rowOf(criterion);
  if (criterion.population === 'each') return members.map((member) => [member]);
  if (criterion.population === 'lot') return [...groupBy(members, ({ lot }) => lot).values()];
  if (row === 1) return members.length > 0 ? [members] : [];
  return members.slice(row - 1).map((_, index) => members.slice(index, index + row));
}

/** What the criterion asks for, and how it came about where that is a computation. */
interface FoundLimit {
  readonly value: Exact;
  /** Where it is from, when that is not the document of the criterion. */
  readonly source?: Source;
  readonly share?: { readonly of: Exact; readonly share: Exact };
}

/** What a criterion asks of its statistic; undefined where that is not asked for. */
export function limitOf({ limit, holds }: Criterion, about: EvaluateAbout): FoundLimit | undefined {
  const { limits, system, asked } = about;
  if (typeof limit === 'function') {
    const none = (): undefined => undefined;
    const found = limit({
      ...{ asked, limits, system, said: about.said ?? none, found: about.found ?? none },
      ...(about.ageHours === undefined ? {} : { ageHours: about.ageHours }),
    });
    return found && ('source' in found ? found : { value: found });
  }
  if ('row' in limit) {
    const row = limits.of(limit.row, system);
    const value = holds === 'at least' ? row.low : row.high;
    return value && { value };
  }
  const of = asked(limit.asked, about.unit);
  if (!of) return undefined;
  if (!limit.share) return { value: of };
  const share = limits.number(limit.share, system);
  return { value: share.times(of), share: { of, share } };
}

/** What a criterion is held with, its own lower limit for one result among it. */
interface Held extends EvaluateAbout {
  readonly lower?: FoundLimit;
  readonly resultUnit?: UnitId;
}

function verdictOf(
  criterion: Criterion,
  members: readonly Member[],
  limit: FoundLimit,
  about: Held,
): Verdict {
  const { unit } = about;
  const base = {
    criterion: criterion.id,
    members: members.map(({ id }) => id),
    limit: plain(limit.value, 15),
  };
  const undecided = (why: string): Verdict =>
    verdictWith({ ...base, state: 'not yet determinable', sentence: `Not yet determinable: ${why}.` });
  const aside = criterion.repeats ? members.filter((each) => leftAside(criterion, each, about)) : [];
  if (aside.length > 0) {
    const left = members.filter((each) => !aside.includes(each));
    const said = `Made again in its place: ${aside.map(asideWords).join(', ')}.`;
    if (left.length === 0) return undecided(`none of them decides. ${said.slice(0, -1)}`);
    const verdict = verdictOf(criterion, left, limit, about);
    return { ...verdict, sentence: `${verdict.sentence} ${said}` };
  }
  const decisive = criterion.early
    ? members.filter((each) => failsAlone(criterion, each, limit.value, about))
    : [];
  if (decisive.length > 0 && decisive.length < members.length)
    return verdictOf(criterion, decisive, limit, { ...about, planned: 0 });
  const waited = members.filter(({ value, waiting }) => value === null || waiting);
  if (waited.length > 0) return undecided(`needs ${waited.map(({ label }) => label).join(', ')}`);
  const wanted = decisive.length > 0 ? 0 : countOf(criterion, about);
  // The spread of fewer than three says nothing of a share.
  const fewest = criterion.statistic === 'percent within' ? Math.max(3, wanted) : wanted;
  if (members.length < fewest) return undecided(`${members.length} of ${fewest} tested`);
  const open = members.find(({ provisional }) => provisional !== undefined);
  if (open) return undecided(`${open.label}: ${open.provisional}`);

  const sheet = new Sheet(about.mode);
  const values = members.map((member) =>
    exact((criterion.compare === 'as reported' ? member.reported : undefined) ?? member.value ?? 0),
  );
  const statistic = statisticLine(criterion, values, sheet, about);
  shareLine(limit, sheet, {
    symbol: criterion.statistic === 'mean' ? 'm_least' : 'f_least',
    name: criterion.title,
    unit,
    source: criterion.source,
  });
  const bound = boundOf(criterion, members);
  if (bound === 'mixed') return undecided('some results are bounds only');
  const round = (value: Exact): Exact => roundTo(value, about.step, about.mode);
  const held = criterion.compare === 'rounded' ? round(statistic) : statistic;
  const met = holds(criterion, held, limit.value);
  // A bound decides only where what it may still be cannot turn the answer.
  if (bound && (bound === criterion.holds) !== met && !failsAlready(criterion, members, limit.value))
    return undecided(`${members.map(({ label }) => label).join(', ')} is known ${bound} only`);
  const margin = criterion.holds === 'at least' ? held.minus(limit.value) : limit.value.minus(held);
  const otherwise = { 'as reported': held, unrounded: round(statistic), rounded: statistic }[
    criterion.compare
  ];
  const knifeEdge = holds(criterion, otherwise, limit.value) !== met;
  const reasons = members.flatMap(({ label, engineer }) => (engineer ?? []).map((why) => `${label}: ${why}`));
  return {
    ...base,
    state: decided(met, knifeEdge && criterion.compare === 'unrounded', reasons),
    statistic: plain(held, 15),
    margin: plain(margin, 15),
    knifeEdge,
    lines: sheet.lines,
    sentence: sentenceOf(criterion, { held, statistic, limit, met, margin, knifeEdge, reasons }, about),
  };
}

function holds({ holds: way }: Criterion, statistic: Exact, limit: Exact): boolean {
  return way === 'at least' ? statistic.greaterThanOrEqualTo(limit) : statistic.lessThanOrEqualTo(limit);
}

/** Which way the statistic is only a bound; `mixed` where the members lean either way. */
function boundOf({ statistic }: Criterion, members: readonly Member[]): Member['bound'] | 'mixed' {
  const bounds = new Set(members.flatMap(({ bound }) => bound ?? []));
  if (bounds.size === 0) return undefined;
  if (bounds.size > 1 || statistic === 'range %' || statistic === 'percent within') return 'mixed';
  return [...bounds][0];
}

/** True for a result that is known and does not hold, whatever the others come to. */
function failsAlone(
  criterion: Criterion,
  { value, waiting, provisional, bound }: Member,
  limit: Exact,
  { step, mode }: EvaluateAbout,
): boolean {
  if (value === null || waiting || provisional !== undefined || bound === criterion.holds) return false;
  const held = criterion.compare === 'rounded' ? roundTo(exact(value), step, mode) : exact(value);
  return !holds(criterion, held, limit);
}

/**
 * True for a result that is there and can decide nothing: one that can still change, or a bound on the side where what is
 * asked of one result by itself (the limit of the least or the greatest; else of the mean) could be met or not.
 */
function leftAside(
  criterion: Criterion,
  { value, waiting, provisional, bound }: Member,
  about: EvaluateAbout,
): boolean {
  if (value === null || waiting) return false;
  if (provisional !== undefined) return true;
  const alone = criterion.repeats && limitOf({ ...criterion, limit: criterion.repeats }, about)?.value;
  if (!bound || !alone) return false;
  const held = criterion.compare === 'rounded' ? roundTo(exact(value), about.step, about.mode) : exact(value);
  // At least so much, and that reaches it: it holds. At most so much, and that does not: it fails.
  return (bound === criterion.holds) !== holds(criterion, held, alone);
}

function asideWords({ label, bound, provisional }: Member): string {
  return `${label}, ${provisional ?? `known ${bound} only`}`;
}

/** How many results it wants. */
function countOf({ count }: Criterion, { planned = 0, limits, system, said }: EvaluateAbout): number {
  if (count === 'planned') return planned;
  return count ? limits.number(rowBy(count, said), system).toNumber() : 0;
}

/** True where one that is known whole fails by itself, whatever the bounds come to. */
function failsAlready(criterion: Criterion, members: readonly Member[], limit: Exact): boolean {
  const { statistic, holds: way } = criterion;
  if (statistic !== (way === 'at least' ? 'least' : 'greatest')) return false;
  return members.some(({ bound, value }) => !bound && !holds(criterion, exact(value ?? 0), limit));
}

/** A criterion that is not met stays so; doubt about whether a test counts is put on top of a pass. */
function decided(met: boolean, knifeEdge: boolean, reasons: readonly string[]): VerdictState {
  if (!met) return 'does not meet';
  return knifeEdge || reasons.length > 0 ? 'needs decision' : 'meets';
}

/** How a limit that is a share of what is asked came about. */
function shareLine(
  { share }: FoundLimit,
  sheet: Sheet,
  said: { readonly symbol: string; readonly name: string; readonly unit: UnitId; readonly source: Source },
): void {
  if (share) sheet.line({ ...said, formula: 'k * fc', uses: { k: share.share, fc: share.of } });
}

const NAMES = { least: 'Lowest', greatest: 'Highest', 'range %': 'Range of its mean' } as const;

function statisticLine(
  criterion: Criterion,
  values: readonly Exact[],
  sheet: Sheet,
  { unit, lower, resultUnit = unit }: Held,
): Exact {
  const { statistic, source, compare } = criterion;
  const counted = ROW_WORDS[rowOf(criterion)];
  const [first = exact(0)] = values;
  if (statistic === 'value' && compare === 'as reported') return first;
  const uses = numbered('x', values);
  const list = Object.keys(uses).join(', ');
  if (statistic === 'mean')
    return sheet.line({
      symbol: 'm',
      name: counted ? `Mean of ${counted} consecutive tests` : 'Mean',
      formula: `(${Object.keys(uses).join(' + ')}) / ${values.length}`,
      uses,
      unit,
      source,
      show: 6,
    });
  if (statistic === 'value') return first;
  if (statistic === 'percent within') {
    if (lower)
      shareLine(lower, sheet, {
        symbol: 'L',
        name: 'One test counts as within from',
        unit: resultUnit,
        source,
      });
    return shareWithin(values, lower?.value ?? exact(0), { sheet, unit: resultUnit, source });
  }
  const formula = {
    least: `min(${list})`,
    greatest: `max(${list})`,
    'range %': `100 * (max(${list}) - min(${list})) / mean(${list})`,
  };
  return sheet.line({
    symbol: statistic === 'range %' ? 'w' : 'f',
    name: NAMES[statistic],
    formula: formula[statistic],
    uses,
    unit: statistic === 'range %' ? 'percent' : unit,
    source,
    show: 6,
  });
}

const SHOWN = {
  value: '',
  mean: 'mean ',
  least: 'lowest ',
  greatest: 'highest ',
  'range %': 'range ',
  'percent within': 'share within limits ',
} as const;

function sentenceOf(
  criterion: Criterion,
  found: {
    /** What was held against the limit, and what it was before it was rounded. */
    readonly held: Exact;
    readonly statistic: Exact;
    readonly limit: FoundLimit;
    readonly met: boolean;
    readonly margin: Exact;
    readonly knifeEdge: boolean;
    readonly reasons: readonly string[];
  },
  { system, unit: usual, step }: EvaluateAbout,
): string {
  const { held, statistic, limit, met, margin, knifeEdge, reasons } = found;
  const unit = criterion.statistic === 'range %' ? 'percent' : usual;
  // Of a quantity of its own one place more than it is reported to.
  const place = criterion.step ? decimalsOf(step) + 1 : system === 'US' ? 1 : 2;
  const show = (value: Exact): string => plainOf(value.toDecimalPlaces(place), unit);
  const counted = ROW_WORDS[rowOf(criterion)];
  const what = `${SHOWN[criterion.statistic]}${counted ? `of ${counted} ` : ''}`;
  const said = criterion.compare === 'unrounded' ? show(held) : plainOf(held, unit);
  const against = `${plainOf(limit.value, unit)}, ${sourceText(limit.source ?? criterion.source)}`;
  const words = met
    ? `Meets: ${what}${said} against ${against}.`
    : `Does not meet: ${what}${said} against ${against}; ${criterion.holds === 'at least' ? 'short' : 'over'} by ${show(margin.abs())}.`;
  const edge = !knifeEdge
    ? ''
    : criterion.compare === 'rounded'
      ? ` Decided by rounding: ${withUnit(plain(statistic, 6), unit)} before it.`
      : ' The answer depends on the rounding method: needs decision.';
  const open = reasons.length > 0 ? ` Needs decision: ${reasons.join('; ')}.` : '';
  return `${words}${edge}${open}`;
}

/** Over several verdicts: the worst of them; a place still waiting is never taken for a pass. */
export function summarise(verdicts: readonly Pick<Verdict, 'state'>[]): VerdictState {
  const order: VerdictState[] = ['does not meet', 'needs decision', 'not yet determinable'];
  const worst = order.find((state) => verdicts.some((verdict) => verdict.state === state));
  return worst ?? (verdicts.length > 0 ? 'meets' : 'not yet determinable');
}

/** Shares that are written differently by less than this are the same. */
const SAME = 1e-12;

/** The verdict that governs: the largest shortfall relative to its limit, else the least margin; of equal ones the first. */
export function governingOf<V extends Pick<Verdict, 'margin' | 'limit'>>(verdicts: readonly V[]): V | null {
  let worst: { readonly verdict: V; readonly share: number } | undefined;
  for (const verdict of verdicts) {
    if (verdict.margin === null) continue;
    // Only compared, never reported: doubles tell shares apart that 15 digits tell apart.
    const share = Number(verdict.margin) / Number(verdict.limit);
    if (!worst || share < worst.share - SAME) worst = { verdict, share };
  }
  return worst?.verdict ?? null;
}
