import { asc } from 'drizzle-orm';
import {
  combine,
  type Derived,
  rowBy,
  ruleFor,
  type SetMember,
  type SetRule,
  type StrengthTest,
  strengthTest,
  type Verdict,
} from '@/core/acceptance';
import { groupBy } from '@/core/group-by';
import type { Limits } from '@/core/limits';
import type { PiecePlan } from '@/core/material/contract';
import { findForm } from '@/core/materials/forms';
import { findMaterial } from '@/core/materials/registry';
import { type Facts, type Method, type Result, setupMeasure } from '@/core/methods';
import { STRESS_UNIT } from '@/core/methods/press';
import { findMethod, METHODS, methodsFor } from '@/core/methods/registry';
import { isHeld, isMould, type MouldSize } from '@/core/moulds';
import { exact, type UnitId, unitOf } from '@/core/quantity';
import { ageText } from '@/core/windows';
import { isReportable } from '@/core/working';
import type { Queryable } from '@/db/client';
import { type jobs, type lots, samples, type specifications } from '@/db/schema';
import { factsBefore } from './facts';
import { factsStored } from './facts-stored';
import { type SpecimenView, specimenViews, withoutUnreleased } from './queries/dossier';
import { limitsOfJobs } from './run-setup';
import { anyOf } from './scope';

/** Specimens of one sample whose results stand together, and what they say. */
export interface SpecimenSet {
  readonly key: string;
  /** What it is called: `Strength test at 28 days`. */
  readonly title: string;
  /** The method that breaks them. */
  readonly method: string;
  readonly ageHours: number | null;
  readonly cure: 'standard' | 'field' | null;
  readonly specimens: readonly SpecimenView[];
  /** True at the age the specified strength is for; younger sets inform only. */
  readonly designated: boolean;
  readonly test: StrengthTest;
  /** What they are, where they are no cylinders: `Cores`. */
  readonly what?: string;
  /** What the specimens say together where that is no strength test: cubes by their school, cores by 85 and 75 %. */
  readonly note?: string;
  /** Its mean before it was rounded, where its rule makes one. */
  readonly mean?: { readonly quantity: string; readonly value: string };
  /** What the set is held against, where its own rule says so. */
  readonly verdicts: readonly Verdict[];
  /** What follows from its mean. */
  readonly derived?: Derived;
}

type Job = Pick<typeof jobs.$inferSelect, 'system' | 'rounding'>;
type Specification = Pick<typeof specifications.$inferSelect, 'asked'>;

/** A specimen as its set's strength test sees it. */
export function setMember(view: SpecimenView & { size: MouldSize }): SetMember {
  const { run } = view;
  const outcome = run?.state === 'complete' ? run.outcome : null;
  const strength = outcome ? run?.main : undefined;
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

/** The method that a specimen is broken by: the one that broke it, else the first that its form is made for. */
function breakMethod(view: SpecimenView, asked: Specification['asked']): Method | undefined {
  const { run } = view;
  return run?.state === 'complete'
    ? findMethod(run.method)
    : methodsFor(view, { ...asked }).find(({ spends }) => spends !== false);
}

/**
 * The sets of one sample: specimens that one method breaks, alike in all that its rule names, never mixed. Held ones
 * belong to no set. Those whose mean is a strength test stand first, by age.
 * @param facts what rules ask to know besides, by method
 * @param planned how many specimens of a form the plan of the sample wants; absent: it has none
 */
export function setsOf(
  views: readonly SpecimenView[],
  job: Job,
  { asked }: Specification,
  limits: Limits,
  facts: ReadonlyMap<string, Facts> = new Map(),
  planned?: (form: string) => number | undefined,
): SpecimenSet[] {
  const due = views.filter((view) => !isHeld(view));
  const brokenBy = groupBy(due, (view) => breakMethod(view, asked)?.id);
  const keyed = METHODS.flatMap(({ id, set: rule, spends }) => {
    const all = spends === false ? testedWhole(due, id) : brokenBy.get(id);
    const own = rule?.begun ? all?.filter(({ run }) => run !== null) : all;
    if (!rule || !own || own.length === 0) return [];
    // What goes by a letter of its own was taken out or brought along: it never stands with what was moulded.
    const alike = groupBy(own, (view) =>
      [
        ...rule.by.map((what) => (what === 'age' ? view.ageHours : view.about.cure)),
        ...[findForm(view.form)?.letter ?? []].flat(),
      ].join('/'),
    );
    const sets = [...alike].map(([key, members]) =>
      setOf(
        { rule, method: id, key: `${id}/${key}` },
        members,
        job,
        asked,
        limits,
        facts.get(id),
        planned?.(members[0]?.form ?? ''),
      ),
    );
    return rule.combine === 'strength test'
      ? sets.toSorted((a, b) => (a.ageHours ?? 0) - (b.ageHours ?? 0))
      : sets;
  });
  const isTest = ({ what }: SpecimenSet): boolean => what === undefined;
  return [...keyed.filter(isTest), ...keyed.filter((set) => !isTest(set))];
}

/** Specimens that were tested by a method that leaves them whole, as a set of that method sees them. */
function testedWhole(views: readonly SpecimenView[], method: string): SpecimenView[] | undefined {
  const own = views.flatMap((view) => {
    const run = view.whole.filter((each) => each.method === method).at(-1);
    return run
      ? [{ ...view, run, testedAt: run.state === 'complete' ? (run.completedAt ?? null) : null }]
      : [];
  });
  return own.length > 0 ? own : undefined;
}

interface Named {
  readonly rule: SetRule;
  readonly method: string;
  readonly key: string;
}

/** One set: its strength test, or what its rule says of it. */
function setOf(
  { rule: given, method, key }: Named,
  members: readonly SpecimenView[],
  job: Job,
  asked: Specification['asked'],
  limits: Limits,
  facts: Facts | undefined,
  planned: number | undefined,
): SpecimenSet {
  const [first] = members;
  const ageHours = given.by.includes('age') ? (first?.ageHours ?? null) : null;
  const at = ageHours === null ? '' : ` at ${ageText(ageHours)}`;
  // What is asked of these specimens, as their own test is told it: grout is not held against the concrete around it.
  const sources = findMethod(method)?.facts ?? {};
  const own = factsStored(sources, { asked, specimen: first?.about });
  const wanted = (name: string): unknown =>
    name in sources ? own[name] : (asked as unknown as Record<string, unknown>)[name];
  const said = (name: string): string | undefined => {
    const text = wanted(name);
    return typeof text === 'string' ? text : undefined;
  };
  const rule = ruleFor(given, limits.profile, said);
  const base = { key, method, ageHours, cure: first?.about.cure ?? null, specimens: members };
  if (rule.combine === 'strength test') {
    const designated = first?.ageHours === asked.ageHours;
    const cylinders = members.flatMap((view) => {
      const { form: size } = view;
      return isMould(size) ? [setMember({ ...view, size })] : [];
    });
    const test = strengthTest(cylinders, job.system, limits, { mode: job.rounding, designated });
    const title = `${designated ? 'Strength test' : 'For information'}${at}`;
    return { ...base, title, designated, test, verdicts: [] };
  }
  const tested = members.flatMap((view) => {
    const outcome = view.run?.state === 'complete' ? view.run.outcome : null;
    const result = outcome?.results.find((each) => each.quantity === rule.quantity);
    return outcome && result && view.leftOut === null && isReportable(outcome.findings)
      ? [
          {
            label: view.label,
            value: result.value,
            unit: result.unit,
            ...(result.bound ? { bound: result.bound } : {}),
            ...(result.provisional ? { provisional: result.provisional } : {}),
            quantities: byQuantity(outcome.results),
          },
        ]
      : [];
  });
  const unit = tested[0]?.unit ?? STRESS_UNIT[job.system];
  // One whose test is done and whose result is still to come waits as well.
  const waiting = members.filter(
    ({ testedAt, discarded, run }) =>
      discarded === null &&
      (!testedAt ||
        (isReportable(run?.outcome?.findings ?? []) &&
          !run?.outcome?.results.some(({ quantity }) => quantity === rule.quantity))),
  );
  const { value, text, mean, note, used, lines, verdicts, derived } = combine(
    rule,
    tested,
    {
      system: job.system,
      limits,
      mode: job.rounding,
      unit,
      asked: (name, as = unit) => measureOf(wanted(name), as),
      said,
      ...(facts ? { facts } : {}),
      ...(ageHours === null ? {} : { ageHours }),
      ...(planned === undefined ? {} : { planned }),
      rejected: members.filter(
        ({ testedAt, leftOut, run }) =>
          testedAt && leftOut === null && !isReportable(run?.outcome?.findings ?? []),
      ).length,
    },
    waiting.length > 0,
  );
  const out = members.flatMap(({ label, leftOut }) => (leftOut === null ? [] : [{ label, why: leftOut }]));
  const words = [note, ...out.map((each) => `Left out: ${each.label}, ${each.why}.`)]
    .filter(Boolean)
    .join(' ');
  return {
    ...base,
    title: `${rule.word}${at}${rule.by.includes('cure') && first?.about.cure === 'field' ? ', cured in the field' : ''}`,
    designated: false,
    what: rule.word,
    test: {
      state: waiting.length > 0 ? 'pending' : 'tested',
      value,
      text,
      unit,
      used: tested.filter((_, place) => used.includes(place)).map(({ label }) => label),
      leftOut: out,
      waitingFor: waiting.map(({ label }) => label),
      lines,
      findings: [],
      engineer: doubtsOf(rule, tested, waiting.length > 0, { limits, system: job.system, said, members }),
    },
    ...(words ? { note: words } : {}),
    ...(mean === null ? {} : { mean: { quantity: rule.quantity, value: mean } }),
    verdicts,
    ...(derived ? { derived } : {}),
  };
}

/** Why an engineer must say whether what a set came to counts where it stands in a series. */
function doubtsOf(
  { wanted, word }: SetRule,
  tested: readonly unknown[],
  waits: boolean,
  about: {
    readonly limits: Limits;
    readonly system: Job['system'];
    readonly said: (name: string) => string | undefined;
    readonly members: readonly SpecimenView[];
  },
): string[] {
  const { limits, system, said, members } = about;
  const least = wanted ? limits.number(rowBy(wanted, said), system).toNumber() : 0;
  const late = members.some(
    ({ run, leftOut }) =>
      leftOut === null && run?.outcome?.findings.some(({ id }) => /^specimen\.age-/u.test(id)),
  );
  return [
    ...(!waits && tested.length > 0 && tested.length < least
      ? [`reduced set: ${tested.length} of the ${least} ${word.toLowerCase()} a test needs`]
      : []),
    ...(late ? ['one was broken outside its age window'] : []),
  ];
}

function byQuantity(results: readonly Result[]): Record<string, string> {
  return Object.fromEntries(results.map(({ quantity, value }) => [quantity, value]));
}

/** What is asked for, in the unit of the results or a plain number; undefined where it is not. */
function measureOf(stored: unknown, unit: UnitId) {
  if (typeof stored !== 'string' || stored === '') return undefined;
  return /^[\d.]+$/u.test(stored) ? exact(stored) : setupMeasure(stored, unitOf(unit).dimension, unit);
}

interface Place {
  readonly sample: typeof samples.$inferSelect;
  readonly job: typeof jobs.$inferSelect;
  readonly placement: typeof lots.$inferSelect;
  readonly mix: typeof specifications.$inferSelect;
}

/** The specimens of a sample and the sets they make, by the limits that its job keeps to now. */
export async function setsOfSample(db: Queryable, place: Place, releasedOnly = false) {
  const [own] = await setsOfSamples(db, [place], releasedOnly);
  return own as NonNullable<typeof own>;
}

/** The same of several samples, asked for together, in their order. */
export async function setsOfSamples<P extends Place>(
  db: Queryable,
  places: readonly P[],
  releasedOnly = false,
) {
  const limitsBy = await limitsOfJobs(
    db,
    places.map(({ job }) => job),
  );
  const all = await specimenViews(
    db,
    places.map(({ sample }) => sample.id),
  );
  return setsOfViews(db, places, releasedOnly ? withoutUnreleased(all) : all, limitsBy);
}

/** The same of specimens that are known already. */
export async function setsOfViews<P extends Place>(
  db: Queryable,
  places: readonly P[],
  all: readonly SpecimenView[],
  limitsBy: (job: P['job']) => Limits,
) {
  const views = groupBy(all, ({ sampleId }) => sampleId);
  const known = new Map<string, ReadonlyMap<string, Facts>>();
  const lotOf = await samplesOfLots(db, places);
  const made = [];
  for (const place of places) {
    const specimens = views.get(place.sample.id) ?? [];
    // What is known of a lot is known for all its samples.
    const key = [
      place.placement.id,
      ...new Set(specimens.flatMap((view) => breakMethod(view, place.mix.asked)?.id ?? [])),
    ].join();
    const facts = known.get(key) ?? (await factsBy(db, specimens, place));
    known.set(key, facts);
    const limits = limitsBy(place.job);
    const { sample, job, mix } = place;
    const material = findMaterial(mix.material);
    const lot = lotOf.get(sample.lotId);
    const among = lot && {
      samples: lot.map(({ about }) => about),
      place: lot.findIndex(({ id }) => id === sample.id),
    };
    /** How many pieces the sample wants, of a form where each has its own plan; undefined where none is known. */
    const planOf = (form?: string): PiecePlan | undefined =>
      material?.plan?.(sample.about, {
        limits,
        system: job.system,
        asked: { ...mix.asked },
        form,
        ...(among ? { among } : {}),
      });
    const planned = (form: string): number | undefined => planOf(form)?.count;
    made.push({
      place,
      limits,
      specimens,
      planOf,
      sets: setsOf(specimens, job, mix, limits, facts, planned),
    });
  }
  return made;
}

/** All zones of the places that these are of, by lot, in the order of their numbers: what one wants hangs on them. */
async function samplesOfLots(db: Queryable, places: readonly Place[]) {
  const zones = places.filter(({ mix }) => findMaterial(mix.material)?.hasPlan);
  const lotIds = [...new Set(zones.map(({ sample }) => sample.lotId))];
  const { id, lotId, about, number } = samples;
  const all =
    lotIds.length === 0
      ? []
      : await db.select({ id, lotId, about }).from(samples).where(anyOf(lotId, lotIds)).orderBy(asc(number));
  return groupBy(all, (each) => each.lotId);
}

/** What the rules of these specimens' methods ask to know, by method. */
async function factsBy(
  db: Queryable,
  views: readonly SpecimenView[],
  place: Place,
): Promise<ReadonlyMap<string, Facts>> {
  const methods = new Set(views.flatMap((view) => breakMethod(view, place.mix.asked)?.id ?? []));
  const facts = new Map<string, Facts>();
  for (const id of methods) {
    const sources = findMethod(id)?.set?.facts;
    if (sources) facts.set(id, await factsBefore(db, sources, place));
  }
  return facts;
}
