/** Readings kept before the first load, so that the foot of the curve is seen. */
const BEFORE = 100;

/** A point in the order it came: over a displacement it may lie left of the one before. */
interface Point {
  readonly x: number;
  readonly y: number;
  readonly n: number;
}

/**
 * A curve that grows while readings come and never holds more points than can be drawn: when it is full every second one
 * goes and from then on only every second, fourth … is taken. The highest one is always there.
 */
export class LiveCurve {
  private points: Point[] = [];
  private step = 1;
  private count = 0;
  private loaded = false;
  private origin: number | null = null;
  private peak: Point | null = null;
  private last: Point | null = null;

  /** @param most points at the most, an even number */
  constructor(private readonly most: number) {}

  /**
   * Takes the next reading.
   * @param along seconds of the device, or a displacement
   * @param load in any unit, the same for all
   */
  take(along: number, load: number): void {
    if (!this.loaded && Math.abs(load) > 1) this.loaded = true;
    // While nothing is loaded only the last few matter.
    if (!this.loaded && this.points.length >= BEFORE) {
      this.points.shift();
      this.origin = null;
    }
    this.count += 1;
    const point = { x: along, y: load, n: this.count };
    this.last = point;
    if (this.loaded && (this.peak === null || load > this.peak.y)) this.peak = point;
    if (this.loaded && this.count % this.step !== 0) return;
    this.points.push(point);
    if (this.points.length < this.most) return;
    this.points = this.points.filter((_, index) => index % 2 === 0);
    this.step *= 2;
  }

  /** The curve from its foot on: seconds or displacement since then, and the load. */
  drawn(): { x: number; y: number }[] {
    const [first] = this.points;
    if (!first) return [];
    this.origin ??= first.x;
    const { origin, peak, last } = this;
    const extra = [peak, last].filter((point) => point !== null && !this.points.includes(point)) as Point[];
    const all = extra.length === 0 ? this.points : [...this.points, ...extra].toSorted((a, b) => a.n - b.n);
    return all.map(({ x, y }) => ({ x: x - (origin ?? 0), y }));
  }
}
