import { Box, Typography } from '@mui/material';
import { Empty } from '../parts/Card';
import { TextLink } from '../parts/LinkButton';

interface Batch {
  readonly id: string;
  readonly label: string;
  /** What its specimens are then: capped, ground. */
  readonly done: string;
  readonly runId: string;
  readonly state: 'open' | 'complete';
  readonly finishedAt: string | null;
  readonly specimens: readonly { readonly label: string; readonly broken: boolean }[];
}

/** The batches with their specimens, the newest first. */
export function EndBatches({ batches }: { batches: readonly Batch[] }) {
  if (batches.length === 0) return <Empty>No batch yet: tick specimens above.</Empty>;
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {batches.map((batch) => (
        <Box
          component="li"
          key={batch.id}
          sx={{
            display: 'flex',
            gap: 2,
            py: 0.75,
            borderBottom: 1,
            borderColor: 'divider',
            flexWrap: 'wrap',
          }}
        >
          <TextLink href={`/runs/${batch.runId}`} className="mono">
            {batch.label}
          </TextLink>
          <Typography>{batch.done}</Typography>
          <Typography sx={{ flexGrow: 1 }} className="mono" color="text.secondary">
            {batch.specimens.map(({ label, broken }) => (broken ? `✓ ${label}` : label)).join('  ')}
          </Typography>
          <Typography color={batch.state === 'open' ? 'warning.main' : 'text.secondary'}>
            {batch.state === 'complete'
              ? '✓ complete'
              : batch.finishedAt
                ? '… being finished'
                : '… under way'}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
