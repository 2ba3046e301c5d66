import { sql } from 'drizzle-orm';
import type { PadFacts } from '@/core/methods';
import { convert, exact, type UnitId } from '@/core/quantity';
import type { Queryable } from '@/db/client';

/** What the tests say of a pair: how often and how strong, and each of them. */
export interface PadUses {
  readonly worn: Pick<PadFacts, 'uses' | 'highest'>;
  readonly tests: readonly { readonly fracture: string | null; readonly testedAt: string | null }[];
}

interface UseRow extends Record<string, unknown> {
  readonly number: string;
  readonly value: string | null;
  readonly unit: UnitId | null;
  readonly fracture: string | null;
  readonly testedAt: string | null;
}

/**
 * How often pairs of pads were used, and the highest strength they saw: counted from the completed tests that name
 * them, so that nobody can forget to count.
 * @param numbers pairs that are looked at: those in service, or the one a test names. A pair that is worn out has had
 *   its hundred tests; all pairs a laboratory ever had together have had most of its tests
 * @param exceptRun the test that is computed now, which is not a use before itself
 */
export async function padUses(
  db: Queryable,
  numbers: readonly string[],
  exceptRun?: string,
): Promise<Map<string, PadUses>> {
  if (numbers.length === 0) return new Map();
  const list = sql.join(
    numbers.map((number) => sql`${number}`),
    sql`, `,
  );
  const { rows } = await db.execute<UseRow>(sql`
    WITH named AS (
      SELECT DISTINCT run_id FROM readings WHERE field = 'pads' AND text IN (${list})
    ), used AS (
      -- The newest reading decides: a pair corrected away was not used.
      SELECT n.run_id, newest.text AS number
      FROM named n
      JOIN runs r ON r.id = n.run_id AND r.state = 'complete'
      CROSS JOIN LATERAL (
        SELECT text FROM readings x WHERE x.run_id = n.run_id AND x.field = 'pads' ORDER BY x.seq DESC LIMIT 1
      ) newest
      WHERE newest.text IN (${list}) ${exceptRun ? sql`AND n.run_id <> ${exceptRun}` : sql``}
    )
    SELECT used.number, result ->> 'value' AS value, result ->> 'unit' AS unit,
           o.input ->> 'fracture' AS fracture, o.input ->> 'testedAt' AS "testedAt"
    FROM used
    LEFT JOIN LATERAL (SELECT input, outcome FROM outcomes y WHERE y.run_id = used.run_id ORDER BY y.seq DESC LIMIT 1) o ON true
    LEFT JOIN LATERAL (
      SELECT result FROM jsonb_array_elements(o.outcome -> 'results') result
      WHERE result ->> 'quantity' = 'compressive strength' LIMIT 1
    ) strength ON true`);
  const found = new Map<string, UseRow[]>(numbers.map((number) => [number, []]));
  for (const row of rows) found.get(row.number)?.push(row);
  return new Map([...found].map(([number, own]) => [number, usesOf(own)]));
}

function usesOf(rows: readonly UseRow[]): PadUses {
  const strengths = rows.flatMap(({ value, unit }) =>
    value && unit ? [{ value, unit, psi: convert(exact(value), unit, 'psi') }] : [],
  );
  const [first] = strengths.toSorted((a, b) => b.psi.comparedTo(a.psi));
  return {
    worn: { uses: rows.length, ...(first ? { highest: `${first.value} ${first.unit}` } : {}) },
    tests: rows.map(({ fracture, testedAt }) => ({ fracture, testedAt })),
  };
}
