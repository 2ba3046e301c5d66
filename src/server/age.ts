import { isMadeOfSample } from '@/core/materials/forms';
import { isMould } from '@/core/moulds';
import { ageWindow } from '@/core/windows';
import type { jobs } from '@/db/schema';
import { limitsNow } from './run-setup';
import { ageFrom } from './sample-stamps';
import type { Transaction } from './use-case';

/** The window of a specimen of a sample as it is kept: whole minutes; none for a held one. */
export async function windowsOf(
  tx: Transaction,
  job: typeof jobs.$inferSelect,
  sampleId: string,
  castAt: Date,
) {
  const limits = await limitsNow(tx, job);
  const from = await ageFrom(tx, job, sampleId, castAt);
  return (ageHours: number | null, size: string): { opensAt: Date | null; closesAt: Date | null } => {
    if (ageHours === null) return { opensAt: null, closesAt: null };
    if (!isMould(size)) return { opensAt: null, closesAt: null };
    const counted = isMadeOfSample(size) ? from : castAt;
    const window = ageWindow(counted.getTime(), ageHours, limits, size);
    return { opensAt: new Date(window.opensAt), closesAt: new Date(window.closesAt) };
  };
}
