import { randomUUID } from 'node:crypto';
import { DateTime } from 'luxon';
import { Chance } from '@/core/statistics';
import type { Database } from '@/db/client';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { registerSpecimens } from '@/server/actions/register';
import { prepareReport } from '@/server/actions/reports';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { specimenViews } from '@/server/queries/dossier';
import type { Readings } from './fresh';
import type { Hands } from './hands';
import { addCores } from './rock-cores';
import { JOB } from './scenario';

const SIZE = 1.9685;
const EXPONENT = 0.45;

/** A group of pieces as the story has it: how they lie, how strong they are, how many are broken by now. */
interface Group {
  readonly pieces: 'rock-lump' | 'rock-core';
  readonly direction: 'perpendicular' | 'parallel' | 'none';
  readonly type: 'axial' | 'diametral' | 'lump';
  readonly kept: string;
  readonly index: number;
  readonly spread: number;
  readonly taken: number;
  readonly broken: number;
}

const ACROSS: Group = {
  pieces: 'rock-core',
  direction: 'perpendicular',
  type: 'axial',
  kept: 'wrapped in the core box, tested the same day',
  index: 618,
  spread: 0.13,
  taken: 12,
  broken: 12,
};
const ALONG: Group = { ...ACROSS, direction: 'parallel', type: 'diametral', index: 402, spread: 0.15 };
const LUMPS: Group = {
  pieces: 'rock-lump',
  direction: 'none',
  type: 'lump',
  kept: 'in closed buckets',
  index: 514,
  spread: 0.19,
  taken: 27,
  broken: 24,
};

/** What a piece of a group gives: sizes and load so that its index is what was drawn; made up. */
function pieceOf({ type, index, spread }: Group, chance: Chance): Readings {
  const core = type !== 'lump';
  const width = core ? 2.4 + chance.between(-0.02, 0.02) : chance.between(2.0, 3.1);
  const depth =
    type === 'diametral'
      ? width
      : type === 'axial'
        ? chance.between(1.3, 1.9)
        : width * chance.between(0.64, 0.93);
  const square = type === 'diametral' ? depth ** 2 : (4 * depth * width) / Math.PI;
  const own = Math.max(index * 0.5, chance.normal(index, index * spread));
  const load = (own / (Math.sqrt(square) / SIZE) ** EXPONENT) * square;
  return {
    frame: 'PL-01',
    calliper: 'CA-01',
    safe: 'true',
    type,
    cracked: 'no',
    ...(type === 'diametral' ? { length: '4.6' } : { width1: width.toFixed(2) }),
    freeEnd: (depth * chance.between(0.62, 1.05)).toFixed(2),
    separation: depth.toFixed(2),
    zeroed: 'touching',
    load: String(Math.round(load / 10) * 10),
    time: String(Math.round(chance.between(16, 44))),
    dugIn: 'no',
    fracture: chance.pick(['through', 'through', 'three']),
  };
}

/** Rock under the linkspan: a borehole with core in both directions, and a cut whose lumps are still being broken. */
export async function addRock(db: Database, { act, read }: Hands, jobId: string, now: Date): Promise<void> {
  const chance = new Chance(4711);
  const day = DateTime.fromJSDate(now, { zone: JOB.zone }).minus({ days: 9 }).startOf('day');
  const on = (days: number, hour: number, minute = 0): number =>
    day.plus({ days, hours: hour, minutes: minute }).toMillis();
  const iso = (at: number): string => new Date(at).toISOString();
  const { specificationId } = await act(
    'reviewer',
    createSpecification,
    {
      jobId,
      material: 'rock',
      code: 'PM-R1',
      title: 'Gneiss under the linkspan sockets',
      asked: { expectedStrength: '13,400 psi', leastIndex: '370 psi', law: 'own' },
    },
    on(-20, 9),
  );
  const lot = (title: string, at: number, about: object) =>
    act('laboratory', createLot, { jobId, specificationId, title, startsAt: iso(at), about }, at);
  const hole = await lot('BH-4', on(0, 8, 40), {
    source: 'borehole',
    location: 'Linkspan, seaward socket',
    depthFrom: '41.5 ft',
    depthTo: '47.2 ft',
    rock: 'grey gneiss, medium grained',
    weathering: 'II',
    moisture: 'received',
  });
  const cut = await lot('Abutment cut', on(7, 7, 30), {
    source: 'face',
    location: 'Landward abutment, level +2.1 m',
    rock: 'grey gneiss, medium grained',
    weathering: 'II',
    moisture: 'received',
  });
  const addGroup = async (lotId: string, group: Group, at: number): Promise<void> => {
    const { pieces, direction, kept } = group;
    const { sampleId } = await act(
      'laboratory',
      takeSample,
      { clientId: randomUUID(), lotId, sampledAt: iso(at), about: { pieces, direction, kept } },
      at,
    );
    await act(
      'laboratory',
      registerSpecimens,
      { sampleId, how: 'pieces', form: pieces, count: group.taken },
      at + 600_000,
    );
    const views = await specimenViews(db, [sampleId]);
    for (const [place, { id }] of views.slice(0, group.broken).entries()) {
      const testedAt = at + 1_800_000 + place * 240_000;
      if (testedAt > now.getTime()) return;
      const { runId } = await act(
        'laboratory',
        startRun,
        { method: 'point-load', specimenId: id },
        testedAt - 150_000,
      );
      const values = { ...pieceOf(group, chance), testedAt: iso(testedAt) };
      await read('laboratory', runId, values, testedAt, true);
    }
  };
  await addGroup(hole.lotId, ACROSS, on(0, 13));
  await addGroup(hole.lotId, ALONG, on(0, 15));
  await addGroup(cut.lotId, LUMPS, on(7, 9, 20));
  await act('laboratory', prepareReport, { lotId: hole.lotId }, on(2, 10));
  await addCores(db, { act, read }, jobId, now);
}
