import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Drill, type DrillScript, findDrill, findExercise, playDrill } from '@/core/drills';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { CAST, makeSite, type Site } from '@/testing/site';
import { recordExercise, recordPractice } from './actions/practice';
import { perform } from './perform';
import { practiceRecord } from './queries/practice';
import type { Actor } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
});
afterAll(() => fresh?.close());

const START = new Date(CAST);
const drill = findDrill('temperature') as Drill;

/** Everything right, as the browser would send it. */
function right(script: DrillScript) {
  const choices: Record<string, number> = {};
  const values: Record<string, string> = {};
  let now = CAST;
  for (const step of script.steps) {
    if (step.kind === 'choice') choices[step.id] = step.options.findIndex((option) => option.right);
    if (step.kind === 'read') Object.assign(values, step.truth);
    if (step.kind === 'seen') {
      Object.assign(values, step.sets);
      for (const [field, after] of Object.entries(step.stamps)) {
        values[field] = new Date(now + after * 1000).toISOString();
      }
    }
    if (step.kind === 'press') {
      now += step.after * 1000;
      values[step.field] = new Date(now).toISOString();
    }
  }
  return { choices, values, decision: script.decision.right, noticed: script.fault };
}

const attempt = (over: object = {}, seed = 12) => ({
  id: randomUUID(),
  system: 'US',
  drill: drill.id,
  seed,
  timed: false,
  startedAt: START.toISOString(),
  ...right(playDrill(drill, seed, 'US', CAST)),
  ...over,
});
const record = (data: object, by: Actor = site.actors.field) =>
  perform(site.db, by, recordPractice, data, new Date(CAST + 180_000));

describe('an attempt', () => {
  it('is judged on the server from the answers, and once only', async () => {
    const data = attempt();
    const { score } = await record(data);
    expect(score.passed).toBe(true);
    expect((await record({ ...data, decision: 'resample' })).score).toEqual(score);
    expect((await practiceRecord(site.db, site.actors.field)).length).toBe(1);
  });
  it('that missed something says what, whatever the browser thinks of it', async () => {
    const { score } = await record(attempt({ choices: {} }));
    expect(score.passed).toBe(false);
    expect(score.items.filter(({ passed }) => !passed).map(({ id }) => id)).toContain('cover');
  });
  it.each([
    [{ drill: 'juggling' }, '', /drill/i],
    [{ decision: 'shrug' }, 'decision', /choose one/],
    [{ noticed: 'ghosts' }, 'noticed', /choose one/],
    [{ seed: 0 }, 'seed', /./],
    [{ values: { temperature: 7 } }, 'values', /text/],
    [{ values: { temperature: 'x'.repeat(3000) } }, 'values', /text/],
  ])('is refused in words: %j', async (over, field, message) => {
    expect((await errorsOf(record(attempt(over))))[field]).toMatch(message);
  });
  it('is its owner’s and the manager’s to see, and no client practises', async () => {
    await record(attempt(), site.actors.laboratory);
    const own = await practiceRecord(site.db, site.actors.laboratory);
    expect(new Set(own.map(({ personId }) => personId))).toEqual(new Set([site.actors.laboratory.id]));
    const all = await practiceRecord(site.db, site.actors.manager);
    expect(new Set(all.map(({ personId }) => personId)).size).toBe(2);
    expect(all.map(({ finishedAt }) => finishedAt.getTime())).toEqual(
      all.map(({ finishedAt }) => finishedAt.getTime()).toSorted((a, b) => b - a),
    );
    expect(await errorsOf(record(attempt(), site.actors.client))).toHaveProperty('');
    await expect(practiceRecord(site.db, site.actors.client)).rejects.toThrow();
  });
  it('stands apart from every test: the application may add to it and nothing else', async () => {
    const { rows } = await fresh.owner.query(
      "SELECT table_schema FROM information_schema.tables WHERE table_name = 'attempts'",
    );
    expect(rows).toEqual([{ table_schema: 'practice' }]);
    const { rows: rights } = await fresh.owner.query(
      "SELECT privilege_type FROM information_schema.role_table_grants WHERE table_schema = 'practice' AND grantee = 'bricole_app' ORDER BY 1",
    );
    expect(rights.map(({ privilege_type }) => privilege_type)).toEqual(['INSERT', 'SELECT']);
    const { rows: runs } = await fresh.owner.query('SELECT count(*)::int AS n FROM runs');
    expect(runs[0]?.n).toBe(0);
  });
});

describe('an exercise at the press', () => {
  const send = (over: object) =>
    perform(
      site.db,
      site.actors.laboratory,
      recordExercise,
      {
        id: randomUUID(),
        exercise: 'name-fracture',
        seed: 21,
        startedAt: START.toISOString(),
        answers: [],
        ...over,
      },
      new Date(CAST + 240_000),
    );
  it('is judged on the server from the answers, and once only', async () => {
    const answers = (findExercise('name-fracture')?.tasks(21) ?? []).map((task) =>
      task.kind === 'fracture' ? task.type : '',
    );
    const id = randomUUID();
    const { score } = await send({ id, answers });
    expect([score.passed, score.starredPassed]).toEqual([true, 8]);
    expect((await send({ id, answers: [] })).score.passed).toBe(true);
    const [kept] = await practiceRecord(site.db, site.actors.laboratory);
    expect([kept?.drill, kept?.passed]).toEqual(['name-fracture', true]);
  });
  it('whose moves cannot be read is not passed; a strange one is refused in words', async () => {
    expect((await send({ exercise: 'hold-band', answers: ['{"moves":7}'] })).score.passed).toBe(false);
    await expect(send({ exercise: 'juggling' })).rejects.toThrow(/exercise/);
    expect(await errorsOf(send({ answers: [7] }))).toHaveProperty('answers');
  });
});
