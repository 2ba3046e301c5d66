import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Database, readingOnce } from '@/db/client';
import { jobs } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { mixSeries } from '@/testing/series';
import { AT_28_DAYS, breakSpecimen, CAST, makeSample, makeSite, type Site } from '@/testing/site';
import { countStatements } from '@/testing/statements';
import { addEquipment, changeLimit, describePads } from './actions/gear';
import { createJob } from './actions/jobs';
import { prepareReport } from './actions/reports';
import { padUses } from './pads';
import { perform } from './perform';
import { gearList, retiredGear } from './queries/gear';
import { reportList } from './queries/reports';
import { runSheet, runSheets } from './queries/run';
import { seriesPage } from './queries/series';
import { dayList } from './queries/today';
import { limitsNow, limitsOfJobs } from './run-setup';
import { anyOf, likeWords } from './scope';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
const MANY = 44;
const made: { sampleId: string; specimenIds: string[] }[] = [];
const later = (days: number) => new Date(CAST + days * 86_400_000);

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'MNY');
  for (let index = 0; index < MANY; index += 1) made.push(await makeSample(site));
});
afterAll(() => fresh?.close());

describe('pads', () => {
  it('are counted from the completed tests that name them, the newest reading deciding', async () => {
    const { equipmentId } = await perform(
      site.db,
      site.actors.manager,
      addEquipment,
      { number: 'P-1', kind: 'unbonded pads', name: 'Pads' },
      later(1),
    );
    await perform(
      site.db,
      site.actors.manager,
      describePads,
      {
        equipmentId,
        pads: {
          pad: '4.16 in',
          retainer: '4.19 in',
          durometer: '60',
          thickness: '0.5 in',
          inServiceOn: '2031-05-14',
        },
      },
      later(1),
    );
    for (const [index, id] of (made[0]?.specimenIds ?? []).entries())
      await breakSpecimen(site, id, ['58,300', '61,000', '59,000'][index] ?? '', AT_28_DAYS, '', {
        ...(index === 0 ? { pads: 'P-1' } : {}),
      });
    const last = await breakSpecimen(site, made[1]?.specimenIds[0] ?? '', '58,000', AT_28_DAYS, '', {
      pads: 'P-2',
    });
    const uses = await padUses(site.db, ['P-1', 'P-2', 'P-9']);
    expect(uses.get('P-1')?.worn).toMatchObject({ uses: 3 });
    expect(uses.get('P-1')?.worn.highest).toMatch(/^48\d\d\.\d+ psi$/u);
    expect(uses.get('P-1')?.tests).toHaveLength(3);
    expect(uses.get('P-2')?.worn.uses).toBe(1);
    expect(uses.get('P-9')?.worn).toEqual({ uses: 0 });
    expect((await padUses(site.db, ['P-2'], last)).get('P-2')?.worn.uses).toBe(0);
    expect((await padUses(site.db, [])).size).toBe(0);
    const [listed] = (await gearList(site.db, site.actors.manager, '2031-06-12')).filter(
      ({ number }) => number === 'P-1',
    );
    expect(listed?.pads?.uses).toBe(3);
    expect(await retiredGear(site.db, site.actors.manager)).toBe(0);
  });
});

describe('a day with more than a page can show', () => {
  it('counts all of it, sends what can be read, and the rest when it is asked for', async () => {
    const day = await dayList(site.db, site.actors.laboratory, new Date(AT_28_DAYS));
    const open = day.sets.filter(({ specimens }) => specimens.some(({ doneAt }) => doneAt === null));
    expect(open.length + day.hidden.open.sets).toBe(MANY - 1);
    expect(day.hidden.open).toEqual({ sets: MANY - 25, specimens: 3 * (MANY - 25) });
    const whole = await dayList(site.db, site.actors.laboratory, new Date(AT_28_DAYS), 'open');
    expect(whole.hidden.open).toEqual({ sets: 0, specimens: 0 });
    expect(whole.sets.map(({ closesAt }) => closesAt)).toEqual(
      whole.sets.map(({ closesAt }) => closesAt).toSorted((a, b) => Number(a) - Number(b)),
    );
    // What is not shared with a client is not listed for them.
    expect((await dayList(site.db, site.actors.client, new Date(AT_28_DAYS))).sets).toEqual([]);
  });
});

describe('reports', () => {
  it('are read from the newest on, each page where the one before ended, none twice and none left out', async () => {
    const ids: string[] = [];
    for (const [index, { sampleId }] of made.entries()) {
      const { reportId } = await perform(
        site.db,
        site.actors.laboratory,
        prepareReport,
        { sampleId },
        later(30 + index),
      );
      ids.push(reportId);
    }
    const { rows, next } = await reportList(site.db, site.actors.reviewer);
    expect(rows.map(({ id }) => id)).toEqual(ids.toReversed());
    expect(next).toBeNull();
    const third = rows[2];
    const rest = await reportList(site.db, site.actors.reviewer, {
      before: `${third?.preparedAt.toISOString()}_${third?.id}`,
    });
    expect(rest.rows.map(({ id }) => id)).toEqual(ids.toReversed().slice(3));
    for (const before of [
      '',
      'x',
      '2031-05-14T00:00:00Z',
      `yesterday_${third?.id}`,
      '2031-05-14T00:00:00Z_x',
    ])
      expect((await reportList(site.db, site.actors.reviewer, { before })).rows).toHaveLength(MANY);
    const [first] = rows;
    const found = await reportList(site.db, site.actors.reviewer, {
      words: ` ${first?.number.toLowerCase()} `,
    });
    expect(found.rows.map(({ number }) => number)).toEqual([first?.number]);
    expect((await reportList(site.db, site.actors.reviewer, { words: '%' })).rows).toEqual([]);
    expect((await reportList(site.db, site.actors.client)).rows).toEqual([]);
  });
});

describe('a series', () => {
  it('says the same without the working of its tests as a report of them says', async () => {
    const series = await mixSeries(site.db, site.actors.reviewer, site.specificationId);
    expect(series.rows).toHaveLength(MANY);
    expect(series.rows[0]?.state).toBe('tested');
    const page = await seriesPage(site.db, site.actors.reviewer, 0);
    expect(page).toMatchObject({ count: 1, pages: 1 });
    expect(page.shown[0]?.state).toEqual(series.verdicts.soFar.state);
    expect((await seriesPage(site.db, site.actors.reviewer, 7)).shown).toEqual([]);
    expect((await seriesPage(site.db, site.actors.client, 0)).shown).toEqual([]);
  });
});

describe('runs of a sample together', () => {
  it('are what each is alone', async () => {
    const ids = (
      await fresh.owner.query('SELECT id FROM runs WHERE sample_id = $1 ORDER BY id', [made[1]?.sampleId])
    ).rows.map(({ id }) => id as string);
    expect(ids.length).toBeGreaterThan(3);
    const now = later(0);
    const together = await runSheets(site.db, site.actors.field, ids, now);
    for (const [index, id] of ids.entries()) {
      const alone = await runSheet(site.db, site.actors.field, id, now);
      expect(together[index]?.run).toEqual(alone.run);
      expect(together[index]?.readings).toEqual(alone.readings);
      expect(together[index]?.setup).toEqual(alone.setup);
    }
    await expect(runSheets(site.db, site.actors.field, [randomUUID()], now)).rejects.toThrow(/not there/);
  });
});

describe('statements', () => {
  it('that a page asks twice are sent once, and a change is seen by the next page', async () => {
    const page = readingOnce(fresh.db as Database);
    const { sent, value } = await countStatements(fresh.db as Database, async () => {
      const [one, two] = await Promise.all([page.select().from(jobs), page.select().from(jobs)]);
      expect(one).toEqual(two);
      await page.select({ id: jobs.id }).from(jobs);
      return one.length;
    });
    expect(sent).toBe(2);
    await perform(
      site.db,
      site.actors.manager,
      createJob,
      { number: 'ONCE', name: 'x', owner: 'x', location: 'x', zone: 'UTC', system: 'SI' },
      later(1),
    );
    expect(await page.select().from(jobs)).toHaveLength(value);
    expect(
      await readingOnce(fresh.db as Database)
        .select()
        .from(jobs),
    ).toHaveLength(value + 1);
  });
  it('take more identifiers than there can be parameters', async () => {
    const ids = Array.from({ length: 70_000 }, () => randomUUID());
    expect(await fresh.db.select().from(jobs).where(anyOf(jobs.id, ids))).toEqual([]);
    expect(
      await fresh.db
        .select()
        .from(jobs)
        .where(anyOf(jobs.id, [...ids, site.jobId])),
    ).toHaveLength(1);
  });
  it('find signs of a pattern as they stand', () => {
    expect(likeWords(' 50%_a\\b ')).toBe('%50\\%\\_a\\\\b%');
  });
});

it('the limits of several projects at once are those of each', async () => {
  await perform(
    site.db,
    site.actors.manager,
    changeLimit,
    {
      limitId: 'slump.lift',
      status: 'set by the project',
      jobId: site.jobId,
      note: 'The project asks it.',
      edition: 'Project manual',
      values: { both: { low: '3', high: '6' } },
    },
    later(2),
  );
  const all = await site.db.select().from(jobs);
  const together = await limitsOfJobs(site.db, all);
  for (const job of all) {
    const alone = await limitsNow(site.db, job);
    expect(together(job).of('slump.lift', 'US').text).toBe(alone.of('slump.lift', 'US').text);
    expect(together(job).revision).toBe(alone.revision);
  }
});
