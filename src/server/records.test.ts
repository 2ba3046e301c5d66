import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sectionsOf } from '@/core/report';
import { guessRecord } from '@/core/temperature';
import { keptRecords, waits } from '@/db/schema';
import { PressServer } from '@/devices/press/press-server';
import { loggerStandIn } from '@/devices/press/stand-in';
import { INDEX, PAIRS } from '@/testing/calibration';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { makeSite, readingsOf, type Site } from '@/testing/site';
import { addEquipment, recordVerification } from './actions/gear';
import { createLot } from './actions/jobs';
import { keepRecord, readOutLogger } from './actions/records';
import { prepareReport } from './actions/reports';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { perform } from './perform';
import { runViews } from './queries/dossier';
import { recordFile } from './queries/record';
import { reportDetail } from './queries/reports';
import { runSheet } from './queries/run';
import { composeReport } from './reports/content';
import type { Actor } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let logger: PressServer;
const START = Date.parse('2031-05-14T13:30:00Z');
const HOUR = 3_600_000;
const NOW = new Date(START + 80 * HOUR);
const at = (hours: number): string => new Date(START + hours * HOUR).toISOString();

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'TMP');
  logger = new PressServer({
    number: 'TMP-LOGGER',
    port: 0,
    device: loggerStandIn(3, 'wires', NOW.getTime()),
  });
  process.env.BRICOLE_FEEDS = `TMP-LOGGER=127.0.0.1:${await logger.start()}`;
  const { equipmentId } = await act(site.actors.manager, addEquipment, {
    number: 'TMP-LOGGER',
    kind: 'logger',
    name: 'Logger',
  });
  await act(site.actors.manager, recordVerification, { equipmentId, verifiedOn: '2031-03-02' });
});
afterAll(async () => {
  await logger?.stop();
  await fresh?.close();
});

const act = <I extends object, R>(
  by: Actor,
  useCase: Parameters<typeof perform<I, R>>[2],
  data: object,
  now = NOW,
) => perform(site.db, by, useCase, data, now);
const opened = async (method: string, values: Record<string, string> = {}): Promise<string> => {
  const { runId } = await act(site.actors.field, startRun, { method, lotId: site.lotId });
  if (Object.keys(values).length > 0)
    await act(site.actors.field, saveReadings, { runId, readings: readingsOf(values) });
  return runId;
};
/** A file of a logger: a row every half hour. */
const fileOf = (hours: number, celsius: (hour: number) => number, from = 0): string =>
  [
    'time,wall °C',
    ...Array.from(
      { length: hours * 2 + 1 },
      (_, row) => `${at(from + row / 2)},${celsius(row / 2).toFixed(2)}`,
    ),
  ].join('\n');
const kept = (runId: string, text: string, more: object = {}, by: Actor = site.actors.field) =>
  act(by, keepRecord, {
    id: randomUUID(),
    runId,
    field: 'record',
    name: 'wall.csv',
    data: gzipSync(text).toString('base64'),
    mapping: guessRecord(text)?.mapping,
    ...more,
  });

describe('a record kept with its run', () => {
  it('is read here from the file itself, and its name becomes the reading', async () => {
    const runId = await opened('temperature-record', {
      purpose: 'concrete',
      placedAt: at(0),
      readAt: at(75),
    });
    const text = fileOf(72, (hour) => 20 + 12 * (hour / 11) ** 2 * Math.exp(2 * (1 - hour / 11)));
    await kept(runId, text);
    const sheet = await runSheet(site.db, site.actors.field, runId, NOW);
    expect(sheet.readings.find(({ field }) => field === 'record')?.text).toBe('wall.csv');
    expect(sheet.setup.records?.record?.channels[0]).toMatchObject({ highest: { at: 11, celsius: 32 } });
    await act(site.actors.field, completeRun, { runId, reasons: [] });
    const [view] = await runViews(site.db, { runIds: [runId] });
    expect(view?.main?.text).toBe('89.6');
    const original = await recordFile(site.db, site.actors.field, {
      runId,
      field: 'record',
      form: 'original',
    });
    expect(String(original.body)).toBe(text);
    const cleaned = await recordFile(site.db, site.actors.field, {
      runId,
      field: 'record',
      form: 'cleaned.csv',
    });
    expect(String(cleaned.body).split('\r\n')).toHaveLength(146);
  });

  it('sent twice is one; another one counts instead and the one before stays', async () => {
    const runId = await opened('temperature-record', { purpose: 'concrete' });
    const id = randomUUID();
    const text = fileOf(5, () => 20);
    await kept(runId, text, { id });
    await kept(runId, text, { id });
    const rows = () => site.db.select().from(keptRecords).where(eq(keptRecords.runId, runId));
    expect(await rows()).toHaveLength(1);
    await kept(
      runId,
      fileOf(6, () => 30),
    );
    expect(await rows()).toHaveLength(2);
    const sheet = await runSheet(site.db, site.actors.field, runId, NOW);
    expect(sheet.setup.records?.record?.channels[0]).toMatchObject({ highest: { celsius: 30 } });
  });

  it('taken back it says nothing, and the same file may be kept again', async () => {
    const runId = await opened('temperature-record', { purpose: 'concrete', readAt: at(30) });
    await kept(
      runId,
      fileOf(5, () => 20),
    );
    const reading = async () =>
      (await runSheet(site.db, site.actors.field, runId, NOW)).readings.find(
        ({ field }) => field === 'record',
      );
    const seq = (await reading())?.seq;
    await act(site.actors.field, saveReadings, {
      runId,
      readings: [{ id: randomUUID(), field: 'record', text: '', takenAt: NOW.toISOString(), basedOn: seq }],
    });
    await expect(act(site.actors.field, completeRun, { runId, reasons: [] })).rejects.toThrow();
    await kept(
      runId,
      fileOf(5, () => 20),
    );
    expect((await reading())?.text).toBe('wall.csv');
    await act(site.actors.field, completeRun, { runId, reasons: [] });
  });

  it('after the run is complete takes a reason, and computes it anew', async () => {
    const runId = await opened('temperature-record', { purpose: 'concrete', readAt: at(30) });
    await kept(
      runId,
      fileOf(5, () => 20),
    );
    await act(site.actors.field, completeRun, { runId, reasons: [] });
    expect(
      await errorsOf(
        kept(
          runId,
          fileOf(5, () => 25),
        ),
      ),
    ).toHaveProperty('reason');
    await kept(
      runId,
      fileOf(5, () => 25),
      { reason: 'the first file was of another wall' },
    );
    const [view] = await runViews(site.db, { runIds: [runId] });
    expect(view?.main?.text).toBe('77.0');
  });

  it.each([
    ['no packed file', { data: 'bm9uZQ==' }, 'data'],
    [
      'columns that hold nothing',
      {
        mapping: {
          delimiter: ',',
          decimalComma: false,
          header: 1,
          time: 0,
          stamp: 'instant',
          unit: 'degC',
          columns: [7],
          names: ['x'],
        },
      },
      'data',
    ],
    [
      'no columns',
      {
        mapping: {
          delimiter: ',',
          decimalComma: false,
          header: 1,
          time: 0,
          stamp: 'instant',
          unit: 'degC',
          columns: [],
          names: [],
        },
      },
      'mapping.columns',
    ],
    [
      'a scale that is none',
      {
        mapping: {
          delimiter: ',',
          decimalComma: false,
          header: 1,
          time: 0,
          stamp: 'instant',
          unit: 'K',
          columns: [1],
          names: ['x'],
        },
      },
      'mapping.unit',
    ],
  ])('with %s it is refused in words', async (_, more, field) => {
    const runId = await opened('temperature-record');
    const errors = await errorsOf(
      kept(
        runId,
        fileOf(5, () => 20),
        more,
      ),
    );
    expect(Object.keys(errors).join()).toContain(field.split('.').at(-1));
    for (const words of Object.values(errors)) expect(words.length).toBeGreaterThan(10);
  });

  it('for a reading that is no record it is not there', async () => {
    const runId = await opened('temperature-record');
    await expect(
      kept(
        runId,
        fileOf(5, () => 20),
        { field: 'where' },
      ),
    ).rejects.toThrow(/record/u);
  });

  it('is neither changed nor taken away, and no client’s', async () => {
    await expect(fresh.owner.query("UPDATE kept_records SET name = 'x'")).rejects.toThrow(/append only/u);
    await expect(fresh.owner.query('DELETE FROM kept_records')).rejects.toThrow(/append only/u);
    const runId = await opened('temperature-record');
    await expect(
      kept(
        runId,
        fileOf(5, () => 20),
        {},
        site.actors.client,
      ),
    ).rejects.toThrow();
  });
});

describe('a logger with a line', () => {
  it('is read out whole', async () => {
    const runId = await opened('temperature-record', { purpose: 'concrete', logger: 'TMP-LOGGER' });
    await act(site.actors.field, readOutLogger, {
      id: randomUUID(),
      runId,
      field: 'record',
      logger: 'TMP-LOGGER',
    });
    const sheet = await runSheet(site.db, site.actors.field, runId, NOW);
    expect(sheet.readings.find(({ field }) => field === 'record')?.text).toBe('TMP-LOGGER read out.csv');
    const record = sheet.setup.records?.record;
    expect(record?.channels.map(({ name }) => name)).toEqual(['core', 'surface', 'air']);
    expect(record?.rows).toBeGreaterThan(260);
    expect(record?.start).toBe(new Date(NOW.getTime() - 44 * HOUR).toISOString());
  });
  it('one that has no line is told so', async () => {
    const runId = await opened('temperature-record');
    await expect(
      act(site.actors.field, readOutLogger, { id: randomUUID(), runId, field: 'record', logger: 'NO-LINE' }),
    ).rejects.toThrow(/does not answer/u);
  });
});

describe('a maturity question', () => {
  const rows = Object.fromEntries(
    PAIRS.flatMap((strengths, age) =>
      strengths.flatMap((strength, place) => [
        [`breaks/r${age}x${place}/index`, String(INDEX[age])],
        [`breaks/r${age}x${place}/strength`, String(strength)],
      ]),
    ),
  );

  it('without a curve of the mix nothing is said; with one it waits until it is reached', async () => {
    const member = {
      operation: 'soffit',
      required: '3000',
      mix: 'same',
      where: 'Wall 4',
      placedAt: at(0),
      outlook: '68',
      readAt: at(75),
    };
    const before = await opened('maturity-estimate', member);
    expect((await runSheet(site.db, site.actors.field, before, NOW)).setup.facts).toEqual({});
    const calibration = await opened('maturity-calibration', {
      how: 'nurse-saul',
      castAt: at(0),
      madeAt: at(672),
      ...rows,
    });
    await act(
      site.actors.laboratory,
      completeRun,
      { runId: calibration, reasons: [] },
      new Date(START + 673 * HOUR),
    );
    const runId = await opened('maturity-estimate', member);
    const { setup } = await runSheet(site.db, site.actors.field, runId, NOW);
    expect(setup.facts).toMatchObject({ function: 'nurse-saul 0', curve: 'exponential' });
    await kept(
      runId,
      fileOf(72, () => 20),
    );
    const [wait] = await site.db.select().from(waits).where(eq(waits.runId, runId));
    expect(wait?.what).toBe('Read the maturity again: Wall 4');
    expect(wait?.lane).toBe('field');
    await kept(
      runId,
      fileOf(240, () => 20),
      { name: 'later.csv' },
    );
    const left = await site.db.select().from(waits).where(eq(waits.runId, runId));
    expect(left.filter(({ doneAt }) => !doneAt)).toEqual([]);
    // Cylinders that confirm the curve are told to the next member of the same mix.
    await act(site.actors.field, saveReadings, {
      runId,
      readings: readingsOf({
        mix: 'same',
        supplementary: 'C873',
        supplementaryStrength: '3150',
        'verified/v1/index': '3000',
        'verified/v1/strength': '3210',
      }),
    });
    await act(
      site.actors.laboratory,
      completeRun,
      { runId, reasons: [], reasonForAll: 'looked at on site' },
      new Date(START + 674 * HOUR),
    );
    const next = await opened('maturity-estimate', member);
    expect(next).not.toBe(runId);
    const told = await runSheet(site.db, site.actors.field, next, NOW);
    expect(told.setup.facts?.confirmed).toEqual(['3000/3210']);
    // Its report has a sheet for the engineer, with what the estimate says and room to sign.
    const content = await composeReport(site.db, site.actors.reviewer, { lotId: site.lotId });
    const sheets = sectionsOf(content.content).flatMap((section) =>
      section.kind === 'release' ? section.sheets : [],
    );
    const own = sheets.find(({ said }) => said.some(([, text]) => text === 'Wall 4'));
    expect(own?.said.map(([label]) => label)).toEqual(
      expect.arrayContaining(['What waits for it', 'Supplementary test', 'Strength to be counted on']),
    );
    expect(own?.blanks).toContain('Signature');
  });
});

describe('a report of a lot', () => {
  it('that only loggers were at says what they recorded, a curve for each sensor, and its working', async () => {
    const { lotId } = await act(site.actors.field, createLot, {
      jobId: site.jobId,
      specificationId: site.specificationId,
      startsAt: at(0),
      title: 'Cap 9',
      about: {},
    });
    const { runId } = await act(site.actors.field, startRun, { method: 'temperature-record', lotId });
    await act(site.actors.field, saveReadings, {
      runId,
      readings: readingsOf({ purpose: 'concrete', placedAt: at(0), readAt: at(75) }),
    });
    await kept(
      runId,
      fileOf(30, (hour) => 20 + 12 * (hour / 11) ** 2 * Math.exp(2 * (1 - hour / 11))),
    );
    await act(site.actors.field, completeRun, { runId, reasons: [] });
    const { reportId } = await act(site.actors.reviewer, prepareReport, { lotId });
    const { content } = await reportDetail(site.db, site.actors.reviewer, reportId);
    const [curves] = sectionsOf(content).filter(({ kind }) => kind === 'curves');
    expect(curves).toMatchObject({
      title: 'Temperature over time',
      axis: 'h',
      curves: [{ label: 'wall, °F' }],
    });
    const working = sectionsOf(content).find(({ kind }) => kind === 'working');
    expect(JSON.stringify(working)).toContain('Highest temperature');
  });
});
