import { randomUUID } from 'node:crypto';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { makeBatch } from '@/server/actions/make-batch';
import { registerSpecimens } from '@/server/actions/register';
import { completeRun, saveReadings, startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { perform } from '@/server/perform';
import { type SpecimenView, specimenViews } from '@/server/queries/dossier';
import type { UseCase } from '@/server/use-case';
import { CAST, readingsOf, type Site } from './site';

const HOUR = 3_600_000;

/** A delivery of masonry on a site, and what is done with a set of it; hours count from its delivery. */
export interface Delivery {
  readonly lotId: string;
  readonly specificationId: string;
  at(hours: number): string;
  /** A use case, as the laboratory performs it. */
  act<I extends object, R>(what: UseCase<I, R>, data: object, hours: number): Promise<R>;
  /** A sample, its specimens registered. */
  set(draw?: 'first' | 'second' | Readonly<Record<string, string>>, hours?: number): Promise<string>;
  views(sampleId: string): Promise<SpecimenView[]>;
  /** A batch of some units, its readings, completed where it is to be. @param reasons by finding, where some are asked for */
  together(
    kind: string,
    units: readonly SpecimenView[],
    values: Readonly<Record<string, unknown>>,
    hours: number,
    whole?: boolean,
  ): Promise<string>;
  /** A test of one unit, completed where it is to be. */
  test(
    method: string,
    unit: SpecimenView,
    values: Readonly<Record<string, unknown>>,
    hours: number,
    whole?: boolean,
  ): Promise<string>;
}

/** What is delivered: what is asked of it, what is known of the lot, and how its specimens are registered. */
export interface Goods {
  readonly material: string;
  readonly asked: Readonly<Record<string, unknown>>;
  readonly about: Readonly<Record<string, unknown>>;
  readonly register: {
    readonly how: string;
    readonly form: string;
    readonly count: number;
    readonly told?: Readonly<Record<string, string>>;
  };
}

/** Units of C90, 8 × 8 × 16. */
export const BLOCK: Goods = {
  material: 'masonry',
  asked: {
    product: 'c90',
    edition: '2022',
    width: '7.625',
    height: '7.625',
    length: '15.625',
    joint: '0.375',
  },
  about: { producer: 'Ferry Lane block works', units: '4,200' },
  register: { how: 'units', form: 'unit-full', count: 6 },
};

/** Facing brick of C216, modular. */
export const FACING: Goods = {
  material: 'brick',
  asked: {
    product: 'c216',
    edition: '2023',
    grade: 'sw',
    type: 'fbs',
    width: '3.625',
    height: '2.25',
    length: '7.625',
  },
  about: { producer: 'Saltmarsh clay works', units: '36,000' },
  register: { how: 'bricks', form: 'brick', count: 10 },
};

/** Goods delivered to a site. @param asked what is asked besides */
export async function deliver(
  site: Site,
  asked: Readonly<Record<string, unknown>> = {},
  goods: Goods = BLOCK,
): Promise<Delivery> {
  const { db, actors, jobId } = site;
  const at = (hours: number): string => new Date(CAST + hours * HOUR).toISOString();
  const as = <I extends object, R>(
    who: keyof Site['actors'],
    what: UseCase<I, R>,
    data: object,
    hours: number,
  ): Promise<R> => perform(db, actors[who], what, data, new Date(CAST + hours * HOUR));
  const { specificationId } = await as(
    'reviewer',
    createSpecification,
    {
      jobId,
      code: `MU${randomUUID().slice(0, 4)}`,
      title: 'Plant room walls',
      material: goods.material,
      asked: { ...goods.asked, ...asked },
    },
    0,
  );
  const { lotId } = await as(
    'field',
    createLot,
    {
      jobId,
      specificationId,
      startsAt: at(0),
      title: 'Block for the plant room',
      about: goods.about,
    },
    0,
  );
  const act: Delivery['act'] = (what, data, hours) => as('laboratory', what, data, hours);
  const saved = async (
    runId: string,
    values: Readonly<Record<string, unknown>>,
    hours: number,
    whole: boolean,
  ) => {
    await act(saveReadings, { runId, readings: readingsOf(values) }, hours);
    if (whole) await act(completeRun, { runId, reasons: [] }, hours);
    return runId;
  };
  return {
    lotId,
    specificationId,
    at,
    act,
    async set(draw = 'first', hours = 1) {
      const { sampleId } = await as(
        'laboratory',
        takeSample,
        {
          clientId: randomUUID(),
          lotId,
          sampledAt: at(hours),
          about: typeof draw === 'string' ? { draw, how: 'by number' } : draw,
        },
        hours,
      );
      await act(registerSpecimens, { sampleId, ...goods.register }, hours);
      return sampleId;
    },
    views: (sampleId) => specimenViews(db, [sampleId]),
    async together(kind, units, values, hours, whole = true) {
      const { runId } = await act(
        makeBatch,
        { id: randomUUID(), kind, specimenIds: units.map(({ id }) => id) },
        hours,
      );
      return saved(runId, values, hours, whole);
    },
    async test(method, unit, values, hours, whole = true) {
      const { runId } = await act(startRun, { specimenId: unit.id, method }, hours);
      return saved(runId, values, hours, whole);
    },
  };
}
