import { isWithin } from '../../limits';
import { type Exact, largest, smallest } from '../../quantity';
import { bySeverity, type Finding, finding, numbered, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { factMeasure } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { countByArea } from '../slab/count';
import type { ImpedanceInput } from './input';

const F2659 = standard('ASTM F2659');
export const HIGHEST = 'highest reading';
export const LOWEST = 'lowest reading';

/** A place with the highest of what was read there. */
export interface Surveyed {
  readonly place: string;
  readonly highest: Exact;
}

/**
 * Where to measure, by a survey: the two highest places, the one in the middle, the lowest.
 * @param places in any order
 * @returns places by name with why, each once; none for fewer than two
 * Source: our choice.
 */
export function worthMeasuring(places: readonly Surveyed[]): readonly (readonly [string, string])[] {
  const order = places.toSorted((a, b) => b.highest.comparedTo(a.highest));
  if (order.length < 2) return [];
  const wanted = [
    [order[0], 'highest'],
    [order[1], 'second highest'],
    [order[Math.floor(order.length / 2)], 'in the middle'],
    [order.at(-1), 'lowest'],
  ] as const;
  const taken = new Map<string, string>();
  for (const [each, why] of wanted) if (each && !taken.has(each.place)) taken.set(each.place, why);
  return [...taken];
}

/**
 * A survey with a meter that is laid on: it says where to measure, never how wet the slab is.
 * @param input three readings a place on the scale of the meter; the highest counts
 * @param setup the fact `area` says how many places are wanted
 * @returns highest and lowest place, held against nothing
 * Source: ASTM F2659 (from memory).
 */
export function compute(input: ImpedanceInput, setup: RunSetup): Outcome {
  const { system, scale } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const findings: Finding[] = [];
  // The limits are of a scale to 6: on one to 100 they are as many parts of it.
  const stretched = (value: Exact): Exact => (scale === 'hundred' ? value.times(6).div(100) : value);
  const places = wholeRows(input.places).flatMap((row): Surveyed[] => {
    const read = ['first', 'second', 'third'].flatMap((name) => readMeasure(row, name)?.value ?? []);
    if (read.length < 3) return [];
    const highest = largest(read);
    const spread = highest.minus(smallest(read));
    if (!isWithin(stretched(spread), limits.of('impedance.spread', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'impedance.spread', severity: 'advice', fields: ['places'] },
          {
            message: `${row.place}: ${spread} apart as the meter was turned.`,
            action: 'Read three more; a bar under it shows that way.',
          },
        ),
      );
    return [{ place: row.place ?? '', highest }];
  });
  const wanted = wantedBy(setup, system);
  if (wanted !== undefined && input.readAt && places.length < wanted)
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'impedance.first', severity: 'departure', fields: ['places'] },
        {
          message: `${places.length} of ${wanted} places.`,
          action: 'Read the others, one within 3 ft [1 m] of each exterior wall.',
          remark: `${places.length} of ${wanted} places surveyed.`,
        },
      ),
    );
  const results: Result[] = [];
  const uses = numbered(
    'x',
    places.map(({ highest }) => highest),
  );
  const names = Object.keys(uses).join(', ');
  const ends: Exact[] = [];
  for (const [quantity, symbol, of] of places.length > 0
    ? ([
        [HIGHEST, 'Imax', 'max'],
        [LOWEST, 'Imin', 'min'],
      ] as const)
    : []) {
    const value = sheet.line({
      symbol,
      name: `${of === 'max' ? 'Highest' : 'Lowest'} place`,
      formula: `${of}(${names})`,
      uses,
      unit: 'one',
      source: F2659,
    });
    ends.push(value);
    results.push(
      resultOf({ quantity, symbol, value, unit: 'one', step: limits.number('impedance.step', system), mode }),
    );
  }
  const [high, low] = ends;
  const chosen = worthMeasuring(places);
  if (high && low && !isWithin(stretched(high.minus(low)), limits.of('impedance.gradient', system)))
    findings.push(
      finding({
        id: 'impedance.gradient',
        severity: 'advice',
        fields: ['places'],
        message: `The zone is ${high.minus(low)} apart from end to end.`,
        action: 'Two holes more are worth it: one where it is highest, one beside it.',
      }),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'impedance',
      values: {
        places: packedRows(
          places
            .toSorted((a, b) => b.highest.comparedTo(a.highest))
            .map(({ place, highest }) => [place, highest.toString()]),
        ),
        measure: packedRows(chosen),
        scale: scale === 'hundred' ? 100 : 6,
      },
    },
  };
}

/** How many places the area of the zone wants; undefined while it is not known. Source: ASTM F2659 (from memory). */
function wantedBy(setup: RunSetup, system: ImpedanceInput['system']): number | undefined {
  const limits = limitsOf(setup);
  const area = factMeasure(setup, 'area', 'area', system === 'US' ? 'ft2' : 'm2');
  if (!area) return undefined;
  const [part, first, further] = (['slab.count-area', 'impedance.first', 'impedance.further'] as const).map(
    (id) => limits.number(id, system),
  );
  return part && first && countByArea(area, part, first, further).toNumber();
}
