'use client';
import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from '@mui/material';
import { useMemo, useState } from 'react';
import { type RowRead, readRows } from '@/core/interchange/rows-csv';
import type { CellSpec } from '@/core/methods';
import { unitLabel } from '@/core/quantity';
import { timeNow } from '../clock';
import { MONO } from '../theme';
import { clock, clockSeconds } from '../time';
import type { RowsProps } from './rows-props';

const SHOWN = 100;

/** What was pasted or read from a file, cell by cell, before anything is put in; the text can be put right here. */
export function RowsPreview({
  data,
  field,
  initial,
  onClose,
  onPut,
}: RowsProps & {
  initial: string;
  onClose: () => void;
  onPut: (rows: readonly Readonly<Record<string, string>>[]) => void;
}) {
  const [text, setText] = useState(initial);
  const [now] = useState(timeNow);
  const { system, zone } = data;
  const read = useMemo(() => readRows(text, field, { system, zone, now }), [text, field, system, zone, now]);
  const isGood = ({ errors, problem }: RowRead): boolean =>
    problem === null && Object.keys(errors).length === 0;
  const good = read.rows.filter(isGood);
  const bad = read.rows.length - good.length;
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth>
      <DialogTitle>{`${field.label}: rows from a paste or a file`}</DialogTitle>
      <DialogContent>
        <TextField
          label="Rows"
          value={text}
          onChange={({ target }) => setText(target.value)}
          helperText={`One ${field.row} a line: ${read.columns.map(({ label }) => label.toLowerCase()).join(', ')}. Tabs, semicolons or commas between them; a line with the names of the columns may stand first.`}
          multiline
          minRows={4}
          maxRows={10}
          fullWidth
          autoFocus
          sx={{ mt: 1, mb: 2 }}
          slotProps={{ input: { sx: { '& textarea': { fontFamily: MONO } } } }}
        />
        {read.ignored.length > 0 ? (
          <Alert severity="info" sx={{ mb: 1 }}>{`Not used: ${read.ignored.join(', ')}.`}</Alert>
        ) : null}
        {read.rows.length > 0 ? (
          <Box sx={{ overflowX: 'auto' }}>
            <Table size="small" aria-label="Preview">
              <TableHead>
                <TableRow>
                  <TableCell>Line</TableCell>
                  {read.columns.map((column) => (
                    <TableCell key={column.name}>{headOf(column, system)}</TableCell>
                  ))}
                </TableRow>
              </TableHead>
              <TableBody>
                {read.rows.slice(0, SHOWN).map((row) => (
                  <PreviewRow key={row.line} row={row} columns={read.columns} zone={zone} />
                ))}
              </TableBody>
            </Table>
            {read.rows.length > SHOWN ? (
              <Typography variant="body2">{`And ${read.rows.length - SHOWN} more.`}</Typography>
            ) : null}
          </Box>
        ) : (
          <Typography color="text.secondary">Nothing to put in yet.</Typography>
        )}
      </DialogContent>
      <DialogActions>
        {bad > 0 ? (
          <Typography color="error" sx={{ mr: 'auto', pl: 2 }}>
            {`${bad} ${bad === 1 ? 'row stays' : 'rows stay'} out until put right above.`}
          </Typography>
        ) : null}
        <Button onClick={onClose}>Cancel</Button>
        <Button
          variant="contained"
          disabled={good.length === 0}
          onClick={() => onPut(good.map(({ cells }) => cells))}
        >
          {`Put in ${good.length} ${good.length === 1 ? 'row' : 'rows'}`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function headOf(column: CellSpec, system: 'US' | 'SI'): string {
  const unit = column.kind === 'measure' ? unitLabel(column.unit[system]) : '';
  return unit === '' ? column.label : `${column.label}, ${unit}`;
}

function PreviewRow({ row, columns, zone }: { row: RowRead; columns: readonly CellSpec[]; zone: string }) {
  return (
    <>
      <TableRow>
        <TableCell className="mono">{row.line}</TableCell>
        {columns.map((column) => {
          const wrong = row.errors[column.name];
          return (
            <TableCell
              key={column.name}
              className="mono"
              sx={{ color: wrong ? 'error.main' : 'text.primary' }}
            >
              {shown(column, row.cells[column.name] ?? '', zone)}
              {wrong ? (
                <Typography variant="caption" component="div">
                  {`✕ ${wrong.replace(`${column.label}: `, '')}`}
                </Typography>
              ) : null}
            </TableCell>
          );
        })}
      </TableRow>
      {row.problem ? (
        <TableRow>
          <TableCell />
          <TableCell colSpan={columns.length} sx={{ color: 'error.main' }}>{`✕ ${row.problem}`}</TableCell>
        </TableRow>
      ) : null}
    </>
  );
}

function shown(column: CellSpec, text: string, zone: string): string {
  const at = column.kind === 'instant' ? Date.parse(text) : Number.NaN;
  if (column.kind === 'instant' && !Number.isNaN(at))
    return (column.seconds ? clockSeconds : clock)(at, zone);
  if (column.kind === 'choice') return column.options.find(({ value }) => value === text)?.label ?? text;
  return text;
}
