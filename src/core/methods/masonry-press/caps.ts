import { cite, type Limits } from '../../limits';
import { exact, type System } from '../../quantity';
import { durationText } from '../../windows';
import { type Finding, finding } from '../../working';
import { EndsTold } from '../batch-facts';
import { type FactSources, factOf } from '../facts';
import type { RunSetup } from '../setup';

/** What the batch says of the caps of a masonry specimen. */
export const CAPS: FactSources = {
  ends: { of: 'batch', take: 'ends', by: ['capping'], is: EndsTold },
  capped: { of: 'batch', take: 'capped', by: ['capping'], is: 'text' },
};

/** Its caps in words, in a table of specimens. */
export const CAPS_COLUMN = { heading: 'Caps', of: ['~capped'] } as const;

interface InPress {
  readonly system: System;
  readonly testedAt?: string | undefined;
}

/** When the older of its caps was made, or the batch as a whole; undefined while nothing is on record. */
export function cappedFrom(setup: RunSetup): string | undefined {
  const ends = factOf(setup, 'ends', EndsTold);
  return ends?.beganAt ?? ends?.finishedAt;
}

/**
 * The caps of a masonry specimen before it is loaded: two hours old, in order, on record.
 * Source: ASTM C1552 (from memory).
 */
export function capsFindings(input: InPress, setup: RunSetup, limits: Limits): Finding[] {
  const ends = factOf(setup, 'ends', EndsTold);
  const about = { beforeLoad: true, fields: ['maximumLoad'] } as const;
  if (!ends?.finishedAt)
    return [
      finding({
        ...about,
        id: 'caps.unknown',
        severity: 'departure',
        needsReason: true,
        message: 'Its caps are not on record.',
        action: 'Cap it on the page of its set, under Together: from its younger cap count two hours.',
        remark: 'Caps not on record.',
      }),
    ];
  const found: Finding[] = [];
  const at = input.testedAt ?? setup.asOf;
  const minutes = (Date.parse(at ?? '') - Date.parse(ends.finishedAt)) / 60_000;
  if (exact(Number.isNaN(minutes) ? 1e6 : minutes).lessThan(limits.number('caps.unit-age', 'US').times(60)))
    found.push(
      finding({
        ...about,
        id: 'caps.unit-age',
        severity: 'invalid',
        limit: cite(limits.of('caps.unit-age', input.system)),
        message: `Its younger cap is ${durationText(Math.max(0, minutes))} old.`,
        action: 'The caps are too young: wait until two hours are full.',
      }),
    );
  const said = [
    ...(ends.troubles ?? []).map((words) => ({ words: `Cap ${words}`, needsReason: true })),
    ...(ends.remarks ?? []).map((words) => ({ words, needsReason: false })),
  ];
  return [
    ...found,
    ...said.map(({ words, needsReason }, index) =>
      finding({
        ...about,
        id: `caps.batch-${index}`,
        severity: 'departure',
        needsReason,
        message: `${ends.batch}: ${words}${words.endsWith('.') ? '' : '.'}`,
        action: needsReason
          ? 'Take it off and cap again: it is not patched.'
          : 'It is reported with every specimen of the batch.',
        remark: `${ends.batch}: ${words}${words.endsWith('.') ? '' : '.'}`,
      }),
    ),
  ];
}
