import { isWithin, type LimitId } from '../../limits';
import type { LotAbout, LotSays, SampleOfLot } from '../../material/contract';
import { PROPERTIES } from '../../methods/unit-report/input';
import { type Exact, exact, roundedText } from '../../quantity';
import { plain, Sheet, standard, type WorkingLine } from '../../working';
import { afterRetest } from '../retest';
import { schoolOf } from '../schools';
import { ALTERNATES, type Alternate, coldAllows, WAIVES, weatherAllows } from './alternates';
import { CRITERIA } from './criteria';
import { gradeTables, judge, rowWords } from './grades';
import { brickOf, GRADES, gradeNamed, isPaving } from './products';

const WEAR: Readonly<Record<string, LimitId>> = {
  1: 'brick.wear-1',
  2: 'brick.wear-2',
  3: 'brick.wear-3',
};

/** The criteria of the rows that an alternate makes fall away, by what they are called. */
function waivedTitles(used: readonly Alternate[]): Set<string> {
  const rows = new Set(used.flatMap((each) => WAIVES[each]));
  const ids: Readonly<Record<string, string>> = {
    boil: 'brick-boil-mean',
    'boil-each': 'brick-boil-each',
    sat: 'brick-saturation-mean',
    'sat-each': 'brick-saturation-each',
  };
  return new Set(
    CRITERIA.filter(({ id }) => Object.entries(ids).some(([row, is]) => is === id && rows.has(row))).map(
      ({ title }) => title,
    ),
  );
}

/**
 * What the samples of a delivery of brick say together: how it stands against what is asked, the grade that the results
 * award, what keeps it from the next one, and of paving brick its abrasion index.
 * @returns null while no sample has been tested
 * Source: ASTM C216, C62, C652, C902 (from memory).
 */
export function across(samples: readonly SampleOfLot[], about: LotAbout): LotSays | null {
  const { asked, tests, limits, system, mode } = about;
  const product = brickOf(asked.product);
  if (!product) return null;
  const others = tests.flatMap(({ verdicts }) => verdicts);
  const frozen = others.filter(({ criterion }) => criterion.startsWith(PROPERTIES.freeze));
  const second = samples.filter((sample) => sample.about.draw === 'second');
  const deciding = second.some(({ verdicts }) => verdicts.length > 0) ? second : samples;
  const found: Record<string, string> = Object.assign({}, ...deciding.map((sample) => sample.found));
  const of = (name: string): Exact | undefined =>
    found[name] === undefined ? undefined : exact(found[name]);
  const index =
    typeof asked.weatheringIndex === 'string' && asked.weatheringIndex
      ? exact(asked.weatheringIndex)
      : undefined;
  const possible: Alternate[] =
    isPaving(product) || schoolOf(product)
      ? []
      : [
          ...(coldAllows(of('greatest cold absorption'), limits) ? (['cold'] as const) : []),
          ...(weatherAllows(index, limits) ? (['weathering'] as const) : []),
          ...(frozen.some(({ state }) => state === 'meets') ? (['freezing'] as const) : []),
        ];
  const used = possible.filter((each) => each !== 'cold' || asked.coldAlternate === 'yes');
  const lines: WorkingLine[] = [];
  const wear = product === 'c902' ? wearOf(of, about, lines) : undefined;
  const waived = waivedTitles(used.includes('freezing') ? ['freezing'] : []);
  const school = schoolOf(product);
  const needed = ['mean strength', ...(school === 'en' ? [] : ['mean cold absorption'])];
  const verdict = afterRetest(samples, {
    bad: wear?.bad,
    missing: () => [
      ...needed.filter((name) => found[name] === undefined),
      ...(asked.efflorescence === 'none' &&
      !deciding.some(({ verdicts }) => verdicts.some(({ title }) => title === 'Efflorescence'))
        ? ['efflorescence']
        : []),
      ...(product === 'c902' && asked.wear && !wear ? ['abrasion index'] : []),
    ],
    counts: ({ title }) => !waived.has(title),
  });
  if (!verdict) return null;
  if (school) return { results: [], lines, verdict, remarks: [] };
  const tables = gradeTables(product, found, { limits, system, mode });
  const judged = judge(tables, used);
  const wanted = gradeNamed(asked.grade);
  return {
    results: [],
    lines,
    verdict,
    remarks: [
      judged.grade
        ? `By these results the grade is ${judged.grade}${judged.governs ? `; its least margin is ${judged.governs.margin?.toFixed(1)} %, ${rowWords(judged.governs)}` : ''}.`
        : judged.grade === null
          ? `By these results it reaches no grade: ${judged.why.map(rowWords).join('; ')}.`
          : `The grade is not known while there is no result of ${judged.missing.join('; ').toLowerCase()}.`,
      ...(judged.grade && judged.why.length > 0
        ? [`The next one is missed by ${judged.why.map(rowWords).join('; ')}.`]
        : []),
      ...used.map((each) => `${ALTERNATES[each]}.`),
      ...(wear ? [wear.words] : []),
    ],
    picture: {
      kind: 'grades',
      values: {
        tables: JSON.stringify(tables),
        possible: possible.join(','),
        used: used.join(','),
        asked: wanted ? GRADES[wanted] : null,
      },
    },
  };
}

/** The abrasion index of paving brick: cold absorption over strength. Source: ASTM C902 (from memory). */
function wearOf(
  of: (name: string) => Exact | undefined,
  { asked, limits, system, mode }: LotAbout,
  lines: WorkingLine[],
): { words: string; bad?: string } | undefined {
  const [Ac, C] = [of('mean cold absorption'), of('mean strength')];
  if (!Ac || !C) return undefined;
  const sheet = new Sheet(mode);
  const step = limits.number('brick.wear-step', system);
  const value = sheet.line({
    symbol: 'Ia',
    name: 'Abrasion index',
    formula: system === 'US' ? '100 * Ac / C' : '100 * Ac / (C * k)',
    // The index is that of psi: a megapascal is 145.0377 of them.
    uses: system === 'US' ? { Ac, C } : { Ac, C, k: exact('145.037737730') },
    unit: 'one',
    source: standard('ASTM C902'),
    round: { step, rule: `to ${limits.of('brick.wear-step', system).text}` },
  });
  lines.push(...sheet.lines);
  const said = roundedText(value, step, mode);
  const id = WEAR[String(asked.wear)];
  const good = id ? isWithin(exact(said), limits.of(id, system)) : true;
  const words = `Abrasion index ${said}${id ? `, ${limits.of(id, system).text} is asked for` : ''} (${plain(value, 4)} before rounding).`;
  return { words, ...(good ? {} : { bad: words }) };
}
