'use client';
import { Alert, Box, Button, IconButton, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { NOMINAL_SIZES, type NominalSize } from '@/core/methods';
import { sizeText } from '@/core/methods/cylinder-compression';
import type { System } from '@/core/quantity';
import { type Failure, perform } from '../api';
import { useNotice } from '../parts/Notice';
import { fromLocalInput, localInput } from '../time';
import { useNow } from '../use-now';

interface Row {
  readonly key: number;
  readonly age: string;
  readonly count: number;
}

/** The cylinders to make: size, curing, how many for which age. */
export function MakeCylinders({
  sampleId,
  zone,
  now: initialNow,
  system,
  designatedDays,
  more,
}: {
  sampleId: string;
  zone: string;
  now: number;
  system: System;
  designatedDays: number;
  more: boolean;
}) {
  const router = useRouter();
  const notice = useNotice();
  const sizes = NOMINAL_SIZES.filter((size) => (system === 'US' ? size.length < 5 : size.length > 5));
  const [size, setSize] = useState<NominalSize>(sizes[0] ?? '4x8');
  const [cure, setCure] = useState<'standard' | 'field'>('standard');
  // Untouched, it is the moment of the press: the page may have stood open for a while.
  const [castAt, setCastAt] = useState<string | null>(null);
  const now = useNow(initialNow);
  const [rows, setRows] = useState<readonly Row[]>([
    { key: 1, age: '7', count: 1 },
    { key: 2, age: String(designatedDays), count: 3 },
    { key: 3, age: 'hold', count: 1 },
  ]);
  const [failure, setFailure] = useState<Failure | null>(null);
  const [busy, setBusy] = useState(false);
  const [open, setOpen] = useState(!more);
  if (!open) {
    return (
      <Button variant="outlined" onClick={() => setOpen(true)}>
        Make more cylinders
      </Button>
    );
  }
  const change = (key: number, change: Partial<Row>): void =>
    setRows((all) => all.map((row) => (row.key === key ? { ...row, ...change } : row)));
  const make = async (): Promise<void> => {
    const cast = castAt === null ? new Date().toISOString() : fromLocalInput(castAt, zone);
    if (!cast) return notice('There is no such time here: check day and clock.', 'error');
    setBusy(true);
    const reply = await perform<{ labels: string[] }>('make-specimens', {
      sampleId,
      castAt: cast,
      size,
      cure,
      groups: rows.map(({ age, count }) => (age === 'hold' ? { count } : { ageDays: Number(age), count })),
    });
    setBusy(false);
    setFailure(reply.ok ? null : reply);
    if (reply.ok) {
      notice(`Made: ${reply.data.labels.join(', ')}.`);
      setOpen(false);
      router.refresh();
    }
  };
  const total = rows.reduce((sum, { count }) => sum + count, 0);
  return (
    <Stack spacing={2}>
      {failure ? <Alert severity="error">{Object.values(failure.errors)[0] ?? failure.message}</Alert> : null}
      <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: '1fr 1fr' }}>
        <TextField
          select
          label="Size"
          size="medium"
          value={size}
          onChange={(event) => setSize(event.target.value as NominalSize)}
        >
          {sizes.map((each) => (
            <MenuItem key={each} value={each}>
              {sizeText(each)}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Curing"
          size="medium"
          value={cure}
          onChange={(event) => setCure(event.target.value as 'standard' | 'field')}
        >
          <MenuItem value="standard">Standard</MenuItem>
          <MenuItem value="field">Field</MenuItem>
        </TextField>
      </Box>
      <TextField
        type="datetime-local"
        label="Moulding finished at"
        size="medium"
        value={castAt ?? localInput(now, zone)}
        onChange={(event) => setCastAt(event.target.value)}
        slotProps={{ inputLabel: { shrink: true } }}
        helperText="The age of every cylinder counts from here. Now, unless you change it."
      />
      {rows.map((row) => (
        <Box key={row.key} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          <TextField
            label="Age, days"
            size="medium"
            value={row.age === 'hold' ? 'held' : row.age}
            disabled={row.age === 'hold'}
            onChange={(event) => change(row.key, { age: event.target.value.replace(/\D/g, '') })}
            sx={{ flexGrow: 1 }}
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          />
          <IconButton
            aria-label="One less"
            onClick={() => change(row.key, { count: Math.max(1, row.count - 1) })}
            sx={{ width: 56, height: 56, border: 1, borderColor: 'divider', borderRadius: '3px' }}
          >
            −
          </IconButton>
          <Typography className="mono" sx={{ fontSize: '1.4rem', minWidth: 32, textAlign: 'center' }}>
            {row.count}
          </Typography>
          <IconButton
            aria-label="One more"
            onClick={() => change(row.key, { count: Math.min(20, row.count + 1) })}
            sx={{ width: 56, height: 56, border: 1, borderColor: 'divider', borderRadius: '3px' }}
          >
            +
          </IconButton>
          <IconButton
            aria-label="Take this age away"
            onClick={() => setRows((all) => all.filter(({ key }) => key !== row.key))}
            sx={{ width: 40, height: 56 }}
          >
            ×
          </IconButton>
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          onClick={() =>
            setRows((all) => [
              ...all,
              { key: Math.max(0, ...all.map(({ key }) => key)) + 1, age: '3', count: 1 },
            ])
          }
        >
          Add an age
        </Button>
        {rows.some(({ age }) => age === 'hold') ? null : (
          <Button
            onClick={() =>
              setRows((all) => [
                ...all,
                { key: Math.max(0, ...all.map(({ key }) => key)) + 1, age: 'hold', count: 1 },
              ])
            }
          >
            Add held ones
          </Button>
        )}
      </Box>
      <Button variant="contained" size="large" onClick={make} loading={busy} disabled={rows.length === 0}>
        {`Make ${total} ${total === 1 ? 'cylinder' : 'cylinders'}`}
      </Button>
    </Stack>
  );
}
