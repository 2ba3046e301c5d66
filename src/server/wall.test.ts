import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '@/testing/database';
import { type Delivery, deliver, type Goods } from '@/testing/masonry';
import { makeSite, readingsOf, type Site } from '@/testing/site';
import { saveReadings } from './actions/runs';
import { lotDossier } from './queries/lot';
import { sampleDossier } from './queries/sample';

// What a wall is made of besides its units: each from its making to its verdict, through the use cases.

const AGE = 672;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
});
afterAll(() => fresh?.close());

const dossier = (sampleId: string) => sampleDossier(site.db, site.actors.laboratory, sampleId);
const verdictsOf = async (sampleId: string) =>
  (await dossier(sampleId)).sets.flatMap(({ verdicts }) =>
    verdicts.map(({ criterion, state }) => `${criterion}: ${state}`),
  );
const goods = (over: Pick<Goods, 'material' | 'asked' | 'about' | 'register'>): Promise<Delivery> =>
  deliver(site, {}, over);
const own = async (sampleId: string, method: string): Promise<string> =>
  (await dossier(sampleId)).fresh.find((run) => run.method === method)?.id ?? '';

it('prisms are built, capped, broken, and the masonry has a strength', async () => {
  const wall = await goods({
    material: 'prism',
    asked: {
      masonryStrength: '2,000 psi',
      built: 'grouted',
      mortar: 'S',
      edition: '2022',
      courses: '2',
      unitHeight: '7.625',
      unitThickness: '7.625',
      unitStrength: '2,740 psi',
    },
    about: { wall: 'grid 3 to 6' },
    register: {
      how: 'prisms',
      form: 'masonry-prism',
      count: 3,
      told: { builtAt: '2031-05-14T13:30:00Z', ageDays: '28' },
    },
  });
  const sampleId = await wall.set({ by: 'the mason of the wall' }, 1);
  const building = await own(sampleId, 'prism-building');
  expect(building).not.toBe('');
  await wall.act(
    saveReadings,
    { runId: building, readings: readingsOf({ laidAt: wall.at(0), closedAt: wall.at(0.5) }) },
    1,
  );
  const prisms = await wall.views(sampleId);
  const cap = (specimen: string, end: string) => ({ specimen, end, at: wall.at(AGE - 4) });
  await wall.together(
    'capping',
    prisms,
    {
      kind: 'gypsum',
      lot: 'GYP-1',
      levelled: true,
      pours: prisms.flatMap(({ label }) => [cap(label, '1'), cap(label, '2')]),
      lastCapAt: wall.at(AGE - 4),
      sounding: 'sound',
    },
    AGE - 3,
  );
  for (const [place, load] of ['158,400', '149,900', '163,200'].entries()) {
    const [length, height] = [
      ['7.63', '15.65'],
      ['7.60', '15.60'],
      ['7.65', '15.70'],
    ][place] as [string, string];
    const width = place === 1 ? '7.63' : '7.62';
    const prism = prisms[place];
    if (!prism) throw new Error('no prism');
    await wall.test(
      'prism-compression',
      prism,
      {
        machine: 'TST-PRESS',
        state: 'sound',
        unbaggedAt: wall.at(AGE - 49),
        lengthTop: length,
        lengthBottom: length,
        widthTop: width,
        widthBottom: width,
        height,
        plate: '2.5',
        zeroed: true,
        guarded: true,
        maximumLoad: load,
        secondHalf: '84',
        testedAt: wall.at(AGE + place / 10),
        mode: 'cone-split',
      },
      AGE + place / 10,
    );
  }
  const { sets } = await dossier(sampleId);
  const set = sets.find(({ method }) => method === 'prism-compression');
  // 2,736.2, 2,602 and 2,807 psi: the mean of the unrounded ones.
  expect(set?.test.text).toBe('2,720');
  expect(set?.derived?.said).toEqual([['By units and mortar, TMS 602, for comparison', '2,300 psi']]);
  expect(await verdictsOf(sampleId)).toEqual(['prism-strength: meets']);
  // A wall of prisms says no more together than its sets do.
  expect((await lotDossier(site.db, site.actors.laboratory, wall.lotId)).says).toBeNull();
});

it('grout prisms are held against the grout that is asked for', async () => {
  const pour = await goods({
    material: 'grout',
    asked: { groutKind: 'coarse', edition: '2020', groutStrength: '3,000 psi' },
    about: { wall: 'grid 3 to 6' },
    register: {
      how: 'grout-prisms',
      form: 'prism-3.5',
      count: 3,
      told: { madeAt: '2031-05-14T13:30:00Z', ageDays: '28' },
    },
  });
  const sampleId = await pour.set({}, 1);
  expect(await own(sampleId, 'grout-making')).not.toBe('');
  for (const [place, view] of (await pour.views(sampleId)).entries())
    await pour.test(
      'grout-prism',
      view,
      {
        machine: 'TST-PRESS',
        surface: 'moist',
        x1: '3.05',
        x2: '3.00',
        y1: '3.00',
        y2: '3.05',
        height: '6.00',
        square: 'yes',
        ends: 'sulfur',
        zeroed: true,
        guarded: true,
        maximumLoad: ['29,450', '27,800', '31,200'][place],
        secondHalf: '45',
        testedAt: pour.at(AGE + place / 10),
      },
      AGE + place / 10,
    );
  expect(await verdictsOf(sampleId)).toEqual(['grout-strength: meets']);
});

describe('mortar', () => {
  const asked = {
    mortarType: 'S',
    mortarBy: 'property',
    mortarCement: 'lime',
    partsCement: '1',
    partsLime: '0.5',
    partsSand: '4.25',
    edition: '2019',
  };
  const broken = async (purpose: string) => {
    const mix = await goods({
      material: 'mortar',
      asked,
      about: { wall: 'grid 3 to 6' },
      register: {
        how: 'mortar-cubes',
        form: 'mortar-2',
        count: 3,
        told: { madeAt: '2031-05-14T13:30:00Z', ageDays: '28' },
      },
    });
    const sampleId = await mix.set({ purpose }, 1);
    for (const [place, view] of (await mix.views(sampleId)).entries())
      await mix.test(
        'mortar-cube',
        view,
        {
          machine: 'TST-PRESS',
          surface: 'moist',
          found: 'sound',
          faces: 'cast',
          zeroed: true,
          guarded: true,
          maximumLoad: ['22,260', '22,420', '21,980'][place],
          loadingRate: '300',
          testedAt: mix.at(AGE + place / 10),
        },
        AGE + place / 10,
      );
    return sampleId;
  };
  it('of the laboratory is held by its type', async () => {
    expect(await verdictsOf(await broken('laboratory'))).toEqual(['mortar-strength: meets']);
  });
  it('of the wall has a mean and no verdict', async () => {
    const sampleId = await broken('field');
    expect(await verdictsOf(sampleId)).toEqual([]);
    expect((await dossier(sampleId)).sets.map(({ test }) => test.text)).toEqual(['5,560']);
  });
});
