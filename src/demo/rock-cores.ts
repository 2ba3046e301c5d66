import { randomUUID } from 'node:crypto';
import { DateTime } from 'luxon';
import { Chance } from '@/core/statistics';
import type { Database } from '@/db/client';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { registerSpecimens } from '@/server/actions/register';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { specimenViews } from '@/server/queries/dossier';
import type { Readings } from './fresh';
import type { Hands } from './hands';
import { JOB } from './scenario';

/** A core as the story has it; strength in psi, tilts of its ends in thousandths, how it failed. */
interface Core {
  readonly strength: number;
  readonly tilt: number;
  readonly failure: string;
  readonly angle?: string;
  /** Water in it, percent of the dry mass, where its pieces were dried; left out where they still are in the oven. */
  readonly water?: number;
}

const CORES: readonly Core[] = [
  { strength: 17_300, tilt: 0.9, failure: 'shear', angle: '26', water: 0.62 },
  { strength: 15_900, tilt: 1.3, failure: 'splitting' },
  // One end was ground out of square, which the dial says: its strength stands in no mean.
  { strength: 14_200, tilt: 5.2, failure: 'cone' },
  { strength: 6_900, tilt: 1.1, failure: 'joint' },
  { strength: 18_400, tilt: 0.7, failure: 'multiple' },
];
const ACROSS = [0.1, 0.35, 0.6, 0.85, 1.1, 1.35, 1.6, 1.85] as const;

/** The dial along both diameters of both ends, a quarter of an inch apart; parallel ends lean opposite ways. */
function endReadings({ tilt }: Core, chance: Chance): Readings['endReadings'] {
  const slopes = { '1A': tilt, '2A': -tilt * 0.9, '1B': tilt * 0.4, '2B': -tilt * 0.3 };
  return Object.entries(slopes).flatMap(([along, slope]) =>
    ACROSS.map((x, place) => ({
      id: `${along.toLowerCase()}${place}`,
      along,
      x: String(x),
      y: ((slope * (x - 0.1)) / 1000 + chance.between(-0.00035, 0.00035)).toFixed(4),
    })),
  );
}

function readingsOf(core: Core, chance: Chance): Readings {
  const middle = 2.0 + chance.between(-0.004, 0.004);
  const around = (): string => (middle + chance.between(-0.003, 0.003)).toFixed(3);
  const length = 4.42 + chance.between(-0.06, 0.06);
  const load = core.strength * ((Math.PI * middle ** 2) / 4);
  return {
    machine: 'PR-04',
    calliper: 'CA-01',
    cracked: core.failure === 'joint' ? 'closed' : 'none',
    grain: '0.14',
    ...{
      top1: around(),
      top2: around(),
      middle1: around(),
      middle2: around(),
      bottom1: around(),
      bottom2: around(),
    },
    ...{ length1: length.toFixed(2), length2: (length + 0.01).toFixed(2), length3: length.toFixed(2) },
    ...{ ends: 'ground', side: '0.006', sense: 'outward', endReadings: endReadings(core, chance) },
    ...{ control: 'stress', chosenRate: '100', loadingRate: String(Math.round(chance.between(95, 105))) },
    ...{ zeroed: 'true', guarded: 'true' },
    maximumLoad: String(Math.round(load / 10) * 10),
    time: String(Math.round(core.strength / 100)),
    failure: core.failure,
    ...(core.angle ? { failureAngle: core.angle } : {}),
    kept: 'bagged at the press',
  };
}

/** Cores of the quarry that the breakwater is built from: five are broken, one waits, pieces of two are dried for their water. */
export async function addCores(db: Database, { act, read }: Hands, jobId: string, now: Date): Promise<void> {
  const chance = new Chance(1972);
  const day = DateTime.fromJSDate(now, { zone: JOB.zone }).minus({ days: 3 }).startOf('day');
  const on = (days: number, hour: number, minute = 0): number =>
    day.plus({ days, hours: hour, minutes: minute }).toMillis();
  const iso = (at: number): string => new Date(at).toISOString();
  const { specificationId } = await act(
    'reviewer',
    createSpecification,
    {
      jobId,
      material: 'rock',
      code: 'PM-R2',
      title: 'Armour stone of the breakwater',
      asked: {
        expectedStrength: '16,200 psi',
        leastCores: '14,500 psi',
        leastCore: '11,500 psi',
        law: 'own',
      },
    },
    on(-20, 9),
  );
  const { lotId } = await act(
    'laboratory',
    createLot,
    {
      ...{ jobId, specificationId, title: 'Quarry hole Q-2', startsAt: iso(on(-2, 10)) },
      about: {
        ...{
          source: 'borehole',
          location: 'Breakwater quarry, second bench',
          rock: 'dark basalt, fine grained',
        },
        ...{ depthFrom: '12.4 ft', depthTo: '19.0 ft', weathering: 'I', moisture: 'received' },
      },
    },
    on(-2, 10),
  );
  const { sampleId } = await act(
    'laboratory',
    takeSample,
    {
      ...{ clientId: randomUUID(), lotId, sampledAt: iso(on(0, 9)) },
      about: { pieces: 'rock-cylinder', direction: 'none', kept: 'wrapped, sawn and ground wet' },
    },
    on(0, 9),
  );
  await act(
    'laboratory',
    registerSpecimens,
    { sampleId, how: 'pieces', form: 'rock-cylinder', count: CORES.length + 1 },
    on(0, 9, 10),
  );
  const views = await specimenViews(db, [sampleId]);
  const made = async (method: string, specimenId: string, values: Readings, at: number, whole = true) => {
    const { runId } = await act('laboratory', startRun, { method, specimenId }, at);
    await read('laboratory', runId, values, at, whole);
  };
  for (const [place, core] of CORES.entries()) {
    const at = on(1, 10, 12 * place);
    const id = views[place]?.id ?? '';
    await made('rock-compression', id, { ...readingsOf(core, chance), testedAt: iso(at) }, at);
    if (core.water === undefined && place !== CORES.length - 1) continue;
    const [tin, dry] = [121.4 + place, 598 + chance.between(0, 40)];
    const wet = {
      ...{ balance: 'BL-02', tin: `T-${place + 3}`, tinMass: tin.toFixed(1) },
      ...{ wetMass: (tin + dry * (1 + (core.water ?? 0.7) / 100)).toFixed(1), wetAt: iso(at + 600_000) },
      ...{ oven: 'OV-01', dried: 'usual', temperature: '230', inAt: iso(at + 1_500_000) },
    };
    if (core.water === undefined) await made('rock-water', id, wet, at + 1_500_000, false);
    else {
      const weighed = [22.4, 24].map((hours, turn) => ({
        ...{ id: `w${turn}`, mass: (tin + dry + (turn === 0 ? 0.2 : 0)).toFixed(1) },
        at: iso(at + hours * 3_600_000),
      }));
      const end = at + 24.1 * 3_600_000;
      await made('rock-water', id, { ...wet, weighings: weighed, precision: 'b', finishedAt: iso(end) }, end);
    }
  }
}
