import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Database } from '@/db/client';
import { readingOnce } from '@/db/client';
import { settings } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { breakPieces, groupOf, makeRock } from '@/testing/rock';
import { AT_28_DAYS, breakSpecimen, CAST, makeSample, makeSite, type Site } from '@/testing/site';
import { countStatements } from '@/testing/statements';
import { createLot, createSpecification } from './actions/jobs';
import { registerSpecimens } from './actions/register';
import { prepareReport } from './actions/reports';
import { takeSample } from './actions/samples';
import { perform } from './perform';
import { diameterLotList, endBatchList, endsToMake } from './queries/ends';
import { exportRecords } from './queries/export';
import { openSteps } from './queries/first-steps';
import {
  cardList,
  gearList,
  limitRegister,
  ownSessions,
  ownSignIns,
  peopleList,
  signInList,
} from './queries/gear';
import { jobDetail, jobList, jobsToPlace, recentPlacements } from './queries/jobs';
import { lotDossier } from './queries/lot';
import { overlayOf } from './queries/overlay';
import { fieldSample, placementDay } from './queries/placement';
import { planPage } from './queries/plan';
import { reportDetail, reportList } from './queries/reports';
import { runSheet, runSheets } from './queries/run';
import { sampleDossier } from './queries/sample';
import { mixPage, seriesPage } from './queries/series';
import { standingsOf } from './queries/specification';
import { search, specimenDetail } from './queries/specimen';
import { storageList } from './queries/storage';
import { dayList, openFreshTests, siteWaits } from './queries/today';
import { trailPage } from './queries/trail';
import { SETTING } from './settings';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let first: { sampleId: string; specimenIds: string[] };
let runId: string;
let reportId: string;
let rock: { specificationId: string; lotId: string };
let group: string;
let floorId: string;
const day = new Date(AT_28_DAYS);

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'GRW');
  const { id: by } = site.actors.manager;
  await fresh.db
    .insert(settings)
    .values({ key: SETTING.installation, value: 'laboratory', note: '', by, at: day });
  first = await makeSample(site);
  for (const id of first.specimenIds) runId = await breakSpecimen(site, id, '58,300', AT_28_DAYS);
  // Sets that are whole, begun and untouched, so that what grows later is only their number.
  const begun = await makeSample(site);
  await breakSpecimen(site, begun.specimenIds[0] ?? '', '57,900', AT_28_DAYS);
  await makeSample(site);
  rock = await makeRock(site);
  group = await newGroup();
  floorId = await newFloor();
  await newZone();
  ({ reportId } = await perform(
    site.db,
    site.actors.reviewer,
    prepareReport,
    { sampleId: first.sampleId },
    day,
  ));
});
afterAll(() => fresh?.close());

/** A group of three pieces of rock, all broken. */
async function newGroup(): Promise<string> {
  const sampleId = await groupOf(site, rock.lotId, 'none', 10);
  await perform(
    site.db,
    site.actors.laboratory,
    registerSpecimens,
    { sampleId, how: 'pieces', form: 'rock-core', count: 3 },
    day,
  );
  await breakPieces(site, sampleId, [8.1, 8.8, 9.3], 20);
  return sampleId;
}

/** A floor that has zones, and points in them. */
async function newFloor(): Promise<string> {
  const { specificationId } = await perform(
    site.db,
    site.actors.reviewer,
    createSpecification,
    { jobId: site.jobId, code: 'F1', title: 'Hall', material: 'floor', asked: { floor: 'wood' } },
    day,
  );
  const lot = { jobId: site.jobId, specificationId, title: 'Level 0', startsAt: day.toISOString() };
  return (await perform(site.db, site.actors.laboratory, createLot, lot, day)).lotId;
}

async function newZone(): Promise<void> {
  const about = { name: 'Zone', slab: 'grade', area: '900 ft2', aggregate: 'normal' };
  const { sampleId } = await perform(
    site.db,
    site.actors.laboratory,
    takeSample,
    { clientId: randomUUID(), lotId: floorId, sampledAt: day.toISOString(), about },
    day,
  );
  const points = { sampleId, how: 'points', form: 'slab-hole', count: 3 };
  await perform(site.db, site.actors.laboratory, registerSpecimens, points, day);
}

/** What each page asks the records, for a manager at the day of the break. */
function pages(db: Database): Record<string, () => Promise<unknown>> {
  const { manager } = site.actors;
  return {
    today: () => Promise.all([dayList(db, manager, day), openFreshTests(db, manager, day)]),
    field: () =>
      Promise.all([
        recentPlacements(db, manager, new Date(CAST)),
        jobsToPlace(db, manager),
        siteWaits(db, manager, new Date(CAST)),
        cardList(db, manager, '2031-05-14'),
      ]),
    jobs: () => jobList(db, manager),
    job: () => jobDetail(db, manager, site.jobId),
    placement: () => placementDay(db, manager, site.lotId),
    'field sample': async () => {
      const { runs } = await fieldSample(db, manager, first.sampleId);
      const sheets = await runSheets(
        db,
        manager,
        runs.map(({ id }) => id),
        day,
      );
      expect(sheets.length).toBeGreaterThan(5);
    },
    sample: () => sampleDossier(db, manager, first.sampleId),
    group: () => sampleDossier(db, manager, group),
    lot: () => lotDossier(db, manager, rock.lotId),
    plan: () => planPage(db, manager, floorId, day),
    'verdicts of a rock': () => standingsOf(db, manager, [rock.specificationId]),
    specimen: () => specimenDetail(db, manager, first.specimenIds[0] ?? ''),
    'run sheet': () => runSheet(db, manager, runId, day),
    ends: () =>
      Promise.all([endsToMake(db, manager, day), endBatchList(db, manager), diameterLotList(db, manager)]),
    verdicts: () => seriesPage(db, manager, 0),
    'verdicts of a mix': () => mixPage(db, manager, site.specificationId, 0),
    reports: () => reportList(db, manager),
    report: () => reportDetail(db, manager, reportId),
    gear: () => gearList(db, manager, '2031-06-11'),
    limits: () => limitRegister(db, manager),
    people: () => Promise.all([peopleList(db, manager), signInList(db, manager)]),
    account: () => Promise.all([ownSessions(db, manager), ownSignIns(db, manager)]),
    'first steps': () => openSteps(db, manager, '2031-05-14', { whole: true }),
    trail: () => trailPage(db, manager, { of: 'GRW-001' }, 'America/New_York'),
    tanks: () => storageList(db, manager, day),
    overlay: () => overlayOf(db, manager, runId, []),
    search: () => search(db, manager, 'GRW-001'),
    export: () => exportRecords(db, manager, { jobId: site.jobId, method: 'cylinder-compression' }),
  };
}

async function asked(): Promise<Record<string, number>> {
  const counted: Record<string, number> = {};
  for (const name of Object.keys(pages(fresh.db))) {
    // Each page on a reader of its own, as in the application; the pool below it is the one that is counted.
    const page = pages(readingOnce(fresh.db) as Database)[name];
    counted[name] = (await countStatements(fresh.db, async () => page?.())).sent;
  }
  return counted;
}

describe('what a page asks the records', () => {
  it('is known for all of them, does not grow with the records, and stays small', async () => {
    const few = await asked();
    for (const [name, sent] of Object.entries(few)) expect(sent, name).toBeGreaterThan(0);
    for (const code of ['M2', 'M3', 'M4'])
      await perform(
        site.db,
        site.actors.reviewer,
        createSpecification,
        {
          jobId: site.jobId,
          code,
          title: 'Slabs',
          material: 'concrete',
          asked: { specifiedStrength: '4,250 psi', ageDays: 28 },
        },
        day,
      );
    for (let index = 0; index < 8; index += 1) {
      const { specimenIds } = await makeSample(site);
      for (const id of specimenIds.slice(0, index % 3)) await breakSpecimen(site, id, '57,900', AT_28_DAYS);
    }
    for (let index = 0; index < 3; index += 1) await newGroup();
    for (let index = 0; index < 3; index += 1) await newZone();
    const many = await asked();
    for (const [name, sent] of Object.entries(many)) {
      expect(sent, `${name}: ${few[name]} before, ${sent} with five times the records`).toBeLessThanOrEqual(
        few[name] ?? 0,
      );
      expect(sent, name).toBeLessThanOrEqual(30);
    }
  }, 120_000);
});
