import { eq } from 'drizzle-orm';
import {
  equipmentField,
  fieldsOf,
  limitsOf,
  type Method,
  type RunSetup,
  readMeasure,
  usableInput,
} from '@/core/methods';
import {
  FORCE_UNIT,
  LENGTH_UNIT,
  loadBand,
  STRESS_UNIT,
  spaceOf,
  spokenStack,
  stackInUse,
} from '@/core/methods/press';
import { findMethod } from '@/core/methods/registry';
import {
  FRAME_CASES,
  type PlacedBeam,
  type PlacedPiece,
  type PlacedSpecimen,
  PRESS_CASES,
  PRESS_MAKEUP,
  placedBeam,
  seedOf,
  travelTo,
  trueStrength,
} from '@/core/press';
import { convert, type Exact, exact } from '@/core/quantity';
import { Chance } from '@/core/statistics';
import type { Queryable } from '@/db/client';
import { runs } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { currentReadings, inputOf } from '../readings';
import { type RunPlace, runPlace } from '../run-place';
import { runSetup } from '../run-setup';
import type { Context } from '../use-case';

export interface PressRun {
  readonly run: typeof runs.$inferSelect;
  readonly method: Method;
  readonly place: RunPlace;
  readonly setup: RunSetup;
  readonly typed: Record<string, unknown>;
}

/** A run, its method and readings, and what was chosen at one of its fields. @throws Conflict when nothing was */
async function chosenOn(
  db: Queryable,
  runId: string,
  fieldOf: (method: Method) => string | undefined,
  kind: string,
) {
  const [run] = await db.select().from(runs).where(eq(runs.id, runId));
  const method = run && findMethod(run.method);
  const name = method && fieldOf(method);
  if (!run || !method || name === undefined) throw new NotFound('This run');
  const current = await currentReadings(db, run.id);
  const chosen = current.find(({ field }) => field === name)?.text;
  if (!chosen) throw new Conflict(`Choose the ${kind} on the run sheet first.`);
  return { run, method, current, chosen };
}

/** The run, its method and readings, and the machine that was chosen for it. @throws Conflict when none was */
export async function runMachine(db: Queryable, runId: string) {
  const { chosen, ...of } = await chosenOn(
    db,
    runId,
    ({ press }) => press?.fields.machine,
    'testing machine',
  );
  return { ...of, machine: chosen };
}

/** What a stroke adds, kN, and strokes before the points of a frame grip. Our choice. */
const GRIP = { stroke: 1.1, slack: 2 } as const;

/** The run's piece as the stand-in of a hand-pumped frame takes it: always the same one for the same readings. */
export async function pieceFor(db: Queryable, runId: string, now: Date): Promise<PlacedPiece> {
  const { run, method, current } = await chosenOn(db, runId, ({ handPumped }) => handPumped?.frame, 'frame');
  const place = await runPlace(db, run.id);
  const typed = inputOf(method, place.job.system, current);
  const { input } = usableInput(method, typed);
  const setup = await runSetup(db, place, typed, now, { by: run.startedBy ?? '', current });
  const share = new Chance(seedOf(runId)).between(0, 1);
  const { splits = 0, ...more } = method.handPumped?.bears(input, share, setup) ?? {};
  return { splits, ...GRIP, ...more };
}

/** The frame of a run that is loaded by hand, where it can be followed. @throws Conflict when none was chosen */
export async function runFrame(db: Queryable, runId: string): Promise<string> {
  return (await chosenOn(db, runId, ({ handPumped }) => handPumped?.frame, 'frame')).chosen;
}

/** The balance that was chosen for a run. @throws Conflict when none was */
export async function runBalance(db: Queryable, runId: string): Promise<string> {
  const fieldOf = ({ Input }: Method) => equipmentField(fieldsOf(Input), 'balance');
  return (await chosenOn(db, runId, fieldOf, 'balance')).chosen;
}

/** The needle apparatus that a run names. @throws Conflict where it names none */
export async function runNeedle(db: Queryable, runId: string): Promise<string> {
  const fieldOf = ({ Input }: Method) => equipmentField(fieldsOf(Input), 'vicat apparatus');
  return (await chosenOn(db, runId, fieldOf, 'needle apparatus')).chosen;
}

/** A run in a press, with all that its test is computed with. */
export async function pressRun(context: Context, runId: string): Promise<PressRun & { machine: string }> {
  const { tx, actor, now } = context;
  const { run, method, current, machine } = await runMachine(tx, runId);
  const place = await runPlace(tx, run.id);
  const typed = inputOf(method, place.job.system, current);
  const setup = await runSetup(tx, place, typed, now, { by: actor.id, current });
  return { run, method, place, setup, typed, machine };
}

const FULL_GAP_MM = 15;
const USUAL_MPA = 30;
/** The same of what is bent, where nothing is asked of it: psi and MPa. */
const USUAL_BENT = { US: '600', SI: '4' } as const;
/** What an end that is not plane is out by, beyond what is permitted. */
const HIGH_SPOT_MM = 0.1;

/** The run's beam as the simulated frame takes it: always the same one for the same label. */
export function beamFor({ method, place, run, setup, typed }: PressRun, caseId: string): PlacedBeam {
  const { system } = place.job;
  const { input } = usableInput(method, typed);
  const test = method.press?.test(input, setup);
  const chosen = FRAME_CASES.find(({ id }) => id === caseId);
  if (!chosen) throw new Conflict('There is no such case of the frame.');
  if (!test?.driven)
    throw new Conflict('This frame is driven by its displacement: it is for beams that are bent so.');
  const { behaves, own, end } = test.driven;
  const expected = test.expected ?? test.area.times(USUAL_BENT[system]).div(test.factor);
  const force = convert(expected, FORCE_UNIT[system], 'kN').toNumber();
  return placedBeam({ force, behaves, own, end }, chosen, seedOf(place.specimen?.label ?? run.id));
}

/** The run's specimen as the simulated press takes it: always the same one for the same label. */
export function placedFor(of: PressRun, caseId: string): PlacedSpecimen {
  const { method, place, setup, typed } = of;
  const { system } = place.job;
  const { input } = usableInput(method, typed);
  const test = method.press?.test(input, setup);
  const chosen = PRESS_CASES.find(({ id }) => id === caseId);
  if (!test || !chosen) throw new Conflict('Nothing is known of the specimen’s size yet.');
  const mm = (value: Exact): number => convert(value, LENGTH_UNIT[system], 'mm').toNumber();
  const area = convert(test.area, system === 'US' ? 'in2' : 'mm2', 'mm2').toNumber();
  const stress = test.expected?.times(test.factor).div(test.area);
  const expected = stress ? convert(stress, STRESS_UNIT[system], 'MPa').toNumber() : USUAL_MPA;
  const label = place.specimen?.label ?? of.run.id;
  const gap = readMeasure(input, 'outOfSquareGap')?.value;
  const offset = readMeasure(input, 'offset')?.value;
  const preparation = {
    dry: typed.surface === 'dry',
    angle: gap && test.width ? (Math.atan(gap.div(test.width).toNumber()) * 180) / Math.PI : 0,
    wornPads: typed.padsLooked === 'split' || typed.padsLooked === 'hard',
    highSpot: typed.endsPlane === 'no' ? HIGH_SPOT_MM : 0,
    offset: offset && test.width ? offset.div(test.width).toNumber() : 0,
    ...chosen.preparation,
  };
  const large = mm(test.width ?? exact(4)) > 125;
  const strength = chosen.strength * trueStrength(expected, seedOf(label), large, preparation);
  const machine = setup.equipment?.find(({ number }) => number === typed[method.press?.fields.machine ?? '']);
  const space = spaceOf(test, machine, limitsOf(setup), system);
  const { spacers } = method.press?.fields ?? {};
  const said = spacers && typeof typed[spacers] === 'string' ? String(typed[spacers]) : undefined;
  const stack = space && stackInUse(space, spokenStack(said, system));
  // Load a second over the area that it is divided by: the stress a second that it is usually loaded at.
  const { target } = loadBand(test, system);
  const rate = target.isFinite()
    ? convert(
        target.times(test.factor).div(test.area),
        system === 'US' ? 'psi/s' : 'MPa/s',
        'MPa/s',
      ).toNumber()
    : 0;
  const specimen: PlacedSpecimen = {
    strength,
    area,
    length: test.height ? mm(test.height) : 200,
    ends: test.ends === 'pads' ? 'pads' : 'bonded',
    ...(test.snaps ? { snaps: true } : {}),
    ...(rate > 0 && Number.isFinite(rate) ? { usualRate: rate } : {}),
    gap: stack?.gap.greaterThan(0) ? mm(stack.gap) : FULL_GAP_MM,
    mishaps: chosen.mishaps((strength * area) / 1000),
  };
  // Spacers too low are a gap too large: the ram has gone its whole way before the specimen breaks.
  return chosen.strokeEnds
    ? { ...specimen, gap: PRESS_MAKEUP.stroke - travelTo(specimen, chosen.strokeEnds) }
    : specimen;
}
