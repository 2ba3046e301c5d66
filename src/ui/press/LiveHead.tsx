import { Alert, Box, Stack, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import type { EquipmentFacts } from '@/core/methods';
import { LinkButton } from '../parts/LinkButton';
import type { Run } from '../runsheet/run';
import type { FeedState } from './use-press-feed';

/** Which specimen, which machine, how the line to it stands; the way back. */
export function LiveHead({
  title,
  machine,
  state,
  recorded,
  back,
  children,
}: {
  title: ReactNode;
  machine: EquipmentFacts;
  state: FeedState<unknown>;
  recorded: boolean;
  back: string;
  children?: ReactNode;
}) {
  const delay = state.delay === null ? '' : `, ${state.delay} ms`;
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
      {title}
      <Typography color="text.secondary">{machine.number}</Typography>
      <Typography
        role="status"
        sx={{ ml: 'auto', color: state.up && !state.stale ? 'success.main' : 'error.main', fontWeight: 700 }}
      >
        {state.up === null
          ? '… Waiting for the machine'
          : !state.up
            ? '✕ The line is down: it is being made again, nothing is lost'
            : state.stale
              ? '✕ Display frozen: no reading for a while'
              : `✓ Live${recorded ? ', recorded' : ''}${delay}`}
      </Typography>
      {children}
      <LinkButton href={back} size="small">
        Run sheet
      </LinkButton>
    </Box>
  );
}

/** What has to be settled before anything is loaded. */
export function HoldFirst({ run, open }: { run: Run; open: boolean }) {
  const holds = run.live.outcome.findings.filter((found) => found.beforeLoad && found.needsReason);
  if (holds.length === 0 || !open) return null;
  return (
    <Alert severity="error">
      {`Hold before loading: ${holds.map(({ message }) => message).join(' ')} Settle it, or give its reason, on the run sheet.`}
    </Alert>
  );
}

/** Why a run cannot be followed at its machine, and what to do. */
export function NotLive({
  title,
  machine,
  back,
}: {
  title: ReactNode;
  machine: EquipmentFacts | undefined;
  back: string;
}) {
  return (
    <Stack spacing={2} sx={{ maxWidth: 640 }}>
      {title}
      <Alert severity="info">
        {!machine
          ? 'Choose the testing machine on the run sheet first.'
          : !machine.live
            ? `${machine.number} has no live feed: read its indicator, or bring its file.`
            : 'Nothing is known of the specimen’s size yet.'}
      </Alert>
      <LinkButton href={back} variant="contained">
        Back to the run sheet
      </LinkButton>
    </Stack>
  );
}
