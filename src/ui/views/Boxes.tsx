'use client';
import { Box, Typography } from '@mui/material';
import { durationText } from '@/core/windows/duration-text';
import { TextLink } from '../parts/LinkButton';
import { dayTime } from '../time';
import { useNow } from '../use-now';

interface Boxed {
  readonly sampleId: string;
  readonly label: string;
  readonly element: string;
  readonly zone: string;
  readonly collectBy: number;
  readonly earliest: number | null;
  readonly estimated: boolean;
}

/** The sets in their boxes on site: when each may be moved, and by when it must be collected. */
export function Boxes({ sets, now: initial }: { sets: readonly Boxed[]; now: number }) {
  const now = useNow(initial, 30_000);
  return (
    <Box role="list" aria-label="In their boxes">
      {sets.map((set) => {
        const left = set.collectBy - now;
        const wait = set.earliest === null ? null : set.earliest - now;
        return (
          <Box key={set.sampleId} role="listitem" sx={{ py: 0.75, borderBottom: 1, borderColor: 'divider' }}>
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', flexWrap: 'wrap' }}>
              <TextLink href={`/field/${set.sampleId}`} className="mono">
                {set.label}
              </TextLink>
              <Typography sx={{ flexGrow: 1 }}>{set.element}</Typography>
              <Typography sx={{ color: left < 0 ? 'error.main' : 'text.primary', fontWeight: 700 }}>
                {left < 0
                  ? `✕ over by ${durationText(-left / 60_000)}: collect now`
                  : `[▬ ] collect within ${durationText(left / 60_000)}`}
              </Typography>
            </Box>
            <Typography variant="body2" color="text.secondary">
              {`By ${dayTime(set.collectBy, set.zone)}. `}
              {wait === null || set.earliest === null
                ? 'When they may be moved is not known: enter the set, or the mean temperature until then.'
                : `${wait > 0 ? 'Not to be moved' : 'May be moved'} ${wait > 0 ? 'before' : 'since'} ${dayTime(set.earliest, set.zone)}${set.estimated ? ', estimated' : ''}.`}
            </Typography>
          </Box>
        );
      })}
    </Box>
  );
}
