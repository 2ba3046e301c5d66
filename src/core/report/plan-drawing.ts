import type { Outline, Spot } from '../plan/geometry';
import { sidesOf } from '../plan/geometry';
import { markOf } from '../plan/mark';
import type { Flag } from '../plan/plan';
import type { System } from '../quantity';
import type { Drawing, Ink, Shape } from './drawing';

/** A point of a floor as a report shows it; its place in m. */
export interface ReportedPoint {
  readonly label: string;
  readonly short: string;
  readonly at: Spot;
  /** What was read there last; null for one that was not read. */
  readonly value: string | null;
  readonly stands: 'holds' | 'does not hold' | 'told' | null;
}

/** A floor as it is drawn in a report; m. */
export interface ReportedPlan {
  readonly width: number;
  readonly height: number;
  readonly zones: readonly {
    readonly name: string;
    readonly outline: Outline;
    readonly walls: readonly number[];
  }[];
  readonly corridors: readonly { readonly what: string; readonly outline: Outline }[];
  readonly flags: readonly Flag[];
  readonly points: readonly ReportedPoint[];
  /** Points that nobody gave a place, by their labels. */
  readonly unplaced: readonly string[];
  /** The picture it was drawn over. */
  readonly picture: {
    readonly id: string;
    readonly name: string;
    readonly mime: string;
    readonly sha256: string;
  } | null;
}

/** What the picture under a plan takes of its drawing; as wide as a page is printed, no higher than half of one. */
const WIDE = 500;
const HIGH = 380;
const FOOT = 0.3048;

/**
 * A floor with its zones, walls, corridors and what was read at each point; nothing is drawn between two points.
 * @param plan in m @param system of the bar that tells its scale
 */
export function planDrawing(plan: ReportedPlan, system: System): Drawing {
  const scale = Math.min(WIDE / plan.width, HIGH / plan.height);
  const [width, height] = [plan.width * scale, plan.height * scale];
  const on = ({ x, y }: Spot): Spot => ({ x: x * scale, y: y * scale });
  const below = height + 16;
  const bar = barOf(plan.width, system);
  return {
    width,
    height: below + 4,
    words: `Plan with ${plan.zones.length} ${plan.zones.length === 1 ? 'zone' : 'zones'} and ${plan.points.length} points`,
    shapes: [
      ...plan.zones.flatMap(({ name, outline, walls }): Shape[] => [
        {
          kind: 'path',
          through: outline.map(on),
          closed: true,
          stroke: 'line',
          width: 1,
          fill: 'line',
          opacity: 0.06,
        },
        ...sidesOf(outline).flatMap((side, place): Shape[] =>
          walls.includes(place) ? [{ kind: 'path', through: side.map(on), stroke: 'ink', width: 3 }] : [],
        ),
        textAt(on(outline[0] ?? { x: 0, y: 0 }), [6, 12], name, 'line', 9),
      ]),
      ...plan.corridors.flatMap(({ what, outline }): Shape[] => [
        {
          kind: 'path',
          through: outline.map(on),
          closed: true,
          stroke: 'stop',
          width: 0.8,
          dash: [5, 3],
          fill: 'stop',
          opacity: 0.12,
        },
        textAt(on(outline[0] ?? { x: 0, y: 0 }), [3, 9], `${what}: no hole`, 'stop', 7.5),
      ]),
      ...plan.flags.flatMap(({ what, at }): Shape[] => {
        const { x, y } = on(at);
        const through = [
          { x, y },
          { x, y: y - 14 },
          { x: x - 9, y: y - 10.5 },
          { x, y: y - 7 },
        ];
        return [
          { kind: 'path', through, stroke: 'quiet', width: 1, fill: 'quiet' },
          // To the left: the point that is set at it has its number on the right.
          { ...textAt({ x, y }, [-7, 2.5], what, 'quiet', 7.5), anchor: 'end' },
        ];
      }),
      ...plan.points.flatMap((point) => pointShapes(point, on(point.at))),
      { kind: 'path', through: rectangle(width, height), closed: true, stroke: 'ink', width: 1 },
      {
        kind: 'path',
        through: [
          { x: 0, y: below },
          { x: bar.metres * scale, y: below },
        ],
        stroke: 'ink',
        width: 1.5,
      },
      textAt({ x: bar.metres * scale, y: below }, [5, 3], bar.text, 'ink', 8),
    ],
  };
}

function textAt(
  { x, y }: Spot,
  [right, down]: readonly [number, number],
  text: string,
  ink: Ink,
  size: number,
) {
  return { kind: 'text', at: { x: x + right, y: y + down }, text, size, ink } as const;
}

function rectangle(width: number, height: number): Outline {
  return [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
}

const R = 4.2;

/** A point: filled where it was read, crossed where it does not hold, with its label and what was read. */
function pointShapes({ short, value, stands }: ReportedPoint, at: Spot): Shape[] {
  const ink = stands === 'does not hold' ? 'stop' : stands === 'holds' ? 'pass' : 'ink';
  const mark = markOf(short);
  const fill = value === null ? 'paper' : ink;
  const width = mark === 'ring' ? 2 : 1;
  const corners = mark === 'square' ? [1, 1, -1, 1, -1, -1, 1, -1] : [0, 1.4, -1.4, 0, 0, -1.4, 1.4, 0];
  const shape: Shape =
    mark === 'circle' || mark === 'ring'
      ? { kind: 'circle', at, r: R, stroke: ink, width, fill }
      : {
          kind: 'path',
          through: [0, 2, 4, 6].map((place) => ({
            x: at.x + R * (corners[place] ?? 0),
            y: at.y + R * (corners[place + 1] ?? 0),
          })),
          closed: true,
          stroke: ink,
          width,
          fill,
        };
  const cross = [-1, 1].map(
    (way): Shape => ({
      kind: 'path',
      through: [
        { x: at.x - 1.7 * R, y: at.y - way * 1.7 * R },
        { x: at.x + 1.7 * R, y: at.y + way * 1.7 * R },
      ],
      stroke: 'stop',
      width: 1.2,
    }),
  );
  return [
    shape,
    ...(stands === 'does not hold' ? cross : []),
    textAt(at, [R + 4, -2], short, 'ink', 8),
    ...(value === null ? [] : [{ ...textAt(at, [R + 4, 8], value, ink, 9), bold: true } as const]),
  ];
}

/** A round length of about a sixth of a plan. */
function barOf(width: number, system: System): { readonly metres: number; readonly text: string } {
  const unit = system === 'US' ? FOOT : 1;
  const most = width / 6 / unit;
  const power = 10 ** Math.floor(Math.log10(most));
  const round = ([5, 2, 1].find((each) => each * power <= most) ?? 1) * power;
  return { metres: round * unit, text: `${round} ${system === 'US' ? 'ft' : 'm'}` };
}
