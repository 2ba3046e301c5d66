import type { Spot } from '../../plan/geometry';
import { type Drawing, type Ink, type Shape, tenth } from '../../report/drawing';
import type { MethodDrawing, Picture } from '../contract';
import { type DrawnCell, readHeatPicture } from './read-picture';

const WIDE = 500;
const HIGH = 190;
const [LEFT, RIGHT, TOP, FOOT] = [30, 110, 10, 22] as const;
const INKS: readonly Ink[] = ['line', 'ink', 'pass', 'warn', 'quiet'];
/** Hours that are drawn at the most: behind them nothing is seen of a curve. */
const SHOWN = 48;

/** The curves of a test of heat for a report, with half of the maximum and the maximum of each. */
export function drawsHeat(picture: Picture): readonly MethodDrawing[] {
  const drawn = readHeatPicture(picture);
  const cells = drawn.cells.filter(({ points }) => points.length > 1);
  if (cells.length === 0) return [];
  const moved = cells.flatMap(({ name, marks }) =>
    marks.flatMap(({ mark, at, was, why }) =>
      why
        ? [
            `Cell ${name}: ${mark} put to ${at.toFixed(2)} h${was === undefined ? '' : `, found at ${was.toFixed(2)} h`}: ${why}`,
          ]
        : [],
    ),
  );
  return [
    {
      title: 'Power to a gram of cement',
      drawing: curves(cells, drawn.from),
      notes: [
        `mW to a gram of cement over hours since water met cement${drawn.bath === undefined ? '' : `, at ${drawn.bath} °C`}; a circle at half of the maximum and at the maximum. Heat is added up from ${(drawn.from * 60).toFixed(0)} min on.`,
        ...moved,
      ],
    },
  ];
}

function curves(cells: readonly DrawnCell[], from: number): Drawing {
  const seen = (cell: DrawnCell) => cell.points.filter(([at]) => at >= from && at <= SHOWN);
  const all = cells.flatMap(seen);
  const [long, high] = [
    Math.max(12, ...all.map(([at]) => at)),
    Math.max(1, Math.ceil(Math.max(...all.map(([, power]) => power)) * 1.05)),
  ];
  const end = WIDE - RIGHT;
  const spot = (at: number, power: number): Spot => ({
    x: tenth(LEFT + ((end - LEFT) * at) / long),
    y: tenth(HIGH - FOOT - ((HIGH - FOOT - TOP) * Math.max(power, 0)) / high),
  });
  const text = (at: Spot, words: string, ink: Ink, anchor?: 'end' | 'middle'): Shape => ({
    ...{ kind: 'text', at, text: words, size: 8, ink },
    ...(anchor ? { anchor } : {}),
  });
  const rows = Array.from({ length: high + 1 }, (_, power) => power);
  const columns = Array.from({ length: Math.floor(long / 6) + 1 }, (_, place) => place * 6);
  return {
    width: WIDE,
    height: HIGH,
    words: `Power of ${cells.length} cells over ${long.toFixed(0)} h`,
    shapes: [
      ...rows.flatMap((power): Shape[] => [
        { kind: 'path', through: [spot(0, power), spot(long, power)], stroke: 'rule', width: 0.5 },
        text({ x: LEFT - 4, y: spot(0, power).y + 3 }, String(power), 'quiet', 'end'),
      ]),
      ...columns.map(
        (at): Shape => text({ x: spot(at, 0).x, y: HIGH - FOOT + 10 }, String(at), 'quiet', 'middle'),
      ),
      text({ x: (LEFT + end) / 2, y: HIGH - 2 }, 'h since the water', 'quiet', 'middle'),
      ...cells.flatMap((cell, place): Shape[] => {
        const ink = INKS[place % INKS.length] ?? 'ink';
        const points = seen(cell);
        const marked = cell.marks.filter(({ mark }) => mark === 'main' || mark === 'half');
        return [
          {
            ...{ kind: 'path', stroke: ink, width: 1.3 },
            through: points.map(([at, power]) => spot(at, power)),
            ...(place >= INKS.length ? { dash: [5, 3] } : {}),
          },
          ...marked.map(
            ({ at, power }): Shape => ({
              kind: 'circle',
              at: spot(at, power),
              r: 2.4,
              stroke: ink,
              width: 1,
              fill: 'paper',
            }),
          ),
          text({ x: end + 6, y: TOP + 8 + place * 11 }, `${cell.name} ${cell.what}`.slice(0, 24), ink),
        ];
      }),
    ],
  };
}
