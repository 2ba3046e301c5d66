'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { durationText } from '@/core/windows/duration-text';
import { timeNow } from '../../clock';
import { dayTime } from '../../time';
import { useNow } from '../../use-now';
import type { BenchProps } from '../kit';
import { listed } from '../listed';

const HOUR = 3_600_000;
const MINUTE_S = 60;

/** The tank with its units, how long they have been in. */
export function Tank({ picture }: Pick<BenchProps, 'picture'>) {
  const { palette } = useTheme();
  const now = useNow(timeNow(), 5_000);
  const { labels, weighed, inAt, outAt, zone } = picture.values;
  const [least, most] = [Number(picture.values.least), Number(picture.values.most)];
  const all = listed(labels);
  const out = new Set(listed(weighed));
  const since = Date.parse(String(inAt ?? ''));
  const until = Date.parse(String(outAt ?? ''));
  const hours = Number.isNaN(since) ? null : ((Number.isNaN(until) ? now : until) - since) / HOUR;
  return (
    <Box>
      <svg
        viewBox="0 0 360 130"
        width="100%"
        height={130}
        role="img"
        aria-label={`The tank: ${all.length - all.filter((label) => out.has(label)).length} of ${all.length} units still in it`}
      >
        <rect
          x={10}
          y={24}
          width={340}
          height={96}
          fill={palette.action.hover}
          stroke={palette.text.primary}
        />
        <path
          d="M10 24q17 -8 34 0t34 0 34 0 34 0 34 0 34 0 34 0 34 0 34 0 34 0"
          fill="none"
          stroke={palette.primary.main}
          strokeWidth={2}
        />
        {all.map((label, place) => {
          const wide = Math.min(70, 320 / all.length - 12);
          const x = 22 + place * (320 / all.length);
          const gone = out.has(label);
          return (
            <g key={label} opacity={gone ? 0.35 : 1}>
              <rect
                x={x}
                y={66}
                width={wide}
                height={40}
                fill={palette.background.paper}
                stroke={palette.text.primary}
              />
              <rect
                x={x + wide * 0.14}
                y={72}
                width={wide * 0.3}
                height={28}
                fill={palette.action.hover}
                stroke={palette.divider}
              />
              <rect
                x={x + wide * 0.56}
                y={72}
                width={wide * 0.3}
                height={28}
                fill={palette.action.hover}
                stroke={palette.divider}
              />
              <text x={x + wide / 2} y={60} textAnchor="middle" fontSize={11} fill={palette.text.primary}>
                {gone ? `✓ ${label.split('-').at(-1)}` : label.split('-').at(-1)}
              </text>
            </g>
          );
        })}
      </svg>
      {hours === null ? (
        <Typography color="text.secondary">
          Stamp when they are under water; the day counts from there.
        </Typography>
      ) : (
        <Typography sx={{ fontWeight: 700 }}>
          {Number.isNaN(until)
            ? hours < least
              ? `Out from ${dayTime(since + least * HOUR, String(zone))} on, in ${durationText((least - hours) * MINUTE_S)}`
              : hours <= most
                ? `Take them out: ${durationText((most - hours) * MINUTE_S)} left`
                : `Over by ${durationText((hours - most) * MINUTE_S)}`
            : `In the water for ${durationText(hours * MINUTE_S)}`}
        </Typography>
      )}
    </Box>
  );
}
