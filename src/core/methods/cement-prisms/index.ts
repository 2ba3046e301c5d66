import { halvesSay } from '../../cement/prisms';
import { isWithin, type LimitId, type Limits } from '../../limits';
import { mostRow, standardOf, strengthRow } from '../../materials/cement/standards';
import { type Exact, exact, plainOf } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { durationText } from '../../windows';
import { bySeverity, type Finding, finding, numbered, Sheet, sourceText, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { CEMENT_FACTS } from '../cement/said';
import type { Method, Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { exampleInput } from '../example';
import { factText } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { heldWithin } from '../within';
import { CementPrismsInput } from './input';

const STRENGTH = 'strength of the prisms';
const BENT = 'flexural strength of the prisms';
const EN196 = standard('EN 196-1');

const AGE_ROWS: Readonly<Record<string, LimitId>> = {
  24: 'prisms.age-1d',
  48: 'prisms.age-2d',
  72: 'prisms.age-3d',
  168: 'prisms.age-7d',
  672: 'prisms.age-28d',
};

/** How far off its age it was tested, min; undefined while that is not known. */
function offAge({ contactAt, testedAt, age }: CementPrismsInput): number | undefined {
  const minutes = (Date.parse(testedAt ?? '') - Date.parse(contactAt ?? '')) / 60_000 - Number(age) * 60;
  return Number.isFinite(minutes) ? minutes : undefined;
}

/**
 * Flexural and compressive strength of prisms of mortar of one age.
 * @param input loads in N (bent) and kN (crushed)
 * @param setup facts: the class of the cement
 * @returns both in MPa in either system; the strength is the mean of six, or of five
 * Source: EN 196-1 (from memory).
 */
function compute(input: CementPrismsInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const step = limits.number('prisms.step', system);
  const bent = bentOf(input, limits, sheet);
  const halves = wholeRows(input.halves).flatMap((row, place) => {
    const load = readMeasure(row, 'load')?.value;
    return load
      ? [
          {
            mark: row.mark ?? String(place + 1),
            value: sheet.line({
              symbol: `R${place + 1}`,
              name: `Half ${row.mark ?? place + 1}`,
              formula: '1000 * F / A',
              uses: { F: load, A: limits.number('prisms.area', system) },
              unit: 'MPa',
              source: EN196,
            }),
          },
        ]
      : [];
  });
  const wanted = limits.number('prisms.halves', system).toNumber();
  const most = limits.of('prisms.off', system).high ?? exact(10);
  const says =
    halves.length > 2
      ? halvesSay(
          halves.map(({ value }) => value),
          most,
        )
      : undefined;
  const counted = says?.kind === 'mean' ? says.used.flatMap((place) => halves[place]?.value ?? []) : [];
  const uses = numbered('r', counted);
  const mean =
    counted.length > 0
      ? sheet.line({
          symbol: 'Rc',
          name: `Mean of ${counted.length}`,
          formula: `mean(${Object.keys(uses).join(', ')})`,
          uses,
          unit: 'MPa',
          source: EN196,
          round: { step, rule: 'to 0.1 MPa' },
        })
      : undefined;
  const few = halves.length < wanted;
  const about = { unit: 'MPa' as const, step, mode: sheet.mode };
  const strength =
    mean &&
    resultOf({
      ...about,
      quantity: STRENGTH,
      symbol: 'Rc',
      value: mean,
      ...(few ? { provisional: 'not all six halves are crushed' } : {}),
    });
  return {
    results: [
      ...(strength ? [strength] : []),
      ...(bent ? [resultOf({ ...about, quantity: BENT, symbol: 'Rf', value: bent })] : []),
    ],
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { machine: 'departure' }, input.testedAt, setup, limits),
      ...halfFindings(halves, says, few, limits, system),
      ...ageFindings(input, limits),
      ...slipFindings(
        halves.map(({ value }) => value),
        bent,
        limits,
        system,
      ),
    ]),
    verdicts: strengthVerdicts(input, strength, setup, limits),
    picture: {
      kind: 'cement-fine',
      values: {
        quantity: STRENGTH,
        unit: 'MPa',
        value: mean?.toNumber() ?? null,
        ...askedFor(input, setup, limits),
        determined: packedRows(
          halves.map(({ mark, value }, place) => [
            mark,
            Number(value.toFixed(2)),
            says?.kind === 'discarded'
              ? says.off.includes(place)
                ? 'off the mean'
                : ''
              : says?.out === place
                ? 'left out'
                : '',
          ]),
        ),
      },
    },
  };
}

function bentOf(input: CementPrismsInput, limits: Limits, sheet: Sheet): Exact | undefined {
  const { system } = input;
  const values = wholeRows(input.bent).flatMap((row, place) => {
    const load = readMeasure(row, 'load')?.value;
    return load
      ? [
          sheet.line({
            symbol: `B${place + 1}`,
            name: `Prism ${row.mark ?? place + 1}, bent`,
            formula: '1.5 * F * l / b^3',
            uses: {
              F: load,
              l: limits.number('prisms.span', system),
              b: limits.number('prisms.side', system),
            },
            unit: 'MPa',
            source: EN196,
          }),
        ]
      : [];
  });
  if (values.length === 0) return undefined;
  const uses = numbered('B', values);
  return sheet.line({
    symbol: 'Rf',
    name: 'Mean, bent',
    formula: `mean(${Object.keys(uses).join(', ')})`,
    uses,
    unit: 'MPa',
    source: EN196,
  });
}

function halfFindings(
  halves: readonly { readonly mark: string }[],
  says: ReturnType<typeof halvesSay> | undefined,
  few: boolean,
  limits: Limits,
  system: CementPrismsInput['system'],
): Finding[] {
  const marks = (places: readonly number[]): string =>
    places.map((place) => halves[place]?.mark ?? '').join(', ');
  if (says?.kind === 'discarded')
    return [
      limitFinding(
        limits,
        system,
        { id: 'prisms.off', severity: 'invalid', fields: ['halves'] },
        {
          message: `${marks(says.off)} lie more than 10 % off the mean.`,
          action: 'The whole set is thrown away: made again.',
        },
      ),
    ];
  return [
    ...(says?.kind === 'mean' && says.out !== undefined
      ? [
          limitFinding(
            limits,
            system,
            { id: 'prisms.off', severity: 'departure', fields: ['halves'] },
            {
              message: `${marks([says.out])} lies more than 10 % off the mean: the mean is that of five.`,
              action: 'It is named in the report.',
              remark: `Half ${marks([says.out])} left out, more than 10 % off the mean.`,
            },
          ),
        ]
      : []),
    ...(few && halves.length > 0
      ? [
          finding({
            id: 'prisms.few',
            severity: 'advice',
            fields: ['halves'],
            message: `${halves.length} of six halves so far.`,
            action: 'All six, none left out for being low.',
          }),
        ]
      : []),
  ];
}

function ageFindings(input: CementPrismsInput, limits: Limits): Finding[] {
  const off = offAge(input);
  const id = AGE_ROWS[input.age ?? ''];
  if (off === undefined || !id || isWithin(exact(Math.abs(off).toFixed(2)), limits.of(id, input.system)))
    return [];
  const said = `Tested ${durationText(Math.abs(off))} ${off < 0 ? 'before' : 'after'} its age`;
  return [
    limitFinding(
      limits,
      input.system,
      { id, severity: 'departure', fields: ['testedAt', 'contactAt'] },
      {
        message: `${said}.`,
        action: 'It is reported with its own age, and decides nothing.',
        remark: `${said}.`,
      },
    ),
  ];
}

function slipFindings(
  values: readonly Exact[],
  bent: Exact | undefined,
  limits: Limits,
  system: CementPrismsInput['system'],
): Finding[] {
  const rows = [
    ['prisms.usual', 'halves', values.find((value) => !isWithin(value, limits.of('prisms.usual', system)))],
    [
      'prisms.usual-bend',
      'bent',
      bent && !isWithin(bent, limits.of('prisms.usual-bend', system)) ? bent : undefined,
    ],
  ] as const;
  return rows.flatMap(([id, field, value]) =>
    value
      ? [
          limitFinding(
            limits,
            system,
            { id, severity: 'advice', fields: [field] },
            {
              message: `${plainOf(value.toDecimalPlaces(1), 'MPa')} is seldom.`,
              action: 'N for kN, or the other way round?',
            },
          ),
        ]
      : [],
  );
}

/** The rows of its class at its age. */
function rowsOf(
  input: CementPrismsInput,
  setup: RunSetup,
): { least: LimitId | undefined; most: LimitId | undefined } {
  const type = factText(setup, 'cementType') ?? '';
  const hours = Number(input.age);
  // Cubes of another school are not compared with prisms.
  if (standardOf(type)?.school !== 'en') return { least: undefined, most: undefined };
  return { least: strengthRow(type, hours, false), most: hours === 672 ? mostRow(type) : undefined };
}

function askedFor(input: CementPrismsInput, setup: RunSetup, limits: Limits) {
  const { least, most } = rowsOf(input, setup);
  const [low, high] = [least && limits.of(least, 'SI').low, most && limits.of(most, 'SI').high];
  return {
    low: low?.toNumber() ?? null,
    high: high?.toNumber() ?? null,
    asked: low ? `${low}${high ? ` to ${high}` : ' and more'} MPa` : null,
  };
}

function strengthVerdicts(
  input: CementPrismsInput,
  strength: Result | undefined,
  setup: RunSetup,
  limits: Limits,
): Outcome['verdicts'] {
  const { least, most } = rowsOf(input, setup);
  if (!least) return [];
  const [low, high] = [limits.of(least, 'SI').low, most && limits.of(most, 'SI').high];
  const row = AGE_ROWS[input.age ?? ''];
  const off = offAge(input);
  const inTime =
    off !== undefined && row && isWithin(exact(Math.abs(off).toFixed(2)), limits.of(row, input.system));
  return heldWithin({
    what: `Strength at ${Number(input.age) / 24} d`,
    value:
      strength && !strength.provisional && inTime
        ? { number: exact(strength.reported), text: `${strength.text} MPa` }
        : undefined,
    low,
    high,
    range: askedFor(input, setup, limits).asked ?? '',
    source: sourceText(limits.of(least, 'SI').source),
    outside:
      'Look at the own test first, then again on the reserve of the sample. The purchaser’s representative decides.',
  });
}

/** The prisms wait for their age. */
function waits(input: CementPrismsInput, setup: RunSetup): Wait[] {
  const contact = Date.parse(input.contactAt ?? '');
  const id = AGE_ROWS[input.age ?? ''];
  if (Number.isNaN(contact) || !id) return [];
  const best = contact + Number(input.age) * 3_600_000;
  const off = (limitsOf(setup).of(id, 'US').high?.toNumber() ?? 0) * 60_000;
  const iso = (at: number): string => new Date(at).toISOString();
  return [
    {
      ...{ id: 'break', what: 'Break the prisms', lane: 'press' },
      ...{ opens: iso(best - off), best: iso(best), closes: iso(best + off) },
      ...(input.testedAt ? { done: input.testedAt } : {}),
    },
  ];
}

/** Strength of prisms of mortar. Order of work: EN 196-1 (from memory), in our own words. */
export const cementPrisms: Method<CementPrismsInput> = {
  id: 'cement-prisms',
  title: 'Prisms of mortar',
  designations: [EN196],
  runOn: 'sample',
  day: {
    hands: [{ from: 0, minutes: 25, what: 'Mortar and three prisms' }],
    gear: { what: 'mixer', until: 5 },
    takes: 450,
    later: [{ hours: 24, what: 'Prisms out of their moulds' }],
  },
  again: 'freely',
  begin: 'Prisms of one age',
  facts: CEMENT_FACTS,
  yields: [
    { quantity: STRENGTH, symbol: 'Rc', named: true },
    { quantity: BENT, symbol: 'Rf', named: true },
  ],
  Input: CementPrismsInput,
  steps: [
    {
      id: 'make',
      title: 'Make three prisms',
      phase: 'before',
      instruction:
        'Mixed by the beats, two layers of 60 jolts, struck, covered, moist at 20 °C. Out of the mould after a day, into water at 20 °C.',
      fields: ['room', 'cement', 'sand', 'sandLot', 'water', 'contactAt', 'age'],
      caution: `${ALKALINE} Fingers away from the jolting table.`,
    },
    {
      id: 'break',
      title: 'Bend them, crush the halves',
      phase: 'test',
      instruction:
        'Out of the water no more than a quarter of an hour before, wiped. Moulded sides; the halves with 10 mm over the plate.',
      fields: ['machine', 'bent', 'halves', 'testedAt', 'remarks'],
      caution: 'Guard shut, eye protection: small pieces fly. Crushed mortar carries silica dust.',
    },
  ],
  performedAt: 'testedAt',
  sequence: [['contactAt', 'testedAt']],
  plan: (system, setup) =>
    limitRows(['prisms.cement', 'prisms.sand', 'prisms.water', 'prisms.span', 'prisms.off'], system, setup),
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CementPrismsInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
      facts: { cementType: 'en197.42.5R' },
      equipment: [
        { number: 'PRESS-1', kind: 'compression machine', verifiedOn: '2031-02-03', verifiedTo: '400 kN' },
      ],
    },
  }),
};
