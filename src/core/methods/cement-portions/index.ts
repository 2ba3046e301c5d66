import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { CEMENT_FACTS } from '../cement/said';
import type { Method, Outcome } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { limitsOf, type RunSetup } from '../setup';
import { CementPortionsInput, type PortionRow } from './input';

const C183 = standard('ASTM C183');
const LEFT = 'left for tests';
const RESERVE = 'left in reserve';

interface Portion {
  readonly row: PortionRow;
  readonly name: string;
  readonly mass: Exact;
  readonly taken: readonly Exact[];
  readonly left: Exact;
}

const plain = (text: string | undefined): string => (text ?? '').trim().toLowerCase();

function portionsOf(input: CementPortionsInput): Portion[] {
  return (input.portions ?? []).flatMap((row): Portion[] => {
    const mass = readMeasure(row, 'mass')?.value;
    const name = row.name?.trim() ?? '';
    if (!mass || name === '') return [];
    const taken = (input.taken ?? []).flatMap((each) =>
      plain(each.name) === plain(name) ? (readMeasure(each, 'mass')?.value ?? []) : [],
    );
    return [{ row, name, mass, taken, left: taken.reduce((left, each) => left.minus(each), mass) }];
  });
}

/**
 * The portions of a sample of cement: what was filled into each, what was taken out, what is left.
 * @param input masses in g
 * @returns grams that are left for tests, and in reserve
 */
function compute(input: CementPortionsInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const portions = portionsOf(input);
  for (const [place, { name, mass, taken }] of portions.entries())
    sheet.line({
      symbol: `m${place + 1}`,
      name: `Left of ${name}`,
      formula: ['m', ...taken.map((_, index) => `t_${index + 1}`)].join(' - '),
      uses: { m: mass, ...Object.fromEntries(taken.map((each, index) => [`t_${index + 1}`, each])) },
      unit: 'g',
      source: C183,
      show: 5,
    });
  const leftFor = (use: PortionRow['use']): Exact | undefined => {
    const own = portions.filter(({ row }) => row.use === use);
    return own.length === 0 ? undefined : own.reduce((sum, { left }) => sum.plus(left), exact(0));
  };
  const results = (
    [
      [LEFT, 'mt', 'tests'],
      [RESERVE, 'mr', 'reserve'],
    ] as const
  ).flatMap(([quantity, symbol, use]) => {
    const value = leftFor(use);
    return value ? [resultOf({ quantity, symbol, value, unit: 'g', step: '1', mode: sheet.mode })] : [];
  });
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...portionFindings(portions, limits, system),
      ...(input.taken ?? []).flatMap((each) =>
        each.name && !portions.some(({ name }) => plain(name) === plain(each.name))
          ? [
              finding({
                id: `portions.unknown.${each.id}`,
                severity: 'departure',
                fields: ['taken'],
                message: `There is no portion ${each.name}.`,
                action: 'Name it as its label does, or write it above first.',
                remark: `Taken out of a portion ${each.name} that is not on record.`,
              }),
            ]
          : [],
      ),
      ...enough(leftFor('tests'), limits, system),
    ]),
    verdicts: [],
    picture: {
      kind: 'cement-portions',
      values: {
        portions: packedRows(
          portions.map(({ name, row, mass, left }) => [
            name,
            row.use ?? '',
            mass.toFixed(0),
            left.toFixed(0),
            row.place ?? '',
          ]),
        ),
      },
    },
  };
}

function enough(left: Exact | undefined, limits: Limits, system: CementPortionsInput['system']): Finding[] {
  const paste = limits.number('cement-mass.paste', system);
  if (!left || left.greaterThanOrEqualTo(paste)) return [];
  return [
    finding({
      id: 'portions.low',
      severity: 'advice',
      fields: ['portions', 'taken'],
      message: `${plainOf(left, 'g')} are left for tests: less than one paste takes.`,
      action:
        'What is still to be tested needs another sample of the lot, or a part of the reserve with the client’s word.',
    }),
  ];
}

function portionFindings(
  portions: readonly Portion[],
  limits: Limits,
  system: CementPortionsInput['system'],
): Finding[] {
  return portions.flatMap(({ name, row, mass, taken, left }): Finding[] => {
    const about = (key: string) => ({ id: `portions.${key}.${row.id}`, fields: ['portions', 'taken'] });
    const found: Finding[] = [];
    if (left.isNegative())
      found.push(
        finding({
          ...about('more'),
          severity: 'departure',
          message: `More was taken out of ${name} than was in it.`,
          action: 'Read the masses again: which portion was it?',
          remark: `Masses of portion ${name} do not add up.`,
        }),
      );
    if (row.use === 'reserve' && taken.length > 0)
      found.push(
        finding({
          ...about('reserve'),
          severity: 'departure',
          message: `The reserve ${name} was opened.`,
          action: 'Say what for: it is kept sealed for what is disputed.',
          remark: `Reserve ${name} opened: ${plainOf(mass.minus(left), 'g')} taken out.`,
        }),
      );
    if (row.use === 'reserve' && !isWithin(mass, limits.of('cement-sample.reserve', system)))
      found.push({
        ...limitFinding(
          limits,
          system,
          { id: 'cement-sample.reserve', severity: 'advice', fields: ['portions'] },
          {
            message: `The reserve ${name} has ${plainOf(mass, 'g')}.`,
            action: 'Put more aside while there is some.',
          },
        ),
        id: about('little').id,
      });
    return found;
  });
}

/** The portions of a sample of cement, for as long as there are any. */
export const cementPortions: Method<CementPortionsInput> = {
  id: 'cement-portions',
  title: 'Portions of the sample',
  designations: [C183],
  runOn: 'sample',
  again: 'freely',
  begin: 'Portions of the sample',
  facts: CEMENT_FACTS,
  yields: [
    { quantity: LEFT, symbol: 'mt', named: true },
    { quantity: RESERVE, symbol: 'mr', named: true },
  ],
  Input: CementPortionsInput,
  steps: [
    {
      id: 'portions',
      title: 'Fill and label',
      phase: 'before',
      instruction:
        'Mixed and sieved first. Jars filled to the top, lids tight, label on the jar and not on the lid.',
      fields: ['portions'],
      caution: ALKALINE,
    },
    {
      id: 'taken',
      title: 'What is taken out',
      phase: 'test',
      instruction: 'Mix before each taking, weigh it, close the jar at once. Nothing goes back into it.',
      fields: ['taken'],
    },
    {
      id: 'gone',
      title: 'When it is gone',
      phase: 'after',
      instruction: 'The reserve is kept until the last result is accepted, and some weeks more.',
      fields: ['finishedAt', 'remarks'],
    },
  ],
  performedAt: 'finishedAt',
  plan: (system, setup) =>
    limitRows(['cement-sample.reserve', 'cement-mass.paste', 'cement-mass.cubes'], system, setup),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CementPortionsInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
      facts: { cementType: 'c150.I' },
    },
  }),
};
