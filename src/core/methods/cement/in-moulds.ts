import { isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, type System } from '../../quantity';
import type { Wait } from '../../waits/wait';
import type { Finding } from '../../working';
import { limitFinding } from '../limit-finding';
import { limitsOf, type RunSetup } from '../setup';

const HOUR = 3_600_000;

/**
 * Cubes that were longer or shorter in their moulds than they should.
 * @param from when they came to stand, ms; NaN while it is not known @param strippedAt when they came out, ISO 8601
 * @param row hours that they stand
 */
export function mouldFindings(
  from: number,
  strippedAt: string | undefined,
  { row, action }: { readonly row: LimitId; readonly action: string },
  limits: Limits,
  system: System,
): Finding[] {
  const stood = (Date.parse(strippedAt ?? '') - from) / HOUR;
  if (!Number.isFinite(stood) || isWithin(exact(stood.toFixed(3)), limits.of(row, system))) return [];
  return [
    limitFinding(
      limits,
      system,
      { id: row, severity: 'departure', fields: ['strippedAt'] },
      {
        message: `They stood ${stood.toFixed(1)} h in their moulds.`,
        action,
        remark: `${stood.toFixed(1)} h in the moulds.`,
      },
    ),
  ];
}

/** The cubes wait in their moulds, best for a day; nothing waits while it is not known when they came to stand. */
export function mouldWaits(
  from: number,
  strippedAt: string | undefined,
  row: LimitId,
  setup: RunSetup,
): Wait[] {
  if (!Number.isFinite(from)) return [];
  const { low, high } = limitsOf(setup).of(row, 'US');
  const at = (hours: Exact | undefined): string =>
    new Date(from + (hours?.toNumber() ?? 0) * HOUR).toISOString();
  return [
    {
      ...{ id: 'strip', what: 'Take the cubes out of their moulds', lane: 'paste' },
      ...{ opens: at(low), best: at(exact(24)), closes: at(high) },
      ...(strippedAt ? { done: strippedAt } : {}),
    },
  ];
}
