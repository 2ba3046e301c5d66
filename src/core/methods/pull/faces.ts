/** The planes that a pull can part in, from the metal or concrete outwards, with what each is. */
export const PLANES = [
  { value: 'A', label: 'A: in the metal or concrete itself' },
  { value: 'A/B', label: 'A/B: between it and the first coat' },
  { value: 'B', label: 'B: within the first coat' },
  { value: 'B/C', label: 'B/C: between first and second coat' },
  { value: 'C', label: 'C: within the second coat' },
  { value: 'C/D', label: 'C/D: between second and third coat' },
  { value: 'D', label: 'D: within the third coat' },
  { value: '-/Y', label: '−/Y: between the last coat and the glue' },
  { value: 'Y', label: 'Y: within the glue' },
  { value: 'Y/Z', label: 'Y/Z: between glue and dolly' },
] as const;
export type Plane = (typeof PLANES)[number]['value'];
export const PLANE_IDS: readonly Plane[] = PLANES.map(({ value }) => value);
const GLUE: readonly Plane[] = ['-/Y', 'Y', 'Y/Z'];

/** How much of the face parted in each plane, percent; planes in their order, those with nothing left out. */
export type Face = readonly (readonly [plane: Plane, percent: number])[];

/** The shares of one plane each, put together and in the order of the planes. */
export function faceOf(parts: readonly (readonly [Plane, number])[]): Face {
  return PLANE_IDS.flatMap((plane): Face => {
    const percent = parts.reduce((sum, [of, share]) => (of === plane ? sum + share : sum), 0);
    return percent > 0 ? [[plane, percent]] : [];
  });
}

/** What parted in or at the glue, percent. */
export function glueShare(face: Face): number {
  return face.reduce((sum, [plane, percent]) => (GLUE.includes(plane) ? sum + percent : sum), 0);
}

/** The plane with the greatest share; of equal ones that nearer to the metal. Undefined for no face. */
export function leadingPlane(face: Face): Plane | undefined {
  return face.reduce<(typeof face)[number] | undefined>(
    (best, each) => (best === undefined || each[1] > best[1] ? each : best),
    undefined,
  )?.[0];
}

/**
 * Shares to a step that still come to a hundred: each cut down to it, the steps that are missing to the largest remainders,
 * of equal ones to that nearer to the metal.
 * @param face shares that come to 100 @param step a divisor of 100
 * Source: ISO 4624, nearest 10 % (from memory); how the sum is kept is our choice.
 */
export function inSteps(face: Face, step: number): Face {
  const cut = face.map(([plane, percent], place) => {
    const whole = Math.floor(percent / step + 1e-9) * step;
    return { plane, whole, rest: percent - whole, place };
  });
  const missing = Math.round((100 - cut.reduce((sum, { whole }) => sum + whole, 0)) / step);
  const lifted = new Set(
    cut
      .toSorted((a, b) => b.rest - a.rest || a.place - b.place)
      .slice(0, Math.max(0, missing))
      .map(({ place }) => place),
  );
  return cut.map(({ plane, whole, place }): [Plane, number] => [
    plane,
    lifted.has(place) ? whole + step : whole,
  ]);
}

/** The same to ten percent, as it is reported. */
export function inTens(face: Face): Face {
  return inSteps(face, 10);
}

/** A face in words: `A/B 60 %, B 30 %`. */
export function faceText(face: Face): string {
  return face
    .filter(([, percent]) => percent > 0)
    .map(([plane, percent]) => `${plane.replace('-', '−')} ${percent} %`)
    .join(', ');
}
