/** A log of a press as breakpoints, seconds and lbf: straight lines run between them. */
export type Breakpoints = readonly (readonly [seconds: number, load: number])[];

/** An ordinary test. */
export const ORDINARY: Breakpoints = [
  [0, 0],
  [3, 0],
  [13, 28_000],
  [67, 52_030],
  [85, 55_630],
  [86, 46_630],
  [88, 5000],
];

/** A corner broke early and did not end the test. */
export const CORNER: Breakpoints = [
  [0, 0],
  [3, 0],
  [15, 22_000],
  [55, 39_600],
  [55.5, 37_200],
  [57, 38_000],
  [87, 51_200],
  [88, 51_400],
  [90, 40_000],
  [92, 12_000],
];

/** Stopped before the specimen had broken. */
export const STOPPED: Breakpoints = [
  [0, 0],
  [3, 0],
  [13, 26_000],
  [63, 48_000],
  [70, 50_400],
  [74, 49_200],
];

/** The load at a moment of such a log. */
export function loadAt(points: Breakpoints, t: number): number {
  const next = Math.max(
    1,
    points.findIndex(([time]) => time >= t - 1e-9),
  );
  const [t0, f0] = points[next - 1] ?? [0, 0];
  const [t1, f1] = points[next] ?? [1, 0];
  return f0 + ((t - t0) / (t1 - t0)) * (f1 - f0);
}
