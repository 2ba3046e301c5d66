import type { Drawing, Ink, Shape } from './drawing';

/** What was read at one point on one day. */
export interface ReportedVisit {
  /** ISO 8601. */
  readonly at: string;
  /** The day where the work is, as it heads a column: `4 Nov`. */
  readonly day: string;
  readonly value: number;
  /** As it is printed, a bound with its sign. */
  readonly text: string;
  /** It can still change, and decides nothing. */
  readonly open: boolean;
}

/** What was read at the same points again and again, and what it is held against. */
export interface ReportCourse {
  readonly title: string;
  readonly quantity: string;
  readonly unit: string;
  readonly limit: { readonly value: number; readonly holds: 'at least' | 'at most' } | null;
  readonly rows: readonly {
    readonly label: string;
    readonly visits: readonly ReportedVisit[];
  }[];
}

const WIDE = 500;
const HIGH = 190;
const [LEFT, RIGHT, TOP, FOOT] = [30, 96, 8, 18] as const;
const INKS: readonly Ink[] = ['line', 'ink', 'pass', 'quiet'];
const DASHES = [undefined, [6, 3], [2, 2], [8, 2, 2, 2]] as const;
const DAY = 86_400_000;
/** How far names at the ends of lines stay apart. */
const APART = 9;

/** The readings of each point over the days with their limit; a line joins readings of one point, nothing else. */
export function courseDrawing({ title, unit, limit, rows }: ReportCourse): Drawing {
  const visits = rows.flatMap((row) => row.visits);
  const times = visits.map(({ at }) => Date.parse(at));
  const values = [...visits.map(({ value }) => value), ...(limit ? [limit.value] : [])];
  const first = Math.min(...times);
  const days = Math.max(1, (Math.max(...times) - first) / DAY);
  const step = stepOf(Math.max(...values) - Math.min(...values));
  const low = Math.floor(Math.min(...values) / step) * step;
  const high = Math.max(low + step, Math.ceil(Math.max(...values) / step) * step);
  const x = (at: string): number => LEFT + ((WIDE - LEFT - RIGHT) * (Date.parse(at) - first)) / DAY / days;
  const y = (value: number): number => HIGH - FOOT - ((HIGH - FOOT - TOP) * (value - low)) / (high - low);
  const end = WIDE - RIGHT;
  const ticks = Array.from({ length: Math.round((high - low) / step) + 1 }, (_, place) => low + place * step);
  const names = spread(
    rows.flatMap(({ label, visits: own }, place) => {
      const last = own.at(-1);
      const text = `${shorter(label, rows)} ${last?.text}`;
      return last ? [{ at: y(last.value), text, ink: inkOf(place) }] : [];
    }),
  );
  return {
    width: WIDE,
    height: HIGH,
    words: `${title} at ${rows.length} points over ${days.toFixed(0)} days`,
    shapes: [
      ...ticks.flatMap((tick): Shape[] => [
        across(y(tick), end, 'rule', 0.5),
        {
          kind: 'text',
          at: { x: LEFT - 4, y: y(tick) + 3 },
          text: String(Number(tick.toFixed(6))),
          size: 8,
          ink: 'quiet',
          anchor: 'end',
        },
      ]),
      ...(limit
        ? [
            { ...across(y(limit.value), end, 'stop', 1.2), dash: [7, 4] },
            {
              kind: 'text' as const,
              at: { x: LEFT + 4, y: y(limit.value) - 3 },
              text: `${limit.value} ${unit} ${limit.holds}`,
              size: 8,
              ink: 'stop' as const,
            },
          ]
        : []),
      ...rows.flatMap(({ visits: own }, place): Shape[] => {
        const dash = DASHES[Math.floor(place / INKS.length) % DASHES.length];
        const through = own.map(({ at, value }) => ({ x: x(at), y: y(value) }));
        return [
          { kind: 'path', through, stroke: inkOf(place), width: 1.3, ...(dash ? { dash } : {}) },
          ...own.map(
            ({ at, value, open }): Shape => ({
              kind: 'circle',
              at: { x: x(at), y: y(value) },
              r: 2.4,
              stroke: inkOf(place),
              width: 1,
              // What can still change is hollow.
              fill: open ? 'paper' : inkOf(place),
            }),
          ),
        ];
      }),
      ...names.map(
        ({ at, text, ink }): Shape => ({ kind: 'text', at: { x: end + 6, y: at + 3 }, text, size: 8, ink }),
      ),
      ...dayMarks(visits, x),
    ],
  };
}

const inkOf = (place: number): Ink => INKS[place % INKS.length] ?? 'ink';

function across(y: number, end: number, stroke: Ink, width: number) {
  return {
    kind: 'path',
    through: [
      { x: LEFT, y },
      { x: end, y },
    ],
    stroke,
    width,
  } as const;
}

/** A label without its job, and without its sample where no other sample has one like it. */
function shorter(label: string, rows: ReportCourse['rows']): string {
  const tail = (text: string, parts: number): string => text.split('-').slice(-parts).join('-');
  return tail(label, rows.filter((row) => tail(row.label, 1) === tail(label, 1)).length > 1 ? 2 : 1);
}

/** Each day that something was read on, as far as their names find room. */
function dayMarks(visits: readonly ReportedVisit[], x: (at: string) => number): Shape[] {
  const marks: { at: number; text: string }[] = [];
  for (const { at, day } of visits.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at)))
    if (x(at) - (marks.at(-1)?.at ?? Number.NEGATIVE_INFINITY) >= 36) marks.push({ at: x(at), text: day });
  return marks.map(({ at, text }) => ({
    kind: 'text',
    at: { x: at, y: HIGH - 5 },
    text,
    size: 8,
    ink: 'quiet',
    anchor: 'middle',
  }));
}

/** Names moved apart downward, from the highest. */
function spread<T extends { readonly at: number }>(names: readonly T[]): T[] {
  const placed: T[] = [];
  for (const name of names.toSorted((a, b) => a.at - b.at))
    placed.push({ ...name, at: Math.max(name.at, (placed.at(-1)?.at ?? Number.NEGATIVE_INFINITY) + APART) });
  return placed;
}

/** A round step that divides a range into about five. */
function stepOf(range: number): number {
  const rough = Math.max(range, 1e-6) / 5;
  const power = 10 ** Math.floor(Math.log10(rough));
  return power * ([1, 2, 5, 10].find((each) => each * power >= rough) ?? 10);
}

/** So many days stand side by side on a page. */
const DAYS_SHOWN = 7;

/** What was read by point and day, the newest days where there are many; with what has to be said of it. */
export function courseTable({ unit, limit, rows }: ReportCourse) {
  const days = [
    ...new Set(
      rows
        .flatMap(({ visits }) => visits)
        .toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at))
        .map(({ day }) => day),
    ),
  ];
  const shown = days.slice(-DAYS_SHOWN);
  const open = rows.some(({ visits }) => visits.some((visit) => visit.open));
  return {
    days: shown,
    rows: rows.map(({ label, visits }) => [
      label,
      ...shown.map((day) =>
        visits
          .filter((visit) => visit.day === day)
          .map((visit) => (visit.open ? `(${visit.text})` : visit.text))
          .join(', '),
      ),
    ]),
    notes: [
      `In ${unit}${limit ? `, ${limit.value} ${unit} ${limit.holds}` : ''}.`,
      ...(open ? ['In brackets: it can still change and decides nothing.'] : []),
      ...(days.length > shown.length
        ? [`Only the last ${DAYS_SHOWN} of ${days.length} days; the curves show all of them.`]
        : []),
    ],
  };
}
