import { gzipSync } from 'node:zlib';
import pg from 'pg';
import { DEMO_PASSWORD, PEOPLE } from '../../src/demo/scenario';
import { measureLive } from './measure-live';

/**
 * Measures every main page of a running application on a large data set, as a technician and as a reviewer: the median
 * and the slowest of ten, the statements it makes and the time the database takes for them, the bytes it sends and the
 * scripts it loads. Then how long a reading of a press takes to whoever follows it while pages are drawn.
 *   BRICOLE_URL, BRICOLE_ROOT_URL (pg_stat_statements must be loaded); --times 10 --only today (or live)
 */
const option = (name: string, usual: string): string => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : (process.argv[at + 1] ?? usual);
};
const TIMES = Number(option('times', '10'));
const ONLY = option('only', '');
const { BRICOLE_URL: base = '', BRICOLE_ROOT_URL = '' } = process.env;
const root = new pg.Client({ connectionString: BRICOLE_ROOT_URL });
await root.connect();
await root.query('CREATE EXTENSION IF NOT EXISTS pg_stat_statements');

const one = async (text: string): Promise<string> => String((await root.query(text)).rows[0]?.id ?? '');
const ids = {
  job: await one(`SELECT id FROM jobs WHERE number = 'L001'`),
  mix: await one(
    `SELECT m.id FROM specifications m JOIN jobs j ON j.id = m.job_id WHERE j.number = 'L002' ORDER BY m.code LIMIT 1`,
  ),
  placement: await one(
    `SELECT lot_id AS id FROM samples s JOIN jobs j ON j.id = s.job_id WHERE j.number = 'L002' ORDER BY sampled_at DESC LIMIT 1`,
  ),
  sample: await one(
    `SELECT s.id FROM samples s JOIN jobs j ON j.id = s.job_id WHERE j.number = 'L002' AND s.sampled_at < now() - interval '40 days' ORDER BY s.sampled_at DESC LIMIT 1`,
  ),
  recent: await one(
    `SELECT s.id FROM samples s JOIN jobs j ON j.id = s.job_id WHERE j.number LIKE 'L%' ORDER BY s.sampled_at DESC LIMIT 1`,
  ),
  specimen: await one(
    `SELECT id FROM specimens WHERE tested_at IS NOT NULL AND label LIKE 'L002%' ORDER BY tested_at DESC LIMIT 1`,
  ),
  waiting: await one(
    `SELECT id FROM specimens WHERE tested_at IS NULL AND opens_at < now() AND closes_at > now() AND label LIKE 'L%' ORDER BY closes_at LIMIT 1`,
  ),
  run: await one(
    `SELECT r.id FROM runs r JOIN specimens s ON s.id = r.specimen_id WHERE s.label LIKE 'L002%' ORDER BY r.started_at DESC LIMIT 1`,
  ),
  report: await one(
    `SELECT id FROM reports WHERE state = 'signed' AND number LIKE 'L002%' ORDER BY signed_at DESC LIMIT 1`,
  ),
};
const PAGES: readonly (readonly [name: string, path: string])[] = [
  ['today', '/today'],
  ['field', '/field'],
  ['field sample', `/field/${ids.recent}`],
  ['jobs', '/jobs'],
  ['a job of 1,000 samples', `/jobs/${ids.job}`],
  ['placement', `/placements/${ids.placement}`],
  ['sample', `/samples/${ids.sample}`],
  ['specimen', `/specimens/${ids.specimen}`],
  ['bench', `/bench/${ids.waiting}`],
  ['run sheet', `/runs/${ids.run}`],
  ['ends', '/ends'],
  ['verdicts', '/verdicts'],
  ['a mix of 1,500 tests', `/verdicts/${ids.mix}`],
  ['reports', '/reports'],
  ['a signed report', `/reports/${ids.report}`],
  ['gear', '/gear'],
  ['limits', '/gear/limits'],
  ['people', '/gear/people'],
  ['tanks', '/gear/storage'],
  ['search', '/api/search?q=L002-01'],
  ['export of a job', `/api/export?job=${ids.job}&method=cylinder-compression&format=csv`],
];

const sizes = new Map<string, Promise<number>>();

/** What a page loads of scripts before it is alive, gzipped; not what it fetches when that is wanted. */
async function scriptsOf(html: string): Promise<number> {
  const tags = [...html.matchAll(/<script\b[^>]*\bsrc="([^"]+)"[^>]*>/gu)].filter(
    ([tag]) => !/nomodule/iu.test(tag),
  );
  const paths = new Set(tags.map(([, path = '']) => path));
  const all = [...paths].map((path) => {
    const known = sizes.get(path) ?? sizeOf(path);
    sizes.set(path, known);
    return known;
  });
  return (await Promise.all(all)).reduce((sum, size) => sum + size, 0);
}

async function sizeOf(path: string): Promise<number> {
  return gzipSync(Buffer.from(await (await fetch(`${base}${path}`)).arrayBuffer())).length;
}

function emailOf(role: string): string {
  return PEOPLE.find((person) => person.role === role)?.email ?? '';
}

async function signIn(email: string): Promise<string> {
  const answer = await fetch(`${base}/api/auth/sign-in/email`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: base },
    body: JSON.stringify({ email, password: DEMO_PASSWORD }),
  });
  if (!answer.ok) throw new Error(`${email}: ${answer.status}`);
  return answer.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
}

const row = (cells: readonly (string | number)[]): string =>
  cells
    .map((cell, index) =>
      index < 2 ? String(cell).padEnd(index === 0 ? 24 : 11) : String(cell).padStart(11),
    )
    .join(' ');
process.stdout.write(
  `${row(['page', 'as', 'median ms', 'slowest', 'statements', 'SQL ms', 'ratio', 'kB', 'gzip kB', 'nodes', 'JS kB'])}\n`,
);
for (const role of ['laboratory', 'reviewer'] as const) {
  const cookie = await signIn(emailOf(role));
  for (const [name, path] of PAGES) {
    if (ONLY && !name.includes(ONLY)) continue;
    const took: number[] = [];
    let [bytes, zipped, nodes, calls, sql] = [0, 0, 0, 0, 0];
    let [status, script] = [0, 0];
    for (let time = 0; time < TIMES; time += 1) {
      if (time === 1) await root.query('SELECT pg_stat_statements_reset()');
      const began = performance.now();
      const answer = await fetch(`${base}${path}`, { headers: { cookie }, redirect: 'manual' });
      const body = Buffer.from(await answer.arrayBuffer());
      took.push(performance.now() - began);
      status = answer.status;
      if (time === 1) {
        // The recorder looks for open feeds three times a second, whoever asks for what.
        const { rows } = await root.query(
          `SELECT sum(calls)::int AS calls, sum(total_exec_time) AS sql FROM pg_stat_statements
           WHERE query NOT ILIKE '%press_feeds%' AND query NOT ILIKE '%pg_stat_statements%'`,
        );
        [calls, sql] = [rows[0].calls ?? 0, rows[0].sql ?? 0];
        bytes = body.length;
        zipped = gzipSync(body).length;
        script = await scriptsOf(body.toString('utf8'));
        nodes =
          body
            .toString('utf8')
            .split('</script>')[0]
            ?.match(/<[a-z]/g)?.length ?? 0;
      }
      // Something that takes half a minute is known after twice.
      if ((took.at(-1) ?? 0) > 10_000 && time >= 1) break;
    }
    const sorted = took.toSorted((a, b) => a - b);
    const median = sorted[Math.floor(sorted.length / 2)] ?? 0;
    process.stdout.write(
      `${row([name, status === 200 ? role : `${role} ${status}`, median.toFixed(0), (sorted.at(-1) ?? 0).toFixed(0), calls, sql.toFixed(1), sql > 0 ? `${(median / sql).toFixed(1)} : 1` : '', (bytes / 1024).toFixed(0), (zipped / 1024).toFixed(0), nodes, script > 0 ? (script / 1024).toFixed(0) : ''])}\n`,
    );
  }
}
if (!ONLY || ONLY === 'live')
  process.stdout.write(
    await measureLive(base, await signIn(emailOf('laboratory')), [
      '/today',
      '/verdicts',
      '/field',
      '/reports',
    ]),
  );
await root.end();
