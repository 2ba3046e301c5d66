import { Limits } from '@/core/limits';
import { ageWindow } from '@/core/windows';
import type { jobs } from '@/db/schema';
import { limitChangesAt } from './run-setup';
import { ageFrom } from './sample-facts';
import type { Transaction } from './use-case';

/** The window of a specimen of a sample as it is kept: whole minutes; none for a held one. */
export async function windowsOf(
  tx: Transaction,
  job: typeof jobs.$inferSelect,
  sampleId: string,
  castAt: Date,
) {
  const { changes, revision } = await limitChangesAt(tx, { jobId: job.id });
  const limits = new Limits(changes, revision, job.profile);
  const from = await ageFrom(tx, job, sampleId, castAt);
  return (ageHours: number | null): { opensAt: Date | null; closesAt: Date | null } => {
    if (ageHours === null) return { opensAt: null, closesAt: null };
    const window = ageWindow(from.getTime(), ageHours, limits);
    return { opensAt: new Date(window.opensAt), closesAt: new Date(window.closesAt) };
  };
}
