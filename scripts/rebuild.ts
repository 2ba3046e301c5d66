import 'reflect-metadata';

const url = process.env.BRICOLE_DATABASE_URL;
if (!url) throw new Error('BRICOLE_DATABASE_URL');
// Read only now: it takes seconds, and nothing of it is wanted where no database is named.
const { openDatabase } = await import('../src/db/client');
const { rebuildVerdicts } = await import('../src/server/verdicts');
const { rebuildWaits } = await import('../src/server/waits');
const { db, pool } = openDatabase(url);
const said = (what: string, { rows, changed }: { rows: number; changed: number }): void => {
  const words =
    changed === 0
      ? 'all as they were'
      : changed === 1
        ? '1 row was another thing and is mended'
        : `${changed} rows were another thing and are mended`;
  process.stdout.write(`bricole: ${rows} ${what}, ${words}\n`);
};
try {
  process.stdout.write('bricole: deriving what waits and what is decided from the records\n');
  said('waits', await db.transaction((tx) => rebuildWaits(tx, new Date())));
  said('verdicts', await db.transaction((tx) => rebuildVerdicts(tx)));
} finally {
  await pool.end();
}
