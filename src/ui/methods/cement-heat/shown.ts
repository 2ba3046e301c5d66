import type { DrawnCell, DrawnMark } from '@/core/methods/cement-heat/read-picture';

/** What of a curve is shown: its power, the heat so far, or its power as a share of its maximum. */
export type Shown = 'power' | 'heat' | 'share';
export const UNIT_OF: Readonly<Record<Shown, string>> = {
  power: 'mW to a gram of cement',
  heat: 'J to a gram of cement',
  share: 'share of its maximum',
};

/** The points of a curve as they are shown; heat is added up from when it is trusted on. */
export function shownOf(
  points: DrawnCell['points'],
  marks: readonly DrawnMark[],
  shown: Shown,
  from: number,
): { x: number; y: number }[] {
  if (shown !== 'heat') {
    const most = shown === 'share' ? marks.find(({ mark }) => mark === 'main')?.power : 1;
    return most ? points.flatMap(([x, y]) => (x >= Math.min(from, 0.5) ? [{ x, y: y / most }] : [])) : [];
  }
  let sum = 0;
  let before: readonly [number, number] | undefined;
  return points.flatMap((point) => {
    const [at, power] = point;
    if (at < from) return [];
    if (before) sum += (3.6 * (at - before[0]) * (power + before[1])) / 2;
    before = point;
    return [{ x: at, y: sum }];
  });
}

export const MARK_WORDS: Readonly<Record<DrawnMark['mark'], string>> = {
  lowest: 'Bottom of the induction',
  ends: 'End of the induction',
  half: 'Half of the maximum',
  main: 'Main maximum',
  'used-up': 'Sulfate used up',
  second: 'Second maximum or shoulder',
};
