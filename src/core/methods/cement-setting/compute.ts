import { nextPlace } from '../../cement/ring';
import { FINAL_DEPTH, settingCurve, whenAt } from '../../cement/setting';
import { isWithin, type Limits } from '../../limits';
import { exact, largest, plainOf } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import { cementVerdicts } from '../cement/said';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factMeasure, factText } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { limitsOf, type RunSetup } from '../setup';
import { type FallRead, fallsOf, isOnPlate, ringRule, setsOf } from './falls';
import type { CementSettingInput } from './input';

export const INITIAL = 'initial set';
export const FINAL = 'final set';
const C191 = standard('ASTM C191');

/** Minutes from one fall to the next, by the type of the cement. */
export function everyOf(setup: RunSetup, limits: Limits, system: CementSettingInput['system']): number {
  const early = /\.(?:III|IIIA|HE)$/u.test(factText(setup, 'cementType') ?? '');
  return limits.number(early ? 'setting.every-early' : 'setting.every', system).toNumber();
}

/** When the next fall is due, minutes since the water met the cement; undefined before it is moulded, or when it has set. */
export function nextFall(input: CementSettingInput, setup: RunSetup): number | undefined {
  const limits = limitsOf(setup);
  const { system } = input;
  const [contact, moulded] = [Date.parse(input.contactAt ?? ''), Date.parse(input.mouldedAt ?? '')];
  if (Number.isNaN(contact) || Number.isNaN(moulded) || input.finishedAt) return undefined;
  const falls = fallsOf(input, limits);
  const { final } = setsOf(falls, limits, system);
  if (final.kind === 'set') return undefined;
  const last = falls.at(-1);
  const first = limits.of('setting.first', system).low?.toNumber() ?? 0;
  if (!last) return (moulded - contact) / 60_000 + first;
  // Two more at once where no circle was left.
  return final.kind === 'confirm' || final.kind === 'late'
    ? last.minutes
    : last.minutes + everyOf(setup, limits, system);
}

/**
 * Time of setting by the needle: initial where it goes in by no more than it is asked for, final where it leaves no circle.
 * @param input falls with their times, depths in mm and places on the ring
 * @param setup facts: the type of the cement, its consistency
 * @returns minutes since the water met the cement; `at most` where the first fall was below already, `at least` where none is yet
 * Source: ASTM C191, EN 196-3, IS 4031-5 (from memory).
 */
export function compute(input: CementSettingInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const falls = fallsOf(input, limits);
  const told = setsOf(falls, limits, system);
  const results = [...initialResult(told, limits, system, sheet), ...finalResult(told, input, limits, sheet)];
  const [initial, final] = [INITIAL, FINAL].map((name) => results.find(({ quantity }) => quantity === name));
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { balance: 'departure', vicat: 'departure' }, input.finishedAt, setup, limits),
      ...waterFindings(input, setup, limits),
      ...fallFindings(input, falls, told, limits),
      ...usualFindings(results, limits, system),
    ]),
    verdicts: [
      ...cementVerdicts(setup, limits, system, 'set', 'Initial set', initial),
      ...cementVerdicts(setup, limits, system, 'set-final', 'Final set', final),
    ],
    picture: pictureOf(input, falls, told, setup, limits),
  };
}

type Told = ReturnType<typeof setsOf>;

function initialResult(
  { initial, depth, good }: Told,
  limits: Limits,
  system: CementSettingInput['system'],
  sheet: Sheet,
): Result[] {
  const about = {
    ...{ quantity: INITIAL, symbol: 'ti', unit: 'min' as const, mode: sheet.mode },
    step: limits.number('setting.step', system),
  };
  if (initial.kind === 'none') return [];
  if (initial.kind !== 'between')
    return [
      resultOf({
        ...about,
        value: sheet.line({
          symbol: 'ti',
          name: initial.kind === 'at most' ? 'First fall, below already' : 'Last fall, not below yet',
          formula: 't',
          uses: { t: exact(initial.minutes).toDecimalPlaces(3) },
          unit: 'min',
          source: C191,
        }),
        bound: initial.kind,
      }),
    ];
  const minutes = (value: number) => exact(value).toDecimalPlaces(3);
  const value = sheet.line({
    symbol: 'ti',
    name: `Initial set, ${depth} mm`,
    formula: '(H - E) / (C - D) * (C - p) + E',
    uses: {
      ...{ E: minutes(initial.from.minutes), H: minutes(initial.to.minutes) },
      ...{ C: exact(initial.from.depth), D: exact(initial.to.depth), p: exact(depth) },
    },
    unit: 'min',
    source: C191,
  });
  const gap = initial.to.minutes - initial.from.minutes;
  const most = limits.of('setting.gap-most', system).high?.toNumber() ?? 0;
  const between = good.some(({ minutes: at }) => at > initial.from.minutes && at < initial.to.minutes);
  return [
    resultOf({
      ...about,
      value,
      ...(gap > most || between
        ? {
            provisional: `it lies between ${initial.from.minutes.toFixed(0)} and ${initial.to.minutes.toFixed(0)} min, and no nearer`,
          }
        : {}),
    }),
  ];
}

function finalResult({ final }: Told, input: CementSettingInput, limits: Limits, sheet: Sheet): Result[] {
  if (final.kind !== 'set') return [];
  const step = limits.number('setting.step-final', input.system);
  return [
    resultOf({
      ...{ quantity: FINAL, symbol: 'tf', unit: 'min', mode: sheet.mode, step },
      value: sheet.line({
        symbol: 'tf',
        name: 'Final set, the first fall of three without a circle',
        formula: 't',
        uses: { t: exact(final.minutes).toDecimalPlaces(3) },
        unit: 'min',
        source: C191,
        round: { step, rule: `to ${step} min` },
      }),
    }),
  ];
}

/** The water that its consistency asks for, g; undefined while that is not known. */
export function waterFor(
  cement: ReturnType<typeof exact>,
  setup: RunSetup,
  limits: Limits,
  system: CementSettingInput['system'],
) {
  const P = factMeasure(setup, 'consistency', 'percent');
  const share = limits.profile === 'is' ? limits.number('is/setting.share', system) : exact(1);
  return P && cement.times(P).times(share).div(100);
}

function waterFindings(input: CementSettingInput, setup: RunSetup, limits: Limits): Finding[] {
  const [cement, water] = [readMeasure(input, 'cement')?.value, readMeasure(input, 'water')?.value];
  const asked = cement && waterFor(cement, setup, limits, input.system);
  if (!cement || !water) return [];
  if (!asked)
    return [
      finding({
        id: 'setting.consistency',
        severity: 'departure',
        fields: ['water'],
        message: 'The consistency of this sample is not known.',
        action: 'Test it first: the water of this paste follows from it.',
        remark: 'Set at a water that no test of consistency gave.',
      }),
    ];
  // Half a percent of the cement: what the consistency is told to.
  const off = water.minus(asked).abs().div(cement).times(100);
  if (off.lessThanOrEqualTo(limits.number('consistency.step', input.system))) return [];
  return [
    finding({
      id: 'setting.water',
      severity: 'departure',
      fields: ['water'],
      message: `Its consistency asks for ${plainOf(asked.toDecimalPlaces(1), 'g')} of water.`,
      action: 'More water sets later: mix it anew.',
      remark: `Water ${off.toFixed(1)} % of the cement off the consistency.`,
    }),
  ];
}

function fallFindings(
  input: CementSettingInput,
  falls: readonly FallRead[],
  { initial, good }: Told,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const bad = falls.filter(({ why }) => why !== undefined);
  if (bad.length > 0)
    found.push(
      finding({
        id: 'setting.falls',
        severity: 'advice',
        fields: ['falls'],
        message: `${bad.length === 1 ? 'A fall does' : `${bad.length} falls do`} not count: ${bad.map(({ minutes, why }) => `at ${minutes.toFixed(0)} min ${why}`).join('; ')}.`,
        action: 'It stays in the record; make another at once at the next free place.',
      }),
    );
  if ('risen' in initial)
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'setting.rise', severity: 'departure', fields: ['falls'] },
        {
          message: 'The needle went in further than before, after it was below the mark.',
          action:
            'Another fall beside it now: needle, a hole too near, a void or a jolt. The last crossing counts.',
          remark: 'Falls not in one order: the last crossing of the mark counts.',
        },
      ),
    );
  if (initial.kind === 'between') {
    const gap = initial.to.minutes - initial.from.minutes;
    const { high } = limits.of('setting.gap', system);
    if (high && exact(gap.toFixed(3)).greaterThan(high))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'setting.gap', severity: 'departure', fields: ['falls'] },
          {
            message: `The falls about the initial set are ${gap.toFixed(0)} min apart.`,
            action: 'Falls come every quarter of an hour, of cement for early strength every ten minutes.',
            remark: `Initial set between ${initial.from.minutes.toFixed(0)} and ${initial.to.minutes.toFixed(0)} min.`,
          },
        ),
      );
    if (isOnPlate(initial.from, limits.number('setting.depth', system).toNumber()))
      found.push(
        finding({
          id: 'setting.plate',
          severity: 'departure',
          fields: ['falls'],
          message: 'Before the initial set the needle stood on the plate: it would have gone further.',
          action: 'Falls nearer to one another next time.',
          remark: 'The fall before the initial set stood on the plate.',
        }),
      );
  }
  if (initial.kind === 'at most')
    found.push(
      finding({
        id: 'setting.early',
        severity: 'departure',
        fields: ['falls'],
        message: 'The first fall that counts is below the mark already.',
        action: 'A fresh ring, and early stiffening: false or flash set?',
        remark: `Initial set before the first fall, at ${initial.minutes.toFixed(0)} min.`,
      }),
    );
  return [...found, ...firstFindings(input, good, limits)];
}

/** The first fall comes half an hour after moulding. */
function firstFindings(input: CementSettingInput, good: readonly FallRead[], limits: Limits): Finding[] {
  const [contact, moulded] = [Date.parse(input.contactAt ?? ''), Date.parse(input.mouldedAt ?? '')];
  const [first] = good;
  if (!first || Number.isNaN(moulded)) return [];
  const after = first.minutes - (moulded - contact) / 60_000;
  if (isWithin(exact(after.toFixed(2)), limits.of('setting.first', input.system))) return [];
  return [
    limitFinding(
      limits,
      input.system,
      { id: 'setting.first', severity: 'departure', fields: ['falls'] },
      {
        message: `The first fall came ${after.toFixed(0)} min after moulding.`,
        action: 'Half an hour after moulding, not after the water.',
        remark: `First fall ${after.toFixed(0)} min after moulding.`,
      },
    ),
  ];
}

/** Times that cement hardly has. */
function usualFindings(
  results: readonly Result[],
  limits: Limits,
  system: CementSettingInput['system'],
): Finding[] {
  return (
    [
      [INITIAL, 'setting.usual-initial'],
      [FINAL, 'setting.usual-final'],
    ] as const
  ).flatMap(([quantity, id]) => {
    const result = results.find((each) => each.quantity === quantity && each.bound !== 'at least');
    if (!result || isWithin(exact(result.reported), limits.of(id, system))) return [];
    return [
      limitFinding(
        limits,
        system,
        { id, severity: 'advice', fields: ['falls'] },
        {
          message: `${quantity === INITIAL ? 'Initial' : 'Final'} set ${result.text} min: seldom so.`,
          action: 'Look at the clock it was counted from, at the temperature, at the water.',
        },
      ),
    ];
  });
}

/** The ring with its holes, the falls over time with what they let expect, and the next place. */
function pictureOf(
  input: CementSettingInput,
  falls: readonly FallRead[],
  { initial, final, good, depth }: Told,
  setup: RunSetup,
  limits: Limits,
): Outcome['picture'] {
  const { system } = input;
  const ring = limits.number('setting.depth', system).toNumber();
  const rule = ringRule(limits, system);
  const place = nextPlace(
    falls.flatMap(({ hole }) => hole ?? []),
    rule,
  );
  const curve = settingCurve(good, ring);
  const contact = Date.parse(input.contactAt ?? '');
  const next = nextFall(input, setup);
  return {
    kind: 'cement-setting',
    values: {
      ...{ mark: depth, ring, space: rule.space, wall: rule.wall, radius: rule.radius },
      nextX: place?.x ?? null,
      nextY: place?.y ?? null,
      contact: Number.isNaN(contact) ? null : contact,
      nextAt: next === undefined ? null : contact + next * 60_000,
      initial: initial.kind === 'between' ? Number(initial.minutes.toFixed(2)) : null,
      final: final.kind === 'set' ? Number(final.minutes.toFixed(2)) : null,
      confirm: final.kind === 'confirm' || final.kind === 'late' ? Number(final.from.toFixed(3)) : null,
      more: final.kind === 'confirm' ? final.more : final.kind === 'late' ? 2 : null,
      within: setsOf(falls, limits, system).within,
      likelyInitial: curve ? Number(whenAt(curve, depth, ring).toFixed(1)) : null,
      likelyFinal: curve ? Number(whenAt(curve, FINAL_DEPTH, ring).toFixed(1)) : null,
      falls: packedRows(
        falls.map(({ minutes, depth: mm, hole, circle, why }) => [
          Number(minutes.toFixed(2)),
          mm,
          hole?.x ?? '',
          hole?.y ?? '',
          circle ?? '',
          why ?? '',
        ]),
      ),
    },
  };
}

/** The ring waits for its next fall. */
export function waits(input: CementSettingInput, setup: RunSetup): Wait[] {
  const next = nextFall(input, setup);
  const contact = Date.parse(input.contactAt ?? '');
  if (next === undefined) {
    const last = largest([
      exact(contact || 0),
      ...fallsOf(input, limitsOf(setup)).map(({ minutes }) => exact(contact + minutes * 60_000)),
    ]);
    return Number.isNaN(contact) || Number.isNaN(Date.parse(input.mouldedAt ?? ''))
      ? []
      : [{ ...FALL, opens: iso(last.toNumber()), done: iso(last.toNumber()) }];
  }
  const at = contact + next * 60_000;
  return [{ ...FALL, opens: iso(at), best: iso(at), closes: iso(at + 5 * 60_000) }];
}

const FALL = { id: 'fall', what: 'Let the needle fall', lane: 'paste' } as const;
const iso = (at: number): string => new Date(at).toISOString();
