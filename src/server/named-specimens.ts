import { eq } from 'drizzle-orm';
import { sampleLabel } from '@/core/identity/labels';
import { findForm } from '@/core/materials/forms';
import { specimenEvents, specimens } from '@/db/schema';
import type { Transaction } from './use-case';

/**
 * Adds specimens with names of their own to a sample, `PMF-042-K1`: numbered on from the last of their kind.
 * @param own the sample's specimens, read under a lock
 * @returns their labels
 */
export async function addNamed(
  tx: Transaction,
  about: {
    readonly sample: { readonly id: string; readonly number: number };
    readonly job: { readonly number: string };
    readonly own: readonly (typeof specimens.$inferSelect)[];
    readonly count: number;
    readonly values: Omit<typeof specimens.$inferInsert, 'id' | 'label' | 'sampleId'>;
    readonly event: { kind: 'drilled' | 'moulded' | 'received'; at: Date; personId: string; place: string };
  },
): Promise<string[]> {
  const { sample, job, own, count, values, event } = about;
  const letter = findForm(values.form)?.letter ?? '';
  const before = own.filter((each) => (findForm(each.form)?.letter ?? '') === letter).length;
  const saved = await tx
    .insert(specimens)
    .values(
      Array.from({ length: count }, (_, index) => ({
        ...values,
        sampleId: sample.id,
        label: `${sampleLabel(job.number, sample.number)}-${letter}${before + index + 1}`,
      })),
    )
    .returning({ id: specimens.id, label: specimens.label });
  await tx.insert(specimenEvents).values(saved.map(({ id }) => ({ specimenId: id, ...event })));
  return saved.map(({ label }) => label);
}

/** The specimens of a sample, locked against two people adding at once. */
export function lockedSpecimens(tx: Transaction, sampleId: string) {
  return tx.select().from(specimens).where(eq(specimens.sampleId, sampleId)).for('update');
}
