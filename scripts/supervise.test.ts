import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, afterEach, describe, expect, it } from 'vitest';
import { answering, command } from './lib/parts.mjs';
import { pauseAfter, type Running, Supervisor } from './lib/supervise.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'bricole-supervise-'));
const file = path.join(folder, 'standing.json');
const words: string[] = [];
let supervisor: Supervisor;
afterEach(() => supervisor?.end());
afterAll(() => rmSync(folder, { recursive: true, force: true }));

interface Part {
  readonly name: string;
  readonly state: string;
  readonly starts: number;
  readonly why: string | null;
  readonly pid: number | null;
}
const part = (name: string): Part | undefined =>
  (JSON.parse(readFileSync(file, 'utf8')) as { parts: Part[] }).parts.find((each) => each.name === name);
async function until(holds: () => boolean): Promise<void> {
  for (let look = 0; look < 400 && !holds(); look += 1)
    await new Promise((resolve) => setTimeout(resolve, 50));
  expect(holds()).toBe(true);
}
const isThere = (pid: number): boolean => {
  try {
    // A process that has ended and that nobody has asked about is none any more.
    return !/^State:\s+Z/mu.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
};
const begin = (): Supervisor => {
  words.length = 0;
  supervisor = new Supervisor(file, { log: (said) => words.push(said) });
  return supervisor;
};
const idle = command('node', ['-e', 'setInterval(() => {}, 1000)']);

describe('pauses', () => {
  it('are hardly any at first, double, and end at half a minute', () => {
    expect([1, 2, 3, 4, 8, 9, 50].map(pauseAfter)).toEqual([200, 400, 800, 1600, 25_600, 30_000, 30_000]);
  });
});

describe('a part', () => {
  it('that is killed is started again, with a word in the log', async () => {
    await begin().keep('web server', idle);
    const first = part('web server')?.pid ?? 0;
    process.kill(first, 'SIGKILL');
    await until(() => part('web server')?.starts === 2 && part('web server')?.state === 'running');
    expect(part('web server')).toMatchObject({ state: 'running', why: 'by SIGKILL' });
    expect(part('web server')?.pid).not.toBe(first);
    expect(supervisor.whole).toBe(true);
    expect(words.join()).toMatch(/web server ended \(by SIGKILL\); started again at once/u);
  });

  it('that ends again and again is tried after growing pauses, and stops no other', async () => {
    await begin().keep('well', idle);
    await supervisor.keep('ill', command('node', ['-e', 'process.exit(3)']));
    await until(() => (part('ill')?.starts ?? 0) >= 3);
    await until(() => part('ill')?.state === 'starting');
    const { wrong } = JSON.parse(readFileSync(file, 'utf8')) as { wrong: string[] };
    expect(wrong).toEqual(['Not running: ill (ended with code 3). It is started again by itself.']);
    expect(words.filter((said) => said.includes('ill ended (with code 3)')).length).toBeGreaterThanOrEqual(2);
    expect(part('well')).toMatchObject({ state: 'running', starts: 1 });
  });

  it('whose start fails later on is tried again; whose first fails is told', async () => {
    await expect(begin().keep('none', () => Promise.reject(new Error('no room')))).rejects.toThrow('no room');
    let starts = 0;
    let end: (why: string) => void = () => {};
    const shaky = async (): Promise<Running> => {
      starts += 1;
      if (starts === 2) throw new Error('the disk is away');
      const ended = new Promise<string>((resolve) => {
        end = resolve;
      });
      return { pid: process.pid, ended, stop: async () => {} };
    };
    await supervisor.keep('database', shaky);
    end('its server is gone');
    await until(() => starts === 3 && part('database')?.state === 'running');
    expect(words.some((said) => said.includes('the disk is away'))).toBe(true);
  });

  it('that runs and answers nothing is ended and begun again; one that is slow to begin is not', async () => {
    const port = 20_000 + Math.floor(Math.random() * 900);
    // It takes every request and answers none.
    const deaf = `require('node:http').createServer(() => {}).listen(${port}, '127.0.0.1')`;
    const times = { ask: 100, answer: 200 };
    await begin().keep(
      'web server',
      answering(command('node', ['-e', deaf]), `http://127.0.0.1:${port}/`, times),
    );
    await supervisor.keep('slow', answering(idle, `http://127.0.0.1:${port + 1000}/`, times));
    await until(() => (part('web server')?.starts ?? 0) >= 2);
    expect(part('web server')?.why).toBe('by SIGKILL');
    expect(part('slow')).toMatchObject({ state: 'running', starts: 1 });
  });

  it('is not started again once all is to end, and leaves nothing behind that it had started', async () => {
    const child =
      'require("node:child_process").spawn("sleep", ["600"]).unref(); setInterval(() => {}, 1000)';
    await begin().keep('with a child', command('node', ['-e', child]));
    const pid = part('with a child')?.pid ?? 0;
    const ofGroup = (): boolean => {
      try {
        process.kill(-pid, 0);
        return true;
      } catch {
        return false;
      }
    };
    expect(ofGroup()).toBe(true);
    await supervisor.end();
    await until(() => !ofGroup());
    expect(words).toEqual([]);
  });
});

it('a disk that takes nothing keeps nobody from being kept going', async () => {
  words.length = 0;
  supervisor = new Supervisor(path.join(folder, 'made-a-folder'), { log: (said) => words.push(said) });
  rmSync(path.join(folder, 'made-a-folder'));
  mkdirSync(path.join(folder, 'made-a-folder'));
  await supervisor.keep('web server', idle);
  expect(supervisor.whole).toBe(true);
  expect(words.join()).toMatch(/could not be written down/);
});

it('what one who watches had started ends with it, whatever ended it', async () => {
  const script = path.join(folder, 'watch.mjs');
  const noted = path.join(folder, 'watched.json');
  writeFileSync(
    script,
    `import { Supervisor } from ${JSON.stringify(path.resolve('scripts/lib/supervise.mjs'))};
     import { answering, command } from ${JSON.stringify(path.resolve('scripts/lib/parts.mjs'))};
     const supervisor = new Supervisor(${JSON.stringify(noted)});
     await supervisor.keep('held', command('node', ['-e', 'setInterval(() => {}, 1000)']));
     setInterval(() => {}, 1000);`,
  );
  const watcher = spawn('node', [script], { stdio: 'ignore' });
  const held = (): number =>
    existsSync(noted)
      ? ((JSON.parse(readFileSync(noted, 'utf8')) as { parts: Part[] }).parts[0]?.pid ?? 0)
      : 0;
  await until(() => held() > 0);
  watcher.kill('SIGKILL');
  await until(() => !isThere(held()));
});
