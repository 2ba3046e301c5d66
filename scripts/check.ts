import 'reflect-metadata';

const url = process.env.BRICOLE_DATABASE_URL;
if (!url) throw new Error('BRICOLE_DATABASE_URL');
const { openDatabase } = await import('../src/db/client');
const { checkAll } = await import('../src/server/check');
const { db, pool } = openDatabase(url);
const at = process.argv.indexOf('--known');
const known = at < 0 ? undefined : process.argv[at + 1];
try {
  for await (const { what, count, faults, notes } of checkAll(db, new Date(), known)) {
    const words = faults.length === 0 ? 'good' : `${faults.length} wrong`;
    process.stdout.write(`bricole: ${count} ${what}: ${[words, ...notes].join('; ')}\n`);
    for (const fault of faults) process.stdout.write(`  ${fault}\n`);
    if (faults.length > 0) process.exitCode = 1;
  }
} finally {
  await pool.end();
}
