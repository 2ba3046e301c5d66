import { isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { fitLine } from '../../statistics/line';
import { studentT } from '../../statistics/student';
import { bySeverity, type Finding, finding, ourChoice, type Severity, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { readMeasure } from '../fields';
import { type FindingWords, limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { STRESS_UNIT } from '../press/units';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import type { PairRow, SiteFactorInput } from './input';

const SITE = standard('ASTM D5731', 'site correlation');
const CONFIDENCE = 0.975;

interface Pair {
  readonly core: string;
  readonly x: Exact;
  readonly y: Exact;
  readonly row: PairRow;
}

const sum = (values: readonly Exact[]): Exact => values.reduce((all, value) => all.plus(value), exact(0));

/**
 * Factor K of a site: strength of cores over the index of the pieces beside them, as a line through the origin.
 * @param input pairs of index and strength, MPa or psi
 * @returns K with what its interval needs: scatter about the line, sum of squares of the indices, their ends and number
 * Source: a regression through the origin: K = Σxy / Σx², s = √(Σ(y − Kx)² / (n − 1)), K ± t · s / √Σx².
 */
export function compute(input: SiteFactorInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const given = wholeRows(input.pairs).flatMap((row): Pair[] => {
    const [x, y] = [readMeasure(row, 'index')?.value, readMeasure(row, 'strength')?.value];
    return x?.greaterThan(0) && y?.greaterThan(0) ? [{ core: row.core ?? '', x, y, row }] : [];
  });
  const pairs = given.filter(({ row }) => !row.leftOut?.trim());
  const results: Result[] = [];
  const fit = pairs.length >= 2 ? through(pairs, { system, limits, sheet, results, mode }) : undefined;
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findingsOf(input, given, pairs, fit, limits)),
    verdicts: [],
    picture: {
      kind: 'site-factor',
      values: {
        factor: fit?.factor.toNumber() ?? null,
        scatter: fit?.scatter.toNumber() ?? null,
        squares: fit?.squares.toNumber() ?? null,
        t: fit?.t.toNumber() ?? null,
        unit: STRESS_UNIT[system],
        pairs: JSON.stringify(
          given.map(({ core, x, y, row }) => [core, x.toNumber(), y.toNumber(), row.leftOut?.trim() ? 0 : 1]),
        ),
      },
    },
  };
}

interface Through {
  readonly factor: Exact;
  readonly scatter: Exact;
  readonly squares: Exact;
  /** Student's t of the interval. */
  readonly t: Exact;
}

function through(
  pairs: readonly Pair[],
  about: {
    readonly system: SiteFactorInput['system'];
    readonly limits: Limits;
    readonly sheet: Sheet;
    readonly results: Result[];
    readonly mode: 'half-even' | 'half-up';
  },
): Through {
  const { system, limits, sheet, results, mode } = about;
  const unit = STRESS_UNIT[system];
  const count = exact(pairs.length);
  const squares = sum(pairs.map(({ x }) => x.pow(2)));
  const products = sum(pairs.map(({ x, y }) => x.times(y)));
  const step = limits.number('site-factor.step', system);
  const factor = sheet.line({
    symbol: 'K',
    name: 'Factor of the site, through the origin',
    formula: 'Sxy / Sxx',
    uses: { Sxy: products, Sxx: squares },
    unit: 'one',
    source: SITE,
    round: { step, rule: 'factor' },
  });
  const left = sum(pairs.map(({ x, y }) => y.minus(factor.times(x)).pow(2)));
  const scatter = sheet.line({
    symbol: 's',
    name: 'Scatter about the line',
    formula: 'sqrt(Sr / (n - 1))',
    uses: { Sr: left, n: count },
    unit,
    source: SITE,
    show: 4,
  });
  const t = exact(studentT(CONFIDENCE, pairs.length - 1));
  const half = sheet.line({
    symbol: 'dK',
    name: 'Half the interval of K, 95 %',
    formula: 't * s / sqrt(Sxx)',
    uses: { t, s: scatter, Sxx: squares },
    unit: 'one',
    source: SITE,
    show: 3,
  });
  const ratios = pairs.map(({ x, y }) => y.div(x));
  sheet.line({
    symbol: 'r',
    name: 'Mean of the ratios',
    formula: 'S / n',
    uses: { S: sum(ratios), n: count },
    unit: 'one',
    source: ourChoice('shown beside the line'),
    show: 4,
  });
  const line = fitLine(pairs.map(({ x, y }) => ({ x: x.toNumber(), y: y.toNumber() })));
  if (line)
    sheet.line({
      symbol: 'R2',
      name: `Share explained by a line of its own, y = ${line.intercept.toFixed(2)} + ${line.slope.toFixed(2)} x`,
      formula: 'Sxy^2 / (Sxx * Syy)',
      uses: { Sxy: exact(line.sums.xy), Sxx: exact(line.sums.xx), Syy: exact(line.sums.yy || 1) },
      unit: 'one',
      source: ourChoice('shown beside the line'),
      show: 3,
    });
  const indices = pairs.map(({ x }) => x).toSorted((a, b) => a.comparedTo(b));
  const said: [string, string, Exact, typeof unit | 'one', Exact | string][] = [
    ['site factor', 'K', factor, 'one', step],
    ['half interval', 'dK', half, 'one', step],
    ['scatter', 's', scatter, unit, limits.number('point.step', system)],
    ['pairs', 'n', count, 'one', '1'],
    ['sum of squares', 'Sxx', squares, 'one', '0.01'],
    ['least index', 'xl', indices[0] ?? exact(0), unit, limits.number('point.step', system)],
    ['greatest index', 'xg', indices.at(-1) ?? exact(0), unit, limits.number('point.step', system)],
  ];
  const wanted = limits.of('site-factor.wanted', system);
  const few = isWithin(count, wanted) ? undefined : `${count} of ${wanted.low} pairs`;
  for (const [quantity, symbol, value, of, to] of said)
    results.push(
      resultOf({
        quantity,
        symbol,
        value,
        unit: of,
        step: to,
        mode,
        ...(few && quantity === 'site factor' ? { provisional: few } : {}),
      }),
    );
  return { factor, scatter, squares, t };
}

function findingsOf(
  input: SiteFactorInput,
  given: readonly Pair[],
  pairs: readonly Pair[],
  fit: Through | undefined,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const make = (id: LimitId, severity: Severity, words: FindingWords, needsReason = severity === 'invalid') =>
    limitFinding(limits, system, { id, severity, needsReason, fields: ['pairs'] }, words);
  const found: Finding[] = [];
  const below = (id: LimitId): boolean => !isWithin(exact(pairs.length), limits.of(id, system));
  if (below('site-factor.fewest'))
    found.push(
      make('site-factor.fewest', 'invalid', {
        message: `${pairs.length} pairs: too few for a factor of the site.`,
        action: 'Go on with the general factor until there are enough.',
      }),
    );
  else if (below('site-factor.wanted'))
    found.push(
      make('site-factor.wanted', 'departure', {
        message: `${pairs.length} pairs: the factor is provisional.`,
        action: 'Add pairs over the whole range of the rock.',
        remark: `Factor of the site provisional, from ${pairs.length} pairs.`,
      }),
    );
  if (fit && !isWithin(fit.factor, limits.of('site-factor.usual', system)))
    found.push(
      make('site-factor.usual', 'advice', {
        message: `A factor of ${fit.factor.toFixed(1)} is unusual.`,
        action: 'Check which column is index and which is strength, and the units.',
      }),
    );
  const indices = pairs.map(({ x }) => x.toNumber());
  const [least, most] = [Math.min(...indices), Math.max(...indices)];
  if (pairs.length > 1 && !isWithin(exact(most / least), limits.of('site-factor.span', system)))
    found.push(
      make('site-factor.span', 'advice', {
        message: 'The pairs lie close together: the factor says nothing of weaker or stronger rock.',
        action: 'Take pairs at both ends of what the site has.',
      }),
    );
  for (const { core, row } of pairs) {
    const apart = readMeasure(row, 'apart')?.value;
    if (apart && !isWithin(apart, limits.of('site-factor.apart', system)))
      found.push(
        make('site-factor.apart', 'departure', {
          message: `${core}: core and pieces lie ${plainOf(apart, system === 'US' ? 'ft' : 'm')} apart.`,
          action: 'Leave the pair out with its reason, or take pieces beside the core.',
          remark: `${core}: core and pieces not from one place.`,
        }),
      );
  }
  const off = limits.of('site-factor.off', system).high;
  const far = fit?.scatter.greaterThan(0)
    ? pairs.filter(({ x, y }) =>
        y
          .minus(fit.factor.times(x))
          .abs()
          .greaterThan(fit.scatter.times(off ?? 1)),
      )
    : [];
  if (far.length > 0)
    found.push(
      make('site-factor.off', 'advice', {
        message: `Far off the line: ${far.map(({ core }) => core).join(', ')}.`,
        action: 'Look for the cause; leave a pair out only with a reason.',
      }),
    );
  const out = given.filter((pair) => !pairs.includes(pair));
  if (out.length > 0)
    found.push(
      finding({
        id: 'site-factor.left-out',
        severity: 'departure',
        needsReason: false,
        fields: ['pairs'],
        message: `Left out: ${out.map(({ core }) => core).join(', ')}.`,
        action: 'The reason stands with each.',
        remark: `Pairs left out: ${out.map(({ core, row }) => `${core}, ${row.leftOut}`).join('; ')}.`,
      }),
    );
  return found;
}
