import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import { command } from './lib/compute-command';

const { status, out, error } = command(process.argv.slice(2), (file) =>
  readFileSync(file === '-' ? 0 : file, 'utf8'),
);
if (out !== undefined) process.stdout.write(`${JSON.stringify(out, null, 2)}\n`);
if (error) process.stderr.write(error);
process.exitCode = status;
