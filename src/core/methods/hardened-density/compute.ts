import { isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { durationText } from '../../windows';
import { bySeverity, type Finding, finding, numbered, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import type { HardenedDensityInput } from './input';
import { type Piece, piecesOf } from './pieces';

const C642 = standard('ASTM C642');
const HOUR = 3_600_000;

export const ABSORPTION = 'absorption after immersion';
export const BOILED = 'absorption after boiling';
export const DRY = 'bulk density, dry';
export const APPARENT = 'apparent density';
export const VOIDS = 'voids';

/**
 * Density, absorption and voids of hardened concrete, from pieces that are dried, soaked, boiled and hung in water.
 * @param input masses in g; of several pieces the sums count
 * @returns absorption (B - A) / A and (C - A) / A, densities by water, voids (C - A) / (C - D); each as far as it is known
 * Source: ASTM C642 6 (from memory).
 */
export function compute(input: HardenedDensityInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const pieces = piecesOf(input, limits);
  const sums = sumsOf(pieces, sheet);
  const { A, B, C, D } = sums;
  const percent = limits.number('voids.percent-step', system);
  const share = (
    quantity: string,
    symbol: string,
    name: string,
    formula: string,
    uses: Record<string, Exact>,
  ): void => {
    const value = sheet.line({
      symbol,
      name,
      formula,
      uses,
      unit: 'percent',
      source: C642,
      round: { step: percent, rule: `to ${percent} %` },
    });
    results.push(resultOf({ quantity, symbol, value, unit: 'percent', step: percent, mode }));
  };
  const density = (
    quantity: string,
    symbol: string,
    name: string,
    formula: string,
    uses: Record<string, Exact>,
  ): void => {
    const step = limits.number('voids.density-step', system);
    const unit = system === 'US' ? 'lb/ft3' : 'kg/m3';
    const value = sheet.line({
      symbol,
      name,
      formula: `${formula} * w`,
      uses: { ...uses, w: limits.number('voids.water', system) },
      unit,
      source: C642,
      round: { step, rule: `to ${limits.of('voids.density-step', system).text}` },
    });
    results.push(resultOf({ quantity, symbol, value, unit, step, mode }));
  };
  const findings = [...orderFindings(sums), ...stageFindings(input, pieces, limits)];
  const sound = orderFindings(sums).length === 0;
  if (sound && A && C && D) {
    share(VOIDS, 'V', 'Voids', '100 * (C - A) / (C - D)', { A, C, D });
    density(DRY, 'g1', 'Bulk density, dry', 'A / (C - D)', { A, C, D });
    density(APPARENT, 'g2', 'Apparent density', 'A / (A - D)', { A, D });
  }
  if (sound && A && B) share(ABSORPTION, 'ai', 'Absorption after immersion', '100 * (B - A) / A', { A, B });
  if (sound && A && C)
    share(BOILED, 'ab', 'Absorption after immersion and boiling', '100 * (C - A) / A', { A, C });
  if (sound && B && C && D)
    density('bulk density after immersion', 'gi', 'Bulk density after immersion', 'B / (C - D)', { B, C, D });
  if (sound && C && D)
    density('bulk density after boiling', 'gb', 'Bulk density after boiling', 'C / (C - D)', { C, D });
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { balance: 'departure' }, input.finishedAt, setup, limits),
      ...findings,
      ...usualFindings(results, limits, system),
      ...smallFindings(pieces, limits, system),
    ]),
    verdicts: [],
    picture: {
      kind: 'voids',
      values: {
        pieces: pieces
          .map(
            ({ name, A: a, B: b, C: c, D: d }) =>
              `${name}=${[a, b, c, d].map((mass) => (mass ? mass.toFixed() : '')).join('/')}`,
          )
          .join(','),
        solid: A && C && D ? A.minus(D).div(C.minus(D)).toNumber() : null,
        inWater: Boolean(input.waterAt),
      },
    },
  };
}

type Sums = Readonly<Partial<Record<'A' | 'B' | 'C' | 'D', Exact>>>;
const NAMES = { A: 'Dry', B: 'After immersion', C: 'After boiling', D: 'In water' } as const;

/** The masses of all pieces together, where every piece has it. */
function sumsOf(pieces: readonly Piece[], sheet: Sheet): Sums {
  const sums: Partial<Record<'A' | 'B' | 'C' | 'D', Exact>> = {};
  for (const symbol of ['A', 'B', 'C', 'D'] as const) {
    const all = pieces.flatMap((piece) => piece[symbol] ?? []);
    if (all.length === 0 || all.length < pieces.length) continue;
    if (all.length === 1) {
      sums[symbol] = all[0] ?? exact(0);
      continue;
    }
    const uses = numbered(symbol, all);
    sums[symbol] = sheet.line({
      symbol,
      name: `${NAMES[symbol]}, all pieces`,
      formula: Object.keys(uses).join(' + '),
      uses,
      unit: 'g',
      source: C642,
    });
  }
  return sums;
}

/** Masses that cannot follow one another: water comes in and never out. */
function orderFindings({ A, B, C, D }: Sums): Finding[] {
  const wrong =
    A && B?.lessThan(A)
      ? 'Soaked it cannot be lighter than dry.'
      : A && C?.lessThan(A)
        ? 'Boiled it cannot be lighter than dry.'
        : D && A?.lessThanOrEqualTo(D)
          ? 'In water it cannot weigh as much as dry.'
          : undefined;
  if (!wrong) return [];
  return [
    finding({
      id: 'voids.order',
      severity: 'invalid',
      fields: ['weighings'],
      message: wrong,
      action: 'Look for a mass at the wrong state, another piece’s mass, a hanger that was not tared.',
    }),
  ];
}

/** Stages that were cut short, and what is still to come of those that are not. */
function stageFindings(input: HardenedDensityInput, pieces: readonly Piece[], limits: Limits): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const between = (from: string | undefined, to: string | undefined): number =>
    (Date.parse(to ?? '') - Date.parse(from ?? '')) / HOUR;
  const held = (
    id: LimitId,
    hours: number,
    fields: readonly string[],
    what: string,
    action: string,
  ): void => {
    if (Number.isNaN(hours) || isWithin(exact(hours.toFixed(4)), limits.of(id, system))) return;
    const lasted = durationText(Math.round(hours * 60));
    found.push(
      limitFinding(
        limits,
        system,
        { id, severity: 'departure', needsReason: true, fields },
        { message: `${what} ${lasted}.`, action, remark: `${what} ${lasted}.` },
      ),
    );
  };
  held(
    'voids.boil',
    between(input.boilAt, input.offAt),
    ['boilAt', 'offAt'],
    'Boiled for',
    'Boil them again, five hours from when they boil.',
  );
  const firstHung = (input.weighings ?? [])
    .filter(({ state, at }) => (state === 'boiled' || state === 'hung') && at)
    .map(({ at }) => at ?? '')
    .toSorted()[0];
  held(
    'voids.cool',
    between(input.offAt, firstHung),
    ['offAt'],
    'Cooled for',
    'Let them cool in their water by themselves, and add no cold water.',
  );
  for (const piece of pieces) {
    const of = pieces.length > 1 ? `Piece ${piece.name}` : 'The piece';
    const dry = piece.dryApart;
    if (!piece.A && dry && input.finishedAt)
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'voids.dry-alike', severity: 'invalid', fields: ['weighings'] },
          {
            message: `${of} was not dry yet: its last two dry masses differ by ${dry.toFixed(2)} %.`,
            action: 'Dry it another day and weigh it again: from it hangs everything else.',
          },
        ),
      );
    else if (!piece.A && dry)
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'voids.dry-alike', severity: 'advice', fields: ['weighings'] },
          {
            message: `${of} is still drying: ${dry.toFixed(2)} % between its last two masses.`,
            action: 'Back into the oven for another day.',
          },
        ),
      );
    if (!piece.B && piece.wetApart)
      found.push(
        limitFinding(
          limits,
          system,
          {
            id: 'voids.wet-alike',
            severity: input.finishedAt ? 'departure' : 'advice',
            needsReason: Boolean(input.finishedAt),
            fields: ['weighings'],
          },
          {
            message: `${of} still takes up water: ${piece.wetApart.toFixed(2)} % between its last two masses.`,
            action: 'Leave it in water for another day.',
            remark: `${of} was still taking up water.`,
          },
        ),
      );
  }
  return found;
}

/** Pieces that are too small to stand for a concrete. */
function smallFindings(
  pieces: readonly Piece[],
  limits: Limits,
  system: HardenedDensityInput['system'],
): Finding[] {
  return pieces.flatMap(({ name, C, D }) => {
    // A gram of water displaced is a millilitre.
    const volume = C && D && C.minus(D);
    if (!volume || isWithin(volume, limits.of('voids.piece', system))) return [];
    return [
      limitFinding(
        limits,
        system,
        { id: 'voids.piece', severity: 'departure', fields: ['weighings'] },
        {
          message: `Piece ${name} has ${plainOf(volume.toDecimalPlaces(0), 'mL')}.`,
          action: 'Take pieces of at least 350 mL [about 800 g], without cracks or loose edges.',
          remark: `Piece ${name} smaller than the method asks for.`,
        },
      ),
    ];
  });
}

const USUAL = [
  [DRY, 'voids.usual-density'],
  [ABSORPTION, 'voids.usual-absorption'],
  [VOIDS, 'voids.usual'],
] as const;

function usualFindings(
  results: readonly Result[],
  limits: Limits,
  system: HardenedDensityInput['system'],
): Finding[] {
  return USUAL.flatMap(([quantity, id]) => {
    const result = results.find((each) => each.quantity === quantity);
    if (!result || isWithin(exact(result.value), limits.of(id, system))) return [];
    return [
      limitFinding(
        limits,
        system,
        { id, severity: 'advice', fields: ['weighings'] },
        {
          message: `${quantity[0]?.toUpperCase()}${quantity.slice(1)} ${plainOf(exact(result.reported), result.unit)} is unusual.`,
          action: 'Read the masses again; is it a light or a heavy concrete?',
        },
      ),
    ];
  });
}

/** What the pieces wait for: the next weighing that counts, the end of the boil, the end of cooling. */
export function waits(input: HardenedDensityInput, setup: RunSetup): readonly Wait[] {
  const limits = limitsOf(setup);
  const found: Wait[] = [];
  const at = (ms: number): string => new Date(ms).toISOString();
  const hours = (id: LimitId): number => limits.number(id, input.system).toNumber() * HOUR;
  const boil = Date.parse(input.boilAt ?? '');
  const off = Date.parse(input.offAt ?? '');
  if (!Number.isNaN(boil))
    found.push({
      id: 'boil',
      what: 'Turn the boil off',
      lane: 'tank',
      opens: at(boil + hours('voids.boil')),
      ...(input.offAt ? { done: input.offAt } : {}),
    });
  const pieces = piecesOf(input, limits);
  if (!Number.isNaN(off)) {
    const hung = pieces.length > 0 && pieces.every(({ C, D }) => C && D);
    const last = (input.weighings ?? [])
      .flatMap(({ state, at: when }) => (state === 'hung' && when ? [when] : []))
      .toSorted()
      .at(-1);
    found.push({
      id: 'cool',
      what: 'Weigh the boiled pieces, in air and in water',
      lane: 'tank',
      opens: at(off + hours('voids.cool')),
      ...(hung && last ? { done: last } : {}),
    });
  }
  const open = pieces.filter(({ nextAt }) => nextAt !== undefined);
  const latest = Math.max(...open.map(({ nextAt = 0 }) => nextAt));
  const started = Date.parse(input.ovenAt ?? '');
  const [first] = open;
  if (first)
    found.push({
      id: `weigh-${first.next}`,
      what: first.next === 'dry' ? 'Weigh the pieces dry' : 'Weigh the pieces wet',
      lane: 'tank',
      opens: at(latest),
    });
  else if (pieces.length === 0 && !Number.isNaN(started))
    found.push({
      id: 'weigh-dry',
      what: 'Weigh the pieces dry',
      lane: 'tank',
      opens: at(started + hours('voids.oven')),
    });
  return found;
}
