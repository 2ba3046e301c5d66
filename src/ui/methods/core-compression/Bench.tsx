'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { coreWindow } from '@/core/methods/core-compression';
import { timeNow } from '../../clock';
import type { BenchProps } from '../kit';

const DAY = 86_400_000;

/** The week of a core: drilled, wetted last, the bracket in which it may be tested, and now. */
export function CoreBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { drilledAt, wettedAt, testedAt, dryDays, testDays } = picture.values;
  const start = Date.parse(String(drilledAt ?? ''));
  if (Number.isNaN(start)) {
    return (
      <Typography color="text.secondary" sx={{ py: 2 }}>
        With the time of drilling the days it may be tested in are drawn here.
      </Typography>
    );
  }
  const window = coreWindow(String(drilledAt), wettedAt ? String(wettedAt) : undefined, {
    dry: Number(dryDays),
    test: Number(testDays),
  });
  const span = (Number(testDays) + 1) * DAY;
  const x = (at: number): number => 16 + (448 * (at - start)) / span;
  const now = testedAt ? Date.parse(String(testedAt)) : timeNow();
  const open = window && window.opensAt <= window.closesAt;
  return (
    <Box>
      <svg
        viewBox="0 0 480 112"
        width="100%"
        role="img"
        aria-label={
          open ? 'Days in which the core may be tested' : 'No day is left in which the core may be tested'
        }
      >
        <line x1={16} x2={464} y1={60} y2={60} stroke={palette.text.primary} />
        {Array.from({ length: Number(testDays) + 2 }, (_, day) => day).map((day) => (
          <g key={day}>
            <line
              x1={x(start + day * DAY)}
              x2={x(start + day * DAY)}
              y1={56}
              y2={64}
              stroke={palette.text.primary}
            />
            <text
              x={x(start + day * DAY)}
              y={80}
              fontSize={12}
              textAnchor="middle"
              fill={palette.text.secondary}
            >
              {day} d
            </text>
          </g>
        ))}
        {window && open ? (
          <path
            d={`M${x(window.opensAt) + 8} 34h-8v22h8M${x(window.closesAt) - 8} 34h8v22h-8`}
            fill="none"
            stroke={palette.success.main}
            strokeWidth={3}
          />
        ) : window ? (
          <text x={240} y={34} fontSize={15} fontWeight={700} textAnchor="middle" fill={palette.error.main}>
            No window: the wait ends after the last day
          </text>
        ) : null}
        <text x={16} y={24} fontSize={12} fill={palette.text.primary}>
          drilled
        </text>
        {wettedAt ? (
          <g fill={palette.primary.main}>
            <circle cx={x(Date.parse(String(wettedAt)))} cy={60} r={5} />
            <text x={x(Date.parse(String(wettedAt)))} y={48} fontSize={12} textAnchor="middle">
              wet
            </text>
          </g>
        ) : null}
        {now >= start && now <= start + span ? (
          <g fill={palette.error.main}>
            <path d={`M${x(now) - 6} 96h12l-6 -14z`} />
            <text x={x(now)} y={109} fontSize={12} textAnchor="middle">
              {testedAt ? 'tested' : 'now'}
            </text>
          </g>
        ) : null}
      </svg>
    </Box>
  );
}
