import { type LogAnalysis, type LogRequest, slidingRates, withoutSpikes } from './analyse-log';

/** Cleans a binary number to six places, without trailing zeros. */
const plain = (value: number): string => String(Number(value.toFixed(6)));

/**
 * A log as it was judged: spikes replaced, stress by the specimen's area, the rate from moment to moment where it counts.
 * @param analysis of the same request
 * @returns CSV `t_s,load,stress,rate_sliding,in_band`; rate and band are empty outside the judged part
 */
export function cleanedCsv(request: LogRequest, analysis: LogAnalysis): string {
  const { seconds, area, stress, low, high } = request;
  const { load } = withoutSpikes(request.load);
  const rates = new Map<number, number>();
  if (analysis.judgedFrom !== null && analysis.judgedTo !== null)
    slidingRates(
      seconds,
      load,
      analysis.judgedFrom,
      analysis.judgedTo,
      area / stress,
      low,
      high,
      (index, rate) => rates.set(index, rate),
    );
  const rows = ['t_s,load,stress,rate_sliding,in_band'];
  for (let index = 0; index < seconds.length; index += 1) {
    const value = load[index] ?? 0;
    const rate = rates.get(index);
    rows.push(
      [
        plain(seconds[index] ?? 0),
        plain(value),
        plain((value / area) * stress),
        rate === undefined ? '' : plain(rate),
        rate === undefined ? '' : rate >= low && rate <= high ? 'yes' : 'no',
      ].join(','),
    );
  }
  return `${rows.join('\n')}\n`;
}
