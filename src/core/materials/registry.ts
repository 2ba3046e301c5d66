import type { Material } from '../material/contract';
import { brick } from './brick';
import { cement } from './cement';
import { coating } from './coating';
import { concrete } from './concrete';
import { floor } from './floor';
import { grout } from './grout';
import { masonry } from './masonry';
import { mortar } from './mortar';
import { pipe } from './pipe';
import { prism } from './prism';
import { rock } from './rock';

/** Every material by its id. One entry here makes a material known everywhere. */
const REGISTRY = {
  concrete,
  masonry,
  brick,
  prism,
  grout,
  mortar,
  rock,
  floor,
  coating,
  pipe,
  cement,
} as const satisfies Record<string, Material>;

export const MATERIALS: readonly Material[] = Object.values(REGISTRY);

/** The material of an id; undefined when there is none. */
export function findMaterial(id: string): Material | undefined {
  return MATERIALS.find((material) => material.id === id);
}
