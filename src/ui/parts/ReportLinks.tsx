import { Typography } from '@mui/material';
import { dayTime } from '../time';
import { Card } from './Card';
import { TextLink } from './LinkButton';

/** The revisions of a report, each with how it stands; nothing where there is none. */
export function ReportLinks({
  reports,
  zone,
}: {
  reports: readonly {
    readonly id: string;
    readonly number: string;
    readonly revision: number;
    readonly signedAt: Date | null;
  }[];
  zone: string;
}) {
  if (reports.length === 0) return null;
  return (
    <Card title="Reports">
      {reports.map((report) => (
        <Typography key={report.id}>
          <TextLink href={`/reports/${report.id}`} className="mono">
            {`${report.number} rev ${report.revision}`}
          </TextLink>
          {report.signedAt ? `, signed ${dayTime(report.signedAt, zone)}` : ', draft'}
        </Typography>
      ))}
    </Card>
  );
}
