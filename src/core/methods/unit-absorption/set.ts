import type { DeriveAbout, Derived, SetRule } from '../../acceptance/set-rule';
import { isWithin, type LimitId } from '../../limits';
import { CRITERIA, densityClass } from '../../materials/masonry/criteria';
import { fireHours } from '../../materials/masonry/fire';
import { LIMITS as ROWS } from '../../materials/masonry/limits';
import { CLASSES } from '../../materials/masonry/products';
import {
  type Exact,
  exact,
  largest,
  roundedText,
  roundTo,
  smallest,
  type UnitId,
  withUnit,
} from '../../quantity';
import { numbered, plain, Sheet } from '../../working';
import { LIMITS } from './limits';

const ID = 'unit-absorption';

/** What follows from the means of a set: its density class, and what is reported of it besides. */
function derives(_: Exact, { pieces, limits, system, mode, said: asked }: DeriveAbout): Derived {
  const used = pieces.filter((piece) => piece.used);
  const sheet = new Sheet(mode);
  const us = system === 'US';
  const values: Record<string, string> = {};
  const said: [string, string][] = [];
  const of = (quantity: string): Exact[] =>
    used.flatMap(({ quantities }) => (quantities[quantity] ? [exact(quantities[quantity])] : []));
  const mean = (quantity: string, symbol: string, unit: UnitId, step: LimitId): Exact | undefined => {
    const all = of(quantity);
    if (all.length === 0) return undefined;
    const uses = numbered(symbol, all);
    const by = limits.number(step, system);
    const value = sheet.line({
      symbol: `${symbol}m`,
      name: `Mean ${quantity}`,
      formula: `(${Object.keys(uses).join(' + ')}) / ${all.length}`,
      uses,
      unit,
      source: limits.of(step, system).source,
      round: { step: by, rule: `to ${limits.of(step, system).text}` },
    });
    said.push([`Mean ${quantity}`, withUnit(roundedText(value, by, mode), unit)]);
    return value;
  };
  const density = mean('density', 'D', us ? 'lb/ft3' : 'kg/m3', 'unit.absorption-step');
  if (density) {
    // The class is that of the mean as it is reported, never of one unit.
    const rounded = roundTo(density, limits.number('unit.absorption-step', system), mode);
    values['class density'] = plain(rounded, 15);
    said.push(['Density class', CLASSES[densityClass(rounded, { limits, system })]]);
  }
  mean('absorption by mass', 'Am', 'percent', 'unit.percent-step');
  mean('moisture content', 'M', 'percent', 'unit.percent-step');
  const net = mean('net area', 'An', us ? 'in2' : 'mm2', 'unit.area-step');
  const solid = mean('share solid', 's', 'percent', 'unit.percent-step');
  if (solid?.greaterThanOrEqualTo(limits.number('unit.solid', system)))
    said.push(['By its share', 'a solid unit']);
  const thickness = mean('equivalent thickness', 'Te', us ? 'in' : 'mm', 'unit.thick-step');
  const hours = thickness && fireHours(thickness, asked?.('fireAggregate'), limits, system);
  if (hours !== undefined)
    said.push([
      'Fire resistance by it, for the design professional',
      hours === 0 ? 'below 1 h' : `${hours} h`,
    ]);
  const remarks: string[] = [];
  if (
    net &&
    of('net area').some(
      (area) => !isWithin(area.minus(net).abs().div(net).times(100), limits.of('unit.area-alike', system)),
    )
  )
    remarks.push('One net area lies far from the others: weigh that unit again, and look at its height.');
  const densities = of('density');
  if (
    densities.length > 1 &&
    !isWithin(largest(densities).minus(smallest(densities)), limits.of('unit.density-alike', system))
  )
    remarks.push('The densities lie far apart: is one of them another unit’s mass?');
  return { values, said, lines: sheet.lines, remarks };
}

/** What the units of a set that were soaked and dried say together. */
export const SET: SetRule = {
  word: 'Absorption of the units',
  quantity: 'absorption',
  by: [],
  combine: 'mean',
  step: 'unit.absorption-step',
  wanted: 'unit.role-count',
  criteria: CRITERIA.filter(({ by }) => by.includes(ID)).map(({ id }) => id),
  derives,
  derivedBy: { ...LIMITS, ...ROWS },
};
