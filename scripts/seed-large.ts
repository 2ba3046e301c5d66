/**
 * Fills a database with about three years of a busy laboratory, by INSERT … SELECT, the same rows for the same seed.
 *   npm run seed:large [-- --samples 50000 --jobs 200 --years 3 --seed 20417]
 * Needs a migrated database with the demo scenario in it, whose people, storages and a signed report are reused, and its
 * superuser's address in BRICOLE_ROOT_URL. Triggers and foreign keys are off while it runs; audit rows are written for a
 * part. Outcomes are computed by the methods themselves for a grid of strengths, then shared out; labels, times and the
 * specimen of each are put in, so that input, setup and outcome of a run agree.
 */
import 'reflect-metadata';
import { gzipSync } from 'node:zlib';
import pg from 'pg';
import { LIMIT_IDS } from '../src/core/limits/register';
import { usableInput } from '../src/core/methods';
import { findMethod } from '../src/core/methods/registry';
import { openDatabase } from '../src/db/client';
import { rebuildVerdicts } from '../src/server/verdicts';
import { rebuildWaits } from '../src/server/waits';

const arg = (name: string, usual: number): number => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : Number(process.argv[at + 1]);
};
const SAMPLES = arg('samples', 50_000);
const JOBS = arg('jobs', 200);
const YEARS = arg('years', 3);
const SEED = arg('seed', 20_417);
const BIG_JOB = Math.min(1000, Math.floor(SAMPLES / 5));
const BIG_MIX = Math.min(1500, Math.floor(SAMPLES / 4));

const rootUrl = process.env.BRICOLE_ROOT_URL;
if (!rootUrl) throw new Error('BRICOLE_ROOT_URL is not set: start with npm run seed:large');

/** Plain congruential chance: the plan of jobs and specifications is the same for the same seed. */
let state = SEED >>> 0;
const chance = (): number => {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
  return state / 4294967296;
};

const client = new pg.Client({ connectionString: rootUrl });
await client.connect();
const began = Date.now();
const run = async (what: string, text: string, values: unknown[] = []): Promise<void> => {
  const t0 = Date.now();
  const { rowCount } = await client.query(text, values as never);
  process.stdout.write(
    `${((Date.now() - began) / 1000).toFixed(1).padStart(7)} s  ${what}: ${rowCount ?? 0} rows in ${((Date.now() - t0) / 1000).toFixed(1)} s\n`,
  );
};

const there = await client.query(`select count(*)::int n from jobs where number ~ '^L[0-9]{3}$'`);
if (there.rows[0].n > 0) {
  process.stdout.write('seed-large: it is there already (jobs L001 …); nothing done\n');
  process.exit(0);
}
await client.query(
  `SET session_replication_role = replica; SET synchronous_commit = off; SET work_mem = '256MB'; SET maintenance_work_mem = '512MB'; SET max_parallel_workers_per_gather = 0`,
);
await client.query('BEGIN'); // all of it or nothing
await client.query(`
  CREATE SCHEMA IF NOT EXISTS seedling;
  CREATE OR REPLACE FUNCTION seedling.id(text) RETURNS uuid IMMUTABLE LANGUAGE sql AS $$ SELECT overlay(overlay(md5('${SEED}/' || $1) placing '4' from 13) placing '8' from 17)::uuid $$; -- as version 4: the use cases check it
  CREATE OR REPLACE FUNCTION seedling.u(text) RETURNS float8 IMMUTABLE LANGUAGE sql AS $$ SELECT (hashtextextended($1, ${SEED}) & 2147483647) / 2147483648.0 $$;
  CREATE OR REPLACE FUNCTION seedling.z(text) RETURNS float8 IMMUTABLE LANGUAGE sql AS $$
    SELECT (seedling.u($1||'a') + seedling.u($1||'b') + seedling.u($1||'c') + seedling.u($1||'d') - 2) * 1.7320508 $$;
  CREATE OR REPLACE FUNCTION seedling.iso(timestamptz) RETURNS text IMMUTABLE LANGUAGE sql AS $$ SELECT to_char($1 AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') $$;
  DROP TABLE IF EXISTS seedling.cyl, seedling.fresh, seedling.mix, seedling.smp, seedling.spc;
  CREATE UNLOGGED TABLE seedling.cyl (system text, level int, age int, k int, input jsonb, setup jsonb, outcome jsonb, primary key (system, level, age, k));
  CREATE UNLOGGED TABLE seedling.fresh (system text, method text, k int, input jsonb, setup jsonb, outcome jsonb, primary key (system, method, k));
  CREATE UNLOGGED TABLE seedling.mix (job int, mix int, job_id uuid, mix_id uuid, jobno text, n int, first timestamptz, last timestamptz, system text, level int, mean float8, spread float8);
`);

// --- outcomes, computed by the methods
/** What these mixes are not asked for. */
const NOT_ASKED = {
  temperatureMinimum: null,
  slumpClass: null,
  slumpFlow: null,
  air: null,
  exposure: null,
  airMethod: null,
  aggregateFactor: null,
  airReduced: false,
  density: null,
  waterRatio: null,
  cementitious: null,
  water: null,
  bleedsLittle: false,
};
const LEVELS = { US: [3000, 4000, 5000, 6000], SI: [25, 30, 35, 40] } as const;
const STEPS = 61;
const PER_LEVEL_AGES = [168, 672] as const;
const cylinder = findMethod('cylinder-compression');
if (!cylinder) throw new Error('cylinder-compression');
const CAST = '2026-01-05T14:00:00.000Z';
{
  const rows: unknown[][] = [];
  for (const system of ['US', 'SI'] as const)
    for (const [level, specified] of LEVELS[system].entries())
      for (const age of PER_LEVEL_AGES)
        for (let k = 0; k < STEPS; k += 1) {
          const { input } = cylinder.example(system) as {
            input: Record<string, unknown>;
          };
          const strength = specified * (0.8 + 0.0125 * k) * (age === 168 ? 0.72 : 1);
          const [d1, d2] =
            system === 'US'
              ? [4 + (k % 3) / 100, 4 + ((k + 1) % 2) / 100]
              : [101 + (k % 4) * 0.25, 101.25 + (k % 3) * 0.25];
          const area = (Math.PI * ((d1 + d2) / 2) ** 2) / 4;
          const load =
            system === 'US'
              ? String(Math.round((strength * area) / 10) * 10)
              : ((strength * area) / 1000).toFixed(1);
          const testedAt = new Date(Date.parse(CAST) + age * 3_600_000).toISOString();
          const typed: Record<string, unknown> = {
            ...input,
            machine: 'PR-01',
            calliper: 'CA-01',
            pads: 'UP-11',
            diameter1: d1.toFixed(2),
            diameter2: d2.toFixed(2),
            length: system === 'US' ? (7.9 + (k % 5) / 20).toFixed(2) : String(200 + (k % 4)),
            mass: system === 'US' ? (8.3 + (k % 7) / 20).toFixed(2) : (3.88 + (k % 7) / 100).toFixed(2),
            maximumLoad: load,
            fracture: String(1 + (k % 5)),
            testedAt,
            outOfMoistAt: new Date(Date.parse(testedAt) - 25 * 60_000).toISOString(),
          };
          delete typed.massInWater;
          const facts = {
            zone: 'America/New_York',
            profile: 'astm',
            rounding: 'half-even',
            limitsRevision: 0,
            limitChanges: {},
            enteredAt: {},
            specimen: {
              cure: 'standard',
              label: 'L',
              mould: system === 'US' ? '4x8' : '100x200',
              nominalSize: system === 'US' ? '4x8' : '100x200',
              castAt: CAST,
              ageHours: age,
              specifiedStrength: `${specified} ${system === 'US' ? 'psi' : 'MPa'}`,
              designatedAgeHours: 672,
            },
            equipment: [
              {
                kind: 'calliper',
                name: 'Digital calliper, 12 in',
                number: 'CA-01',
                inService: true,
                verifiedOn: '2025-09-20',
              },
              {
                kind: 'compression machine',
                name: 'Floor-standing press, digital indicator',
                number: 'PR-01',
                inService: true,
                verifiedOn: '2025-09-20',
                verifiedFrom: system === 'US' ? '18000 lbf' : '60 kN',
                verifiedTo: system === 'US' ? '380000 lbf' : '1700 kN',
              },
              {
                kind: 'unbonded pads',
                name: 'Pads and retainers',
                number: 'UP-11',
                inService: true,
                pads: {
                  pad: '4.16 in',
                  retainer: '4.19 in',
                  durometer: '60',
                  thickness: '0.5 in',
                  inServiceOn: '2025-12-20',
                  uses: 40,
                },
              },
            ],
          };
          const outcome = cylinder.compute(usableInput(cylinder, typed).input, facts as never);
          rows.push([
            system,
            level,
            age,
            k,
            JSON.stringify(typed),
            JSON.stringify(facts),
            JSON.stringify(outcome),
          ]);
        }
  for (const row of rows)
    await client.query(`INSERT INTO seedling.cyl VALUES ($1,$2,$3,$4,$5,$6,$7)`, row as never);
  process.stdout.write(`cylinder outcomes computed: ${rows.length}\n`);
}
const FRESH = ['delivery', 'sampling', 'concrete-temperature', 'slump', 'moulding', 'initial-curing'];
const KEPT: Record<string, string[]> = {
  delivery: ['batchedAt', 'arrivedAt', 'dischargedAt'],
  sampling: ['kind', 'firstPortionAt', 'finalPortionAt'],
  'concrete-temperature': ['thermometer', 'temperature', 'readAt'],
  slump: ['fillStartedAt', 'slump', 'readAt'],
  moulding: ['mould', 'startedAt', 'finishedAt'],
  'initial-curing': ['method', 'minimum', 'maximum', 'collectedAt'],
};
const FRESH_STEPS = 12;
for (const method of FRESH)
  for (const system of ['US', 'SI'] as const)
    for (let k = 0; k < FRESH_STEPS; k += 1) {
      const found = findMethod(method);
      if (!found) throw new Error(method);
      const { input, setup } = found.example(system) as {
        input: Record<string, unknown>;
        setup: Record<string, unknown>;
      };
      const typed: Record<string, unknown> = { ...input };
      if (method === 'slump')
        typed.slump =
          system === 'US'
            ? `${3 + Math.floor(k / 4)} ${['', '1/4', '1/2', '3/4'][k % 4]}`.trim()
            : String(75 + 5 * k);
      if (method === 'concrete-temperature')
        typed.temperature = system === 'US' ? String(68 + 2 * k) : String(18 + k);
      const outcome = found.compute(usableInput(found, typed).input, setup as never);
      await client.query(`INSERT INTO seedling.fresh VALUES ($1,$2,$3,$4,$5,$6)`, [
        system,
        method,
        k,
        JSON.stringify(typed),
        JSON.stringify(setup),
        JSON.stringify(outcome),
      ]);
    }

// --- jobs and specifications
const now = Date.now();
const DAY = 86_400_000;
const span = YEARS * 365 * DAY;
const sizes: { job: number; mix: number; n: number }[] = [];
const weights = Array.from({ length: JOBS * 2 }, (_, index) => (index < 4 ? 0 : 0.3 + chance()));
const total = weights.reduce((sum, each) => sum + each, 0);
const left = SAMPLES - BIG_JOB - BIG_MIX - 100 + 20; // rounding must not fall below what was asked for
for (let job = 1; job <= JOBS; job += 1)
  for (let mix = 1; mix <= 2; mix += 1) {
    const place = (job - 1) * 2 + mix - 1;
    const n =
      job === 1
        ? Math.floor(BIG_JOB / 2)
        : job === 2
          ? mix === 1
            ? BIG_MIX
            : 100
          : Math.max(3, Math.round((left * (weights[place] ?? 0)) / total));
    sizes.push({ job, mix, n });
  }
for (let job = 1; job <= JOBS; job += 1) {
  const jobno = `L${String(job).padStart(3, '0')}`;
  const system = job <= 2 || chance() < 0.7 ? 'US' : 'SI';
  const whole = job <= 2;
  const begins = whole ? now - span : now - span * (0.03 + 0.94 * chance());
  const ends = whole ? now : Math.min(now, begins + (0.4 + 0.8 * chance()) * 365 * DAY);
  await client.query(
    `INSERT INTO jobs (id, number, name, owner, location, zone, system, created_at) VALUES (seedling.id($1), $2, $3, $4, $5, $6, $7, $8)`,
    [
      `job/${job}`,
      jobno,
      `Invented works ${job}`,
      `Invented owner ${1 + (job % 37)}`,
      `Place ${1 + (job % 23)}`,
      job % 5 === 0 ? 'America/Chicago' : 'America/New_York',
      system,
      new Date(begins),
    ],
  );
  for (let mix = 1; mix <= 2; mix += 1) {
    const level = Math.floor(chance() * 4);
    const specified = LEVELS[system][level] ?? 0;
    await client.query(
      `INSERT INTO specifications (id, job_id, material, code, title, asked, created_at)
       VALUES (seedling.id($1), seedling.id($2), 'concrete', $3, $4, $5, $6)`,
      [
        `mix/${job}/${mix}`,
        `job/${job}`,
        `${jobno}-M${mix}`,
        mix === 1 ? 'Footings and walls' : 'Slabs and decks',
        JSON.stringify({
          specifiedStrength: `${specified} ${system === 'US' ? 'psi' : 'MPa'}`,
          ageHours: 672,
          slumpKind: 'target',
          slump: system === 'US' ? '4 in' : '100 mm',
          temperatureMaximum: system === 'US' ? '92 degF' : '33 degC',
          aggregate: system === 'US' ? '0.75 in' : '19 mm',
          ...NOT_ASKED,
        }),
        new Date(begins),
      ],
    );
    for (const criterion of ['running-average', 'individual'])
      await client.query(
        `INSERT INTO requirements VALUES (seedling.id($1), $2, 'ACI 318', 'edition to be named by the project')`,
        [`mix/${job}/${mix}`, criterion],
      );
    const n = sizes.find((each) => each.job === job && each.mix === mix)?.n ?? 0;
    await client.query(
      `INSERT INTO seedling.mix VALUES ($1,$2,seedling.id($3),seedling.id($4),$5,$6,$7,$8,$9,$10,$11,$12)`,
      [
        job,
        mix,
        `job/${job}`,
        `mix/${job}/${mix}`,
        jobno,
        n,
        new Date(begins),
        new Date(ends),
        system,
        level,
        1.14 + 0.16 * chance(),
        0.07 + 0.03 * chance(),
      ],
    );
  }
}

// --- gear that a busy laboratory has after three years
const tests = SAMPLES * 3.2;
const pairs = Math.max(4, Math.round((tests * 0.8) / 100));
await run(
  'pads',
  `
  INSERT INTO equipment (id, number, kind, name, place, in_service, pads)
  SELECT seedling.id('pads/' || n), 'UQ-' || lpad(n::text, 4, '0'), 'unbonded pads', 'Pads and retainers, 4 in, pair ' || n, 'Press room', n > $1::int - 12,
         jsonb_build_object('pad', '4.16 in', 'retainer', '4.19 in', 'durometer', '60', 'thickness', '0.5 in', 'inServiceOn', to_char(now() - (1 - n::float8 / $1) * $2 * interval '1 day', 'YYYY-MM-DD'))
  FROM generate_series(1, $1::int) n`,
  [pairs, YEARS * 365],
);
await run(
  'other equipment',
  `
  INSERT INTO equipment (id, number, kind, name, place)
  SELECT seedling.id('gear/' || n), 'EQ-' || lpad(n::text, 3, '0'), (ARRAY['slump mould','thermometer','pressure meter','calliper','balance'])[1 + n % 5], 'Item ' || n, 'Store' FROM generate_series(1, 60) n`,
);
await run(
  'verifications',
  `
  INSERT INTO equipment_verifications (id, equipment_id, verified_on, certificate, by, at)
  SELECT seedling.id('ver/' || n || '/' || q), seedling.id('gear/' || n), (now() - (q * 91 || ' days')::interval)::date, 'C-' || n || '-' || q, (SELECT id FROM people WHERE role = 'manager' LIMIT 1), now() - (q * 91 || ' days')::interval
  FROM generate_series(1, 60) n, generate_series(0, 11) q`,
);
for (const [index, id] of LIMIT_IDS.slice(0, 120).entries())
  await client.query(
    `INSERT INTO limit_changes (limit_id, job_id, change, note, by, at) VALUES ($1, NULL, $2, 'Checked against our copy.', (SELECT id FROM people WHERE role = 'manager' LIMIT 1), now() - interval '900 days' + $3 * interval '1 hour')`,
    [id, JSON.stringify({ status: 'confirmed', edition: 'our copy' }), index],
  );

// --- lots, loads, samples, specimens
await run(
  'samples planned',
  `
  CREATE UNLOGGED TABLE seedling.smp AS
  WITH raw AS (
    SELECT m.*, i, i / 3 AS p, date_trunc('hour', m.first + (m.last - m.first) * ((i / 3 + 0.5) / ((m.n + 2) / 3))) AS placed
    FROM seedling.mix m, generate_series(0, m.n - 1) i)
  SELECT job, mix, i, p, job_id, mix_id, jobno, system, level, mean, spread, placed,
         least(placed + ((i % 3 + 1) * 40 || ' minutes')::interval, now() - interval '20 minutes') AS sampled,
         seedling.id('sample/' || job || '/' || mix || '/' || i) AS id,
         seedling.id('placement/' || job || '/' || mix || '/' || p) AS placement_id,
         seedling.id('load/' || job || '/' || mix || '/' || i) AS load_id,
         row_number() OVER (PARTITION BY job ORDER BY placed, mix, i)::int AS number,
         mean + spread * seedling.z('mean/' || job || '/' || mix || '/' || i) AS ratio
  FROM raw`,
);
await client.query(`CREATE INDEX ON seedling.smp (id); ANALYZE seedling.smp`);
const who = {
  field: `(SELECT id FROM people WHERE role = 'field' ORDER BY email LIMIT 1)`,
  lab: `(SELECT id FROM people WHERE role = 'laboratory' LIMIT 1)`,
  reviewer: `(SELECT id FROM people WHERE role = 'reviewer' LIMIT 1)`,
};
await run(
  'placements',
  `
  INSERT INTO lots (id, job_id, specification_id, number, starts_at, title, about, created_at)
  SELECT placement_id, job_id, mix_id, row_number() OVER (PARTITION BY job ORDER BY placed, mix), placed, (ARRAY['Footing','Wall','Slab','Column','Deck','Pier cap'])[1 + p % 6] || ' ' || p, jsonb_build_object('location', 'Grid ' || chr(65 + p % 20) || ', lift ' || 1 + p % 4, 'volume', CASE system WHEN 'US' THEN '90 yd3' ELSE '70 m3' END, 'area', NULL, 'section', NULL), placed
  FROM (SELECT DISTINCT ON (placement_id) * FROM seedling.smp ORDER BY placement_id, i) s`,
);
await run(
  'sampling plans',
  `
  INSERT INTO sampling_plans (id, lot_id, seed, volume, count, why, draws, by, at)
  SELECT seedling.id('plan/' || id), id, 1, about ->> 'volume', 1, '1 sample: at least one a day', '[{"random": "0.319", "position": "26.16"}]', ${who.field}, starts_at - interval '30 minutes'
  FROM lots WHERE created_at = starts_at`,
);
await run(
  'loads',
  `
  INSERT INTO loads (id, client_id, lot_id, number, ticket, truck, volume, arrived_at, by)
  SELECT load_id, seedling.id('lc/' || id), placement_id, i % 3 + 1, 'T' || (100000 + job * 997 + i), (10 + i % 40)::text, CASE system WHEN 'US' THEN '9 yd3' ELSE '7 m3' END, sampled - interval '12 minutes', ${who.field} FROM seedling.smp`,
);
await run(
  'samples',
  `
  INSERT INTO samples (id, lot_id, job_id, load_id, number, ticket, truck, sampled_at, sampled_by, client_id, created_at)
  SELECT id, placement_id, job_id, load_id, number, 'T' || (100000 + job * 997 + i), (10 + i % 40)::text, sampled, ${who.field}, seedling.id('sc/' || id), sampled
  FROM seedling.smp ORDER BY sampled`,
);
await run(
  'specimens planned',
  `
  CREATE UNLOGGED TABLE seedling.spc AS
  SELECT s.id AS sample_id, s.job, s.mix, s.i, s.jobno, s.system, s.level, s.ratio, s.number, l.letter, l.age,
         s.sampled + interval '25 minutes' AS cast_at, seedling.id('spc/' || s.id || l.letter) AS id,
         s.jobno || '-' || lpad(s.number::text, greatest(3, length(s.number::text)), '0') || '-' || l.letter AS label,
         CASE WHEN l.age IS NULL THEN NULL
              ELSE s.sampled + interval '25 minutes' + (l.age || ' hours')::interval
                   + (seedling.u('at/' || s.id || l.letter) - 0.5) * (CASE l.age WHEN 168 THEN 9 ELSE 30 END) * interval '1 hour' END AS planned,
         greatest(0, least(${STEPS - 1}, round((s.ratio * (1 + 0.028 * seedling.z('in/' || s.id || l.letter)) - 0.8) / 0.0125)))::int AS k
  FROM seedling.smp s
  CROSS JOIN LATERAL (SELECT * FROM (VALUES ('A', 168), ('B', 672), ('C', 672), ('D', NULL::int), ('E', 672)) v (letter, age) WHERE letter <> 'E' OR s.i % 5 = 0) l`,
);
await client.query(`
  ALTER TABLE seedling.spc ADD COLUMN tested timestamptz;
  -- broken as planned, but for the few that were missed
  UPDATE seedling.spc SET tested = date_trunc('minute', planned) WHERE planned < now() AND seedling.u('missed/' || id) > 0.004;
  CREATE INDEX ON seedling.spc (sample_id); CREATE INDEX ON seedling.spc (id); ANALYZE seedling.spc`);
await run(
  'specimens',
  `
  INSERT INTO specimens (id, sample_id, label, form, about, since, age_hours, opens_at, closes_at, tested_at, created_at)
  SELECT id, sample_id, label, CASE system WHEN 'US' THEN '4x8' ELSE '100x200' END, '{"cure": "standard", "specifiedStrength": null}', cast_at, age,
         cast_at + ((age - CASE age WHEN 168 THEN 6 ELSE 20 END) || ' hours')::interval, cast_at + ((age + CASE age WHEN 168 THEN 6 ELSE 20 END) || ' hours')::interval, tested, cast_at
  FROM seedling.spc ORDER BY cast_at, label`,
);
await run(
  'hand-overs',
  `
  INSERT INTO handovers (id, kind, at, from_person_id, to_person_id, place, condition, count, saved_at)
  SELECT DISTINCT ON (placement_id) seedling.id('ho/' || placement_id), 'received', placed + interval '25 hours', ${who.field}, ${who.lab}, 'Receiving bench', 'in order', 12, placed + interval '25 hours'
  FROM seedling.smp WHERE placed + interval '25 hours' < now()`,
);
await run(
  'events: moulded',
  `
  INSERT INTO specimen_events (id, specimen_id, kind, at, person_id, place, saved_at)
  SELECT seedling.id('ev1/' || id), id, 'moulded', cast_at, ${who.field}, 'box ' || 1 + i % 4 || ', row ' || 1 + i % 3, cast_at FROM seedling.spc ORDER BY cast_at`,
);
await run(
  'events: received',
  `
  INSERT INTO specimen_events (id, specimen_id, kind, at, person_id, place, handover_id, saved_at)
  SELECT seedling.id('ev2/' || c.id), c.id, 'received', s.placed + interval '25 hours', ${who.lab}, 'Receiving bench', seedling.id('ho/' || s.placement_id), s.placed + interval '25 hours'
  FROM seedling.spc c JOIN seedling.smp s ON s.id = c.sample_id WHERE s.placed + interval '25 hours' < now() ORDER BY s.placed`,
);
await run(
  'events: final cure',
  `
  INSERT INTO specimen_events (id, specimen_id, kind, at, person_id, place, storage_id, position, saved_at)
  SELECT seedling.id('ev3/' || c.id), c.id, 'final cure', s.placed + interval '26 hours', ${who.lab}, 'Moist room', (SELECT id FROM storages WHERE kind = 'room' LIMIT 1), chr(65 + c.i % 8) || 1 + c.i % 20, s.placed + interval '26 hours'
  FROM seedling.spc c JOIN seedling.smp s ON s.id = c.sample_id WHERE s.placed + interval '26 hours' < now() ORDER BY s.placed`,
);
await run(
  'events: tested',
  `
  INSERT INTO specimen_events (id, specimen_id, kind, at, person_id, saved_at)
  SELECT seedling.id('ev4/' || id), id, 'tested', tested, ${who.lab}, tested FROM seedling.spc WHERE tested IS NOT NULL ORDER BY tested`,
);
await run(
  'events: held ones discarded',
  `
  INSERT INTO specimen_events (id, specimen_id, kind, at, person_id, note, saved_at)
  SELECT seedling.id('ev5/' || id), id, 'discarded', cast_at + interval '58 days', ${who.lab}, 'Released, no longer needed.', cast_at + interval '58 days'
  FROM seedling.spc WHERE (age IS NULL OR (tested IS NULL AND planned < now())) AND cast_at + interval '58 days' < now() ORDER BY cast_at`,
);

await run(
  'specimens discarded',
  `UPDATE specimens s SET discarded_at = e.at FROM specimen_events e WHERE e.specimen_id = s.id AND e.kind = 'discarded' AND s.tested_at IS NULL`,
);

// --- runs, readings, outcomes
await run(
  'runs: fresh',
  `
  INSERT INTO runs (id, method, sample_id, state, limits_revision, started_at, started_by, completed_at, completed_by)
  SELECT seedling.id('fr/' || m || '/' || s.id), m, s.id,
         CASE WHEN m = 'initial-curing' AND sampled > now() - interval '26 hours' THEN 'open' ELSE 'complete' END, 0, sampled, ${who.field},
         CASE WHEN m = 'initial-curing' AND sampled > now() - interval '26 hours' THEN NULL ELSE sampled + (CASE m WHEN 'initial-curing' THEN interval '26 hours' ELSE interval '30 minutes' END) END,
         CASE WHEN m = 'initial-curing' AND sampled > now() - interval '26 hours' THEN NULL ELSE ${who.field} END
  FROM seedling.smp s, unnest($1::text[]) m ORDER BY sampled`,
  [FRESH],
);
await run(
  'runs: cylinders',
  `
  INSERT INTO runs (id, method, specimen_id, state, limits_revision, started_at, started_by, completed_at, completed_by)
  SELECT seedling.id('cr/' || id), 'cylinder-compression', id, 'complete', 0, tested - interval '12 minutes', ${who.lab}, tested + interval '2 minutes', ${who.lab}
  FROM seedling.spc WHERE tested IS NOT NULL ORDER BY tested`,
);
await run(
  'readings: fresh',
  `
  INSERT INTO readings (id, run_id, field, text, taken_at, saved_at, by)
  SELECT seedling.id('fx/' || f.method || '/' || e.key || '/' || s.id), seedling.id('fr/' || f.method || '/' || s.id), e.key,
         CASE WHEN e.value ~ '^\\d{4}-\\d\\d-\\d\\dT' THEN seedling.iso(s.sampled + (e.value::timestamptz - timestamptz '2031-05-14T09:30:00-04:00')) ELSE e.value END,
         s.sampled + interval '10 minutes', s.sampled + interval '10 minutes', ${who.field}
  FROM seedling.smp s
  JOIN seedling.fresh f ON f.system = s.system AND f.k = (hashtextextended(s.id::text, 7) & 1023) % ${FRESH_STEPS}
  JOIN jsonb_each_text($1::jsonb) w ON w.key = f.method
  CROSS JOIN LATERAL jsonb_each_text(f.input) e
  WHERE w.value::jsonb ? e.key AND NOT (e.key = 'collectedAt' AND s.sampled > now() - interval '26 hours')
  ORDER BY s.sampled`,
  [JSON.stringify(KEPT)],
);
const CYLINDER_FIELDS = [
  'machine',
  'calliper',
  'surface',
  'diameter1',
  'diameter2',
  'length',
  'mass',
  'ends',
  'loadingRate',
  'maximumLoad',
  'testedAt',
  'fracture',
];
await run(
  'readings: cylinders',
  `
  INSERT INTO readings (id, run_id, field, text, taken_at, saved_at, by)
  SELECT seedling.id('cx/' || e.key || '/' || c.id), seedling.id('cr/' || c.id), e.key, CASE e.key WHEN 'testedAt' THEN seedling.iso(c.tested) ELSE e.value END, c.tested, c.tested, ${who.lab}
  FROM seedling.spc c
  JOIN seedling.cyl y ON y.system = c.system AND y.level = c.level AND y.age = c.age AND y.k = c.k
  CROSS JOIN LATERAL jsonb_each_text(y.input) e
  WHERE c.tested IS NOT NULL AND e.key = ANY ($1::text[]) ORDER BY c.tested`,
  [CYLINDER_FIELDS],
);
await run(
  'readings: pads',
  `
  INSERT INTO readings (id, run_id, field, text, taken_at, saved_at, by)
  SELECT seedling.id('cx/pads/' || id), seedling.id('cr/' || id), 'pads', 'UQ-' || lpad(least($1, 1 + r * $1 / t)::int::text, 4, '0'), tested, tested, ${who.lab}
  FROM (SELECT id, tested, row_number() OVER (ORDER BY tested, id) AS r, count(*) OVER () AS t FROM seedling.spc WHERE tested IS NOT NULL AND seedling.u('pad/' || id) < 0.8) x ORDER BY tested`,
  [pairs],
);
await run(
  'outcomes: fresh',
  `
  INSERT INTO outcomes (id, run_id, reading_seq, input, setup, outcome, computed_at, by)
  SELECT seedling.id('fo/' || f.method || '/' || s.id), seedling.id('fr/' || f.method || '/' || s.id), 0, f.input,
         jsonb_set(f.setup, '{sample,label}', to_jsonb(s.number::text)) || jsonb_build_object('limitsRevision', 0, 'limitChanges', '{}'::jsonb, 'profile', 'astm', 'rounding', 'half-even'),
         f.outcome, s.sampled + interval '30 minutes', ${who.field}
  FROM seedling.smp s
  JOIN seedling.fresh f ON f.system = s.system AND f.k = (hashtextextended(s.id::text, 7) & 1023) % ${FRESH_STEPS}
  WHERE NOT (f.method = 'initial-curing' AND s.sampled > now() - interval '26 hours') ORDER BY s.sampled`,
);
await run(
  'outcomes: cylinders',
  `
  INSERT INTO outcomes (id, run_id, reading_seq, input, setup, outcome, computed_at, by)
  SELECT seedling.id('co/' || c.id), seedling.id('cr/' || c.id), 0,
         y.input || jsonb_build_object('testedAt', seedling.iso(c.tested), 'outOfMoistAt', seedling.iso(c.tested - interval '25 minutes')),
         jsonb_set(y.setup, '{specimen}', (y.setup -> 'specimen') || jsonb_build_object('label', c.label, 'castAt', seedling.iso(c.cast_at))),
         y.outcome, c.tested + interval '2 minutes', ${who.lab}
  FROM seedling.spc c JOIN seedling.cyl y ON y.system = c.system AND y.level = c.level AND y.age = c.age AND y.k = c.k
  WHERE c.tested IS NOT NULL ORDER BY c.tested`,
);
await run(
  'outcomes: three of a hundred computed anew',
  `
  INSERT INTO outcomes (id, run_id, reading_seq, input, setup, outcome, computed_at, by)
  SELECT seedling.id('co2/' || o.id), o.run_id, 0, o.input, o.setup, o.outcome, o.computed_at + interval '1 day', o.by
  FROM seedling.spc c JOIN outcomes o ON o.run_id = seedling.id('cr/' || c.id) WHERE c.tested IS NOT NULL AND seedling.u('again/' || c.id) < 0.03`,
);
await run(
  'reasons',
  `
  INSERT INTO run_reasons (id, run_id, finding_id, reason, by, at)
  SELECT seedling.id('rr/' || c.id), seedling.id('cr/' || c.id), 'specimen.age-late', 'Press was occupied.', ${who.lab}, c.tested
  FROM seedling.spc c WHERE c.tested IS NOT NULL AND seedling.u('reason/' || c.id) < 0.01`,
);
await run(
  'reasons accepted',
  `INSERT INTO reason_acceptances (reason_id, by, at) SELECT id, ${who.reviewer}, at + interval '1 day' FROM run_reasons WHERE reason = 'Press was occupied.' ON CONFLICT DO NOTHING`,
);

// --- reports: one signed for most samples; the content of a demo report with the sample's own name, a small file for its PDF
await run(
  'reports',
  `
  WITH model AS (SELECT content FROM reports WHERE state = 'signed' ORDER BY number LIMIT 1)
  INSERT INTO reports (id, job_id, sample_id, number, revision, state, prepared_at, prepared_by, signed_at, signed_by, content, pdf)
  SELECT seedling.id('rep/' || s.id), s.job_id, s.id, s.jobno || '-R' || lpad(s.number::text, greatest(3, length(s.number::text)), '0'), 0, 'signed',
         s.sampled + interval '29 days', ${who.lab}, s.sampled + interval '30 days', ${who.reviewer},
         jsonb_set(model.content, '{sample,label}', to_jsonb(s.jobno || '-' || s.number)), decode(repeat('25504446', 256), 'hex')
  FROM seedling.smp s, model WHERE s.sampled < now() - interval '30 days' AND seedling.u('rep/' || s.id) < 0.85 ORDER BY s.sampled`,
);
await run(
  'what reports rest on',
  `
  INSERT INTO report_outcomes (report_id, outcome_id, run_id)
  SELECT seedling.id('rep/' || c.sample_id), o.id, o.run_id
  FROM seedling.spc c JOIN reports r ON r.id = seedling.id('rep/' || c.sample_id)
  JOIN LATERAL (SELECT id, run_id FROM outcomes WHERE run_id = seedling.id('cr/' || c.id) ORDER BY seq DESC LIMIT 1) o ON true
  WHERE c.tested IS NOT NULL
  UNION ALL
  SELECT seedling.id('rep/' || s.id), o.id, o.run_id
  FROM seedling.smp s JOIN reports r ON r.id = seedling.id('rep/' || s.id), unnest($1::text[]) m
  JOIN LATERAL (SELECT id, run_id FROM outcomes WHERE run_id = seedling.id('fr/' || m || '/' || s.id) ORDER BY seq DESC LIMIT 1) o ON true`,
  [FRESH],
);

// --- load logs and the trail, for a part
const curve = gzipSync(
  Array.from({ length: 1200 }, (_, index) => `${(index / 20).toFixed(2)},${Math.round(index * 55)}`).join(
    '\n',
  ),
);
const analysis = {
  version: 2,
  rows: 1200,
  troubles: [],
  peak: 66_000,
  peakAt: 59.9,
  startAt: 0,
  halfAt: 30,
  ninetyAt: 54,
  meanRate: 34.2,
  slowest: 33,
  fastest: 36,
  judged: 400,
  outside: 0,
  underRead: null,
  dips: [],
  spikes: [],
  brokenAt: 60,
  verdict: 'valid',
};
await run(
  'load logs',
  `
  INSERT INTO load_logs (id, run_id, name, sha256, bytes, mapping, analysis, curve, by, at)
  SELECT seedling.id('ll/' || id), seedling.id('cr/' || id), 'PR-01 live.csv', md5(id::text) || md5(id::text), $1::bytea, '{"delimiter":",","decimalComma":false,"header":1,"time":0,"timeUnit":"s","load":1,"loadUnit":"lbf"}', $2::jsonb, '[[0,0],[30,33000],[60,66000]]', ${who.lab}, tested
  FROM seedling.spc WHERE tested IS NOT NULL AND seedling.u('log/' || id) < 0.02`,
  [curve, JSON.stringify(analysis)],
);
await run(
  'audit',
  `
  INSERT INTO audit (at, actor, use_case, table_name, row_key, action, after)
  SELECT o.computed_at, o.by, 'complete run', 'outcomes', o.id::text, 'insert', jsonb_build_object('id', o.id, 'run_id', o.run_id, 'computed_at', o.computed_at)
  FROM outcomes o WHERE o.seq % 4 = 0`,
);
await client.query(`DROP SCHEMA seedling CASCADE`);
await client.query('COMMIT');
await run('vacuum analyze', `VACUUM ANALYZE`);
// What waits and what is decided is derived from these records, as the rebuild command does it.
const { db, pool } = openDatabase(rootUrl);
const derived = async (what: string, rebuild: () => Promise<{ rows: number }>): Promise<void> => {
  const t0 = Date.now();
  const { rows } = await rebuild();
  process.stdout.write(
    `${((Date.now() - began) / 1000).toFixed(1).padStart(7)} s  ${what}: ${rows} rows in ${((Date.now() - t0) / 1000).toFixed(1)} s\n`,
  );
};
await derived('waits', () => db.transaction((tx) => rebuildWaits(tx, new Date())));
await derived('verdicts', () => db.transaction((tx) => rebuildVerdicts(tx)));
await pool.end();
await run('vacuum analyze', `VACUUM ANALYZE waits, sets, verdicts`);
const { rows } = await client.query(
  `SELECT relname, n_live_tup::int AS rows, pg_size_pretty(pg_total_relation_size(relid)) AS size FROM pg_stat_user_tables WHERE n_live_tup > 0 ORDER BY pg_total_relation_size(relid) DESC LIMIT 16`,
);
console.table(rows);
await client.end();
process.stdout.write(`done in ${((Date.now() - began) / 1000).toFixed(0)} s\n`);
