import { createHash } from 'node:crypto';
import { gunzipSync } from 'node:zlib';
import { sql } from 'drizzle-orm';
import type { Queryable } from '@/db/client';
import { type Checked, MOST_FAULTS } from './trail';

/** Tables of files that are kept with their checksum; those of recorders are kept compressed, their checksum is of what came. */
const FILES = [
  { table: 'attachments', word: 'photograph or file', packed: false },
  { table: 'certificates', word: 'certificate', packed: false },
  { table: 'lot_pictures', word: 'plan picture', packed: false },
  { table: 'load_logs', word: 'load log', packed: true },
  { table: 'kept_records', word: 'record', packed: true },
] as const;

interface FileRow extends Record<string, unknown> {
  readonly id: string;
  readonly name: string;
  readonly sha256: string;
  readonly bytes: Buffer;
}

const digest = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');

function torn({ bytes, sha256 }: FileRow, packed: boolean): boolean {
  try {
    return digest(packed ? gunzipSync(bytes) : bytes) !== sha256;
  } catch {
    return true;
  }
}

/** Whether every file that is kept is still what came, by its checksum; one file at a time is held in memory. */
export async function checkFiles(db: Queryable): Promise<Checked> {
  let count = 0;
  const faults: string[] = [];
  for (const { table, word, packed } of FILES) {
    const { rows: ids } = await db.execute<{ id: string }>(
      sql`SELECT id FROM ${sql.identifier(table)} ORDER BY id`,
    );
    for (const { id } of ids) {
      const { rows } = await db.execute<FileRow>(
        sql`SELECT id, name, sha256, bytes FROM ${sql.identifier(table)} WHERE id = ${id}`,
      );
      const [file] = rows;
      count += 1;
      if (file && torn(file, packed) && faults.length < MOST_FAULTS)
        faults.push(`${word} ${file.name} (${table} ${id}) is not what came: its checksum is another.`);
    }
  }
  return { what: 'files', count, faults, notes: [] };
}

/** Whether the PDF of every signed report is the one that was signed: its checksum stands in the trail with its signature. */
export async function checkReports(db: Queryable): Promise<Checked> {
  const { rows } = await db.execute<{ number: string; revision: number; good: boolean | null }>(sql`
    SELECT r.number, r.revision,
      (SELECT a.after ->> 'pdf_sha256' = encode(sha256(r.pdf), 'hex') FROM audit a
       WHERE a.table_name = 'reports' AND a.row_key = r.id::text AND a.after ->> 'pdf_sha256' IS NOT NULL
       ORDER BY a.id LIMIT 1) AS good
    FROM reports r WHERE r.state = 'signed' ORDER BY r.number, r.revision`);
  const older = rows.filter(({ good }) => good === null).length;
  return {
    what: 'signed reports',
    count: rows.length,
    faults: rows
      .filter(({ good }) => good === false)
      .slice(0, MOST_FAULTS)
      .map(
        ({ number, revision }) => `Report ${number} rev ${revision}: its PDF is not the one that was signed.`,
      ),
    notes: older > 0 ? [`${older} were signed before a checksum of the PDF was kept`] : [],
  };
}
