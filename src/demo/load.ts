import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { hashPassword } from 'better-auth/crypto';
import { DateTime } from 'luxon';
import { Limits } from '@/core/limits';
import { readingsOf } from '@/core/methods';
import { seedOf } from '@/core/press';
import { exact } from '@/core/quantity';
import { drawPositions, samplesForDay } from '@/core/sampling-plan';
import { Chance } from '@/core/statistics';
import type { Database } from '@/db/client';
import { accounts, jobs, people } from '@/db/schema';
import { importBatches } from '@/server/actions/batches';
import { addLoad, handOver, planSampling } from '@/server/actions/field';
import {
  addEquipment,
  describeMachine,
  describePads,
  recordLotStrength,
  recordVerification,
} from '@/server/actions/gear';
import { createJob, createLot, createSpecification } from '@/server/actions/jobs';
import { describeLaboratory } from '@/server/actions/laboratory';
import { keepLoadLog } from '@/server/actions/load-logs';
import { letClientSee } from '@/server/actions/people';
import { registerSpecimens } from '@/server/actions/register';
import { prepareReport, recordFollowUp, signReport } from '@/server/actions/reports';
import { acceptReason, completeRun, saveReadings, startRun } from '@/server/actions/runs';
import { makeSpecimens, takeSample } from '@/server/actions/samples';
import { recordEvent } from '@/server/actions/specimens';
import { perform } from '@/server/perform';
import { runViews, specimenViews } from '@/server/queries/dossier';
import { reportDetail } from '@/server/queries/reports';
import { sampleDossier } from '@/server/queries/sample';
import { mixPage } from '@/server/queries/series';
import { currentReadings } from '@/server/readings';
import type { Actor, UseCase } from '@/server/use-case';
import { addBeams } from './beams';
import { addBent } from './bent';
import { addBrick } from './brick';
import { addCements } from './cement';
import { addCoatings } from './coatings';
import { addCores } from './cores';
import { addFloors } from './floors';
import type { Readings } from './fresh';
import { addCards, addStorages, batchFile, Rack } from './laboratory';
import { loadCurve } from './load-curve';
import { addMasonryUnits } from './masonry';
import { addPipes } from './pipes';
import { addPlantRoom } from './plant-room';
import { addRock } from './rock';
import { DEMO_PASSWORD, EQUIPMENT, JOB, LABORATORY, MIXES, PEOPLE, type PersonKey } from './scenario';
import { CAST_AFTER, type PlannedSample, planSamples } from './story';
import { addTemperatures } from './temperatures';

const HOUR = 3_600_000;
const MINUTE = 60_000;
/** The bay of the apron of which beams with bars and with fibres were made beside plain ones. */
const TRIAL = 1;
const INSTANT = /^\d{4}-\d\d-\d\dT.*Z$/u;
const DEMO_REASON = 'Seen at the truck; the purchaser’s representative was told.';

/**
 * Loads the invented scenario through the same use cases that people use, with times relative to `now`.
 * @param db a migrated database; left alone when it already holds a job
 * @returns true when it was loaded
 */
export async function loadDemo(db: Database, now: Date, seed = 20_417): Promise<boolean> {
  const there = await db.select({ id: jobs.id }).from(jobs).limit(1);
  if (there.length > 0) return false;
  const actors = await addPeople(db);
  const loader = new Loader(db, actors, now, new Chance(seed));
  await loader.load();
  return true;
}

async function addPeople(db: Database): Promise<Record<PersonKey, Actor>> {
  const password = await hashPassword(DEMO_PASSWORD);
  const entries: [PersonKey, Actor][] = [];
  for (const { key, ...person } of PEOPLE) {
    const id = randomUUID();
    await db.insert(people).values({ id, ...person, emailVerified: true });
    await db
      .insert(accounts)
      .values({ id: randomUUID(), accountId: id, providerId: 'credential', userId: id, password });
    entries.push([key, { id, name: person.name, role: person.role }]);
  }
  return Object.fromEntries(entries) as Record<PersonKey, Actor>;
}

/** A seed whose first place lies in the third truck of nine yards, so that the story's sample is the drawn one. */
function seedForThirdTruck(volume: number): number {
  const { count } = samplesForDay({ volume: exact(volume), system: 'US' }, new Limits());
  const fits = (seed: number): boolean => {
    const position = Number(drawPositions(count, exact(volume), seed)[0]?.position);
    return position >= 18 && position < 27;
  };
  return Array.from({ length: 500 }, (_, index) => 4100 + index * 37).find(fits) ?? 4100;
}

/** The mix a planned sample is of: no two place the same elements. */
function mixOf(plan: PlannedSample) {
  return MIXES.find(({ elements }) => (elements as readonly string[]).includes(plan.element)) ?? MIXES[0];
}

class Loader {
  private racks = { tank: new Rack('', 0, 0), room: new Rack('', 0, 0) };

  constructor(
    private readonly db: Database,
    private readonly actors: Record<PersonKey, Actor>,
    private readonly now: Date,
    private readonly chance: Chance,
  ) {}

  private act<I extends object, R>(
    who: PersonKey,
    useCase: UseCase<I, R>,
    data: object,
    at: number | Date,
  ): Promise<R> {
    return perform(this.db, this.actors[who], useCase, data, new Date(at));
  }

  async load(): Promise<void> {
    // Half a year: as long as the cements of the terminal are followed.
    const first = this.now.getTime() - 190 * 24 * HOUR;
    await this.act('manager', describeLaboratory, LABORATORY, first);
    const { jobId } = await this.act('manager', createJob, JOB, first);
    await this.act('manager', letClientSee, { personId: this.actors.client.id, jobId }, first);
    await this.addEquipment();
    await addCards(this.act.bind(this), this.actors, this.now);
    this.racks = await addStorages(this.act.bind(this), this.now);
    const specifications = new Map<string, string>();
    for (const mix of MIXES) {
      const { key: _, story: __, mean: ___, deviation: ____, elements: _____, code, title, ...asked } = mix;
      const { specificationId } = await this.act(
        'reviewer',
        createSpecification,
        { jobId, material: 'concrete', code, title, asked: { ...asked, ageDays: 28 } },
        first,
      );
      specifications.set(mix.key, specificationId);
      const samples = planSamples(mix, this.now.getTime(), this.chance);
      const made: string[] = [];
      for (const [order, sample] of samples.entries())
        made.push(await this.addSample(jobId, specificationId, sample, order));
      await this.report(made, samples);
      if (mix.key === 'walls') await this.addMasonry(made, samples);
      if (mix.story === 'low') await this.followUp(specificationId);
    }
    const hands = { act: this.act.bind(this), read: this.read.bind(this) };
    const of = (key: string) => ({ jobId, specificationId: specifications.get(key) ?? '' });
    await addTemperatures(hands, of('walls'), of('piers'), this.now);
    await addRock(this.db, hands, jobId, this.now);
    await addMasonryUnits(this.db, hands, jobId, this.now);
    await addBrick(this.db, hands, jobId, this.now);
    await addFloors(this.db, hands, jobId, this.now);
    await addPlantRoom(this.db, hands, jobId, this.now);
    await addCoatings(this.db, hands, jobId, this.now);
    await addPipes(this.db, hands, jobId, this.now);
    await addCements(this.db, hands, jobId, this.now);
  }

  private async addEquipment(): Promise<void> {
    const today = DateTime.fromJSDate(this.now, { zone: JOB.zone });
    for (const { monthsAgo, certificate, ...item } of EQUIPMENT) {
      const { number, kind, name, place } = item;
      const { equipmentId } = await this.act(
        'manager',
        addEquipment,
        { number, kind, name, place },
        this.now,
      );
      if ('machine' in item) {
        const { spacers = [], ...facts } = { spacers: undefined, ...item.machine };
        const seatOiledOn = today.minus({ months: number === 'PR-02' ? 9 : 2 }).toISODate() ?? '';
        await this.act(
          'laboratory',
          describeMachine,
          {
            equipmentId,
            machine: {
              ...facts,
              ...(kind === 'pipe press' ? {} : { spacers: [...spacers], seatOiledOn }),
            },
          },
          this.now,
        );
      }
      if ('pads' in item) {
        const inServiceOn = today.minus({ months: 1 }).toISODate() ?? '';
        await this.act(
          'laboratory',
          describePads,
          { equipmentId, pads: { ...item.pads, inServiceOn } },
          this.now,
        );
        continue;
      }
      if ('loads' in item) {
        const verifiedOn = today.minus({ months: monthsAgo }).toISODate() ?? '';
        const { loads } = item;
        await this.act(
          'laboratory',
          recordLotStrength,
          { equipmentId, verifiedOn, loads, system: 'US' },
          this.now,
        );
        continue;
      }
      // The one before too: a test of some weeks ago is judged by what was in force then.
      const before = kind === 'pressure meter' ? 2.7 : 11.5;
      // A pack has one certificate, that of its maker.
      for (const months of 'serials' in item ? [monthsAgo] : [monthsAgo + before, monthsAgo]) {
        await this.act(
          'laboratory',
          recordVerification,
          {
            equipmentId,
            verifiedOn: today.minus({ days: Math.round(months * 30.44) }).toISODate() ?? '',
            certificate: months === monthsAgo ? certificate : '',
            ...('from' in item ? { verifiedFrom: item.from, verifiedTo: item.to } : {}),
            ...('verifiedAt' in item ? { loads: item.verifiedAt } : {}),
            ...('serials' in item ? { serials: item.serials } : {}),
          },
          this.now,
        );
      }
    }
  }

  /** The walls have grouted cells too: prisms that are due today, mortar cubes that are due tomorrow. */
  private async addMasonry(made: readonly string[], samples: readonly PlannedSample[]): Promise<void> {
    const sets = [
      { days: 28, form: 'prism-3.5', specifiedStrength: '2,150 psi' },
      { days: 6, form: 'mortar-2', specifiedStrength: '1,850 psi' },
    ];
    for (const { days, form, specifiedStrength } of sets) {
      const age = (at: number): number => Math.abs(this.now.getTime() - at - days * 24 * HOUR);
      const nearest = samples.reduce(
        (best, { sampledAt }, index) => (age(sampledAt) < age(samples[best]?.sampledAt ?? 0) ? index : best),
        0,
      );
      const madeAt = (samples[nearest]?.sampledAt ?? 0) + 35 * MINUTE;
      await this.act(
        'field',
        registerSpecimens,
        {
          ...{ sampleId: made[nearest], how: 'small', form, count: 3 },
          told: {
            madeAt: new Date(madeAt).toISOString(),
            ageDays: String(days === 6 ? 7 : days),
            specifiedStrength,
          },
          place: 'Moist room, shelf 4',
        },
        madeAt,
      );
    }
  }

  private async addSample(
    jobId: string,
    specificationId: string,
    plan: PlannedSample,
    order: number,
  ): Promise<string> {
    const { sampledAt } = plan;
    const { lotId } = await this.act(
      'field',
      createLot,
      {
        jobId,
        specificationId,
        startsAt: new Date(sampledAt - 40 * MINUTE).toISOString(),
        title: plan.element,
        about: { location: plan.location, volume: `${plan.volume} yd3` },
      },
      sampledAt - 40 * MINUTE,
    );
    const loadId = await this.placementDay(lotId, plan);
    const { sampleId } = await this.act(
      'field',
      takeSample,
      {
        clientId: randomUUID(),
        lotId,
        sampledAt: new Date(sampledAt).toISOString(),
        ticket: plan.ticket,
        truck: plan.truck,
        press: 'first portion',
        ...(loadId ? { loadId } : {}),
      },
      sampledAt,
    );
    const fresh = await runViews(this.db, { sampleIds: [sampleId] });
    for (const run of fresh) {
      const readings = plan.fresh[run.method] ?? {};
      // The set still in its box on site has no run of curing to complete yet.
      const done = plan.freshDone && (run.method !== 'initial-curing' || readings.collectedAt !== undefined);
      const at = Date.parse(String(readings.wetAt ?? readings.readAt ?? '')) || sampledAt + 20 * MINUTE;
      await this.read('field', run.id, readings, Math.min(at, this.now.getTime()), done, DEMO_REASON);
    }
    for (const run of await runViews(this.db, { sampleIds: [sampleId] })) {
      for (const { id: reasonId } of run.reasons) {
        await this.act('reviewer', acceptReason, { reasonId }, sampledAt + 26 * HOUR);
      }
    }
    if (!plan.moulded) return sampleId;
    const castAt = sampledAt + CAST_AFTER;
    await this.act(
      'field',
      makeSpecimens,
      {
        sampleId,
        castAt: new Date(castAt).toISOString(),
        size: '4x8',
        cure: 'standard',
        groups: [{ ageDays: 7, count: 1 }, { ageDays: 28, count: 3 }, { count: 1 }],
      },
      castAt,
    );
    await this.cureAndBreak(sampleId, castAt, plan);
    if ('flexuralStrength' in mixOf(plan)) {
      const hands = { act: this.act.bind(this), read: this.read.bind(this) };
      if (order === TRIAL) await addBent(this.db, hands, sampleId, castAt, this.now);
      else await addBeams(this.db, hands, sampleId, castAt, this.now, { order, strength: plan.strength });
    }
    return sampleId;
  }

  /** The newest lots have a plan, trucks and the weather; the older ones lie before the laboratory had them. */
  private async placementDay(lotId: string, plan: PlannedSample): Promise<string | undefined> {
    const { sampledAt } = plan;
    if (this.now.getTime() - sampledAt > 4 * 24 * HOUR) return undefined;
    const start = sampledAt - 38 * MINUTE;
    await this.act(
      'field',
      planSampling,
      { lotId, volume: `${plan.volume} yd3`, seed: seedForThirdTruck(plan.volume) },
      start - 30 * MINUTE,
    );
    let loadId: string | undefined;
    for (const [order, minutes] of [-34, -27, -20].entries()) {
      const at = sampledAt + minutes * MINUTE;
      const load = await this.act(
        'field',
        addLoad,
        {
          clientId: randomUUID(),
          lotId,
          ticket: order === 2 ? plan.ticket : `${plan.ticket}-${order + 1}`,
          truck: order === 2 ? plan.truck : String(31 + order * 4),
          volume: '9 yd3',
          arrivedAt: new Date(at).toISOString(),
        },
        at,
      );
      loadId = load.loadId;
    }
    const mix =
      MIXES.find(({ elements }) => (elements as readonly string[]).includes(plan.element)) ?? MIXES[0];
    const coming = [4, 5, 6].map((order) => `${plan.ticket}-${order}`);
    await this.act(
      'field',
      importBatches,
      { lotId, csv: batchFile(mix, coming, sampledAt - 12 * MINUTE), tickets: coming },
      Math.max(sampledAt, start),
    );
    for (const [order, minutes] of [-58, -31, -3].entries()) {
      const at = sampledAt + minutes * MINUTE;
      const { runId } = await this.act('field', startRun, { method: 'evaporation', lotId }, at);
      const weather = {
        meter: 'WM-01',
        airTemperature: String(plan.concrete - 6 + order),
        humidity: String(58 - order * 3),
        wind: String(5 + order * 2),
        averaged: '60',
        windAt: 'slab',
        concreteTemperature: String(plan.concrete),
        concreteFrom: order === 0 ? 'forecast' : 'surface',
        readAt: new Date(at).toISOString(),
      };
      await this.read('field', runId, weather, at, true);
    }
    return loadId;
  }

  private async cureAndBreak(sampleId: string, castAt: number, plan: PlannedSample): Promise<void> {
    const views = await specimenViews(this.db, [sampleId]);
    const rack = this.racks[mixOf(plan).key === 'walls' ? 'tank' : 'room'];
    const collected = castAt + 25 * HOUR;
    if (collected < this.now.getTime()) {
      await this.carry(
        views.map(({ id }) => id),
        collected - HOUR,
      );
      for (const view of views) {
        await this.act(
          'laboratory',
          recordEvent,
          {
            specimenId: view.id,
            kind: 'final cure',
            at: new Date(collected).toISOString(),
            storageId: rack.storageId,
            position: rack.take(view.id),
          },
          collected,
        );
      }
    }
    let next = 0;
    for (const view of views) {
      const cylinder =
        view.ageHours === 168 ? plan.early : view.ageHours === 672 ? plan.mature[next++] : undefined;
      if (!cylinder || cylinder.testedAt > this.now.getTime()) continue;
      const { runId } = await this.act(
        'laboratory',
        startRun,
        { method: 'cylinder-compression', specimenId: view.id },
        cylinder.testedAt - 6 * MINUTE,
      );
      const { readings, testedAt, reasons } = cylinder;
      // The press has written its files down for some days only.
      const recent = this.now.getTime() - testedAt < 10 * 24 * HOUR;
      const left = recent ? await this.keepCurve(runId, view.label, readings, testedAt) : readings;
      await this.read('laboratory', runId, left, testedAt, true, reasons);
      rack.leave(view.id);
    }
    for (const view of await specimenViews(this.db, [sampleId])) {
      for (const reason of view.run?.reasons ?? []) {
        if (plan.accepted) {
          await this.act(
            'reviewer',
            acceptReason,
            { reasonId: reason.id },
            (view.testedAt?.getTime() ?? castAt) + 2 * HOUR,
          );
        }
      }
    }
  }

  /**
   * The readings of a break up to its load, and its log as the press wrote it.
   * @returns the readings that are left: the time, and the mean rate of the log
   */
  private async keepCurve(
    runId: string,
    label: string,
    readings: Readonly<Record<string, string>>,
    at: number,
  ): Promise<Readonly<Record<string, string>>> {
    const { loadingRate = '', testedAt = '', ...before } = readings;
    await this.read('laboratory', runId, before, at, false);
    const csv = loadCurve(Number(readings.maximumLoad), seedOf(label));
    const { analysis } = await this.act(
      'laboratory',
      keepLoadLog,
      {
        id: randomUUID(),
        runId,
        name: `${label}.csv`,
        data: gzipSync(csv).toString('base64'),
        mapping: {
          delimiter: ',',
          decimalComma: false,
          header: 1,
          time: 0,
          timeUnit: 's',
          load: 1,
          loadUnit: 'lbf',
        },
      },
      at,
    );
    return { testedAt, loadingRate: analysis.meanRate?.toFixed(1) ?? loadingRate };
  }

  /** From the box on site to the laboratory, by both names. */
  private async carry(specimenIds: readonly string[], at: number): Promise<void> {
    await this.act(
      'laboratory',
      handOver,
      {
        id: randomUUID(),
        kind: 'received',
        specimenIds,
        fromPersonId: this.actors.field.id,
        at: new Date(at).toISOString(),
        place: 'Receiving bench',
        condition: 'in order',
        count: specimenIds.length,
      },
      at,
    );
  }

  private async read(
    who: PersonKey,
    runId: string,
    values: Readonly<Readings>,
    at: number,
    complete: boolean,
    reasonForAll = '',
  ): Promise<void> {
    const entries = readingsOf(values);
    if (entries.length === 0) return;
    const known = new Map((await currentReadings(this.db, runId)).map(({ field, seq }) => [field, seq]));
    await this.act(
      who,
      saveReadings,
      {
        runId,
        readings: entries.map(({ field, text }) => ({
          id: randomUUID(),
          field,
          text,
          // A stamp is pressed when it happens, everything else is written down at the end.
          takenAt: INSTANT.test(text) ? text : new Date(at).toISOString(),
          ...(known.has(field) ? { basedOn: known.get(field) } : {}),
        })),
      },
      at,
    );
    if (complete) await this.act(who, completeRun, { runId, reasons: [], reasonForAll }, at + MINUTE);
  }

  /** Reports of the older samples are signed, the newest complete one waits for its signature. */
  private async report(sampleIds: readonly string[], plans: readonly PlannedSample[]): Promise<void> {
    const ready = sampleIds.filter((_, index) => plans[index]?.report !== 'none');
    for (const sampleId of ready) {
      const plan = plans[sampleIds.indexOf(sampleId)];
      if (!plan) continue;
      const at = Math.min(plan.sampledAt + 29 * 24 * HOUR, this.now.getTime() - 20 * MINUTE);
      const { reportId } = await this.act('laboratory', prepareReport, { sampleId }, at);
      if (plan.report === 'signed') {
        const { seen } = await reportDetail(this.db, this.actors.reviewer, reportId);
        await this.act('reviewer', signReport, { reportId, seen }, at + 15 * MINUTE);
      }
    }
  }

  private async followUp(specificationId: string): Promise<void> {
    const { low } = await mixPage(this.db, this.actors.manager, specificationId, 0);
    const [row] = low;
    if (!row) return;
    const { sets } = await sampleDossier(this.db, this.actors.manager, row.sampleId);
    const times = (sets.find(({ designated }) => designated)?.specimens ?? []).flatMap(
      ({ testedAt }) => testedAt?.getTime() ?? [],
    );
    const [broken] = times;
    if (broken === undefined) return;
    const notes: [PersonKey, string, string, number][] = [
      [
        'laboratory',
        'recheck',
        'Recomputed from the load photographs: same figures. PR-01 in date, zero recorded.',
        20,
      ],
      [
        'laboratory',
        'identity',
        'Labels agree with the moulds’ marks; density within 1 lb/ft³ of the sample’s 7-day cylinder.',
        35,
      ],
      [
        'laboratory',
        'pieces',
        'Pieces of all three kept on the red shelf, photographed from both sides.',
        50,
      ],
      [
        'reviewer',
        'tell',
        'Told the trust’s engineer by telephone and sent the working the same afternoon.',
        90,
      ],
      [
        'laboratory',
        'records',
        'Ticket shows 6 gal added at the gate after the slump test; initial cure box within limits.',
        26 * 60,
      ],
    ];
    for (const [who, stepId, note, minutes] of notes) {
      const at = Math.min(broken + minutes * MINUTE, this.now.getTime());
      await this.act(who, recordFollowUp, { sampleId: row.sampleId, stepId, note }, at);
    }
    const hands = { act: this.act.bind(this), read: this.read.bind(this) };
    await addCores(this.db, hands, row.sampleId, Math.max(...times), this.now);
  }
}
