import { criteriaOf } from '@/core/acceptance';
import type { Result } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import type { PointView } from '@/core/plan';
import { unitLabel } from '@/core/quantity';
import { isReportable } from '@/core/working';
import { everyRun, type RunView, type SpecimenView } from './queries/dossier';

/** What a set is held against, as far as its points are judged by it. */
interface Held {
  readonly method: string;
  readonly verdicts: readonly { readonly criterion: string; readonly limit: string }[];
}

/** A run that tells something of the floor, with its result. */
export type ToldRun = RunView & { readonly main: Result };

/** The valid tests of a point in their order; what only makes it ready, a hole that is drilled, says nothing of the floor. */
export function toldBy(view: SpecimenView): ToldRun[] {
  return everyRun(view).filter(
    (run): run is ToldRun =>
      run.state === 'complete' &&
      run.outcome !== null &&
      isReportable(run.outcome.findings) &&
      run.main !== undefined &&
      testsIt(run.method),
  );
}

/** What was read last at a point, and how it stands by itself. */
export function readAt(
  view: SpecimenView,
  sets: readonly Held[],
): Pick<PointView, 'label' | 'short' | 'value' | 'stands'> {
  const done = toldBy(view).at(-1);
  return {
    label: view.label,
    short: view.label.split('-').at(-1) ?? view.label,
    value: done ? `${done.main.text} ${unitLabel(done.main.unit)}`.trim() : null,
    stands: done ? standsBy(done.main, heldBy(done.method, sets, done.main.quantity)) : null,
  };
}

/** True for a method that tests its specimen, not one that only makes it ready. */
function testsIt(id: string): boolean {
  const method = findMethod(id);
  return method !== undefined && (method.spends !== false || method.tests === true);
}

/** How one result stands by itself: a bound, or what can still change, decides only where it cannot turn. */
function standsBy(
  { reported, bound, provisional }: Result,
  criterion: ReturnType<typeof heldBy>,
): PointView['stands'] {
  if (!criterion || provisional !== undefined) return 'told';
  const meets =
    criterion.holds === 'at most' ? Number(reported) <= criterion.limit : Number(reported) >= criterion.limit;
  if (bound && (bound === criterion.holds) !== meets) return 'told';
  return meets ? 'holds' : 'does not hold';
}

/** What one result of a set is held against by itself. */
export function heldBy(
  method: string,
  sets: readonly Held[],
  quantity: string,
): { readonly holds: 'at least' | 'at most'; readonly limit: number } | undefined {
  for (const { verdicts } of sets.filter((set) => set.method === method))
    for (const { criterion, limit } of verdicts) {
      const [found] = criteriaOf([criterion]);
      if (found?.quantity === quantity && (found.statistic === 'least' || found.statistic === 'greatest'))
        return { holds: found.holds, limit: Number(limit) };
    }
  return undefined;
}
