import { and, asc, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import { type OtherKind, otherSet, type SetMember, type StrengthTest, strengthTest } from '@/core/acceptance';
import type { Limits } from '@/core/limits';
import {
  isCylinderSize,
  type NominalSize,
  type Outcome,
  type Result,
  type RunSetup,
  setupMeasure,
} from '@/core/methods';
import { findMethod, METHODS } from '@/core/methods/registry';
import { type MouldSize, mouldOf } from '@/core/moulds';
import { isReportable } from '@/core/working';
import type { Queryable } from '@/db/client';
import {
  jobs,
  mixes,
  outcomes,
  people,
  placements,
  reasonAcceptances,
  reportOutcomes,
  reports,
  runReasons,
  runs,
  samples,
  specimenEvents,
  specimens,
} from '@/db/schema';
import { groupBy } from '../group-by';
import { limitsNow } from '../run-setup';
import { anyOf, present, readableJobs } from '../scope';
import { specifiedFor } from '../specified';
import type { Actor } from '../use-case';

export interface ReasonView {
  readonly id: string;
  readonly findingId: string;
  readonly reason: string;
  readonly by: string;
  readonly byName: string;
  readonly acceptedByName: string | null;
}

export interface RunView {
  readonly id: string;
  readonly method: string;
  readonly attempt: number;
  readonly repeatReason: string | null;
  readonly state: 'open' | 'complete';
  readonly specimenId: string | null;
  readonly sampleId: string | null;
  readonly placementId: string | null;
  readonly completedAt: Date | null;
  readonly completedBy: string | null;
  readonly outcomeId: string | null;
  readonly outcome: Outcome | null;
  /** The compressive strength among its results, when there is one. */
  readonly strength: Result | undefined;
  /** The result that its method is made for. */
  readonly main: Result | undefined;
  readonly input: Record<string, unknown> | null;
  readonly setup: RunSetup | null;
  readonly reasons: readonly ReasonView[];
  /** Findings that ask for a reason and have none that a reviewer accepted. */
  readonly openReasons: readonly string[];
  /** Signed reports that rest on it, older revisions too. */
  readonly signed: readonly SignedReport[];
  /** True when a signed report rests on its newest outcome. */
  readonly released: boolean;
}

export interface SignedReport {
  readonly id: string;
  readonly number: string;
  readonly revision: number;
  readonly replacesId: string | null;
}

const NOTHING = sql<null>`NULL`;

const ORDER: readonly string[] = METHODS.map(({ id }) => id);

/** Compares two runs by the order of the work, not of the alphabet; attempts of one method as they were made. */
export function inWorkOrder(
  a: { readonly method: string; readonly attempt: number },
  b: { readonly method: string; readonly attempt: number },
): number {
  return ORDER.indexOf(a.method) - ORDER.indexOf(b.method) || a.attempt - b.attempt;
}

/** `whole`; `table`: what a list of tests says; `series`: what each counts for among many. */
type Detail = 'whole' | 'table' | 'series';

/** An outcome without its working and picture. */
const TOLD = sql<Outcome>`jsonb_build_object(
  'results', ${outcomes.outcome} -> 'results', 'findings', ${outcomes.outcome} -> 'findings',
  'lines', '[]'::jsonb, 'conformity', '[]'::jsonb, 'picture', '{}'::jsonb)`;

/** Of the findings only what says whether the result counts, too. */
const COUNTED = sql<Outcome>`jsonb_build_object(
  'results', ${outcomes.outcome} -> 'results',
  'findings', (SELECT coalesce(jsonb_agg(jsonb_build_object('id', f -> 'id', 'severity', f -> 'severity', 'needsReason', f -> 'needsReason')), '[]')
               FROM jsonb_array_elements(${outcomes.outcome} -> 'findings') f),
  'lines', '[]'::jsonb, 'conformity', '[]'::jsonb, 'picture', '{}'::jsonb)`;

/**
 * Runs with their newest outcome: these runs, or those of specimens, samples or placements.
 * @param options.method of one method only
 * @param options.detail how much of each is read, where there are many
 */
export async function runViews(
  db: Queryable,
  subject: {
    runIds?: readonly string[];
    specimenIds?: readonly string[];
    sampleIds?: readonly string[];
    placementIds?: readonly string[];
  },
  { detail = 'whole', method }: { detail?: Detail; method?: string } = {},
): Promise<RunView[]> {
  const { runIds, specimenIds, sampleIds, placementIds } = subject;
  const asked: [AnyPgColumn, readonly string[] | undefined][] = [
    [runs.id, runIds],
    [runs.specimenId, specimenIds],
    [runs.sampleId, sampleIds],
    [runs.placementId, placementIds],
  ];
  const [filter] = asked.flatMap(([column, ids]) => (ids?.length ? [anyOf(column, ids)] : []));
  if (!filter) return [];
  const found = await db
    .select({ run: runs, by: people.name })
    .from(runs)
    .leftJoin(people, eq(people.id, runs.completedBy))
    .where(and(filter, method ? eq(runs.method, method) : undefined))
    .orderBy(asc(runs.method), asc(runs.attempt));
  if (found.length === 0) return [];
  const ids = found.map(({ run }) => run.id);
  const own = { id: outcomes.id, runId: outcomes.runId };
  const parts = {
    whole: { outcome: outcomes.outcome, input: outcomes.input, setup: outcomes.setup },
    table: { outcome: TOLD, input: outcomes.input, setup: NOTHING },
    series: { outcome: COUNTED, input: NOTHING, setup: NOTHING },
  };
  const newest = await db
    .selectDistinctOn([outcomes.runId], { ...own, ...parts[detail] })
    .from(outcomes)
    .where(anyOf(outcomes.runId, ids))
    .orderBy(outcomes.runId, desc(outcomes.seq));
  const byRun = new Map(newest.map((row) => [row.runId, row]));
  const signed = await db
    .select({
      runId: reportOutcomes.runId,
      outcomeId: reportOutcomes.outcomeId,
      report: {
        id: reports.id,
        number: reports.number,
        revision: reports.revision,
        replacesId: reports.replacesId,
      },
    })
    .from(reportOutcomes)
    .innerJoin(reports, and(eq(reports.id, reportOutcomes.reportId), eq(reports.state, 'signed')))
    .where(anyOf(reportOutcomes.runId, ids));
  const released = new Set(signed.map(({ outcomeId }) => outcomeId));
  const signedBy = groupBy(signed, ({ runId }) => runId);
  const reasons = await reasonsOf(db, ids);
  const reasonsBy = groupBy(reasons, ({ runId }) => runId);
  const views = found.map(({ run, by }) => {
    const last = byRun.get(run.id);
    const own = reasonsBy.get(run.id) ?? [];
    const accepted = new Set(own.filter((reason) => reason.acceptedByName).map((reason) => reason.findingId));
    const asked = (last?.outcome.findings ?? []).filter((found) => found.needsReason).map(({ id }) => id);
    return {
      id: run.id,
      method: run.method,
      attempt: run.attempt,
      repeatReason: run.repeatReason,
      state: run.state,
      specimenId: run.specimenId,
      sampleId: run.sampleId,
      placementId: run.placementId,
      completedAt: run.completedAt,
      completedBy: by,
      outcomeId: last?.id ?? null,
      outcome: last?.outcome ?? null,
      strength: last?.outcome.results.find(({ quantity }) => quantity === 'compressive strength'),
      main: last?.outcome.results.find(({ quantity }) => quantity === findMethod(run.method)?.mainResult),
      input: last?.input ?? null,
      setup: last?.setup ?? null,
      reasons: own,
      openReasons: [...new Set(asked)].filter((id) => !accepted.has(id)),
      signed: (signedBy.get(run.id) ?? []).map(({ report }) => report),
      released: last ? released.has(last.id) : false,
    };
  });
  return views.toSorted(inWorkOrder);
}

async function reasonsOf(
  db: Queryable,
  runIds: readonly string[],
): Promise<(ReasonView & { runId: string })[]> {
  const acceptor = db
    .select({
      reasonId: reasonAcceptances.reasonId,
      acceptedByName: sql<string>`${people.name}`.as('accepted_by_name'),
    })
    .from(reasonAcceptances)
    .innerJoin(people, eq(people.id, reasonAcceptances.by))
    .as('acceptor');
  return db
    .select({
      id: runReasons.id,
      runId: runReasons.runId,
      findingId: runReasons.findingId,
      reason: runReasons.reason,
      by: sql<string>`${runReasons.by}`,
      byName: sql<string>`coalesce(${people.name}, '')`,
      acceptedByName: acceptor.acceptedByName,
    })
    .from(runReasons)
    .leftJoin(people, eq(people.id, runReasons.by))
    .leftJoin(acceptor, eq(acceptor.reasonId, runReasons.id))
    .where(anyOf(runReasons.runId, runIds))
    .orderBy(asc(runReasons.at));
}

export interface SpecimenView {
  readonly id: string;
  readonly label: string;
  readonly sampleId: string;
  readonly size: MouldSize;
  readonly cure: 'standard' | 'field';
  readonly castAt: Date;
  readonly ageHours: number | null;
  readonly opensAt: Date | null;
  readonly closesAt: Date | null;
  readonly testedAt: Date | null;
  /** Strength asked of a grout or a mortar; null for concrete, whose mix says it. */
  readonly specifiedStrength: string | null;
  /** Why it was thrown away; null for one that is there. */
  readonly discarded: string | null;
  /** The evidence on which a reviewer left it out of its set's mean; null for one that counts. */
  readonly leftOut: string | null;
  /** The run that broke it, or is to. */
  readonly run: RunView | null;
  /** Tests that leave it whole, a modulus before its break. */
  readonly whole: readonly RunView[];
}

/** Specimens of samples, with the run that broke them and whether they were discarded. */
export async function specimenViews(
  db: Queryable,
  sampleIds: readonly string[],
  options: { detail?: Detail } = {},
): Promise<SpecimenView[]> {
  if (sampleIds.length === 0) return [];
  const rows = await db
    .select()
    .from(specimens)
    .where(anyOf(specimens.sampleId, sampleIds))
    .orderBy(asc(specimens.label));
  if (rows.length === 0) return [];
  const ids = rows.map(({ id }) => id);
  const said = await db
    .select({
      specimenId: specimenEvents.specimenId,
      kind: specimenEvents.kind,
      note: specimenEvents.note,
      by: people.name,
    })
    .from(specimenEvents)
    .innerJoin(people, eq(people.id, specimenEvents.personId))
    .where(
      and(
        anyOf(specimenEvents.specimenId, ids),
        inArray(specimenEvents.kind, ['discarded', 'discard taken back', 'left out', 'taken back in']),
      ),
    )
    .orderBy(asc(specimenEvents.at), asc(specimenEvents.savedAt));
  const views = groupBy(await runViews(db, { specimenIds: ids }, options), ({ specimenId }) => specimenId);
  const saidBy = groupBy(said, ({ specimenId }) => specimenId);
  return rows.map((row) => ({
    ...row,
    discarded: noteOf(lastOf(saidBy.get(row.id), ['discarded', 'discard taken back']), 'discarded'),
    leftOut: evidenceOf(lastOf(saidBy.get(row.id), ['left out', 'taken back in'])),
    ...runsOf(views.get(row.id) ?? []),
  }));
}

/** The last word on a specimen among words that take one another back. */
function lastOf<T extends { kind: string }>(
  said: readonly T[] = [],
  kinds: readonly T['kind'][],
): T | undefined {
  return said.filter((each) => kinds.includes(each.kind)).at(-1);
}

function noteOf(last: { kind: string; note: string } | undefined, kind: string): string | null {
  return last?.kind === kind ? last.note : null;
}

/** Why a specimen is left out, by the last word on it. */
function evidenceOf(last: { kind: string; note: string; by: string } | undefined): string | null {
  return last?.kind === 'left out' ? `${last.note} (${last.by})` : null;
}

/** The run that broke a specimen, of several the last, and those that left it whole. */
function runsOf(views: readonly RunView[]): Pick<SpecimenView, 'run' | 'whole'> {
  const isWhole = ({ method }: RunView): boolean => findMethod(method)?.destroys === false;
  return { run: views.filter((view) => !isWhole(view)).at(-1) ?? null, whole: views.filter(isWhole) };
}

/** Every run of a specimen: what left it whole before its break. */
export function everyRun({ whole, run }: Pick<SpecimenView, 'run' | 'whole'>): readonly RunView[] {
  return run ? [...whole, run] : whole;
}

/** What a client may see of a specimen: its runs only once a signed report rests on them. */
export function withoutUnreleased(views: readonly SpecimenView[]): SpecimenView[] {
  return views.map((view) => ({
    ...view,
    run: view.run?.released ? view.run : null,
    whole: view.whole.filter(({ released }) => released),
  }));
}

/** A specimen as its set's strength test sees it. */
export function setMember(view: SpecimenView & { size: NominalSize }): SetMember {
  const { run } = view;
  const outcome = run?.state === 'complete' ? run.outcome : null;
  const strength = outcome ? run?.strength : undefined;
  const density = outcome?.results.find(({ quantity }) => quantity === 'density');
  const late = outcome?.findings.some((found) => /^(specimen|cylinder)\.age-/u.test(found.id)) ?? false;
  return {
    label: view.label,
    size: view.size,
    strength: strength?.value ?? null,
    reported: strength?.reported ?? null,
    valid:
      view.discarded === null && (outcome === null || (isReportable(outcome.findings) && Boolean(strength))),
    outOfWindow: late,
    ...(view.leftOut ? { leftOut: view.leftOut } : {}),
    ...(density ? { density: density.value } : {}),
  };
}

export interface AgeSet {
  readonly ageHours: number;
  readonly cure: 'standard' | 'field';
  readonly specimens: readonly SpecimenView[];
  /** True at the age the specified strength is for; younger sets inform only. */
  readonly designated: boolean;
  readonly test: StrengthTest;
  /** What they are, where they are no cylinders: `Cores`. */
  readonly what?: string;
  /** What the specimens say together where that is no strength test: cubes by their school, cores by 85 and 75 %. */
  readonly note?: string;
}

/** The sets of one sample: cylinders of one age and one curing, never mixed. Held ones belong to no set. */
export function ageSets(
  views: readonly SpecimenView[],
  job: { system: 'US' | 'SI'; rounding: 'half-even' | 'half-up' },
  mix: { ageHours: number; specifiedStrength?: string },
  limits: Limits,
): AgeSet[] {
  const cylinders = views.flatMap((view) => {
    const { size } = view;
    // One that was split is no companion in compression.
    const otherwise = view.run?.state === 'complete' && view.run.method !== 'cylinder-compression';
    return isCylinderSize(size) && !otherwise ? [{ ...view, size }] : [];
  });
  const keys = [
    ...new Set(cylinders.filter((v) => v.ageHours !== null).map((v) => `${v.ageHours}/${v.cure}`)),
  ];
  const others = (Object.keys(OTHERS) as OtherKind[]).flatMap((kind) =>
    otherSets(views, kind, job, mix, limits),
  );
  const sets = keys
    .map((key): AgeSet => {
      const own = cylinders.filter((view) => `${view.ageHours}/${view.cure}` === key);
      const [first] = own;
      return {
        ageHours: first?.ageHours ?? 0,
        cure: first?.cure ?? ('standard' as const),
        specimens: own,
        designated: first?.ageHours === mix.ageHours,
        test: strengthTest(own.map(setMember), job.system, limits, {
          mode: job.rounding,
          designated: first?.ageHours === mix.ageHours,
        }),
      };
    })
    .toSorted((a, b) => a.ageHours - b.ageHours);
  return [...sets, ...others];
}

/** What such specimens are called, and the result of theirs that counts. */
const OTHERS: Readonly<Record<OtherKind, { readonly what: string; readonly quantity: string }>> = {
  cube: { what: 'Cubes', quantity: 'compressive strength' },
  core: { what: 'Cores', quantity: 'core strength' },
  'grout prism': { what: 'Grout prisms', quantity: 'compressive strength' },
  'mortar cube': { what: 'Mortar cubes', quantity: 'compressive strength' },
  'split cylinder': { what: 'Split cylinders', quantity: 'splitting tensile strength' },
};

/** True for specimens of a kind; a cylinder is a split one once it was split. */
function isOfKind(view: SpecimenView, kind: OtherKind): boolean {
  return kind === 'split cylinder'
    ? view.run?.state === 'complete' && view.run.method === 'splitting-tensile'
    : mouldOf(view.size).kind === kind;
}

/** Specimens of one kind and age that are no cylinders. */
function otherSets(
  views: readonly SpecimenView[],
  kind: OtherKind,
  job: { system: 'US' | 'SI'; rounding: 'half-even' | 'half-up' },
  mix: { ageHours: number; specifiedStrength?: string },
  limits: Limits,
): AgeSet[] {
  const own = views.filter((view) => isOfKind(view, kind) && view.ageHours !== null);
  const keys = [...new Set(own.map(({ ageHours, cure }) => `${ageHours}/${cure}`))];
  const { what, quantity } = OTHERS[kind];
  return keys.map((key) => {
    const members = own.filter(({ ageHours, cure }) => `${ageHours}/${cure}` === key);
    const tested = members.flatMap((view) => {
      const outcome = view.run?.state === 'complete' ? view.run.outcome : null;
      const result = outcome?.results.find((each) => each.quantity === quantity);
      return outcome && result && view.leftOut === null && isReportable(outcome.findings)
        ? [{ label: view.label, value: result.value }]
        : [];
    });
    const [first] = members;
    const specified = first && specifiedFor(first, mix).specifiedStrength;
    const unit = job.system === 'US' ? 'psi' : 'MPa';
    const { text, note, used, lines } = otherSet(
      kind,
      tested.map(({ value }) => value),
      setupMeasure(specified, 'stress', unit),
      { system: job.system, limits, mode: job.rounding },
    );
    const waiting = members.filter(({ testedAt, discarded }) => !testedAt && !discarded);
    const out = members.flatMap(({ label, leftOut }) => (leftOut === null ? [] : [{ label, why: leftOut }]));
    return {
      ageHours: first?.ageHours ?? 0,
      cure: first?.cure ?? 'standard',
      specimens: members,
      designated: false,
      what,
      test: {
        state: waiting.length > 0 ? 'pending' : 'tested',
        value: text,
        text,
        unit,
        used: tested.filter((_, place) => used.includes(place)).map(({ label }) => label),
        leftOut: out,
        waitingFor: waiting.map(({ label }) => label),
        lines,
        findings: [],
        engineer: [],
      },
      ...(note || out.length > 0
        ? {
            note: [note, ...out.map((each) => `Left out: ${each.label}, ${each.why}.`)]
              .filter(Boolean)
              .join(' '),
          }
        : {}),
    };
  });
}

/** Everything about one sample. */
export async function sampleDossier(db: Queryable, actor: Actor, sampleId: string) {
  const [found] = await db
    .select({ sample: samples, placement: placements, mix: mixes, job: jobs, sampledByName: people.name })
    .from(samples)
    .innerJoin(placements, eq(placements.id, samples.placementId))
    .innerJoin(mixes, eq(mixes.id, placements.mixId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .innerJoin(people, eq(people.id, samples.sampledBy))
    .where(and(eq(samples.id, sampleId), readableJobs(db, actor)));
  const place = present(found, 'This sample');
  const releasedOnly = actor.role === 'client';
  const whole = await setsOfSample(db, place, releasedOnly);
  const fresh = await runViews(db, { sampleIds: [sampleId] });
  return {
    ...place,
    ...whole,
    fresh: releasedOnly ? fresh.filter((run) => run.released) : fresh,
    reports: await reportsOf(db, sampleId, releasedOnly),
  };
}

/** The specimens of a sample and the sets they make, by the limits that its job keeps to now. */
export async function setsOfSample(
  db: Queryable,
  {
    sample,
    job,
    mix,
  }: {
    readonly sample: { readonly id: string };
    readonly job: typeof jobs.$inferSelect;
    readonly mix: typeof mixes.$inferSelect;
  },
  releasedOnly = false,
) {
  const limits = await limitsNow(db, job);
  const all = await specimenViews(db, [sample.id]);
  const specimens = releasedOnly ? withoutUnreleased(all) : all;
  return { limits, specimens, sets: ageSets(specimens, job, mix, limits) };
}

async function reportsOf(db: Queryable, sampleId: string, signedOnly: boolean) {
  return db
    .select({
      id: reports.id,
      number: reports.number,
      revision: reports.revision,
      state: reports.state,
      signedAt: reports.signedAt,
      preparedAt: reports.preparedAt,
    })
    .from(reports)
    .where(and(eq(reports.sampleId, sampleId), signedOnly ? isNotNull(reports.signedAt) : undefined))
    .orderBy(asc(reports.revision));
}
