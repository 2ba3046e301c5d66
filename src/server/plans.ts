import { desc, eq } from 'drizzle-orm';
import type { Queryable } from '@/db/client';
import { lotPlans } from '@/db/schema';

/** The plan of a floor as it was drawn last; undefined for one that has none. */
export async function newestPlan(db: Queryable, lotId: string) {
  const [found] = await db
    .select()
    .from(lotPlans)
    .where(eq(lotPlans.lotId, lotId))
    .orderBy(desc(lotPlans.seq))
    .limit(1);
  return found;
}
