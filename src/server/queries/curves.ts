import { desc } from 'drizzle-orm';
import type { CurveAxis } from '@/core/report/curve-path';
import type { CurvePoint, LogAnalysis } from '@/core/signals';
import type { Queryable } from '@/db/client';
import { keptRecords, loadLogs } from '@/db/schema';
import { anyOf } from '../scope';

/** The load curve of a run, thinned, with what its analysis came to. */
export interface RunCurve {
  readonly runId: string;
  readonly name: string;
  readonly sha256: string;
  readonly curve: readonly CurvePoint[];
  readonly analysis: LogAnalysis;
  /** What it is drawn over, and where it begins there. */
  readonly axis: CurveAxis;
  readonly startAt: number;
}

/** The curves of runs, of each the newest that was kept. */
export async function curvesOf(db: Queryable, runIds: readonly string[]): Promise<RunCurve[]> {
  if (runIds.length === 0) return [];
  const rows = await db
    .selectDistinctOn([loadLogs.runId], {
      runId: loadLogs.runId,
      name: loadLogs.name,
      sha256: loadLogs.sha256,
      curve: loadLogs.curve,
      analysis: loadLogs.analysis,
    })
    .from(loadLogs)
    .where(anyOf(loadLogs.runId, runIds))
    .orderBy(loadLogs.runId, desc(loadLogs.at));
  return rows.map((row) => ({
    ...row,
    curve: row.curve ?? [],
    axis: row.analysis.bend ? 'mm' : 's',
    startAt: row.analysis.bend ? 0 : row.analysis.startAt,
  }));
}

/** The records kept with runs, the newest of each reading. */
export async function recordsOfRuns(db: Queryable, runIds: readonly string[]) {
  if (runIds.length === 0) return [];
  const { runId, field, name, sha256, record, seq } = keptRecords;
  return db
    .selectDistinctOn([runId, field], { runId, field, name, sha256, record })
    .from(keptRecords)
    .where(anyOf(runId, runIds))
    .orderBy(runId, field, desc(seq));
}
