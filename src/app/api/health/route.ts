import { Limits } from '@/core/limits';
import { wrongNow } from '@/server/health';

const BEARABLE_MS = (new Limits().of('stamps.device-clock', 'US').high?.toNumber() ?? 0) * 1000;

export const dynamic = 'force-dynamic';

/** Answers whether everything that the application is made of is there; where it is not, what is wrong, in words. */
export async function GET(): Promise<Response> {
  const { wrong, database } = await wrongNow();
  return Response.json(
    // The time is for devices whose own clock may be wrong, by more than is bearable (ms).
    { ok: wrong.length === 0, wrong, now: Date.now(), bearable: BEARABLE_MS },
    // A part that is being started again, or a disk that fills, keeps nobody from working.
    { status: database ? 200 : 503, headers: { 'cache-control': 'no-store' } },
  );
}
