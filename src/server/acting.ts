import { sql } from 'drizzle-orm';
import type { Transaction } from './use-case';

/** Says to the audit trail who does what in this transaction. */
export async function actAs(tx: Transaction, personId: string, useCase: string): Promise<void> {
  await tx.execute(
    sql`SELECT set_config('bricole.actor', ${personId}, true), set_config('bricole.use_case', ${useCase}, true)`,
  );
}
