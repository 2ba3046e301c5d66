import type { Drawing, Shape } from '../../report/drawing';
import type { MethodDrawing, Picture } from '../contract';
import { readRows } from '../picture-rows';

/** One crack as it was probed; places in in or mm from the spigot. */
export interface BarrelCrack {
  readonly where: string;
  readonly probes: readonly { readonly at: number; readonly enters: boolean }[];
  readonly says: string;
  readonly run: readonly [number, number] | null;
  /** Where to probe on. */
  readonly next: readonly number[];
}

/** A barrel with its cracks; overall length and the most from probe to probe in in or mm. */
export interface BarrelAbout {
  readonly long: number;
  readonly unit: string;
  readonly gap: number;
  readonly cracks: readonly BarrelCrack[];
}

/** Where a crack lies round the barrel, as it is unrolled from invert to invert. */
const ROWS = [
  { id: 'invert', word: 'invert, inside', y: 26 },
  { id: 'left', word: 'left, outside', y: 56 },
  { id: 'crown', word: 'crown, inside', y: 86 },
  { id: 'right', word: 'right, outside', y: 116 },
] as const;
const WIDE = 620;
const LEFT = 96;
const RIGHT = WIDE - 12;
const HIGH = 154;

/** The cracks that a picture carries. */
export function cracksIn(packed: unknown): BarrelCrack[] {
  return readRows(packed).map(([where = '', probes = '', says = '', run = '', next = '']) => ({
    where,
    probes: probes
      .split(' ')
      .filter(Boolean)
      .map((pair) => {
        const [at, enters] = pair.split(':');
        return { at: Number(at), enters: enters === '1' };
      })
      .toSorted((a, b) => a.at - b.at),
    says,
    run: run === '' ? null : [Number(run.split(' ')[0]), Number(run.split(' ')[1])],
    next: next.split(' ').filter(Boolean).map(Number),
  }));
}

/** The barrel that a picture carries; undefined while its length is not known. */
export function barrelOf({ values }: Picture): BarrelAbout | undefined {
  const { overall, unit, gap, cracks } = values;
  return typeof overall === 'number' && typeof gap === 'number'
    ? { long: overall, unit: String(unit), gap, cracks: cracksIn(cracks) }
    : undefined;
}

/**
 * The place on the barrel under a place of its drawing, in whole steps.
 * @param share 0 to 1, from the left of the drawing to its right
 * @returns in or mm; undefined beside the barrel
 */
export function placeUnder(
  share: number,
  { long, unit }: Pick<BarrelAbout, 'long' | 'unit'>,
): number | undefined {
  const step = unit === 'in' ? 1 : 25;
  const at = ((share * WIDE - LEFT) / (RIGHT - LEFT)) * long;
  return at >= 0 && at <= long ? Math.round(at / step) * step : undefined;
}

/** The barrel unrolled, spigot at the left: places that were probed, the runs that they make, and where to probe on. */
export function barrelDrawing({ long, unit, gap, cracks }: BarrelAbout): Drawing {
  const x = (at: number): number => LEFT + (at / long) * (RIGHT - LEFT);
  const marks = unit === 'in' ? 12 : 500;
  const says = cracks.map(
    ({ where, probes, says: told }) => `${where || 'crack'}: ${probes.length} probes, ${told}`,
  );
  const line = (from: readonly [number, number], to: readonly [number, number]) => [
    { x: from[0], y: from[1] },
    { x: to[0], y: to[1] },
  ];
  return {
    width: WIDE,
    height: HIGH,
    words: `Barrel unrolled, ${long} ${unit} long. ${says.join('; ') || 'Nothing probed yet'}`,
    shapes: [
      {
        kind: 'path',
        through: [...line([LEFT, 8], [RIGHT, 8]), ...line([RIGHT, 132], [LEFT, 132])],
        closed: true,
        stroke: 'ink',
        width: 1,
      },
      ...Array.from({ length: Math.floor(long / marks) + 1 }, (_, place) => place * marks).flatMap(
        (at): Shape[] => [
          { kind: 'path', through: line([x(at), 128], [x(at), 136]), stroke: 'quiet', width: 1 },
          {
            ...{ kind: 'text', at: { x: x(at), y: 148 }, text: String(at), size: 11, ink: 'quiet' },
            anchor: 'middle',
          },
        ],
      ),
      ...ROWS.flatMap(({ word, y }): Shape[] => [
        { kind: 'path', through: line([LEFT, y], [RIGHT, y]), stroke: 'rule', width: 1, dash: [2, 4] },
        {
          ...{ kind: 'text', at: { x: LEFT - 6, y: y + 4 }, text: word, size: 11, ink: 'quiet' },
          anchor: 'end',
        },
      ]),
      ...cracks.flatMap((crack) => crackShapes(crack, x, gap)),
    ],
  };
}

function crackShapes(
  { where, probes, says, run, next }: BarrelCrack,
  x: (at: number) => number,
  gap: number,
): Shape[] {
  const y = ROWS.find(({ id }) => id === where)?.y ?? ROWS[0].y;
  const joined = probes.slice(1).flatMap((probe, place): Shape[] => {
    const from = probes[place];
    if (!from?.enters || !probe.enters) return [];
    const through = [
      { x: x(from.at), y },
      { x: x(probe.at), y },
    ];
    return [
      probe.at - from.at <= gap + 1e-9
        ? { kind: 'path', through, stroke: 'stop', width: 4 }
        : { kind: 'path', through, stroke: 'warn', width: 2, dash: [3, 3] },
    ];
  });
  const [begin, end] = run ?? [];
  return [
    ...joined,
    ...(begin === undefined || end === undefined
      ? []
      : [
          {
            kind: 'path' as const,
            through: [
              { x: x(begin), y: y - 11 },
              { x: x(begin), y: y - 15 },
              { x: x(end), y: y - 15 },
              { x: x(end), y: y - 11 },
            ],
            stroke: 'stop' as const,
            width: 1.5,
          },
        ]),
    ...probes.map(({ at, enters }): Shape => {
      const look = enters
        ? ({ r: 4.5, stroke: 'stop', width: 0, fill: 'stop' } as const)
        : ({ r: 4, stroke: 'ink', width: 1.5, fill: 'paper' } as const);
      return { kind: 'circle', at: { x: x(at), y }, ...look };
    }),
    ...(says === 'probe on'
      ? next.map(
          (at): Shape => ({
            kind: 'path',
            through: [
              { x: x(at), y: y - 7 },
              { x: x(at) - 5, y: y - 16 },
              { x: x(at) + 5, y: y - 16 },
            ],
            closed: true,
            fill: 'warn',
          }),
        )
      : []),
  ];
}

/** What a report draws of a pipe: its barrel with each place that was probed, which stand beside it in words. */
export function draws(picture: Picture): readonly MethodDrawing[] {
  const barrel = barrelOf(picture);
  if (!barrel || barrel.cracks.length === 0) return [];
  const places = (probes: BarrelCrack['probes'], enters: boolean): string =>
    probes
      .filter((probe) => probe.enters === enters)
      .map(({ at }) => at)
      .join(', ');
  const words = (probes: BarrelCrack['probes']): string => {
    const not = places(probes, false);
    return `the leaf enters at ${places(probes, true) || 'no place'}${not ? `, not at ${not}` : ''}`;
  };
  return [
    {
      title: 'Probes along the barrel',
      drawing: barrelDrawing(barrel),
      notes: barrel.cracks.map(
        ({ where, probes, says }) =>
          `${where || 'Crack'}, ${barrel.unit} from the spigot: ${words(probes)}; ${says}.`,
      ),
    },
  ];
}
