/** Time of a simulated device: it passes in small steps, and so often a second something is read. */
export class Pace {
  /** Seconds since it began. */
  time = 0;
  private next = 0;

  /** @param step s, @param rate readings a second */
  constructor(
    private readonly step: number,
    readonly rate: number,
  ) {}

  /**
   * Lets time pass, and gives the readings that fall into it.
   * @param seconds how long
   * @param move what happens in every step, when its time has come
   * @param read what is read then, one or several
   */
  run<R>(seconds: number, move: () => void, read: () => readonly R[]): R[] {
    const readings: R[] = [];
    const until = this.time + seconds - this.step / 2;
    while (this.time < until) {
      this.time += this.step;
      move();
      if (this.time < this.next - this.step / 2) continue;
      this.next += 1 / this.rate;
      readings.push(...read());
    }
    return readings;
  }
}
