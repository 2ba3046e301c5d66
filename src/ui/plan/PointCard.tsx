'use client';
import { Box, Button, Stack, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { PointView } from '@/core/plan';
import { KeypadProvider } from '../field/Keypad';
import { TestCard } from '../field/TestCard';
import { Card } from '../parts/Card';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';
import { useBegin } from './use-begin';

/** The point that is looked at: what was read there, what waits, and its test where one is open. */
export function PointCard({
  point,
  zoneName,
  sheet,
  run,
  canWrite,
}: {
  readonly point: PointView;
  readonly zoneName: string;
  readonly sheet: RunSheetData | undefined;
  readonly run: Run | undefined;
  readonly canWrite: boolean;
}) {
  const router = useRouter();
  const [open, setOpen] = useState(true);
  const { begin, busy } = useBegin(() => router.refresh());
  const { short, formText, value, waits, next } = point;
  return (
    <Card title={short}>
      <Typography>{`${formText}, ${zoneName}`}</Typography>
      {value ? <Typography className="mono">{value}</Typography> : null}
      {waits.map((wait) => (
        <Typography key={wait.what}>{wait.what}</Typography>
      ))}
      <Stack direction="row" spacing={1} useFlexGap sx={{ mt: 1, flexWrap: 'wrap' }}>
        {canWrite && next && !point.open ? (
          <Button variant="contained" loading={busy} onClick={() => void begin([point])}>
            {`Begin: ${next.title.toLowerCase()}`}
          </Button>
        ) : null}
        <Button href={`/specimens/${point.id}`} variant="outlined">
          {`Open ${short}`}
        </Button>
      </Stack>
      {sheet && !run ? (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          Its sheet is being fetched. Without a network it is not on this device yet.
        </Typography>
      ) : null}
      {sheet && run ? (
        <KeypadProvider value={true}>
          <Box role="list" aria-label={`Test at ${short}`}>
            <TestCard
              title={run.method.title}
              data={sheet}
              run={run}
              sound={false}
              specimens={1}
              open={open}
              onToggle={() => setOpen(!open)}
            />
          </Box>
        </KeypadProvider>
      ) : null}
    </Card>
  );
}
