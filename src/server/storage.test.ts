import { and, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { specimenEvents, specimens } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import {
  AT_28_DAYS,
  breakSpecimen,
  breakValues,
  CAST,
  makeSample,
  makeSite,
  readingsOf,
  type Site,
} from '@/testing/site';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { decideHold, recordEvent } from './actions/specimens';
import { addStorage, recordDuty } from './actions/storage';
import { perform } from './perform';
import { specimenViews } from './queries/dossier';
import { sampleDossier } from './queries/sample';
import { specimenHome, storageList } from './queries/storage';
import { setsOf } from './sets';

const DAY = 86_400_000;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let tank = '';
let room = '';
const later = (days: number): Date => new Date(CAST + days * DAY);
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
  const add = (data: object) => perform(site.db, site.actors.laboratory, addStorage, data, later(0));
  tank = (await add({ name: 'Tank A', kind: 'tank', rows: 2, columns: 3, volume: '250 gal' })).storageId;
  room = (await add({ name: 'Room', kind: 'room', rows: 1, columns: 2 })).storageId;
});
afterAll(() => fresh?.close());

const event = (specimenId: string, data: object, at = later(2)) =>
  perform(site.db, site.actors.laboratory, recordEvent, { specimenId, at: at.toISOString(), ...data }, at);

describe('tanks and rooms', () => {
  it.each([
    [{ name: 'Tank A' }, 'name', /there already/],
    [{ name: '' }, 'name', /needed/],
    [{ rows: 27 }, 'rows', /At most 26/],
    [{ rows: 0 }, 'rows', /At least 1/],
    [{ columns: 61 }, 'columns', /At most 60/],
    [{ kind: 'bath' }, 'kind', /tank or room/],
    [{ volume: 'much' }, 'volume', /./],
    [{ volume: '-3 gal' }, 'volume', /./],
  ])('are refused at the field: %j', async (over, field, message) => {
    const data = { name: 'Tank B', kind: 'tank', rows: 2, columns: 2, ...over };
    expect((await errorsOf(perform(site.db, site.actors.laboratory, addStorage, data)))[field]).toMatch(
      message,
    );
  });
  it('a cabinet has its log, held to what a cabinet is held to', async () => {
    const own = { name: 'Cabinet', kind: 'cabinet', rows: 1, columns: 2 };
    const { storageId } = await perform(site.db, site.actors.laboratory, addStorage, own, later(0));
    const reviewed = (day: number, lowest: string, highest: string) =>
      perform(
        site.db,
        site.actors.laboratory,
        recordDuty,
        { storageId, duty: 'recorder-reviewed', at: later(day).toISOString(), lowest, highest },
        later(day),
      );
    await reviewed(1, '72.0 °F', '74.5 °F');
    await reviewed(2, '66.0 °F', '74.0 °F');
    const [found] = (await storageList(site.db, site.actors.laboratory, later(3))).filter(
      ({ id }) => id === storageId,
    );
    expect(found?.duties.map(({ duty }) => duty)).toEqual(['recorder-reviewed', 'recorder-checked']);
    expect(found?.reviews.map(({ outside }) => outside)).toEqual(['69.8 to 77 °F', null]);
    const stirred = { storageId, duty: 'tank-stirred', at: later(2).toISOString() };
    expect(
      await errorsOf(perform(site.db, site.actors.laboratory, recordDuty, stirred, later(2))),
    ).toHaveProperty('duty');
  });
  it('are the laboratory’s: field and clients enter none, clients see none', async () => {
    const data = { name: 'Tank C', kind: 'tank', rows: 2, columns: 2 };
    expect(await errorsOf(perform(site.db, site.actors.field, addStorage, data))).toHaveProperty('');
    await expect(storageList(site.db, site.actors.client, later(1))).rejects.toThrow();
  });
  it('start with every duty never done, and say how much lime', async () => {
    const list = await storageList(site.db, site.actors.field, later(1));
    const one = list.find(({ id }) => id === tank);
    expect(one?.duties.map(({ duty, state }) => [duty, state])).toEqual([
      ['recorder-reviewed', 'never done'],
      ['recorder-checked', 'never done'],
      ['tank-stirred', 'never done'],
      ['tank-cleaned', 'never done'],
    ]);
    expect(one?.lime).toBe('100 oz');
    expect(list.find(({ id }) => id === room)?.lime).toBeNull();
  });
});

describe('a duty', () => {
  const duty = (data: object, at = later(3)) =>
    perform(
      site.db,
      site.actors.laboratory,
      recordDuty,
      { storageId: tank, at: at.toISOString(), ...data },
      at,
    );
  it('done starts its clock anew; the newest counts', async () => {
    await duty({ duty: 'tank-stirred' }, later(3));
    const state = async (now: Date) =>
      (await storageList(site.db, site.actors.field, now))
        .find(({ id }) => id === tank)
        ?.duties.find((each) => each.duty === 'tank-stirred');
    expect((await state(later(4)))?.state).toBe('in order');
    expect((await state(later(40)))?.state).toBe('overdue');
    await duty({ duty: 'tank-stirred', note: 'lime on the bottom' }, later(39));
    expect((await state(later(40)))?.state).toBe('in order');
    expect((await state(later(40)))?.note).toBe('lime on the bottom');
    expect((await state(later(40)))?.byName).toBe('laboratory');
  });
  it('of reviewing the record asks for what it showed', async () => {
    expect(await errorsOf(duty({ duty: 'recorder-reviewed' }))).toHaveProperty('lowest');
    expect(await errorsOf(duty({ duty: 'recorder-reviewed', lowest: '72 °F' }))).toHaveProperty('highest');
    expect(
      await errorsOf(duty({ duty: 'recorder-reviewed', lowest: '72 °F', highest: '900 °F' })),
    ).toHaveProperty('highest');
    expect(
      await errorsOf(duty({ duty: 'recorder-reviewed', lowest: '22.4 °C', highest: '23.9 °C' })),
    ).toEqual({});
    const [first] =
      (await storageList(site.db, site.actors.field, later(4))).find(({ id }) => id === tank)?.duties ?? [];
    expect(first?.note).toBe('22.4 °C to 23.9 °C');
  });
  it('belongs to the kind, lies not ahead, and is never changed', async () => {
    expect(await errorsOf(duty({ storageId: room, duty: 'tank-stirred' }))).toHaveProperty('duty');
    expect(await errorsOf(duty({ duty: 'tank-cleaned', at: later(9).toISOString() }))).toHaveProperty('at');
    await expect(fresh.owner.query('UPDATE storage_duties SET note = $1', ['x'])).rejects.toThrow(
      /append only/,
    );
  });
});

describe('a specimen in its place', () => {
  it('stands where it was put, until it is tested', async () => {
    const { specimenIds } = await makeSample(site);
    const [first = '', second = ''] = specimenIds;
    await event(first, { kind: 'final cure', storageId: tank, position: 'b2' });
    expect(await errorsOf(event(second, { kind: 'final cure', storageId: tank, position: 'B2' }))).toEqual({
      position: expect.stringMatching(/^TST-\d{3}-A stands there/),
    });
    expect(await errorsOf(event(first, { kind: 'final cure', storageId: tank, position: 'B2' }))).toEqual({});
    const home = await specimenHome(site.db, site.actors.field, first, later(3));
    expect(home.home).toEqual({ name: 'Tank A', position: 'B2' });
    await breakSpecimen(site, first, '60000');
    expect((await specimenHome(site.db, site.actors.field, first, later(29))).home).toBeNull();
    expect(await errorsOf(event(second, { kind: 'final cure', storageId: tank, position: 'B2' }))).toEqual(
      {},
    );
  });
  it.each([
    [{ position: 'C1' }, 'position', /places A1 to B3/],
    [{ position: 'B4' }, 'position', /places A1 to B3/],
    [{ position: 'middle' }, 'position', /places A1 to B3/],
    [{ kind: 'note', note: 'x', position: 'A1' }, 'storageId', /Only specimens in final cure/],
  ])('is refused a place that is none: %j', async (over, field, message) => {
    const { specimenIds } = await makeSample(site);
    const errors = await errorsOf(
      event(specimenIds[0] ?? '', { kind: 'final cure', storageId: tank, ...over }),
    );
    expect(errors[field]).toMatch(message);
  });
  it('may stand without a place of its own, and is told what its tank owes', async () => {
    const { specimenIds } = await makeSample(site);
    const [id = ''] = specimenIds;
    await event(id, { kind: 'final cure', storageId: tank });
    const home = await specimenHome(site.db, site.actors.field, id, later(80));
    expect(home.home).toEqual({ name: 'Tank A', position: null });
    expect(home.owed).toContain('tank-stirred');
    expect(home.owed).toContain('recorder-reviewed');
  });
});

describe('a tank with more in it than can be listed', () => {
  it('lists one for each place and some of those that have none, and counts all', async () => {
    const add = { name: 'Tank Z', kind: 'tank', rows: 1, columns: 2 };
    const { storageId } = await perform(site.db, site.actors.laboratory, addStorage, add, later(0));
    for (let index = 0; index < 15; index += 1) {
      const { specimenIds } = await makeSample(site);
      for (const [place, id] of specimenIds.slice(0, 3).entries()) {
        const position = index === 0 && place === 0 ? { position: 'A2' } : {};
        await event(id, { kind: 'final cure', storageId, ...position });
      }
    }
    const list = await storageList(site.db, site.actors.field, later(3));
    const own = list.find(({ id }) => id === storageId);
    expect(own?.count).toBe(45);
    expect(own?.specimens.filter(({ position }) => position === 'A2')).toHaveLength(1);
    const loose = own?.specimens.filter(({ position }) => position === null).map(({ label }) => label) ?? [];
    expect(loose).toHaveLength(40);
    expect(loose).toEqual(loose.toSorted());
  }, 60_000);
});

describe('a held specimen', () => {
  const decide = (data: object, now = later(28), by = site.actors.reviewer) =>
    perform(site.db, by, decideHold, { reason: 'edge broken off in the mould', ...data }, now);
  const sets = async (sampleId: string) => {
    const { job, mix, limits } = await sampleDossier(site.db, site.actors.reviewer, sampleId);
    return setsOf(await specimenViews(site.db, [sampleId]), job, mix, limits);
  };
  it('is discarded only once its release is recorded', async () => {
    const { held } = await makeSample(site);
    expect(await errorsOf(event(held, { kind: 'discarded', note: 'room needed' }))).toEqual({
      kind: expect.stringMatching(/held: record first who released it/),
    });
    expect(await errorsOf(event(held, { kind: 'released' }))).toHaveProperty('note');
    await event(held, { kind: 'released', note: 'Engineer, letter of the 3rd' });
    expect(await errorsOf(event(held, { kind: 'discarded', note: 'released' }))).toEqual({});
  });
  it('tested without a decision asks for a reason that a reviewer accepts', async () => {
    const { held } = await makeSample(site);
    const now = new Date(AT_28_DAYS);
    const { runId } = await perform(
      site.db,
      site.actors.laboratory,
      startRun,
      { method: 'cylinder-compression', specimenId: held },
      now,
    );
    await perform(
      site.db,
      site.actors.laboratory,
      saveReadings,
      { runId, readings: readingsOf(breakValues('60000')) },
      now,
    );
    const errors = await errorsOf(
      perform(site.db, site.actors.laboratory, completeRun, { runId, reasons: [] }, now),
    );
    expect(errors).toHaveProperty(['reason.specimen.held']);
  });
  it('stands in for one that was put aside, and is then of its set', async () => {
    const { sampleId, specimenIds, held } = await makeSample(site);
    const [bad = ''] = specimenIds;
    expect(
      (await errorsOf(decide({ specimenId: held, decision: 'replace', replaces: bad }))).replaces,
    ).toMatch(/put aside for a recorded defect/);
    await event(bad, { kind: 'quarantined', note: 'honeycombed' }, later(3));
    const { ageHours } = await decide({ specimenId: held, decision: 'replace', replaces: bad });
    expect(ageHours).toBe(672);
    await event(bad, { kind: 'discarded', note: 'honeycombed' }, later(28));
    await breakSpecimen(site, held, '60000');
    const [set] = (await sets(sampleId)).filter((each) => each.ageHours === 672);
    expect(set?.test.used).toEqual([expect.stringMatching(/-D$/)]);
    expect(set?.test.leftOut.map(({ label }) => label)).toEqual([expect.stringMatching(/-A$/)]);
    const [decided] = await site.db
      .select()
      .from(specimenEvents)
      .where(and(eq(specimenEvents.specimenId, held), eq(specimenEvents.kind, 'hold decided')));
    expect(decided?.note).toBe('Stands in for a defective one: edge broken off in the mould');
  });
  it('only informs once the window of the other is closed', async () => {
    const { specimenIds, held } = await makeSample(site);
    const [bad = ''] = specimenIds;
    await event(bad, { kind: 'quarantined', note: 'honeycombed' }, later(3));
    expect(
      (await errorsOf(decide({ specimenId: held, decision: 'replace', replaces: bad }, later(30)))).replaces,
    ).toMatch(/can only inform/);
    const { ageHours } = await decide({ specimenId: held, decision: 'information' }, later(30));
    expect(ageHours).toBe(56 * 24);
    const [row] = await site.db.select().from(specimens).where(eq(specimens.id, held));
    expect(row?.opensAt?.getTime()).toBeLessThan(CAST + 56 * DAY);
    expect(row?.closesAt?.getTime()).toBeGreaterThan(CAST + 56 * DAY);
  });
  it('is decided once, by a reviewer, with a reason, while it is there', async () => {
    const { held, specimenIds } = await makeSample(site);
    expect(await errorsOf(decide({ specimenId: held, decision: 'information', reason: '' }))).toHaveProperty(
      'reason',
    );
    expect(
      await errorsOf(
        decide({ specimenId: held, decision: 'information' }, later(28), site.actors.laboratory),
      ),
    ).toHaveProperty('');
    expect((await errorsOf(decide({ specimenId: held, decision: 'replace' }))).replaces).toMatch(
      /same sample/,
    );
    expect(await errorsOf(decide({ specimenId: specimenIds[0], decision: 'information' }))).toHaveProperty(
      '',
    );
    await decide({ specimenId: held, decision: 'information' });
    expect((await errorsOf(decide({ specimenId: held, decision: 'information' })))['']).toMatch(
      /Only a held specimen/,
    );
    const { held: lost } = await makeSample(site);
    await event(lost, { kind: 'lost', note: 'not in the box' });
    expect((await errorsOf(decide({ specimenId: lost, decision: 'information' })))['']).toMatch(
      /not there any more/,
    );
  });
});
