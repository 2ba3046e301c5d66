/** The line of a frame or a tester, as the page is told of it: stands in for the browser's event source. */
export class LineOfFrame {
  static newest: LineOfFrame | undefined;
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  constructor(readonly url: string) {
    LineOfFrame.newest = this;
  }
  close(): void {}
  /** Readings of fifty a second from a place on; the peak is held. */
  send(from: number, loads: readonly number[], simulated = true): void {
    let peak = 0;
    const lines = loads.map((load, index) => {
      peak = Math.max(peak, load);
      const seq = from + index;
      return {
        seq,
        t: seq / 50,
        load,
        peak,
        unit: 'kN',
        pos: 0,
        at: Date.now(),
        pump: true,
        approach: false,
        fine: 0,
        door: true,
      };
    });
    this.onmessage?.({ data: JSON.stringify({ boot: 'b', simulated, lines }) });
  }
}
