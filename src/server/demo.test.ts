import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { cement } from '@/core/materials/cement';
import { firstSignals } from '@/core/uniformity';
import { LANES } from '@/core/waits/wait';
import { stateOf } from '@/core/windows';
import { people, reports, runs, samples, specifications, specimens, waits } from '@/db/schema';
import { loadDemo } from '@/demo/load';
import { freshDatabase } from '@/testing/database';
import { mixSeries } from '@/testing/series';
import { sampleDossier } from './queries/sample';
import { mixPage, seriesPage } from './queries/series';
import { sourcesOf } from './queries/sources';
import { standingsOf } from './queries/specification';
import { dayList, openFreshTests } from './queries/today';
import { limitsNow } from './run-setup';
import type { Actor } from './use-case';
import { rebuildVerdicts } from './verdicts';
import { rebuildWaits } from './waits';

// The scenario that npm test loaded, whatever the day and hour: it has work to show.
const NOW = new Date();
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let actor: Actor;
beforeAll(async () => {
  const { BRICOLE_TEST_DEMO } = process.env;
  if (!BRICOLE_TEST_DEMO) throw new Error('this needs the scenario that npm test loads');
  fresh = await freshDatabase(BRICOLE_TEST_DEMO);
  const [person] = await fresh.db.select().from(people).where(eq(people.role, 'manager'));
  actor = { id: person?.id ?? '', name: '', role: 'manager' };
});
afterAll(() => fresh?.close());

it('has something due, something closing, something missed and something to come', async () => {
  const { sets, closing, hidden } = await dayList(fresh.db, actor, NOW);
  expect(Object.values(hidden).every(({ sets: rest }) => rest === 0)).toBe(true);
  const found = sets.map((set) => stateOf(set, NOW.getTime(), closing, set.doneAt));
  expect([...new Set(found)].toSorted()).toEqual(
    expect.arrayContaining(['closing', 'missed', 'not open yet', 'open']),
  );
  expect((await openFreshTests(fresh.db, actor, NOW)).length).toBeGreaterThan(0);
});

it('has its waits, in every place of work, and its verdicts as a rebuild derives them', async () => {
  const { rows, changed } = await fresh.db.transaction((tx) => rebuildWaits(tx, NOW));
  expect([rows > 100, changed]).toEqual([true, 0]);
  const decided = await fresh.db.transaction((tx) => rebuildVerdicts(tx));
  expect([decided.rows > 100, decided.changed]).toEqual([true, 0]);
  const lanes = await fresh.db.selectDistinct({ lane: waits.lane }).from(waits);
  expect(lanes.map(({ lane }) => lane).toSorted()).toEqual(Object.keys(LANES).toSorted());
});

it('has one mix that passes comfortably, one that just does, and one with a low test and its follow-up', async () => {
  const { shown } = await seriesPage(fresh.db, actor, 0);
  const concrete = shown.filter(({ mix }) => mix.material === 'concrete');
  const all = await Promise.all(concrete.map(({ mix }) => mixSeries(fresh.db, actor, mix.id)));
  const by = (code: string) => all.find(({ mix }) => mix.code === code);
  const margin = (code: string) =>
    Math.min(
      ...(by(code)?.verdicts.windows ?? []).flatMap((each) =>
        each.margin === null ? [] : [Number(each.margin)],
      ),
    );
  expect(by('PM-57')?.verdicts.soFar.state).toBe('meets');
  expect(margin('PM-57')).toBeGreaterThan(400);
  expect(by('PM-45')?.verdicts.soFar.state).toBe('meets');
  expect(margin('PM-45')).toBeLessThan(80);
  expect(by('PM-38')?.verdicts.soFar.state).toBe('does not meet');
  expect(by('PM-38')?.verdicts.individuals.filter(({ state }) => state === 'does not meet').length).toBe(1);
  const low = await mixPage(fresh.db, actor, by('PM-38')?.mix.id ?? '', 0);
  expect(low.followUps.length).toBe(5);
});

it('has cores out of the low test’s footing, capped together and broken with nothing to say against them', async () => {
  const cores = await fresh.db.select().from(specimens).where(eq(specimens.form, 'core-4'));
  expect(cores.length).toBe(3);
  const [first] = cores;
  const { sets } = await sampleDossier(fresh.db, actor, first?.sampleId ?? '');
  const set = sets.find(({ what }) => what === 'Cores');
  expect(set?.note).toMatch(/^Meets: mean .* Meets: lowest /u);
  expect(set?.test.lines.length).toBe(4);
  for (const { run } of set?.specimens ?? []) expect(run?.outcome?.findings.map(({ id }) => id)).toEqual([]);
  const capping = await fresh.db.select().from(runs).where(eq(runs.method, 'capping'));
  // Cores, three deliveries of block, one of brick.
  expect(capping.map(({ state }) => state)).toEqual(Array(5).fill('complete'));
});

it('has cements of two plants, a set of cubes whose odd one is left out, and a ring that is setting', async () => {
  const { pages } = await seriesPage(fresh.db, actor, 0);
  const all = await Promise.all(Array.from({ length: pages }, (_, at) => seriesPage(fresh.db, actor, at)));
  const cements = all.flatMap(({ shown }) => shown).filter(({ mix }) => mix.material === 'cement');
  expect(cements.map(({ mix }) => mix.code).toSorted()).toEqual(['PM-C1', 'PM-C2']);
  const settings = await fresh.db.select().from(runs).where(eq(runs.method, 'cement-setting'));
  expect(settings.map(({ state }) => state).toSorted()).toEqual(['complete', 'complete', 'complete', 'open']);
  const dossiers = await Promise.all(
    [...new Set(settings.flatMap(({ sampleId }) => sampleId ?? []))].map((id) =>
      sampleDossier(fresh.db, actor, id),
    ),
  );
  for (const { fresh: tests, says } of dossiers) {
    // All that was tested meets; what its type asks for besides is named.
    expect(
      tests
        .flatMap(({ outcome }) => outcome?.findings ?? [])
        .filter(({ severity }) => severity === 'invalid'),
    ).toEqual([]);
    expect(says?.verdict).toMatchObject({
      state: 'not yet determinable',
      sentence: expect.stringContaining('autoclave'),
    });
  }
  const seventh = dossiers
    .find(({ mix }) => mix.code === 'PM-C2')
    ?.sets.find(({ ageHours }) => ageHours === 168);
  expect(seventh?.note).toMatch(/the one farthest from the mean is left out/u);
  expect(seventh?.verdicts).toMatchObject([{ criterion: 'cement-strength', state: 'meets' }]);
});

it('has a plant that grinds finer: its charts see it, single results do not, and the laboratory knows its own scatter', async () => {
  const of = async (code: string) => {
    const [mix] = await fresh.db.select().from(specifications).where(eq(specifications.code, code));
    const [standing] = await standingsOf(fresh.db, actor, [mix?.id ?? '']);
    const rule = standing && cement.source?.({ ...standing.mix.asked });
    if (!standing || !rule) return [];
    const limits = await limitsNow(fresh.db, standing.job);
    return sourcesOf(fresh.db, actor, standing, rule, { ageHours: 168, limits });
  };
  const [series] = await of('PM-C1');
  // Half a year of daily lots, and two shipments.
  expect(series?.points.length).toBe(26);
  const [first, last] = [series?.points[0]?.sampledAt ?? 0, series?.points.at(-1)?.sampledAt ?? 0];
  expect((last - first) / 86_400_000).toBeGreaterThan(170);
  expect(series?.scatter).toMatchObject({ count: 26, pairs: 10, remarks: [] });
  // The newest has its three days only: what they say of seven stands before them.
  expect(series?.expected).toHaveLength(1);
  expect(series?.points.flatMap(({ changed }) => changed)).toContain('lot of sand S-12, before it S-11');
  const seen = series?.charts && firstSignals(series.charts, series.charts.until + 1);
  expect(seen?.get('weighted')).toBeGreaterThan(17);
  expect(seen?.has('single')).toBe(false);
  // The other one is what it was.
  const [other] = await of('PM-C2');
  expect(other?.points.length).toBe(17);
  const quiet = other?.charts && firstSignals(other.charts, other.charts.until + 1);
  expect([...(quiet?.keys() ?? [])]).toEqual([]);
});

it('has signed reports and drafts, and is loaded once', async () => {
  const states = (await fresh.db.select({ state: reports.state }).from(reports)).map(({ state }) => state);
  expect(states.filter((state) => state === 'signed').length).toBeGreaterThan(10);
  expect(states).toContain('draft');
  const count = (await fresh.db.select().from(samples)).length;
  expect(await loadDemo(fresh.db, NOW)).toBe(false);
  expect((await fresh.db.select().from(samples)).length).toBe(count);
});
