/** Readings kept before the first load, so that the foot of the curve is seen. */
const BEFORE = 100;

/**
 * A curve that grows while readings come and never holds more points than can be drawn: when it is full every second one
 * goes and from then on only every second, fourth … is taken. The highest one is always there.
 */
export class LiveCurve {
  private points: { x: number; y: number }[] = [];
  private step = 1;
  private count = 0;
  private loaded = false;
  private origin: number | null = null;
  private peak: { x: number; y: number } | null = null;
  private last: { x: number; y: number } | null = null;

  /** @param most points at the most, an even number */
  constructor(private readonly most: number) {}

  /**
   * Takes the next reading.
   * @param seconds of the device
   * @param load in any unit, the same for all
   */
  take(seconds: number, load: number): void {
    if (!this.loaded && Math.abs(load) > 1) this.loaded = true;
    // While nothing is loaded only the last few matter.
    if (!this.loaded && this.points.length >= BEFORE) {
      this.points.shift();
      this.origin = null;
    }
    const point = { x: seconds, y: load };
    this.last = point;
    if (this.loaded && (this.peak === null || load > this.peak.y)) this.peak = point;
    this.count += 1;
    if (this.loaded && this.count % this.step !== 0) return;
    this.points.push(point);
    if (this.points.length < this.most) return;
    this.points = this.points.filter((_, index) => index % 2 === 0);
    this.step *= 2;
  }

  /** The curve from its foot on: seconds since then, and the load. */
  drawn(): { x: number; y: number }[] {
    const [first] = this.points;
    if (!first) return [];
    this.origin ??= first.x;
    const { origin, peak, last } = this;
    const extra = [peak, last].filter((point) => point !== null && !this.points.includes(point)) as {
      x: number;
      y: number;
    }[];
    const all = extra.length === 0 ? this.points : [...this.points, ...extra].toSorted((a, b) => a.x - b.x);
    return all.map(({ x, y }) => ({ x: x - (origin ?? 0), y }));
  }
}
