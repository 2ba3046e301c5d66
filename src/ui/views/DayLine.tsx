'use client';
import { Box, useTheme } from '@mui/material';
import { EVENTS, type EventId, type Stamps } from '@/core/clocks';
import { clock } from '../time';
import { useNow } from '../use-now';

interface Props {
  readonly zone: string;
  readonly now: number;
  readonly loads: readonly { readonly name: string; readonly arrivedAt: number }[];
  readonly samples: readonly {
    readonly label: string;
    readonly load: string | null;
    readonly stamps: Stamps;
    readonly sampledAt: number;
  }[];
  readonly weather: readonly { readonly at: number; readonly text: string }[];
}

const ROW = 30;
const LEFT = 150;
const WIDTH = 1000;
const MARGIN_MS = 12 * 60_000;
const HOUR = 3_600_000;
/** Longer than this the line ends with the last thing that happened, not with now. */
const LIVE_MS = 3 * HOUR;

/** What is drawn as a span: the work between two stamps, with its colour. */
const SPANS: readonly (readonly [EventId, EventId, 'sample' | 'test' | 'mould'])[] = [
  ['first-portion', 'final-portion', 'sample'],
  ['slump-fill', 'slump-read', 'test'],
  ['flow-fill', 'flow-read', 'test'],
  ['air-fill', 'air-read', 'test'],
  ['moulding-start', 'moulded', 'mould'],
];
const TICKS: readonly EventId[] = [
  'temperature-read',
  'composite',
  'covered',
  'in-initial-cure',
  'density-weighed',
];

/** All of a placement's day on one line of time: trucks in order, samples with their tests, the weather. */
export function DayLine({ zone, now: initial, loads, samples, weather }: Props) {
  const { palette } = useTheme();
  const now = useNow(initial, 10_000);
  const onDay = (stamps: Stamps): number[] =>
    Object.entries(stamps)
      .filter(
        ([event]) =>
          !['collected', 'left-site', 'received', 'demoulded', 'in-final-cure', 'final-set'].includes(event),
      )
      .map(([, at]) => at ?? 0);
  const times = [
    ...loads.map(({ arrivedAt }) => arrivedAt),
    ...samples.flatMap(({ stamps, sampledAt }) => [sampledAt, ...onDay(stamps)]),
    ...weather.map(({ at }) => at),
  ];
  if (times.length === 0) return null;
  const first = Math.min(...times) - MARGIN_MS;
  const last = Math.max(...times);
  const end = (now - last < LIVE_MS ? Math.max(now, last) : last) + MARGIN_MS;
  const x = (at: number): number => LEFT + ((at - first) / (end - first)) * (WIDTH - LEFT - 10);
  const span = (end - first) / HOUR;
  // However long the line, a dozen marks and no more.
  const step =
    [0.25, 0.5, 1, 2, 4, 8, 24].find((hours) => span / hours <= 12) ?? Math.ceil(span / 12 / 24) * 24;
  const marks: number[] = [];
  for (let at = Math.ceil(first / (step * HOUR)) * step * HOUR; at < end; at += step * HOUR) marks.push(at);
  const rows = [
    ...(loads.length > 0 ? ['Trucks'] : []),
    ...samples.map(({ label }) => label),
    ...(weather.length > 0 ? ['Weather'] : []),
  ];
  const height = 34 + rows.length * ROW + 8;
  const y = (row: string): number => 34 + rows.indexOf(row) * ROW;
  const colour = { sample: palette.text.secondary, test: palette.primary.main, mould: palette.warning.main };
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        width="100%"
        style={{ minWidth: 720 }}
        role="img"
        aria-label={`The day from ${clock(first, zone)} to ${clock(end, zone)}: ${loads.length} trucks, ${samples.length} samples, ${weather.length} weather readings`}
      >
        {marks.map((at) => (
          <g key={at}>
            <line x1={x(at)} x2={x(at)} y1="24" y2={height} stroke={palette.divider} />
            <text x={x(at)} y="16" fontSize="12" textAnchor="middle" fill={palette.text.secondary}>
              {clock(at, zone)}
            </text>
          </g>
        ))}
        {rows.map((row) => (
          <text key={row} x="0" y={y(row) + 19} fontSize="13" fill={palette.text.primary}>
            {row}
          </text>
        ))}
        {loads.map(({ name, arrivedAt }) => (
          <g key={name}>
            <title>{`Truck ${name}, ${clock(arrivedAt, zone)}`}</title>
            <rect
              x={x(arrivedAt) - 11}
              y={y('Trucks') + 4}
              width="22"
              height="20"
              fill={palette.background.default}
              stroke={palette.text.primary}
            />
            <text
              x={x(arrivedAt)}
              y={y('Trucks') + 19}
              fontSize="12"
              textAnchor="middle"
              fill={palette.text.primary}
            >
              {name}
            </text>
          </g>
        ))}
        {samples.map(({ label, load, stamps, sampledAt }) => (
          <g key={label}>
            <text x={LEFT - 62} y={y(label) + 19} fontSize="12" fill={palette.text.secondary}>
              {load ? `truck ${load}` : ''}
            </text>
            {SPANS.map(([from, to, kind]) => {
              const start = stamps[from];
              const stop = stamps[to];
              if (start === undefined || stop === undefined || stop < start) return null;
              return (
                <rect
                  key={from}
                  x={x(start)}
                  y={y(label) + 7}
                  width={Math.max(3, x(stop) - x(start))}
                  height="14"
                  fill={colour[kind]}
                >
                  <title>{`${EVENTS[from]} ${clock(start, zone)} to ${clock(stop, zone)}`}</title>
                </rect>
              );
            })}
            <path
              d={`M${x(stamps['final-portion'] ?? sampledAt)} ${y(label) + 4}l5 10l-5 10l-5 -10z`}
              fill={palette.text.primary}
            >
              <title>{`Sample ${clock(stamps['final-portion'] ?? sampledAt, zone)}`}</title>
            </path>
            {TICKS.map((event) => {
              const at = stamps[event];
              return at === undefined ? null : (
                <line
                  key={event}
                  x1={x(at)}
                  x2={x(at)}
                  y1={y(label) + 3}
                  y2={y(label) + 25}
                  stroke={palette.error.main}
                  strokeWidth="1.5"
                >
                  <title>{`${EVENTS[event]} ${clock(at, zone)}`}</title>
                </line>
              );
            })}
          </g>
        ))}
        {weather.map(({ at, text }) => (
          <g key={at}>
            <circle cx={x(at)} cy={y('Weather') + 14} r="5" fill={palette.primary.main} />
            <text x={x(at) + 9} y={y('Weather') + 19} fontSize="12" fill={palette.text.primary}>
              {text}
            </text>
          </g>
        ))}
        {now < end ? (
          <g>
            <line x1={x(now)} x2={x(now)} y1="22" y2={height} stroke={palette.text.primary} strokeWidth="2" />
            <text x={x(now)} y={height - 1} fontSize="12" textAnchor="end" fill={palette.text.primary}>
              now
            </text>
          </g>
        ) : null}
      </svg>
    </Box>
  );
}
