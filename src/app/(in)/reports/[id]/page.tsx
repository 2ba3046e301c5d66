import { Alert, Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { database, readingOnce } from '@/db/client';
import { AMENDMENT_CODES } from '@/server/actions/amendments';
import { pageActor, pageData, pageId } from '@/server/page';
import { reportDetail } from '@/server/queries/reports';
import { Card } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { dayTime } from '@/ui/time';
import { ReportActions } from '@/ui/views/ReportActions';
import { ReportBody } from '@/ui/views/ReportBody';

export const metadata: Metadata = { title: 'Report' };

export default async function ReportPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const report = await pageData(() => reportDetail(readingOnce(database()), actor, id));
  const staff = actor.role !== 'client';
  const about = report.sampleId ? `/samples/${report.sampleId}` : `/lots/${report.lotId}`;
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1" className="mono">{`${report.number} rev ${report.revision}`}</Typography>
        <Typography
          sx={{ fontWeight: 700, color: report.state === 'signed' ? 'success.main' : 'warning.main' }}
        >
          {report.state === 'signed' && report.signedAt
            ? `Signed by ${report.signedBy}, ${dayTime(report.signedAt, report.zone)}`
            : 'Draft, not signed'}
        </Typography>
        {staff ? (
          <TextLink href={about}>{report.sampleId ? 'its sample' : `its ${report.content.subject}`}</TextLink>
        ) : null}
        <ReportActions
          reportId={report.id}
          seen={report.seen}
          state={report.state}
          canSign={actor.role === 'reviewer'}
          hindered={report.hindrances.length > 0}
          signing={report.signing}
          codes={[...AMENDMENT_CODES]}
          replaced={report.replacedBy !== null}
        />
      </Box>
      {report.replacedBy ? (
        <Alert severity="warning">
          {report.replacedBy.state === 'signed' ? 'Replaced by ' : 'A draft that will replace it: '}
          <TextLink href={`/reports/${report.replacedBy.id}`}>{`rev ${report.replacedBy.revision}`}</TextLink>
        </Alert>
      ) : null}
      {report.replacesId ? (
        <Alert severity="info">
          {'Replaces '}
          <TextLink href={`/reports/${report.replacesId}`}>the revision before</TextLink>
          {`: ${report.replaceReason}`}
        </Alert>
      ) : null}
      {report.amendments.map((amendment) => (
        <Alert key={amendment.id} severity="info">
          {`Amendment opened by ${amendment.byName}, ${dayTime(amendment.at, report.zone)} (${amendment.code}): ${amendment.reason}`}
        </Alert>
      ))}
      {report.signing?.readers.map(({ name, at, asItIs }) => (
        <Alert key={`${name} ${at.getTime()}`} severity={asItIs ? 'success' : 'info'}>
          {`${name} has read it and agrees, ${dayTime(at, report.zone)}${asItIs ? '.' : '; it says something else now.'}`}
        </Alert>
      ))}
      {report.signing?.why && actor.role === 'reviewer' ? (
        <Alert severity="warning">{report.signing.why}</Alert>
      ) : null}
      {report.hindrances.length > 0 ? (
        <Card title="Before it can be signed">
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {report.hindrances.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </Box>
          <Typography sx={{ mt: 1 }}>
            {'Reasons are accepted on '}
            <TextLink href={about}>{report.sampleId ? 'the sample' : 'its samples'}</TextLink>.
          </Typography>
        </Card>
      ) : null}
      <ReportBody content={report.content} />
    </Stack>
  );
}
