'use client';
import type { GridColDef } from '@mui/x-data-grid';
import { useRouter } from 'next/navigation';
import { TextLink } from '../parts/LinkButton';
import { LongList } from '../parts/LongList';
import { dayTime } from '../time';

interface Row {
  readonly id: string;
  readonly label: string;
  readonly sampledAt: number;
  readonly mix: string;
  readonly placement: number;
  readonly element: string;
  readonly ticket: string;
  readonly broken: string;
}

/** The samples of a job, of whatever material: the headings hold for all of them. */
export function SampleGrid({ rows, zone }: { rows: readonly Row[]; zone: string }) {
  const router = useRouter();
  const columns: GridColDef<Row>[] = [
    {
      field: 'label',
      headerName: 'Sample',
      width: 110,
      cellClassName: 'mono',
      renderCell: ({ row }) => <TextLink href={`/samples/${row.id}`}>{row.label}</TextLink>,
    },
    {
      field: 'sampledAt',
      headerName: 'Sampled',
      width: 170,
      valueFormatter: (value: number) => dayTime(value, zone),
    },
    { field: 'mix', headerName: 'Asked for', width: 100 },
    { field: 'placement', headerName: 'Lot', width: 100, type: 'number' },
    { field: 'element', headerName: 'Of what', flex: 1, minWidth: 180 },
    { field: 'ticket', headerName: 'Ticket', width: 110, cellClassName: 'mono' },
    { field: 'broken', headerName: 'Tested', width: 110 },
  ];
  return (
    <LongList
      label="Samples"
      rows={rows}
      columns={columns}
      open={(row) => router.push(`/samples/${row.id}`)}
    />
  );
}
