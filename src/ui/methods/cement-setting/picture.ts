import type { Picture } from '@/core/methods';
import { readRows } from '@/core/methods/picture-rows';

/** A fall as the picture carries it. */
export interface DrawnFall {
  readonly minutes: number;
  readonly depth: number;
  readonly x: number | null;
  readonly y: number | null;
  readonly circle: string;
  readonly why: string;
}

/** The picture of a ring, typed. */
export interface SettingPicture {
  readonly mark: number;
  readonly ring: number;
  readonly space: number;
  readonly wall: number;
  readonly radius: number;
  readonly next: { readonly x: number; readonly y: number } | null;
  readonly contact: number | null;
  readonly nextAt: number | null;
  readonly initial: number | null;
  readonly final: number | null;
  /** Minute of the fall that two others have to confirm, and how many are missing. */
  readonly confirm: number | null;
  readonly more: number | null;
  readonly within: number;
  readonly likelyInitial: number | null;
  readonly likelyFinal: number | null;
  readonly falls: readonly DrawnFall[];
}

/** The picture as it was drawn by its method. */
export function settingPicture({ values }: Picture): SettingPicture {
  const of = (name: string): number | null => {
    const value = values[name];
    return typeof value === 'number' ? value : null;
  };
  const [x, y] = [of('nextX'), of('nextY')];
  const place = (text: string): number | null => (text === '' ? null : Number(text));
  return {
    mark: of('mark') ?? 25,
    ring: of('ring') ?? 40,
    space: of('space') ?? 5,
    wall: of('wall') ?? 10,
    radius: of('radius') ?? 30,
    next: x === null || y === null ? null : { x, y },
    contact: of('contact'),
    nextAt: of('nextAt'),
    initial: of('initial'),
    final: of('final'),
    confirm: of('confirm'),
    more: of('more'),
    within: of('within') ?? 90,
    likelyInitial: of('likelyInitial'),
    likelyFinal: of('likelyFinal'),
    falls: readRows(values.falls).map(
      ([minutes = '', depth = '', right = '', up = '', circle = '', why = '']) => ({
        ...{ minutes: Number(minutes), depth: Number(depth), circle, why },
        ...{ x: place(right), y: place(up) },
      }),
    ),
  };
}
