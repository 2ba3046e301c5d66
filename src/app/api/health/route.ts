import { sql } from 'drizzle-orm';
import { database } from '@/db/client';

export const dynamic = 'force-dynamic';

/** Answers once the application and its database are there. */
export async function GET(): Promise<Response> {
  try {
    await database().execute(sql`SELECT 1`);
    // The time is for devices whose own clock may be wrong.
    return Response.json({ ok: true, now: Date.now() }, { headers: { 'cache-control': 'no-store' } });
  } catch {
    return Response.json({ ok: false }, { status: 503 });
  }
}
