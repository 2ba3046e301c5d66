import { and, desc, eq, inArray, ne, sql } from 'drizzle-orm';
import type { Outcome, PadFacts } from '@/core/methods';
import type { Queryable } from '@/db/client';
import { outcomes, readings, runs } from '@/db/schema';

/** What the tests say of a pair: how often and how strong, and each of them. */
export interface PadUses {
  readonly worn: Pick<PadFacts, 'uses' | 'highest'>;
  readonly tests: readonly { readonly fracture: string | null; readonly testedAt: string | null }[];
}

/**
 * How often pairs of pads were used, and the highest strength they saw: counted from the completed tests that name
 * them, so that nobody can forget to count.
 * @param exceptRun the test that is computed now, which is not a use before itself
 */
export async function padUses(
  db: Queryable,
  numbers: readonly string[],
  exceptRun?: string,
): Promise<Map<string, PadUses>> {
  const found = new Map<string, PadUses>();
  if (numbers.length === 0) return found;
  const named = await db
    .selectDistinctOn([readings.runId], { runId: readings.runId, number: readings.text })
    .from(readings)
    .innerJoin(runs, eq(runs.id, readings.runId))
    .where(
      and(
        eq(readings.field, 'pads'),
        // A reading corrected away still names its run here; the newest one decides below.
        inArray(
          readings.runId,
          db
            .selectDistinctOn([readings.runId], { runId: readings.runId })
            .from(readings)
            .where(and(eq(readings.field, 'pads'), inArray(readings.text, [...numbers]))),
        ),
        eq(runs.state, 'complete'),
        exceptRun ? ne(runs.id, exceptRun) : undefined,
      ),
    )
    .orderBy(readings.runId, desc(readings.seq));
  const used = named.filter(({ number }) => number !== null && numbers.includes(number));
  const ids = used.map(({ runId }) => runId);
  const newest =
    ids.length === 0
      ? []
      : await db
          .selectDistinctOn([outcomes.runId], {
            runId: outcomes.runId,
            results: sql<Outcome['results']>`${outcomes.outcome} -> 'results'`,
            fracture: sql<string | null>`${outcomes.input} ->> 'fracture'`,
            testedAt: sql<string | null>`${outcomes.input} ->> 'testedAt'`,
          })
          .from(outcomes)
          .where(inArray(outcomes.runId, ids))
          .orderBy(outcomes.runId, desc(outcomes.seq));
  for (const number of numbers) {
    const own = used.filter((each) => each.number === number).map(({ runId }) => runId);
    const tests = newest.filter(({ runId }) => own.includes(runId));
    const strengths = tests.flatMap(
      ({ results }) => results.find(({ quantity }) => quantity === 'compressive strength') ?? [],
    );
    const [first] = strengths.toSorted((a, b) => Number(b.value) - Number(a.value));
    found.set(number, {
      worn: { uses: own.length, ...(first ? { highest: `${first.value} ${first.unit}` } : {}) },
      tests: tests.map(({ fracture, testedAt }) => ({ fracture, testedAt })),
    });
  }
  return found;
}
