import {
  type Levers,
  type PressReading,
  type PressView,
  PressWatch,
  SimulatedPress,
  trueStrength,
} from '../../press';
import { analyseLog } from '../../signals';
import { Chance } from '../../statistics';
import type { ItemScore } from '../types';
import type { Exercise, PressTask } from './types';

/** Ticks a second that levers are moved in and readings come in. */
export const TICKS = 20;
/** Nobody loads longer than this, s. */
const LONGEST = 900;
const DIAMETER = 101.6;
const AREA = (Math.PI * DIAMETER ** 2) / 4;
const RATE = { low: 0.2, high: 0.3 };
const IN_BAND = 80;
const STOP_WITHIN = 12;
const EACH_TOUCH = 10;

/** Levers moved at a tick, counted from the start. */
export interface Move {
  readonly tick: number;
  readonly levers: Levers;
}

/** The moves out of an answer; undefined when they are none. */
export function movesOf(
  answer: string,
): { readonly moves: readonly Move[]; readonly ticks: number } | undefined {
  let data: unknown;
  try {
    data = JSON.parse(answer);
  } catch {
    return undefined;
  }
  const { moves, ticks } = (data ?? {}) as { moves?: unknown; ticks?: unknown };
  if (!Array.isArray(moves) || typeof ticks !== 'number' || !Number.isInteger(ticks)) return undefined;
  const good = moves.every(
    (move: Partial<Move>) =>
      Number.isInteger(move?.tick) &&
      typeof move?.levers?.pump === 'boolean' &&
      typeof move.levers.approach === 'boolean' &&
      typeof move.levers.door === 'boolean' &&
      Number.isFinite(move.levers.fine),
  );
  return good && ticks >= 0 && ticks <= LONGEST * TICKS
    ? { moves: (moves as Move[]).toSorted((a, b) => a.tick - b.tick), ticks }
    : undefined;
}

/** A press that is driven tick by tick: the same moves give the same readings, here and on the server. */
export class DrivenPress {
  private readonly press: SimulatedPress;
  private readonly watch: PressWatch;
  readonly readings: PressReading[] = [];
  tick = 0;

  constructor(task: PressTask) {
    this.press = new SimulatedPress(task.seed);
    this.press.place(task.specimen);
    this.watch = new PressWatch({
      expected: task.expected,
      low: task.low,
      high: task.high,
      from: 0.5,
      pads: task.pads,
      contact: 2,
    });
  }

  /** Lets a twentieth of a second pass. */
  step(levers: Levers): void {
    this.press.levers = levers;
    for (const reading of this.press.run(1 / TICKS)) {
      this.readings.push(reading);
      this.watch.take({ seconds: reading.t, load: reading.load, fine: reading.fine });
    }
    this.tick += 1;
  }

  view(): PressView {
    return this.watch.view();
  }
}

function task(seed: number, corner: boolean): PressTask {
  const chance = Chance.settled(seed);
  const expected = chance.between(24, 42);
  const strength = trueStrength(expected, seed, false, { dry: false, angle: 0, wornPads: false });
  const breaks = corner
    ? { corner: { at: chance.between(0.72, 0.88), left: chance.between(0.93, 0.97) } }
    : {};
  return {
    kind: 'press',
    specimen: {
      strength,
      area: AREA,
      length: 203.2,
      ends: corner ? 'pads' : 'bonded',
      gap: 15,
      mishaps: breaks,
    },
    expected: (expected * AREA) / 1000,
    low: (RATE.low * AREA) / 1000,
    high: (RATE.high * AREA) / 1000,
    pads: corner,
    seed,
  };
}

/** What a test that was driven came to, item by item. */
function judgeDrive(of: PressTask, answer: string, corner: boolean): ItemScore[] {
  const given = movesOf(answer);
  const driven = new DrivenPress(of);
  let levers: Levers = { pump: false, approach: false, fine: 0, door: false };
  let shocked = false;
  let stoppedAt: number | null = null;
  let brokenAt: number | null = null;
  let openUnderLoad = false;
  const moves = given?.moves ?? [];
  const touches: { t: number; load: number }[] = [];
  let next = 0;
  for (let tick = 0; tick < (given?.ticks ?? 0); tick += 1) {
    for (let move = moves[next]; move && move.tick <= tick; move = moves[next]) {
      const { load, t } = driven.readings.at(-1) ?? { load: 0, t: 0 };
      if (levers.pump && !move.levers.pump && load > 5) stoppedAt ??= t;
      if (levers.fine !== move.levers.fine && move.levers.pump) touches.push({ t, load });
      levers = move.levers;
      next += 1;
    }
    driven.step(levers);
    const view = driven.view();
    shocked ||= view.alarms.includes('shock');
    openUnderLoad ||= !levers.door && view.load > 5 && levers.pump;
    if (view.phase === 'broken') brokenAt ??= driven.readings.at(-1)?.t ?? null;
  }
  const peak = driven.readings.reduce((most, { load }) => Math.max(most, load), 0);
  const peakAt = driven.readings.find(({ load }) => load === peak)?.t ?? 0;
  const loaded = peak > 0.3 * of.expected;
  const late = touches.filter(({ t, load }) => t < peakAt && load >= 0.9 * peak).length;
  const analysis = analyseLog({
    seconds: Float64Array.from(driven.readings, ({ t }) => t),
    load: Float64Array.from(driven.readings, ({ load }) => load),
    area: AREA,
    stress: 1000,
    ...RATE,
    criteria: { share: { remark: 10, review: 30 }, underRead: { remark: 0.5, review: 1 } },
  });
  const inside = loaded && analysis.outside !== null ? 100 - analysis.outside : 0;
  const points = Math.max(0, Math.round(inside - EACH_TOUCH * late));
  const broke = brokenAt !== null && !analysis.troubles.includes('maximum not shown');
  const early = stoppedAt !== null && (brokenAt === null || stoppedAt < brokenAt);
  const waited = brokenAt !== null && stoppedAt !== null ? stoppedAt - brokenAt : null;
  const item = (id: string, words: string, starred: boolean, passed: boolean, why: string): ItemScore => ({
    id,
    item: words,
    starred,
    passed,
    why,
  });
  return [
    item(
      'door',
      'Door shut while the pump is on',
      true,
      loaded && !openUnderLoad,
      openUnderLoad
        ? 'It stood open with load on the specimen.'
        : loaded
          ? 'It was shut.'
          : 'Nothing was loaded.',
    ),
    item(
      'contact',
      'Approach off before contact',
      true,
      loaded && !shocked,
      shocked
        ? 'The load jumped: the approach was still open.'
        : loaded
          ? 'No shock.'
          : 'Nothing was loaded.',
    ),
    ...(corner
      ? []
      : [
          item(
            'band',
            `In the band in the judged part, at least ${IN_BAND} %`,
            true,
            inside >= IN_BAND,
            `${inside.toFixed(0)} % in the band; ${points} points with ${EACH_TOUCH} off for each touch near the top.`,
          ),
        ]),
    item(
      'hands-off',
      'The knob left alone above 90 % of the peak',
      false,
      loaded && late === 0,
      late === 0 ? 'It was.' : `Moved ${late} ${late === 1 ? 'time' : 'times'}: the standard forbids it.`,
    ),
    item(
      'carried-on',
      corner ? 'Carried on through the corner break' : 'Carried on until the break is plain',
      true,
      broke && !early,
      early
        ? `The pump was stopped at ${((driven.readings.find(({ t }) => t >= (stoppedAt ?? 0))?.load ?? 0) / (peak || 1)).toFixed(2)} of the peak, before the load had fallen for good: no result.`
        : broke
          ? `Broken at ${peak.toFixed(1)} kN.`
          : 'The load never fell below 95 % of the maximum for good: no result.',
    ),
    item(
      'stopped',
      `Pump off within ${STOP_WITHIN} s of the break`,
      false,
      waited !== null && waited >= 0 && waited <= STOP_WITHIN,
      waited === null
        ? 'It was not stopped.'
        : waited < 0
          ? 'It was stopped too early.'
          : `After ${waited.toFixed(0)} s.`,
    ),
  ];
}

/** Loading one cylinder within the band. */
export const holdBandExercise: Exercise = {
  id: 'hold-band',
  title: 'Hold the band',
  about:
    'One capped cylinder on the simulated press. Door, pump, approach until it nearly touches, then the knob: hold the rate in its band from half of the expected load, leave the knob alone near the top, go on until it breaks.',
  enough: 0.8,
  tasks: (seed) => [task(seed, false)],
  judge: (of, answer) => (of.kind === 'press' ? judgeDrive(of, answer, false) : []),
};

/** Stopping at the right moment, with a corner that breaks before the top. */
export const stopRightExercise: Exercise = {
  id: 'stop-right',
  title: 'Stop at the right moment',
  about:
    'One cylinder on pads. Something will break before the top. Go on until you are sure that the maximum is past, then stop.',
  enough: 0.8,
  tasks: (seed) => [task(seed, true)],
  judge: (of, answer) => (of.kind === 'press' ? judgeDrive(of, answer, true) : []),
};
