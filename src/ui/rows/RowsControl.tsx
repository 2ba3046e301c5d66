'use client';
import { Box, Button, Typography, useMediaQuery } from '@mui/material';
import { useState } from 'react';
import { useKeypad } from '../field/Keypad';
import { FileButton } from '../parts/FileButton';
import { RowPages } from './RowPages';
import { RowsPreview } from './RowsPreview';
import { RowsTable } from './RowsTable';
import type { RowsProps } from './rows-props';
import { useRows } from './use-rows';

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
      {paged ? <RowPages {...props} rows={rows} /> : <RowsTable {...props} rows={rows} onText={setText} />}
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
