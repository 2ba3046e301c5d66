import 'reflect-metadata';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { exact, parseMeasure, type System } from '../quantity';
import { type CellSpec, columnsOfRows, fieldsOf, type Method, type Outcome, usableInput } from './index';
import { METHODS } from './registry';

const SYSTEMS = ['US', 'SI'] as const satisfies readonly System[];

/** Readings that people really bring: the wrong unit, ten times, a slip of the comma, nothing, far away, words. */
const TYPED: readonly string[] = [
  '',
  ' ',
  '-5',
  '0',
  '-0',
  '1e9',
  '1e-400',
  '1E400',
  'NaN',
  'Infinity',
  '1/0',
  '0/0',
  '6,1870',
  '61,870.5.1',
  '1.2.3',
  '5 furlong',
  '5 N',
  '12 psi',
  '20 °C',
  '7 %',
  'about five',
  '٣',
  '½',
  '1 1/2/3',
  '12\' 400"',
  '9'.repeat(400),
  `${' '.repeat(4000)}1`,
  `1${' '.repeat(4000)}2`,
  '0'.repeat(59),
  '\u00004',
  '4\n5',
  '<b>4</b>',
];
const INSTANTS: readonly string[] = [
  '9999-12-31T00:00:00Z',
  '1026-05-14T10:00:00Z',
  '2020-W01-1T10:00:00Z',
  '20310514T101112Z',
  '2031-02-30T10:00:00Z',
  '2031-05-14',
  '2031-05-14T10:00:00',
  '2031-05-14T10:00:00+99:00',
  'yesterday',
  '0',
  '1990-01-01T00:00:00Z',
  '2199-12-31T23:59:59Z',
];
const ROWS: readonly string[] = [
  ',,,,',
  ';;;\n;;;',
  '1',
  '-5 71\n-4 72',
  '0:00 NaN\n0:10 Infinity',
  '0:00 1e400',
  '1 2 3 4 5 6 7 8 9\n'.repeat(200),
  'A, -1, -1\nB, 0, 0',
  'a,b,c\n1,2,3',
  '2031-05-14T10:00:00Z 9999\n2031-05-14T09:00:00Z -9999',
  '5/6/2031 10:00, 70\n5/7/2031 10:00, 71',
  '"unclosed, 4',
  '\uFEFFtime,temperature\n0,70',
  'x'.repeat(5000),
  '1/0 1/0\n0/0',
  '100 50 50\n100 50 50\n100 50 50',
];

/** One thing that can be typed: a field, or a column in the first row of a table; and the input that has it typed. */
interface Place {
  readonly name: string;
  readonly path: string;
  readonly spec: CellSpec;
  readonly example: (input: Readonly<Record<string, unknown>>) => string;
  readonly put: (input: Readonly<Record<string, unknown>>, text: string) => Record<string, unknown>;
}

function placesOf(method: Method): Place[] {
  return fieldsOf(method.Input).flatMap((field): Place[] => {
    if (field.kind !== 'rows')
      return [
        {
          name: field.name,
          path: field.name,
          spec: field,
          example: (input) => String(input[field.name] ?? ''),
          put: (_, text) => ({ [field.name]: text }),
        },
      ];
    const rowsIn = (input: Readonly<Record<string, unknown>>) =>
      (input[field.name] ?? [{}]) as Record<string, unknown>[];
    return columnsOfRows(field).map((spec) => ({
      name: field.name,
      path: `${field.name}/r1/${spec.name}`,
      spec,
      example: (input) => String(rowsIn(input)[0]?.[spec.name] ?? ''),
      put: (input, text) => {
        const [first, ...rest] = rowsIn(input);
        return { [field.name]: [{ ...first, [spec.name]: text }, ...rest] };
      },
    }));
  });
}

function hostileFor(field: CellSpec): readonly string[] {
  if (field.kind === 'measure') return TYPED;
  if (field.kind === 'instant') return INSTANTS;
  if (field.kind === 'log' || field.kind === 'text') return [...ROWS, ...TYPED];
  return ['constructor', '__proto__', 'nothing', '', 'true'];
}

/** Every number that an outcome holds, wherever it stands. */
function unfit(outcome: Outcome, typed: readonly string[]): string[] {
  // Findings and pictures repeat what could not be read; a number that came of computing is another thing.
  const echoes = typed.some((text) => /NaN|Infinity/u.test(text));
  const found: string[] = [];
  const visit = (value: unknown, path: string): void => {
    if (typeof value === 'number' && !Number.isFinite(value)) found.push(`${path}: ${value}`);
    else if (
      !echoes &&
      typeof value === 'string' &&
      /(?:^|[\s(;[:,])-?(?:NaN|Infinity)(?:$|[\s);\],%])/u.test(value)
    )
      found.push(`${path}: ${value.slice(0, 80)}`);
    else if (typeof value === 'object' && value !== null)
      for (const [name, inner] of Object.entries(value)) visit(inner, `${path}.${name}`);
  };
  visit(outcome.results, 'results');
  visit(outcome.lines, 'lines');
  visit(outcome.verdicts, 'verdicts');
  visit(outcome.findings, 'findings');
  visit(outcome.picture, 'picture');
  return found;
}

type Over = (input: Readonly<Record<string, unknown>>) => Record<string, unknown>;

function typedInto(method: Method, system: System, over: Record<string, unknown> | Over) {
  const { input, setup } = method.example(system);
  const { errors, input: usable } = usableInput(method, {
    ...input,
    ...(typeof over === 'function' ? over(input) : over),
  });
  return { errors, compute: () => method.compute(usable, setup) };
}

function computedWith(...about: Parameters<typeof typedInto>) {
  const { errors, compute } = typedInto(...about);
  return { errors, outcome: compute() };
}

/** Words about a field: refused at it, or a finding that names it. */
function saidOf({ name, path }: Place, { errors, outcome }: ReturnType<typeof computedWith>): boolean {
  return path in errors || outcome.findings.some(({ fields }) => fields.includes(name));
}

const cases = METHODS.flatMap((method) =>
  placesOf(method).flatMap((place) => hostileFor(place.spec).map((text) => ({ method, place, text }))),
);

describe('hostile but honest readings', () => {
  it.each(METHODS.map((method) => [method.id, method] as const))(
    '%s: none throws, none gives a number that is none',
    (id, method) => {
      let tried = 0;
      const refused = new Set<string>();
      for (const { place, text } of cases.filter((each) => each.method.id === id)) {
        // What is no reading in one system is none in the other: they take turns.
        const system = SYSTEMS[tried % SYSTEMS.length] ?? 'US';
        const { errors, compute } = typedInto(method, system, (input) => place.put(input, text));
        tried += 1;
        // What is refused at its field is left aside: one such computes as any other of that field.
        const aside = `${system} ${place.path}`;
        if (place.path in errors && refused.has(aside)) continue;
        if (place.path in errors) refused.add(aside);
        expect(unfit(compute(), [text]), `${place.path} = ${JSON.stringify(text.slice(0, 60))}`).toEqual([]);
      }
      expect(tried).toBeGreaterThan(20);
    },
    120_000,
  );

  it('are refused at their field when they lie outside what can be', () => {
    for (const method of METHODS)
      for (const { spec, path, put } of placesOf(method)) {
        if (spec.kind !== 'measure') continue;
        for (const system of SYSTEMS) {
          const [low, high] = spec.possible[system];
          for (const beyond of [exact(low).minus(1), exact(high).times(10).plus(1)]) {
            const { input } = method.example(system);
            const { errors } = usableInput(method, { ...input, ...put(input, beyond.toFixed()) });
            expect(errors[path], `${method.id}.${path} ${beyond}`).toBeDefined();
          }
        }
      }
  });

  it('of a count are whole', () => {
    for (const method of METHODS)
      for (const { spec, path, put } of placesOf(method))
        if (spec.kind === 'measure' && spec.whole)
          expect(computedWith(method, 'US', (input) => put(input, '2.5')).errors[path]).toMatch(
            /whole number/,
          );
    for (const [id, name] of [
      ['slump', 'strokes'],
      ['moulding', 'insertions'],
      ['air-pressure', 'taps'],
    ] as const) {
      const method = METHODS.find((each) => each.id === id) as Method;
      for (const text of ['-25 25 25', 'twenty five each', '25.5 25', '25x3', '25 25 25 '.repeat(60)])
        expect(computedWith(method, 'US', { [name]: text }).errors[name], `${id} ${text}`).toMatch(
          /whole numbers/,
        );
      expect(computedWith(method, 'US', { [name]: '25, 25;25' }).errors[name]).toBeUndefined();
    }
  });

  it('in an impossible order of time are told at both', () => {
    for (const method of METHODS) {
      const instants = fieldsOf(method.Input).filter((field) => field.kind === 'instant');
      for (const field of instants) {
        const { input } = method.example('US');
        if (typeof input[field.name] !== 'string') continue;
        // A week before everything else of the test, or a week after it: one of the two must be said.
        const at = Date.parse(String(input[field.name]));
        const others = instants.filter(({ name }) => name !== field.name && typeof input[name] === 'string');
        if (others.length === 0) continue;
        const moved = [-7, 7].map((days) =>
          computedWith(method, 'US', { [field.name]: new Date(at + days * 86_400_000).toISOString() }),
        );
        expect(
          moved.some((each) => each.outcome.findings.length > 0),
          `${method.id}.${field.name}`,
        ).toBe(true);
      }
    }
  });

  it('changed about by chance never throw and never give a number that is none', () => {
    const any = fc.constantFrom(...TYPED, ...INSTANTS, ...ROWS);
    fc.assert(
      fc.property(
        fc.constantFrom(...METHODS),
        fc.constantFrom(...SYSTEMS),
        fc.array(fc.tuple(fc.nat(200), any), { minLength: 1, maxLength: 6 }),
        (method, system, changes) => {
          const fields = fieldsOf(method.Input);
          const over = Object.fromEntries(
            changes.map(([index, text]) => [fields[index % fields.length]?.name ?? '', text]),
          );
          expect(unfit(computedWith(method, system, over).outcome, Object.values(over))).toEqual([]);
        },
      ),
      { numRuns: 120 },
    );
  }, 120_000);
});

describe('a long text', () => {
  it.each([
    ['blanks', (n: number) => `${' '.repeat(n)}1`],
    ['blanks after a digit', (n: number) => `1${' '.repeat(n)}x`],
    ['digits', (n: number) => '9'.repeat(n)],
    ['slashes', (n: number) => `1${'/'.repeat(n)}`],
    ['commas', (n: number) => `1${','.repeat(n)}`],
    ['dashes', (n: number) => `1${'-'.repeat(n)}1`],
  ])('of %s is answered without being worked through', (_, make) => {
    const read = parseMeasure(make(200_000), 'length', 'in');
    expect(read.ok).toBe(false);
    // The message never carries it all back.
    if (!read.ok) expect(read.message.length).toBeLessThan(200);
  });
});

/** Ten times as much is as possible as before: it needs no word. */
const AS_GOOD: ReadonlySet<string> = new Set([
  'sampling.portions', // more portions than asked for
  'concrete-temperature.cover', // a deeper place
  'evaporation.averaged', // a longer mean
  'grout-prism.secondHalf', // a rate that is typed stands before the time
]);

it('ten times a reading of the example is refused or told', () => {
  const silent: string[] = [];
  for (const method of METHODS)
    for (const place of placesOf(method)) {
      const { spec } = place;
      if (spec.kind !== 'measure' || AS_GOOD.has(`${method.id}.${place.path}`)) continue;
      const parsed = parseMeasure(place.example(method.example('US').input), spec.dimension, spec.unit.US);
      if (!parsed.ok || parsed.measure.value.isZero()) continue;
      const ten = parsed.measure.value.times(10).toFixed();
      const answer = computedWith(method, 'US', (input) => place.put(input, ten));
      if (!saidOf(place, answer)) silent.push(`${method.id}.${place.path}`);
    }
  expect(silent).toEqual([]);
});
