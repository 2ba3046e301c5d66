import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, expect, it } from 'vitest';
import { forgetRunning, noteRunning, running } from './lib/running.mjs';
import { PROJECT } from './lib/system.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'bricole-running-'));
const file = path.join(folder, 'running.json');
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const noted = (text: string): void => writeFileSync(file, text);

it('where nothing was noted nothing runs', () => {
  expect(running(file)).toBeUndefined();
});

it.each(['', '{"pid": 12', '[]', 'null', '{"pid":"x","url":7}', '{"pid":1.5,"url":"http://x"}'])(
  'a note that is torn or means nothing keeps nobody from starting: %s',
  (text) => {
    noted(text);
    expect(running(file)).toBeUndefined();
  },
);

it('a process that took over the number of one that ended is a stranger’s, and is neither waited for nor stopped', () => {
  // This very process is alive and is no start of the application.
  noteRunning('http://127.0.0.1:3000', file);
  expect(existsSync(`${file}.new`)).toBe(false);
  expect(running(file)).toBeUndefined();
  // One that ended long ago.
  noted(JSON.stringify({ pid: 2 ** 22 - 1, url: 'http://127.0.0.1:3000' }));
  expect(running(file)).toBeUndefined();
});

it.each(['start.mjs', 'serve.mjs'])(
  '%s of this copy is known by its command and its folder, one of another copy is not',
  async (script) => {
    const other = path.join(folder, 'scripts');
    mkdirSync(other, { recursive: true });
    writeFileSync(path.join(other, script), 'setInterval(() => {}, 1000);');
    const begun = (cwd: string) => spawn('node', [path.join(other, script)], { cwd, stdio: 'ignore' });
    const [ours, another] = [begun(PROJECT), begun(folder)];
    try {
      await new Promise((resolve) => setTimeout(resolve, 300));
      noted(JSON.stringify({ pid: ours.pid, url: 'http://127.0.0.1:3000' }));
      expect(running(file)).toEqual({ pid: ours.pid, url: 'http://127.0.0.1:3000' });
      noted(JSON.stringify({ pid: another.pid, url: 'http://127.0.0.1:3000' }));
      expect(running(file)).toBeUndefined();
    } finally {
      ours.kill();
      another.kill();
    }
    forgetRunning(file);
    expect(existsSync(file)).toBe(false);
  },
);
