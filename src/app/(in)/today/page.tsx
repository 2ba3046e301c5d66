import type { Metadata } from 'next';
import { database } from '@/db/client';
import { pageActor } from '@/server/page';
import { brackets, openFreshTests } from '@/server/queries/today';
import { limitChangesAt } from '@/server/run-setup';
import { Today } from '@/ui/views/Today';

export const metadata: Metadata = { title: 'Today' };

export default async function TodayPage() {
  const actor = await pageActor();
  const now = new Date();
  const db = database();
  const [found, fresh, { changes }] = await Promise.all([
    brackets(db, actor, now),
    openFreshTests(db, actor, now),
    limitChangesAt(db),
  ]);
  return (
    <Today
      brackets={found}
      fresh={fresh.map((row) => ({ ...row, sampledAt: row.sampledAt.getTime() }))}
      now={now.getTime()}
      limitChanges={changes}
      canTest={actor.role === 'laboratory' || actor.role === 'reviewer' || actor.role === 'manager'}
    />
  );
}
