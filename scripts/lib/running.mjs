import { existsSync, readFileSync, readlinkSync, rmSync } from 'node:fs';
import path from 'node:path';
import { HOME, PROJECT, writeWhole } from './system.mjs';

const FILE = path.join(HOME, 'running.json');

/** Whether a process is the start of this very copy of the application: its number alone may be another's by now. */
function isOurs(pid) {
  try {
    process.kill(pid, 0);
    const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0');
    return (
      command.some((part) => /scripts\/(?:start|serve)\.mjs$/u.test(part)) &&
      readlinkSync(`/proc/${pid}/cwd`) === PROJECT
    );
  } catch {
    return false;
  }
}

/**
 * The start of this copy that is running, as it noted itself.
 * @returns its process and address; undefined where none runs, whatever is left of one that did: a torn note, another's process
 */
export function running(file = FILE) {
  if (!existsSync(file)) return undefined;
  try {
    const { pid, url } = JSON.parse(readFileSync(file, 'utf8'));
    return Number.isInteger(pid) && typeof url === 'string' && isOurs(pid) ? { pid, url } : undefined;
  } catch {
    return undefined;
  }
}

/** Notes that this process runs the application there; whole or not at all. */
export function noteRunning(url, file = FILE) {
  writeWhole(file, JSON.stringify({ pid: process.pid, url }));
}

/** Takes the note away. */
export function forgetRunning(file = FILE) {
  rmSync(file, { force: true });
}
