import { randomUUID } from 'node:crypto';
import { DateTime } from 'luxon';
import { Chance } from '@/core/statistics';
import type { Database } from '@/db/client';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { registerSpecimens } from '@/server/actions/register';
import { prepareReport } from '@/server/actions/reports';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { type SpecimenView, specimenViews } from '@/server/queries/dossier';
import { batchWith } from './batch';
import type { Readings } from './fresh';
import type { Hands } from './hands';
import { JOB } from './scenario';

const HOUR = 3_600_000;
const MINUTE = 60_000;
const WATER = 62.4;

/** A unit as it would be found: sizes in in, masses in lb, all made up. */
interface Unit {
  readonly sizes: Readonly<Record<'width' | 'height' | 'length', number>>;
  readonly received: number;
  readonly immersed: number;
  readonly saturated: number;
  readonly dry: number;
  readonly area: number;
}

function unitOf(chance: Chance): Unit {
  const sizes = {
    width: 7.63 + chance.between(-0.015, 0.015),
    height: 7.61 + chance.between(-0.02, 0.02),
    length: 15.62 + chance.between(-0.02, 0.02),
  };
  const area = sizes.width * sizes.length * (0.548 + chance.between(-0.003, 0.003));
  const volume = (area * sizes.height) / 1728;
  const dry = volume * (119 + chance.between(-0.8, 0.8));
  const saturated = dry + volume * (10.4 + chance.between(-0.5, 0.5));
  return {
    sizes,
    area,
    dry,
    saturated,
    immersed: saturated - volume * WATER,
    received: dry + (saturated - dry) * 0.36,
  };
}

/** A delivery as the story has it: how strong its units are, and how far they have come. */
interface Story {
  readonly title: string;
  readonly units: string;
  /** Days ago. */
  readonly days: number;
  readonly strengths: readonly [number, number, number];
  readonly far: 'done' | 'in the oven';
  /** The works' report on shrinkage came with it. */
  readonly reported: boolean;
}

const STORIES: readonly Story[] = [
  {
    title: 'Plant room, first cube',
    units: '3,840',
    days: 19,
    strengths: [2910, 2780, 2985],
    far: 'done',
    reported: true,
  },
  // Their mean lies a few psi below what is asked, and is 2,000 as it is reported.
  {
    title: 'Plant room, second cube',
    units: '3,840',
    days: 14,
    strengths: [2044, 1952, 1994],
    far: 'done',
    reported: true,
  },
  {
    title: 'Ticket hall core',
    units: '2,160',
    days: 9,
    strengths: [1988, 1871, 1934],
    far: 'done',
    reported: true,
  },
  {
    title: 'Ticket hall gable',
    units: '1,440',
    days: 4,
    strengths: [2860, 2905, 2790],
    far: 'in the oven',
    reported: false,
  },
];

/** Block for the plant room and the ticket hall: four deliveries, from one that meets to one in the oven now. */
export async function addMasonryUnits(
  db: Database,
  { act, read }: Hands,
  jobId: string,
  now: Date,
): Promise<void> {
  const chance = new Chance(8154);
  const iso = (at: number): string => new Date(Math.floor(at / MINUTE) * MINUTE).toISOString();
  const { specificationId } = await act(
    'reviewer',
    createSpecification,
    {
      jobId,
      material: 'masonry',
      code: 'PM-B1',
      title: 'Block, 8 in, plant room and ticket hall',
      asked: {
        product: 'c90',
        edition: '2022',
        width: '7 5/8 in',
        height: '7 5/8 in',
        length: '15 5/8 in',
        joint: '3/8 in',
        expectedStrength: '2,800 psi',
      },
    },
    now.getTime() - 30 * 24 * HOUR,
  );
  const together = batchWith({ act, read });
  for (const { title, units, days, strengths, far, reported } of STORIES) {
    const day = DateTime.fromJSDate(now, { zone: JOB.zone }).minus({ days }).startOf('day');
    // What is in the oven now went in a day ago, whatever the hour is; the rest went by working days.
    const start = far === 'done' ? day.plus({ hours: 8, minutes: 20 }).toMillis() : now.getTime() - 78 * HOUR;
    const at = (hours: number): number => start + hours * HOUR;
    const { lotId } = await act(
      'laboratory',
      createLot,
      {
        jobId,
        specificationId,
        title,
        startsAt: iso(at(-2)),
        about: { producer: 'Ferry Lane block works', producerLot: `FL-${2100 + days}`, units },
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
        about: { draw: 'first', how: 'by number over all cubes' },
      },
      at(0),
    );
    await act(
      'laboratory',
      registerSpecimens,
      { sampleId, how: 'units', form: 'unit-full', count: 6 },
      at(0.2),
    );
    const all = await specimenViews(db, [sampleId]);
    const made = all.map(() => unitOf(chance));
    const [broken, soaked] = [all.slice(0, 3), all.slice(3)];
    const of = (view: SpecimenView): Unit => made[all.indexOf(view)] as Unit;
    await together(
      'unit-receiving',
      all,
      {
        balance: 'BL-02',
        cleaned: 'true',
        place: 'Masonry bench',
        units: all.map((view, place) => ({
          specimen: view.label,
          mass: of(view).received.toFixed(2),
          at: iso(at(0.5 + place * 0.05)),
          damage: 'none',
        })),
        receivedAt: iso(at(0.9)),
      },
      at(1),
      true,
    );
    const conditioned = await together(
      'unit-conditioning',
      broken,
      {
        way: 'room',
        apart: 'true',
        placedAt: iso(at(1)),
        air: [1, 24, 47].map((hours) => ({
          at: iso(at(hours)),
          temperature: String(Math.round(chance.between(69, 74))),
          humidity: String(Math.round(chance.between(52, 66))),
        })),
      },
      at(1.1),
      false,
    );
    const measured = [];
    for (const [place, view] of soaked.entries()) {
      const { runId } = await act(
        'laboratory',
        startRun,
        { method: 'unit-absorption', specimenId: view.id },
        at(2 + place * 0.1),
      );
      await read(
        'laboratory',
        runId,
        {
          calliper: 'CA-01',
          piece: 'full',
          ...sizesOf(of(view), chance),
          measuredAt: iso(at(2.1 + place * 0.1)),
        },
        at(2.1 + place * 0.1),
        false,
      );
      measured.push(runId);
    }
    const soak = await together(
      'unit-soak',
      soaked,
      { inAt: iso(at(26)), water: String(Math.round(chance.between(66, 72))), lies: 'apart' },
      at(26.1),
      false,
    );
    await read(
      'laboratory',
      soak,
      {
        balance: 'BL-02',
        tared: 'true',
        outAt: iso(at(51)),
        units: soaked.map((view, place) => ({
          specimen: view.label,
          immersed: of(view).immersed.toFixed(2),
          drained: '60',
          saturated: of(view).saturated.toFixed(2),
          at: iso(at(51.1 + place * 0.1)),
        })),
        weighedAt: iso(at(51.5)),
      },
      at(51.6),
      true,
    );
    await read('laboratory', conditioned, { moisture: 'none', takenAt: iso(at(50)) }, at(50), true);
    const oven = await together(
      'oven-drying',
      soaked,
      { oven: 'OV-01', balance: 'BL-02', temperature: '231', inAt: iso(at(51.7)) },
      at(51.8),
      false,
    );
    const weigh = (hours: number, left: number) =>
      read(
        'laboratory',
        oven,
        {
          weighings: soaked.map((view, place) => ({
            id: `h${hours}u${place}`,
            specimen: view.label,
            mass: (of(view).dry + left).toFixed(2),
            at: iso(at(51.8 + hours + place * 0.05)),
          })),
        },
        at(52 + hours),
        false,
      );
    await weigh(24, 0.21);
    if (far === 'in the oven') continue;
    await weigh(26, 0.1);
    await weigh(28, 0.04);
    await weigh(30, 0.01);
    await read('laboratory', oven, { dryAt: iso(at(82)) }, at(82.2), true);
    for (const runId of measured) await read('laboratory', runId, { piece: 'full' }, at(82.5), true);
    await together(
      'capping',
      broken,
      {
        kind: 'gypsum',
        lot: 'GY-07',
        levelled: 'true',
        mould: 'plate',
        ...capsOf(broken, at(51.8), iso, chance),
        sounding: 'sound',
      },
      at(53),
      true,
    );
    for (const [place, view] of broken.entries()) {
      const when = at(55 + place * 0.2);
      const { runId } = await act(
        'laboratory',
        startRun,
        { method: 'unit-compression', specimenId: view.id },
        when - 10 * MINUTE,
      );
      const load =
        Math.round(((strengths[place] ?? 0) * meanOf(soaked.map((each) => of(each).area))) / 10) * 10;
      await read(
        'laboratory',
        runId,
        {
          machine: 'PR-05',
          calliper: 'CA-01',
          moisture: 'none',
          ...sizesOf(of(view), chance, false),
          plate: '2.5',
          spacers: '6 + 2',
          flush: 'yes',
          zeroed: 'true',
          guarded: 'true',
          maximumLoad: String(load),
          testedAt: iso(when),
          secondHalf: String(Math.round(chance.between(74, 104))),
        },
        when,
        true,
      );
    }
    if (!reported) continue;
    const { runId } = await act('laboratory', startRun, { lotId, method: 'unit-report' }, at(86));
    const quoted = {
      property: 'shrinkage',
      shrinkage: '0.038 %',
      laboratory: 'Ferry Lane works laboratory',
      number: `FL-S${days}`,
      reportDate: '14 September',
      takenAt: iso(at(86)),
    };
    await read('laboratory', runId, quoted, at(86), true);
    if (days === 19) await act('laboratory', prepareReport, { lotId }, at(90));
  }
}

/** The mixes, caps and looks of units that are capped one after the other, an hour for a face. @param from ms */
export function capsOf(
  units: readonly SpecimenView[],
  from: number,
  iso: (at: number) => string,
  chance: Chance,
): Readings {
  const cast = (place: number, end: number): string => iso(from + (place * 6 + (end - 1) * 35) * MINUTE);
  const pours = [1, 2].flatMap((end) =>
    units.map((view, place) => ({ specimen: view.label, end: String(end), at: cast(place, end) })),
  );
  return {
    mixes: [1, 2].map((end) => ({ gypsum: '1850', water: '499', at: cast(0, end) })),
    pours,
    lastCapAt: cast(units.length - 1, 2),
    inspected: pours.map(({ specimen, end }) => ({
      specimen,
      end,
      thickness: chance.between(0.07, 0.11).toFixed(2),
      look: 'sound',
    })),
  };
}

function meanOf(values: readonly number[]): number {
  return values.reduce((sum, each) => sum + each, 0) / values.length;
}

/** Both readings of each side; of units that are dried shells and webs too. */
function sizesOf({ sizes }: Unit, chance: Chance, thin = true): Readings {
  const both = Object.entries(sizes).flatMap(([side, size]) => [
    [`${side}1`, size.toFixed(2)],
    [`${side}2`, (size + chance.between(-0.01, 0.01)).toFixed(2)],
  ]);
  const part = (size: number): string => (size + chance.between(-0.01, 0.015)).toFixed(2);
  return {
    ...Object.fromEntries(both),
    ...(thin
      ? {
          shell1: part(1.27),
          shell2: part(1.28),
          webs: [0, 1, 2].map(() => ({ thickness: part(1.02), height: '7.60' })),
        }
      : {}),
  };
}
