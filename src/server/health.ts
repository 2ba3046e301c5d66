import { existsSync, readFileSync, statfsSync } from 'node:fs';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { database } from '@/db/client';

/** Less than this left on the disk of the records is told, bytes. */
const LITTLE_SPACE = 2 * 1024 ** 3;

/** Which parts of the application do not run, in the words of the one that keeps them; nothing where nobody does. */
function partsAway(): string[] {
  const file = process.env.BRICOLE_STANDING;
  if (!file || !existsSync(file)) return [];
  return (JSON.parse(readFileSync(file, 'utf8')) as { wrong?: string[] }).wrong ?? [];
}

/** When the newest backup was made, as the command noted it beside the data; null where none was. */
export function lastBackup(): string | null {
  const standing = process.env.BRICOLE_STANDING;
  const file = standing && path.join(path.dirname(standing), 'backups.json');
  return file && existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as { at: string }).at : null;
}

/** What is wrong with the disk that the records stand on. */
function spaceProblem(): string[] {
  const file = process.env.BRICOLE_STANDING;
  if (!file) return [];
  const { bavail, bsize } = statfsSync(path.dirname(file));
  const left = bavail * bsize;
  return left < LITTLE_SPACE
    ? [`Only ${(left / 1024 ** 3).toFixed(1)} GB are left on the disk of the records.`]
    : [];
}

/** What is wrong with the application now, in sentences, and whether its database answers. */
export async function wrongNow(): Promise<{ readonly wrong: string[]; readonly database: boolean }> {
  const down = await database()
    .execute(sql`SELECT 1`)
    .then(
      () => false,
      () => true,
    );
  return {
    wrong: [...(down ? ['The database does not answer.'] : []), ...partsAway(), ...spaceProblem()],
    database: !down,
  };
}
