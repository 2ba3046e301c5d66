import type { Database } from '@/db/client';
import { checkFiles, checkReports } from './files';
import { checkProjections } from './projections';
import { checkRows } from './rows';
import { type Checked, checkTrail } from './trail';

/**
 * Everything that can be checked of an installation: the chain of the trail, records beside it, files, signed reports,
 * projections.
 * @param known a hash of the trail that was written down before
 * @yields what was found, kind by kind, as it is found
 */
export async function* checkAll(db: Database, now: Date, known?: string): AsyncGenerator<Checked> {
  yield await checkTrail(db, known);
  yield await checkRows(db);
  yield await checkFiles(db);
  yield await checkReports(db);
  yield* await checkProjections(db, now);
}
