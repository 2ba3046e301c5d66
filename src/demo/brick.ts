import { randomUUID } from 'node:crypto';
import { Chance } from '@/core/statistics';
import type { Database } from '@/db/client';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { registerSpecimens } from '@/server/actions/register';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { type SpecimenView, specimenViews } from '@/server/queries/dossier';
import { batchWith } from './batch';
import type { Readings } from './fresh';
import type { Hands } from './hands';
import { capsOf } from './masonry';

const HOUR = 3_600_000;
const MINUTE = 60_000;

/** A half as it would be found: sizes in in, masses in g, load in lbf, all made up. */
interface Half {
  readonly length: number;
  readonly width: number;
  readonly dry: number;
  readonly cold: number;
  readonly boiled: number;
  readonly load: number;
}

/** @param thirst how much of its pores cold water fills */
function halfOf(chance: Chance, thirst: number): Half {
  const [length, width] = [3.78 + chance.between(-0.03, 0.03), 3.61 + chance.between(-0.02, 0.02)];
  const dry = 934 + chance.between(-9, 9);
  const boiled = dry * (1.118 + chance.between(-0.003, 0.003));
  return {
    length,
    width,
    dry,
    boiled,
    cold: dry + (boiled - dry) * (thirst + chance.between(-0.006, 0.006)),
    load: length * width * (6850 + chance.between(-320, 320)),
  };
}

/** How far a delivery has come, days ago, and how thirsty its brick is. */
const STORIES = [
  { title: 'Ticket hall front, first load', bricks: '18,400', days: 17, thirst: 0.835, far: 'done' },
  { title: 'Ticket hall front, second load', bricks: '15,900', days: 4, thirst: 0.71, far: 'boiling' },
] as const;

/** Facing brick for the ticket hall: a load whose saturation keeps it from its grade, and one that boils now. */
export async function addBrick(db: Database, { act, read }: Hands, jobId: string, now: Date): Promise<void> {
  const chance = new Chance(6127);
  const iso = (at: number): string => new Date(Math.floor(at / MINUTE) * MINUTE).toISOString();
  const together = batchWith({ act, read });
  const { specificationId } = await act(
    'reviewer',
    createSpecification,
    {
      jobId,
      material: 'brick',
      code: 'PM-F1',
      title: 'Facing brick, ticket hall',
      asked: {
        product: 'c216',
        edition: '2023',
        grade: 'sw',
        type: 'fbs',
        width: '3 5/8 in',
        height: '2 1/4 in',
        length: '7 5/8 in',
        expectedStrength: '6,700 psi',
      },
    },
    now.getTime() - 32 * 24 * HOUR,
  );
  for (const { title, bricks, days, thirst, far } of STORIES) {
    // What boils now went into cold water a day ago, whatever the hour is.
    const start = far === 'done' ? now.getTime() - days * 24 * HOUR : now.getTime() - 61 * HOUR;
    const at = (hours: number): number => start + hours * HOUR;
    const { lotId } = await act(
      'laboratory',
      createLot,
      {
        jobId,
        specificationId,
        title,
        startsAt: iso(at(-2)),
        about: { producer: 'Saltmarsh clay works', producerLot: `K${days}`, units: bricks },
      },
      at(-1),
    );
    const { sampleId } = await act(
      'laboratory',
      takeSample,
      {
        clientId: randomUUID(),
        lotId,
        sampledAt: iso(at(0)),
        about: { draw: 'first', how: 'by number over all pallets' },
      },
      at(0),
    );
    const register = (how: string, form: string, count: number, hours: number) =>
      act('laboratory', registerSpecimens, { sampleId, how, form, count }, at(hours));
    const test = async (
      method: string,
      view: SpecimenView,
      values: Readings,
      hours: number,
      whole = true,
    ) => {
      const { runId } = await act('laboratory', startRun, { method, specimenId: view.id }, at(hours - 0.1));
      await read('laboratory', runId, values, at(hours), whole);
      return runId;
    };
    await register('bricks', 'brick', 10, 0.2);
    const bricksDrawn = await specimenViews(db, [sampleId]);
    const size = (specified: number): string => (specified + chance.between(-0.04, 0.03)).toFixed(2);
    if (far === 'done')
      for (const [place, view] of bricksDrawn.entries())
        await test(
          'brick-size',
          view,
          {
            calliper: 'CA-01',
            places: [1, 2, 3, 4].map(() => ({ width: size(3.625), height: size(2.25), length: size(7.62) })),
            warp: '1/32',
            warped: 'hollow',
            sand: String(Math.round(chance.between(205, 222))),
            measuredAt: iso(at(0.5 + place * 0.05)),
          },
          0.5 + place * 0.05,
        );
    await register('halves', 'brick-half', 5, 1.2);
    const all = await specimenViews(db, [sampleId]);
    const [broken, soaked] = ['compression', 'absorption'].map((role) =>
      all.filter((each) => each.role === role),
    ) as [SpecimenView[], SpecimenView[]];
    const made = new Map([...broken, ...soaked].map((view) => [view.id, halfOf(chance, thirst)]));
    const of = (view: SpecimenView): Half => made.get(view.id) as Half;
    const halves = [...broken, ...soaked];
    const weighed = (hours: number, left: number) =>
      halves.map((view, place) => ({
        id: `h${hours}p${place}`,
        specimen: view.label,
        mass: (of(view).dry + left).toFixed(1),
        at: iso(at(hours + place * 0.03)),
      }));
    await together(
      'brick-drying',
      halves,
      {
        oven: 'OV-01',
        balance: 'BL-03',
        temperature: '235',
        inAt: iso(at(2)),
        weighings: [...weighed(26.1, 2.6), ...weighed(28.2, 0.4), ...weighed(30.4, 0)],
        dryAt: iso(at(30.8)),
        cooling: 'room',
        cooledAt: iso(at(35.2)),
      },
      at(35.2),
      true,
    );
    if (far === 'done') {
      await together(
        'capping',
        broken,
        {
          kind: 'gypsum',
          lot: 'GY-07',
          levelled: 'true',
          mould: 'plate',
          ...capsOf(broken, at(47), iso, chance),
          sounding: 'sound',
        },
        at(50),
        true,
      );
      for (const [place, view] of broken.entries()) {
        const half = of(view);
        await test(
          'brick-compression',
          view,
          {
            machine: 'PR-05',
            calliper: 'CA-01',
            state: 'sound',
            recess: 'none',
            lengthTop: half.length.toFixed(2),
            widthTop: half.width.toFixed(2),
            lengthBottom: (half.length - 0.01).toFixed(2),
            widthBottom: half.width.toFixed(2),
            spacers: '6 + 3 + 2',
            flush: 'yes',
            zeroed: 'true',
            guarded: 'true',
            maximumLoad: String(Math.round(half.load / 10) * 10),
            testedAt: iso(at(52 + place * 0.2)),
            secondHalf: String(Math.round(chance.between(70, 98))),
          },
          52 + place * 0.2,
        );
      }
    }
    const wiped = (what: 'cold' | 'boiled', hours: number) =>
      soaked.map((view, place) => ({
        specimen: view.label,
        mass: of(view)[what].toFixed(1),
        out: String(Math.round(chance.between(35, 70))),
        at: iso(at(hours + place * 0.04)),
      }));
    await together(
      'brick-soak',
      soaked,
      {
        balance: 'BL-03',
        inAt: iso(at(35.4)),
        water: '71',
        outAt: iso(at(59.4)),
        halves: wiped('cold', 59.45),
        weighedAt: iso(at(59.7)),
      },
      at(59.7),
      true,
    );
    const boil: Readings = { heatAt: iso(at(59.8)), boilingAt: iso(at(60.5)) };
    if (far === 'boiling') {
      await together('brick-boil', soaked, boil, at(60.6), false);
      continue;
    }
    await together(
      'brick-boil',
      soaked,
      {
        ...boil,
        balance: 'BL-03',
        boiled: 'through',
        offAt: iso(at(65.6)),
        water: '77',
        outAt: iso(at(82.1)),
        halves: wiped('boiled', 82.15),
        weighedAt: iso(at(82.4)),
      },
      at(82.5),
      true,
    );
    for (const [place, view] of soaked.entries())
      await test(
        'brick-absorption',
        view,
        { whole: 'yes', lookedAt: iso(at(82.6 + place * 0.02)) },
        82.6 + place * 0.02,
      );
    for (const [place, view] of bricksDrawn.slice(5).entries()) {
      const before = 1862 + chance.between(-8, 8);
      await test(
        'brick-suction',
        view,
        {
          balance: 'BL-03',
          state: 'received',
          length: '7.61',
          width: '3.60',
          depth: '0.125',
          water: '71',
          before: before.toFixed(1),
          contact: '60',
          after: (before + 17 + chance.between(-2, 2)).toFixed(1),
          toBalance: '25',
          testedAt: iso(at(84 + place * 0.1)),
        },
        84 + place * 0.1,
      );
    }
  }
}
