import type { BendRecord } from './types';

/** A straight line through some samples. */
export interface BendLine {
  readonly k: number;
  readonly c: number;
  readonly error: number;
  readonly r2: number;
  readonly count: number;
}

/**
 * Least-squares line of the force over the displacement from one sample to another, both in it.
 * @returns null with fewer than two samples or no spread; doubles, counted from the first sample so that squares stay small
 * Source: Numerical: sums of the ordinary least-squares line.
 */
export function lineThrough({ displacement, force }: BendRecord, from: number, to: number): BendLine | null {
  const [x0, y0] = [displacement[from] ?? 0, force[from] ?? 0];
  let [n, sx, sy, sxx, sxy, syy] = [0, 0, 0, 0, 0, 0];
  for (let index = from; index <= to; index += 1) {
    const [x, y] = [(displacement[index] ?? 0) - x0, (force[index] ?? 0) - y0];
    [n, sx, sy, sxx, sxy, syy] = [n + 1, sx + x, sy + y, sxx + x * x, sxy + x * y, syy + y * y];
  }
  const spread = sxx - (sx * sx) / n;
  if (n < 2 || spread <= 0) return null;
  const k = (sxy - (sx * sy) / n) / spread;
  const total = syy - (sy * sy) / n;
  const left = Math.max(0, total - k * k * spread);
  return {
    k,
    c: y0 + (sy - k * sx) / n - k * x0,
    error: n > 2 ? Math.sqrt(left / (n - 2) / spread) : 0,
    r2: total > 0 ? 1 - left / total : 0,
    count: n,
  };
}
