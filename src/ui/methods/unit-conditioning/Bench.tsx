'use client';
import { Box, Typography } from '@mui/material';
import { durationText } from '@/core/windows/duration-text';
import { timeNow } from '../../clock';
import { dayTime } from '../../time';
import { useNow } from '../../use-now';
import type { BenchProps } from '../kit';
import { pairsIn } from '../listed';

function moments(text: unknown): (readonly [label: string, at: number | null])[] {
  return pairsIn(text).map(([label, at]) => [label, at === '' ? null : Number(at)] as const);
}

/** When each unit may be capped: the next legal minute, in large type. */
export function UnitConditioningBench({ picture }: BenchProps) {
  const now = useNow(timeNow(), 10_000);
  const { way, placedAt, over, next, zone, takenAt } = picture.values;
  const where = String(zone);
  if (!way || !placedAt)
    return (
      <Typography color="text.secondary">Set them out; the minute they may be capped stands here.</Typography>
    );
  const units = moments(over);
  const [first] = units;
  const due = new Map(moments(next));
  if (way === 'room') {
    const at = first?.[1] ?? null;
    if (at === null)
      return (
        <Typography sx={{ fontWeight: 700, color: 'error.main' }}>
          The room is out of its range: the two days begin when it is back.
        </Typography>
      );
    const done = takenAt ? Date.parse(String(takenAt)) >= at : now >= at;
    return (
      <Box>
        <Typography
          className="mono"
          sx={{ fontSize: '1.8rem', color: done ? 'success.main' : 'warning.main' }}
        >
          {done ? `✓ since ${dayTime(at, where)}` : dayTime(at, where)}
        </Typography>
        <Typography>
          {done ? 'They may be capped.' : `They may be capped then, in ${durationText((at - now) / 60_000)}.`}
        </Typography>
      </Box>
    );
  }
  return (
    <Box
      component="table"
      sx={{ width: '100%', '& td, & th': { py: 0.25, textAlign: 'left', fontWeight: 400 } }}
    >
      <tbody>
        {units.map(([label, at]) => {
          const weigh = due.get(label) ?? null;
          return (
            <tr key={label}>
              <th scope="row" className="mono">
                {label}
              </th>
              <td>
                {at !== null ? (
                  <Typography color="success.main">{`✓ dry, ${dayTime(at, where)}`}</Typography>
                ) : weigh !== null ? (
                  <Typography sx={{ fontWeight: weigh <= now ? 700 : 400 }}>
                    {weigh <= now ? 'weigh it now' : `weigh from ${dayTime(weigh, where)}`}
                  </Typography>
                ) : null}
              </td>
            </tr>
          );
        })}
      </tbody>
    </Box>
  );
}
