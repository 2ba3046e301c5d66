import type { Limits } from '../../limits';
import type { Exact, System } from '../../quantity';

/** What is sawn off or out of a unit, by what it leaves. */
export const SAWN = {
  none: 'Nothing: broken whole',
  projections: 'Projections sawn off',
  shells: 'Face shells lowered to the webs',
  both: 'Projections off, and face shells lowered',
  cells: 'Closed cells sawn out',
  coupon: 'Coupon sawn out of a face shell',
} as const;
export type Sawn = keyof typeof SAWN;

/** What leaves another area than the whole unit has: the units for absorption are then sawn alike. */
export const OTHER_AREA: readonly Sawn[] = ['projections', 'both', 'cells'];

/** What is looked at before a unit is sawn, in in or mm. */
export interface Looked {
  /** How far the projections stand out, and how thick they are; 0 where there are none. */
  readonly projection?: Exact | undefined;
  readonly thick?: Exact | undefined;
  /** How far the webs lie below the face shells, and the height of the unit. */
  readonly recess?: Exact | undefined;
  readonly height?: Exact | undefined;
  /** What the machine breaks: a whole unit, its closed cells, or neither. */
  readonly machine: 'whole' | 'cells' | 'neither';
  /** False where no four-sided closed cell can be sawn out. */
  readonly closed: boolean;
}

/**
 * What to saw, in the order that the method looks: projections longer than thick come off; face shells come down to recessed
 * webs unless that takes more than a third of the height; what the machine does not break is sawn to closed cells; where
 * none can be had a coupon of the face shell is.
 * @returns what is to be done, and why
 * Source: ASTM C140/C140M 7.2 and annex A1 (from memory).
 */
export function whatToSaw(looked: Looked, limits: Limits, system: System): { what: Sawn; why: string } {
  const { projection, thick, recess, height, machine, closed } = looked;
  const stands = Boolean(projection && thick && projection.greaterThan(thick));
  const recessed = Boolean(recess?.greaterThan(0));
  const deep = Boolean(
    recessed && height && recess?.times(limits.number('saw.lowered', system)).greaterThan(height),
  );
  if (deep)
    return { what: 'coupon', why: 'lowering the face shells would take more than a third of its height' };
  if (machine === 'neither')
    return { what: 'coupon', why: 'the machine breaks neither the unit nor its closed cells' };
  if (machine === 'cells')
    return closed
      ? { what: 'cells', why: 'the machine does not break the whole unit' }
      : {
          what: 'coupon',
          why: 'the machine does not break the whole unit, and no closed cell can be sawn out',
        };
  if (stands && recessed)
    return { what: 'both', why: 'projections stand out farther than they are thick, and the webs lie lower' };
  if (stands) return { what: 'projections', why: 'they stand out farther than they are thick' };
  if (recessed) return { what: 'shells', why: 'the webs lie lower: the whole section has to bear' };
  return { what: 'none', why: 'it bears with its whole section, and the machine breaks it' };
}
