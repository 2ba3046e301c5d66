import { type Exact, exact } from '../../quantity';
import { type FittedLine, fitLine } from '../../statistics/line';
import { readMeasure } from '../fields';
import { type EndRow, SCANS, type Scan } from './rows';

/** What the dial says of one diameter of one end; lengths in in or mm. */
export interface Profile {
  readonly scan: Scan;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  /** The line that lies best through its points, and the point that lies farthest off it. */
  readonly line: FittedLine;
  readonly worst: { readonly x: number; readonly y: number };
  /** How far that point lies off the line. */
  readonly off: Exact;
  readonly highest: Exact;
  readonly lowest: Exact;
}

/** Away from the noise of the last bits: a limit that is met exactly is met. */
const clean = (value: number): Exact => exact(value.toPrecision(12));

/**
 * One diameter of an end by the readings of a dial.
 * @param read x from the edge and y outward, in any order, both in in or both in mm
 * @param fewest readings that make a line
 * @returns undefined where there are fewer, or all at one place
 * Source: ASTM D4543 (from memory); that the line is by least squares, not by eye, is our choice.
 */
export function profileOf(
  scan: Scan,
  read: readonly { readonly x: number; readonly y: number }[],
  fewest: number,
): Profile | undefined {
  const points = read.toSorted((a, b) => a.x - b.x);
  const line = points.length >= fewest ? fitLine(points) : undefined;
  const [first] = points;
  if (!line || !first) return undefined;
  const offOf = ({ x, y }: { x: number; y: number }): number => Math.abs(y - line.intercept - line.slope * x);
  const worst = points.reduce((far, point) => (offOf(point) > offOf(far) ? point : far), first);
  const heights = points.map(({ y }) => y);
  return {
    scan,
    points,
    line,
    worst,
    off: clean(offOf(worst)),
    highest: exact(Math.max(...heights)),
    lowest: exact(Math.min(...heights)),
  };
}

/** Both ends of a core: the diameters that have enough readings. @param rows in any order, in the system of the run */
export function profilesOf(rows: readonly EndRow[] | undefined, fewest: number): Profile[] {
  return SCANS.flatMap((scan) => {
    const read = (rows ?? [])
      .filter(({ along }) => along === scan)
      .flatMap((row) => {
        const [x, y] = [readMeasure(row, 'x')?.value, readMeasure(row, 'y')?.value];
        return x && y ? [{ x: x.toNumber(), y: y.toNumber() }] : [];
      });
    return profileOf(scan, read, fewest) ?? [];
  });
}

/** The same diameter of both ends. */
export function pairsOf(profiles: readonly Profile[]): { across: string; one: Profile; two: Profile }[] {
  return ['A', 'B'].flatMap((across) => {
    const [one, two] = [`1${across}`, `2${across}`].map((scan) =>
      profiles.find((each) => each.scan === scan),
    );
    return one && two ? [{ across, one, two }] : [];
  });
}
