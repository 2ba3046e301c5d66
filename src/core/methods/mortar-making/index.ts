import { isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, meanOf, roundedText, type System } from '../../quantity';
import { durationText } from '../../windows';
import { bySeverity, type Finding, finding, Sheet, sourceText, standard } from '../../working';
import type { Method, Outcome, PlanItem, Result } from '../contract';
import { exampleInput } from '../example';
import { asked, factFlag, factText } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { heldWithin } from '../within';
import { MortarMakingInput } from './input';

const C270 = standard('ASTM C270');
/** Loose bulk densities that a batch is reckoned with, lb/ft³, and the number that makes grams of them. Source: ASTM C270 (from memory). */
const BULK = { cement: '94', lime: '40', sand: '80', batch: '1440' } as const;

/** The row that the air of a mortar is held against. */
export function airRow(setup: Pick<RunSetup, 'facts'>): LimitId | undefined {
  const type = factText(setup, 'mortarType');
  if (!type) return undefined;
  const masonry = factText(setup, 'mortarCement') === 'masonry';
  const strong = type === 'M' || type === 'S';
  if (strong) return masonry ? 'mortar.air-masonry-ms' : 'mortar.air-ms';
  if (factFlag(setup, 'jointSteel')) return masonry ? 'mortar.air-masonry-steel' : 'mortar.air-steel';
  return masonry ? 'mortar.air-masonry-no' : 'mortar.air-no';
}

/** A number of parts that is asked for. */
function parts(setup: RunSetup, name: string): Exact | undefined {
  const text = factText(setup, name);
  return text && /^[\d.]+$/u.test(text) ? exact(text) : undefined;
}

/** Masses of a laboratory batch, g. Source: ASTM C270 (from memory): parts × bulk density × 1440 / (80 × parts of sand). */
export function batchOf(setup: RunSetup): { cement: Exact; lime: Exact; sand: Exact } | undefined {
  const [cement, lime = exact(0), sand] = ['partsCement', 'partsLime', 'partsSand'].map((name) =>
    parts(setup, name),
  );
  if (!cement || !sand || sand.isZero()) return undefined;
  const factor = exact(BULK.batch).div(sand.times(BULK.sand));
  return {
    cement: cement.times(BULK.cement).times(factor),
    lime: lime.times(BULK.lime).times(factor),
    sand: exact(BULK.batch),
  };
}

/** What is weighed out for a laboratory batch, and what is kept on site. */
function plan(system: System, setup: RunSetup): PlanItem[] {
  const batch = batchOf(setup);
  const rows: readonly LimitId[] =
    factText(setup, 'purpose') === 'field'
      ? ['mortar.use', 'mortar.first']
      : ['mortar.flow', 'mortar.mould', 'mortar.retention'];
  return [
    ...(batch
      ? [
          {
            label: 'Laboratory batch',
            text: `cement ${batch.cement.toFixed(0)} g, lime ${batch.lime.toFixed(0)} g, sand ${batch.sand.toFixed(0)} g`,
            note: 'sand dry; mortar and masonry cement by the weight on their bag instead',
          },
        ]
      : []),
    ...limitRows(rows, system, setup),
  ];
}

/** The mean spread of one flow, in percent of the base; undefined while it was not read. */
function flowOf(
  input: MortarMakingInput,
  when: 'first' | 'after',
  symbol: string,
  sheet: Sheet,
  limits: Limits,
): Exact | undefined {
  const row = wholeRows(input.flow).findLast((each) => each.when === when);
  const all = row ? ['d1', 'd2', 'd3', 'd4'].flatMap((name) => readMeasure(row, name)?.value ?? []) : [];
  if (all.length < 4) return undefined;
  const { system } = input;
  return sheet.line({
    symbol,
    name: when === 'first' ? 'Flow as mixed' : 'Flow after suction',
    formula: '100 * (D - B) / B',
    uses: { D: meanOf(all), B: limits.number('mortar.base', system) },
    unit: 'percent',
    source: standard('ASTM C1437'),
    round: {
      step: limits.number('mortar.percent-step', system),
      rule: `to ${limits.of('mortar.percent-step', system).text}`,
    },
  });
}

/** Air by the mass of a cup. Source: ASTM C270, C91 (from memory): A = 100 - Wm / (4 D), D the density without air. */
function airOf(input: MortarMakingInput, sheet: Sheet, limits: Limits): Exact | undefined {
  const rows = wholeRows(input.parts).flatMap((row) => {
    const [mass, density] = [readMeasure(row, 'mass')?.value, readMeasure(row, 'density')?.value];
    return mass && density ? [{ mass, density }] : [];
  });
  const [water, inCup] = [readMeasure(input, 'water')?.value, readMeasure(input, 'inCup')?.value];
  if (rows.length === 0 || !water || !inCup) return undefined;
  const terms = rows.map((_, place) => place + 1);
  const D = sheet.line({
    symbol: 'D',
    name: 'Density without air, g/cm³',
    formula: `(${terms.map((n) => `W${n}`).join(' + ')} + Vw) / (${terms.map((n) => `W${n} / P${n}`).join(' + ')} + Vw)`,
    uses: {
      ...Object.fromEntries(
        rows.flatMap(({ mass, density }, place) => [
          [`W${place + 1}`, mass],
          [`P${place + 1}`, density],
        ]),
      ),
      Vw: water,
    },
    unit: 'one',
    source: C270,
  });
  return sheet.line({
    symbol: 'A',
    name: 'Air',
    formula: '100 - 100 * Wm / (V * D)',
    uses: { Wm: inCup, V: limits.number('mortar.cup', 'US'), D },
    unit: 'percent',
    source: C270,
    round: {
      step: limits.number('mortar.percent-step', 'US'),
      rule: `to ${limits.of('mortar.percent-step', 'US').text}`,
    },
  });
}

/**
 * Fresh mortar: flow, water retention and air of a laboratory mix held against its properties; of mortar of the wall what
 * it is like, and no verdict.
 * @param input diameters in in or mm, masses in g
 * Source: ASTM C270, C780, C1437, C1506 (from memory).
 */
function compute(input: MortarMakingInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const field = factText(setup, 'purpose') === 'field';
  const step = limits.number('mortar.percent-step', system);
  const [first, after] = [
    flowOf(input, 'first', 'F1', sheet, limits),
    flowOf(input, 'after', 'F2', sheet, limits),
  ];
  const retention =
    first && after && first.greaterThan(0)
      ? sheet.line({
          symbol: 'R',
          name: 'Water retention',
          formula: '100 * F2 / F1',
          uses: { F2: after, F1: first },
          unit: 'percent',
          source: standard('ASTM C1506'),
          round: { step, rule: `to ${limits.of('mortar.percent-step', system).text}` },
        })
      : undefined;
  const air = airOf(input, sheet, limits);
  const results: Result[] = (
    [
      ['flow', 'F1', first],
      ['water retention', 'R', retention],
      ['air', 'A', air],
    ] as const
  ).flatMap(([quantity, symbol, value]) =>
    value ? [resultOf({ quantity, symbol, value, unit: 'percent', step, mode })] : [],
  );
  const held = !field && factText(setup, 'mortarBy') === 'property';
  const against = (what: string, value: Exact | undefined, id: LimitId | undefined) => {
    const row = id && limits.of(id, system);
    if (!row || !value) return [];
    const text = `${roundedText(value, step, mode)} %`;
    return heldWithin({
      what,
      value: { number: exact(roundedText(value, step, mode)), text },
      ...(row.low ? { low: row.low } : {}),
      ...(row.high ? { high: row.high } : {}),
      range: row.text,
      source: sourceText(row.source),
      outside: 'This mix does not have the properties: another mix is tried before the work.',
    });
  };
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...mixFindings(input, setup, limits, { field, first, after, air }),
      ...storeFindings(input, field, limits),
    ]),
    verdicts: held
      ? [...against('Water retention', retention, 'mortar.retention'), ...against('Air', air, airRow(setup))]
      : [],
    picture: {
      kind: 'mortar',
      values: {
        field,
        flow: first?.toNumber() ?? null,
        low: limits.of('mortar.flow', system).low?.toNumber() ?? null,
        high: limits.of('mortar.flow', system).high?.toNumber() ?? null,
        cone: readMeasure(input, 'cone')?.value.toNumber() ?? null,
      },
    },
  };
}

interface Fresh {
  readonly field: boolean;
  readonly first: Exact | undefined;
  readonly after: Exact | undefined;
  readonly air: Exact | undefined;
}

function mixFindings(
  input: MortarMakingInput,
  setup: RunSetup,
  limits: Limits,
  { field, first, after, air }: Fresh,
): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const [cement, lime = exact(0), sand] = ['partsCement', 'partsLime', 'partsSand'].map((name) =>
    parts(setup, name),
  );
  const ratio = cement && sand && !cement.plus(lime).isZero() ? sand.div(cement.plus(lime)) : undefined;
  if (ratio && !isWithin(ratio, limits.of('mortar.sand', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'mortar.sand', severity: 'departure', needsReason: true, fields: ['waterAt'] },
        {
          message: `Sand is ${ratio.toFixed(2)} times the volumes of cement and lime.`,
          action: 'Such a mortar is none of the specification: tell who specified its parts.',
          remark: `Sand ${ratio.toFixed(2)} times cement and lime.`,
        },
      ),
    );
  if (!field && first && !isWithin(first, limits.of('mortar.flow', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'mortar.flow', severity: 'invalid', fields: ['flow'] },
        {
          message: `The flow is ${first.toFixed(1)} %.`,
          action: 'Mix a fresh batch with other water: none is added to mortar that was tested.',
        },
      ),
    );
  if (first && after?.greaterThan(first))
    found.push(
      finding({
        id: 'mortar.flow-order',
        severity: 'invalid',
        fields: ['flow'],
        message: 'It flows farther after suction than before.',
        action: 'Are the two rows swapped?',
      }),
    );
  if (air && !isWithin(air, limits.of('mortar.air-usual', system)))
    found.push(
      limitFinding(
        limits,
        system,
        {
          id: 'mortar.air-usual',
          severity: air.isNegative() ? 'invalid' : 'advice',
          fields: ['inCup', 'parts', 'water'],
        },
        {
          message: `Its air comes to ${air.toFixed(1)} %.`,
          action: 'Read the cup, the masses and their densities again.',
        },
      ),
    );
  if (field)
    found.push(
      finding({
        id: 'mortar.field',
        severity: 'advice',
        fields: ['takenAt'],
        message: 'Mortar of the wall tells whether it stays the same, and is held against no property.',
        action: 'Compare it with the mortar before the work, and with the days before.',
      }),
    );
  return found;
}

/** How old it was when it was taken, and how its cubes were kept at first. */
function storeFindings(input: MortarMakingInput, field: boolean, limits: Limits): Finding[] {
  const { system } = input;
  const between = (from: string | undefined, to: string | undefined): Exact | undefined => {
    const hours = (Date.parse(to ?? '') - Date.parse(from ?? '')) / 3_600_000;
    return Number.isNaN(hours) || hours < 0 ? undefined : exact(hours);
  };
  const found: Finding[] = [];
  const old = field ? between(input.waterAt, input.takenAt) : undefined;
  if (old && !isWithin(old, limits.of('mortar.use', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'mortar.use', severity: 'invalid', fields: ['takenAt'] },
        {
          message: `It was ${durationText(old.times(60).toNumber())} old when it was taken.`,
          action: 'Such mortar is not used any more: take a sample of a fresh one.',
        },
      ),
    );
  const stood = between(input.filledAt, input.demouldedAt);
  const id = field ? 'mortar.first' : 'mortar.mould';
  if (stood && !isWithin(stood, limits.of(id, system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id, severity: 'departure', needsReason: false, fields: ['demouldedAt'] },
        {
          message: `They were in their moulds for ${durationText(stood.times(60).toNumber())}.`,
          action: 'Say it: green mortar breaks at its edges, and it dries in moulds that are not covered.',
          remark: `In the moulds for ${durationText(stood.times(60).toNumber())}.`,
        },
      ),
    );
  return found;
}

/** Masonry mortar as it is mixed, tested fresh, and made into cubes. */
export const mortarMaking: Method<MortarMakingInput> = {
  id: 'mortar-making',
  title: 'Mortar mixed, cubes made',
  designations: [C270, standard('ASTM C780'), standard('ASTM C109/C109M')],
  runOn: 'sample',
  facts: {
    purpose: { of: 'sample', take: 'purpose', is: 'text' },
    mortarType: asked('mortarType', 'text'),
    mortarBy: asked('mortarBy', 'text'),
    mortarCement: asked('mortarCement', 'text'),
    jointSteel: asked('jointSteel', 'flag'),
    partsCement: asked('partsCement', 'text'),
    partsLime: asked('partsLime', 'text'),
    partsSand: asked('partsSand', 'text'),
  },
  yields: [
    { quantity: 'flow', symbol: 'F1' },
    { quantity: 'water retention', symbol: 'R' },
    { quantity: 'air', symbol: 'A' },
  ],
  Input: MortarMakingInput,
  steps: [
    {
      id: 'mix',
      title: 'Mix, or take it',
      phase: 'before',
      instruction:
        'In the laboratory by weight, as the plan says. On site from the board or the mixer, before it is two and a half hours old.',
      fields: ['waterAt', 'takenAt', 'cone'],
      caution: 'Lime and cement burn skin and eyes: gloves, goggles; hands off the mixer while it turns.',
    },
    {
      id: 'fresh',
      title: 'Flow, retention, air',
      phase: 'test',
      instruction:
        'Of a laboratory mix: 25 drops, four diameters; once more after suction; the cup struck off level and weighed.',
      fields: ['flow', 'parts', 'water', 'inCup'],
    },
    {
      id: 'cubes',
      title: 'Cubes',
      phase: 'test',
      instruction:
        'Two layers, each 32 strokes in four rounds, within ten seconds. Struck off, covered, moist.',
      fields: ['filledAt'],
    },
    {
      id: 'demould',
      title: 'Out of the moulds',
      phase: 'after',
      instruction:
        'Laboratory: two days in the moist room in their moulds. On site: about a day, covered and not touched.',
      fields: ['demouldedAt', 'remarks'],
    },
  ],
  performedAt: 'filledAt',
  sequence: [['waterAt', 'takenAt', 'filledAt', 'demouldedAt']],
  plan,
  compute,
  waits: (input, setup) => {
    const filled = Date.parse(input.filledAt ?? '');
    if (Number.isNaN(filled)) return [];
    const field = factText(setup, 'purpose') === 'field';
    const { low, high } = limitsOf(setup).of(field ? 'mortar.first' : 'mortar.mould', 'US');
    const after = (hours: Exact | undefined): string =>
      new Date(filled + (hours?.toNumber() ?? 0) * 3_600_000).toISOString();
    return [
      {
        id: 'demould',
        what: 'Take the mortar cubes out of their moulds',
        lane: field ? 'field' : 'tank',
        opens: after(low),
        closes: after(high),
        ...(input.demouldedAt ? { done: input.demouldedAt } : {}),
      },
    ];
  },
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(MortarMakingInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE' },
      facts: {
        purpose: 'laboratory',
        mortarType: 'S',
        mortarBy: 'property',
        mortarCement: 'lime',
        partsCement: '1',
        partsLime: '0.5',
        partsSand: '4.25',
      },
    },
  }),
};
