'use client';
import { Skeleton } from '@mui/material';
import type { DataGridProps, GridColDef, GridValidRowModel } from '@mui/x-data-grid';
import dynamic from 'next/dynamic';
import { useNonce } from '../Providers';

// The grid is the heaviest part of the interface: it comes only with the pages that have a long list.
const DataGrid = dynamic(() => import('@mui/x-data-grid').then((grid) => grid.DataGrid), {
  ssr: false,
  loading: () => <Skeleton variant="rectangular" height={320} />,
}) as <R extends GridValidRowModel>(props: DataGridProps<R>) => React.ReactNode;

/** A long list that sorts, filters and exports; a double click or Enter opens a row. */
export function LongList<R extends GridValidRowModel>({
  label,
  rows,
  columns,
  open,
}: {
  label: string;
  rows: readonly R[];
  columns: readonly GridColDef<R>[];
  open?: (row: R) => void;
}) {
  const nonce = useNonce();
  return (
    <DataGrid<R>
      aria-label={label}
      nonce={nonce}
      rows={rows}
      columns={columns}
      density="compact"
      showToolbar
      autoHeight
      disableRowSelectionOnClick
      pageSizeOptions={[15, 50, 100]}
      initialState={{ pagination: { paginationModel: { pageSize: 15 } } }}
      onRowDoubleClick={({ row }) => open?.(row)}
      onCellKeyDown={({ row }, event) => event.key === 'Enter' && open?.(row)}
      sx={{ border: 0, '--DataGrid-overlayHeight': '160px' }}
    />
  );
}
