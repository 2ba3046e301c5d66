'use client';
import { Box, Button, Typography, useMediaQuery } from '@mui/material';
import { useRef, useState } from 'react';
import { BalanceStrip } from '../balance/BalanceStrip';
import { balanceOf } from '../balance/balance-of';
import { useBalance } from '../balance/use-balance';
import { useKeypad } from '../field/Keypad';
import { FileButton } from '../parts/FileButton';
import { RowPages } from './RowPages';
import { RowsPreview } from './RowsPreview';
import { RowsTable } from './RowsTable';
import type { RowsProps } from './rows-props';
import { isWeighed, useRows, weighedText } from './use-rows';

const LARGEST_FILE = 2 * 1024 * 1024;

/** A table that grows: on the desk all rows at once, on the phone one at a time; pasted or read from a file. */
export function RowsControl(props: RowsProps) {
  const { run, field, error, readOnly } = props;
  const rows = useRows(run, field, props);
  const narrow = useMediaQuery('(max-width:700px)');
  const paged = useKeypad() || narrow;
  const [text, setText] = useState<string | null>(null);
  const [trouble, setTrouble] = useState('');
  const read = async (file: File): Promise<void> => {
    if (file.size > LARGEST_FILE)
      return setTrouble('This file is larger than 2 MB: cut out the rows that count.');
    setTrouble('');
    setText(await file.text());
  };
  const wrong = error ?? (trouble || undefined);
  // What stands beside no specimen was not weighed here: the masses of a batch ticket.
  const masses = rows.columns.some(({ kind }) => kind === 'specimen') ? rows.columns.filter(isWeighed) : [];
  const balance = readOnly || masses.length === 0 ? undefined : balanceOf(run, props.data);
  const { state, taken } = useBalance(balance);
  const weighed = state.up && state.shown?.state === 'ready' ? state.shown : null;
  const at = useRef<string | null>(null);
  /** Into the row that somebody works in, else into the first that was begun; a new one where none lacks a mass. */
  const take = (): void => {
    const lacks = (row: string) => masses.find(({ name }) => rows.textOf(row, name) === '');
    const row = [at.current, ...rows.shown].find((each) => each && rows.shown.includes(each) && lacks(each));
    const cell = row && lacks(row);
    if (!row || !cell || weighed === null) return;
    rows.saveCell(row, cell, weighedText(weighed, cell, props.data.system));
    taken();
  };
  const waits = Boolean(state.up) && (state.shown?.state === 'moving' || state.shown?.state === 'taken');
  const ofBalance = { weighed, waits, taken, at };
  return (
    <Box component="fieldset" sx={{ border: 0, m: 0, p: 0, minWidth: 0 }}>
      <Typography
        component="legend"
        variant="body2"
        color={wrong ? 'error' : 'text.secondary'}
        sx={{ mb: 0.5 }}
      >
        {wrong ??
          `${field.label}${field.required ? '' : ' (if taken)'}.${field.help ? ` ${field.help}` : ''}`}
      </Typography>
      {balance ? <BalanceStrip runId={props.data.runId} number={balance} state={state} take={take} /> : null}
      {paged ? (
        <RowPages {...props} {...ofBalance} rows={rows} />
      ) : (
        <RowsTable {...props} {...ofBalance} rows={rows} onText={setText} />
      )}
      {readOnly ? null : (
        <Box sx={{ display: 'flex', gap: 1, mt: 0.5, alignItems: 'center', flexWrap: 'wrap' }}>
          <Button size="small" onClick={() => setText('')}>
            Paste rows
          </Button>
          <FileButton size="small" accept=".csv,.txt,.tsv,text/*" take={read}>
            From a file
          </FileButton>
          {rows.takenBack ? (
            <Typography variant="body2" role="status">
              {`The ${field.row} is taken back.`}
              <Button size="small" onClick={rows.undo}>
                Undo
              </Button>
            </Typography>
          ) : null}
        </Box>
      )}
      {text === null ? null : (
        <RowsPreview
          {...props}
          initial={text}
          onClose={() => setText(null)}
          onPut={(cells) => {
            rows.add(cells);
            setText(null);
          }}
        />
      )}
    </Box>
  );
}
