'use client';
import { Box, Checkbox, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';

export interface ImportRowView {
  readonly key: string;
  readonly cells: readonly string[];
  /** Why it cannot be brought in; empty when it can. */
  readonly errors: readonly string[];
  /** What somebody should know of it and may bring in all the same. */
  readonly remarks?: readonly string[];
}

/** A set with a key put in, or taken out. */
export function withKey<K>(all: ReadonlySet<K>, key: K, on: boolean): ReadonlySet<K> {
  const next = new Set(all);
  if (on) next.add(key);
  else next.delete(key);
  return next;
}

/** The rows of a file before they are brought in: each ticked or not, with what is wrong with it. */
export function ImportRows({
  columns,
  rows,
  isChosen,
  choose,
  label,
}: {
  /** Headings, the last one over what is wrong. */
  columns: readonly string[];
  rows: readonly ImportRowView[];
  isChosen: (row: ImportRowView) => boolean;
  choose: (row: ImportRowView, on: boolean) => void;
  /** What the tick of a row is called. */
  label: (row: ImportRowView) => string;
}) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell padding="checkbox" />
            {columns.map((word) => (
              <TableCell key={word}>{word}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row) => (
            <TableRow key={row.key}>
              <TableCell padding="checkbox">
                <Checkbox
                  checked={row.errors.length === 0 && isChosen(row)}
                  disabled={row.errors.length > 0}
                  slotProps={{ input: { 'aria-label': label(row) } }}
                  onChange={(_, on) => choose(row, on)}
                />
              </TableCell>
              {row.cells.map((cell, index) => (
                <TableCell key={columns[index]} className="mono">
                  {cell}
                </TableCell>
              ))}
              <TableCell>
                {row.errors.map((error) => (
                  <Typography key={error} variant="body2" color="error">
                    {error}
                  </Typography>
                ))}
                {row.remarks?.map((remark) => (
                  <Typography key={remark} variant="body2" sx={{ color: 'warning.main' }}>
                    {remark}
                  </Typography>
                ))}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
