import 'reflect-metadata';
import { openDatabase } from '../src/db/client';
import { rebuildWaits } from '../src/server/waits';

const url = process.env.BRICOLE_DATABASE_URL;
if (!url) throw new Error('BRICOLE_DATABASE_URL');
const { db, pool } = openDatabase(url);
try {
  process.stdout.write('bricole: deriving what waits from the records\n');
  const { rows, changed } = await db.transaction((tx) => rebuildWaits(tx, new Date()));
  process.stdout.write(
    `bricole: ${rows} waits, ${changed === 0 ? 'all as they were' : `${changed} were another thing and are mended`}\n`,
  );
} finally {
  await pool.end();
}
