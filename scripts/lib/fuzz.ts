import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { getMetadataStorage } from 'class-validator';
import pg from 'pg';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { fieldsOf } from '../../src/core/methods';
import { METHODS } from '../../src/core/methods/registry';
import { DEMO_PASSWORD, PEOPLE } from '../../src/demo/scenario';
import { USE_CASES } from '../../src/server/registry';

/**
 * Sends hostile and half-right requests to every use case and route of a running application, as every role, and
 * prints every answer that is a server error. The same seed sends the same requests to the same data.
 *   BRICOLE_URL, BRICOLE_DATABASE_URL; --count 10000 --seed 7 --only save-readings
 */
const option = (name: string, usual: string): string => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : (process.argv[at + 1] ?? usual);
};
const COUNT = Number(option('count', '10000'));
const ONLY = option('only', '');
const AT_ONCE = 6;
const { BRICOLE_URL: URL_ = '', BRICOLE_DATABASE_URL = '' } = process.env;
if (!URL_ || !BRICOLE_DATABASE_URL) throw new Error('BRICOLE_URL and BRICOLE_DATABASE_URL');

const random = xoroshiro128plus(Number(option('seed', '7')));
const below = (limit: number): number => (random.next() >>> 0) % limit;
const pick = <T>(list: readonly T[]): T => list[below(list.length)] as T;
const chance = (share: number): boolean => below(1000) < share * 1000;

// --- what the data holds, to aim at
const pool = new pg.Pool({ connectionString: BRICOLE_DATABASE_URL, max: 2 });
const idsOf = async (table: string): Promise<string[]> =>
  (await pool.query(`SELECT id::text FROM ${table} ORDER BY 1 LIMIT 40`)).rows.map(({ id }) => id as string);
const TABLES = {
  jobId: 'jobs',
  specificationId: 'specifications',
  lotId: 'lots',
  sampleId: 'samples',
  specimenId: 'specimens',
  runId: 'runs',
  equipmentId: 'equipment',
  reportId: 'reports',
  storageId: 'storages',
  personId: 'people',
  fromPersonId: 'people',
  cardId: 'cards',
  loadId: 'loads',
  batchId: 'batches',
  reasonId: 'run_reasons',
  feedId: 'press_feeds',
  amendmentId: 'amendments',
  replaces: 'specimens',
} as const;
const known = new Map<string, string[]>();
for (const [name, table] of Object.entries(TABLES)) known.set(name, await idsOf(table));
const { rows: numbers } = await pool.query('SELECT number FROM equipment');
const { rows: limits } = await pool.query(`SELECT DISTINCT field FROM readings`);
const FIELDS = [
  ...new Set([
    ...METHODS.flatMap((method) => fieldsOf(method.Input).map(({ name }) => name)),
    ...limits.map(({ field }) => field as string),
  ]),
];

// --- what people and machines get wrong
const HOSTILE: readonly unknown[] = [
  '',
  ' ',
  '\u0000',
  'a\u0000b',
  '\ud800',
  '🧱'.repeat(40),
  'x'.repeat(5000),
  `${' '.repeat(4000)}1`,
  '9'.repeat(5000),
  "' OR 1=1 --",
  '<script>alert(1)</script>',
  '=cmd|x',
  '%00',
  '%zz',
  '../../etc/passwd',
  'null',
  'undefined',
  'NaN',
  'Infinity',
  '-0',
  '1e400',
  '-1e308',
  '1/0',
  '6 1/8',
  '12\' 4"',
  '0,25',
  '6,1870',
  '61,870.5.1',
  '1 furlong',
  '٣',
  '２',
  '1_000',
  '0x10',
  '-5 psi',
  '10^9 mm',
  '9999-12-31T23:59:59Z',
  '1026-05-14T10:00:00Z',
  '2020-W01-1T10:00:00Z',
  '20261128T101112Z',
  '2026-02-30T10:00:00Z',
  '2026-11-28',
  '2026-11-28T10:00:00',
  '2026-11-28T10:00:00+99:00',
  'T',
  'zone',
  'Moon/Base',
  'a\nb',
  'a\r\nSet-Cookie: x=1',
  '\u202edrow',
  'ﬁ',
  0,
  -1,
  1,
  1.5,
  1e308,
  -1e308,
  2147483648,
  9007199254740992,
  true,
  false,
  null,
  undefined,
  [],
  {},
  [[]],
  [null],
  [{}],
  { a: null },
  { toString: 1 },
  { length: 1e9 },
  { get: 1 },
  { id: 'x' },
  ['__proto__'],
  { valueOf: 'x' },
];
const deep = (levels: number): unknown =>
  Array.from({ length: levels }).reduce((inner) => [inner], 1 as unknown);
const namedBadly = (): unknown =>
  JSON.parse(
    pick(['{"constructor":1}', '{"__proto__":{"x":1}}', '{"prototype":[]}', '{"constructor":{"name":"x"}}']),
  );

const LIKELY: Readonly<Record<string, readonly unknown[]>> = {
  method: METHODS.map(({ id }) => id),
  field: FIELDS,
  kind: ['discarded', 'note', 'final cure', 'capping', 'acceptance', 'replace'],
  system: ['US', 'SI'],
  role: ['field', 'client', 'manager'],
  zone: ['America/New_York', 'UTC'],
  profile: ['astm', 'en', 'is', 'agency'],
  machine: numbers.map(({ number }) => number),
  format: ['csv', 'json'],
  size: ['4x8', '6x12', '100x200', 'core-4', 'beam-6'],
  cure: ['standard', 'field'],
  condition: ['in order', 'cracked'],
  status: ['confirmed', 'set by the laboratory', 'set by the project'],
  decision: ['replace', 'information'],
  fault: ['testing', 'sampling'],
  apart: ['yes'],
  count: [1, 2, 3],
  ageDays: [7, 28],
  reasons: [[]],
  limitId: ['slump.lift', 'cylinder.planeness', 'air.tolerance'],
  exposure: ['F1', 'F2', 'F3'],
  duty: ['reviewed', 'stirred'],
};
const USUAL: readonly unknown[] = [
  '4',
  '4.01',
  '58,300',
  '4 1/4 in',
  '4,500 psi',
  '72 F',
  '6 %',
  '9 yd3',
  '145 lb/ft3',
  'yes',
  'no',
  'true',
  'false',
  'words',
  1,
  3,
  true,
  new Date().toISOString(),
  new Date(Date.now() - 86_400_000).toISOString(),
  '2026-11-01',
  'UQ-1',
  '10:30',
  '0:00 4000\n0:10 5000',
];

function valueFor(name: string, hostility: number): unknown {
  if (chance(hostility))
    return chance(0.03) ? deep(pick([5, 60, 3000])) : chance(0.03) ? namedBadly() : pick(HOSTILE);
  const ids =
    known.get(name) ?? (name.endsWith('Ids') ? [...(known.get(name.slice(0, -1)) ?? [])] : undefined);
  if (name.endsWith('Ids'))
    return Array.from({ length: 1 + below(3) }, () => pick(ids?.length ? ids : [randomId()]));
  if (ids?.length) return chance(0.9) ? pick(ids) : randomId();
  if (name === 'id' || name === 'clientId') return randomId();
  if (name === 'readings') return Array.from({ length: 1 + below(3) }, () => readingFor(hostility));
  if (/At$/u.test(name) || name === 'at') return pick(USUAL.filter((each) => String(each).includes('T')));
  if (LIKELY[name]) return pick(LIKELY[name]);
  return pick(USUAL);
}
function randomId(): string {
  const hex = () => below(0x10000).toString(16).padStart(4, '0');
  return `${hex()}${hex()}-${hex()}-4${hex().slice(1)}-8${hex().slice(1)}-${hex()}${hex()}${hex()}`;
}
function readingFor(hostility: number): unknown {
  return {
    id: chance(hostility) ? pick(HOSTILE) : randomId(),
    field: chance(hostility) ? pick(HOSTILE) : pick(FIELDS),
    text: chance(hostility) ? pick(HOSTILE) : String(pick(USUAL)),
    takenAt: chance(hostility) ? pick(HOSTILE) : new Date().toISOString(),
    ...(chance(0.3) ? { reason: valueFor('reason', hostility) } : {}),
    ...(chance(0.2) ? { basedOn: valueFor('basedOn', hostility) } : {}),
  };
}

const storage = getMetadataStorage();

/** What a form would send for a field, by the rules of its class: so that requests get past the door and deeper in. */
function rightValue(type: abstract new () => object, name: string): unknown {
  const rules = storage
    .getTargetValidationMetadatas(type, '', false, false)
    .filter((each) => each.propertyName === name);
  const rule = (wanted: string) => rules.find((each) => each.name === wanted || each.type === wanted);
  const isIn = rule('isIn');
  const list = rule('isArray') !== undefined;
  if (isIn) {
    const values = isIn.constraints[0] as unknown[];
    return list ? [pick(values)] : pick(values);
  }
  if (name === 'readings') return Array.from({ length: 1 + below(3) }, () => readingFor(0));
  if (name === 'reasons') return [];
  const ids = known.get(name) ?? known.get(name.replace(/s$/u, ''));
  if (ids?.length) return list ? [pick(ids)] : pick(ids);
  if (rule('isUuid')) return list ? [randomId()] : randomId();
  if (rule('isInstant')) return new Date(Date.now() - below(40) * 3_600_000).toISOString();
  if (rule('isDay')) return new Date(Date.now() - below(300) * 86_400_000).toISOString().slice(0, 10);
  if (rule('isBoolean')) return chance(0.5);
  if (rule('isInt')) return list ? [1, 2] : 1 + below(5);
  if (rule('isNumber')) return below(100) / 100;
  if (rule('isEmail')) return `p${below(1e6)}@fuzz.example`;
  if (rule('isZone')) return 'America/New_York';
  if (LIKELY[name]) return pick(LIKELY[name]);
  if (/strength/iu.test(name)) return '4,500 psi';
  if (/volume/iu.test(name)) return '9 yd3';
  if (/(From|To|load)$/u.test(name)) return `${20_000 + below(300_000)} lbf`;
  if (name === 'password' || name === 'next') return `moss lamp harbour ${below(1e6)}`;
  if (name === 'number' || name === 'code' || name === 'ticket') return `F${below(1e6)}`;
  if (rule('isObject')) return {};
  if (rule('customValidation')?.name === 'nestedValidation') return {};
  return 'Words of a form.';
}

function propertiesOf(type: abstract new () => object): { name: string; optional: boolean }[] {
  const found = storage.getTargetValidationMetadatas(type, '', false, false);
  return [...new Set(found.map(({ propertyName }) => propertyName))].map((name) => ({
    name,
    optional: found.some((each) => each.propertyName === name && each.type === 'conditionalValidation'),
  }));
}
function bodyFor(name: keyof typeof USE_CASES): unknown {
  if (chance(0.02)) return pick([null, [], 'x', 1, deep(3000), namedBadly()]);
  const type = USE_CASES[name].Input as never;
  // Half of them as a form would send them, with one field in ten of another make; the rest wilder and wilder.
  const hostility = pick([0, 0, 0.1, 0.1, 0.3, 0.7]);
  const body: Record<string, unknown> = {};
  for (const each of propertiesOf(type)) {
    if (chance(each.optional ? 0.5 : hostility / 4)) continue;
    body[each.name] = chance(hostility) ? valueFor(each.name, 0.7) : rightValue(type, each.name);
  }
  if (chance(0.03)) body[pick(['constructor', 'x', '', '__proto__', 'length'])] = pick(HOSTILE);
  return body;
}

const ROUTES = [
  '/today',
  '/field',
  '/field/:',
  '/jobs',
  '/jobs/:',
  '/jobs/:/import',
  '/placements/:',
  '/placements/:/hand-over',
  '/samples/:',
  '/specimens/:',
  '/bench/:',
  '/runs/:',
  '/runs/:/press',
  '/verdicts',
  '/verdicts/:',
  '/reports',
  '/reports/:',
  '/gear',
  '/gear/limits',
  '/gear/people',
  '/gear/storage',
  '/ends',
  '/practice',
  '/practice/:',
  '/practice/at-the-press/:',
  '/account',
  '/api/search?q=:',
  '/api/export?job=:&method=:&format=:',
  '/api/labels?sample=:',
  '/api/labels?specimen=:&form=:&paper=:',
  '/api/reports/:/pdf',
  '/api/placements/:/clocks',
  '/api/placements/:/custody',
  '/api/placements/:/:',
  '/api/runs/:/log/original',
  '/api/runs/:/log/:',
  '/api/attachments/:',
  '/api/health',
  '/sign-in?then=:',
  '/reports?before=:',
  '/api/press/:no',
  '/:no',
  '/serwist/:',
];
/** Text of anything; what cannot be text is its kind. */
const inWords = (value: unknown): string =>
  typeof value === 'object' ? 'object' : Buffer.from(String(value)).toString('utf8');
const everyId = [...known.values()].flat();
const METHOD_IDS = METHODS.map(({ id }) => id);
function pathFor(): string {
  return pick(ROUTES)
    .replaceAll(':no', () => encodeURIComponent(inWords(pick(HOSTILE)).slice(0, 200)))
    .replaceAll(':', () => {
      if (chance(0.4)) return pick(everyId);
      if (chance(0.2)) return pick([...METHOD_IDS, 'csv', 'json', 'original', 'single']);
      if (chance(0.3)) return pick(['%zz', '%00', '%', '%E0%A4%A', '..%2f..', '%2500', "'", '%0d%0aX:1']);
      try {
        return encodeURIComponent(inWords(pick(HOSTILE)).slice(0, 300));
      } catch {
        return '%ED%A0%80';
      }
    });
}

// --- sending
const cookies: string[] = [''];
for (const { email } of PEOPLE) {
  const answer = await fetch(`${URL_}/api/auth/sign-in/email`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: URL_ },
    body: JSON.stringify({ email, password: DEMO_PASSWORD }),
  });
  if (!answer.ok) throw new Error(`${email} cannot sign in: ${answer.status} ${await answer.text()}`);
  cookies.push(
    answer.headers
      .getSetCookie()
      .map((each) => each.split(';')[0])
      .join('; '),
  );
}
const staff = cookies.slice(1);
// These end what everybody else stands on; they are sent to nobody who is really there.
const SPARED = new Set([
  'change-password',
  'invite-person',
  'end-sessions',
  'end-own-session',
  'change-person',
  'set-service',
]);
const names = (Object.keys(USE_CASES) as (keyof typeof USE_CASES)[]).filter(
  (name) => ONLY === '' || name === ONLY,
);
const tally = new Map<number, number>();
const errors: string[] = [];
const worked = new Map<string, number>();

async function once(): Promise<void> {
  const isUseCase = ONLY !== '' || chance(0.75);
  const name = pick(names);
  const allowed = PEOPLE.flatMap(({ role }, index) =>
    USE_CASES[name].roles.includes(role) ? [staff[index] ?? ''] : [],
  );
  const cookie = chance(0.9) ? pick(isUseCase ? allowed : staff) : pick(cookies);
  let body: unknown;
  let path: string;
  if (isUseCase) {
    path = `/api/do/${name}`;
    body = bodyFor(name);
    if (SPARED.has(name) && typeof body === 'object' && body !== null)
      Object.assign(body, { personId: randomUUID(), equipmentId: randomUUID(), current: 'no' });
  } else {
    path = pathFor();
    if (chance(0.05))
      [path, body] = [
        pick(['/api/import', '/api/auth/sign-in/email', '/api/auth/:', '/api/do/%zz', '/api/do/constructor']),
        bodyFor(name),
      ];
  }
  let text: string | undefined;
  if (body !== undefined) {
    try {
      text = JSON.stringify(body) ?? 'undefined';
    } catch {
      text = '{';
    }
    if (chance(0.02)) text = text.slice(0, below(text.length + 1));
  }
  const stop = new AbortController();
  const timer = setTimeout(() => stop.abort(), 30_000);
  try {
    const answer = await fetch(`${URL_}${path}`, {
      method: text === undefined ? 'GET' : 'POST',
      headers: {
        cookie,
        origin: URL_,
        ...(text === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(text === undefined ? {} : { body: text }),
      redirect: 'manual',
      signal: stop.signal,
    });
    const said = answer.headers.get('content-type')?.includes('event-stream') ? '' : await answer.text();
    if (said === '') stop.abort();
    tally.set(answer.status, (tally.get(answer.status) ?? 0) + 1);
    if (answer.ok && isUseCase) worked.set(name, (worked.get(name) ?? 0) + 1);
    const failed = answer.status >= 500 || (said.includes('Something went wrong') && text === undefined);
    if (failed) errors.push(`${answer.status} ${path} ${text?.slice(0, 1500) ?? ''}`);
  } catch (error) {
    if (!stop.signal.aborted || text !== undefined)
      errors.push(`no answer: ${path} ${text?.slice(0, 500) ?? ''} (${(error as Error).message})`);
  } finally {
    clearTimeout(timer);
  }
}

let sent = 0;
const began = Date.now();
await Promise.all(
  Array.from({ length: AT_ONCE }, async () => {
    while (sent < COUNT) {
      sent += 1;
      if (sent % 1000 === 0)
        process.stdout.write(
          `${sent} sent in ${Math.round((Date.now() - began) / 1000)} s, ${errors.length} server errors\n`,
        );
      await once();
    }
  }),
);
await pool.end();
const list = [...tally].toSorted(([a], [b]) => a - b).map(([status, count]) => `${status}: ${count}`);
process.stdout.write(`${COUNT} requests; ${list.join(', ')}\n`);
process.stdout.write(`use cases that went through: ${worked.size} of ${names.length}\n`);
for (const each of errors.slice(0, 60)) process.stdout.write(`${each}\n`);
process.stdout.write(`${errors.length} server errors\n`);
process.exitCode = errors.length > 0 ? 1 : 0;
