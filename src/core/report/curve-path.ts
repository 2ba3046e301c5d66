import type { CurvePoint } from '../signals';

/** What curves are drawn over: load over seconds or millimetres, temperature over hours. */
export type CurveAxis = 's' | 'mm' | 'h';

/** Curves drawn into a box, each from its own contact on. */
export interface CurvePaths {
  readonly paths: readonly string[];
  /** What the width of the box is, in seconds or mm. */
  readonly seconds: number;
  readonly load: number;
}

/**
 * The paths of load curves on one scale, as SVG path data.
 * @param curves seconds and load of each, with the second its load began
 * @param width of the box, height downward, in any unit
 */
export function curvePaths(
  curves: readonly { readonly points: readonly CurvePoint[]; readonly startAt: number }[],
  width: number,
  height: number,
  axis: CurveAxis = 's',
): CurvePaths {
  // A second before contact is shown too; of a displacement nothing lies before it.
  const lead = axis === 's' ? 1 : 0;
  const shifted = curves.map(({ points, startAt }) =>
    points.filter(([t]) => t >= startAt - lead).map(([t, load]) => [t - startAt + lead, load] as const),
  );
  const all = shifted.flat();
  const seconds = Math.max(axis === 's' ? 1 : 0.1, ...all.map(([t]) => t));
  const load = Math.max(1, ...all.map(([, value]) => value));
  // A load under nought is noise of the cell; a temperature under nought is one.
  const base = axis === 'h' ? Math.min(0, ...all.map(([, value]) => value)) : 0;
  const paths = shifted.map((points) =>
    points
      .map(
        ([t, value], index) =>
          `${index === 0 ? 'M' : 'L'}${((t / seconds) * width).toFixed(1)} ${(height - ((Math.max(base, value) - base) / (load - base)) * height).toFixed(1)}`,
      )
      .join(''),
  );
  return { paths, seconds, load };
}
