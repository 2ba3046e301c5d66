import { sql } from 'drizzle-orm';
import { database } from '@/db/client';

export const dynamic = 'force-dynamic';

/** Answers once the application and its database are there. */
export async function GET(): Promise<Response> {
  try {
    await database().execute(sql`SELECT 1`);
    return Response.json({ ok: true });
  } catch {
    return Response.json({ ok: false }, { status: 503 });
  }
}
