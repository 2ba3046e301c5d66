import { existsSync, readFileSync, statfsSync } from 'node:fs';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { database } from '@/db/client';

/** Less than this left on the disk of the records is told, bytes. */
const LITTLE_SPACE = 2 * 1024 ** 3;

interface Standing {
  readonly parts: readonly {
    readonly name: string;
    readonly state: string;
    readonly why: string | null;
    readonly againAt: number | null;
  }[];
}

/** How the parts of the application stand, by the one that keeps them; empty where nobody does. */
function standing(): Standing['parts'] {
  const file = process.env.BRICOLE_STANDING;
  if (!file || !existsSync(file)) return [];
  return (JSON.parse(readFileSync(file, 'utf8')) as Standing).parts;
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
export async function wrongNow(now: Date): Promise<{ readonly wrong: string[]; readonly database: boolean }> {
  const down = await database()
    .execute(sql`SELECT 1`)
    .then(
      () => false,
      () => true,
    );
  const parts = standing().flatMap(({ name, state, why, againAt }) => {
    if (state === 'running') return [];
    const wait = Math.max(0, Math.round(((againAt ?? now.getTime()) - now.getTime()) / 1000));
    return [
      `The ${name} ${why ? `ended (${why}) and ` : ''}is being started${wait > 0 ? ` in ${wait} s` : ''}.`,
    ];
  });
  return {
    wrong: [...(down ? ['The database does not answer.'] : []), ...parts, ...spaceProblem()],
    database: !down,
  };
}
