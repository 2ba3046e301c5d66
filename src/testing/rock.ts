import { randomUUID } from 'node:crypto';
import { addEquipment, recordVerification } from '@/server/actions/gear';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { completeRun, saveReadings, startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { perform } from '@/server/perform';
import { specimenViews } from '@/server/queries/dossier';
import { CAST, readingsOf, type Site } from './site';

const MINUTE = 60_000;
/** Minutes after the site's own hour, as an instant. */
export const now = (minutes: number): Date => new Date(CAST + minutes * MINUTE);
export const at = (minutes: number): string => now(minutes).toISOString();

/** A rock with a borehole in it, and a frame in date to break it in. */
export async function makeRock(site: Site): Promise<{ specificationId: string; lotId: string }> {
  const { equipmentId } = await perform(
    site.db,
    site.actors.manager,
    addEquipment,
    { number: 'ROK-POINT', kind: 'point load frame', name: 'Frame' },
    now(-600),
  );
  await perform(
    site.db,
    site.actors.laboratory,
    recordVerification,
    { equipmentId, verifiedOn: '2031-02-01', verifiedFrom: '1 kN', verifiedTo: '50 kN' },
    now(-500),
  );
  const { specificationId } = await perform(
    site.db,
    site.actors.reviewer,
    createSpecification,
    {
      jobId: site.jobId,
      material: 'rock',
      code: 'R1',
      title: 'Granite at the sockets',
      asked: { expectedStrength: '90 MPa', leastIndex: '2.1 MPa', leastStrength: '60 MPa', law: 'own' },
    },
    now(-400),
  );
  const { lotId } = await perform(
    site.db,
    site.actors.laboratory,
    createLot,
    {
      jobId: site.jobId,
      specificationId,
      title: 'BH-9',
      startsAt: at(-300),
      about: {
        source: 'borehole',
        depthFrom: '12 m',
        depthTo: '14.5 m',
        rock: 'granite',
        weathering: 'II',
        moisture: 'received',
      },
    },
    now(-300),
  );
  return { specificationId, lotId };
}

/** A group of pieces of core out of a lot. */
export async function groupOf(
  site: Site,
  lotId: string,
  direction: string,
  minutes: number,
): Promise<string> {
  const { sampleId } = await perform(
    site.db,
    site.actors.laboratory,
    takeSample,
    { clientId: randomUUID(), lotId, sampledAt: at(minutes), about: { pieces: 'rock-core', direction } },
    now(minutes),
  );
  return sampleId;
}

/** Breaks pieces of a group, each at a load; loads in kN. */
/** Breaks the pieces of a group that wait, each at a load in kN: 42 mm between the points, 60 mm wide. */
export async function breakPieces(
  site: Site,
  sampleId: string,
  loads: readonly number[],
  minutes: number,
): Promise<void> {
  const waiting = (await specimenViews(site.db, [sampleId])).filter(({ testedAt }) => !testedAt);
  for (const [place, load] of loads.entries()) {
    const piece = waiting[place];
    if (!piece) throw new Error('too few pieces');
    const testedAt = minutes + place;
    const { runId } = await perform(
      site.db,
      site.actors.laboratory,
      startRun,
      { method: 'point-load', specimenId: piece.id },
      now(testedAt),
    );
    const values = {
      frame: 'ROK-POINT',
      safe: 'true',
      type: 'axial',
      cracked: 'no',
      width1: '60 mm',
      freeEnd: '40 mm',
      separation: '42 mm',
      zeroed: 'touching',
      load: `${load} kN`,
      time: '25',
      dugIn: 'no',
      fracture: 'through',
      testedAt: at(testedAt),
    };
    await perform(
      site.db,
      site.actors.laboratory,
      saveReadings,
      { runId, readings: readingsOf(values) },
      now(testedAt),
    );
    await perform(site.db, site.actors.laboratory, completeRun, { runId, reasons: [] }, now(testedAt));
  }
}
