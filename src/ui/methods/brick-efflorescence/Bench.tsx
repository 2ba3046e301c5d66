'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { durationText } from '@/core/windows/duration-text';
import { timeNow } from '../../clock';
import { dayTime } from '../../time';
import { useNow } from '../../use-now';
import type { BenchProps } from '../kit';

const DAY = 86_400_000;
/** The places of pairs that are still to come. */
const EMPTY = ['1', '2', '3', '4', '5'] as const;

/** The pairs, the one in its water beside the dry one, and how long they have been in. */
export function BrickEfflorescenceBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const now = useNow(timeNow(), 30_000);
  const pairs = JSON.parse(String(values.pairs ?? '[]')) as [string, string, string][];
  const from = values.inAt ? Date.parse(String(values.inAt)) : null;
  const until = from === null ? null : from + Number(values.days) * DAY;
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        {(pairs.length > 0 ? pairs : EMPTY.map((): [string, string, string] => ['', '', ''])).map(
          ([wet, dry, seen], place) => (
            <Box key={wet ? `${wet}/${dry}` : EMPTY[place]} sx={{ textAlign: 'center' }}>
              <svg width={86} height={78} aria-hidden="true">
                <rect x={4} y={52} width={36} height={18} fill={palette.primary.main} opacity={0.35} />
                <rect
                  x={10}
                  y={10}
                  width={24}
                  height={56}
                  fill={palette.divider}
                  stroke={palette.text.primary}
                />
                <rect
                  x={52}
                  y={10}
                  width={24}
                  height={56}
                  fill={palette.divider}
                  stroke={palette.text.primary}
                />
                {seen === 'yes' ? (
                  <path
                    d="M13 24l6 6 5 -8 7 9M13 40l6 5 6 -6 6 7"
                    fill="none"
                    stroke={palette.error.main}
                    strokeWidth={2}
                  />
                ) : null}
              </svg>
              <Typography variant="body2" className="mono">
                {wet ? `${wet} / ${dry}` : `pair ${place + 1}`}
              </Typography>
            </Box>
          ),
        )}
      </Box>
      <Typography sx={{ mt: 1, fontWeight: 700 }}>
        {until === null
          ? 'Stamp when they stand in the water: the week counts from there.'
          : values.outAt
            ? 'Out of the water: a day in the oven, then compare them.'
            : until > now
              ? `Out from ${dayTime(until, String(values.zone))}, in ${durationText((until - now) / 60_000)}`
              : 'The week is full: take them out and dry both of each pair.'}
      </Typography>
    </Box>
  );
}
