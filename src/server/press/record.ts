import { openDatabase } from '@/db/client';
import { liveMachines } from './addresses';
import { PressRecorder } from './recorder';

/** Keeps what the machines send until it is ended: a program of its own, started beside the web server. */
const url = process.env.BRICOLE_DATABASE_URL;
if (!url) throw new Error('BRICOLE_DATABASE_URL is not set: start with npm start');
const { db, pool } = openDatabase(url, 4);
const recorder = new PressRecorder(db);
recorder.start();
process.stdout.write(`recording: ${liveMachines().join(', ')}\n`);
const end = async (): Promise<void> => {
  await recorder.stop();
  await pool.end();
  process.exit(0);
};
process.on('SIGTERM', () => void end());
process.on('SIGINT', () => void end());
