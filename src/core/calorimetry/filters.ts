/**
 * Smoothing of evenly spaced values: a parabola laid through `m` points on either side, which shrinks at the ends.
 * @param values evenly spaced @param m points on either side
 * Source: Savitzky and Golay, Anal. Chem. 36 (1964), second order (from memory), in closed form.
 */
export function smoothed(values: Float64Array, m: number): Float64Array {
  return filtered(values, m, (width) => {
    const below = (2 * width - 1) * (2 * width + 1) * (2 * width + 3);
    return (j) => (3 * (3 * width * width + 3 * width - 1 - 5 * j * j)) / below;
  });
}

/**
 * Slope of evenly spaced values, of the straight line through `m` points on either side.
 * @param dt spacing @returns in the unit of the values to that of the spacing
 */
export function slopes(values: Float64Array, m: number, dt: number): Float64Array {
  const found = filtered(values, m, (width) => {
    const below = width * (width + 1) * (2 * width + 1) * dt;
    return (j) => (width === 0 ? 0 : (3 * j) / below);
  });
  const last = values.length - 1;
  if (last >= 1) {
    found[0] = ((values[1] as number) - (values[0] as number)) / dt;
    found[last] = ((values[last] as number) - (values[last - 1] as number)) / dt;
  }
  return found;
}

function filtered(
  values: Float64Array,
  m: number,
  weightsOf: (width: number) => (j: number) => number,
): Float64Array {
  const known = new Map<number, Float64Array>();
  const weights = (width: number): Float64Array => {
    const had = known.get(width);
    if (had) return had;
    const weight = weightsOf(width);
    const made = Float64Array.from({ length: 2 * width + 1 }, (_, place) => weight(place - width));
    known.set(width, made);
    return made;
  };
  const found = new Float64Array(values.length);
  for (let at = 0; at < values.length; at += 1) {
    const width = Math.min(m, at, values.length - 1 - at);
    const by = weights(width);
    let sum = 0;
    for (let place = 0; place < by.length; place += 1)
      sum += (by[place] as number) * (values[at - width + place] as number);
    found[at] = sum;
  }
  return found;
}
