import { CHARTS, type SeriesOfSource, type SourceUnit, scatterFacts } from '../uniformity';
import { type Drawing, type Shape, tenth } from './drawing';
import type { Section } from './sections';

/** A series of a source over a period, as a report of it shows it. */
export interface PeriodOf {
  /** All of the series: its charts are held to its own baseline, whatever the period. */
  readonly whole: SeriesOfSource;
  /** What of it lies in the period: its scatter is of that alone. */
  readonly within: SeriesOfSource;
}

export interface PeriodAbout extends Pick<SourceUnit, 'unit' | 'shown'> {
  /** The age, in words. */
  readonly age: string;
  /** Results from which a report is a formal one. */
  readonly formal: number;
  day(at: number): string;
}

const WIDE = 500;
const HIGH = 170;
const [LEFT, RIGHT, TOP, FOOT] = [44, 8, 8, 18] as const;

/**
 * What a report of a period says of a source: how it scatters, each result with its average of five and what each chart makes of
 * it, the results drawn between the limits of the baseline, what was decided.
 */
export function periodSections({ whole, within }: PeriodOf, about: PeriodAbout): Section[] {
  const { scatter, points } = within;
  const { unit, shown, day, age, formal } = about;
  const charted = (sampleId: string) => {
    const place = whole.points.findIndex((each) => each.sampleId === sampleId);
    return whole.charts?.points[place];
  };
  const values = points.map(({ value }) => Number(value));
  const ends: [string, string][] = scatter
    ? [['Least and greatest', `${shown(Math.min(...values))} and ${shown(Math.max(...values))} ${unit}`]]
    : [];
  const facts = [...scatterFacts(scatter, about, formal), ...ends];
  return [
    {
      kind: 'table',
      title: `${whole.source}, strength at ${age}`,
      columns: [
        { heading: 'What', as: 'plain', width: 150 },
        { heading: 'Comes to', as: 'plain' },
      ],
      rows: facts,
      sentences: facts.length === 0 ? ['Fewer than two results in the period.'] : [],
      notes: scatter?.remarks ?? [],
    },
    ...(points.length > 1
      ? [
          {
            kind: 'drawing' as const,
            title: 'Results in order',
            drawing: drawn(whole, points, about),
            notes: whole.charts
              ? ['Dashed: limits of single results, from the baseline of the series, which stays.']
              : ['The baseline of the series is not full yet.'],
          },
        ]
      : []),
    {
      kind: 'table',
      title: 'Each result',
      columns: [
        { heading: 'Sampled', as: 'small', width: 62 },
        { heading: 'Sample', as: 'mono', width: 70 },
        { heading: unit, as: 'mono', width: 50 },
        { heading: 'Of five', as: 'mono', width: 50 },
        { heading: 'Beyond', as: 'small' },
        { heading: 'What was otherwise, what was decided', as: 'small' },
      ],
      rows: points.map(({ sampleId, sampledAt, label, value, counts, changed, decisions }) => {
        const chart = charted(sampleId);
        return [
          ...[day(sampledAt), label, shown(Number(value))],
          chart?.five === null || chart === undefined ? '' : shown(chart.five),
          (chart?.beyond ?? []).map((each) => CHARTS[each]).join(', '),
          [
            ...(counts === 'out' ? ['left out'] : []),
            ...changed,
            ...decisions.map(({ words }) => words),
          ].join('; '),
        ];
      }),
      sentences: [],
      notes: [],
    },
  ];
}

function drawn(
  whole: SeriesOfSource,
  points: SeriesOfSource['points'],
  { shown, day }: PeriodAbout,
): Drawing {
  const values = points.map(({ value }) => Number(value));
  const { charts } = whole;
  const marks = charts ? [charts.single.low, charts.centre, charts.single.high] : [];
  const [low, high] = [Math.min(...values, ...marks), Math.max(...values, ...marks)];
  const room = (high - low || 1) * 0.05;
  const x = (place: number): number =>
    tenth(LEFT + ((WIDE - LEFT - RIGHT) * place) / Math.max(1, points.length - 1));
  const y = (value: number): number =>
    tenth(HIGH - FOOT - ((HIGH - FOOT - TOP) * (value - low + room)) / (high - low + 2 * room));
  const across = (value: number, dash?: readonly number[]): Shape => ({
    ...{ kind: 'path', stroke: dash ? 'stop' : 'quiet', width: 0.8 },
    through: [
      { x: LEFT, y: y(value) },
      { x: WIDE - RIGHT, y: y(value) },
    ],
    ...(dash ? { dash } : {}),
  });
  const text = (at: { x: number; y: number }, words: string, anchor: 'end' | 'middle'): Shape => ({
    ...{ kind: 'text', at, text: words, size: 8, ink: 'quiet', anchor },
  });
  return {
    width: WIDE,
    height: HIGH,
    words: `${points.length} results of ${whole.source} in order`,
    shapes: [
      ...(charts
        ? [across(charts.centre), across(charts.single.low, [5, 3]), across(charts.single.high, [5, 3])]
        : []),
      ...[...new Set([low, high, ...marks])].map((value) =>
        text({ x: LEFT - 4, y: y(value) + 3 }, shown(value), 'end'),
      ),
      {
        kind: 'path',
        stroke: 'line',
        width: 1.2,
        through: values.map((value, place) => ({ x: x(place), y: y(value) })),
      },
      ...values.map(
        (value, place): Shape => ({
          ...{ kind: 'circle', at: { x: x(place), y: y(value) }, r: 2.2, stroke: 'line', width: 1 },
          fill: points[place]?.counts === 'out' ? 'paper' : 'line',
        }),
      ),
      ...[0, points.length - 1].map((place) =>
        text(
          { x: x(place), y: HIGH - 4 },
          day(points[place]?.sampledAt ?? 0),
          place === 0 ? 'middle' : 'end',
        ),
      ),
    ],
  };
}
