import { CRITERIA as BRICK } from '../materials/brick/criteria';
import { CRITERIA as CEMENT } from '../materials/cement/criteria';
import { CRITERIA as COATING } from '../materials/coating/criteria';
import { CRITERIA as CONCRETE } from '../materials/concrete/criteria';
import { CRITERIA as FLOOR } from '../materials/floor/criteria';
import { CRITERIA as GROUT } from '../materials/grout/criteria';
import { CRITERIA as MASONRY } from '../materials/masonry/criteria';
import { CRITERIA as MORTAR } from '../materials/mortar/criteria';
import { CRITERIA as PIPE } from '../materials/pipe/criteria';
import { CRITERIA as PRISM } from '../materials/prism/criteria';
import { CRITERIA as ROCK } from '../materials/rock/criteria';
import type { Criterion } from './criterion';

/** Every criterion, put together from what each material is held against. */
export const CRITERIA: readonly Criterion[] = [
  ...CONCRETE,
  ...MASONRY,
  ...BRICK,
  ...PRISM,
  ...GROUT,
  ...MORTAR,
  ...ROCK,
  ...FLOOR,
  ...COATING,
  ...PIPE,
  ...CEMENT,
];

const BY_ID = new Map(CRITERIA.map((criterion) => [criterion.id, criterion]));

/** The criteria of some ids, in their order; ids that are none are left out. */
export function criteriaOf(ids: readonly string[]): Criterion[] {
  return ids.flatMap((id) => BY_ID.get(id) ?? []);
}

/** The criterion of an id; undefined when there is none. */
export function findCriterion(id: string): Criterion | undefined {
  return BY_ID.get(id);
}
