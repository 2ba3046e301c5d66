'use client';
import { Alert, Box, Button, IconButton, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Limits, type Profile } from '@/core/limits';
import { type MouldSize, mouldOf, mouldsOf, mouldText, USUAL_MOULD } from '@/core/moulds';
import { plainOf, type System } from '@/core/quantity';
import { sampleSize } from '@/core/sampling-plan';
import { ageText, ageWindow } from '@/core/windows';
import { type Failure, perform } from '../api';
import { timeNow } from '../clock';
import { useNotice } from '../parts/Notice';
import { dayTime, fromLocalInput, isWeekend, localInput } from '../time';
import { useNow } from '../use-now';

interface Row {
  readonly key: number;
  readonly age: string;
  readonly count: number;
}

/** Sets that are usual, to begin from; every number can be changed. Common practice, no source. */
const RECIPES: Readonly<Record<string, (designated: number) => readonly (readonly [string, number])[]>> = {
  'Acceptance set': (designated) => [
    ['7', 1],
    [String(designated), 3],
    ['hold', 1],
  ],
  'Larger cylinders': (designated) => [
    ['7', 1],
    [String(designated), 2],
    ['hold', 1],
  ],
  'Early strength too': (designated) => [
    ['2', 2],
    ['7', 1],
    [String(designated), 3],
    ['hold', 1],
  ],
  'Late age, 56 days': () => [
    ['7', 1],
    ['28', 1],
    ['56', 3],
    ['hold', 1],
  ],
  'For stripping or stressing, field-cured': () => [
    ['1', 1],
    ['2', 1],
    ['3', 1],
  ],
};

const rowsOf = (recipe: string, designated: number): Row[] =>
  (RECIPES[recipe]?.(designated) ?? []).map(([age, count], index) => ({ key: index + 1, age, count }));

/** The specimens to make: mould, curing, how many for which age; what that takes, and on which days it falls. */
export function MakeSpecimens({
  sampleId,
  zone,
  now: initialNow,
  system,
  designatedDays,
  profile,
  finishedAt,
  more,
}: {
  sampleId: string;
  zone: string;
  now: number;
  system: System;
  designatedDays: number;
  profile: Profile;
  /** When the last specimen was finished, as it was stamped; null when it was not. */
  finishedAt: number | null;
  more: boolean;
}) {
  const router = useRouter();
  const notice = useNotice();
  const sizes = mouldsOf(system);
  const [size, setSize] = useState<MouldSize>(USUAL_MOULD[system]);
  const [place, setPlace] = useState('');
  const [recipe, setRecipe] = useState('Acceptance set');
  const [cure, setCure] = useState<'standard' | 'field'>('standard');
  // Untouched, it is the moment of the press: the page may have stood open for a while.
  const [castAt, setCastAt] = useState<string | null>(null);
  const now = useNow(initialNow);
  const [rows, setRows] = useState<readonly Row[]>(() => rowsOf('Acceptance set', designatedDays));
  const [failure, setFailure] = useState<Failure | null>(null);
  const [busy, setBusy] = useState(false);
  const [open, setOpen] = useState(!more);
  if (!open) {
    return (
      <Button variant="outlined" onClick={() => setOpen(true)}>
        Make more specimens
      </Button>
    );
  }
  const change = (key: number, change: Partial<Row>): void =>
    setRows((all) => all.map((row) => (row.key === key ? { ...row, ...change } : row)));
  const make = async (): Promise<void> => {
    const cast =
      castAt === null ? new Date(finishedAt ?? timeNow()).toISOString() : fromLocalInput(castAt, zone);
    if (!cast) return notice('There is no such time here: check day and clock.', 'error');
    setBusy(true);
    const reply = await perform<{ labels: string[] }>('make-specimens', {
      sampleId,
      castAt: cast,
      size,
      cure,
      ...(place.trim() ? { place } : {}),
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
  const limits = new Limits({}, 0, profile);
  const need = sampleSize({ system, specimens: [{ size, count: total }], slump: true }, limits);
  const volumeUnit = system === 'US' ? 'ft3' : 'L';
  const start = castAt === null ? (finishedAt ?? now) : Date.parse(fromLocalInput(castAt, zone) ?? '') || now;
  const noun = mouldOf(size).kind;
  return (
    <Stack spacing={2}>
      {failure ? <Alert severity="error">{Object.values(failure.errors)[0] ?? failure.message}</Alert> : null}
      <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: '1fr 1fr' }}>
        <TextField
          select
          label="Set"
          size="medium"
          value={recipe}
          onChange={(event) => {
            setRecipe(event.target.value);
            setRows(rowsOf(event.target.value, designatedDays));
            if (event.target.value.includes('field-cured')) setCure('field');
          }}
          sx={{ gridColumn: '1 / -1' }}
        >
          {Object.keys(RECIPES).map((each) => (
            <MenuItem key={each} value={each}>
              {each}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Mould"
          size="medium"
          value={size}
          onChange={(event) => setSize(event.target.value as MouldSize)}
        >
          {sizes.map((each) => (
            <MenuItem key={each} value={each}>
              {mouldText(each)}
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
        value={castAt ?? localInput(finishedAt ?? now, zone)}
        onChange={(event) => setCastAt(event.target.value)}
        slotProps={{ inputLabel: { shrink: true } }}
        helperText={`The age of every specimen counts from here. ${finishedAt === null ? 'Now' : 'As stamped'}, unless you change it.`}
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
      <TextField
        label="Where they stand (optional)"
        size="medium"
        value={place}
        onChange={(event) => setPlace(event.target.value)}
        helperText="Box and row."
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      <Typography variant="body2" color="text.secondary">
        {`With the slump they take ${plainOf(need.needed, volumeUnit)}; sample ${plainOf(need.take, volumeUnit)}${need.leastGoverns ? ', the least for strength specimens' : ''}, ${need.barrows === 1 ? 'one barrow' : `${need.barrows} barrows`}.`}
      </Typography>
      <Box>
        <Typography variant="body2" color="text.secondary">
          {`${limits.of('curing.initial', 'US').high} h in the box end: ${dayTime(start + (limits.of('curing.initial', 'US').high?.toNumber() ?? 0) * 3_600_000, zone)}`}
        </Typography>
        {rows
          .filter(({ age }) => Number(age) > 0)
          .map(({ key, age }) => (
            <Typography key={key} variant="body2" color="text.secondary">
              {`${ageText(Number(age) * 24)}: ${dayTime(start + Number(age) * 86_400_000, zone)}${weekendWords(start, Number(age), zone, limits)}`}
            </Typography>
          ))}
      </Box>
      <Button variant="contained" size="large" onClick={make} loading={busy} disabled={rows.length === 0}>
        {`Make ${total} ${total === 1 ? noun : `${noun}s`}`}
      </Button>
    </Stack>
  );
}

/** What is said of an age that falls on a closed day: how far its window reaches to either side. */
function weekendWords(start: number, days: number, zone: string, limits: Limits): string {
  if (!isWeekend(start + days * 86_400_000, zone)) return '';
  const window = ageWindow(start, days * 24, limits);
  return `, a weekend; the window is ${dayTime(window.opensAt, zone)} to ${dayTime(window.closesAt, zone)}`;
}
