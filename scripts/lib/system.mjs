import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  readlinkSync,
  realpathSync,
  renameSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import net from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { say, Trouble } from './say.mjs';

export const PROJECT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');
/** What this copy of the application keeps for itself: what it has built, and from what. */
const OWN = path.join(PROJECT, '.bricole');
/** Where the data is: beside the application, or in a folder of its own that BRICOLE_HOME names. */
export const HOME = process.env.BRICOLE_HOME ? path.resolve(process.env.BRICOLE_HOME) : OWN;
/** Says beside the data that there is a database, so that a disk that is not mounted is missed. */
export const noteOf = (cluster) => `${HOME}-${cluster}.json`;
/** What runs TypeScript, from the project's folder. */
export const TSX = 'node_modules/tsx/dist/cli.mjs';
export const isRoot = process.getuid?.() === 0;

export function has(command) {
  return spawnSync('sh', ['-c', `command -v "${command}"`]).status === 0;
}

/** Runs a command to its end with its output shown, and with somebody to ask where it `asks`; throws Trouble with the given sentence when it fails. */
export function run(command, args, { sentence, env, quiet = false, asks = false } = {}) {
  const result = spawnSync(command, args, {
    cwd: PROJECT,
    env: { ...process.env, ...env },
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : [asks ? 'inherit' : 'ignore', 'inherit', 'inherit'],
  });
  if (result.status !== 0) {
    const words = quiet ? `\n${result.stdout ?? ''}${result.stderr ?? ''}`.trimEnd() : '';
    throw new Trouble(`${sentence ?? `${command} failed`}${words}`);
  }
}

/** Runs a TypeScript file of the project to its end, as `run` does. */
export function runTypeScript(file, args = [], options = {}) {
  run('node', [TSX, file, ...args], options);
}

/** Starts a command in a process group of its own, so that Ctrl-C reaches it only through us. */
export function start(command, args, env = {}, stdio = ['ignore', 'inherit', 'inherit']) {
  return spawn(command, args, { cwd: PROJECT, env: { ...process.env, ...env }, stdio, detached: true });
}

/** Ends a started command with everything it started. */
export async function stop(child) {
  if (!child || child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  const signal = (name) => {
    try {
      process.kill(-child.pid, name);
    } catch {
      // It was gone already.
    }
  };
  signal('SIGTERM');
  const force = setTimeout(() => signal('SIGKILL'), 8000);
  await ended;
  clearTimeout(force);
}

/** Writes a file so that it is either the old one or the new one, whatever happens meanwhile; only its owner reads it. */
export function writeWhole(file, text) {
  writeFileSync(`${file}.new`, text, { mode: 0o600 });
  renameSync(`${file}.new`, file);
}

/** Whether a process is a PostgreSQL server of this very data: its number alone may be another's by now. */
export function isServerOf(pid, data) {
  try {
    return (
      readFileSync(`/proc/${pid}/comm`, 'utf8').startsWith('postgres') &&
      readlinkSync(`/proc/${pid}/cwd`) === realpathSync(data)
    );
  } catch {
    return false;
  }
}

/** Installs Debian packages, with sudo when not root; a clear sentence when neither is possible. */
export function installDebian(packages, what) {
  const asRoot = isRoot ? [] : ['sudo', '-n'];
  if (!isRoot && (!has('sudo') || spawnSync('sudo', ['-n', 'true']).status !== 0)) {
    throw new Trouble(
      `${what} is not installed, and this user may not install it. Ask an administrator to run: apt-get install ${packages.join(' ')}`,
    );
  }
  if (!has('apt-get'))
    throw new Trouble(`${what} is not installed, and this is not a Debian system: install it by hand.`);
  say(`installing ${what} from Debian's packages`);
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', '-q', ...args];
    return spawnSync(command, rest, { stdio: ['ignore', 'pipe', 'pipe'], encoding: 'utf8' });
  };
  apt('update');
  const result = apt('install', '-y', '--no-install-recommends', ...packages);
  if (result.status !== 0) {
    throw new Trouble(
      `installing ${packages.join(' ')} failed:\n${result.stderr.split('\n').slice(-8).join('\n')}`,
    );
  }
}

/** Whether a port can be listened on. */
export function isFree(port, host = '127.0.0.1') {
  return new Promise((resolve) => {
    const server = net.createServer();
    server.once('error', () => resolve(false));
    server.listen(port, host, () => server.close(() => resolve(true)));
  });
}

/** The first free TCP port on loopback from a wanted one upward. */
export async function freePort(wanted) {
  for (let port = wanted; port < wanted + 200; port += 1) {
    if (await isFree(port)) return port;
  }
  throw new Trouble(`no free port from ${wanted} upward`);
}

/** Fingerprint of files and folders, to know whether a step must be done again. */
export function fingerprint(paths) {
  const hash = createHash('sha256');
  const visit = (file) => {
    if (!existsSync(file)) return;
    if (statSync(file).isDirectory()) {
      for (const name of readdirSync(file).sort()) visit(path.join(file, name));
      return;
    }
    hash.update(path.relative(PROJECT, file));
    hash.update(readFileSync(file));
  };
  for (const each of paths) visit(path.join(PROJECT, each));
  return hash.digest('hex');
}

/** Does a step only when the fingerprint of what it depends on has changed since it last succeeded. */
export function once(name, mark, stillThere, action) {
  const stamp = path.join(OWN, `${name}.stamp`);
  const known = existsSync(stamp) ? readFileSync(stamp, 'utf8') : '';
  if (known === mark && stillThere()) return false;
  action();
  mkdirSync(OWN, { recursive: true });
  writeFileSync(stamp, mark);
  return true;
}

/** Installs the npm packages of the lock file when they are not there or the lock file has changed. */
export function installPackages() {
  const mark = fingerprint(['package.json', 'package-lock.json']);
  once(
    'packages',
    mark,
    () => existsSync(path.join(PROJECT, 'node_modules/next')),
    () => {
      say('installing npm packages from the lock file');
      // Not `npm ci`: a registry without the packages of other platforms makes a lock file that it refuses; this
      // installs the same pinned versions and leaves the lock file as it is.
      run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'], {
        sentence: 'npm install failed',
      });
    },
  );
}

/** Builds the application when its sources have changed since the last build. */
export function buildApplication() {
  const mark = fingerprint(['src', 'public', 'next.config.ts', 'package-lock.json', 'tsconfig.json']);
  once(
    'build',
    mark,
    () => existsSync(path.join(PROJECT, '.next/BUILD_ID')),
    () => {
      say('building the application (about a minute)');
      run('node', ['node_modules/next/dist/bin/next', 'build'], {
        sentence: 'next build failed',
        env: { NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
      });
    },
  );
}

/** Waits until a web server answers; Trouble when it never does. */
export async function waitForServer(url, seconds = 60) {
  const until = Date.now() + seconds * 1000;
  while (Date.now() < until) {
    try {
      const answer = await fetch(url, { redirect: 'manual' });
      if (answer.status < 500) return;
    } catch {
      // Not listening yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  throw new Trouble(`the web server did not answer at ${url} within ${seconds} s`);
}
