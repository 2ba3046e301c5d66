import { createHash } from 'node:crypto';
import { and, eq, ne } from 'drizzle-orm';
import { CRITERIA } from '@/core/acceptance';
import { sampleLabel } from '@/core/identity/labels';
import { headLines } from '@/core/laboratory/details';
import { entryText, type Limits, PROFILE_WORDS } from '@/core/limits';
import type { LotSays, Material, Said } from '@/core/material/contract';
import { inShort, saidOf } from '@/core/material/said';
import { formText } from '@/core/materials/forms';
import { findMaterial } from '@/core/materials/registry';
import { factText, fieldsOf, type Method, rowsText } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import { degreeUnits } from '@/core/methods/temperature/units';
import { isHeld } from '@/core/moulds';
import { type System, unitLabel, withThousands, withUnit } from '@/core/quantity';
import type { ReportContent, ReportSet, ReportTest } from '@/core/report';
import { ratePart, thinned } from '@/core/signals';
import { ageText, durationText } from '@/core/windows';
import { capital } from '@/core/words';
import { type Finding, isReportable, sourceText } from '@/core/working';
import type { Queryable } from '@/db/client';
import { verdicts } from '@/db/schema';
import { CURVE_POINTS } from '../actions/load-logs';
import { Conflict } from '../errors';
import { curvesOf, type RunCurve, recordsOfRuns } from '../queries/curves';
import { everyRun, type RunView, type SpecimenView } from '../queries/dossier';
import { lotDossier } from '../queries/lot';
import { sampleDossier, type sampleDossiers } from '../queries/sample';
import { anyOf } from '../scope';
import type { SpecimenSet } from '../sets';
import { laboratoryNow } from '../settings';
import type { Actor } from '../use-case';
import { owedBy } from './owed';
import { certificatesUsed, photographsOf } from './photographs';
import { coursesOf, planOf } from './place';
import { when } from './when';

/** What stands in the way of a signature, in words; empty when nothing does. */
export interface ComposedReport {
  readonly content: ReportContent;
  readonly hindrances: readonly string[];
  readonly rests: readonly { readonly outcomeId: string; readonly runId: string }[];
}

const STATEMENTS = [
  'The results relate only to the items tested.',
  'Statements of conformity are arithmetical, against the named criterion; measurement uncertainty is not taken into account. Acceptance is the engineer’s.',
  'This report may be copied only in full, unless the laboratory agrees otherwise.',
];

/** The mark of a content as it is shown, SHA-256 in hex: what is signed must be what was read. */
export function contentMark(content: ReportContent): string {
  return createHash('sha256').update(JSON.stringify(content)).digest('hex');
}

/** What a report is of. */
export type ReportOf = { readonly sampleId: string } | { readonly lotId: string };

/** What a report is of, as it is kept. */
export function reportOf({ sampleId, lotId }: { sampleId: string | null; lotId: string | null }): ReportOf {
  return sampleId === null ? { lotId: lotId ?? '' } : { sampleId };
}

/**
 * Puts the report of a sample, or of all samples of a lot, together from what is on record now.
 * @returns the content, what hinders signing it, and the outcomes it rests on
 */
export async function composeReport(db: Queryable, actor: Actor, of: ReportOf): Promise<ComposedReport> {
  const whole = 'lotId' in of ? await lotDossier(db, actor, of.lotId) : undefined;
  const dossiers = whole
    ? whole.samples
    : [await sampleDossier(db, actor, 'sampleId' in of ? of.sampleId : '')];
  const ofLot = whole?.runs.filter(isComplete) ?? [];
  const recorded = await recordsOfRuns(
    db,
    ofLot.map(({ id }) => id),
  );
  const [first = ofLot.length > 0 ? whole : undefined] = dossiers;
  if (!first) throw new Conflict('Nothing has been taken of it yet: there is nothing to report.');
  const { job, mix, placement, limits } = first;
  const material = findMaterial(mix.material);
  const parts = [];
  for (const dossier of dossiers) parts.push(await partOf(db, dossier, whole !== undefined));
  const runs = [...parts.flatMap((part) => part.runs), ...ofLot];
  const photographs = await photographsOf(db, runs, job.zone);
  const decided = material?.comesInLoads
    ? await seriesVerdicts(db, dossiers)
    : parts.flatMap((part) => part.verdicts);
  const methods = [...new Set(runs.map((run) => run.method))].flatMap(
    (id) =>
      findMethod(id)?.designations.map(
        (source) => `${sourceText(source)} ${findMethod(id)?.title.toLowerCase()}`,
      ) ?? [],
  );
  const laboratory = await laboratoryNow(db);
  const content: ReportContent = {
    schema: 2,
    title: material?.words.report ?? '',
    laboratory: { name: laboratory.name, lines: headLines(laboratory) },
    subject: whole
      ? `${material?.words.lot[0]} ${placement.number}, ${placement.title}`
      : `${material?.words.sample[0]} ${sampleLabel(job.number, dossiers[0]?.sample.number ?? 0)}`,
    words: {
      onSample: material?.words.onSample ?? '',
      onSpecimens: material?.words.onSpecimens ?? '',
    },
    job: { number: job.number, name: job.name, owner: job.owner, location: job.location },
    facts: [
      ...placeFacts(first, material),
      ...dossiers.flatMap((each) => sampleFacts(each, material, job.zone)),
    ],
    tests: [
      ...ofLot.map((run) => ({
        runId: run.id,
        test: {
          ...reportTest(run, job.zone),
          ...recordedOf(
            recorded.filter(({ runId }) => runId === run.id),
            job.system,
          ),
        },
      })),
      ...parts.flatMap(({ tests }) => tests),
    ].map(({ runId, test }) => {
      const own = photographs.get(runId);
      return own ? { ...test, photographs: own } : test;
    }),
    waiting: parts.flatMap(({ waiting }) => waiting),
    discarded: parts.flatMap(({ discarded }) => discarded),
    sets: parts.flatMap(({ sets }) => sets),
    together: whole?.says ? withoutPicture(whole.says) : null,
    verdicts: [
      ...decided,
      ...(whole?.says?.verdict
        ? [{ criterion: `The whole ${material?.words.lot[0] ?? 'lot'}`, ...whole.says.verdict }]
        : []),
    ],
    ...(material?.hasPlan ? await planOf(db, placement.id, dossiers, job.system) : {}),
    ...nonEmpty('courses', coursesOf(dossiers, job.zone)),
    ...nonEmpty('certificates', await certificatesUsed(db, runs, job.zone)),
    ...nonEmpty('owed', await owedBy(db, runs, dossiers, job.zone)),
    ...nonEmpty('notClaimed', notClaimedBy(runs)),
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
    hindrances: [
      ...(runs.length === 0 ? ['Nothing has been tested yet.'] : []),
      ...runs.flatMap((run) =>
        hindrancesOf(
          run,
          dossiers.flatMap(({ specimens }) => specimens),
        ),
      ),
    ],
    rests: runs.flatMap((run) => (run.outcomeId ? [{ outcomeId: run.outcomeId, runId: run.id }] : [])),
  };
}

/** What is there under its name; nothing where there is none of it. */
function nonEmpty<K extends string, T>(name: K, items: readonly T[]): { readonly [key in K]?: readonly T[] } {
  return items.length > 0 ? ({ [name]: items } as { readonly [key in K]: readonly T[] }) : {};
}

/** What the results of these tests do not say, by their methods, each once. */
function notClaimedBy(runs: readonly RunView[]): string[] {
  return [...new Set(runs.flatMap(({ method }) => findMethod(method)?.notClaimed ?? []))];
}

type Dossier = Awaited<ReturnType<typeof sampleDossiers>>[number];

const isComplete = (run: RunView): boolean => run.state === 'complete' && run.outcome !== null;

/** What a sample adds to its report. @param named its sample is said with each set, where there are several */
async function partOf(db: Queryable, dossier: Dossier, named: boolean) {
  const { job, sample } = dossier;
  const fresh = dossier.fresh.filter(isComplete);
  const tested = dossier.specimens.flatMap((view) =>
    everyRun(view)
      .filter(isComplete)
      .map((run) => ({ view, run })),
  );
  const curves = await curvesOf(
    db,
    tested.map(({ run }) => run.id),
  );
  const of = named ? { sample: sampleLabel(job.number, sample.number) } : {};
  return {
    runs: [...fresh, ...tested.map(({ run }) => run)],
    tests: [
      ...fresh.map((run) => ({ runId: run.id, test: { ...reportTest(run, job.zone), ...of } })),
      ...tested.map(({ view, run }) => ({
        runId: run.id,
        test: {
          ...reportTest(
            run,
            job.zone,
            curves.find(({ runId }) => runId === run.id),
            job.system,
          ),
          ...of,
          specimen: {
            label: view.label,
            form: formText(view.form),
            cure: view.about.cure ?? '',
            designatedAge: askedAge(view),
            age: view.ageHours === null && !isHeld(view) ? '' : ageAt(view, run),
          },
        },
      })),
    ],
    waiting: dossier.specimens
      .filter((view) => !view.testedAt && view.discarded === null)
      .map((view) => [view.label, askedAge(view) && `(${askedAge(view)})`].filter(Boolean).join(' ')),
    discarded: dossier.specimens.flatMap(({ label, discarded }) =>
      discarded === null ? [] : [{ label, why: discarded }],
    ),
    sets: dossier.sets
      .filter((set) => set.test.value !== null || set.test.state === 'no valid result' || set.note)
      .map((set) => reportSet(set, of)),
    verdicts: dossier.sets.flatMap((set) =>
      set.verdicts
        .filter(({ state }) => set.what !== undefined && state !== 'not yet determinable')
        .map(({ criterion, state, sentence }) => ({
          criterion,
          state,
          sentence,
          ...(named ? { of: of.sample as string } : {}),
        })),
    ),
  };
}

/** The age that is asked of a specimen, `held` for one in reserve, nothing where none counts. */
function askedAge(view: SpecimenView): string {
  if (view.ageHours !== null) return ageText(view.ageHours);
  return isHeld(view) ? 'held' : '';
}

function reportSet(set: SpecimenSet, of: { readonly sample?: string }): ReportSet {
  const reported = set.specimens.flatMap(({ label, run, leftOut }) =>
    run?.state === 'complete' &&
    leftOut === null &&
    run.main &&
    !run.apart &&
    isReportable(run.outcome?.findings ?? [])
      ? [label]
      : [],
  );
  return {
    title: set.title,
    ...of,
    cure: set.cure ?? '',
    value: set.test.text,
    unit: unitLabel(set.test.unit),
    state: set.test.state,
    strength: set.what === undefined,
    ...(findMethod(set.method)?.set?.combine === 'each alone' ? { each: true as const } : {}),
    used: set.test.used,
    trimmed: set.what && set.test.text ? reported.filter((label) => !set.test.used.includes(label)) : [],
    leftOut: set.test.leftOut,
    said: set.derived?.said ?? [],
    ...(set.derived?.plot ? { plot: set.derived.plot } : {}),
    lines: set.test.lines,
    remarks: [
      ...set.test.findings.map((found) => found.remark ?? found.message),
      ...(set.note ? [set.note] : []),
      ...(set.derived?.remarks ?? []),
    ],
  };
}

/** The verdicts of a series that these samples decided. */
async function seriesVerdicts(db: Queryable, dossiers: readonly Dossier[]) {
  const decided = await db
    .select({
      sampleId: verdicts.sampleId,
      criterion: verdicts.criterion,
      state: verdicts.state,
      sentence: verdicts.sentence,
    })
    .from(verdicts)
    .where(
      and(
        anyOf(
          verdicts.sampleId,
          dossiers.map(({ sample }) => sample.id),
        ),
        eq(verdicts.released, false),
        ne(verdicts.state, 'not yet determinable'),
      ),
    );
  // As the criteria of a series stand, and within each by the order of the samples.
  return CRITERIA.flatMap(({ id }) =>
    dossiers.flatMap(({ sample }) =>
      decided
        .filter(({ criterion, sampleId }) => criterion === id && sampleId === sample.id)
        .map(({ criterion, state, sentence }) => ({ criterion, state, sentence })),
    ),
  );
}

function placeFacts(
  { job, mix, placement }: Pick<Dossier, 'job' | 'mix' | 'placement'>,
  material: Material | undefined,
): Said[] {
  if (!material) return [];
  const { words, Lot, summary } = material;
  const about = saidOf(Lot, { ...placement.about });
  return [
    ['Client', job.owner],
    ['Project', `${job.number} ${job.name}, ${job.location}`],
    [capital(words.lot[0]), `${placement.number}: ${placement.title}`],
    ...about,
    [capital(words.specification[0]), `${mix.code} v${mix.version}, ${mix.title}`],
    ...summary({ ...mix.asked }).filter(([, text]) => text !== '' && text !== 'not specified'),
  ];
}

function sampleFacts(
  { sample, job, sampledByName }: Dossier,
  material: Material | undefined,
  zone: string,
): Said[] {
  if (!material) return [];
  const label = sampleLabel(job.number, sample.number);
  const about = material.Sample ? saidOf(material.Sample, sample.about) : [];
  const ticket = material.comesInLoads
    ? `, ticket ${sample.ticket || 'not recorded'}, truck ${sample.truck || 'not recorded'}`
    : about.length > 0
      ? `, ${inShort(about)}`
      : '';
  return [
    [capital(material.words.sample[0]), `${label}${ticket}`],
    [material.comesInLoads ? 'Sampled' : 'Taken', `${when(sample.sampledAt, zone)} by ${sampledByName}`],
    ...(sample.remarks ? [['Remarks', sample.remarks] as const] : []),
  ];
}

/** How old a specimen was when a test of it was made. */
function ageAt(view: SpecimenView, run: RunView): string {
  const field = findMethod(run.method)?.performedAt;
  const performed = field ? run.input?.[field] : undefined;
  const at = typeof performed === 'string' ? Date.parse(performed) : view.testedAt?.getTime();
  return at === undefined ? '' : durationText((at - view.since.getTime()) / 60_000);
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
    columns: columnsOf(run, zone),
    readings: fields
      .filter((field) => input[field.name] !== undefined && field.kind !== 'equipment')
      .map((field) => ({
        label: field.label,
        text: readingText(field, input[field.name], zone, String(input.system)),
      })),
    results: outcome?.results ?? [],
    ...nonEmpty(
      'named',
      (method?.yields ?? []).flatMap(({ named, quantity }) => (named ? [quantity] : [])),
    ),
    ...(run.apart && run.main ? { apart: run.main.quantity } : {}),
    lines: outcome?.lines ?? [],
    remarks: [
      ...(run.repeatReason ? [`Made again: ${run.repeatReason}`] : []),
      ...(outcome?.findings ?? []).filter(({ severity }) => severity !== 'advice').map(remarkOf(run)),
      ...(typeof input.remarks === 'string' ? [input.remarks] : []),
    ],
    verdicts: outcome?.verdicts ?? [],
    equipment: fields
      .filter((field) => field.kind === 'equipment' && input[field.name] !== undefined)
      .map((field) => {
        const number = String(input[field.name]);
        const facts = run.setup?.equipment?.find((each) => each.number === number);
        return [
          `${field.label} ${number}`,
          facts?.verifiedOn ? `verified ${facts.verifiedOn}` : '',
          facts?.certificate ? `certificate ${facts.certificate}` : '',
          facts?.serials ? `of ${facts.serials}` : '',
        ]
          .filter(Boolean)
          .join(', ');
      }),
    valid: isReportable(outcome?.findings ?? []),
    ...(outcome ? nonEmpty('drawings', method?.draws?.(outcome.picture) ?? []) : {}),
    ...(kept && system ? { log: logOf(kept, system) } : {}),
    ...(method?.release && outcome ? { release: releaseOf(method.release, fields, run, zone) } : {}),
  };
}

/** The sheet that somebody else signs: what was read, what it came to, and what is left blank. */
function releaseOf(
  { title, readings, blanks, words }: NonNullable<Method['release']>,
  fields: ReturnType<typeof fieldsOf>,
  { input = {}, outcome }: Pick<RunView, 'input' | 'outcome'>,
  zone: string,
): NonNullable<ReportTest['release']> {
  const read = readings.flatMap((name): Said[] => {
    const field = fields.find((each) => each.name === name);
    const value = input?.[name];
    return field && value !== undefined
      ? [[field.label, readingText(field, value, zone, String(input?.system))]]
      : [];
  });
  const came = (outcome?.results ?? []).map(
    ({ quantity, text, unit }): Said => [capital(quantity), withUnit(text, unit)],
  );
  return { title, said: [...read, ...came], blanks, words };
}

/** What samples say together, as it is printed: the picture of a page is drawn anew from what is known then. */
function withoutPicture({ picture: _, ...says }: LotSays): LotSays {
  return says;
}

/** What a table of specimens shows of a test, by the columns of its method. */
export function columnsOf(run: RunView, zone: string): Said[] {
  const method = findMethod(run.method);
  const input = run.input ?? {};
  return (method?.columns ?? []).map(({ heading, of, first }) => {
    const found = of.flatMap((name) => {
      if (name.startsWith('=')) {
        const line = run.outcome?.lines.find(({ symbol }) => symbol === name.slice(1));
        return line ? [[line.rounded, line.unit].filter(Boolean).join(' ')] : [];
      }
      // A result as it is printed, where its number stands for a word: `*n`.
      if (name.startsWith('*'))
        return run.outcome?.results.find(({ symbol }) => symbol === name.slice(1))?.text ?? [];
      // A fact that it was told: `~capped`.
      if (name.startsWith('~')) return factText(run.setup ?? {}, name.slice(1)) ?? [];
      const field = fieldsOf(method?.Input ?? Object).find((each) => each.name === name);
      const raw = input[name];
      const text = field && raw !== undefined ? readingText(field, raw, zone, String(input.system)) : '';
      // Of an answer with its explanation a table shows the answer.
      const short = field?.kind === 'choice' ? text.split(': ')[0] : text;
      return short ? [short] : [];
    });
    return [heading, first ? (found[0] ?? '') : found.join('; ')];
  });
}

/** The records of temperatures of a test, a curve for each sensor. */
function recordedOf(
  kept: Awaited<ReturnType<typeof recordsOfRuns>>,
  system: System,
): Pick<ReportTest, 'recorded'> {
  if (kept.length === 0) return {};
  const { temperature, unit } = degreeUnits(system);
  return {
    recorded: kept.flatMap(({ name, sha256, record }) =>
      (record.kind === 'temperature' ? record.channels : []).map((channel) => ({
        sensor: `${channel.name}, ${unitLabel(unit)}`,
        name,
        sha256,
        startAt: 0,
        axis: 'h' as const,
        points: thinned(
          Float64Array.from(channel.hours),
          Float64Array.from(channel.celsius, (each) => temperature(each).toNumber()),
          CURVE_POINTS,
        ).map(([at, value]) => [Number(at.toFixed(3)), Number(value.toFixed(2))] as const),
        words: `${withThousands(String(channel.rows))} readings, ${channel.removed} left out`,
      })),
    ),
  };
}

/** The load log of a test in words and as a curve. */
function logOf(
  { name, sha256, curve, analysis, startAt, axis }: RunCurve,
  system: System,
): NonNullable<ReportTest['log']> {
  // What is bent by its displacement keeps no rate, and drops as it cracks.
  const {
    meanRate: rate,
    outside,
    dips,
  } = analysis.bend ? { meanRate: null, outside: null, dips: [] } : analysis;
  const unit = system === 'US' ? 'psi/s' : 'MPa/s';
  const words = [
    `${withThousands(String(analysis.rows))} readings`,
    ...(rate === null
      ? []
      : [`mean rate ${rate.toFixed(system === 'US' ? 1 : 3)} ${unit} from ${ratePart(analysis)}`]),
    ...(outside === null ? [] : [`${outside.toFixed(0)} % outside the band`]),
    ...dips.map(({ depth }) => `a dip of ${depth.toFixed(1)} %`),
  ];
  return { name, sha256, startAt, axis, points: curve, words: words.join(', ') };
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
  if (field.kind === 'rows')
    return rowsText(field, raw, (column, cell) => readingText(column, cell, zone, system));
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
