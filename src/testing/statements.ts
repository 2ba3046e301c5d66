import type { Database } from '@/db/client';

/** How many statements something sends to the database of a test, and what it came to. */
export async function countStatements<T>(
  db: Database,
  act: () => Promise<T>,
): Promise<{ sent: number; value: T }> {
  const pool = db.$client;
  const query = pool.query.bind(pool);
  let sent = 0;
  pool.query = ((...args: Parameters<typeof query>) => {
    sent += 1;
    return query(...args);
  }) as typeof pool.query;
  try {
    const value = await act();
    return { sent, value };
  } finally {
    pool.query = query as typeof pool.query;
  }
}
