import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { guessHeat, STAND_IN_CELLS, STARTED_BEFORE } from '@/core/calorimetry';
import { sectionsOf } from '@/core/report';
import { PressServer } from '@/devices/press/press-server';
import { calorimeterStandIn, loggerStandIn } from '@/devices/press/stand-in';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { makeSite, readingsOf, type Site } from '@/testing/site';
import { addEquipment, recordVerification } from './actions/gear';
import { createLot, createSpecification } from './actions/jobs';
import { keepRecord, readOutLogger } from './actions/records';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { takeSample } from './actions/samples';
import { perform } from './perform';
import { overlayOf } from './queries/overlay';
import { recordFile } from './queries/record';
import { runSheet } from './queries/run';
import { composeReport } from './reports/content';
import type { UseCase } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let sampleId = '';
const devices: PressServer[] = [];
const NOW = new Date('2031-10-02T12:00:00Z');
const BEGAN = NOW.getTime() - STARTED_BEFORE * 3_600_000;
const iso = (hours: number): string => new Date(BEGAN + hours * 3_600_000).toISOString();
const act = <I extends object, R>(
  useCase: UseCase<I, R>,
  data: object,
  by = site.actors.laboratory,
): Promise<R> => perform(site.db, by, useCase, data, NOW);

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'HEA', 'US');
  devices.push(
    new PressServer({ number: 'HEA-CAL', port: 0, device: calorimeterStandIn(7, NOW.getTime()) }),
    new PressServer({ number: 'HEA-LOG', port: 0, device: loggerStandIn(3, 'wires', NOW.getTime()) }),
  );
  const ports = await Promise.all(devices.map((each) => each.start()));
  process.env.BRICOLE_FEEDS = `HEA-CAL=127.0.0.1:${ports[0]},HEA-LOG=127.0.0.1:${ports[1]}`;
  const { equipmentId } = await act(
    addEquipment,
    { number: 'HEA-CAL', kind: 'calorimeter', name: 'Calorimeter' },
    site.actors.manager,
  );
  await act(recordVerification, { equipmentId, verifiedOn: '2031-08-02' });
  const { specificationId } = await act(
    createSpecification,
    {
      ...{ jobId: site.jobId, material: 'cement', code: 'H-1', title: 'Low heat' },
      asked: {
        cementType: 'c150.II-MH',
        edition: '2031',
        orderedHeat: true,
        orderedBy: 'Agency, 3 May 2031',
      },
    },
    site.actors.reviewer,
  );
  const { lotId } = await act(createLot, {
    ...{ jobId: site.jobId, specificationId, title: 'Lot 4', startsAt: iso(-90) },
    about: { plant: 'Works', silo: 'silo 1', tons: '120' },
  });
  ({ sampleId } = await act(takeSample, {
    ...{ clientId: randomUUID(), lotId, sampledAt: iso(-40) },
    about: { mode: 'shipment' },
  }));
});
afterAll(async () => {
  for (const device of devices) await device.stop();
  await fresh?.close();
});

async function opened(): Promise<string> {
  const { runId } = await act(startRun, { method: 'cement-heat', sampleId });
  await act(saveReadings, {
    runId,
    readings: readingsOf({
      ...{ calorimeter: 'HEA-CAL', bath: '23.0', mixed: 'outside', days: '1', conditioned: '20' },
      cells: STAND_IN_CELLS.slice(0, 2).map(({ name, contact, insertedAfter, paste }) => ({
        ...{ id: `c${name}`, channel: name, cement: '10.00', water: '5.00', paste: paste.toFixed(2) },
        ...{ contactAt: iso(contact), insertedAt: iso(contact + insertedAfter / 60) },
      })),
    }),
  });
  return runId;
}
const readOut = (runId: string, logger = 'HEA-CAL', field = 'record') =>
  act(readOutLogger, { id: randomUUID(), runId, field, logger });
/** A few rows of mW in a file. */
const FILE = 'min,1 (mW),2 (mW)\n0,0.1,0.2\n1,0.1,0.2\n2,0.1,0.2';
const kept = (runId: string, mapping: object) =>
  act(keepRecord, {
    ...{ id: randomUUID(), runId, field: 'record', name: 'cells.csv' },
    ...{ data: gzipSync(FILE).toString('base64'), mapping },
  });

describe('a calorimeter with a line', () => {
  it('is read out into its test, all cells of it, and its curves come to what stands in it', async () => {
    const runId = await opened();
    await readOut(runId);
    const sheet = await runSheet(site.db, site.actors.laboratory, runId, NOW);
    const record = sheet.setup.records?.record;
    expect(record?.kind).toBe('heat');
    expect(record?.channels.map(({ name }) => name)).toEqual(STAND_IN_CELLS.map(({ name }) => name));
    await act(saveReadings, { runId, readings: readingsOf({ finishedAt: iso(28) }) });
    await act(completeRun, { runId, reasons: [] });
    const done = await runSheet(site.db, site.actors.laboratory, runId, NOW);
    expect(done.view?.outcome?.results.map(({ quantity }) => quantity)).toEqual([
      'heat in 24 h',
      'main maximum of power',
      'half of the maximum, from the water',
    ]);
    const cleaned = await recordFile(site.db, site.actors.laboratory, {
      runId,
      field: 'record',
      form: 'cleaned.csv',
    });
    expect(String(cleaned.body).split('\r\n')[0]).toBe(
      `instant,${STAND_IN_CELLS.map(({ name }) => `"${name}, mW"`).join(',')}`,
    );
  });
  it('its curves stand in the report of its sample', async () => {
    const { content } = await composeReport(site.db, site.actors.reviewer, { sampleId });
    const titles = JSON.stringify(sectionsOf(content));
    expect(titles.includes('Heat of hydration: power to a gram of cement')).toBe(true);
  });
  it('a logger of temperatures is none, and is told so', async () => {
    const runId = await opened();
    await expect(readOut(runId, 'HEA-LOG')).rejects.toThrow('What HEA-LOG sent is no record of power.');
    await expect(readOut(runId, 'HEA-CAL', 'bath')).rejects.toThrow(/This record/u);
  });
});

describe('a file of a calorimeter', () => {
  it('is kept as it came, read by its unit', async () => {
    const runId = await opened();
    await kept(runId, guessHeat(FILE)?.mapping ?? {});
    const original = await recordFile(site.db, site.actors.laboratory, {
      runId,
      field: 'record',
      form: 'original',
    });
    expect(String(original.body)).toBe(FILE);
  });
  it('with the scale of a thermometer is refused in words, at its field', async () => {
    const runId = await opened();
    const mapping = { ...guessHeat(FILE)?.mapping, unit: 'degC' };
    expect(await errorsOf(kept(runId, mapping))).toMatchObject({
      data: 'This reading is a record of power: choose its unit.',
    });
  });
});

describe('tests laid over one another', () => {
  it('are the one that was asked for and those that were chosen, at most six', async () => {
    const laid = async (withIds: readonly string[]) =>
      overlayOf(site.db, site.actors.laboratory, (await offered())[0]?.id ?? '', withIds);
    const offered = async () =>
      (await overlayOf(site.db, site.actors.laboratory, await opened(), [])).offered;
    const [first] = await offered();
    expect(first).toMatchObject({ of: 'H-1, Lot 4, 2 Oct 2031' });
    const alone = await laid(['nothing of the kind']);
    expect(alone.laid.map(({ id }) => id)).toEqual([first?.id]);
    expect(alone.laid[0]?.picture.kind).toBe('cement-heat');
    expect(alone.title).toBe('Heat of hydration');
  });
  it('are not a client’s to look at, and of no test there are none', async () => {
    await expect(overlayOf(site.db, site.actors.client, randomUUID(), [])).rejects.toThrow();
    await expect(overlayOf(site.db, site.actors.laboratory, randomUUID(), [])).rejects.toThrow(/This run/u);
  });
});
