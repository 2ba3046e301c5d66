import type { LimitId } from '../../limits';

/** What is laid on it, by its thickness: it says how rough the surface has to be. */
export const LAYERS = [
  { value: 'sealer', label: 'Sealer, to 3 mil [0.08 mm]' },
  { value: 'thin', label: 'Thin film, 4 to 10 mil [0.1 to 0.25 mm]' },
  { value: 'high-build', label: 'Coating, 10 to 40 mil [0.25 to 1 mm]' },
  { value: 'levelling', label: 'Levelling topping, 50 mil to 1/8 in [1.3 to 3 mm]' },
  { value: 'polymer', label: 'Polymer overlay, 1/8 to 1/4 in [3 to 6 mm]' },
  { value: 'overlay', label: 'Concrete or repair, above 1/4 in [6 mm]' },
] as const;
export type Layer = (typeof LAYERS)[number]['value'];
export const LAYER_IDS: readonly Layer[] = LAYERS.map(({ value }) => value);

/** The row that says how rough it has to be under a layer. */
export function profileRow(layer: Layer): LimitId {
  return `profile.${layer}`;
}
