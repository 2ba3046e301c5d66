import { DateTime } from 'luxon';
import { type CapThickness, capThickness, drawn, hardeningHours } from '../../ends';
import { cite, isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, largest, meanOf, plainOf, type System, smallest } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { bySeverity, type Finding, finding, numbered, type Severity, Sheet, standard } from '../../working';
import { compoundFinding, hardensIn } from '../compound-checks';
import type { Outcome, Result } from '../contract';
import { dayOf, equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { type FindingWords, limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { expectedStrength, LENGTH_UNIT, STRESS_UNIT } from '../press';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup, setupMeasure } from '../setup';
import { labelsOf } from '../tested';
import type { CappingInput } from './input';
import { isConcrete, isMasonry, masonryFindings } from './masonry';
import { PIECES, type PourRow } from './rows';

const C617 = standard('ASTM C617/C617M');

interface Measured {
  readonly label: string;
  readonly strength: Exact | undefined;
  readonly pieces: readonly Exact[];
  readonly thickness: CapThickness | undefined;
}

/** The specimens drawn for a closer look, by label. */
export function drawnLabels(setup: RunSetup): string[] {
  const { batch } = setup;
  return batch
    ? drawn(batch.specimens.length, batch.seed).flatMap((index) => batch.specimens[index]?.label ?? [])
    : [];
}

/**
 * A batch of bonded caps: what was poured, how long it hardens, how plane and thick the caps are.
 * @param input temperatures in °F or °C, rows of planeness and thickness as text
 * @returns the mean thickness of the thickest cap once pieces were measured; findings at any time
 * Source: ASTM C617/C617M (from memory).
 */
export function compute(input: CappingInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const unit = LENGTH_UNIT[system];
  const rows: Measured[] = (input.thickness ?? []).map((row) => {
    const strength = readMeasure(row, 'strength')?.value;
    const pieces = PIECES.flatMap((name) => readMeasure(row, name)?.value ?? []);
    return {
      label: row.specimen ?? '',
      strength,
      pieces,
      thickness: capThickness(pieces, strength, system, limits),
    };
  });
  const step = system === 'US' ? '0.01' : '0.2';
  const thickest = rows
    .filter(({ pieces }) => pieces.length > 0)
    .toSorted((a, b) => meanOf(b.pieces).comparedTo(meanOf(a.pieces)))[0];
  if (thickest) {
    const uses = numbered('t', thickest.pieces);
    const mean = sheet.line({
      symbol: 't',
      name: `Mean thickness of the thickest cap, ${thickest.label}`,
      formula: `(${Object.keys(uses).join(' + ')}) / ${thickest.pieces.length}`,
      uses,
      unit,
      source: C617,
    });
    results.push(resultOf({ quantity: 'mean cap thickness', symbol: 't', value: mean, unit, step, mode }));
  }
  const expected = expectedOf(setup, system);
  const hours = hardens(input, setup).toNumber();
  const pours = wholeRows(input.pours);
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { lot: 'departure' }, input.lastCapAt, setup, limits),
      ...potFindings(input, setup, limits, expected, pours),
      ...pourFindings(input, setup, pours),
      ...capFindings(input),
      ...(isMasonry(setup)
        ? masonryFindings(input, setup, sheet)
        : [
            ...lotFindings(input, setup, limits, expected),
            ...moistFindings(input, setup, limits),
            ...planeFindings(input, setup, limits),
            ...thicknessFindings(rows, setup, limits, unit, system),
          ]),
    ]),
    verdicts: [],
    picture: {
      kind: 'capping',
      values: {
        specimens: labelsOf(setup).join(','),
        drawn: drawnLabels(setup).join(','),
        lastCapAt: input.lastCapAt ?? null,
        firstCapAt: input.firstCapAt ?? null,
        capped: pours.map(({ specimen, end }) => `${specimen}/${end}`).join(','),
        hours,
        hardAt: input.lastCapAt ? hardAfter(input.lastCapAt, hours) : null,
        zone: setup.zone ?? 'utc',
      },
    },
  };
}

/** The highest strength expected among the specimens of a batch, psi or MPa; undefined while one of them is not known. */
export function expectedOf(setup: RunSetup, system: System): Exact | undefined {
  const all = (setup.batch?.specimens ?? []).map(({ facts, ...specimen }) =>
    expectedStrength({ specimen, facts }, system, limitsOf(setup)),
  );
  const known = all.flatMap((each) => each ?? []);
  return known.length > 0 && known.length === all.length ? largest(known) : undefined;
}

/** Hours that these caps harden under the strength expected, with what the lot of compound was qualified to. */
function hardens(input: CappingInput, setup: RunSetup): Exact {
  const { system } = input;
  const limits = limitsOf(setup);
  if (isMasonry(setup)) return limits.number('caps.unit-age', system);
  const expected = expectedOf(setup, system);
  const lot = setup.equipment?.find(({ number }) => number === input.lot);
  const shown = hardensIn(lot?.compound, expected, dayOf(input.lastCapAt, setup), system, limits);
  return hardeningHours(input.kind ?? 'sulfur', expected, system, limits, true, shown).hours;
}

function hardAfter(poured: string, hours: number): string {
  return DateTime.fromISO(poured).plus({ hours }).toUTC().toISO() ?? '';
}

/** The hardening of each specimen's caps, from its own youngest one where that is on record: it ends by itself. */
export function waits(input: CappingInput, setup: RunSetup): Wait[] {
  const { lastCapAt } = input;
  if (!lastCapAt) return [];
  const hours = hardens(input, setup).toNumber();
  const masonry = isMasonry(setup);
  const hard = labelsOf(setup).map((label): Wait => {
    const at = hardAfter(capTimes(input, label)?.last ?? lastCapAt, hours);
    // Masonry has no window of age: it can be broken from when its caps are hard until it is.
    return masonry
      ? { id: 'break', what: 'Break the capped unit', lane: 'press', about: label, opens: at, stays: true }
      : { id: 'hard', what: 'Caps hard', lane: 'ends', about: label, opens: at, done: at };
  });
  // A pot that is not filled in the evening is not molten in the morning.
  const refill: Wait[] =
    masonry && input.kind === 'sulfur'
      ? [
          {
            id: 'refill',
            what: 'Fill the pot again',
            lane: 'ends',
            opens: lastCapAt,
            ...(input.addedAt ? { done: input.addedAt } : {}),
          },
        ]
      : [];
  return [...hard, ...refill];
}

/** When the older and the younger of some caps were poured; undefined while none is on record. */
function timesOf(pours: readonly PourRow[]): { first: string; last: string } | undefined {
  // Of sulfur on a brick the age counts from when it was lifted out of the mould: our careful choice.
  const times = pours
    .flatMap(({ at, lifted }) => lifted ?? at ?? [])
    .toSorted((a, b) => Date.parse(a) - Date.parse(b));
  const [first, last] = [times[0], times.at(-1)];
  return first && last ? { first, last } : undefined;
}

/** When the caps of a specimen of the batch were poured, by its own rows; undefined where it has none. */
export function capTimes(
  input: Pick<CappingInput, 'pours'>,
  label: string,
): { first: string; last: string } | undefined {
  return timesOf(wholeRows(input.pours).filter(({ specimen }) => specimen === label));
}

function pourFindings(input: CappingInput, setup: RunSetup, pours: readonly PourRow[]): Finding[] {
  const found: Finding[] = [];
  if (pours.length === 0) return found;
  const all = labelsOf(setup);
  const strange = [...new Set(pours.map(({ specimen }) => specimen ?? ''))].filter(
    (label) => !all.includes(label),
  );
  if (all.length > 0 && strange.length > 0)
    found.push(
      finding({
        id: 'caps.pour-strange',
        severity: 'advice',
        fields: ['pours'],
        message: `Not of this batch: ${strange.slice(0, 3).join(', ')}.`,
        action: 'Check the labels.',
      }),
    );
  const open = all.filter(
    (label) => !['1', '2'].every((end) => pours.some((p) => p.specimen === label && p.end === end)),
  );
  if (open.length > 0)
    found.push(
      finding({
        id: 'caps.pour-missing',
        severity: 'advice',
        fields: ['pours'],
        message: `Not both ends on record: ${open.slice(0, 4).join(', ')}${open.length > 4 ? ' …' : ''}.`,
        action: 'Their caps count from the youngest cap of the batch.',
      }),
    );
  const youngest = timesOf(pours)?.last;
  const minute = (text: string): number => Math.floor(Date.parse(text) / 60_000);
  if (youngest && input.lastCapAt && minute(youngest) > minute(input.lastCapAt))
    found.push(
      finding({
        id: 'caps.pour-later',
        severity: 'departure',
        needsReason: false,
        fields: ['lastCapAt', 'pours'],
        message: 'A cap was poured after the one that is called the youngest.',
        action: 'Correct the time of the youngest cap, or the row.',
        remark: 'Time of the youngest cap not consistent with the caps as poured.',
      }),
    );
  return found;
}

function make(
  limits: Limits,
  system: 'US' | 'SI',
  id: LimitId,
  severity: Severity,
  fields: readonly string[],
  words: FindingWords,
  needsReason = severity === 'invalid',
): Finding {
  return limitFinding(limits, system, { id, severity, needsReason, fields }, words);
}

function potFindings(
  input: CappingInput,
  setup: RunSetup,
  limits: Limits,
  expected: Exact | undefined,
  pours: readonly PourRow[],
): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  if (input.kind === 'gypsum') return found;
  const unit = system === 'US' ? 'degF' : 'degC';
  // Compounds differ: what the sheet of the lot asks for counts, where it is on file.
  const lot = setup.equipment?.find(({ number }) => number === input.lot);
  const own = {
    low: setupMeasure(lot?.compound?.potLow, 'temperature', unit),
    high: setupMeasure(lot?.compound?.potHigh, 'temperature', unit),
  };
  const band = { ...limits.of('caps.pot', system), ...(own.low && own.high ? own : {}) };
  const poured = pours.flatMap((pour) => readMeasure(pour, 'pot')?.value ?? []);
  const readings: [string, Exact][] = [
    ...['potStart', 'potHottest'].flatMap((field): [string, Exact][] => {
      const value = readMeasure(input, field)?.value;
      return value ? [[field, value]] : [];
    }),
    ...(poured.length > 0
      ? [...new Set([smallest(poured), largest(poured)])].map((pot): [string, Exact] => ['pours', pot])
      : []),
  ];
  for (const [field, pot] of readings) {
    const said = plainOf(pot, unit);
    if (!isWithin(pot, limits.of('caps.pot-stop', system)))
      found.push(
        make(limits, system, 'caps.pot-stop', 'invalid', [field], {
          message: `The pot is at ${said}.`,
          action:
            'Stop. Heat off, lid on, nobody bends over it; the mortar is discarded. Fire: cover, never water.',
        }),
      );
    else if (!own.low && !isWithin(pot, limits.of('caps.pot-hold', system)))
      found.push(
        make(limits, system, 'caps.pot-hold', 'departure', [field], {
          message: `The pot is at ${said}: it skins before the specimen stands.`,
          action: 'Wait until it is warm through, stir, and read again.',
          remark: `Capped from a pot at ${said}.`,
        }),
      );
    else if (!isWithin(pot, band))
      found.push(
        make(limits, system, 'caps.pot', 'departure', [field], {
          message: own.low
            ? `The pot is at ${said}; the sheet of ${lot?.number} asks for ${lot?.compound?.potLow} to ${lot?.compound?.potHigh}.`
            : `The pot is at ${said}.`,
          action:
            'Set it right and leave it alone until it is there: too hot, the mortar thickens and fumes; too cold, it skins.',
          remark: `Pot at ${said}.`,
        }),
      );
  }
  const melts = readMeasure(input, 'melts')?.value;
  if (melts && !isWithin(melts, limits.of('caps.melts', system)))
    found.push(
      make(limits, system, 'caps.melts', 'departure', ['melts'], {
        message: `The oldest material in the pot is melted for the ${melts}th time.`,
        action: 'Empty the pot, clean it and charge it anew.',
        remark: `Capping material melted ${melts} times.`,
      }),
    );
  const high = limits.number('caps.harden-switch', system);
  if (
    input.material === 'recovered' &&
    isConcrete(setup) &&
    (!expected || expected.greaterThanOrEqualTo(high))
  )
    found.push(
      make(
        limits,
        system,
        'caps.harden-switch',
        'departure',
        ['material'],
        {
          message: 'Recovered caps are not used for concrete of this strength.',
          action: 'Take fresh material.',
          remark: 'Recovered capping material used on strong concrete.',
        },
        true,
      ),
    );
  return found;
}

function lotFindings(
  input: CappingInput,
  setup: RunSetup,
  limits: Limits,
  expected: Exact | undefined,
): Finding[] {
  const { system } = input;
  const unit = STRESS_UNIT[system];
  const lot = setup.equipment?.find(({ number }) => number === input.lot);
  const strength = setupMeasure(lot?.strength, 'stress', unit);
  if (!lot || !strength) return [];
  const least = limits.of('caps.lot-strength', system);
  if (!isWithin(strength, least))
    return [
      make(limits, system, 'caps.lot-strength', 'invalid', ['lot'], {
        message: `Lot ${lot.number} proved ${plainOf(strength, unit)}.`,
        action: 'The lot is not used. Its replacement is tested weekly until four in a row conform.',
      }),
    ];
  return compoundFinding({
    strength: expected,
    proved: false,
    cubes: strength,
    lot: lot.number,
    compound: lot.compound,
    day: dayOf(input.lastCapAt, setup),
    system,
    limits,
    fields: ['lot'],
  });
}

function capFindings(input: CappingInput): Finding[] {
  const found: Finding[] = [];
  const plain = (id: string, severity: Severity, fields: readonly string[], words: FindingWords): void => {
    found.push(finding({ id, severity, fields, ...words }));
  };
  if (input.sounding === 'recapped' && !input.faults?.trim())
    plain('caps.faults', 'advice', ['faults'], {
      message: 'Which were recapped is not said.',
      action: 'Write their labels and what was wrong.',
    });
  if (input.kind === 'sulfur' && input.lastCapAt && input.safe !== true)
    plain('caps.safe', 'advice', ['safe'], {
      message: 'Exhaust and dryness were not ticked.',
      action:
        'Molten sulfur burns deeply, water in it explodes as steam, and its gas numbs the nose: hood on, everything dry.',
    });
  return found;
}

/** Concrete is kept moist while it is capped; gypsum caps do not bear water. */
function moistFindings(input: CappingInput, setup: RunSetup, limits: Limits): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const out = limits.of('cylinder.out-of-moist', system);
  const back = Date.parse(input.returnedAt ?? setup.asOf ?? '');
  const dry = exact((back - Date.parse(input.firstCapAt ?? '')) / 3_600_000 || 0);
  if (!Number.isNaN(back) && input.firstCapAt && !isWithin(dry, out))
    found.push(
      make(limits, system, 'cylinder.out-of-moist', 'departure', ['firstCapAt', 'returnedAt'], {
        message: `Out of moist storage for ${dry.toFixed(1)} h${input.returnedAt ? '' : ' by now'}.`,
        action: 'Back into the moist room or under double wet burlap, gypsum kept from dripping water.',
        remark: `Out of moist storage for ${dry.toFixed(1)} h while being capped.`,
      }),
    );
  const limit = limits.of('caps.gypsum-moist', system);
  if (input.kind === 'gypsum' && input.returnedAt) {
    const until = Date.parse(setup.asOf ?? '');
    const hours = exact((until - Date.parse(input.returnedAt)) / 3_600_000 || 0);
    if (!Number.isNaN(until) && !isWithin(hours, limit))
      found.push(
        make(limits, system, 'caps.gypsum-moist', 'departure', ['returnedAt'], {
          message: `Gypsum caps in the moist room for ${hours.toFixed(1)} h.`,
          action: 'Take them out, wrap the specimens wet, keep water off the caps.',
          remark: 'Gypsum caps longer than allowed in the moist room.',
        }),
      );
  }
  return found;
}

function planeFindings(input: CappingInput, setup: RunSetup, limits: Limits): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const rows = (input.planeness ?? []).map(({ specimen = '', first, second, third }) => ({
    label: specimen,
    looks: [first, second, third].filter((look) => look !== undefined),
  }));
  if (rows.length === 0) return found;
  const bad = rows.filter(({ looks }) => looks.includes('no'));
  const wanted = drawnLabels(setup).filter((label) => !rows.some((row) => row.label === label));
  if (bad.length > 0)
    found.push(
      make(limits, system, 'cylinder.planeness', 'invalid', ['planeness'], {
        message: `Not plane: ${bad.map(({ label }) => label).join(', ')}.`,
        action: 'Remove the cap, cap again, and then check all of this run.',
      }),
    );
  if (wanted.length > 0)
    found.push(
      make(limits, system, 'caps.specimens', 'departure', ['planeness'], {
        message: `Drawn, and not looked at: ${wanted.join(', ')}.`,
        action: 'Check the planeness of the specimens that were drawn before pouring.',
        remark: 'Planeness of caps not checked on every specimen drawn.',
      }),
    );
  return found;
}

function thicknessFindings(
  rows: readonly Measured[],
  setup: RunSetup,
  limits: Limits,
  unit: 'in' | 'mm' | string,
  system: 'US' | 'SI',
): Finding[] {
  const found: Finding[] = [];
  const place = unit === 'in' ? 3 : 1;
  for (const { label, thickness, pieces } of rows) {
    if (!thickness) continue;
    if (!thickness.determined)
      found.push(
        make(limits, system, 'caps.pieces', 'departure', ['thickness'], {
          message: `${label}: ${pieces.length} pieces are no determination.`,
          action: 'Collect more pieces of the top cap, spread over its area.',
          remark: `Cap thickness of ${label} from ${pieces.length} pieces only.`,
        }),
      );
    else if (!thickness.fits) {
      const mean = thickness.mean.greaterThan(thickness.allowedMean);
      found.push(
        finding({
          id: mean ? 'caps.thick-mean' : 'caps.thick-any',
          severity: 'departure',
          needsReason: true,
          fields: ['thickness'],
          limit: cite(limits.of(mean ? 'caps.thick-mean-low' : 'caps.thick-any-low', system)),
          message: mean
            ? `${label}: mean ${thickness.mean.toFixed(place)} ${unit}, at most ${thickness.allowedMean} ${unit} at its strength.`
            : `${label}: one part ${thickness.most.toFixed(place)} ${unit}, at most ${thickness.allowedAny} ${unit} at its strength.`,
          action: mean
            ? 'Pour less, lower at once. A low result with thick caps is looked at by a reviewer.'
            : 'The cylinder was tilted in the plate: set the guide.',
          remark: `Cap of ${label} thicker than allowed.`,
        }),
      );
    }
  }
  const wanted = drawnLabels(setup).filter(
    (label) => rows.length > 0 && !rows.some((row) => row.label === label),
  );
  if (wanted.length > 0)
    found.push(
      finding({
        id: 'caps.thick-drawn',
        severity: 'advice',
        fields: ['thickness'],
        message: `Drawn, and not measured yet: ${wanted.join(', ')}.`,
        action: 'Keep six pieces of the top cap of each after its test.',
      }),
    );
  return found;
}
