'use client';
import type { GridColDef } from '@mui/x-data-grid';
import { useRouter } from 'next/navigation';
import { TextLink } from '../parts/LinkButton';
import { LongList } from '../parts/LongList';
import { fullDay } from '../time';

interface Row {
  readonly id: string;
  readonly report: string;
  readonly state: string;
  readonly job: string;
  readonly of: string;
  readonly preparedAt: number;
  readonly signed: number | null;
  readonly signedBy: string;
}

/** Reports, newest first. */
export function ReportGrid({ rows }: { rows: readonly Row[] }) {
  const router = useRouter();
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const columns: GridColDef<Row>[] = [
    {
      field: 'report',
      headerName: 'Report',
      width: 170,
      cellClassName: 'mono',
      renderCell: ({ row }) => <TextLink href={`/reports/${row.id}`}>{row.report}</TextLink>,
    },
    { field: 'state', headerName: 'State', width: 100 },
    { field: 'job', headerName: 'Job', flex: 1, minWidth: 180 },
    { field: 'of', headerName: 'Of', width: 130 },
    {
      field: 'preparedAt',
      headerName: 'Prepared',
      width: 130,
      valueFormatter: (at: number) => fullDay(at, zone),
    },
    {
      field: 'signed',
      headerName: 'Signed',
      width: 130,
      valueFormatter: (at: number | null) => (at ? fullDay(at, zone) : ''),
    },
    { field: 'signedBy', headerName: 'By', width: 170 },
  ];
  return (
    <LongList
      label="Reports"
      rows={rows}
      columns={columns}
      open={(row) => router.push(`/reports/${row.id}`)}
    />
  );
}
