import type { DeriveAbout, Derived } from '../../acceptance/set-rule';
import { isWithin, type LimitId, type Limits } from '../../limits';
import { absorptionMost, COUNTS } from '../../pipe/absorption';
import { type Exact, exact, meanOf, plainOf } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { type DryingState, dryingState, type Weighing } from '../drying/state';
import { equipmentUse } from '../equipment-checks';
import { factText, factTexts } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { setupMeasure } from '../measure-text';
import { firstOpen } from '../opening';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import type { PipeAbsorptionInput } from './input';

export const ABSORPTION = 'absorption of the wall';

const C497 = standard('ASTM C497/C497M');

/** True where it is boiled for three hours and cooled in running water. */
export const isShort = (setup: RunSetup): boolean => factText(setup, 'absorptionBy') === 'b';

/** How long a wall has to be in the oven. */
function firstId(thickness: Exact, limits: Limits, system: PipeAbsorptionInput['system']): LimitId {
  if (thickness.lessThanOrEqualTo(limits.number('pipe-water.thin', system))) return 'pipe-water.dry-thin';
  return thickness.greaterThan(limits.number('pipe-water.thick', system))
    ? 'pipe-water.dry-thick'
    : 'pipe-water.dry-middle';
}

function dryness(input: PipeAbsorptionInput, limits: Limits): DryingState | undefined {
  const startedAt = Date.parse(input.inAt ?? '');
  const thickness = readMeasure(input, 'thickness')?.value;
  if (Number.isNaN(startedAt) || !thickness) return undefined;
  const weighings = (input.weighings ?? []).flatMap((row): Weighing[] => {
    const mass = readMeasure(row, 'mass')?.value;
    const at = Date.parse(row.at ?? '');
    return mass && !Number.isNaN(at) ? [{ at, mass }] : [];
  });
  const of = (id: LimitId): Exact => limits.number(id, 'US');
  return dryingState(weighings, {
    startedAt,
    first: of(firstId(thickness, limits, input.system)).toNumber(),
    every: of('pipe-water.every').toNumber(),
    grace: of('drying.grace').toNumber(),
    loss: of('pipe-water.loss'),
    gain: of('drying.gain'),
  });
}

/**
 * Water that a piece of the wall of a pipe takes up, of its dry mass.
 * @param input masses in g out of the oven and after the boil, with their times
 * @param setup facts: method A (five hours of boiling) or B (three)
 * @returns the absorption in percent; none while it is not dry
 * Source: ASTM C497/C497M (from memory): 100 (Ww − Wd) / Wd.
 */
export function compute(input: PipeAbsorptionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const state = dryness(input, limits);
  const [dry, wet] = [state?.least, readMeasure(input, 'wet')?.value];
  const findings: Finding[] = equipmentUse(
    input,
    { balance: 'departure', oven: 'departure' },
    input.weighedAt,
    setup,
    limits,
  );
  const results: Result[] = [];
  if (state && state.dryAt === null && (input.weighings ?? []).length > 0)
    findings.push(notDry(state, limits, system));
  if (dry && wet?.lessThan(dry))
    findings.push(
      finding({
        id: 'pipe-water.order',
        severity: 'invalid',
        fields: ['wet', 'weighings'],
        message: 'Wet it weighs less than dry.',
        action: 'Look which mass was written where, and weigh again.',
      }),
    );
  else if (dry && wet) {
    sheet.line({
      symbol: 'Wd',
      name: 'Dry mass, the lowest that counts',
      formula: 'Wd',
      uses: { Wd: dry },
      unit: 'g',
      source: C497,
    });
    const value = sheet.line({
      symbol: 'Aw',
      name: 'Absorption, of the dry mass',
      formula: '100 * (Ww - Wd) / Wd',
      uses: { Ww: wet, Wd: dry },
      unit: 'percent',
      source: C497,
    });
    const step = limits.number('pipe-water.step', system);
    results.push(
      resultOf({
        quantity: ABSORPTION,
        symbol: 'Aw',
        value,
        unit: 'percent',
        step,
        mode: sheet.mode,
        ...(state?.dryAt === null ? { provisional: 'it was not dry' } : {}),
      }),
    );
    findings.push(...likelyFindings(value, limits, system), ...riseFindings(value, setup, limits, system));
  }
  findings.push(...massFindings(input, dry, setup, limits), ...timesFindings(input));
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: pictureOf(input, state, setup, limits),
  };
}

function notDry(state: DryingState, limits: Limits, system: PipeAbsorptionInput['system']): Finding {
  const last = state.steps.at(-1);
  return limitFinding(
    limits,
    system,
    { id: 'pipe-water.loss', severity: 'invalid', fields: ['weighings'] },
    {
      message: last
        ? `The last weighing lost ${last.percent.toFixed(3)} %: it is not dry.`
        : 'One weighing does not show that it is dry.',
      action: 'Back into the oven; weigh again six hours later.',
    },
  );
}

function likelyFindings(value: Exact, limits: Limits, system: PipeAbsorptionInput['system']): Finding[] {
  if (isWithin(value, limits.of('pipe-water.likely', system))) return [];
  return [
    limitFinding(
      limits,
      system,
      { id: 'pipe-water.likely', severity: 'advice', fields: ['wet'] },
      {
        message: `${value.toFixed(1)} % is not what pipe takes up.`,
        action: 'Weigh it again: dripping, or divided by the wrong mass?',
      },
    ),
  ];
}

/** More than earlier pieces took up: the mix or its compaction has changed. */
function riseFindings(
  value: Exact,
  setup: RunSetup,
  limits: Limits,
  system: PipeAbsorptionInput['system'],
): Finding[] {
  const earlier = factTexts(setup, 'earlier').flatMap((text) => setupMeasure(text, 'percent') ?? []);
  const rise = earlier.length > 0 ? value.minus(meanOf(earlier)) : undefined;
  if (!rise || isWithin(rise, limits.of('pipe-water.rise', system))) return [];
  return [
    limitFinding(
      limits,
      system,
      { id: 'pipe-water.rise', severity: 'advice', fields: ['wet'] },
      {
        message: `${rise.toFixed(1)} points more than earlier pieces of this size and class.`,
        action: 'Look at compaction and water of the mix since then.',
      },
    ),
  ];
}

function massFindings(
  input: PipeAbsorptionInput,
  dry: Exact | undefined,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const id = isShort(setup) ? 'pipe-water.mass-b' : 'pipe-water.mass-a';
  if (!dry || isWithin(dry, limits.of(id, system))) return [];
  const said = `The piece weighs ${plainOf(dry.toDecimalPlaces(0), 'g')} dry`;
  return [
    limitFinding(
      limits,
      system,
      { id, severity: 'departure', fields: ['weighings'] },
      { message: `${said}.`, action: 'Take a larger piece of the same pipe.', remark: `${said}.` },
    ),
  ];
}

/** Once it is weighed, a time that is missing is a clock that nobody watched. */
function timesFindings(input: PipeAbsorptionInput): Finding[] {
  const missing = (['wetAt', 'heatAt', 'boilingAt', 'offAt', 'outAt'] as const).filter(
    (name) => !input[name],
  );
  if (!input.weighedAt || missing.length === 0) return [];
  return [
    finding({
      id: 'pipe-water.times',
      severity: 'departure',
      fields: missing,
      message: 'Not every time from the oven to the balance is noted.',
      action: 'Note it: a short boil or a short cooling gives another number.',
      remark: 'Not every time of soaking, boiling and cooling was noted.',
    }),
  ];
}

function pictureOf(
  input: PipeAbsorptionInput,
  state: DryingState | undefined,
  setup: RunSetup,
  limits: Limits,
): Outcome['picture'] {
  const hours = (id: LimitId): number => {
    const { low, high, unit } = limits.of(id, input.system);
    const value = (low ?? high)?.toNumber() ?? 0;
    return unit === 'min' ? value / 60 : value;
  };
  const short = isShort(setup);
  const zone = setup.zone ?? 'utc';
  return {
    kind: 'pipe-absorption',
    values: {
      zone,
      unit: 'g',
      loss: limits.number('pipe-water.loss', 'US').toNumber(),
      all: JSON.stringify(
        state
          ? [
              {
                label: setup.specimen?.label ?? '',
                dryAt: state.dryAt,
                nextAt: state.nextAt,
                openAt: state.nextAt === null ? null : firstOpen(state.nextAt, zone, limits),
                weighed: state.counted.map(({ at, mass }) => [at, mass.toNumber()]),
                last: state.steps.at(-1)?.percent.toNumber() ?? null,
                ...{ more: null, most: null, end: null },
              },
            ]
          : [],
      ),
      heatAt: input.heatAt ?? null,
      boilingAt: input.boilingAt ?? null,
      offAt: input.offAt ?? null,
      outAt: input.outAt ?? null,
      heat: hours('pipe-water.heat'),
      boil: hours(short ? 'pipe-water.boil-b' : 'pipe-water.boil-a'),
      cool: hours(short ? 'pipe-water.cool-b' : 'pipe-water.cool-a'),
      labels: setup.specimen?.label ?? '',
      weighed: input.wet ? (setup.specimen?.label ?? '') : '',
    },
  };
}

/** The piece waits for its next weighing. */
export function waits(input: PipeAbsorptionInput, setup: RunSetup): Wait[] {
  const state = dryness(input, limitsOf(setup));
  if (!state) return [];
  const at = new Date(state.nextAt ?? state.dryAt ?? 0).toISOString();
  return [
    {
      id: 'weigh',
      what: 'Weigh the piece out of the oven',
      lane: 'tank',
      opens: at,
      ...(state.dryAt === null ? {} : { done: at }),
    },
  ];
}

/**
 * Which piece of a pipe counts: the first, and where that takes up too much, another of the same pipe in its place.
 * Source: ASTM C76/C76M (from memory).
 */
export function derives(
  _: Exact,
  { pieces, asked, said = () => undefined, limits, system }: DeriveAbout,
): Derived {
  const most = absorptionMost({ asked, said, limits, system });
  const [first] = pieces;
  const counts = first && most && exact(first.value).greaterThan(most) ? pieces.at(-1) : first;
  const none = { said: [], lines: [] };
  if (!counts || !first) return { values: {}, ...none, remarks: [] };
  return {
    values: { [COUNTS]: counts.value },
    ...none,
    remarks:
      counts === first
        ? []
        : [`${first.label} takes up more than it may; ${counts.label} of the same pipe stands in its place.`],
  };
}
