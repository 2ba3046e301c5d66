'use client';
import { Box, useTheme } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useLayoutEffect, useRef, useState } from 'react';
import { LANES, type Lane } from '@/core/waits/wait';
import { ageText, durationText } from '@/core/windows/duration-text';
import type { WindowState } from '@/core/windows/window-state';
import { MONO } from '../theme';
import { clock, dayTime } from '../time';
import type { DueSet } from './due-sets';

const HOUR = 3_600_000;
const BEFORE = 20 * HOUR;
const AFTER = 50 * HOUR;
const ROW = 26;
const LANE_HEAD = 60;
/** Of the label of a bracket, one sign; below this width the noons go unnamed. */
const SIGN = 7.6;
const NARROW = 600;

/** Time runs to the right, now stands still; each set waiting is a bracket from its opening to its closing. */
export function Ribbon({ sets, now, zone }: { sets: readonly DueSet[]; now: number; zone: string }) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1180);
  useLayoutEffect(() => {
    const element = frame.current;
    if (!element) return;
    const observer = new ResizeObserver(
      ([entry]) => entry && setWidth(Math.max(320, entry.contentRect.width)),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const { palette } = useTheme();
  const router = useRouter();
  const from = now - BEFORE;
  const to = now + AFTER;
  const x = (at: number): number => LANE_HEAD + ((at - from) / (to - from)) * (width - LANE_HEAD - 8);
  const shown = sets.filter((set) => endOf(set, to) > from && set.opensAt < to);
  const lanes = (Object.keys(LANES) as Lane[]).flatMap((lane) => {
    const own = shown.filter((set) => set.lane === lane);
    return own.length === 0 ? [] : [{ lane, rows: rowsOf(own, x, to) }];
  });
  let top = 26;
  const placed = lanes.map((lane) => {
    const y = top;
    top += Math.max(1, lane.rows.length) * ROW + 12;
    return { ...lane, y };
  });
  const height = top + 2;
  const colour: Record<WindowState, string> = {
    'not open yet': palette.text.secondary,
    open: palette.primary.main,
    closing: palette.warning.main,
    missed: palette.error.main,
    done: palette.success.main,
  };
  return (
    <Box
      ref={frame}
      component="section"
      aria-label="Windows around now; the same is listed below"
      sx={{ width: '100%', overflow: 'hidden' }}
    >
      {/* biome-ignore lint/a11y/noSvgWithoutTitle: named by its section; a title would hide those of the brackets */}
      <svg width={width} height={height} style={{ display: 'block' }}>
        {ticks(from, to, zone).map((tick) => (
          <g key={tick}>
            <line x1={x(tick)} x2={x(tick)} y1={20} y2={height} stroke={palette.divider} strokeWidth={1} />
            <text x={x(tick) + 4} y={14} fontSize={12} fill={palette.text.secondary}>
              {clock(tick, zone) === '00:00'
                ? dayTime(tick, zone).slice(0, -6)
                : width < NARROW
                  ? ''
                  : clock(tick, zone)}
            </text>
          </g>
        ))}
        {placed.map((lane) => (
          <g key={lane.lane}>
            <line x1={0} x2={width} y1={lane.y - 5} y2={lane.y - 5} stroke={palette.divider} />
            <text x={0} y={lane.y + 15} fontSize={13} fontWeight={700} fill={palette.text.primary}>
              {LANES[lane.lane]}
            </text>
            {lane.rows.flatMap((row, index) =>
              row.map((set) => {
                const left = Math.max(x(set.opensAt), LANE_HEAD);
                const right = Math.min(x(endOf(set, to)), width - 2);
                const y = lane.y + index * ROW;
                const label = labelOf(set);
                const solid = set.state === 'open' || set.state === 'closing';
                const inside = fits(label, right - left);
                return (
                  // biome-ignore lint/a11y/useSemanticElements: a link inside SVG cannot be a router link
                  <g
                    key={set.key}
                    role="link"
                    tabIndex={0}
                    style={{ cursor: 'pointer' }}
                    onClick={() => router.push(set.href)}
                    onKeyDown={(event) => event.key === 'Enter' && router.push(set.href)}
                  >
                    <title>{titleOf(set, now, set.zone ?? zone)}</title>
                    <rect
                      x={left}
                      y={y}
                      width={Math.max(2, right - left)}
                      height={19}
                      fill={solid ? colour[set.state] : palette.background.paper}
                      opacity={solid ? 0.92 : 1}
                    />
                    <path
                      d={`M${left + 6} ${y}H${left}v19h6${endsIn(set, to) ? `M${right - 6} ${y}h6v19h-6` : ''}`}
                      fill="none"
                      stroke={colour[set.state]}
                      strokeWidth={2}
                    />
                    {set.bestAt === null || x(set.bestAt) < LANE_HEAD || x(set.bestAt) > width ? null : (
                      <path d={`M${x(set.bestAt) - 4} ${y + 23}l4 -5l4 5z`} fill={colour[set.state]} />
                    )}
                    {set.state === 'missed' ? (
                      <line
                        x1={left}
                        x2={right}
                        y1={y + 10}
                        y2={y + 10}
                        stroke={colour.missed}
                        strokeWidth={2}
                      />
                    ) : null}
                    {set.state === 'done' ? (
                      <path
                        d={`M${left + 4} ${y + 10}l4 4 7-8`}
                        fill="none"
                        stroke={colour.done}
                        strokeWidth={2}
                      />
                    ) : null}
                    <text
                      x={inside ? (left + right) / 2 : right + 4}
                      y={y + 14}
                      fontSize={12}
                      textAnchor={inside ? 'middle' : 'start'}
                      fontFamily={MONO}
                      fill={inside && solid ? palette.primary.contrastText : palette.text.primary}
                    >
                      {label}
                    </text>
                  </g>
                );
              }),
            )}
          </g>
        ))}
        <line x1={x(now)} x2={x(now)} y1={0} y2={height} stroke={palette.text.primary} strokeWidth={2} />
        <text x={x(now) + 5} y={height - 4} fontSize={12} fontWeight={700} fill={palette.text.primary}>
          now
        </text>
      </svg>
    </Box>
  );
}

/** Where a bracket ends; what stays open until it is done goes on to the edge. */
function endOf({ closesAt, doneAt }: DueSet, edge: number): number {
  return closesAt ?? doneAt ?? edge;
}

function endsIn(set: DueSet, edge: number): boolean {
  return endOf(set, edge) < edge;
}

/** Its first specimen and how many more; where it has none, what is to be done. */
function labelOf({ waiting, specimens, what, ageHours }: DueSet): string {
  const first = waiting[0] ?? specimens[0];
  if (!first) return what;
  const more = specimens.length > 1 ? ` +${specimens.length - 1}` : '';
  return `${first.label}${more}${ageHours === null ? '' : ` ${ageText(ageHours)}`}`;
}

function titleOf(set: DueSet, now: number, zone: string): string {
  const { closesAt, state } = set;
  const what = set.ageHours === null ? set.what : `${set.what} at ${ageText(set.ageHours)}`;
  const to = closesAt === null ? '' : ` to ${dayTime(closesAt, zone)}`;
  const left =
    closesAt !== null && (state === 'open' || state === 'closing')
      ? `, ${durationText((closesAt - now) / 60_000)} left`
      : '';
  return `${set.place}, ${what.toLowerCase()}: ${dayTime(set.opensAt, zone)}${to}, ${state}${left}`;
}

/** True where a label stands inside its bracket; else it stands behind it. */
function fits(label: string, room: number): boolean {
  return room > label.length * SIGN + 10;
}

/** Puts brackets that overlap, or that a label reaches into, under each other, in as few rows as they need. */
function rowsOf(sets: readonly DueSet[], x: (at: number) => number, edge: number): DueSet[][] {
  const reach = (set: DueSet): number => {
    const [left, right] = [Math.max(x(set.opensAt), LANE_HEAD), x(endOf(set, edge))];
    const label = labelOf(set);
    return fits(label, right - left) ? right + 4 : right + 10 + label.length * SIGN;
  };
  const rows: DueSet[][] = [];
  for (const set of sets.toSorted((a, b) => a.opensAt - b.opensAt)) {
    const free = rows.find((row) => {
      const last = row.at(-1);
      return !last || reach(last) < x(set.opensAt);
    });
    if (free) free.push(set);
    else rows.push([set]);
  }
  return rows;
}

/** Midnights and noons of the zone's own clock. */
function ticks(from: number, to: number, zone: string): number[] {
  const first = Math.ceil(from / HOUR) * HOUR;
  const hours = Array.from({ length: Math.ceil((to - first) / HOUR) }, (_, index) => first + index * HOUR);
  return hours.filter((at) => ['00:00', '12:00'].includes(clock(at, zone)));
}
