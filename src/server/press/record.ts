import 'reflect-metadata';
import { openDatabase } from '@/db/client';
import { liveMachines } from './addresses';
import { PressRecorder } from './recorder';
import { pressServer } from './serve';

/**
 * Keeps what the machines send until it is ended, and streams it to whoever follows a machine live: a program of its
 * own, started beside the web server.
 */
const url = process.env.BRICOLE_DATABASE_URL;
if (!url) throw new Error('BRICOLE_DATABASE_URL is not set: start with npm start');
const { db, pool } = openDatabase(url, 4);
const recorder = new PressRecorder(db);
recorder.start();
const server = pressServer();
const port = Number(process.env.BRICOLE_LIVE_PORT ?? 0);
// Longer than the gateway keeps an idle connection (scripts/lib/kept.mjs).
server.keepAliveTimeout = 75_000;
if (port > 0) server.listen(port, '127.0.0.1');
process.stdout.write(`recording: ${liveMachines().join(', ')}\n`);
const end = async (): Promise<void> => {
  server.close();
  server.closeAllConnections();
  await recorder.stop();
  await pool.end();
  process.exit(0);
};
process.on('SIGTERM', () => void end());
process.on('SIGINT', () => void end());
