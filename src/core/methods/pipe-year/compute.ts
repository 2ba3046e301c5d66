import { DateTime } from 'luxon';
import { type Verdict, verdictWith } from '../../acceptance/criterion';
import type { PipeStanding } from '../../pipe/retests';
import {
  owedByRule,
  owedInYear,
  type TestOfYear,
  type YearRules,
  type YearStanding,
  yearStanding,
} from '../../pipe/year';
import { type Exact, exact } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { bySeverity, commonPractice, type Finding, finding, ourChoice, Sheet } from '../../working';
import type { Outcome, Result } from '../contract';
import { factMeasure, factNumber, factText, factTexts } from '../facts';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { packedRows, readRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import type { PipeYearInput } from './input';

export const OWED = 'tests owed in the year';
export const MADE = 'tests made in the year';
export const LEFT = 'tests still owed';

const STANDINGS: readonly PipeStanding[] = ['meets', 'fails', 'again', 'open'];
/** What takes a pipe to its crack and its end, or one that has none to its end. */
const WHOLE: ReadonlySet<string> = new Set(['proof', 'most']);

/** The tests of the lot as they were told. */
function testsTold(setup: RunSetup): TestOfYear[] {
  return factTexts(setup, 'tests').flatMap((text) =>
    readRows(text).flatMap(([day = '', mark = '', said = '', retestOf = '', purpose = '']) => {
      const standing = STANDINGS.find((each) => each === said);
      return standing
        ? [{ day, mark, standing, whole: WHOLE.has(purpose), ...(retestOf ? { retestOf } : {}) }]
        : [];
    }),
  );
}

/** Pipes made so far: the newest count. */
function madeSoFar({ counts }: PipeYearInput): Exact | undefined {
  const newest = wholeRows(counts).toSorted((a, b) => Date.parse(b.at ?? '') - Date.parse(a.at ?? ''))[0];
  return newest && readMeasure(newest, 'made')?.value;
}

interface Known {
  readonly year: number;
  readonly made: Exact;
  readonly rules: YearRules;
  readonly tests: readonly TestOfYear[];
  readonly standing: YearStanding;
}

function knownOf(input: PipeYearInput, setup: RunSetup): Known | undefined {
  const limits = limitsOf(setup);
  const year = factNumber(setup, 'year')?.toNumber();
  const made = madeSoFar(input);
  if (year === undefined || !made) return undefined;
  const rules: YearRules = {
    tests: factNumber(setup, 'yearTests') ?? limits.number('teb.year', 'US'),
    share: factMeasure(setup, 'yearShare', 'percent', 'percent'),
    each: factNumber(setup, 'yearEach'),
  };
  const tests = testsTold(setup);
  const each = limits.number('teb.retests', 'US').toNumber();
  return { year, made, rules, tests, standing: yearStanding(tests, year, owedInYear(rules, made), each) };
}

/**
 * Tests that a calendar year owes of one size and class, what was made of them and what is left.
 * @param input pipes made so far, day by day
 * @param setup facts: the year, the rules of customer and certificate, what was tested of its pipes
 * @returns counts: owed, made, still owed; provisional while the year goes on
 * Source: common practice, no source: one test of a size and class a calendar year, to the crack and the end; a stricter rule
 *   goes before it.
 */
export function compute(input: PipeYearInput, setup: RunSetup): Outcome {
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const known = knownOf(input, setup);
  if (!known)
    return { results: [], lines: [], findings: [], verdicts: [], picture: { kind: 'pipe-year', values: {} } };
  const { year, made, rules, tests, standing } = known;
  const { counted, retests } = standing;
  const over = closed(input, setup, year);
  const open = over ? {} : { provisional: 'the year goes on' };
  const count = (quantity: string, symbol: string, value: Exact): Result =>
    resultOf({ quantity, symbol, value, unit: 'one', step: '1', mode: sheet.mode, ...open });
  const { share, each } = rules;
  for (const [symbol, name, formula, uses] of [
    ...(share
      ? [['ns', 'By the share of the pipes made, rounded up', 'n * p / 100', { n: made, p: share }] as const]
      : []),
    ...(each ? [['ne', 'By one for so many, rounded up', 'n / N', { n: made, N: each }] as const] : []),
  ])
    sheet.line({
      symbol,
      name,
      formula,
      uses,
      unit: 'one',
      source: ourChoice(factText(setup, 'yearFrom') ?? 'its rule'),
    });
  const owed = sheet.line({
    symbol: 'no',
    name: 'Tests owed, the strictest rule',
    formula: 'max(a, b, c)',
    uses: owedByRule(rules, made),
    unit: 'one',
    source: commonPractice,
  });
  const left = sheet.line({
    symbol: 'nl',
    name: 'Still owed',
    formula: 'max(0, no - nm)',
    uses: { no: owed, nm: exact(counted.length) },
    unit: 'one',
    source: commonPractice,
  });
  return {
    results: [count(LEFT, 'nl', left), count(OWED, 'no', owed), count(MADE, 'nm', exact(counted.length))],
    lines: sheet.lines,
    findings: bySeverity(findingsOf(input, known)),
    verdicts: [verdictOf(known, owed, over)],
    picture: {
      kind: 'pipe-year',
      values: {
        year,
        made: made.toNumber(),
        owed: owed.toNumber(),
        counted: counted.length,
        left: left.toNumber(),
        retests: retests.owed,
        tests: packedRows(
          tests.map(({ day, mark, standing: said, retestOf = '', whole }) => [
            day,
            mark,
            said,
            retestOf,
            whole ? 'whole' : '',
          ]),
        ),
        counts: packedRows(
          wholeRows(input.counts).map((row) => [
            (row.at ?? '').slice(0, 10),
            readMeasure(row, 'made')?.value.toNumber() ?? 0,
          ]),
        ),
      },
    },
  };
}

/** True once it was closed, or the year is over. */
function closed({ closedAt }: PipeYearInput, { asOf, zone = 'utc' }: RunSetup, year: number): boolean {
  return closedAt !== undefined || (asOf !== undefined && DateTime.fromISO(asOf, { zone }).year > year);
}

function findingsOf({ counts }: PipeYearInput, { tests, year, standing }: Known): Finding[] {
  const found: Finding[] = [];
  const order = wholeRows(counts)
    .toSorted((a, b) => Date.parse(a.at ?? '') - Date.parse(b.at ?? ''))
    .flatMap((row) => readMeasure(row, 'made')?.value ?? []);
  if (order.some((made, place) => place > 0 && made.lessThan(order[place - 1] ?? 0)))
    found.push(
      finding({
        id: 'pipe-year.counts',
        severity: 'departure',
        fields: ['counts'],
        message: 'A later count is smaller than one before it.',
        action: 'They are counted in all since the year began: look at the list again.',
        remark: 'Counts of pipes made do not rise.',
      }),
    );
  const partly = tests.filter(({ day, whole }) => day.startsWith(`${year}-`) && !whole);
  if (partly.length > 0)
    found.push(
      finding({
        id: 'pipe-year.partly',
        severity: 'advice',
        fields: ['counts'],
        message: `${partly.map(({ mark }) => mark).join(', ')}: tested, not to the crack and the end.`,
        action: 'Such tests are reported and do not count for the year.',
      }),
    );
  if (standing.retests.lost)
    found.push(
      finding({
        id: 'pipe-year.lost',
        severity: 'departure',
        fields: ['counts'],
        message: `${standing.retests.lost}, tested in place of one that failed, fails too.`,
        action: 'The rest of the lot is rejected or tested pipe by pipe: the owner’s engineer decides.',
        remark: `${standing.retests.lost}, tested in place of one that failed, fails too.`,
      }),
    );
  return found;
}

function verdictOf({ year, standing }: Known, owed: Exact, over: boolean): Verdict {
  const { left, counted, retests } = standing;
  const criterion = `Tests of ${year}`;
  const said = `${counted.length} of ${owed} made`;
  const about = { criterion, limit: owed.toFixed(), statistic: String(counted.length) };
  if (retests.lost)
    return verdictWith({
      ...about,
      state: 'does not meet',
      sentence: `${said}; ${retests.lost}, a retest, fails too. The owner’s engineer decides.`,
    });
  if (left === 0 && retests.owed === 0)
    return verdictWith({ ...about, state: 'meets', sentence: `${said}: the year owes no more so far.` });
  const wanting = [
    ...(left > 0 ? [`${left} ${left === 1 ? 'test' : 'tests'} still owed`] : []),
    ...(retests.owed > 0 ? [`${retests.owed} more in place of ${retests.failed.join(' and ')}`] : []),
  ].join(', ');
  return verdictWith({
    ...about,
    state: over ? 'does not meet' : 'not yet determinable',
    sentence: over ? `${said}: ${wanting}, and the year is over.` : `${said}: ${wanting}, by 31 December.`,
  });
}

/**
 * What the year still waits for: its tests from the month on that they are called for to its end, and at once what is owed
 * for a pipe that failed.
 */
export function waits(input: PipeYearInput, setup: RunSetup): Wait[] {
  const known = knownOf(input, setup);
  if (!known) return [];
  const { year, standing } = known;
  const { left, retests, counted } = standing;
  const zone = setup.zone ?? 'utc';
  const at = (of: DateTime): string => of.toISO() ?? '';
  const month = limitsOf(setup).number('teb.year-call', 'US').toNumber();
  const from = DateTime.fromObject({ year, month }, { zone });
  const to = DateTime.fromObject({ year: year + 1 }, { zone });
  const failedOn = counted.findLast(({ standing: said }) => said === 'fails')?.day;
  return [
    ...(left > 0
      ? [
          {
            id: 'tests',
            what: `Test ${left} more of the year`,
            lane: 'press' as const,
            opens: at(from),
            closes: at(to),
          },
        ]
      : []),
    ...(retests.owed > 0
      ? [
          {
            id: 'retests',
            what: `Test ${retests.owed} in place of ${retests.failed.join(' and ')}`,
            lane: 'press' as const,
            opens: at(failedOn ? DateTime.fromISO(failedOn, { zone }) : from),
            closes: at(to),
          },
        ]
      : []),
  ];
}
