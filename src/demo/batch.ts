import { randomUUID } from 'node:crypto';
import { makeBatch } from '@/server/actions/make-batch';
import type { SpecimenView } from '@/server/queries/dossier';
import type { Readings } from './fresh';
import type { Hands } from './hands';

/** Specimens in a batch, with its readings, completed where it is to be. @returns the run of the batch */
export function batchWith({ act, read }: Hands) {
  return async (
    kind: string,
    specimens: readonly SpecimenView[],
    values: Readings,
    at: number,
    whole: boolean,
  ): Promise<string> => {
    const specimenIds = specimens.map(({ id }) => id);
    const { runId } = await act('laboratory', makeBatch, { id: randomUUID(), kind, specimenIds }, at);
    await read('laboratory', runId, values, at, whole);
    return runId;
  };
}
