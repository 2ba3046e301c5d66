import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { type Finding, finding, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { type Determined, type FineAbout, fineMethod } from '../cement/fine';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { wholeRows } from '../rows-field';
import { CementSurfaceInput } from './input';

const C204 = standard('ASTM C204');

/** Viscosity of air by temperature, µPa·s. Source: ASTM C204 (from memory). */
const VISCOSITY: readonly (readonly [celsius: number, value: string])[] = [
  [18, '17.98'],
  [20, '18.08'],
  [22, '18.18'],
  [24, '18.28'],
  [26, '18.37'],
  [28, '18.47'],
  [30, '18.57'],
  [32, '18.67'],
  [34, '18.76'],
];

/** The viscosity of air at a temperature between the rows of its table, µPa·s; its ends beyond them. */
export function viscosityAt(celsius: Exact): Exact {
  const above = VISCOSITY.findIndex(([at]) => celsius.lessThanOrEqualTo(at));
  const [first, last] = [VISCOSITY[0], VISCOSITY.at(-1)];
  if (above === 0 && first) return exact(first[1]);
  const [low, high] = [VISCOSITY[above - 1], VISCOSITY[above]];
  if (!low || !high) return exact(last?.[1] ?? '18.18');
  const share = celsius.minus(low[0]).div(high[0] - low[0]);
  return exact(low[1]).plus(exact(high[1]).minus(low[1]).times(share));
}

interface Told {
  readonly value: Exact;
  readonly porosity: Exact;
}

/** The surface by one bed, with its line. */
function surfaceOf(
  place: number,
  bed: { readonly mass: Exact; readonly time: Exact; readonly temperature: Exact },
  { of, sheet, limits, system }: FineAbout,
): Told | undefined {
  const [Ss, Ts, ts, ds, es, V, d, e] = [
    ...['standardSurface', 'standardTime', 'standardTemperature', 'standardDensity', 'standardPorosity'],
    ...['volume', 'density', 'porosity'],
  ].map(of);
  if (!Ss || !Ts || !ts || !ds || !es || !V || !d || !e || !bed.time.greaterThan(0) || !Ts.greaterThan(0))
    return undefined;
  const warm = bed.temperature.minus(ts).abs();
  const apart = !isWithin(warm, limits.of('surface.warm', system));
  const [ns, n] = apart ? [viscosityAt(ts), viscosityAt(bed.temperature)] : [exact(1), exact(1)];
  const value = sheet.line({
    symbol: `S${place}`,
    name: `Surface by bed ${place}`,
    formula: 'Ss * sqrt(T / Ts) * sqrt(ns / n) * (b - es) / (b - e) * sqrt(e^3 / es^3) * ds / d',
    uses: { Ss, T: bed.time, Ts, ns, n, b: limits.number('surface.constant', system), es, e, ds, d },
    unit: 'm2/kg',
    source: C204,
  });
  return { value, porosity: exact(1).minus(bed.mass.div(d.times(V))) };
}

function bedFindings(place: number, porosity: Exact, about: FineAbout): Finding[] {
  const { of, limits, system } = about;
  const [e, V, d] = ['porosity', 'volume', 'density'].map(of);
  if (!e || !V || !d || isWithin(porosity.minus(e).abs(), limits.of('surface.porosity', system))) return [];
  return [
    {
      ...limitFinding(
        limits,
        system,
        { id: 'surface.porosity', severity: 'departure', fields: ['beds'] },
        {
          message: `Bed ${place} has a porosity of ${porosity.toFixed(3)}.`,
          action: `Weigh ${plainOf(d.times(V).times(exact(1).minus(e)).toDecimalPlaces(3), 'g')} for a new bed.`,
          remark: `Bed ${place} of porosity ${porosity.toFixed(3)}.`,
        },
      ),
      id: `surface.porosity-${place}`,
    },
  ];
}

/** The two that agree best, where there are three and more; how far they lie apart, percent of the one. */
function best(
  values: readonly Exact[],
): { readonly pair: readonly [number, number]; readonly apart: Exact } | undefined {
  const pairs = values.flatMap((one, i) =>
    values.slice(i + 1).map((two, k) => ({
      pair: [i, i + 1 + k] as const,
      apart: two.minus(one).abs().div(one).times(100),
    })),
  );
  return pairs.toSorted((a, b) => a.apart.comparedTo(b.apart))[0];
}

function likely(value: Exact, limits: Limits, about: FineAbout): Finding[] {
  if (isWithin(value, limits.of('surface.usual', about.system))) return [];
  return [
    limitFinding(
      limits,
      about.system,
      { id: 'surface.usual', severity: 'advice', fields: ['beds', 'standardSurface'] },
      {
        message: `${value.toFixed(0)} m²/kg is seldom.`,
        action: 'Surface typed in cm²/g, a leak, or another time mark?',
      },
    ),
  ];
}

/** Surface of a cement by the air that goes through a bed of it. Rules: ASTM C204 (from memory), in our own words. */
export const cementSurface = fineMethod<CementSurfaceInput>({
  id: 'cement-surface',
  day: { hands: [{ from: 0, minutes: 15, what: 'Two beds, their times' }], takes: 6 },
  title: 'Surface by air',
  designation: C204,
  quantity: 'surface',
  symbol: 'S',
  unit: 'm2/kg',
  step: 'surface.step',
  Input: CementSurfaceInput,
  performedAt: 'finishedAt',
  uses: ['cell', 'balance'],
  property: 'fineness',
  rows: ['surface.agree', 'surface.porosity', 'surface.warm'],
  steps: [
    {
      id: 'cell',
      title: 'The cell and its standard',
      phase: 'before',
      instruction: 'As the cell was calibrated: again after another liquid, paper or disc, and once a year.',
      fields: [
        ...['cell', 'balance', 'standardSurface', 'standardTime', 'standardTemperature', 'standardDensity'],
        ...['standardPorosity', 'volume', 'density', 'porosity'],
      ],
      caution: `${ALKALINE} The liquid of the tube harms: gloves. Mercury only where it is allowed, and never without need.`,
    },
    {
      id: 'beds',
      title: 'Bed by bed',
      phase: 'test',
      instruction:
        'Fluffed two minutes, weighed, levelled, pressed to the collar, no leak. The liquid up; time from the second line to the third, with the temperature. New cement for the second bed.',
      fields: ['beds', 'finishedAt', 'remarks'],
    },
  ],
  find(input, about) {
    const { limits, system, sheet } = about;
    const beds = wholeRows(input.beds).flatMap((row, index) => {
      const [mass, time, temperature] = (['mass', 'time', 'temperature'] as const).map(
        (name) => readMeasure(row, name)?.value,
      );
      const told =
        mass && time && temperature ? surfaceOf(index + 1, { mass, time, temperature }, about) : undefined;
      return told && time ? [{ ...told, time, place: index + 1 }] : [];
    });
    const pair = best(beds.map(({ value }) => value));
    const agree = pair && isWithin(pair.apart, limits.of('surface.agree', system));
    const counted = pair?.pair.flatMap((place) => beds[place] ?? []) ?? beds;
    const value =
      counted.length > 0
        ? sheet.line({
            symbol: 'S',
            name: counted.length > 1 ? 'Mean of the two beds that agree best' : 'One bed only',
            formula: counted.length > 1 ? '(x1 + x2) / 2' : 'x1',
            uses: Object.fromEntries(counted.map((bed, place) => [`x${place + 1}`, bed.value])),
            unit: 'm2/kg',
            source: C204,
          })
        : undefined;
    const findings: Finding[] = beds.flatMap(({ place, porosity, time }) => [
      ...bedFindings(place, porosity, about),
      ...(isWithin(time, limits.of('surface.time', system))
        ? []
        : [
            {
              ...limitFinding(
                limits,
                system,
                { id: 'surface.time', severity: 'advice', fields: ['beds'] },
                { message: `Bed ${place}: ${time} s.`, action: 'A leak, a cracked bed, or another mark?' },
              ),
              id: `surface.time-${place}`,
            },
          ]),
    ]);
    if (pair && !agree)
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'surface.agree', severity: 'invalid', fields: ['beds'] },
          { message: `The beds lie ${pair.apart.toFixed(2)} % apart.`, action: 'A third bed of new cement.' },
        ),
      );
    if (beds.length === 1)
      findings.push(
        finding({
          id: 'surface.one',
          severity: 'invalid',
          fields: ['beds'],
          message: 'One bed shows nothing of a leak.',
          action: 'A second bed of new cement.',
        }),
      );
    return {
      value,
      ...(counted.length < 2 && value ? { provisional: 'a second bed is still to be made' } : {}),
      determined: beds.map(
        ({ place, value: each }, index): Determined => ({
          label: `bed ${place}`,
          value: each,
          why: pair && !pair.pair.includes(index) ? 'the two others agree better' : undefined,
        }),
      ),
      findings: [...findings, ...(value ? likely(value, limits, about) : [])],
    };
  },
});
