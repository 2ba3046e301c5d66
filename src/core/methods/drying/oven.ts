import { cite, isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, largest, plainOf, smallest, type UnitId } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { durationText } from '../../windows';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import { strangerFindings } from '../batch-rows';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { type RunInput, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { firstOpen } from '../opening';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { exchangedFindings } from '../swapped';
import { labelsOf } from '../tested';
import { type Prediction, predictDrying } from './predict';
import { type DryingRow, type OvenRow, weighingsOf } from './rows';
import { type DryingRows, type DryingState, dryingRule, dryingState } from './state';

const C140 = standard('ASTM C140/C140M');

/** The readings of an oven that this takes, whatever is in it. */
export interface DryingInput extends RunInput {
  inAt?: string;
  dryAt?: string;
  weighings?: DryingRow[];
  log?: OvenRow[];
}

/** How hot it is to be, and what it means where its recorder says that it was hotter than anything bears. */
export interface OvenHeld {
  readonly range: LimitId;
  readonly hot: 'invalid' | 'departure';
}

/** In what the weighings are read and reported. */
export interface DryingMass {
  readonly unit: UnitId;
  readonly step: string;
}

/** How weighings of a table become masses of what dries, and when they count. */
export interface DryingBy {
  readonly rows: DryingRows;
  /** What stands on the balance with each specimen; one whose tin is not known is not weighed yet. */
  tare?(label: string): Exact | undefined;
}

/** A day in the oven, then every two hours, as most of masonry is dried. */
const USUAL: DryingBy = { rows: { first: 'oven.first', every: 'drying.every', loss: 'drying.loss' } };

/** How far one specimen is dried; undefined before the oven was shut. */
export function stateOf(
  input: DryingInput,
  setup: RunSetup,
  label: string,
  { rows, tare }: DryingBy = USUAL,
): DryingState | undefined {
  const startedAt = Date.parse(input.inAt ?? '');
  if (Number.isNaN(startedAt)) return undefined;
  const less = tare ? tare(label) : exact(0);
  const weighings = less
    ? weighingsOf(input.weighings, label)
        .map(({ at, mass }) => ({ at, mass: mass.minus(less) }))
        .filter(({ mass }) => mass.greaterThan(0))
    : [];
  return dryingState(weighings, dryingRule(limitsOf(setup), startedAt, rows));
}

/** What the losses of a specimen let expect. */
function guessOf(state: DryingState, setup: RunSetup, { rows }: DryingBy): Prediction {
  const limits = limitsOf(setup);
  const of = (id: Parameters<typeof limits.number>[0]): number => limits.number(id, 'US').toNumber();
  return predictDrying(state.steps, {
    every: of(rows.every),
    loss: of(rows.loss),
    shrink: of('drying.shrink'),
    spread: of('drying.spread'),
  });
}

/** What the recorder of the oven says besides what was read off it: too hot, or out of its range at all. */
function logFindings({ log, system }: DryingInput, { range, hot }: OvenHeld, limits: Limits): Finding[] {
  const read = (log ?? []).flatMap((row) => readMeasure(row, 'temperature')?.value ?? []);
  if (read.length === 0) return [];
  const [coldest, hottest] = [smallest(read), largest(read)];
  const degrees = (value: Exact): string => plainOf(value, system === 'US' ? 'degF' : 'degC');
  const about = { needsReason: true, fields: ['log'] } as const;
  if (!isWithin(hottest, limits.of('oven.stop', system))) {
    const message = `By its recorder the oven reached ${degrees(hottest)}.`;
    const found = limitFinding(
      limits,
      system,
      { ...about, id: 'oven.stop', severity: hot },
      { message, action: 'Say what it means for these specimens, or dry others.', remark: message },
    );
    return [{ ...found, id: 'oven.log-hot' }];
  }
  if (isWithin(coldest, limits.of(range, system)) && isWithin(hottest, limits.of(range, system))) return [];
  const message = `By its recorder the oven was between ${degrees(coldest)} and ${degrees(hottest)}.`;
  const found = limitFinding(
    limits,
    system,
    { ...about, id: range, severity: 'departure' },
    {
      message,
      action: 'While it opens and warms up that is so; else set it right, and let the specimens stay longer.',
      remark: message,
    },
  );
  return [{ ...found, id: 'oven.log-range' }];
}

/**
 * Specimens dried together to constant mass.
 * @param mass the unit of the weighings, and what they are reported to; `by` where they are of a tin, or count by other rows
 * @returns the oven-dry mass of each that is dry, its lowest; findings on weighings that do not count
 * Source: ASTM C140/C140M 8 (from memory); the guess of what is to come is arithmetic.
 */
export function dryingOutcome(
  input: DryingInput,
  setup: RunSetup,
  { unit, step, by = USUAL, ...held }: DryingMass & OvenHeld & { readonly by?: DryingBy },
): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const findings: Finding[] = [
    ...strangerFindings(input.weighings, 'weighings', setup),
    ...logFindings(input, held, limits),
    ...equipmentUse(
      input,
      { oven: 'departure', balance: 'departure' },
      input.dryAt ?? input.inAt,
      setup,
      limits,
    ),
  ];
  const drawn: Drawn[] = [];
  for (const [place, label] of labelsOf(setup).entries()) {
    const state = stateOf(input, setup, label, by);
    if (!state) continue;
    const guess = guessOf(state, setup, by);
    findings.push(...weighingFindings(label, state, guess, setup));
    const last = state.steps.at(-1);
    if (last)
      sheet.line({
        symbol: `L${place + 1}`,
        name: `Last loss of ${label}`,
        formula: '100 * (m1 - m2) / m1',
        uses: { m1: last.from.mass, m2: last.to.mass },
        unit: 'percent',
        source: limits.of(by.rows.loss, system).source ?? C140,
      });
    if (state.dryAt !== null && state.least)
      results.push(
        resultOf({
          quantity: 'oven-dry mass',
          symbol: 'Wd',
          value: state.least,
          unit,
          step,
          mode,
          about: label,
        }),
      );
    drawn.push({ label, state, guess, end: endOf(guess) });
  }
  findings.push(
    ...exchangedFindings(
      drawn.flatMap(({ label, state }) =>
        state.dryAt !== null && state.least ? [{ label, mass: state.least }] : [],
      ),
      { field: 'weighings', what: 'dry', unit },
      setup,
      limits,
      system,
    ),
  );
  const open = drawn.filter(({ state }) => state.dryAt === null);
  if (input.dryAt && open.length > 0)
    findings.push(
      finding({
        id: 'drying.open',
        severity: 'departure',
        needsReason: true,
        fields: ['dryAt'],
        limit: cite(limits.of(by.rows.loss, system)),
        message: `Not dry by two weighings: ${open.map(({ label }) => label).join(', ')}.`,
        action: 'Back into the oven, and weigh again when it counts. A day alone is not enough.',
        remark: `No dry mass for ${open.map(({ label }) => label).join(', ')}: constant mass was not shown.`,
      }),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'drying',
      values: {
        zone: setup.zone ?? 'utc',
        unit,
        loss: limits.number(by.rows.loss, system).toNumber(),
        all: JSON.stringify(
          drawn.map(({ label, state, guess, end }) => ({
            label,
            dryAt: state.dryAt,
            nextAt: state.nextAt,
            // When somebody is there to do it: a longer interval counts as well.
            openAt: state.nextAt === null ? null : firstOpen(state.nextAt, setup.zone ?? 'utc', limits),
            weighed: state.counted.map(({ at, mass }) => [at, mass.toNumber()]),
            last: state.steps.at(-1)?.percent.toNumber() ?? null,
            more: guess.kind === 'more' ? guess.weighings : null,
            most: guess.kind === 'more' ? guess.most : null,
            end,
          })),
        ),
      },
    },
  };
}

interface Drawn {
  readonly label: string;
  readonly state: DryingState;
  readonly guess: Prediction;
  readonly end: number | null;
}

function endOf(guess: Prediction): number | null {
  return guess.kind === 'more' ? guess.end : null;
}

function weighingFindings(label: string, state: DryingState, guess: Prediction, setup: RunSetup): Finding[] {
  const limits = limitsOf(setup);
  const found: Finding[] = [];
  const say = (id: string, severity: 'advice' | 'departure', message: string, action: string): void => {
    found.push(
      finding({
        id: `${id}.${label}`,
        severity,
        needsReason: false,
        fields: ['weighings'],
        message,
        action,
        ...(severity === 'departure' ? { remark: message } : {}),
      }),
    );
  };
  const tooEarly = state.early.at(-1);
  const before = state.counted.at(-1);
  // The next one that counts is said; a later one has taken its place.
  if (tooEarly && state.dryAt === null && tooEarly.at > (before?.at ?? 0) && state.nextAt !== null)
    say(
      'drying.early',
      'advice',
      `${label}: the weighing of ${plainOf(tooEarly.mass.toSignificantDigits(6), 'one')} came ${durationText((state.nextAt - tooEarly.at) / 60_000)} too early and does not count.`,
      'Weigh it again when it counts; until then nothing is decided.',
    );
  if (state.gained)
    say(
      'drying.gained',
      'departure',
      `${label} gained mass in the oven.`,
      'It took up moisture or the balance drifted: check the zero, weigh again. The lowest mass stays.',
    );
  if (state.dryAt !== null) return found;
  if (guess.kind === 'none' && guess.why === 'grows')
    say(
      'drying.grows',
      'advice',
      `${label} loses more each time, not less.`,
      'Check the oven, its door and how full it is: nothing can be expected from such losses.',
    );
  const most = limits.number('drying.more', 'US').toNumber();
  if (guess.kind === 'more' && guess.weighings > most)
    say(
      'drying.slow',
      'advice',
      `${label} would take ${guess.weighings} more weighings.`,
      'Check the temperature and the air in the oven.',
    );
  return found;
}

/** Each specimen waits for its next weighing that counts. */
export function dryingWaits(input: DryingInput, setup: RunSetup, by?: DryingBy): Wait[] {
  return labelsOf(setup).flatMap((label): Wait[] => {
    const state = stateOf(input, setup, label, by);
    if (!state) return [];
    const at = new Date(state.nextAt ?? state.dryAt ?? 0).toISOString();
    return [
      {
        id: 'weigh',
        what: 'Weigh out of the oven',
        lane: 'tank',
        about: label,
        opens: at,
        ...(state.dryAt === null ? {} : { done: at }),
      },
    ];
  });
}

/** The dry mass of one specimen, once two weighings show it. */
export function dryMassOf(
  input: DryingInput,
  label: string,
  setup: RunSetup | undefined,
  by?: DryingBy,
): Exact | undefined {
  const state = stateOf(input, setup ?? {}, label, by);
  return state?.dryAt == null ? undefined : state.least;
}
