import type { Database } from '@/db/client';
import { rebuildVerdicts } from '../verdicts';
import { rebuildWaits } from '../waits';
import type { Checked } from './trail';

class TakenBack extends Error {}

/** Whether what waits and what is decided is what the records say: derived anew and taken back. */
export async function checkProjections(db: Database, now: Date): Promise<Checked[]> {
  const found: Checked[] = [];
  try {
    await db.transaction(async (tx) => {
      for (const [what, rebuilt] of [
        ['waits', await rebuildWaits(tx, now)],
        ['verdicts', await rebuildVerdicts(tx)],
      ] as const)
        found.push({
          what,
          count: rebuilt.rows,
          faults:
            rebuilt.changed > 0
              ? [
                  `${rebuilt.changed} ${what} are another thing than the records say: npm run rebuild mends them.`,
                ]
              : [],
          notes: [],
        });
      throw new TakenBack();
    });
  } catch (error) {
    if (!(error instanceof TakenBack)) throw error;
  }
  return found;
}
