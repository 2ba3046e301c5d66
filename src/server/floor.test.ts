import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { equipment, outcomes, runs, specimens, verdicts, waits } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { CAST, makeSample, makeSite, readingsOf, type Site, signShown } from '@/testing/site';
import { keepCertificate } from './actions/certificates';
import { addEquipment, recordVerification } from './actions/gear';
import { importResults, previewResults } from './actions/import';
import { createLot, createSpecification } from './actions/jobs';
import { registerSpecimens } from './actions/register';
import { prepareReport } from './actions/reports';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { takeSample } from './actions/samples';
import { NotFound, Refused } from './errors';
import { perform } from './perform';
import { certificateFile } from './queries/certificates';
import { everyRun, specimenViews } from './queries/dossier';
import { gearList } from './queries/gear';
import { planPage } from './queries/plan';
import { sampleDossier } from './queries/sample';
import { dayList } from './queries/today';
import { currentReadings } from './readings';
import { composeReport } from './reports/content';
import { picturesOf } from './reports/pictures';
import { equipmentFacts } from './run-setup';
import type { Actor, UseCase } from './use-case';
import { rebuildVerdicts } from './verdicts';
import { rebuildWaits } from './waits';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let lotId = '';
let sampleId = '';
let holes: string[] = [];
const act = <I extends object, R>(
  who: Actor['role'],
  useCase: UseCase<I, R>,
  data: object,
  at: number,
): Promise<R> => perform(site.db, site.actors[who], useCase, data, new Date(at));
const iso = (at: number): string => new Date(at).toISOString();
const zone = { name: 'Zone A', slab: 'grade', area: '900 ft2', walls: '2', aggregate: 'normal' };
const floorOf = (asked: object, code = 'F1') =>
  act(
    'reviewer',
    createSpecification,
    { jobId: site.jobId, code, title: 'Hall', material: 'floor', asked },
    CAST,
  );
const zoneOf = (about: object, lot = lotId) =>
  act(
    'laboratory',
    takeSample,
    { clientId: randomUUID(), lotId: lot, sampledAt: iso(CAST), about },
    CAST + HOUR,
  );

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'FLR');
  const { equipmentId } = await act(
    'manager',
    addEquipment,
    { number: 'FLR-P', kind: 'humidity probe', name: 'Probe' },
    CAST,
  );
  await act('laboratory', recordVerification, { equipmentId, verifiedOn: '2031-02-01' }, CAST);
  const { specificationId } = await floorOf({
    floor: 'resilient',
    humidityMost: '85',
    limitFrom: 'sheet of the glue',
  });
  ({ lotId } = await act(
    'laboratory',
    createLot,
    { jobId: site.jobId, specificationId, title: 'Level 0', startsAt: iso(CAST) },
    CAST,
  ));
  ({ sampleId } = await zoneOf(zone));
  await act(
    'laboratory',
    registerSpecimens,
    { sampleId, how: 'points', form: 'slab-hole', count: 3, place: 'By grid B' },
    CAST + HOUR,
  );
  holes = (await specimenViews(site.db, [sampleId])).map(({ id }) => id).toSorted();
});
afterAll(() => fresh?.close());

async function test(
  specimenId: string,
  method: string,
  values: Record<string, string>,
  at: number,
  who: Actor['role'] = 'laboratory',
): Promise<string> {
  const { runId } = await act(who, startRun, { method, specimenId }, at);
  // What was set up for the hole before stands already.
  const known = new Map((await currentReadings(site.db, runId)).map(({ field, seq }) => [field, seq]));
  const readings = readingsOf(values).map((each) => ({ ...each, basedOn: known.get(each.field) }));
  await act(who, saveReadings, { runId, readings }, at);
  await act(who, completeRun, { runId, reasons: [], reasonForAll: '' }, at);
  return runId;
}
const drill = (place: number, depth = '2.00', at = CAST + 2 * HOUR, who: Actor['role'] = 'laboratory') =>
  test(
    holes[place] ?? '',
    'slab-hole',
    {
      ...{ scanned: 'clear', thickness: '5', thicknessBy: 'core', drilled: 'dry', cleaned: 'true' },
      ...{ depth, lined: 'true', sealedAt: iso(at) },
    },
    at,
    who,
  );
const readAt = (
  place: number,
  humidity: string,
  at: number,
  over: Record<string, string> = {},
  who: Actor['role'] = 'laboratory',
) =>
  test(
    holes[place] ?? '',
    'slab-humidity',
    {
      ...{
        service: 'proven',
        capped: 'true',
        probe: 'FLR-P',
        salt: 'nacl',
        saltTemperature: '77',
        saltShown: '75.3',
      },
      ...{ saltAt: iso(at - 3 * DAY), slabTemperature: '70', probeTemperature: '70', airTemperature: '72' },
      ...{ humidityFirst: humidity, humidity, airHumidity: '48', readAt: iso(at), ...over },
    },
    at,
    who,
  );
const standing = async (of = sampleId) =>
  (
    await site.db
      .select()
      .from(verdicts)
      .where(and(eq(verdicts.sampleId, of), eq(verdicts.released, false)))
  ).map(({ state, statistic }) => [state, statistic]);
const waiting = async () =>
  (await site.db.select().from(waits).where(eq(waits.lane, 'slab'))).toSorted((a, b) =>
    a.what.localeCompare(b.what),
  );
const newest = async (runId: string) =>
  (await site.db.select().from(outcomes).where(eq(outcomes.runId, runId)))
    .toSorted((a, b) => a.seq - b.seq)
    .at(-1)?.outcome;

describe('a zone of a floor', () => {
  it('is refused where its limit has no source, and where its area is not said', async () => {
    expect(Object.keys(await errorsOf(floorOf({ floor: 'resilient', humidityMost: '85' }, 'F2')))).toEqual([
      'limitFrom',
    ]);
    expect(Object.keys(await errorsOf(zoneOf({ ...zone, area: '' })))).toEqual(['area']);
    expect(Object.keys(await errorsOf(zoneOf({ ...zone, slab: 'moon' })))).toEqual(['slab']);
  });
  it('waits for each hole from a day after it was sealed until it was read', async () => {
    for (const place of [0, 1, 2]) await drill(place, place === 2 ? '1.50' : '2.00');
    const [first] = await waiting();
    expect(await waiting()).toHaveLength(3);
    expect([first?.opensAt, first?.doneAt]).toEqual([new Date(CAST + 26 * HOUR), null]);
    const day = await dayList(site.db, site.actors.laboratory, new Date(CAST + 30 * HOUR));
    expect(day.sets.filter(({ lane }) => lane === 'slab').length).toBeGreaterThan(0);
    await readAt(0, '83.2', CAST + 27 * HOUR);
    const done = (await waiting()).filter(({ doneAt }) => doneAt !== null);
    expect(done.map(({ specimenId }) => specimenId)).toEqual([holes[0]]);
    expect((await site.db.transaction((tx) => rebuildWaits(tx, new Date(CAST + 28 * HOUR)))).changed).toBe(0);
  });
  it('has no verdict before every hole that it wants was read, and no pass by one that is too shallow', async () => {
    expect(await standing()).toEqual([['not yet determinable', null]]);
    await readAt(1, '84.1', CAST + 28 * HOUR);
    const shallow = await readAt(2, '82.0', CAST + 28 * HOUR);
    expect((await newest(shallow))?.results).toMatchObject([{ text: '≥ 82', bound: 'at least' }]);
    expect(await standing()).toEqual([['not yet determinable', null]]);
  });
  it('fails by one hole above its limit, and is told what became of it since', async () => {
    const runId = await readAt(1, '89.0', CAST + 15 * DAY, { airHumidity: '60' });
    const outcome = await newest(runId);
    expect(outcome?.picture.values.change).toContain('Wetter than the temperature explains');
    expect(outcome?.findings.map(({ id }) => id)).toContain('slab.band');
    expect(await standing()).toEqual([['does not meet', '89']]);
    const { sets: own } = await sampleDossier(site.db, site.actors.reviewer, sampleId);
    expect(own).toHaveLength(1);
    expect(own[0]?.note).toContain('Does not meet: highest 89 % against 85 %');
    expect((await site.db.transaction((tx) => rebuildVerdicts(tx))).changed).toBe(0);
  });
  it('keeps a reading for the trend, which decides nothing', async () => {
    const runId = await readAt(1, '86.0', CAST + 20 * DAY, { service: 'off' });
    expect((await newest(runId))?.results[0]?.provisional).toBe('not at service conditions');
    expect((await standing())[0]?.[0]).toBe('not yet determinable');
  });
  it('is proven by a record of the air that was read out before, whatever is said', async () => {
    const at = CAST + 20 * DAY + 2 * HOUR;
    const { runId } = await act('laboratory', startRun, { method: 'service-record', lotId }, at - HOUR);
    const rows = Array.from({ length: 30 }, (_, hour) => `${iso(at - (31 - hour) * HOUR)},70,45`);
    const values = {
      logger: 'L',
      temperature: '70',
      humidity: '45',
      record: rows.join('\n'),
      readAt: iso(at - HOUR),
    };
    await act('laboratory', saveReadings, { runId, readings: readingsOf(values) }, at - HOUR);
    await act('laboratory', completeRun, { runId, reasons: [], reasonForAll: '' }, at - HOUR);
    expect((await newest(runId))?.results[0]).toMatchObject({ text: '29' });
    const visit = await readAt(1, '86.0', at);
    expect((await newest(visit))?.results[0]?.provisional).toContain('held for 31 h before it only');
  });
  it('has its surface read too, each puddle by itself: one too high is told with its place', async () => {
    const at = CAST + 20 * DAY;
    const { runId } = await act('laboratory', startRun, { method: 'surface-ph', sampleId }, at);
    const [opened] = await site.db.select().from(runs).where(eq(runs.id, runId));
    // It was opened with the zone.
    expect(opened?.startedAt.getTime()).toBeLessThan(at);
    const puddles = [
      { place: 'H1', waited: '60', pH: '9' },
      { place: 'H2', waited: '60', pH: '10.5' },
      { place: 'H3', waited: '4', pH: '7' },
    ];
    await act(
      'laboratory',
      saveReadings,
      {
        runId,
        readings: readingsOf({ surface: 'ready', water: 'distilled', by: 'paper', puddles, readAt: iso(at) }),
      },
      at,
    );
    await act('laboratory', completeRun, { runId, reasons: [], reasonForAll: '' }, at);
    const outcome = await newest(runId);
    expect(outcome?.results.map(({ text }) => text)).toEqual(['10.5', '9.0']);
    expect(outcome?.verdicts.map(({ state }) => state)).toEqual(['does not meet', 'meets']);
    expect(outcome?.findings.map(({ message }) => message)).toEqual(['H3 stood 4 s: it does not count.']);
  });
  it('stands on its plan with what was read last at each point, and how that stands by itself', async () => {
    const { points, plan } = await planPage(
      site.db,
      site.actors.laboratory,
      lotId,
      new Date(CAST + 21 * DAY),
    );
    expect(plan).toBeNull();
    expect(points.map(({ value, stands, begun }) => [value, stands, begun]).toSorted()).toEqual([
      ['83 %', 'holds', true],
      // For the trend only; and a hole that is too shallow, whose pass proves nothing.
      ['86 %', 'told', true],
      ['≥ 82 %', 'told', true],
    ]);
    // Every hole was read: nothing waits there any more.
    expect(points.flatMap((point) => point.waits)).toEqual([]);
  });
  it('stands in a report with every visit, the hole beside it', async () => {
    const at = new Date(CAST + 21 * DAY);
    await act('laboratory', prepareReport, { sampleId }, at.getTime());
    const report = await composeReport(site.db, site.actors.reviewer, { sampleId });
    const text = JSON.stringify(report);
    expect(text).toContain('Report of moisture tests on a floor');
    expect(text).toContain('Zone A');
    expect(text).toContain('≥ 82');
    // By hole and day, against the limit of its floor; and what it does not say.
    const [course] = report.content.courses ?? [];
    expect(course).toMatchObject({ title: 'Humidity in the slab', unit: '%', limit: { holds: 'at most' } });
    expect(course?.rows.flatMap(({ visits }) => visits.map(({ text: read }) => read))).toContain(
      '82 or more',
    );
    expect(report.content.notClaimed?.join(' ')).toContain('What lies between the points was not measured.');
    // No plan was drawn of this one.
    expect(report.content.plan).toBeUndefined();
    const [own] = await site.db
      .select()
      .from(runs)
      .where(and(eq(runs.specimenId, holes[1] ?? ''), eq(runs.method, 'slab-humidity')));
    expect(own?.state).toBe('complete');
  });
});

it('readings of a sensor come in from its file, visit after visit, by its serial number', async () => {
  const { sampleId: other } = await zoneOf({ ...zone, name: 'Zone C' });
  await act(
    'laboratory',
    registerSpecimens,
    { sampleId: other, how: 'points', form: 'slab-hole', count: 1, place: 'By grid D' },
    CAST + HOUR,
  );
  const [hole] = await specimenViews(site.db, [other]);
  holes[4] = hole?.id ?? '';
  const runId = await drill(4);
  const serial = readingsOf({ serial: 'RH-0777' }).map((each) => ({ ...each, reason: 'forgotten' }));
  await act('laboratory', saveReadings, { runId, readings: serial }, CAST + 3 * HOUR);
  const row = (day: number, humidity: string) =>
    ['RH-0777', 'kept', 'true', 'FLR-P', humidity, humidity, '70', '72', '48', iso(CAST + day * DAY)].join();
  const file = (rows: readonly string[]) =>
    [
      'specimen,service,capped,probe,humidity_first_percent,humidity_percent,slab_temperature_degf,air_temperature_degf,air_humidity_percent,read_at',
      ...rows,
    ].join('\n');
  const bring = (csv: string, lines: number[]) =>
    act(
      'laboratory',
      importResults,
      { method: 'slab-humidity', csv, lines, reason: 'From the file.', confirmed: true },
      CAST + 20 * DAY,
    );
  const first = file([row(3, '88.0'), row(10, '86.2')]);
  const { rows } = await previewResults(site.db, site.actors.laboratory, 'slab-humidity', first);
  expect(rows.map(({ label, errors }) => [label, errors])).toEqual([
    [hole?.label, []],
    [hole?.label, []],
  ]);
  expect(await bring(first, [2, 3])).toEqual({ imported: 2 });
  const [view] = await specimenViews(site.db, [other]);
  const read = everyRun(view ?? { run: null, whole: [] }).filter(({ method }) => method === 'slab-humidity');
  expect(read.map(({ main }) => main?.text)).toEqual(['88', '86']);
  // The same file once more brings nothing in; what is new in it does.
  const more = file([row(3, '88.0'), row(10, '86.2'), row(17, '84.9')]);
  const again = await previewResults(site.db, site.actors.laboratory, 'slab-humidity', more);
  expect(again.rows.map(({ errors }) => errors.length)).toEqual([1, 1, 0]);
  await expect(bring(more, [2, 4])).rejects.toThrow('Nothing was');
  expect(await bring(more, [4])).toEqual({ imported: 1 });
});

it('a pack of sensors is in the register with its certificate and the serial numbers that it is of', async () => {
  const { equipmentId } = await act(
    'manager',
    addEquipment,
    { number: 'FLR-S', kind: 'sensor pack', name: 'Sensors' },
    CAST,
  );
  const verify = (over: object) =>
    act('laboratory', recordVerification, { equipmentId, verifiedOn: '2031-02-01', ...over }, CAST);
  expect(Object.keys(await errorsOf(verify({})))).toEqual(['certificate']);
  expect(Object.keys(await errorsOf(verify({ certificate: 'C-1' })))).toEqual(['serials']);
  expect(await errorsOf(verify({ certificate: 'C-1', serials: 'all of them' }))).toEqual({
    serials: expect.stringContaining('"all of them" is no serial number'),
  });
  await verify({ certificate: 'C-1', serials: 'RH-10 to RH-19' });
  expect(await equipmentFacts(site.db, '2031-05-14', { kinds: ['sensor pack'], numbers: [] })).toMatchObject([
    { number: 'FLR-S', certificate: 'C-1', serials: 'RH-10 to RH-19' },
  ]);
});

it('the certificate of a probe is kept once, and its copy stands in the reports of what it read', async () => {
  const [probe] = await site.db.select().from(equipment).where(eq(equipment.number, 'FLR-P'));
  const keep = (data: Buffer, over: object = {}) =>
    act(
      'laboratory',
      keepCertificate,
      {
        id: randomUUID(),
        equipmentId: probe?.id,
        name: 'probe.pdf',
        data: data.toString('base64'),
        ...over,
      },
      CAST + DAY,
    );
  expect(Object.keys(await errorsOf(keep(Buffer.from('hello'))))).toEqual(['data']);
  const { equipmentId } = await act(
    'manager',
    addEquipment,
    { number: 'FLR-N', kind: 'humidity probe', name: 'Never verified' },
    CAST,
  );
  const pdf = Buffer.from('%PDF-1.7 a certificate');
  await expect(keep(pdf, { equipmentId })).rejects.toThrow('Record its verification first');
  const id = randomUUID();
  for (let time = 0; time < 2; time += 1) expect(await keep(pdf, { id })).toEqual({ certificateId: id });
  const gear = await gearList(site.db, site.actors.field, '2031-05-14');
  expect(gear.find(({ number }) => number === 'FLR-P')?.file).toEqual({ id, name: 'probe.pdf' });
  const { content } = await composeReport(site.db, site.actors.reviewer, { sampleId });
  expect(content.certificates).toMatchObject([
    { id, of: 'FLR-P, verified 2031-02-01', mime: 'application/pdf', sha256: expect.any(String) },
  ]);
  // A PDF is named in a report, not drawn.
  expect((await picturesOf(site.db, content)).has(id)).toBe(false);
  expect((await certificateFile(site.db, site.actors.field, id)).bytes.equals(pdf)).toBe(true);
  await expect(certificateFile(site.db, site.actors.client, id)).rejects.toThrow(NotFound);
});

describe('holes counted for a whole level', () => {
  it('are fewer for a zone once another is known, and what it is held against follows at once', async () => {
    const { specificationId } = await floorOf({ floor: 'carpet' }, 'F-LEVEL');
    const { lotId: level } = await act(
      'laboratory',
      createLot,
      { jobId: site.jobId, specificationId, title: 'Level 1', startsAt: iso(CAST) },
      CAST,
    );
    const { sampleId: first } = await zoneOf({ ...zone, slab: 'ventilated', walls: '' }, level);
    await act(
      'laboratory',
      registerSpecimens,
      { sampleId: first, how: 'points', form: 'slab-hole', count: 2 },
      CAST + HOUR,
    );
    const own = await specimenViews(site.db, [first]);
    const before = holes;
    holes = own.map(({ id }) => id).toSorted();
    for (const place of [0, 1]) await drill(place, '1.00');
    for (const place of [0, 1]) await readAt(place, '71.0', CAST + 27 * HOUR);
    holes = before;
    const plan = async () => (await sampleDossier(site.db, site.actors.reviewer, first)).planOf('slab-hole');
    expect([(await plan())?.count, await standing(first)]).toEqual([3, [['not yet determinable', null]]]);
    // 1,800 ft² of the level want four, two in each half: nothing was read or changed in this zone.
    await zoneOf({ ...zone, name: 'Zone B', slab: 'ventilated', walls: '' }, level);
    expect([(await plan())?.count, await standing(first)]).toEqual([2, [['meets', '71']]]);
    expect((await site.db.transaction((tx) => rebuildVerdicts(tx))).changed).toBe(0);
  });
});

describe('who works in the field only', () => {
  it('drills and reads on the floor, and breaks nothing in the laboratory', async () => {
    const { sampleId: other } = await zoneOf({ ...zone, name: 'Zone B' });
    await act(
      'field',
      registerSpecimens,
      { sampleId: other, how: 'points', form: 'slab-hole', count: 1, place: 'By grid C' },
      CAST + HOUR,
    );
    const [hole] = await specimenViews(site.db, [other]);
    const at = CAST + 5 * DAY;
    const point = async () =>
      (await planPage(site.db, site.actors.field, lotId, new Date(at))).points.find(
        ({ id }) => id === hole?.id,
      );
    expect(await point()).toMatchObject({ open: null, next: { method: 'slab-hole' } });
    holes[3] = hole?.id ?? '';
    const { runId } = await act('field', startRun, { method: 'slab-hole', specimenId: holes[3] }, at);
    expect((await point())?.open).toBe(runId);
    await drill(3, '2.00', at, 'field');
    expect(await point()).toMatchObject({ open: null, next: { method: 'slab-humidity' } });
    // What was drilled may be signed before it is read: the reading adds to it.
    const { reportId } = await act('laboratory', prepareReport, { sampleId: other }, at + HOUR);
    await signShown(site, reportId, new Date(at + HOUR));
    await readAt(3, '90.0', at + 2 * DAY, { nextVisit: '7' }, 'field');
    expect(await point()).toMatchObject({ open: null, next: { method: 'slab-humidity' }, value: '90 %' });
    const made = await makeSample(site);
    const broken = { method: 'cylinder-compression', specimenId: made.specimenIds[0] };
    await expect(act('field', startRun, broken, at)).rejects.toThrow(Refused);
    await expect(
      act('client', startRun, { method: 'slab-humidity', specimenId: holes[3] }, at),
    ).rejects.toThrow(Refused);
  });
  it('is told when a hole is to be read again, until it was, under a signature too', async () => {
    const visit = async () =>
      (await waiting()).filter(({ key, specimenId }) => key === 'visit' && specimenId === holes[3]);
    const first = CAST + 7 * DAY;
    expect(await visit()).toMatchObject([
      { what: 'Read the hole again', opensAt: new Date(first + 7 * DAY), doneAt: null },
    ]);
    const [read] = await site.db
      .select({ sampleId: specimens.sampleId })
      .from(specimens)
      .where(eq(specimens.id, holes[3] ?? ''));
    const replaces = { sampleId: read?.sampleId, reason: 'A first visit.' };
    const { reportId } = await act('laboratory', prepareReport, replaces, first + HOUR);
    const { content } = await composeReport(site.db, site.actors.reviewer, {
      sampleId: read?.sampleId ?? '',
    });
    expect(content.owed?.join()).toContain('Read the hole again, from ');
    await signShown(site, reportId, new Date(first + 2 * HOUR));
    await readAt(3, '88.0', first + 7 * DAY, { nextVisit: 'none' }, 'field');
    expect(await visit()).toMatchObject([{ doneAt: new Date(first + 7 * DAY) }]);
    expect((await site.db.transaction((tx) => rebuildWaits(tx, new Date(first + 8 * DAY)))).changed).toBe(0);
  });
});
