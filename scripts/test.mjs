import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { startApplication } from './lib/application.mjs';
import { startCluster } from './lib/cluster.mjs';
import { newLaboratory } from './lib/laboratory.mjs';
import { main, say, Trouble } from './lib/say.mjs';
import {
  buildApplication,
  HOME,
  installDebian,
  installPackages,
  PROJECT,
  run,
  start,
} from './lib/system.mjs';

// Two checks that are no test runners count as one test each; the runners report their own numbers.
const tally = { passed: 0, failed: 0 };
const broken = [];
// A name of this run's own: what a run that was killed left behind is nobody's stage.
const DEMO = `demo_${Date.now()}`;
const began = Date.now();
const tool = (file) => path.join(PROJECT, 'node_modules', file);

/** One check of its own; several go on beside one another, and each says what it found when it is through. */
async function check(name, args) {
  const child = spawn('node', args, { cwd: PROJECT, stdio: ['ignore', 'pipe', 'pipe'] });
  const parts = [];
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => parts.push(part));
  const [status] = await once(child, 'close');
  const said = Buffer.concat(parts).toString().trim();
  say(name);
  if (said) process.stdout.write(`${said}\n`);
  if (status === 0) tally.passed += 1;
  else {
    tally.failed += 1;
    broken.push(name);
  }
}

function count(name, status, passed, failed) {
  tally.passed += passed;
  tally.failed += failed;
  // A runner that ends badly without a failed test has failed all the same.
  if (status !== 0 && failed === 0) tally.failed += 1;
  if (status !== 0 || failed > 0 || passed === 0) broken.push(name);
}

async function vitest(env) {
  say('Vitest: core, interface helpers, server against PostgreSQL');
  const report = path.join(HOME, 'vitest.json');
  rmSync(report, { force: true });
  const result = spawnSync(
    'node',
    [
      tool('vitest/vitest.mjs'),
      'run',
      '--reporter=default',
      '--reporter=json',
      `--outputFile=${report}`,
      ...process.argv.slice(3),
    ],
    {
      cwd: PROJECT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    },
  );
  const numbers = existsSync(report)
    ? JSON.parse(readFileSync(report, 'utf8'))
    : { numPassedTests: 0, numFailedTests: 0 };
  count('Vitest', result.status, numbers.numPassedTests, numbers.numFailedTests);
}

/** The scenario, loaded once: Vitest looks at a copy of it, the browser works on it. */
async function demo(cluster) {
  say('loading the demo scenario');
  const loading = start(
    'node',
    [tool('tsx/dist/cli.mjs'), 'scripts/prepare-database.ts', '--demo'],
    cluster.prepareEnv(DEMO),
  );
  const [status] = await once(loading, 'exit');
  if (status !== 0) throw new Trouble('the demo scenario could not be loaded');
}

async function playwright(cluster) {
  const app = cluster.appUrl(DEMO);
  buildApplication();
  const application = await startApplication({
    databaseUrl: app,
    secret: 'only-for-this-test-run-0123456789abcdef',
    port: 3900,
    env: { BRICOLE_DEMO: '1' },
  });
  const { url } = application;
  let laboratory;
  try {
    await application.ready();
    say('setting up a laboratory of its own beside it');
    laboratory = await newLaboratory('test-laboratory');
    say('Playwright on the built application');
    mkdirSync(path.join(PROJECT, 'test-results'), { recursive: true });
    const result = spawnSync('node', [tool('@playwright/test/cli.js'), 'test', ...process.argv.slice(3)], {
      cwd: PROJECT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: {
        ...process.env,
        BRICOLE_URL: url,
        BRICOLE_LABORATORY_URL: laboratory.url,
        BRICOLE_LABORATORY_LINK: laboratory.link,
      },
    });
    const file = path.join(PROJECT, 'test-results/e2e.json');
    const stats = existsSync(file)
      ? JSON.parse(readFileSync(file, 'utf8')).stats
      : { expected: 0, unexpected: 0 };
    count('Playwright', result.status, stats.expected, stats.unexpected);
  } finally {
    await laboratory?.end();
    await application.end();
  }
}

await main(async () => {
  const only = process.argv[2];
  if (only && !['checks', 'vitest', 'e2e'].includes(only))
    throw new Trouble('npm test takes nothing, or one of: checks, vitest, e2e');
  mkdirSync(HOME, { recursive: true });
  installPackages();
  if (!existsSync('/usr/bin/chromium-headless-shell')) installDebian(['chromium-headless-shell'], 'Chromium');
  const checks = async () =>
    Promise.all([
      check('format and lint', [tool('@biomejs/biome/bin/biome'), 'check', '--error-on-warnings', '.']),
      check('types', [tool('typescript/bin/tsc'), '-p', '.']),
      check('architecture arrows', [
        tool('dependency-cruiser/bin/dependency-cruise.mjs'),
        'src',
        '--config',
        '.dependency-cruiser.cjs',
        '--output-type',
        'err',
      ]),
      check('unused files, exports and packages', [tool('knip/bin/knip.js')]),
    ]);
  if (only === 'checks') await checks();
  else {
    const cluster = await startCluster('test-database', { durable: false });
    try {
      run('node', [tool('tsx/dist/cli.mjs'), 'scripts/prepare-database.ts'], {
        env: cluster.prepareEnv('bricole_test'),
      });
      const env = {
        BRICOLE_TEST_ROOT_URL: cluster.rootUrl('postgres'),
        BRICOLE_TEST_OWNER_URL: cluster.ownerUrl('postgres'),
        BRICOLE_TEST_APP_URL: cluster.appUrl('postgres'),
        BRICOLE_TEST_TEMPLATE: 'bricole_test',
        BRICOLE_TEST_DEMO: DEMO,
      };
      await Promise.all([demo(cluster), only ? undefined : checks()]);
      if (only !== 'e2e') await vitest(env);
      if (only !== 'vitest') await playwright(cluster);
    } finally {
      cluster.remove();
    }
  }
  say(`took ${Math.round((Date.now() - began) / 1000)} s`);
  if (broken.length > 0) say(`not in order: ${broken.join(', ')}`);
  process.stdout.write(`${tally.passed} passed, ${tally.failed} failed\n`);
  process.exitCode = broken.length > 0 || tally.failed > 0 ? 1 : 0;
});
