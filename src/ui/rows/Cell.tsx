'use client';
import { Box, Checkbox, TextField, Typography } from '@mui/material';
import { type KeyboardEvent, useState } from 'react';
import { readMoment } from '@/core/interchange/moment-text';
import type { CellSpec } from '@/core/methods';
import { capital } from '@/core/words';
import { timeNow } from '../clock';
import { MONO } from '../theme';
import { clock, clockSeconds, dayTime } from '../time';

interface Props {
  readonly column: CellSpec;
  /** How the cell is called to who does not see the table. */
  readonly name: string;
  /** Where it stands, for who looks for it: table, number of the row, column. */
  readonly path: string;
  readonly value: string;
  readonly error: string | undefined;
  /** Moments of the rows above, ms since the epoch. */
  readonly before: { readonly first: number | undefined; readonly last: number | undefined };
  readonly zone: string;
  /** The list of the labels to choose from. */
  readonly list: string | undefined;
  readonly readOnly: boolean;
  readonly onType: (text: string) => void;
  readonly onSave: (text: string) => void;
  readonly onKey: (event: KeyboardEvent, text: string) => void;
  readonly register: (element: HTMLElement | null) => void;
}

/** One cell of a table: as narrow as its reading, its error under it. */
export function Cell(props: Props) {
  const { column, value, error } = props;
  if (column.kind === 'check') return <Tick {...props} />;
  if (column.kind === 'instant') return <Moment {...props} />;
  const options = column.kind === 'choice' ? column.options : null;
  const wide = column.kind === 'measure' ? 58 : column.kind === 'specimen' ? 120 : 84;
  return (
    <TextField
      size="small"
      hiddenLabel
      select={options !== null}
      value={value}
      onChange={({ target }) => {
        if (options && !props.readOnly) props.onSave(target.value);
        else props.onType(target.value);
      }}
      onBlur={() => !props.readOnly && options === null && props.onSave(value)}
      onKeyDown={(event) => props.onKey(event, value)}
      inputRef={props.register}
      error={error !== undefined}
      helperText={error ? withoutLabel(error, column.label) : undefined}
      sx={{ minWidth: wide, width: '100%' }}
      slotProps={{
        select: { native: true },
        formHelperText: { sx: { mx: 0 } },
        htmlInput: {
          'aria-label': props.name,
          'data-cell': props.path,
          autoComplete: 'off',
          ...(column.kind === 'measure' ? { inputMode: 'decimal' } : {}),
          ...(column.kind === 'specimen' && props.list ? { list: props.list } : {}),
        },
        input: {
          readOnly: props.readOnly,
          sx: { '& input, & select': { fontFamily: MONO, px: 0.75, py: 0.6 } },
        },
      }}
    >
      {options
        ? [<option key="" value="" />].concat(
            options.map((option) => (
              <option key={option.value} value={option.value}>
                {option.label}
              </option>
            )),
          )
        : null}
    </TextField>
  );
}

/** Under its own head a cell need not say its name again. */
function withoutLabel(error: string, label: string): string {
  const rest = error.startsWith(`${label}: `) ? error.slice(label.length + 2) : error;
  return capital(rest);
}

function Tick({ value, name, path, readOnly, onSave, onKey, register }: Props) {
  return (
    <Checkbox
      checked={value === 'true'}
      disabled={readOnly}
      onChange={(_, checked) => onSave(checked ? 'true' : '')}
      onKeyDown={(event) => onKey(event, value)}
      slotProps={{ input: { 'aria-label': name, ref: register, 'data-cell': path } as object }}
    />
  );
}

/** A moment in the zone of the job: shown as a time of day, typed as one. */
function Moment({
  column,
  value,
  name,
  path,
  error,
  before,
  zone,
  readOnly,
  onSave,
  onKey,
  register,
}: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const seconds = column.kind === 'instant' && column.seconds === true;
  const at = Date.parse(value);
  const shown = Number.isNaN(at) ? value : seconds ? clockSeconds(at, zone) : clock(at, zone);
  const read =
    typed === null || typed.trim() === ''
      ? null
      : readMoment(typed, {
          zone,
          seconds,
          near: before.last ?? (Number.isNaN(at) ? timeNow() : at),
          ...(before.first === undefined ? {} : { first: before.first }),
        });
  const problem = read && 'problem' in read ? read.problem : undefined;
  const take = (): void => {
    if (typed === null || readOnly || problem) return;
    onSave(read && 'at' in read ? read.at : '');
    setTyped(null);
  };
  const wrong = problem ?? error;
  return (
    <Box sx={{ minWidth: seconds ? 104 : 84 }}>
      <TextField
        size="small"
        hiddenLabel
        fullWidth
        value={typed ?? shown}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && problem) return event.preventDefault();
          if (event.key === 'Enter') take();
          onKey(event, read && 'at' in read ? read.at : typed === '' ? '' : value);
        }}
        inputRef={register}
        error={wrong !== undefined}
        helperText={wrong}
        slotProps={{
          formHelperText: { sx: { mx: 0 } },
          htmlInput: {
            'aria-label': name,
            'data-cell': path,
            autoComplete: 'off',
            title: Number.isNaN(at) ? '' : dayTime(at, zone),
            placeholder: column.kind === 'instant' && column.stamps ? 'by itself' : '',
          },
          input: { readOnly, sx: { '& input': { fontFamily: MONO, px: 0.75, py: 0.6 } } },
        }}
      />
      {seconds ? null : <DayChange at={at} before={before.last} zone={zone} />}
    </Box>
  );
}

/** Says the day where it is another than that of the row above. */
function DayChange({ at, before, zone }: { at: number; before: number | undefined; zone: string }) {
  if (Number.isNaN(at) || before === undefined) return null;
  const [own, above] = [dayTime(at, zone).slice(0, -6), dayTime(before, zone).slice(0, -6)];
  if (own === above) return null;
  return (
    <Typography variant="caption" color="text.secondary">
      {own}
    </Typography>
  );
}
