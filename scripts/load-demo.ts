import 'reflect-metadata';
import { openDatabase } from '../src/db/client';
import { loadDemo } from '../src/demo/load';

const url = process.env.BRICOLE_DATABASE_URL;
if (!url) throw new Error('BRICOLE_DATABASE_URL is not set');
const { db, pool } = openDatabase(url);
try {
  const loaded = await loadDemo(db, new Date());
  process.stdout.write(
    loaded ? 'bricole: demo scenario loaded\n' : 'bricole: data is there already; kept as it is\n',
  );
} finally {
  await pool.end();
}
