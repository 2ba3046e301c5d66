'use client';
import { Box, Button, Stack, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { pathOf } from '@/core/methods';
import { FieldControl } from '../runsheet/FieldControl';
import type { RowsProps, WeighedProps } from './rows-props';
import type { Rows } from './use-rows';

/** One row at a time, each cell as large as any other reading of the field. */
export function RowPages({
  data,
  field,
  readOnly,
  register,
  rows,
  at,
}: RowsProps & WeighedProps & { rows: Rows }) {
  const all = rows.shown;
  const [chosen, setChosen] = useState<string | null>(null);
  const index = chosen === null || !all.includes(chosen) ? all.length - 1 : all.indexOf(chosen);
  const row = all[index];
  const [focus, setFocus] = useState(new Map<string, HTMLElement>());
  // What a balance shows goes into the row that is looked at.
  useEffect(() => {
    at.current = row ?? null;
  }, [at, row]);
  if (row === undefined)
    return <Typography color="text.secondary">{`No ${field.row} was written.`}</Typography>;
  const isBlank = row === rows.blank;
  const count = rows.rows.length;
  const show = (to: number): void => setChosen(all[to] ?? null);
  return (
    <Stack spacing={1.5} sx={{ border: 1, borderColor: 'divider', borderRadius: '3px', p: 1.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Button
          aria-label={`The ${field.row} before`}
          disabled={index <= 0}
          onClick={() => show(index - 1)}
          sx={{ minWidth: 56, minHeight: 56, fontSize: '1.4rem' }}
        >
          ‹
        </Button>
        <Typography sx={{ flexGrow: 1, textAlign: 'center', fontWeight: 700 }}>
          {isBlank ? `New ${field.row}${count > 0 ? `, after ${count}` : ''}` : `${index + 1} of ${count}`}
        </Typography>
        <Button
          aria-label={`The next ${field.row}`}
          disabled={index >= all.length - 1}
          onClick={() => show(index + 1)}
          sx={{ minWidth: 56, minHeight: 56, fontSize: '1.4rem' }}
        >
          ›
        </Button>
      </Box>
      {rows.columns.map((column, place) => (
        <FieldControl
          key={`${row}/${column.name}`}
          field={{ ...column, name: pathOf(field.name, row, column.name) }}
          system={data.system}
          value={rows.textOf(row, column.name)}
          error={rows.errorOf(row, column.name)}
          zone={data.zone}
          equipment={data.setup.equipment ?? []}
          readOnly={readOnly}
          onType={(text) => {
            // The row that is begun stays before the eyes, although a new blank one follows it now.
            if (chosen !== row) setChosen(row);
            rows.typeCell(row, column, text);
          }}
          onSave={(text) => {
            if (chosen !== row) setChosen(row);
            rows.saveCell(row, column, text);
          }}
          onNext={(step) => focus.get(rows.columns[place + step]?.name ?? '')?.focus()}
          register={(element) => {
            if (element && focus.get(column.name) !== element) focus.set(column.name, element);
            if (place === 0) register(element);
          }}
        />
      ))}
      {readOnly || isBlank ? null : (
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button
            variant="outlined"
            sx={{ flexGrow: 1, minHeight: 56 }}
            onClick={() => {
              setFocus(new Map());
              setChosen(rows.blank);
            }}
          >
            {`Next ${field.row}`}
          </Button>
          <Button
            sx={{ minHeight: 56 }}
            onClick={() => {
              show(Math.max(0, index - 1));
              rows.takeBack(row);
            }}
          >
            Take back
          </Button>
        </Box>
      )}
    </Stack>
  );
}
