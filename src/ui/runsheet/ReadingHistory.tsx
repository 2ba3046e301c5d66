'use client';
import { Box, Typography } from '@mui/material';
import { labelAt } from '@/core/methods';
import { clock, fullDay } from '../time';
import type { Run } from './run';
import type { RunSheetData } from './types';

/** Every reading as it was taken: what was corrected stands struck through, with the reason. */
export function ReadingHistory({ run, data }: { run: Run; data: RunSheetData }) {
  if (data.history.length === 0) {
    return <Typography color="text.secondary">Nothing was read before this page was opened.</Typography>;
  }
  const newest = new Map(data.history.map((reading) => [reading.field, reading.seq]));
  return (
    <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {data.history.map((reading) => (
        <Box component="li" key={reading.seq} sx={{ borderBottom: 1, borderColor: 'divider', py: 0.5 }}>
          <Typography variant="body2">
            {`${labelAt(run.method.Input, reading.field)}: `}
            <Box
              component="span"
              className="mono"
              sx={{ textDecoration: newest.get(reading.field) === reading.seq ? 'none' : 'line-through' }}
            >
              {reading.text ?? 'taken back'}
            </Box>
          </Typography>
          <Typography variant="caption" color="text.secondary">
            {`${fullDay(reading.at, data.zone)} ${clock(reading.at, data.zone)}, ${reading.byName}${reading.reason ? `: ${reading.reason}` : ''}`}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
