import type { LimitId } from '../../limits';

/** What a slab lies on, and by that from how many sides it dries. */
export const SLABS = [
  { value: 'grade', label: 'On grade' },
  { value: 'below', label: 'Below grade' },
  { value: 'deck', label: 'On metal deck, or tight below' },
  { value: 'ventilated', label: 'Suspended, air moves below' },
  { value: 'wall', label: 'No slab: a wall' },
  { value: 'ceiling', label: 'No slab: a ceiling' },
] as const;
export type SlabKind = (typeof SLABS)[number]['value'];
export const SLAB_KINDS: readonly SlabKind[] = SLABS.map(({ value }) => value);

/** The row that says how deep a hole goes. */
export function depthRow(kind: SlabKind): LimitId {
  return kind === 'ventilated' ? 'slab.depth-two' : 'slab.depth-one';
}

/**
 * What is no floor slab, in words, as it goes on after `No hole in`; undefined on a slab.
 * Source: ASTM F2170 and F1869 are of floor slabs (from memory).
 */
export function noSlab(kind: unknown): 'a wall' | 'a ceiling' | undefined {
  return kind === 'wall' ? 'a wall' : kind === 'ceiling' ? 'a ceiling' : undefined;
}
