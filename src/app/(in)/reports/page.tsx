import { Box, Button, Stack, TextField, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { fromReader } from '@/db/client';
import { pageActor } from '@/server/page';
import { reportList } from '@/server/queries/reports';
import { Card, Empty } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { ReportGrid } from '@/ui/views/ReportGrid';

export const metadata: Metadata = { title: 'Reports' };

export default async function ReportsPage({
  searchParams,
}: {
  searchParams: Promise<{ before?: string; q?: string }>;
}) {
  const actor = await pageActor();
  const { before, q } = await searchParams;
  const { rows, next } = await fromReader((db) => reportList(db, actor, { before, words: q }));
  return (
    <Stack spacing={2}>
      <Box component="form" sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          Reports
        </Typography>
        <TextField name="q" label="Number of a report" defaultValue={q ?? ''} />
        <Button type="submit" variant="outlined">
          Find
        </Button>
      </Box>
      <Card>
        {rows.length === 0 ? (
          <Empty>
            {q
              ? 'No report has such a number.'
              : 'No report yet. A report is prepared from a sample or a lot, and signed by a reviewer.'}
          </Empty>
        ) : (
          <ReportGrid
            rows={rows.map((row) => ({
              id: row.id,
              report: `${row.number} rev ${row.revision}`,
              state: row.state,
              job: row.job,
              of: row.sampleNumber === null ? (row.lotTitle ?? '') : `sample ${row.sampleNumber}`,
              preparedAt: row.preparedAt.getTime(),
              signed: row.signedAt?.getTime() ?? null,
              signedBy: row.signedBy ?? '',
            }))}
          />
        )}
        {next || before ? (
          <Box component="nav" aria-label="Pages" sx={{ display: 'flex', gap: 2, mt: 1 }}>
            {before ? <TextLink href="/reports">To the newest</TextLink> : null}
            {next ? (
              <TextLink
                href={`/reports?before=${encodeURIComponent(next)}${q ? `&q=${encodeURIComponent(q)}` : ''}`}
              >
                Older ones
              </TextLink>
            ) : null}
          </Box>
        ) : null}
      </Card>
    </Stack>
  );
}
