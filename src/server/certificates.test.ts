import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cards, runs } from '@/db/schema';
import { freshDatabase, personOf } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { mixSeries } from '@/testing/series';
import { breakSpecimen, CAST, makeSample, makeSite, readingsOf, type Site } from '@/testing/site';
import { addCard, CARD_METHODS, withdrawCard } from './actions/cards';
import { completeRun, saveReadings } from './actions/runs';
import { perform } from './perform';
import { runViews } from './queries/dossier';
import { cardList } from './queries/gear';
import { runSheet } from './queries/run';
import type { Actor } from './use-case';

const HOUR = 3_600_000;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let newcomer: Actor;
const then = new Date(CAST - HOUR);
const at = (minutes: number): string => new Date(CAST + minutes * 60_000).toISOString();
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
  newcomer = await personOf(fresh.db, 'field', 'Newcomer');
});
afterAll(() => fresh?.close());

const add = (data: object, by: Actor = site.actors.manager) => perform(site.db, by, addCard, data, then);
const good = () => ({ personId: newcomer.id, number: 'N-1', methods: ['slump'], issuedOn: '2031-01-10' });

describe('certificates', () => {
  it('hold as long as the register says, unless they end before', async () => {
    const { cardId } = await add(good());
    const { cardId: shorter } = await add({ ...good(), number: 'N-2', expiresOn: '2033-01-10' });
    const rows = await site.db.select().from(cards).where(eq(cards.personId, newcomer.id));
    expect(rows.find(({ id }) => id === cardId)?.expiresOn).toBe('2036-01-10');
    expect(rows.find(({ id }) => id === shorter)?.expiresOn).toBe('2033-01-10');
  });
  it.each([
    [{ issuedOn: '2031-02-30' }, 'issuedOn', /no such day/],
    [{ issuedOn: '10.01.2031' }, 'issuedOn', /a date/],
    [{ issuedOn: '2031-05-17' }, 'issuedOn', /future/],
    [{ expiresOn: '2036-01-11' }, 'expiresOn', /2036-01-10 at the latest/],
    [{ expiresOn: '2030-12-31' }, 'expiresOn', /before it was issued/],
    [{ methods: [] }, 'methods', /what it covers/],
    [{ methods: ['cylinder-compression'] }, 'methods', /from the list/],
    [{ number: '' }, 'number', /needed/],
  ])('are refused at the field: %j', async (over, field, message) => {
    expect((await errorsOf(add({ ...good(), ...over })))[field]).toMatch(message);
  });
  it('are entered by a manager, and not for a client', async () => {
    expect((await errorsOf(add(good(), site.actors.reviewer)))['']).toMatch(/may not|not allowed|right/i);
    expect(await errorsOf(add({ ...good(), personId: site.actors.client.id }))).toHaveProperty('personId');
    expect((await errorsOf(add({ ...good(), personId: 'nobody' })))['']).toMatch(/person/);
  });
  it('are withdrawn once, with the reason, and never changed or deleted', async () => {
    const { cardId } = await add({ ...good(), number: 'N-3' });
    const withdraw = (data: object) =>
      errorsOf(perform(site.db, site.actors.manager, withdrawCard, { cardId, ...data }, then));
    expect(await withdraw({ withdrawnOn: '2031-03-01', reason: '' })).toHaveProperty('reason');
    expect(await withdraw({ withdrawnOn: '2030-03-01', reason: 'x' })).toHaveProperty('withdrawnOn');
    expect(await withdraw({ withdrawnOn: '2031-03-01', reason: 'Failed the re-examination.' })).toEqual({});
    expect((await withdraw({ withdrawnOn: '2031-04-01', reason: 'again' }))['']).toMatch(/withdrawn already/);
    await expect(
      fresh.owner.query(`UPDATE cards SET expires_on = '2040-01-01' WHERE id = '${cardId}'`),
    ).rejects.toThrow(/withdraw it and enter another/);
    await expect(fresh.owner.query(`DELETE FROM cards WHERE id = '${cardId}'`)).rejects.toThrow(
      /append only/,
    );
  });
  it('are seen by their owner; those of everybody by a manager', async () => {
    const own = await cardList(site.db, newcomer, '2031-05-14');
    expect(new Set(own.map(({ personId }) => personId))).toEqual(new Set([newcomer.id]));
    expect(own.map(({ number, state }) => [number, state]).toSorted()).toEqual([
      ['N-1', 'valid'],
      ['N-2', 'valid'],
      ['N-3', 'withdrawn'],
    ]);
    const all = await cardList(site.db, site.actors.manager, '2031-05-14');
    expect(all.length).toBeGreaterThan(own.length);
    await expect(cardList(site.db, site.actors.client, '2031-05-14')).rejects.toThrow();
  });
});

describe('a test by somebody without one', () => {
  const VALUES = { shape: 'true', slump: '4 1/4', readAt: at(-2) };
  const slumpRun = async (sampleId: string): Promise<string> => {
    const found = await site.db.select().from(runs).where(eq(runs.sampleId, sampleId));
    return found.find(({ method }) => method === 'slump')?.id ?? '';
  };
  const complete = async (runId: string, by: Actor, values: Record<string, string>): Promise<void> => {
    await perform(site.db, by, saveReadings, { runId, readings: readingsOf(values) }, new Date(CAST));
    await perform(site.db, by, completeRun, { runId, reasons: [], reasonForAll: 'as seen' }, new Date(CAST));
  };
  it('is told while it is made, to the person who makes it', async () => {
    const { sampleId } = await makeSample(site);
    const runId = await slumpRun(sampleId);
    const other = await personOf(site.db, 'field', 'Stranger');
    const mine = await runSheet(site.db, site.actors.field, runId, new Date(CAST));
    const theirs = await runSheet(site.db, other, runId, new Date(CAST));
    expect(mine.setup.technician?.cards?.length).toBe(1);
    expect(theirs.setup.technician).toEqual({ name: 'Stranger', cards: [] });
  });
  it('carries the remark and no mark of acceptance; by a certified one it has both', async () => {
    const { sampleId } = await makeSample(site);
    const runId = await slumpRun(sampleId);
    const stranger = await personOf(site.db, 'field', 'Uncertified');
    await complete(runId, stranger, VALUES);
    const [run] = await runViews(site.db, { runIds: [runId] });
    expect(run?.outcome?.findings.map(({ id }) => id)).toContain('people.certified');
    expect(run?.outcome?.verdicts[0]?.state).toBe('not yet determinable');
    const { sampleId: second } = await makeSample(site);
    const other = await slumpRun(second);
    await complete(other, site.actors.field, VALUES);
    const [certified] = await runViews(site.db, { runIds: [other] });
    expect(certified?.outcome?.verdicts[0]?.state).toBe('meets');
  });
  it('is judged by who completed it, also when somebody else corrects it later', async () => {
    const { sampleId } = await makeSample(site);
    const runId = await slumpRun(sampleId);
    await complete(runId, site.actors.field, VALUES);
    const stranger = await personOf(site.db, 'field', 'Corrector');
    const [reading] = readingsOf({ remarks: 'spelt anew' });
    await perform(
      site.db,
      stranger,
      saveReadings,
      { runId, readings: [{ ...reading, reason: 'spelling' }] },
      new Date(CAST),
    );
    const [run] = await runViews(site.db, { runIds: [runId] });
    expect(run?.setup?.technician?.name).toBe('field');
    expect(run?.outcome?.findings.map(({ id }) => id)).not.toContain('people.certified');
  });
  it('leaves the strength test of what it moulded to the engineer', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    const found = await site.db.select().from(runs).where(eq(runs.sampleId, sampleId));
    const moulding = found.find(({ method }) => method === 'moulding')?.id ?? '';
    const stranger = await personOf(site.db, 'field', 'Moulder');
    await complete(moulding, stranger, { mould: '4x8', consolidation: 'rod', finishedAt: at(0) });
    for (const id of specimenIds) await breakSpecimen(site, id, '60000', undefined, 'as planned');
    const series = await mixSeries(site.db, site.actors.reviewer, site.specificationId);
    const row = series.rows.find((each) => each.sampleId === sampleId);
    expect(row?.engineer).toContain('sampled or moulded without a valid certificate');
  });
});

it('covers the fresh tests and no other', () => {
  expect(CARD_METHODS).toContain('moulding');
  expect(CARD_METHODS).not.toContain('initial-curing');
});
