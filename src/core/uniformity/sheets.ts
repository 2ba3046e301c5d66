import { groupBy } from '../group-by';
import type { Limits } from '../limits';
import { chartRules, chartsOf } from './charts';

/** What a sheet says of one property, and the own value where there is one. */
export interface SheetValue {
  readonly what: string;
  readonly unit: string;
  readonly decimals: number;
  readonly sheet: number;
  readonly own: number | undefined;
}

/** A sheet of a plant, of one lot. */
export interface SheetOfLot {
  readonly sampleId: string;
  readonly label: string;
  /** ms since 1970. */
  readonly sampledAt: number;
  readonly source: string;
  readonly values: readonly SheetValue[];
}

/** A value of the sheets of one source over its lots. */
export interface SheetTrend extends Pick<SheetValue, 'what' | 'unit' | 'decimals'> {
  readonly source: string;
  readonly points: readonly (Pick<SheetOfLot, 'sampleId' | 'label' | 'sampledAt'> &
    Pick<SheetValue, 'sheet' | 'own'>)[];
  /** Which way the sheets left what their first ones say; undefined where they did not, or are too few to say. */
  readonly steps: 'up' | 'down' | undefined;
  /** There are more of them than make the baseline: then `steps` says something. */
  readonly enough: boolean;
  /** How far own values lie off the sheets on the average; undefined where there are fewer than two. */
  readonly off: number | undefined;
}

/**
 * What the sheets of each source say over its lots, property by property, and whether they step: by the weighted mean, held to
 * the first of them.
 * @param sheets in the order of sampling
 * @returns those with two sheets and more, what steps first
 * Source: an exponentially weighted chart, any handbook of control charts; how many sheets make its baseline is our choice.
 */
export function sheetTrends(sheets: readonly SheetOfLot[], limits: Limits): SheetTrend[] {
  const rules = { ...chartRules(limits), baseline: limits.number('uniformity.sheets', 'US').toNumber() };
  const all = sheets.flatMap(({ values, ...of }) => values.map((value) => ({ ...of, ...value })));
  const trends = [...groupBy(all, ({ source, what, unit }) => `${source}/${what}/${unit}`).values()].flatMap(
    (points): SheetTrend[] => {
      const [first] = points;
      if (!first || points.length < 2) return [];
      const charts = chartsOf(
        points.map(({ sheet }) => sheet),
        rules,
      );
      const last = charts?.points.at(-1);
      const beyond = charts && points.length > charts.until + 1 && last?.beyond.includes('weighted');
      const offs = points.flatMap(({ own, sheet }) => (own === undefined ? [] : [own - sheet]));
      const { source, what, unit, decimals } = first;
      return [
        {
          ...{ source, what, unit, decimals, points },
          steps: beyond ? ((last?.weighted.value ?? 0) > charts.centre ? 'up' : 'down') : undefined,
          enough: points.length > rules.baseline,
          off: offs.length > 1 ? offs.reduce((sum, each) => sum + each, 0) / offs.length : undefined,
        },
      ];
    },
  );
  return trends.toSorted((a, b) => Number(b.steps !== undefined) - Number(a.steps !== undefined));
}
