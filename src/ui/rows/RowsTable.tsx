'use client';
import { Box, IconButton, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { type KeyboardEvent, useRef } from 'react';
import { flushSync } from 'react-dom';
import { type CellSpec, labelsOf } from '@/core/methods';
import { unitLabel } from '@/core/quantity';
import { Cell } from './Cell';
import type { RowsProps, WeighedProps } from './rows-props';
import { isAskedColumn, isWeighed, type Rows, weighedText } from './use-rows';

/** All rows at once. Enter takes a cell and goes on to the next, then to the next row; the arrows go up and down. */
export function RowsTable({
  data,
  field,
  readOnly,
  register,
  onNext,
  rows,
  onText,
  weighed,
  waits,
  taken,
  at: worked,
}: RowsProps & WeighedProps & { rows: Rows; onText: (text: string) => void }) {
  const cells = useRef(new Map<string, HTMLElement>());
  // What was scanned into a row that is let go is not saved when the focus leaves it.
  const dropped = useRef('');
  const { columns } = rows;
  const specimens = labelsOf(data.setup);
  const asked = columns.filter(isAskedColumn);
  const all = rows.shown;
  const above = new Map(
    columns.flatMap((column) =>
      column.kind === 'instant' ? [[column.name, momentsAbove(rows, column)] as const] : [],
    ),
  );
  const focus = (row: string | undefined, column: string | undefined): boolean => {
    const element = cells.current.get(`${row}/${column}`);
    element?.focus();
    return element !== undefined;
  };
  const at = (row: string): number => all.indexOf(row);

  /** Where Enter goes from a cell; out of the table from the first cell of a row that is still blank. */
  const go = (row: string, column: CellSpec, step: 1 | -1): void => {
    const index = asked.indexOf(column);
    const isBlank = row === rows.blank;
    const leaves = step === 1 && isBlank && index <= 0 && rows.textOf(row, column.name) === '';
    const beside = index === -1 ? undefined : asked[index + step];
    const other = all[at(row) + step];
    const next = beside
      ? focus(row, beside.name)
      : !leaves && focus(other, (step === 1 ? asked[0] : asked.at(-1))?.name);
    if (leaves || !next) onNext(step);
  };

  /** A label that was scanned picks the row of its specimen, when that row is still to be filled. */
  const pick = (row: string, column: CellSpec, text: string): boolean => {
    const begun = columns.some((each) => each !== column && rows.textOf(row, each.name) !== '');
    if (column.kind !== 'specimen' || begun || text.trim() === '') return false;
    for (const other of rows.rows) {
      if (other === row || rows.textOf(other, column.name) !== text.trim()) continue;
      const open = asked.find(({ name }) => rows.textOf(other, name) === '');
      if (!open) continue;
      dropped.current = row;
      rows.drop(row);
      return focus(other, open.name);
    }
    return false;
  };

  const keys =
    (row: string, column: CellSpec) =>
    (event: KeyboardEvent, text: string): void => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
      if (by && column.kind !== 'choice') {
        event.preventDefault();
        focus(all[at(row) + by], column.name);
      } else if (event.key === 'Enter') {
        event.preventDefault();
        if (!readOnly && pick(row, column, text)) return;
        // Who waits for the balance does not lose his place by a key pressed too soon.
        if (waits && text.trim() === '' && isWeighed(column) && !event.shiftKey) return;
        // What the balance shows is one key away: nothing is typed that it says itself.
        const shown =
          weighed && text.trim() === '' && isWeighed(column)
            ? weighedText(weighed, column, data.system)
            : null;
        // Drawn before the focus goes on: a cell that is left saves what stands in it.
        if (!readOnly) flushSync(() => rows.saveCell(row, column, shown ?? text));
        if (!readOnly && shown !== null) taken();
        go(row, column, event.shiftKey ? -1 : 1);
      }
    };

  return (
    <Box
      sx={{ overflowX: 'auto' }}
      onPaste={(event) => {
        const pasted = event.clipboardData.getData('text');
        if (readOnly || !/[\t\n]/u.test(pasted.trim())) return;
        event.preventDefault();
        onText(pasted);
      }}
    >
      <Table size="small" sx={{ '& td, & th': { px: 0.5, py: 0.25 } }} aria-label={field.label}>
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: 24 }} />
            {columns.map((column) => (
              <TableCell key={column.name} title={column.help}>
                {column.label}
                {column.kind === 'measure' && unitLabel(column.unit[data.system]) !== '' ? (
                  <Typography
                    component="span"
                    variant="body2"
                    color="text.secondary"
                    sx={{ whiteSpace: 'nowrap' }}
                  >
                    {` ${unitLabel(column.unit[data.system])}`}
                  </Typography>
                ) : null}
              </TableCell>
            ))}
            {readOnly ? null : <TableCell sx={{ width: 32 }} />}
          </TableRow>
        </TableHead>
        <TableBody>
          {all.map((row, index) => (
            <TableRow
              key={row}
              data-row={row}
              onFocus={() => {
                worked.current = row;
              }}
            >
              <TableCell className="mono" sx={{ color: 'text.secondary' }}>
                {row === rows.blank ? '+' : index + 1}
              </TableCell>
              {columns.map((column) => (
                <TableCell key={column.name} sx={{ verticalAlign: 'top' }}>
                  <Cell
                    column={column}
                    name={`${column.label}, ${field.row} ${index + 1}`}
                    path={`${field.name}/${row === rows.blank ? 'new' : index + 1}/${column.name}`}
                    value={rows.textOf(row, column.name)}
                    error={rows.errorOf(row, column.name)}
                    before={above.get(column.name)?.[index] ?? NONE_ABOVE}
                    zone={data.zone}
                    list={specimens.length > 0 ? `specimens-${field.name}` : undefined}
                    readOnly={readOnly}
                    onType={(text) => rows.typeCell(row, column, text)}
                    onSave={(text) => dropped.current !== row && rows.saveCell(row, column, text)}
                    onKey={keys(row, column)}
                    register={(element) => {
                      if (element) cells.current.set(`${row}/${column.name}`, element);
                      else cells.current.delete(`${row}/${column.name}`);
                      if (row === all.at(-1) && column === asked[0]) register(element);
                    }}
                  />
                </TableCell>
              ))}
              {readOnly ? null : (
                <TableCell>
                  {row === rows.blank ? null : (
                    <IconButton
                      size="small"
                      tabIndex={-1}
                      aria-label={`Take ${field.row} ${index + 1} back`}
                      onClick={() => rows.takeBack(row)}
                    >
                      <span aria-hidden="true">✕</span>
                    </IconButton>
                  )}
                </TableCell>
              )}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {columns.some(({ kind }) => kind === 'specimen') ? (
        <datalist id={`specimens-${field.name}`}>
          {specimens.map((label) => (
            <option key={label} value={label} />
          ))}
        </datalist>
      ) : null}
      {readOnly && all.length === 0 ? (
        <Typography color="text.secondary">{`No ${field.row} was written.`}</Typography>
      ) : null}
    </Box>
  );
}

interface MomentsAbove {
  readonly first: number | undefined;
  readonly last: number | undefined;
}

const NONE_ABOVE: MomentsAbove = { first: undefined, last: undefined };

/** What a time without a date is read against, row by row: the first moment of the column above it, and the last. */
function momentsAbove(rows: Rows, column: CellSpec): readonly MomentsAbove[] {
  let { first, last } = NONE_ABOVE;
  return rows.shown.map((row) => {
    const above = { first, last };
    const moment = Date.parse(rows.textOf(row, column.name));
    if (!Number.isNaN(moment)) {
      first ??= moment;
      last = moment;
    }
    return above;
  });
}
