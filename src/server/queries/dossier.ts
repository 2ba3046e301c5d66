import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import { groupBy } from '@/core/group-by';
import type { SpecimenAbout } from '@/core/materials/concrete/record';
import { mainOf, type Outcome, type Result, type RunSetup, standsApart } from '@/core/methods';
import { findMethod, METHODS } from '@/core/methods/registry';
import type { Queryable } from '@/db/client';
import {
  outcomes,
  people,
  reasonAcceptances,
  reportOutcomes,
  reports,
  runReasons,
  runs,
  specimenEvents,
  specimens,
} from '@/db/schema';
import { anyOf } from '../scope';

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
  readonly lotId: string | null;
  readonly completedAt: Date | null;
  readonly completedBy: string | null;
  readonly outcomeId: string | null;
  readonly outcome: Outcome | null;
  /** The result that its method is made for. */
  readonly main: Result | undefined;
  /** It is of something else than what a group is made of: counts in none. */
  readonly apart: boolean;
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
  'lines', '[]'::jsonb, 'verdicts', '[]'::jsonb, 'picture', '{}'::jsonb)`;

/** Of the findings only what says whether the result counts, too. */
const COUNTED = sql<Outcome>`jsonb_build_object(
  'results', ${outcomes.outcome} -> 'results',
  'findings', (SELECT coalesce(jsonb_agg(jsonb_build_object('id', f -> 'id', 'severity', f -> 'severity', 'needsReason', f -> 'needsReason')), '[]')
               FROM jsonb_array_elements(${outcomes.outcome} -> 'findings') f),
  'lines', '[]'::jsonb, 'verdicts', '[]'::jsonb, 'picture', '{}'::jsonb)`;

/**
 * Runs with their newest outcome: these runs, or those of specimens, samples or lots.
 * @param options.method of one method only
 * @param options.detail how much of each is read, where there are many
 */
export async function runViews(
  db: Queryable,
  subject: {
    runIds?: readonly string[];
    specimenIds?: readonly string[];
    sampleIds?: readonly string[];
    lotIds?: readonly string[];
  },
  { detail = 'whole', method }: { detail?: Detail; method?: string } = {},
): Promise<RunView[]> {
  const { runIds, specimenIds, sampleIds, lotIds } = subject;
  const asked: [AnyPgColumn, readonly string[] | undefined][] = [
    [runs.id, runIds],
    [runs.specimenId, specimenIds],
    [runs.sampleId, sampleIds],
    [runs.lotId, lotIds],
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
    const method = findMethod(run.method);
    const own = reasonsBy.get(run.id) ?? [];
    const accepted = new Set(own.filter((reason) => reason.acceptedByName).map((reason) => reason.findingId));
    const main = method && last ? mainOf(method, last.outcome) : undefined;
    const asked = (last?.outcome.findings ?? []).filter((found) => found.needsReason).map(({ id }) => id);
    return {
      id: run.id,
      method: run.method,
      attempt: run.attempt,
      repeatReason: run.repeatReason,
      state: run.state,
      specimenId: run.specimenId,
      sampleId: run.sampleId,
      lotId: run.lotId,
      completedAt: run.completedAt,
      completedBy: by,
      outcomeId: last?.id ?? null,
      outcome: last?.outcome ?? null,
      main,
      apart: method ? standsApart(method, main) : false,
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
  /** What it was cut from. */
  readonly parentId: string | null;
  readonly form: string;
  /** Where it lies on the plan of its lot, as a share of its width and height. */
  readonly place: { readonly x: number; readonly y: number } | null;
  /** What it is for, where specimens of its form are for different tests. */
  readonly role: string | null;
  readonly about: SpecimenAbout;
  readonly since: Date;
  readonly ageHours: number | null;
  readonly opensAt: Date | null;
  readonly closesAt: Date | null;
  readonly testedAt: Date | null;
  /** Why it was thrown away, or that it was lost; null for one that is there. */
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
    // C2 before C10: a longer label of the same sample is a later one.
    .orderBy(sql`length(${specimens.label})`, asc(specimens.label));
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
        inArray(specimenEvents.kind, [...GONE, 'left out', 'taken back in']),
      ),
    )
    .orderBy(asc(specimenEvents.at), asc(specimenEvents.savedAt));
  const views = groupBy(await runViews(db, { specimenIds: ids }, options), ({ specimenId }) => specimenId);
  const saidBy = groupBy(said, ({ specimenId }) => specimenId);
  return rows.map((row) => ({
    ...row,
    discarded: goneBy(lastOf(saidBy.get(row.id), GONE)),
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

/** What takes a specimen away before it is tested, and what takes that back. */
const GONE = ['discarded', 'lost', 'discard taken back'] as const;

function goneBy(last: { kind: string; note: string } | undefined): string | null {
  if (!last || last.kind === 'discard taken back') return null;
  return last.kind === 'lost' ? ['lost', last.note].filter(Boolean).join(', ') : last.note;
}

/** Why a specimen is left out, by the last word on it. */
function evidenceOf(last: { kind: string; note: string; by: string } | undefined): string | null {
  return last?.kind === 'left out' ? `${last.note} (${last.by})` : null;
}

/** The run that broke a specimen, of several the last, and those that left it whole. */
function runsOf(views: readonly RunView[]): Pick<SpecimenView, 'run' | 'whole'> {
  const isWhole = ({ method }: RunView): boolean => findMethod(method)?.spends === false;
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
