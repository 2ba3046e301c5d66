import { sql } from 'drizzle-orm';
import { Limits } from '@/core/limits';
import { database } from '@/db/client';

const BEARABLE_MS = (new Limits().of('stamps.device-clock', 'US').high?.toNumber() ?? 0) * 1000;

export const dynamic = 'force-dynamic';

/** Answers once the application and its database are there. */
export async function GET(): Promise<Response> {
  try {
    await database().execute(sql`SELECT 1`);
    // The time is for devices whose own clock may be wrong, by more than is bearable (ms).
    return Response.json(
      { ok: true, now: Date.now(), bearable: BEARABLE_MS },
      { headers: { 'cache-control': 'no-store' } },
    );
  } catch {
    return Response.json({ ok: false }, { status: 503 });
  }
}
