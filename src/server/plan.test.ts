import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { lotPlans, specimens } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { CAST, makeSite, type Site } from '@/testing/site';
import { createLot, createSpecification } from './actions/jobs';
import { drawPlan, keepPicture, placePoints } from './actions/plan';
import { registerSpecimens } from './actions/register';
import { startRun } from './actions/runs';
import { takeSample } from './actions/samples';
import { perform } from './perform';
import { specimenViews } from './queries/dossier';
import { planPage } from './queries/plan';
import { composeReport } from './reports/content';
import { reportPdf } from './reports/pdf';
import { picturesOf } from './reports/pictures';
import type { UseCase } from './use-case';

const HOUR = 3_600_000;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let lotId = '';
let sampleId = '';
let points: { id: string; label: string }[] = [];
const act = <I extends object, R>(useCase: UseCase<I, R>, data: object, at = CAST + HOUR): Promise<R> =>
  perform(site.db, site.actors.laboratory, useCase, data, new Date(at));
const page = () => planPage(site.db, site.actors.laboratory, lotId, new Date(CAST + 2 * HOUR));
const outline = [
  { x: 0, y: 0 },
  { x: 10, y: 0 },
  { x: 10, y: 8 },
  { x: 0, y: 8 },
];
const drawing = (over: object = {}) => ({
  id: randomUUID(),
  lotId,
  width: 10,
  height: 8,
  zones: [{ sampleId, outline, walls: [0] }],
  corridors: [],
  locked: false,
  ...over,
});

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'PLN');
  const { specificationId } = await perform(
    site.db,
    site.actors.reviewer,
    createSpecification,
    {
      jobId: site.jobId,
      code: 'F1',
      title: 'Hall',
      material: 'floor',
      asked: { floor: 'wood', humidityMost: '75', limitFrom: 'sheet of the maker' },
    },
    new Date(CAST),
  );
  ({ lotId } = await act(
    createLot,
    { jobId: site.jobId, specificationId, title: 'Level 0', startsAt: new Date(CAST).toISOString() },
    CAST,
  ));
  ({ sampleId } = await act(takeSample, {
    clientId: randomUUID(),
    lotId,
    sampledAt: new Date(CAST).toISOString(),
    about: { name: 'Zone A', slab: 'grade', area: '860 ft2', walls: '1', aggregate: 'normal' },
  }));
  await act(registerSpecimens, { sampleId, how: 'points', form: 'slab-hole', count: 3 });
  points = (await specimenViews(site.db, [sampleId])).map(({ id, label }) => ({ id, label }));
});
afterAll(() => fresh?.close());

it('has no plan at first, and no place for a point without one', async () => {
  expect(await page()).toMatchObject({ plan: null, planId: null });
  const places = [{ specimenId: points[0]?.id, x: 0.5, y: 0.5 }];
  expect((await errorsOf(act(placePoints, { lotId, places })))['']).toContain('draw it first');
});

it('refuses what cannot be drawn, at its field', async () => {
  const errors = (over: object) => errorsOf(act(drawPlan, drawing(over)));
  expect(Object.keys(await errors({ width: 0 }))).toEqual(['width']);
  expect(
    Object.keys(await errors({ zones: [{ sampleId, outline: outline.slice(0, 2), walls: [] }] })),
  ).toHaveLength(1);
  expect(await errors({ zones: [{ sampleId: randomUUID(), outline, walls: [] }] })).toEqual({
    zones: 'A zone of another floor.',
  });
  const twice = { sampleId, outline, walls: [] };
  expect(await errors({ zones: [twice, twice] })).toEqual({ zones: 'A zone has one outline.' });
  expect(Object.keys(await errors({ pictureId: randomUUID() }))).toEqual(['pictureId']);
  // A placement of concrete is no place that is drawn.
  expect((await errors({ lotId: site.lotId, zones: [] }))['']).toContain('is not there');
});

it('is drawn over a picture, the plan before it kept, and never over what somebody else drew', async () => {
  const png = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0]).toString('base64');
  const { pictureId } = await act(keepPicture, { id: randomUUID(), lotId, name: 'plan.png', data: png });
  const notOne = act(keepPicture, { id: randomUUID(), lotId, name: 'plan.txt', data: 'aGVsbG8=' });
  expect(Object.keys(await errorsOf(notOne))).toEqual(['data']);
  const first = drawing({ pictureId });
  const { planId } = await act(drawPlan, first);
  // Sent twice it is one.
  expect(await act(drawPlan, first)).toEqual({ planId });
  expect((await errorsOf(act(drawPlan, drawing())))['']).toContain('meanwhile');
  await act(drawPlan, drawing({ basedOn: planId, pictureId, width: 12 }));
  expect(await site.db.select().from(lotPlans).where(eq(lotPlans.lotId, lotId))).toHaveLength(2);
  expect(await page()).toMatchObject({ pictureId, plan: { width: 12, zones: [{ sampleId, walls: [0] }] } });
});

it('has its points placed and moved until work begins at them', async () => {
  const [one, two] = points;
  const put = (specimenId: string | undefined, x: number) =>
    act(placePoints, { lotId, places: [{ specimenId, x, y: 0.5 }] });
  await put(one?.id, 0.2);
  await put(one?.id, 0.3);
  expect((await page()).points.find(({ id }) => id === one?.id)?.place).toEqual({ x: 0.3, y: 0.5 });
  expect(Object.keys(await errorsOf(put(one?.id, 1.2)))).toHaveLength(1);
  expect((await errorsOf(put(randomUUID(), 0.2)))['']).toContain('is not there');
  await act(startRun, { method: 'slab-hole', specimenId: one?.id });
  expect((await errorsOf(put(one?.id, 0.4)))['']).toContain('stays where it is');
  // One that was never placed is put where it is.
  await act(startRun, { method: 'slab-hole', specimenId: two?.id });
  await put(two?.id, 0.6);
  const begun = (await page()).points.filter((point) => point.begun).map(({ label }) => label);
  expect(begun).toEqual([one?.label, two?.label]);
});

it('moves nothing once it is locked, and says what a zone wants', async () => {
  const { planId } = await page();
  await act(drawPlan, drawing({ basedOn: planId, locked: true }));
  const [, , three] = points;
  const put = (x: number) => act(placePoints, { lotId, places: [{ specimenId: three?.id, x, y: 0.5 }] });
  await put(0.8);
  expect((await errorsOf(put(0.9)))['']).toContain('locked');
  const { wants, rules } = await page();
  expect(wants).toMatchObject([{ name: 'Zone A', forms: [{ form: 'slab-hole', count: 3 }] }]);
  expect(rules).toMatchObject({ wall: 1, point: 0.3 });
  const [stored] = await site.db
    .select()
    .from(specimens)
    .where(eq(specimens.id, three?.id ?? ''));
  expect(stored?.place).toEqual({ x: 0.8, y: 0.5 });
});

it('stands in the report of its level with its points; a picture that is torn is only named', async () => {
  const { content } = await composeReport(site.db, site.actors.reviewer, { lotId });
  const [one, two, three] = points;
  expect(content.plan).toMatchObject({
    system: 'US',
    width: 10,
    zones: [{ name: 'Zone A', outline, walls: [0] }],
    points: [
      { label: one?.label, value: null, stands: null, at: { x: 3, y: 4 } },
      { label: two?.label },
      { label: three?.label },
    ],
    unplaced: [],
    picture: null,
  });
  const keep = async (data: Buffer): Promise<string> =>
    (
      await act(keepPicture, {
        id: randomUUID(),
        lotId,
        name: 'hall.png',
        data: data.toString('base64'),
      })
    ).pictureId;
  const warned = vi.spyOn(console, 'warn');
  const whole = await sharp({ create: { width: 40, height: 32, channels: 4, background: '#88aacc80' } })
    .png()
    .toBuffer();
  const printed = async (pictureId: string) => {
    const { planId } = await page();
    await act(drawPlan, drawing({ basedOn: planId, pictureId }));
    const { content: over } = await composeReport(site.db, site.actors.reviewer, { lotId });
    expect(over.plan?.picture).toMatchObject({ id: pictureId, name: 'hall.png', mime: 'image/png' });
    const pictures = await picturesOf(site.db, over);
    const pdf = await reportPdf(
      { number: 'R', revision: 0, signature: null, replaces: null },
      over,
      pictures,
    );
    // What is drawn from a picture is an object of that kind in the file.
    return { drawn: pictures.has(pictureId), holds: pdf.includes('/Subtype /Image') };
  };
  expect(await printed(await keep(whole))).toEqual({ drawn: true, holds: true });
  expect(await printed(await keep(whole.subarray(0, 40)))).toEqual({ drawn: false, holds: false });
  // Whoever draws it says so where a font of its words is missing.
  expect(warned).not.toHaveBeenCalled();
  warned.mockRestore();
});

it('is the business of those who may read the job', async () => {
  const stranger = site.actors.client;
  await expect(planPage(site.db, stranger, lotId, new Date(CAST))).rejects.toThrow();
});
