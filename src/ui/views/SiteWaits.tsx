'use client';
import { Box, Typography } from '@mui/material';
import type { SiteWait } from '@/core/waits/day';
import { durationText } from '@/core/windows/duration-text';
import { capital } from '@/core/words';
import { TextLink } from '../parts/LinkButton';
import { dayTime } from '../time';
import { useNow } from '../use-now';

/** What samples wait for on site: from when it can be done, and by when it must be. */
export function SiteWaits({ waits, now: initial }: { waits: readonly SiteWait[]; now: number }) {
  const now = useNow(initial, 30_000);
  return (
    <Box role="list" aria-label="Waiting on site">
      {waits.map((wait) => {
        const left = wait.closesAt - now;
        const open = wait.opensAt <= now;
        return (
          <Box key={wait.key} role="listitem" sx={{ py: 0.75, borderBottom: 1, borderColor: 'divider' }}>
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', flexWrap: 'wrap' }}>
              <TextLink href={`/field/${wait.sampleId}`} className="mono">
                {wait.label}
              </TextLink>
              <Typography sx={{ flexGrow: 1 }}>{wait.lot}</Typography>
              <Typography sx={{ color: left < 0 ? 'error.main' : 'text.primary', fontWeight: 700 }}>
                {left < 0
                  ? `✕ ${wait.what}: over by ${durationText(-left / 60_000)}`
                  : `${open ? '[▬ ]' : '[ ]'} ${wait.what} within ${durationText(left / 60_000)}`}
              </Typography>
            </Box>
            <Typography variant="body2" color="text.secondary">
              {`${open ? 'Since' : 'Not before'} ${dayTime(wait.opensAt, wait.zone)}, by ${dayTime(wait.closesAt, wait.zone)}.`}
              {wait.provisional ? ` ${capital(wait.provisional)}.` : ''}
            </Typography>
          </Box>
        );
      })}
    </Box>
  );
}
