import { cite, type LimitId, type Limits } from '../../limits';
import { exact, plainOf, type System } from '../../quantity';
import type { LogCriteria, LogRequest, LogTrouble } from '../../signals';
import { type Finding, finding } from '../../working';
import type { PressTest, PressUse } from '../contract';
import type { RunSetup } from '../setup';
import { loadBand } from './rates';
import { FORCE_UNIT } from './units';

/** How a load log is judged, from the register. */
export function logCriteria(limits: Limits): LogCriteria {
  const of = (id: LimitId): number => limits.number(id, 'US').toNumber();
  return {
    share: { remark: of('log.share-remark'), review: of('log.share-review') },
    underRead: { remark: of('log.under-read-remark'), review: of('log.under-read-review') },
  };
}

/** The part of what a log is analysed with that comes from the test. */
export type LogBand = Pick<LogRequest, 'area' | 'stress' | 'low' | 'high' | 'criteria' | 'judged' | 'driven'>;

/**
 * What a log of a test is analysed with.
 * @returns area, band and criteria; loads are lbf or kN. For a rate of the load itself the area is one.
 */
export function logBand(test: PressTest, system: System, limits: Limits): LogBand {
  const { low, high } = loadBand(test, system);
  const area = test.area.toNumber();
  const stress = test.factor.toNumber();
  return {
    area,
    stress,
    low: (low.toNumber() * stress) / area,
    high: (high.toNumber() * stress) / area,
    criteria: logCriteria(limits),
    ...(test.driven ? { driven: true } : {}),
    ...(test.judged
      ? {
          judged: {
            from: (test.judged.low?.toNumber() ?? 0) / 100,
            to: (test.judged.high?.toNumber() ?? 100) / 100,
          },
        }
      : {}),
  };
}

const TROUBLES: Readonly<Record<LogTrouble, string>> = {
  empty: 'it holds no load',
  'time not increasing': 'its time repeats or falls back: it gives no rates',
  clipped: 'its top is cut off: the indicator could show no more',
  'maximum not shown': 'the load never fell below 95 % of the maximum',
  'starts late': 'it begins above half of the maximum: rates are not known',
  gap: 'it has a gap in the judged part',
  'not at zero': 'it did not stand at zero before contact',
  'too few for sliding rates': 'too few readings for the rate from moment to moment',
};

/** What is said of a log’s trouble, in words. */
export function troubleWords(trouble: LogTrouble): string {
  return TROUBLES[trouble];
}

const SAID: readonly LogTrouble[] = ['starts late', 'gap', 'not at zero', 'time not increasing'];

/** What the kept load log says of the test. */
export function logFindings(
  setup: RunSetup,
  limits: Limits,
  system: System,
  fields: PressUse['fields'],
): Finding[] {
  const { loadLog } = setup;
  if (!loadLog) return [];
  const found: Finding[] = [];
  const { troubles, outside, underRead } = loadLog;
  // What is bent by its displacement cracks, drops and rises again: that is what it is for, and its own findings say it.
  const [dips, spikes] = loadLog.bend ? [[], []] : [loadLog.dips, loadLog.spikes];
  for (const trouble of ['clipped', 'maximum not shown'] as const) {
    if (!troubles.includes(trouble)) continue;
    found.push(
      finding({
        id: `log.${trouble.replaceAll(' ', '-')}`,
        severity: 'invalid',
        fields: [fields.load],
        message: `The load log: ${TROUBLES[trouble]}.`,
        action:
          trouble === 'clipped'
            ? 'There is no maximum load to report.'
            : 'Loading goes on until the load has fallen below 95 % of the peak. Was the indicator’s own peak read after that?',
      }),
    );
  }
  const share = outside ?? 0;
  const review = limits.of('log.share-review', system);
  const remark = limits.of('log.share-remark', system);
  // What is judged by the time of its second half has no rate to keep.
  if (fields.rate && remark.high && exact(share).greaterThan(remark.high)) {
    const heavy = review.high !== undefined && exact(share).greaterThan(review.high);
    const words = `Outside the band of the rate for ${share.toFixed(0)} % of the judged part`;
    found.push(
      finding({
        id: 'log.share',
        severity: 'departure',
        needsReason: heavy,
        fields: [fields.rate],
        limit: cite(heavy ? review : remark),
        message: `${words}.`,
        action:
          'Set the rate earlier on the next one; correct in small turns and leave the valve alone near the top.',
        remark: `${words}.`,
      }),
    );
  }
  const bound = underRead ?? 0;
  const most = limits.of('log.under-read-remark', system);
  if (most.high && exact(bound).greaterThan(most.high)) {
    const heavy = exact(bound).greaterThan(limits.number('log.under-read-review', system));
    found.push(
      finding({
        id: 'log.under-read',
        severity: 'departure',
        needsReason: heavy,
        fields: [fields.load],
        limit: cite(heavy ? limits.of('log.under-read-review', system) : most),
        message: `The log may have missed up to ${bound.toFixed(2)} % of the peak between two samples.`,
        action: 'Take the peak from the indicator’s own hold; log ten times a second or more.',
        remark: `Peak of the log uncertain by ${bound.toFixed(2)} %.`,
      }),
    );
  }
  for (const trouble of SAID.filter((each) => troubles.includes(each))) {
    found.push(
      finding({
        id: `log.${trouble.replaceAll(' ', '-')}`,
        severity: 'departure',
        needsReason: false,
        fields: [],
        message: `The load log: ${TROUBLES[trouble]}.`,
        action: 'Look at the recorder before the next test.',
        remark: `Load log: ${TROUBLES[trouble]}.`,
      }),
    );
  }
  if (dips.length > 0) {
    const unit = FORCE_UNIT[system];
    const words = dips
      .map(
        ({ load, depth }) =>
          `at ${plainOf(exact(load).toSignificantDigits(6), unit)} by ${depth.toFixed(1)} %`,
      )
      .join(', ');
    found.push(
      finding({
        id: 'log.dip',
        severity: 'departure',
        needsReason: false,
        fields: [],
        message: `The load dropped and recovered: ${words}.`,
        action: 'A corner, a slip or a pause: look at the pieces and the pads.',
        remark: `Load dropped and recovered ${words}.`,
      }),
    );
  }
  if (spikes.length > 0) {
    found.push(
      finding({
        id: 'log.spikes',
        severity: 'advice',
        fields: [],
        message: `${spikes.length} single ${spikes.length === 1 ? 'reading' : 'readings'} jumped and fell back at once; replaced by the mean of the neighbours.`,
        action: 'Look at the cable and the indicator.',
      }),
    );
  }
  return found;
}
