import { CHARTS, type SeriesOfSource } from '../uniformity';
import { csvText } from './csv';

const COLUMNS = [
  ...['source', 'series', 'sample', 'sampled_at', 'result', 'baseline', 'average_of_five', 'weighted_mean'],
  ...['weighted_low', 'weighted_high', 'sum_up', 'sum_down', 'beyond', 'changed', 'decided'],
];

/** Results of sources with what the charts make of each, as a table. @param unit of the results: `psi` or `MPa` */
export function sourceCsv(series: readonly SeriesOfSource[], unit: string): string {
  const held = (value: number | null | undefined): number | null =>
    value === null || value === undefined ? null : Number(value.toPrecision(9));
  const fields = COLUMNS.map((name) => (name === 'result' ? `result_${unit.toLowerCase()}` : name));
  const rows = series.flatMap(({ source, points, charts }) => {
    const from = new Date(points[0]?.sampledAt ?? 0).toISOString().slice(0, 10);
    return points.map((point, at) => {
      const drawn = charts?.points[at];
      return [
        ...[source, `from ${from}`, point.label, new Date(point.sampledAt).toISOString(), point.value],
        point.counts === 'out' ? 'left out' : '',
        ...[held(drawn?.five), held(drawn?.weighted.value), held(drawn?.weighted.low)],
        ...[held(drawn?.weighted.high), held(drawn?.sums.up), held(drawn?.sums.down)],
        (drawn?.beyond ?? []).map((id) => CHARTS[id]).join('; '),
        point.changed.join('; '),
        point.decisions.map(({ words }) => words).join('; '),
      ];
    });
  });
  return csvText(fields, rows);
}
