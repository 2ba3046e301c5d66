import { plainOf, type System } from '../../quantity';
import type { PlanItem } from '../contract';
import { ratePlan } from '../masonry-press/plan';
import { loadedBy } from '../masonry-press/school';
import { limitsOf, type RunSetup } from '../setup';
import { bearingArea, expectedLoad, required } from './area';
import { UnitCompressionInput } from './input';

/** What to know before a unit is loaded: area, loads, the rate to set, and which machine can do it. */
export function plan(system: System, setup: RunSetup): readonly PlanItem[] {
  const limits = limitsOf(setup);
  const input = Object.assign(new UnitCompressionInput(), { system });
  const bearing = bearingArea(input, setup, limits);
  if (!bearing) return [];
  const { area, of, gross } = bearing;
  return [
    {
      label: gross ? 'Gross area' : of.length > 0 ? 'Net area' : 'Net area, estimated',
      text: plainOf(area.toDecimalPlaces(system === 'US' ? 1 : 0), system === 'US' ? 'in2' : 'mm2'),
      note: gross
        ? 'length times width'
        : of.length > 0
          ? `mean of ${of.length} dried units`
          : 'usual share of solid for this width; never for the result',
    },
    ...ratePlan(
      {
        area,
        expected: expectedLoad(area, setup, system, limits),
        stress: required(setup, 'mean', system, limits),
        row: 'unit.second-half',
        school: loadedBy(setup),
      },
      setup,
      system,
    ),
  ];
}
