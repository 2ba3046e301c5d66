'use client';
import { Box, useTheme } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useLayoutEffect, useRef, useState } from 'react';
import { ageText, durationText } from '@/core/windows/duration-text';
import type { WindowState } from '@/core/windows/window-state';
import { MONO } from '../theme';
import { clock, dayTime } from '../time';
import type { DueSet } from './due-sets';

const HOUR = 3_600_000;
const BEFORE = 20 * HOUR;
const AFTER = 50 * HOUR;
const ROW = 26;
const LANE_HEAD = 92;

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
  const shown = sets.filter((set) => set.closesAt > from && set.opensAt < to);
  const lanes = [...new Set(shown.map((set) => set.ageHours))]
    .toSorted((a, b) => a - b)
    .map((age) => ({
      age,
      rows: rowsOf(
        shown.filter((set) => set.ageHours === age),
        x,
      ),
    }));
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
              {clock(tick, zone) === '00:00' ? dayTime(tick, zone).slice(0, -6) : clock(tick, zone)}
            </text>
          </g>
        ))}
        {placed.map((lane) => (
          <g key={lane.age}>
            <line x1={0} x2={width} y1={lane.y - 5} y2={lane.y - 5} stroke={palette.divider} />
            <text x={0} y={lane.y + 15} fontSize={13} fontWeight={700} fill={palette.text.primary}>
              {`Press ${ageText(lane.age)}`}
            </text>
            {lane.rows.flatMap((row, index) =>
              row.map((set) => {
                const left = Math.max(x(set.opensAt), LANE_HEAD);
                const right = Math.min(x(set.closesAt), width - 2);
                const y = lane.y + index * ROW;
                const label = `${(set.waiting[0] ?? set.specimens[0])?.label ?? ''}${set.specimens.length > 1 ? ` +${set.specimens.length - 1}` : ''}`;
                const solid = set.state === 'open' || set.state === 'closing';
                const inside = right - left > label.length * 7.6 + 10;
                return (
                  // biome-ignore lint/a11y/useSemanticElements: a link inside SVG cannot be a router link
                  <g
                    key={set.key}
                    role="link"
                    tabIndex={0}
                    style={{ cursor: 'pointer' }}
                    onClick={() => router.push(`/samples/${set.sampleId}`)}
                    onKeyDown={(event) => event.key === 'Enter' && router.push(`/samples/${set.sampleId}`)}
                  >
                    <title>{`${set.element}, ${ageText(set.ageHours)}: ${dayTime(set.opensAt, zone)} to ${dayTime(set.closesAt, zone)}, ${set.state}${solid ? `, ${durationText((set.closesAt - now) / 60_000)} left` : ''}`}</title>
                    <rect
                      x={left}
                      y={y}
                      width={Math.max(2, right - left)}
                      height={19}
                      fill={solid ? colour[set.state] : palette.background.paper}
                      opacity={solid ? 0.92 : 1}
                    />
                    <path
                      d={`M${left + 6} ${y}H${left}v19h6M${right - 6} ${y}h6v19h-6`}
                      fill="none"
                      stroke={colour[set.state]}
                      strokeWidth={2}
                    />
                    <path
                      d={`M${x((set.opensAt + set.closesAt) / 2) - 4} ${y + 23}l4 -5l4 5z`}
                      fill={colour[set.state]}
                    />
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

/** Puts brackets that overlap under each other, in as few rows as they need. */
function rowsOf(sets: readonly DueSet[], x: (at: number) => number): DueSet[][] {
  const rows: DueSet[][] = [];
  for (const set of sets.toSorted((a, b) => a.opensAt - b.opensAt)) {
    const width = Math.max(x(set.closesAt) - x(set.opensAt), 100);
    const free = rows.find((row) => {
      const last = row.at(-1);
      return !last || Math.max(x(last.closesAt), x(last.opensAt) + 130) < x(set.opensAt);
    });
    if (free && width > 0) free.push(set);
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
