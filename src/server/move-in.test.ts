import { eq } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { columnName, LISTS } from '@/core/interchange';
import { MATERIALS } from '@/core/materials/registry';
import { audit, equipmentVerifications, invitations, jobs, people, specifications } from '@/db/schema';
import { freshDatabase, personOf } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { addEquipment } from './actions/gear';
import { createJob } from './actions/jobs';
import { describeLaboratory, layStepAside } from './actions/laboratory';
import { importList } from './actions/lists';
import { type Beginning, beginLaboratory } from './installation';
import { invitedBy } from './invitations';
import { LIST_IMPORTS } from './lists';
import { perform } from './perform';
import { openSteps } from './queries/first-steps';
import { gearList, peopleList } from './queries/gear';
import { jobList, usualZone } from './queries/jobs';
import { laboratoryNow } from './settings';
import type { Actor } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let manager: Actor;
const NOW = new Date('2031-05-14T09:00:00Z');
const TODAY = '2031-05-14';
const BEGINNING = {
  ...{ name: 'Harbour Row Testing', address: '2 Harbour Row\nPort Merrow', zone: 'America/Halifax' },
  ...{ managerName: 'Tamsin Reed', managerEmail: 'Tamsin@row.example' },
} satisfies Beginning;

beforeEach(async () => {
  fresh = await freshDatabase();
  await beginLaboratory(fresh.db, { ...BEGINNING, password: 'moss kettle 41 barge' }, NOW);
  const [found] = await fresh.db.select().from(people);
  manager = { id: found?.id ?? '', name: found?.name ?? '', role: 'manager' };
  return () => fresh.close();
});

const bring = (list: string, csv: string, more: object = {}, by = manager) =>
  perform(fresh.db, by, importList, { list, csv, ...more }, NOW);
/** What a preview says of each row: what keeps it out, or nothing. */
const looked = async (list: string, csv: string, more: object = {}): Promise<string[]> =>
  (await bring(list, csv, { look: true, ...more })).rows.map(({ errors }) => errors.join(' '));

describe('a laboratory that begins', () => {
  it('has its manager, its head and its clock, and nothing else', async () => {
    expect((await peopleList(fresh.db, manager)).map(({ name, email, role }) => [name, email, role])).toEqual(
      [['Tamsin Reed', 'tamsin@row.example', 'manager']],
    );
    expect(await laboratoryNow(fresh.db)).toMatchObject({ name: 'Harbour Row Testing' });
    expect(await usualZone(fresh.db)).toBe('America/Halifax');
    expect(await jobList(fresh.db, manager)).toEqual([]);
    const told = await fresh.db.selectDistinct({ useCase: audit.useCase }).from(audit);
    expect(told).toEqual([{ useCase: 'set up' }]);
  });

  it('without a password has a link, and a weak one is refused', async () => {
    const other = await freshDatabase();
    try {
      expect(
        await errorsOf(beginLaboratory(other.db, { ...BEGINNING, password: 'tamsin reed' }, NOW)),
      ).toHaveProperty('password');
      expect(await other.db.select().from(people)).toEqual([]);
      const { link } = await beginLaboratory(other.db, BEGINNING, NOW);
      expect(await invitedBy(other.db, (link ?? '').replace('/welcome/', ''), NOW)).toMatchObject({
        email: 'tamsin@row.example',
      });
    } finally {
      await other.close();
    }
  });

  it('says another head from then on; lines are kept as lines', async () => {
    await perform(
      fresh.db,
      manager,
      describeLaboratory,
      { ...{ name: ' New name ', address: ' 1 Quay \r\n\r\n Town ', zone: 'UTC' }, letterhead: 'Tel 1' },
      NOW,
    );
    expect(await laboratoryNow(fresh.db)).toEqual({
      ...{ name: 'New name', address: '1 Quay\nTown', letterhead: 'Tel 1', zone: 'UTC' },
    });
    expect(
      await errorsOf(
        perform(fresh.db, manager, describeLaboratory, { name: '', address: '', zone: 'Moon' }, NOW),
      ),
    ).toMatchObject({ name: expect.anything(), address: expect.anything(), zone: expect.anything() });
  });
});

describe('the first steps', () => {
  const stands = async () =>
    (await openSteps(fresh.db, manager, TODAY))?.map(({ id, done, aside }) => [id, done || aside]);
  it('stand in order, each with how it is, and go once all is done or laid aside', async () => {
    expect(await stands()).toEqual(
      ['people', 'gear', 'limits', 'job', 'test', 'backup'].map((id) => [id, false]),
    );
    await personOf(fresh.db, 'reviewer');
    await personOf(fresh.db, 'field');
    await bring('instruments', 'number,kind,name\nTH-1,thermometer,Digital', { lines: [2] });
    const gear = (await openSteps(fresh.db, manager, TODAY))?.find(({ id }) => id === 'gear');
    expect(gear).toMatchObject({ done: false, stands: '1 instrument, 1 not to be used yet' });
    await bring('verifications', 'number,verified_on\nTH-1,2031-04-01', { lines: [2] });
    expect((await stands())?.filter(([, over]) => over)).toEqual([
      ['people', true],
      ['gear', true],
    ]);
    for (const step of ['limits', 'job', 'test', 'backup'])
      await perform(fresh.db, manager, layStepAside, { step, aside: true }, NOW);
    expect(await stands()).toBeUndefined();
    await perform(fresh.db, manager, layStepAside, { step: 'job', aside: false }, NOW);
    expect((await stands())?.find(([id]) => id === 'job')).toEqual(['job', false]);
  });

  it('are for managers of a laboratory’s own installation alone', async () => {
    expect(await openSteps(fresh.db, await personOf(fresh.db, 'reviewer'), TODAY)).toBeNull();
    const demo = await freshDatabase();
    try {
      expect(await openSteps(demo.db, await personOf(demo.db, 'manager'), TODAY)).toBeNull();
    } finally {
      await demo.close();
    }
  });
});

describe('a list', () => {
  const PEOPLE = [
    'name;email;role;title;jobs',
    'Ash Quill;ash@row.example;Field;;',
    'Bo Teasel;bo@row.example;reviewer;P.E.;',
    'Cy Bent;no address;field;;',
    'Di Rush;ash@row.example;field;;',
    'Ed Fell;ed@row.example;king;;',
    'Flo Weir;flo@row.example;client;;NONE',
  ].join('\n');
  it('is looked at first: the preview says just what will come of each row, and keeps nothing', async () => {
    expect(await looked('people', PEOPLE)).toEqual([
      '',
      '',
      'E-mail: not an address.',
      'This address is in use already.',
      'Role: choose one.',
      'There is no job NONE.',
    ]);
    expect(await fresh.db.select().from(people)).toHaveLength(1);
    expect(await fresh.db.select().from(audit).where(eq(audit.useCase, 'import a list'))).toEqual([]);
  });

  it('comes in as chosen, all or nothing, and invites nobody by itself', async () => {
    expect((await errorsOf(bring('people', PEOPLE, { lines: [2, 4] }))).csv).toBe(
      'Line 4: E-mail: not an address. Nothing was brought in.',
    );
    expect(await fresh.db.select().from(people)).toHaveLength(1);
    expect(await bring('people', PEOPLE, { lines: [2, 3] })).toMatchObject({ imported: 2 });
    const found = await peopleList(fresh.db, manager);
    expect(found.map(({ name, role, title }) => [name, role, title])).toEqual([
      ['Ash Quill', 'field', null],
      ['Bo Teasel', 'reviewer', 'P.E.'],
      ['Tamsin Reed', 'manager', null],
    ]);
    expect(found[0]?.invited).toMatchObject({ until: null });
    expect(await fresh.db.select().from(invitations)).toEqual([]);
  });

  it.each([
    ['', /The file is empty/],
    ['name,email\nx,y', /Missing column: role/],
    ['name,email,role,shoe size\na,b,c,d', /Nothing here is called shoe_size/],
    ['name,email,role', /no rows/],
  ])('that is none is refused as a whole: %j', async (csv, words) => {
    expect((await errorsOf(bring('people', csv, { look: true }))).csv).toMatch(words);
  });

  it('that is not as it was looked at is refused', async () => {
    expect((await errorsOf(bring('people', PEOPLE, { lines: [99] }))).csv).toMatch(
      /not as it was in the preview/,
    );
    expect((await errorsOf(bring('people', PEOPLE, { lines: [] }))).csv).toMatch(/Choose at least one/);
  });

  it('is brought in by who may enter the same by hand', async () => {
    const field = await personOf(fresh.db, 'field');
    await expect(bring('people', PEOPLE, { look: true }, field)).rejects.toThrow('right');
    await expect(
      bring('instruments', 'number,kind,name\nA,balance,x', { look: true }, field),
    ).rejects.toThrow('right');
  });
});

describe('instruments and their verifications', () => {
  const LIST = [
    'number,kind,name,place,verified_on,verified_from,verified_to,certificate,serials',
    'I-1,Thermometer,Digital,Van,2031-02-03,,,C-1,',
    'I-2,compression machine,Press two,Hall,2031-02-03,"10,000 lbf","200,000 lbf",C-2,',
    'I-3,compression machine,Press three,Hall,2031-02-03,,,C-3,',
    'I-4,slump mould,Cone,Van,,,,,',
    'I-5,sextant,Old,,,,,,',
    'I-6,balance,x,,2031-02-30,,,,',
    'I-7,balance,x,,2031-09-30,,,,',
    'I-8,sensor pack,Probes,,2031-02-03,,,C-8,',
    ',balance,x,,,,,,',
  ].join('\n');
  it('are held to what a form asks, row by row', async () => {
    const said = await looked('instruments', LIST);
    expect(said.map((words) => words === '')).toEqual([
      ...[true, true, false, true, false, false, false, false, false],
    ]);
    expect(said[2]).toMatch(/A machine is verified over a range of load/);
    expect(said[4]).toMatch(/Kind: choose one/);
    expect(said[6]).toMatch(/lies in the future/);
    expect(said[7]).toMatch(/Serial numbers/);
  });

  it('come in with what they were verified over, and never over another', async () => {
    await bring('instruments', LIST, { lines: [2, 3, 5] });
    const gear = await gearList(fresh.db, manager, TODAY);
    expect(gear.map(({ number, state, last }) => [number, state, last?.verifiedTo ?? null])).toEqual([
      ['I-2', 'in date', '200000 lbf'],
      ['I-4', 'never verified', null],
      ['I-1', 'in date', null],
    ]);
    expect((await looked('instruments', LIST))[0]).toMatch(/I-1 is in the register already/);
  });

  it('of verifications, the history of an instrument', async () => {
    const { equipmentId } = await perform(
      fresh.db,
      manager,
      addEquipment,
      { number: 'BL-1', kind: 'balance', name: 'Balance' },
      NOW,
    );
    const csv =
      'number,verified_on,certificate\nBL-1,2030-03-01,C-1\nBL-1,2031-03-02,C-2\nBL-9,2031-03-02,C-3';
    expect(await looked('verifications', csv)).toEqual(['', '', 'BL-9 is not in the register.']);
    await bring('verifications', csv, { lines: [2, 3] });
    const kept = await fresh.db
      .select()
      .from(equipmentVerifications)
      .where(eq(equipmentVerifications.equipmentId, equipmentId));
    expect(kept.map(({ verifiedOn }) => verifiedOn).sort()).toEqual(['2030-03-01', '2031-03-02']);
  });
});

describe('jobs and what is asked in them', () => {
  it('jobs take the laboratory’s clock where they say none', async () => {
    const csv = [
      'number,name,owner,place,units,time_zone,school',
      'J1,One,Trust,Quay,us,,',
      'J2,Two,Trust,Quay,SI,Europe/Lisbon,EN',
      'J 3,Three,Trust,Quay,SI,,',
      'J4,Four,Trust,Quay,metric,,',
      'J1,Again,Trust,Quay,SI,,',
    ].join('\n');
    const said = await looked('jobs', csv);
    expect(said.map((words) => words === '')).toEqual([true, true, false, false, false]);
    expect(said[4]).toMatch(/There is a job J1 already/);
    await bring('jobs', csv, { lines: [2, 3] });
    const found = await fresh.db.select().from(jobs);
    expect(found.map(({ number, zone, system, profile }) => [number, zone, system, profile])).toEqual([
      ['J1', 'America/Halifax', 'US', 'astm'],
      ['J2', 'Europe/Lisbon', 'SI', 'en'],
    ]);
  });

  it('mixes have the columns of the form of their material', async () => {
    const { jobId } = await perform(
      fresh.db,
      manager,
      createJob,
      { number: 'M', name: 'x', owner: 'x', location: 'x', zone: 'UTC', system: 'US' },
      NOW,
    );
    const csv = [
      'code,title,specified_strength,age_days,slump_kind,slump',
      'A-1,Footings,"4,000",28,target,4 in',
      'A-2,Walls,many,28,,',
      'A-3,Slabs,4500 psi,,,',
    ].join('\n');
    const about = { jobId, material: 'concrete' };
    const said = await looked('specifications', csv, about);
    expect(said[0]).toBe('');
    expect(said[1]).toMatch(/strength/i);
    expect(said[2]).not.toBe('');
    await bring('specifications', csv, { ...about, lines: [2] });
    const [made] = await fresh.db.select().from(specifications).where(eq(specifications.jobId, jobId));
    expect(made).toMatchObject({ code: 'A-1', version: 1, asked: { specifiedStrength: '4000 psi' } });
    await expect(bring('specifications', csv, { ...about, material: 'cheese', look: true })).rejects.toThrow(
      'This material',
    );
  });

  it.each(MATERIALS.map(({ id }) => [id]))(
    'every material has its columns, none called twice: %s',
    (material) => {
      const columns = LIST_IMPORTS.specifications.columns({ material }).map(({ name }) => name);
      expect(new Set(columns).size).toBe(columns.length);
      expect(columns.slice(0, 2)).toEqual(LISTS.specifications.columns.map(({ name }) => name));
      for (const name of columns) expect(columnName(name)).toBe(name);
    },
  );
});
