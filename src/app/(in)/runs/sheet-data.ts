import { CARRIED } from '@/core/methods';
import type { MethodId } from '@/core/methods/registry';
import type { runSheet } from '@/server/queries/run';
import type { RunSheetData } from '@/ui/runsheet/types';

type Sheet = Awaited<ReturnType<typeof runSheet>>;

/** What the server knows of a run, as the plain data a run sheet is given. */
export function runSheetData(sheet: Sheet, canWrite: boolean): RunSheetData {
  const { run, lock, view } = sheet;
  return {
    runId: run.id,
    method: run.method as MethodId,
    state: run.state,
    attempt: run.attempt,
    system: sheet.system,
    zone: sheet.job.zone,
    // Through JSON: what crosses to the browser is exactly what a record would hold.
    setup: JSON.parse(JSON.stringify(sheet.setup)),
    readings: sheet.readings,
    canWrite,
    rhythm: sheet.history.some(({ reason }) => reason === CARRIED),
    reasons: (view?.reasons ?? []).map(({ findingId, reason, byName, acceptedByName }) => ({
      findingId,
      reason,
      byName,
      acceptedByName,
    })),
    lock: lock
      ? {
          reportId: lock.report.id,
          report: `${lock.report.number} rev ${lock.report.revision}`,
          amendment: lock.amendment ? { id: lock.amendment.id, reason: lock.amendment.reason } : null,
        }
      : null,
    history: sheet.history.map(({ takenAt, ...reading }) => ({ ...reading, at: takenAt.getTime() })),
    sampleId: run.sampleId,
    photos: sheet.files.map(({ id, name, place }) => ({ id, name, place })),
  };
}
