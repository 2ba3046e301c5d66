'use client';
import {
  Box,
  Checkbox,
  FormControlLabel,
  MenuItem,
  Table,
  TableBody,
  TableCell,
  TableRow,
  TextField,
} from '@mui/material';
import { firstRows, MOST_BEFORE, type RowsMapping } from '@/core/signals';

/** The first rows of a file, three readings of it at the least, and its columns by number for a `Pick`. */
export function columnsOf(
  text: string,
  { delimiter, header }: RowsMapping,
): {
  readonly rows: readonly (readonly string[])[];
  readonly numbered: readonly (readonly [value: string, words: string])[];
} {
  const rows = firstRows(text, delimiter).slice(0, Math.max(6, header + 3));
  const count = Math.max(...rows.map((row) => row.length), 1);
  return {
    rows,
    numbered: Array.from({ length: count }, (_, index) => [String(index), `column ${index + 1}`] as const),
  };
}

/** How the readings of a file are written: what stands before them, and their decimals. */
export function Written<M extends RowsMapping>({
  mapping,
  change,
}: {
  mapping: M;
  change: (mapping: M) => void;
}) {
  return (
    <>
      <TextField
        size="small"
        label="Lines before the readings"
        value={mapping.header}
        onChange={(event) =>
          change({
            ...mapping,
            header: Math.min(MOST_BEFORE, Number(event.target.value.replace(/\D/gu, '')) || 0),
          })
        }
        sx={{ width: 190 }}
      />
      <FormControlLabel
        control={
          <Checkbox
            checked={mapping.decimalComma}
            onChange={(_, on) => change({ ...mapping, decimalComma: on })}
          />
        }
        label="Decimal comma"
      />
    </>
  );
}

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
