import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { AT_28_DAYS, breakSpecimen, makeSample, makeSite, type Site } from '@/testing/site';
import { type TrailAsked, trailChoices, trailPage, trailWhole } from './queries/trail';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
const ZONE = 'America/New_York';
const page = (asked: TrailAsked, actor = site.actors.manager) => trailPage(site.db, actor, asked, ZONE);

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'TRL');
  const { specimenIds } = await makeSample(site);
  for (const id of specimenIds.slice(0, 2)) await breakSpecimen(site, id, '58,300', AT_28_DAYS);
});
afterAll(() => fresh?.close());

describe('the audit trail', () => {
  it('is read by who answers for the records, and by nobody else', async () => {
    for (const role of ['manager', 'reviewer'] as const)
      expect((await page({}, site.actors[role])).entries.length).toBeGreaterThan(10);
    for (const role of ['field', 'laboratory', 'client'] as const) {
      await expect(page({}, site.actors[role])).rejects.toThrow();
      await expect(trailWhole(site.db, site.actors[role], {}, ZONE)).rejects.toThrow();
      await expect(trailChoices(site.db, site.actors[role])).rejects.toThrow();
    }
  });
  it('says who, by which use case, of what, with what stood there and what stands there', async () => {
    const { entries } = await page({ of: 'trl-001-a', kind: 'readings' });
    const load = entries.find(({ changes }) => changes.some(({ after }) => after === '58,300'));
    expect(load).toMatchObject({
      ...{ who: site.actors.laboratory.name, useCase: 'save readings', action: 'insert', word: 'reading' },
      of: 'TRL-001-A, cylinder compression, maximumLoad',
    });
    expect(load?.changes).toContainEqual({ field: 'text', before: '', after: '58,300' });
    expect(load?.hash).toMatch(/^[0-9a-f]{64}$/u);
    const { entries: runs } = await page({ of: 'TRL-001-A', kind: 'runs' });
    const done = runs.find(({ action }) => action === 'update');
    expect(done?.changes).toContainEqual({ field: 'state', before: 'open', after: 'complete' });
  });
  it('of a sample tells all that was done with it, of gear its verifications', async () => {
    const of = async (label: string) => new Set((await page({ of: label })).entries.map(({ word }) => word));
    expect([...(await of('TRL-001'))].toSorted()).toContain('test');
    expect([...(await of('TRL-PRESS'))].toSorted()).toEqual(['equipment', 'verification']);
    // Another specimen of the sample has nothing to do with this one.
    const a = (await page({ of: 'TRL-001-A' })).entries.map(({ of: own }) => own);
    expect(a.some((each) => each.includes('TRL-001-B'))).toBe(false);
  });
  it('says where nothing is called so, which is not the same as nothing done', async () => {
    expect(await page({ of: 'NOWHERE-7' })).toMatchObject({ entries: [], known: false });
    expect(await page({ of: 'TRL-001-A', kind: 'jobs' })).toMatchObject({ entries: [], known: true });
  });
  it('by person and by day; a day that is none is told at its field', async () => {
    const { entries } = await page({ by: site.actors.field.id });
    expect(new Set(entries.map(({ who }) => who))).toEqual(new Set([site.actors.field.name]));
    expect((await page({ from: '1999-01-01', to: '1999-12-31' })).entries).toEqual([]);
    expect((await page({ from: '1999-01-01', to: '2199-12-31' })).entries.length).toBeGreaterThan(10);
    expect(await errorsOf(page({ from: 'yesterday' }))).toHaveProperty('from');
  });
  it('is read a page at a time, none twice and none left out', async () => {
    const all = await trailWhole(site.db, site.actors.manager, {}, ZONE);
    const seen: number[] = [];
    for (let before: string | undefined; ; ) {
      const { entries, next } = await page(before ? { before } : {});
      seen.push(...entries.map(({ id }) => id));
      if (!next) break;
      before = next;
    }
    expect(seen).toEqual(all.map(({ id }) => id));
    expect(seen.length).toBeGreaterThan(50);
    expect((await page({ before: 'x; DROP TABLE audit' })).entries.length).toBe(50);
  });
});
