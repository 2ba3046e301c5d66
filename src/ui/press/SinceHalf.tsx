'use client';
import { Typography } from '@mui/material';
import type { Limit } from '@/core/limits';

/** What the second half would have taken if it broke now: too fast, in its time, or too slow, by word and colour. */
export function SinceHalf({
  since,
  halves,
  broken,
}: {
  since: number | null;
  halves: Limit;
  broken: boolean;
}) {
  const [least, most] = [halves.low?.toNumber() ?? 0, halves.high?.toNumber() ?? Number.POSITIVE_INFINITY];
  const { word, color } =
    since === null
      ? { word: 'not loaded yet', color: 'text.secondary' }
      : since < least / 2
        ? { word: 'far too fast', color: 'error.main' }
        : since < least
          ? { word: 'too fast', color: 'warning.main' }
          : since <= most
            ? { word: 'in time', color: 'success.main' }
            : { word: 'too slow', color: 'warning.main' };
  return (
    <Typography data-testid="since-half" sx={{ color, fontWeight: 700, fontSize: '1.5rem' }}>
      {`${broken ? 'The second half took' : 'If it broke now, its second half:'} `}
      <span className="mono">{since === null ? '' : `${since.toFixed(0)} s, `}</span>
      {word}
    </Typography>
  );
}
