/** By which test the moisture of a floor is decided, and what that is called in a sentence. */
export const DECIDES = [
  {
    value: 'humidity',
    label: 'Humidity in the slab, ASTM F2170',
    wants: ['slab-humidity', 'humidity in the slab'],
  },
  { value: 'hood', label: 'Box on the surface, BS 8203', wants: ['surface-hood', 'humidity under a box'] },
  { value: 'carbide', label: 'Carbide, DIN 18560', wants: ['carbide', 'carbide moisture'] },
] as const;
export type Decides = (typeof DECIDES)[number]['value'];
