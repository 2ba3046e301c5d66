'use client';
import { Box, MenuItem, Table, TableBody, TableCell, TableRow, TextField } from '@mui/material';

/** The first rows of a file as they stand, its heading paler, the columns that are taken stronger. */
export function FileRows({
  rows,
  header,
  taken,
  values,
}: {
  rows: readonly (readonly string[])[];
  /** Lines before the first reading. */
  header: number;
  taken: readonly number[];
  /** Columns of what is measured. */
  values: readonly number[];
}) {
  return (
    <Box sx={{ overflowX: 'auto', border: 1, borderColor: 'divider' }}>
      <Table size="small">
        <TableBody>
          {rows.map((row, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: rows of a file have no other name than their place
            <TableRow key={index} sx={{ opacity: index < header ? 0.55 : 1 }}>
              {row.map((cell, column) => (
                <TableCell
                  // biome-ignore lint/suspicious/noArrayIndexKey: columns of a file have no other name than their place
                  key={column}
                  className="mono"
                  sx={{
                    fontWeight: taken.includes(column) ? 700 : 400,
                    color: values.includes(column) ? 'primary.main' : 'text.primary',
                  }}
                >
                  {cell}
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

/** One of a few answers about a file. */
export function Pick({
  label,
  value,
  options,
  take,
}: {
  label: string;
  value: string;
  options: readonly (readonly [value: string, words: string])[];
  take: (value: string) => void;
}) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => take(event.target.value)}
      sx={{ minWidth: 150 }}
    >
      {options.map(([key, words]) => (
        <MenuItem key={key} value={key}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}
