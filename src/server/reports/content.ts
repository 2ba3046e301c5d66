import { createHash } from 'node:crypto';
import { DateTime } from 'luxon';
import { sampleLabel } from '@/core/identity/labels';
import { entryText, type Limits, PROFILE_WORDS } from '@/core/limits';
import { fieldsOf } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import { mouldText } from '@/core/moulds';
import { type System, UNITS as UNIT_WORDS, unitLabel, withThousands } from '@/core/quantity';
import type { ReportContent, ReportSpecimen, ReportTest } from '@/core/report';
import { ageText, durationText } from '@/core/windows';
import { type Finding, isReportable, sourceText } from '@/core/working';
import type { Queryable } from '@/db/client';
import { curvesOf, type RunCurve } from '../queries/curves';
import { everyRun, type RunView, type SpecimenView, sampleDossier } from '../queries/dossier';
import { mixSeries } from '../queries/series';
import type { Actor } from '../use-case';

/** What stands in the way of a signature, in words; empty when nothing does. */
export interface ComposedReport {
  readonly content: ReportContent;
  readonly hindrances: readonly string[];
  readonly rests: readonly { readonly outcomeId: string; readonly runId: string }[];
}

const STATEMENTS = [
  'The results relate only to the items tested.',
  'Statements of conformity are arithmetical, against the named criterion; measurement uncertainty is not taken into account. Acceptance of the concrete is the engineer’s.',
  'This report may be copied only in full, unless the laboratory agrees otherwise.',
];

function when(at: Date | string, zone: string): string {
  const instant = typeof at === 'string' ? DateTime.fromISO(at) : DateTime.fromJSDate(at);
  return instant.setZone(zone).toFormat("d LLL yyyy HH:mm 'UTC'ZZ");
}

/** The mark of a content as it is shown, SHA-256 in hex: what is signed must be what was read. */
export function contentMark(content: ReportContent): string {
  return createHash('sha256').update(JSON.stringify(content)).digest('hex');
}

/**
 * Puts a sample's report together from what is on record now.
 * @returns the content, what hinders signing it, and the outcomes it rests on
 */
export async function composeReport(db: Queryable, actor: Actor, sampleId: string): Promise<ComposedReport> {
  const dossier = await sampleDossier(db, actor, sampleId);
  const { job, mix, sample, placement, limits } = dossier;
  const label = sampleLabel(job.number, sample.number);
  const complete = (run: RunView): boolean => run.state === 'complete' && run.outcome !== null;
  const fresh = dossier.fresh.filter(complete);
  const tested = dossier.specimens.flatMap((view) =>
    everyRun(view)
      .filter(complete)
      .map((run) => ({ view, run })),
  );
  const runs = [...fresh, ...tested.map(({ run }) => run)];
  const curves = await curvesOf(
    db,
    tested.map(({ run }) => run.id),
  );
  const series = await mixSeries(db, actor, mix.id);
  const verdicts = [...series.verdicts.windows, ...series.verdicts.individuals]
    .filter((verdict) => verdict.pointIds.at(-1) === sample.id && verdict.state !== 'not yet determinable')
    .map(({ criterion, state, sentence }) => ({ criterion, state, sentence }));
  const hindrances = [
    ...(runs.length === 0 ? ['Nothing has been tested yet.'] : []),
    ...runs.flatMap((run) => hindrancesOf(run, dossier.specimens)),
  ];
  const methods = [...new Set(runs.map((run) => run.method))].flatMap(
    (id) =>
      findMethod(id)?.designations.map(
        (source) => `${sourceText(source)} ${findMethod(id)?.title.toLowerCase()}`,
      ) ?? [],
  );
  const content: ReportContent = {
    schema: 1,
    job: { number: job.number, name: job.name, owner: job.owner, location: job.location },
    mix: {
      code: `${mix.code} v${mix.version}`,
      title: mix.title,
      specified: measureWords(mix.specifiedStrength),
      age: ageText(mix.ageHours),
    },
    placement: {
      number: placement.number,
      element: placement.element,
      location: placement.location,
      volume: measureWords(placement.volume ?? ''),
    },
    sample: {
      label,
      ticket: sample.ticket,
      truck: sample.truck,
      sampledAt: when(sample.sampledAt, job.zone),
      sampledBy: dossier.sampledByName,
      remarks: sample.remarks,
    },
    fresh: fresh.map((run) => reportTest(run, job.zone)),
    specimens: tested.map(
      ({ view, run }): ReportSpecimen => ({
        label: view.label,
        size: mouldText(view.size),
        cure: view.cure,
        designatedAge: view.ageHours === null ? 'held' : ageText(view.ageHours),
        age: ageAt(view, run),
        castAt: when(view.castAt, job.zone),
        test: reportTest(
          run,
          job.zone,
          curves.find(({ runId }) => runId === run.id),
          job.system,
        ),
      }),
    ),
    waiting: dossier.specimens
      .filter((view) => !view.testedAt && !view.discarded)
      .map((view) => `${view.label} (${view.ageHours === null ? 'held' : ageText(view.ageHours)})`),
    discarded: dossier.specimens
      .filter((view) => view.discarded !== null)
      .map((view) => ({ label: view.label, why: view.discarded ?? '' })),
    sets: dossier.sets
      .filter((set) => set.test.value !== null || set.test.state === 'no valid result' || set.note)
      .map((set) => ({
        age: ageText(set.ageHours),
        cure: set.cure,
        value: set.test.text,
        unit: unitLabel(set.test.unit),
        state: set.test.state,
        designated: set.designated,
        ...(set.what ? { what: set.what } : {}),
        used: set.test.used,
        leftOut: set.test.leftOut,
        lines: set.test.lines,
        remarks: [
          ...set.test.findings.map((found) => found.remark ?? found.message),
          ...(set.note ? [set.note] : []),
        ],
      })),
    verdicts,
    rounding: job.rounding === 'half-even' ? 'ASTM E29, half to even' : 'half up, as the project asks',
    methods: [
      ...methods,
      ...(job.profile === 'astm' ? [] : [`School of testing: ${PROFILE_WORDS[job.profile]}`]),
      ...projectRows(limits, job.system),
    ],
    limitsRevision: limits.revision,
    recalledLimits: limits.all().some(({ entry }) => entry.status === 'recalled'),
    statements: STATEMENTS,
  };
  return {
    content,
    hindrances,
    rests: runs.flatMap((run) => (run.outcomeId ? [{ outcomeId: run.outcomeId, runId: run.id }] : [])),
  };
}

/** How old a specimen was when a test of it was made. */
function ageAt(view: SpecimenView, run: RunView): string {
  const field = findMethod(run.method)?.performedAt;
  const performed = field ? run.input?.[field] : undefined;
  const at = typeof performed === 'string' ? Date.parse(performed) : view.testedAt?.getTime();
  return at === undefined ? '' : durationText((at - view.castAt.getTime()) / 60_000);
}

/** The rows that the project's own document sets, as the report names them. */
function projectRows(limits: Limits, system: System): string[] {
  return limits
    .all()
    .filter(({ entry }) => entry.status === 'set by the project')
    .map(
      ({ entry }) =>
        `Set by the project (${entry.edition}): ${[entry.title, entryText(entry, system)].filter(Boolean).join(', ')}`,
    );
}

function hindrancesOf(run: RunView, views: readonly SpecimenView[]): string[] {
  const specimen = views.find((view) => everyRun(view).some(({ id }) => id === run.id));
  const what = specimen?.label ?? findMethod(run.method)?.title ?? run.method;
  return run.openReasons.map((id) => {
    const found = run.outcome?.findings.find((each) => each.id === id);
    const given = run.reasons.some((reason) => reason.findingId === id);
    return given
      ? `${what}: a reviewer must accept the recorded reason: ${found?.message ?? id}`
      : `${what}: a reason must be recorded: ${found?.message ?? id}`;
  });
}

function reportTest(run: RunView, zone: string, kept?: RunCurve, system?: System): ReportTest {
  const method = findMethod(run.method);
  const input = run.input ?? {};
  const fields = method ? fieldsOf(method.Input) : [];
  const outcome = run.outcome;
  const performed = method ? input[method.performedAt] : undefined;
  return {
    title: method?.title ?? run.method,
    method: method?.designations.map(sourceText).join(', ') ?? '',
    attempt: run.attempt,
    at:
      typeof performed === 'string'
        ? when(performed, zone)
        : run.completedAt
          ? when(run.completedAt, zone)
          : '',
    by: run.completedBy ?? '',
    readings: fields
      .filter((field) => input[field.name] !== undefined && field.kind !== 'equipment')
      .map((field) => ({
        label: field.label,
        text: readingText(field, input[field.name], zone, String(input.system)),
      })),
    results: outcome?.results ?? [],
    lines: outcome?.lines ?? [],
    remarks: [
      ...(run.repeatReason ? [`Made again: ${run.repeatReason}`] : []),
      ...(outcome?.findings ?? []).filter(({ severity }) => severity !== 'advice').map(remarkOf(run)),
      ...(typeof input.remarks === 'string' ? [input.remarks] : []),
    ],
    conformity: outcome?.conformity ?? [],
    equipment: fields
      .filter((field) => field.kind === 'equipment' && input[field.name] !== undefined)
      .map((field) => {
        const number = String(input[field.name]);
        const facts = run.setup?.equipment?.find((each) => each.number === number);
        return `${field.label} ${number}${facts?.verifiedOn ? `, verified ${facts.verifiedOn}` : ''}`;
      }),
    valid: isReportable(outcome?.findings ?? []),
    ...(kept && system ? { log: logOf(kept, system) } : {}),
  };
}

/** The load log of a test in words and as a curve. */
function logOf({ name, sha256, curve, analysis }: RunCurve, system: System): NonNullable<ReportTest['log']> {
  const rate = analysis.meanRate;
  const unit = system === 'US' ? 'psi/s' : 'MPa/s';
  const words = [
    `${withThousands(String(analysis.rows))} readings`,
    ...(rate === null
      ? []
      : [`mean rate ${rate.toFixed(system === 'US' ? 1 : 3)} ${unit} from half to nine tenths`]),
    ...(analysis.outside === null ? [] : [`${analysis.outside.toFixed(0)} % outside the band`]),
    ...analysis.dips.map(({ depth }) => `a dip of ${depth.toFixed(1)} %`),
  ];
  return { name, sha256, startAt: analysis.startAt, points: curve, words: words.join(', ') };
}

function remarkOf(run: RunView): (found: Finding) => string {
  return (found) => {
    const reason = run.reasons.find((each) => each.findingId === found.id)?.reason;
    return `${found.remark ?? found.message}${reason ? ` Reason recorded: ${reason}` : ''}`;
  };
}

function readingText(
  field: ReturnType<typeof fieldsOf>[number],
  raw: unknown,
  zone: string,
  system: string,
): string {
  if (field.kind === 'instant') return when(String(raw), zone);
  if (field.kind === 'check') return raw === true ? 'yes' : 'no';
  if (field.kind === 'choice') return field.options.find(({ value }) => value === raw)?.label ?? String(raw);
  if (field.kind === 'measure') {
    const typed = String(raw);
    if (/[a-z"'°%:]/iu.test(typed)) return typed;
    const shown = /^\d{5,}(\.\d+)?$/.test(typed) ? withThousands(typed) : typed;
    return `${shown} ${unitLabel(field.unit[system === 'SI' ? 'SI' : 'US'])}`;
  }
  return String(raw);
}

/** A stored measure (`4500 psi`, `82 yd3`) as people write it. */
export function measureWords(stored: string): string {
  const [number = '', unit = ''] = stored.split(' ');
  if (number === '') return '';
  const label = unit in UNIT_WORDS ? unitLabel(unit as keyof typeof UNIT_WORDS) : unit;
  return `${withThousands(number)} ${label}`;
}
