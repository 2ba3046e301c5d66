import {
  type BendView,
  BendWatch,
  type BendWatchRequest,
  loadIn,
  type PressView,
  PressWatch,
  type ReadingLine,
  type WatchRequest,
} from '@/core/press';

/** A watch over the readings of a machine, and where each stands on the chart: seconds, or a displacement. */
export interface FeedWatch<V> {
  take(line: ReadingLine): void;
  view(): V;
  along(line: ReadingLine): number;
}

/** How a feed is watched; another key begins anew. */
export interface Follow<V> {
  readonly key: string;
  begin(): FeedWatch<V>;
}

/** A break watched by its load over time. */
export function followBreak(request: WatchRequest, unit: 'lbf' | 'kN'): Follow<PressView> {
  return {
    key: JSON.stringify([request, unit]),
    begin() {
      const watch = new PressWatch(request);
      return {
        take: (line) =>
          watch.take({
            seconds: line.t,
            load: loadIn(line.load, line.unit, unit),
            fine: line.fine,
            position: line.pos,
            shut: line.door,
            ...(line.stress === undefined
              ? {}
              : { shown: { stress: line.stress, load: loadIn(line.load, line.unit, 'kN') } }),
          }),
        view: () => watch.view(),
        along: ({ t }) => t,
      };
    },
  };
}

/** A bend watched by its load over the displacement; on the chart nothing stands left of the touch. */
export function followBend(request: BendWatchRequest, unit: 'lbf' | 'kN'): Follow<BendView> {
  return {
    key: JSON.stringify([request, unit]),
    begin() {
      const watch = new BendWatch(request);
      return {
        take: (line) =>
          watch.take({
            seconds: line.t,
            load: loadIn(line.load, line.unit, unit),
            position: line.pos,
            running: line.pump,
            stop: line.stop,
          }),
        view: () => watch.view(),
        along: ({ pos }) => watch.along(pos),
      };
    },
  };
}
