import type { LimitId, Limits } from '../../limits';
import { cite } from '../../limits';
import { classOf, wallOf } from '../../pipe/product';
import { boreTolerance, shortTolerance, sidesTolerance, wallTolerance } from '../../pipe/sizes';
import { Exact, exact, plainOf } from '../../quantity';
import { type Finding, finding } from '../../working';
import { readMeasure } from '../fields';
import { saidIn } from '../pipe/said';
import { wholeRows } from '../rows-field';
import type { RunSetup } from '../setup';
import type { ThreeEdgeInput } from './input';
import { type PipeLoads, UNITS_OF } from './loads';

/** What was measured of a pipe against what it is said to be: whether it is a pipe of its class at all. */
export function sizeFindings(
  input: ThreeEdgeInput,
  { bore, overall }: PipeLoads,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const { bore: unit } = UNITS_OF[system];
  const small = system === 'US' ? exact(12) : exact(1000);
  const read = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const off = (id: LimitId, fields: readonly string[], what: string, value: Exact, most: Exact): Finding =>
    finding({
      id,
      severity: 'departure',
      fields,
      beforeLoad: true,
      limit: {
        ...cite(limits.of(id, system)),
        text: `no more than ${plainOf(most.toDecimalPlaces(4), unit)}`,
      },
      message: `${what} by ${plainOf(value.toDecimalPlaces(4), unit)}.`,
      action: 'It is no pipe of its class by its size. Measure again; then another pipe, or report it.',
      remark: `${what} by ${plainOf(value.toDecimalPlaces(4), unit)}, beyond the tolerance of its class.`,
    });
  const found: Finding[] = [];
  const round = classOf(saidIn(setup))?.shape === 'round';
  for (const name of round ? ['bore1', 'bore2'] : []) {
    const value = read(name);
    const most = boreTolerance(bore, limits, system);
    const apart = value?.minus(bore).abs();
    if (apart?.greaterThan(most))
      found.push(off('pipe.bore-small', [name], 'Inside diameter off', apart, most));
  }
  const wall = wallOf(saidIn(setup), system);
  const thinnest = Exact.min(
    ...wholeRows(input.walls).flatMap((row) => readMeasure(row, 'wall')?.value ?? []),
    Number.POSITIVE_INFINITY,
  );
  const most = wall && wallTolerance(wall, limits, system);
  if (wall && most && wall.minus(thinnest).greaterThan(most))
    found.push(off('pipe.wall', ['walls'], 'Wall thinner than designed', wall.minus(thinnest), most));
  const [one, other] = [read('side1')?.times(small), read('side2')?.times(small)];
  if (one && other) {
    const apart = one.minus(other).abs();
    const sides = sidesTolerance(bore, limits, system);
    if (apart.greaterThan(sides))
      found.push(off('pipe.sides-foot', ['side1', 'side2'], 'Opposite sides differ', apart, sides));
    const missing = overall.times(small).minus(Exact.min(one, other));
    const short = shortTolerance(overall, limits, system);
    if (missing.greaterThan(short))
      found.push(off('pipe.short-foot', ['side1', 'side2'], 'Shorter than designed', missing, short));
  }
  return found;
}
