/** By which test the moisture of a floor is decided, with the method of it. */
export const DECIDES = [
  { value: 'humidity', label: 'Humidity in the slab, ASTM F2170' },
  { value: 'hood', label: 'Box on the surface, BS 8203' },
  { value: 'carbide', label: 'Carbide, DIN 18560' },
] as const;
export type Decides = (typeof DECIDES)[number]['value'];
