import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { resultsCsv } from '@/core/interchange';
import { attachments, type Role } from '@/db/schema';
import { freshDatabase, personOf } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { AT_28_DAYS, breakSpecimen, CAST, makeSample, makeSite, type Site } from '@/testing/site';
import { attach } from './actions/attach';
import { letClientSee } from './actions/people';
import { perform } from './perform';
import { exportRecords } from './queries/export';
import { jobDetail, jobList, recentPlacements, usualZone } from './queries/jobs';
import { search, specimenDetail } from './queries/specimen';
import type { Actor } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let other: Site;
let client: Actor;
let made: Awaited<ReturnType<typeof makeSample>>;
const DAY = 86_400_000;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'LST');
  other = await makeSite(fresh.db, 'L_T', 'SI');
  made = await makeSample(site);
  await makeSample(site);
  client = await personOf(fresh.db, 'client' as Role, 'A client');
  await perform(fresh.db, site.actors.manager, letClientSee, { personId: client.id, jobId: site.jobId });
});
afterAll(() => fresh?.close());

describe('a search', () => {
  const labels = async (words: string, actor: Actor = site.actors.laboratory) =>
    (await search(fresh.db, actor, words)).map(({ kind, label }) => `${kind} ${label}`);
  it('finds a specimen by any part of its label, whatever its case', async () => {
    expect(await labels('lst-001-b')).toEqual(['specimen LST-001-B']);
    expect(await labels('  001-B ')).toEqual(['specimen LST-001-B']);
    expect((await labels('LST-002')).length).toBe(4);
  });
  it('finds jobs by number and owner, samples by where they were placed', async () => {
    expect(await labels('L_T')).toEqual(['job L_T Test quay']);
    expect((await labels('wall a')).filter((hit) => hit.startsWith('sample')).toSorted()).toEqual([
      'sample LST-001',
      'sample LST-002',
    ]);
  });
  it('takes signs of a pattern as what they are', async () => {
    expect(await labels('%')).toEqual([]);
    expect((await labels('L_T')).filter((hit) => hit.includes('LST'))).toEqual([]);
    expect(await labels('\\')).toEqual([]);
    expect(await labels("'; drop table jobs; --")).toEqual([]);
  });
  it('finds nothing for nothing', async () => {
    expect(await labels('   ')).toEqual([]);
    expect(await labels('no such thing')).toEqual([]);
  });
  it('shows a client no specimen, and only its own jobs', async () => {
    expect((await labels('LST', client)).every((hit) => !hit.startsWith('specimen'))).toBe(true);
    expect(await labels('L_T', client)).toEqual([]);
  });
});

describe('the jobs', () => {
  it('say what is going on in each', async () => {
    const jobs = await jobList(fresh.db, site.actors.laboratory);
    const found = Object.fromEntries(
      jobs.map(({ number, placements, samples }) => [number, [placements, samples]]),
    );
    expect(found).toEqual({ LST: [1, 2], L_T: [1, 0] });
    expect((await jobList(fresh.db, client)).map(({ number }) => number)).toEqual(['LST']);
  });
  it('list their samples with how many of each are broken', async () => {
    await breakSpecimen(site, made.specimenIds[0] ?? '', '61,000');
    const { samples, placements } = await jobDetail(fresh.db, site.actors.laboratory, site.jobId);
    const [newest] = samples.filter(({ id }) => id === made.sampleId);
    expect([newest?.specimens, newest?.broken]).toEqual([4, 1]);
    expect(placements).toHaveLength(1);
  });
  it('are not there for whoever may not read them', async () => {
    await expect(jobDetail(fresh.db, client, other.jobId)).rejects.toThrow(/not yours to see/u);
    await expect(jobDetail(fresh.db, client, randomUUID())).rejects.toThrow(/not yours to see/u);
  });
  it('offer the field the lots of these days, with their samples', async () => {
    const near = (await recentPlacements(fresh.db, site.actors.field, new Date(CAST))).placements;
    expect(near.map(({ job }) => job.number).toSorted()).toEqual(['LST', 'L_T'].toSorted());
    expect(near.find(({ job }) => job.number === 'LST')?.samples.map(({ number }) => number)).toEqual([1, 2]);
    expect(await recentPlacements(fresh.db, site.actors.field, new Date(CAST + 3 * DAY))).toEqual({
      more: false,
      placements: [],
    });
    const shared = await recentPlacements(fresh.db, client, new Date(CAST));
    expect(shared.placements.map(({ job }) => job.number)).toEqual(['LST']);
  });
  it('lie mostly in one zone', async () => {
    expect(await usualZone(fresh.db)).toMatch(/^[A-Z][a-z]+\/[A-Z]/u);
  });
});

describe('records that go out', () => {
  const wanted = () => ({ jobId: site.jobId, method: 'cylinder-compression' });
  it('are the completed runs of a method, with what they are about', async () => {
    const rows = await exportRecords(fresh.db, site.actors.laboratory, wanted());
    expect(rows.map(({ record }) => record.about?.specimen)).toEqual(['LST-001-A']);
    expect(rows[0]?.record.results.length).toBeGreaterThan(0);
  });
  it('make the same table whether all of each is read or only what a table has a column for', async () => {
    const whole = await exportRecords(fresh.db, site.actors.laboratory, wanted());
    const table = await exportRecords(fresh.db, site.actors.laboratory, wanted(), 'table');
    expect(table[0]?.record.lines).toEqual([]);
    expect(whole[0]?.record.lines).not.toEqual([]);
    expect(resultsCsv('cylinder-compression', table)).toBe(resultsCsv('cylinder-compression', whole));
  });
  it('go to a client only once a signed report rests on them', async () => {
    expect(await exportRecords(fresh.db, client, wanted())).toEqual([]);
    expect(await exportRecords(fresh.db, client, { ...wanted(), method: 'evaporation' })).toEqual([]);
    await expect(exportRecords(fresh.db, client, { ...wanted(), method: 'nothing' })).rejects.toThrow(
      /not there/u,
    );
  });
  it('a specimen’s own page is for the laboratory', async () => {
    await expect(specimenDetail(fresh.db, client, made.specimenIds[0] ?? '')).rejects.toThrow();
    const { events } = await specimenDetail(fresh.db, site.actors.field, made.specimenIds[0] ?? '');
    expect(events.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['moulded', 'tested']));
  });
});

describe('a photograph', () => {
  const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);
  const JPEG = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]);
  const WEBP = Buffer.from('RIFF\u0000\u0000\u0000\u0000WEBPVP8 ', 'latin1');
  let runId = '';
  beforeAll(async () => {
    runId = await breakSpecimen(site, made.specimenIds[1] ?? '', '60,200');
  });
  const keep = (bytes: Buffer, more: object = {}, actor: Actor = site.actors.laboratory) =>
    perform(
      fresh.db,
      actor,
      attach,
      { id: randomUUID(), runId, name: 'break.bin', data: bytes.toString('base64'), ...more },
      new Date(AT_28_DAYS),
    );
  it('is what its first bytes say, not what its name says', async () => {
    for (const bytes of [PNG, JPEG, WEBP]) await keep(bytes);
    const kept = await fresh.db
      .select({ mime: attachments.mime, bytes: attachments.bytes })
      .from(attachments);
    expect(kept.map(({ mime }) => mime).toSorted()).toEqual(['image/jpeg', 'image/png', 'image/webp']);
    expect(kept.find(({ mime }) => mime === 'image/png')?.bytes.equals(PNG)).toBe(true);
  });
  it('is refused when it is none', async () => {
    expect(await errorsOf(keep(Buffer.from('<svg onload=alert(1)>')))).toEqual({
      data: expect.stringContaining('Only JPEG, PNG and WebP'),
    });
    expect(await errorsOf(keep(Buffer.alloc(0)))).toEqual({ data: expect.any(String) });
  });
  it('pressed twice is one', async () => {
    const id = randomUUID();
    const before = (await fresh.db.select({ id: attachments.id }).from(attachments)).length;
    for (let time = 0; time < 2; time += 1) expect(await keep(PNG, { id })).toEqual({ attachmentId: id });
    expect((await fresh.db.select({ id: attachments.id }).from(attachments)).length).toBe(before + 1);
  });
  it('keeps its place only in degrees', async () => {
    await keep(PNG, { place: '38.7001, -9.1402' });
    expect(await errorsOf(keep(PNG, { place: 'the quay' }))).toEqual({
      place: 'Place: degrees north and east.',
    });
  });
  it('belongs to a run that is there, and is no client’s to add', async () => {
    expect(await errorsOf(keep(PNG, { runId: randomUUID() }))).toEqual({
      '': expect.stringContaining('This run is not there'),
    });
    expect(await errorsOf(keep(PNG, {}, client))).toEqual({ '': expect.stringContaining('right') });
  });
});
