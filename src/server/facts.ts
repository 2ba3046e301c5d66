import { and, desc, eq, inArray, isNotNull, isNull, lt, ne, or, sql } from 'drizzle-orm';
import {
  type Fact,
  type FactSource,
  type FactSources,
  type Facts,
  fieldOf,
  type Method,
  type Outcome,
} from '@/core/methods';
import { findMethod, METHODS } from '@/core/methods/registry';
import type { System } from '@/core/quantity';
import { isReportable } from '@/core/working';
import type { Queryable } from '@/db/client';
import { batchMembers, jobs, lots, outcomes, runs, samples, specimens } from '@/db/schema';
import { toldByBatch } from './batches';
import { factsStored } from './facts-stored';
import type { RunPlace } from './run-place';

/** A test that may say a fact. */
interface Said {
  readonly method: string;
  readonly attempt: number;
  readonly input: Readonly<Record<string, unknown>>;
  readonly outcome: Outcome;
}

/** What is asked for of a test that may say one. */
const SAID = {
  method: runs.method,
  attempt: runs.attempt,
  input: outcomes.input,
  outcome: outcomes.outcome,
};

/** What a test says of a fact: a result of a valid test, or a reading as it was typed, with the unit it was meant in. */
function taken({ take, is, unrounded }: FactSource, said: Said, system: System): string | undefined {
  if (take.startsWith('input.')) {
    const name = take.slice('input.'.length);
    const raw = said.input[name];
    if (typeof raw !== 'string' || raw === '') return undefined;
    const spec = fieldOf(findMethod(said.method)?.Input ?? Object, name);
    return spec?.kind === 'measure' && !/[a-z"'°%]/iu.test(raw) ? `${raw} ${spec.unit[system]}` : raw;
  }
  if (take.startsWith('picture.')) {
    const drawn = said.outcome.picture.values[take.slice('picture.'.length)];
    return typeof drawn === 'string' && drawn !== '' && isReportable(said.outcome.findings)
      ? drawn
      : undefined;
  }
  const result = said.outcome.results.find(({ quantity }) => quantity === take);
  if (!result || !isReportable(said.outcome.findings)) return undefined;
  if (unrounded) return result.value;
  return is === 'ratio' ? result.reported : `${result.reported} ${result.unit}`;
}

/** The first of a source's methods that says it counts; of several tests of a method, the first given. */
function firstSaid(source: FactSource, said: readonly Said[], system: System): string | undefined {
  for (const method of source.by ?? []) {
    const own = said.find((each) => each.method === method);
    const value = own && taken(source, own, system);
    if (value !== undefined) return value;
  }
  return undefined;
}

/** The newest outcomes of a sample's completed runs, the last attempt first, but for one run. */
async function onSample(db: Queryable, sampleId: string, runId: string): Promise<Said[]> {
  // All of the sample's, so that the runs of one page ask the same.
  const all = await db
    .selectDistinctOn([outcomes.runId], {
      runId: outcomes.runId,
      ...SAID,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .where(eq(runs.sampleId, sampleId))
    .orderBy(outcomes.runId, desc(outcomes.seq));
  return all.filter((each) => each.runId !== runId).toSorted((a, b) => b.attempt - a.attempt);
}

/** The methods of which some test is told what they gave on the sample before. */
const COMPARED: readonly string[] = [
  ...new Set(
    METHODS.flatMap(({ facts }) => Object.values(facts ?? {})).flatMap((source) =>
      source.of === 'sample' && source.which === 'before' ? (source.by ?? []) : [],
    ),
  ),
];

/**
 * The newest outcome of each compared test on an earlier sample of the same placement, the latest first. All of them in
 * one statement, so that the runs of one page ask the same.
 */
async function onSampleBefore(db: Queryable, sample: typeof samples.$inferSelect): Promise<Said[]> {
  const rows = await db
    .selectDistinctOn([runs.method], {
      ...SAID,
      sampledAt: samples.sampledAt,
      seq: outcomes.seq,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .innerJoin(samples, eq(samples.id, runs.sampleId))
    .where(
      and(
        eq(samples.lotId, sample.lotId),
        lt(samples.sampledAt, sample.sampledAt),
        ne(samples.id, sample.id),
        inArray(runs.method, [...COMPARED]),
        isNotNull(runs.completedAt),
      ),
    )
    .orderBy(runs.method, desc(samples.sampledAt), desc(outcomes.seq));
  return rows.toSorted((a, b) => b.sampledAt.getTime() - a.sampledAt.getTime() || b.seq - a.seq);
}

const SEVERAL = 3;
/** As many tests of lots as a control chart shows. */
const SEVERAL_ON_LOTS = 20;

/** What the newest valid tests on earlier samples of the same specification say, each in the unit of its own job. */
async function ofSpecification(
  db: Queryable,
  source: FactSource,
  sample: typeof samples.$inferSelect,
): Promise<string[]> {
  const mix = db.select({ id: lots.specificationId }).from(lots).where(eq(lots.id, sample.lotId));
  const onSpecimen = source.by?.some((method) => findMethod(method)?.runOn === 'specimen');
  const rows = await db
    .select({
      ...SAID,
      system: jobs.system,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .leftJoin(specimens, eq(specimens.id, runs.specimenId))
    .innerJoin(samples, eq(samples.id, onSpecimen ? specimens.sampleId : runs.sampleId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .where(
      and(
        inArray(lots.specificationId, mix),
        inArray(runs.method, [...(source.by ?? [])]),
        ne(samples.id, sample.id),
        lt(samples.sampledAt, sample.sampledAt),
        sql`NOT EXISTS (SELECT FROM outcomes later WHERE later.run_id = ${runs.id} AND later.seq > ${outcomes.seq})`,
      ),
    )
    .orderBy(desc(samples.sampledAt), desc(outcomes.seq))
    .limit(SEVERAL * 3);
  return rows
    .filter(({ outcome }) => outcome.results.length > 0 && isReportable(outcome.findings))
    .flatMap((row) => taken(source, row, row.system) ?? [])
    .slice(0, SEVERAL);
}

/** What the newest test of the lot says that was made before this one. */
async function onLotBefore(
  db: Queryable,
  source: FactSource,
  { placement, run, job }: RunPlace,
  input: Readonly<Record<string, unknown>>,
): Promise<string | undefined> {
  const rows = await db
    .select({
      id: runs.id,
      ...SAID,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .where(and(eq(runs.lotId, placement.id), inArray(runs.method, [...(source.by ?? [])])));
  const madeAt = (method: string, read: Readonly<Record<string, unknown>>): number =>
    Date.parse(String(read[findMethod(method)?.performedAt ?? ''] ?? ''));
  const own = madeAt(run.method, input);
  const [before] = rows
    .filter(({ id }) => id !== run.id)
    .map((row) => ({ row, at: madeAt(row.method, row.input) }))
    .filter(({ at }) => !Number.isNaN(at) && (Number.isNaN(own) || at < own))
    .toSorted((a, b) => b.at - a.at);
  return before && taken(source, before.row, job.system);
}

/** The other specimens of a sample that are there, by their labels. */
async function companionLabels(
  db: Queryable,
  { role }: FactSource,
  specimen: typeof specimens.$inferSelect,
): Promise<string[]> {
  const rows = await db
    .select({ label: specimens.label })
    .from(specimens)
    .where(
      and(
        eq(specimens.sampleId, specimen.sampleId),
        ne(specimens.id, specimen.id),
        role ? eq(specimens.role, role) : undefined,
        isNull(specimens.discardedAt),
      ),
    )
    .orderBy(specimens.label);
  return rows.map(({ label }) => label);
}

/** What the newest valid test of a specimen says: of the one that is tested, or of what it was cut from. */
async function ofTests(
  db: Queryable,
  source: FactSource,
  specimenId: string,
  system: System,
): Promise<string | undefined> {
  const rows = await db
    .selectDistinctOn([outcomes.runId], SAID)
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .where(and(eq(runs.specimenId, specimenId), inArray(runs.method, [...(source.by ?? [])])))
    .orderBy(outcomes.runId, desc(outcomes.seq));
  return firstSaid(
    source,
    rows.toSorted((a, b) => b.attempt - a.attempt),
    system,
  );
}

/** What the valid tests of a specimen say that were begun before one of them, the oldest first. */
async function ofTestsBefore(
  db: Queryable,
  source: FactSource,
  specimenId: string,
  { run, job }: Pick<RunPlace, 'run' | 'job'>,
): Promise<string[] | undefined> {
  const rows = await db
    .selectDistinctOn([outcomes.runId], SAID)
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .where(
      and(
        eq(runs.specimenId, specimenId),
        inArray(runs.method, [...(source.by ?? [])]),
        lt(runs.attempt, run.attempt),
      ),
    )
    .orderBy(outcomes.runId, desc(outcomes.seq));
  const said = rows
    .toSorted((a, b) => a.attempt - b.attempt)
    .flatMap((row) => taken(source, row, job.system) ?? []);
  return said.length > 0 ? said : undefined;
}

/** What the newest valid tests of the specimens of a sample say, in the order of their labels; of one of them, of its others. */
async function ofCompanions(
  db: Queryable,
  source: FactSource,
  sampleId: string,
  specimen: typeof specimens.$inferSelect | null,
  system: System,
): Promise<string[] | undefined> {
  const rows = await db
    .selectDistinctOn([specimens.label, outcomes.runId], {
      ...SAID,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .innerJoin(specimens, eq(specimens.id, runs.specimenId))
    .where(
      and(
        eq(specimens.sampleId, sampleId),
        specimen ? ne(specimens.id, specimen.id) : undefined,
        source.alike && specimen?.ageHours ? eq(specimens.ageHours, specimen.ageHours) : undefined,
        source.aged === undefined ? undefined : eq(specimens.ageHours, source.aged),
        source.role ? eq(specimens.role, source.role) : undefined,
        isNull(specimens.discardedAt),
        inArray(runs.method, [...(source.by ?? [])]),
      ),
    )
    .orderBy(specimens.label, outcomes.runId, desc(outcomes.seq));
  const said = rows.flatMap((row) => taken(source, row, system) ?? []);
  return said.length > 0 ? said : undefined;
}

/** The newest test of each of some methods that was made of a lot of a specification; one that is not valid says nothing. */
async function onLotsOf(
  db: Queryable,
  methods: readonly string[],
  specificationId: string,
): Promise<ReadonlyMap<string, Said>> {
  if (methods.length === 0) return new Map();
  const newest = await db
    .selectDistinctOn([runs.method], {
      ...SAID,
    })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .innerJoin(lots, eq(lots.id, runs.lotId))
    .where(and(eq(lots.specificationId, specificationId), inArray(runs.method, [...methods])))
    .orderBy(runs.method, desc(outcomes.seq));
  return new Map(
    newest.filter(({ outcome }) => isReportable(outcome.findings)).map((said) => [said.method, said]),
  );
}

/** What the newest tests of one method on the lots of a specification say, each run once, the oldest first; valid ones only. */
async function severalOnLotsOf(
  db: Queryable,
  source: FactSource,
  { mix, run, job }: Pick<RunPlace, 'mix' | 'run' | 'job'>,
): Promise<string[]> {
  const newest = db
    .selectDistinctOn([outcomes.runId], { ...SAID, seq: outcomes.seq })
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .innerJoin(lots, eq(lots.id, runs.lotId))
    .where(
      and(
        eq(lots.specificationId, mix.id),
        inArray(runs.method, [...(source.by ?? [])]),
        ne(runs.id, run.id),
      ),
    )
    .orderBy(outcomes.runId, desc(outcomes.seq))
    .as('newest');
  const rows = await db.select().from(newest).orderBy(desc(newest.seq)).limit(SEVERAL_ON_LOTS);
  return rows
    .toReversed()
    .filter(({ outcome }) => isReportable(outcome.findings))
    .flatMap((row) => taken(source, row, job.system) ?? [])
    .filter((text) => text !== '');
}

/** What the newest tests on the specimens of a lot's samples say, in the order that they were sampled; valid ones only. */
async function ofSamplesOf(
  db: Queryable,
  source: FactSource,
  { placement, job }: Pick<RunPlace, 'placement' | 'job'>,
): Promise<string[] | undefined> {
  const rows = await db
    .selectDistinctOn([samples.number, outcomes.runId], SAID)
    .from(outcomes)
    .innerJoin(runs, eq(runs.id, outcomes.runId))
    .innerJoin(specimens, eq(specimens.id, runs.specimenId))
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .where(
      and(
        eq(samples.lotId, placement.id),
        isNull(specimens.discardedAt),
        inArray(runs.method, [...(source.by ?? [])]),
      ),
    )
    .orderBy(samples.number, outcomes.runId, desc(outcomes.seq));
  const said = rows.flatMap((row) => taken(source, row, job.system) ?? []);
  return said.length > 0 ? said : undefined;
}

/** What is known before any test is begun: of the records it belongs to, and of tests of such lots. */
export async function factsBefore(
  db: Queryable,
  sources: FactSources,
  {
    sample,
    specimen,
    placement,
    mix,
    job,
  }: Pick<RunPlace, 'sample' | 'placement' | 'mix' | 'job'> & {
    readonly specimen?: { readonly about: object } | null;
  },
): Promise<Facts> {
  const all = Object.entries(sources);
  const methods = all.flatMap(([, { of, by }]) => (of === 'specification' ? (by ?? []) : []));
  const said = [...(await onLotsOf(db, [...new Set(methods)], mix.id)).values()];
  const ofTests = all.flatMap(([name, source]): [string, Fact][] => {
    const fact = source.of === 'specification' ? firstSaid(source, said, job.system) : undefined;
    return fact === undefined ? [] : [[name, fact]];
  });
  return {
    ...factsStored(sources, {
      asked: mix.asked,
      lot: placement.about,
      sample: sample?.about,
      specimen: specimen?.about,
    }),
    ...Object.fromEntries(ofTests),
  };
}

/**
 * Everything that a method asks to know of others, gathered for one run.
 * @param input the readings so far: what was made before it is told by its own time
 */
export async function gatherFacts(
  db: Queryable,
  place: RunPlace,
  method: Method,
  input: Readonly<Record<string, unknown>>,
): Promise<Facts> {
  const { sample, specimen, run, job } = place;
  const sources = Object.entries(method.facts ?? {});
  const told = ({ of, which, by }: FactSource) =>
    !by && of !== 'specification' && of !== 'companions'
      ? 'stored'
      : of === 'sample'
        ? (which ?? 'newest')
        : of;
  const asks = (what: ReturnType<typeof told>): boolean =>
    sources.some(([, source]) => told(source) === what);
  const others = sample && (asks('newest') || asks('earlier')) ? await onSample(db, sample.id, run.id) : [];
  const before = sample && asks('before') ? await onSampleBefore(db, sample) : [];
  const methods = sources.flatMap(([, { of, by, which }]) =>
    of === 'specification' && which !== 'several' ? (by ?? []) : [],
  );
  const ofLots = run.lotId ? [...(await onLotsOf(db, [...new Set(methods)], place.mix.id)).values()] : [];
  const one = async (source: FactSource): Promise<Fact | undefined> => {
    switch (told(source)) {
      case 'batch':
        return specimen ? toldByBatch(db, source, specimen, job.system) : undefined;
      case 'companions':
        if (source.by) return sample ? ofCompanions(db, source, sample.id, specimen, job.system) : undefined;
        return specimen ? companionLabels(db, source, specimen) : undefined;
      case 'parent':
        return specimen?.parentId ? ofTests(db, source, specimen.parentId, job.system) : undefined;
      case 'specimen':
        if (!specimen) return undefined;
        return source.which === 'earlier'
          ? ofTestsBefore(db, source, specimen.id, place)
          : ofTests(db, source, specimen.id, job.system);
      case 'lot':
        return onLotBefore(db, source, place, input);
      case 'samples':
        return ofSamplesOf(db, source, place);
      case 'before': {
        // The last test counts, by whichever method; where it was not valid nothing is compared.
        const last = before.find(({ method: made }) => source.by?.includes(made));
        return last && taken(source, last, job.system);
      }
      case 'earlier':
        return firstSaid(
          source,
          others.filter(({ attempt }) => attempt < run.attempt),
          job.system,
        );
      case 'specification': {
        // A test of a lot is told by the lots of its specification, its own among them.
        if (run.lotId && source.which !== 'several') return firstSaid(source, ofLots, job.system);
        const several = run.lotId
          ? await severalOnLotsOf(db, source, place)
          : sample
            ? await ofSpecification(db, source, sample)
            : [];
        return several.length > 0 ? several : undefined;
      }
      default:
        return firstSaid(source, others, job.system);
    }
  };
  const facts: Record<string, Fact> = {
    ...factsStored(method.facts ?? {}, {
      asked: place.mix.asked,
      lot: place.placement.about,
      sample: sample?.about,
      specimen: specimen?.about,
    }),
  };
  for (const [name, source] of sources) {
    const fact = told(source) === 'stored' ? undefined : await one(source);
    if (fact !== undefined) facts[name] = fact;
  }
  return facts;
}

/** How near a test stands to those that may take a fact from it. */
const NEAR: Readonly<Partial<Record<FactSource['of'], 'sampleId' | 'specimenId' | 'batchId'>>> = {
  sample: 'sampleId',
  companions: 'specimenId',
  specimen: 'specimenId',
  parent: 'specimenId',
  batch: 'batchId',
};

/** The facts of a method that rest on another test of some method near by: on its sample, beside it, or on its batch. */
function restingOn(method: Method, other: RunPlace['run']) {
  return Object.entries(method.facts ?? {}).filter(([, { of, by, which }]) => {
    const near = of === 'samples' ? 'specimenId' : NEAR[of];
    return near && other[near] !== null && which !== 'before' && by?.includes(other.method);
  });
}

/**
 * The completed runs that may take a fact from this one: of its sample, of the specimens of its sample, of the specimens of
 * its batch, or of its lot; of its lot those that are open too, since they go on as long as it does.
 * @returns the runs, each with the names of what it computes from that rests on such a test (none where only what it
 *   waits for does), and whether a signed report rests on it: then it stays as it was signed
 */
export async function runsRestingOn(
  db: Queryable,
  place: RunPlace,
): Promise<{ id: string; resting: string[]; signed: boolean }[]> {
  const { run, sample, specimen } = place;
  const methods = METHODS.filter((method) => restingOn(method, run).length > 0).map(({ id }) => id);
  if (methods.length === 0) return [];
  const of = db.select({ id: specimens.id }).from(specimens);
  const beside = run.batchId
    ? inArray(
        runs.specimenId,
        db
          .select({ id: batchMembers.specimenId })
          .from(batchMembers)
          .where(eq(batchMembers.batchId, run.batchId)),
      )
    : specimen
      ? or(
          inArray(runs.specimenId, of.where(eq(specimens.sampleId, specimen.sampleId))),
          eq(runs.sampleId, specimen.sampleId),
        )
      : sample && run.sampleId
        ? eq(runs.sampleId, sample.id)
        : undefined;
  const onLot = specimen ? eq(runs.lotId, place.placement.id) : undefined;
  if (!beside) return [];
  const rows = await db
    .select({
      id: runs.id,
      method: runs.method,
      state: runs.state,
      signed: sql<boolean>`report_locking_run(${runs.id}) IS NOT NULL`,
    })
    .from(runs)
    .where(
      and(
        or(and(beside, eq(runs.state, 'complete')), onLot),
        ne(runs.id, run.id),
        inArray(runs.method, methods),
      ),
    )
    .orderBy(runs.startedAt);
  return rows.map(({ method, state, ...each }) => ({
    ...each,
    // What is open is computed when it is completed: only what it waits for is another thing now.
    resting:
      state === 'open'
        ? []
        : restingOn(findMethod(method) as Method, run).flatMap(([name, { waitsOnly }]) =>
            waitsOnly ? [] : name,
          ),
  }));
}
