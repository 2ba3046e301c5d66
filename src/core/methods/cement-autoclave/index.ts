import { isWithin, type LimitId } from '../../limits';
import { type Exact, largest, plainOf, smallest } from '../../quantity';
import { type Finding, numbered, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { fineMethod } from '../cement/fine';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { wholeRows } from '../rows-field';
import { CementAutoclaveInput } from './input';

const C151 = standard('ASTM C151/C151M');

/** Clocks of the autoclave: what is missed makes the bars tell nothing. */
const CLOCKS = [
  ['age', 'autoclave.age', 'Measured first'],
  ['up', 'autoclave.up', 'Up to its pressure'],
  ['pressure', 'autoclave.pressure', 'Pressure'],
  ['held', 'autoclave.hold', 'Held'],
  ['down', 'autoclave.down', 'Down'],
] as const;

/** Expansion of bars of paste in the autoclave. Rules: ASTM C151 (from memory), in our own words. */
export const cementAutoclave = fineMethod<CementAutoclaveInput>({
  id: 'cement-autoclave',
  day: {
    hands: [{ from: 0, minutes: 20, what: 'Paste, two bars' }],
    after: ['cement-consistency'],
    gear: { what: 'mixer', until: 5 },
    takes: 650,
    later: [{ hours: 24, what: 'Bars measured, into the autoclave' }],
  },
  title: 'Expansion in the autoclave',
  designation: C151,
  quantity: 'expansion in the autoclave',
  symbol: 'E',
  unit: 'percent',
  step: 'autoclave.step',
  Input: CementAutoclaveInput,
  performedAt: 'finishedAt',
  uses: ['comparator', 'autoclave'],
  propertyOf: (value: Exact) => (value.isNegative() ? 'contraction' : 'autoclave'),
  rows: [
    'autoclave.age',
    'autoclave.up',
    'autoclave.pressure',
    'autoclave.hold',
    'autoclave.down',
    'autoclave.gauge',
  ],
  steps: [
    {
      id: 'before',
      title: 'Measure them at a day',
      phase: 'before',
      instruction: 'The reference bar first, then each bar, the same end up. Damp until they go in.',
      fields: ['comparator', 'age'],
      caution: ALKALINE,
    },
    {
      id: 'autoclave',
      title: 'Three hours under steam',
      phase: 'test',
      instruction:
        'Let the air out; up, held, down by the clock. At once into water over 90 °C [194 °F], cooled evenly in a quarter of an hour.',
      fields: ['autoclave', 'up', 'pressure', 'held', 'down'],
      caution:
        'A pressure vessel: inspected, its safety valve free, worked only by who is trained for it and by the local rules. Never opened while it shows pressure. Steam scalds.',
    },
    {
      id: 'after',
      title: 'Measure them again',
      phase: 'after',
      instruction: 'Surface dry, the reference bar first.',
      fields: ['bars', 'finishedAt', 'remarks'],
    },
  ],
  find(input, { of, limits, system, sheet }) {
    const findings: Finding[] = CLOCKS.flatMap(([field, id, word]) => {
      const value = of(field);
      const row = limits.of(id, system);
      return !value || isWithin(value, row)
        ? []
        : [
            limitFinding(
              limits,
              system,
              { id, severity: 'invalid', fields: [field] },
              {
                message: `${word}: ${plainOf(value, row.unit ?? 'one')}.`,
                action: 'Fresh bars: these tell nothing.',
              },
            ),
          ];
    });
    const say = (id: LimitId, message: string, action: string, severity: 'departure' | 'advice') =>
      findings.push(
        limitFinding(
          limits,
          system,
          { id, severity, fields: ['bars'] },
          { message, action, ...(severity === 'departure' ? { remark: message } : {}) },
        ),
      );
    const G = limits.number('autoclave.gauge', system);
    const determined = wholeRows(input.bars).flatMap((row, index) => {
      const [a, b] = (['before', 'after'] as const).map((name) => readMeasure(row, name)?.value);
      if (!a || !b) return [];
      const value = sheet.line({
        symbol: `E${index + 1}`,
        name: `Expansion of bar ${row.mark ?? index + 1}`,
        formula: '100 * (L2 - L1) / G',
        uses: { L1: a, L2: b, G },
        unit: 'percent',
        source: C151,
      });
      return [{ label: `bar ${row.mark ?? index + 1}`, value }];
    });
    const values = determined.map(({ value }) => value);
    if (values.length === 0) return { determined, findings };
    const apart = largest(values).minus(smallest(values));
    if (!isWithin(apart, limits.of('autoclave.agree', system)))
      say(
        'autoclave.agree',
        `The bars lie ${apart.toFixed(3)} % apart.`,
        'Measure both again; a bar that is warped is none.',
        'departure',
      );
    const uses = numbered('E', values);
    const value = sheet.line({
      symbol: 'E',
      name: 'Mean',
      formula: `mean(${Object.keys(uses).join(', ')})`,
      uses,
      unit: 'percent',
      source: C151,
    });
    if (!isWithin(value, limits.of('autoclave.usual', system)))
      say(
        'autoclave.usual',
        `${value.toFixed(2)} % is seldom.`,
        'The comparator in another unit, or its zero moved?',
        'advice',
      );
    return {
      value,
      ...(values.length < 2 ? { provisional: 'a second bar is still to be measured' } : {}),
      determined,
      findings,
    };
  },
});
