import { Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { database } from '@/db/client';
import { pageActor } from '@/server/page';
import { reportList } from '@/server/queries/reports';
import { Card, Empty } from '@/ui/parts/Card';
import { ReportGrid } from '@/ui/views/ReportGrid';

export const metadata: Metadata = { title: 'Reports' };

export default async function ReportsPage() {
  const actor = await pageActor();
  const rows = await reportList(database(), actor);
  return (
    <Stack spacing={2}>
      <Typography variant="h1">Reports</Typography>
      <Card>
        {rows.length === 0 ? (
          <Empty>No report yet. A report is prepared from a sample, and signed by a reviewer.</Empty>
        ) : (
          <ReportGrid
            rows={rows.map((row) => ({
              id: row.id,
              report: `${row.number} rev ${row.revision}`,
              state: row.state,
              job: row.job,
              sample: row.sampleNumber,
              preparedAt: row.preparedAt.getTime(),
              signed: row.signedAt?.getTime() ?? null,
              signedBy: row.signedBy ?? '',
            }))}
          />
        )}
      </Card>
    </Stack>
  );
}
