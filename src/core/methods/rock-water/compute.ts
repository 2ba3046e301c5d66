import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { durationText } from '../../windows';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { type DryingState, dryingState, type Weighing } from '../drying/state';
import { equipmentUse } from '../equipment-checks';
import { factMeasure, factText } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { firstOpen } from '../opening';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import type { RockWaterInput } from './input';

const D2216 = standard('ASTM D2216');
export const WATER = 'water content';

/** The masses without the tin, in g, as far as they are known. */
interface Masses {
  readonly tin: Exact | undefined;
  readonly wet: Exact | undefined;
  readonly state: DryingState | undefined;
}

/** True where its tin stands in the oven with others: their batch says its masses. */
export const isWithOthers = (setup: RunSetup): boolean => factText(setup, 'oven') !== undefined;

/** True where what its batch says counts: a tin that was weighed by itself stays so, whatever oven it is laid into afterwards. */
const isTold = (input: RockWaterInput, setup: RunSetup): boolean =>
  isWithOthers(setup) && input.tinMass === undefined;

/** What its batch says of it: its masses without the tin, and that it is dry by two weighings as soon as it says a dry one. */
function massesTold(setup: RunSetup): Masses & { readonly dry: Exact | undefined } {
  const [wet, dry] = ['wetPieces', 'dryPieces'].map((name) => factMeasure(setup, name, 'mass', 'g'));
  return { tin: exact(0), wet, dry, state: undefined };
}

function massesRead(input: RockWaterInput, limits: Limits): Masses {
  const tin = readMeasure(input, 'tinMass')?.value;
  const wet = readMeasure(input, 'wetMass')?.value;
  const startedAt = Date.parse(input.inAt ?? '');
  const of = (id: Parameters<Limits['number']>[0]): Exact => limits.number(id, 'US');
  // Loss is of the pieces: a tin that weighs much would hide it. What weighs no more than its tin is said elsewhere.
  const weighings = (input.weighings ?? []).flatMap((row): Weighing[] => {
    const mass = readMeasure(row, 'mass')?.value;
    const at = Date.parse(row.at ?? '');
    return tin && mass?.greaterThan(tin) && !Number.isNaN(at) ? [{ at, mass: mass.minus(tin) }] : [];
  });
  return {
    tin,
    wet,
    state: Number.isNaN(startedAt)
      ? undefined
      : dryingState(weighings, {
          startedAt,
          first: of('water.first').toNumber(),
          every: of('water.every').toNumber(),
          grace: of('drying.grace').toNumber(),
          loss: of('water.loss'),
          gain: of('drying.gain'),
        }),
  };
}

/**
 * Water content of pieces of rock, of their dry mass.
 * @param input masses with the tin in g, each weighing out of the oven with its time
 * @param setup facts: where its tin stood in the oven with others, the masses of its pieces
 * @returns the water content to 0.1 % (method A: 1 %), once two weighings show that they are dry; until then what the last
 *   one says, provisional
 * Source: ASTM D2216 (from memory): w = 100 (wet − dry) / (dry − tin).
 */
export function compute(input: RockWaterInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const told = isTold(input, setup) ? massesTold(setup) : undefined;
  const masses = told ?? massesRead(input, limits);
  const { tin, wet, state } = masses;
  const dry = told ? told.dry : state?.least;
  const order = told ? [] : [...missingFindings(input), ...orderFindings(input, masses)];
  const sound = order.length === 0 && dry?.greaterThan(0) ? { dry } : undefined;
  const step = limits.number(input.precision === 'a' ? 'water.step-a' : 'water.step-b', system);
  let content: Exact | undefined;
  if (sound && tin && wet) {
    content = sheet.line({
      symbol: 'w',
      name: 'Water content, of the dry mass',
      formula: '100 * (Mw - Mt - Ms) / Ms',
      uses: { Mw: wet, Mt: tin, Ms: sound.dry },
      unit: 'percent',
      source: D2216,
      round: { step, rule: `to ${step} %` },
    });
    results.push(
      resultOf({
        quantity: WATER,
        symbol: 'w',
        value: content,
        unit: 'percent',
        step,
        mode,
        ...(state?.dryAt === null ? { provisional: 'it is not dry yet' } : {}),
      }),
    );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { balance: 'departure', oven: 'departure' }, input.finishedAt, setup, limits),
      ...order,
      ...(sound ? stateFindings(input, { ...sound, content, state }, setup, limits) : []),
      ...(told
        ? gentleFindings(setup.facts?.gently === true)
        : [...ovenFindings(input, limits), ...gentleFindings(input.dried === 'gentle')]),
    ]),
    verdicts: [],
    picture: {
      kind: 'oven',
      values: {
        zone: setup.zone ?? 'utc',
        unit: 'g',
        loss: limits.number('water.loss', 'US').toNumber(),
        all: JSON.stringify(
          state
            ? [
                {
                  label: setup.specimen?.label ?? input.tin ?? '',
                  dryAt: state.dryAt,
                  nextAt: state.nextAt,
                  openAt: state.nextAt === null ? null : firstOpen(state.nextAt, setup.zone ?? 'utc', limits),
                  weighed: state.counted.map(({ at, mass }) => [at, mass.toNumber()]),
                  last: state.steps.at(-1)?.percent.toNumber() ?? null,
                  ...{ more: null, most: null, end: null },
                },
              ]
            : [],
        ),
      },
    },
  };
}

/** Masses that cannot be in this order: a wrong tin, or the two readings the wrong way round. */
function orderFindings(input: RockWaterInput, { tin, wet, state }: Masses): Finding[] {
  const say = (id: string, fields: readonly string[], message: string): Finding =>
    finding({
      id,
      severity: 'invalid',
      needsReason: true,
      fields,
      message,
      action: 'Look at the number of the tin and read both again.',
    });
  if (tin && wet && !wet.greaterThan(tin))
    return [say('water.order', ['tinMass', 'wetMass'], 'Tin and pieces weigh no more than the tin.')];
  if (!tin || !wet) return [];
  const least = state?.least;
  if ((input.weighings ?? []).some((row) => readMeasure(row, 'mass')?.value.lessThanOrEqualTo(tin)))
    return [say('water.order', ['tinMass', 'weighings'], 'Out of the oven they weigh no more than the tin.')];
  return least?.plus(tin).greaterThan(wet)
    ? [say('water.order', ['tinMass', 'weighings'], 'Dry they weigh more than wet.')]
    : [];
}

function stateFindings(
  input: RockWaterInput,
  about: { dry: Exact; content: Exact | undefined; state: DryingState | undefined },
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { dry, content, state } = about;
  const { system } = input;
  const found: Finding[] = [];
  const last = state?.steps.at(-1);
  if (state && state.dryAt === null)
    found.push(
      finding({
        id: 'water.loss',
        severity: 'invalid',
        needsReason: true,
        fields: ['weighings'],
        message: last
          ? `The last weighing lost ${last.percent.toFixed(3)} %: it is not dry.`
          : 'One weighing does not show that it is dry.',
        action: 'Back into the oven; weigh again an hour later.',
      }),
    );
  if (!isWithin(dry, limits.of('water.mass', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'water.mass', severity: 'departure', needsReason: false, fields: ['wetMass'] },
        {
          message: `The pieces weigh ${plainOf(dry.toDecimalPlaces(0), 'g')} dry.`,
          action: 'Take more of the core next time; this is reported with its mass.',
          remark: `Water content on ${plainOf(dry.toDecimalPlaces(0), 'g')} of rock.`,
        },
      ),
    );
  if (content && !isWithin(content, limits.of('water.most', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'water.most', severity: 'advice', fields: ['wetMass'] },
        {
          message: `${content.toFixed(1)} % is much for a rock.`,
          action: 'Look at the tin, and whether this is rock at all.',
        },
      ),
    );
  const broken = Date.parse(factText(setup, 'brokenAt') ?? '');
  const wetAt = Date.parse(input.wetAt ?? factText(setup, 'wetAt') ?? '');
  const minutes = (wetAt - broken) / 60_000;
  if (minutes > limits.number('water.kept', 'US').toNumber() * 60)
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'water.kept', severity: 'departure', needsReason: false, fields: ['wetAt'] },
        {
          message: `They were weighed ${durationText(minutes)} after the test.`,
          action: 'Say how they were kept: bagged and closed they keep their water.',
          remark: `Weighed wet ${durationText(minutes)} after the strength test.`,
        },
      ),
    );
  return found;
}

/** The oven as it is asked for, by how they are dried. */
export function ovenFindings(
  input: Pick<RockWaterInput, 'dried' | 'system' | 'temperature' | 'hottest'>,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const gentle = input.dried === 'gentle';
  const id = gentle ? 'water.gentle' : 'water.oven';
  const found = (['temperature', 'hottest'] as const).flatMap((field) => {
    const read = readMeasure(input, field);
    return read && !isWithin(read.value, limits.of(id, system))
      ? [
          limitFinding(
            limits,
            system,
            { id, severity: 'departure', needsReason: false, fields: [field] },
            {
              message: `The oven was at ${plainOf(read.value, read.unit)}.`,
              action: 'Set it right; hotter takes more out than water, cooler leaves some in.',
              remark: `Dried at ${plainOf(read.value, read.unit)}.`,
            },
          ),
        ]
      : [];
  });
  return found.slice(0, gentle ? 2 : 1);
}

function gentleFindings(gently: boolean): Finding[] {
  if (!gently) return [];
  return [
    finding({
      id: 'water.gently',
      severity: 'departure',
      needsReason: false,
      fields: ['dried'],
      message: 'Dried gently, for the water that minerals hold of their own.',
      action: 'It is reported with the temperature.',
      remark: 'Dried at 60 °C for minerals that hold water of their own.',
    }),
  ];
}

/** Once it is finished, what was not weighed at all. */
function missingFindings(input: RockWaterInput): Finding[] {
  const missing = (['tinMass', 'wetMass', 'wetAt', 'temperature', 'inAt'] as const).filter(
    (name) => input[name] === undefined,
  );
  const fields = [...missing, ...((input.weighings ?? []).length === 0 ? ['weighings'] : [])];
  if (!input.finishedAt || fields.length === 0) return [];
  return [
    finding({
      id: 'water.missing',
      severity: 'invalid',
      fields,
      message: 'Tin, wet mass, oven or weighings are not all there.',
      action: 'Type them, or lay the tin into the oven with others: its batch says them then.',
    }),
  ];
}

/** The pieces wait for their next weighing. */
export function waits(input: RockWaterInput, setup: RunSetup): Wait[] {
  if (isTold(input, setup)) return [];
  const { state } = massesRead(input, limitsOf(setup));
  if (!state) return [];
  const at = new Date(state.nextAt ?? state.dryAt ?? 0).toISOString();
  return [
    {
      id: 'weigh',
      what: 'Weigh the pieces out of the oven',
      lane: 'tank',
      opens: at,
      ...(state.dryAt === null ? {} : { done: at }),
    },
  ];
}
