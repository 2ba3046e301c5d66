'use client';
import { Box, Button, TextField, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { type KeyboardEvent, useState } from 'react';
import type { CellSpec, DrawingId, EquipmentFacts } from '@/core/methods';
import { type System, unitLabel, unitLabelsOf, withUnit } from '@/core/quantity';
import { timeNow } from '../clock';
import { Drawing } from '../drawings/Drawing';
import { Keypad, useKeypad } from '../field/Keypad';
import { FileButton } from '../parts/FileButton';
import { MONO } from '../theme';
import { dayTime, fromLocalInput, localInput } from '../time';

interface Props {
  readonly field: CellSpec;
  readonly system: System;
  readonly value: string;
  readonly error: string | undefined;
  readonly zone: string;
  readonly equipment: readonly EquipmentFacts[];
  readonly readOnly: boolean;
  readonly onType: (text: string) => void;
  readonly onSave: (text: string) => void;
  /** Enter was pressed: the reading is taken, go to the next (or back). */
  readonly onNext: (step: 1 | -1) => void;
  readonly register: (element: HTMLElement | null) => void;
}

/** One reading: as large as it can be read from a step away, saved as soon as it is taken. */
export function FieldControl(props: Props) {
  switch (props.field.kind) {
    case 'measure':
    case 'text':
    case 'specimen':
      return <TypedField {...props} />;
    case 'log':
      return <LogControl {...props} />;
    case 'record':
      return <KeptFile {...props} />;
    case 'choice':
      return <ChoiceButtons {...props} options={props.field.options} />;
    case 'check':
      return <CheckButton {...props} />;
    case 'instant':
      return <InstantField {...props} />;
    case 'equipment':
      return <EquipmentButtons {...props} equipmentKind={props.field.equipmentKind} />;
  }
}

const LARGE = { fontSize: '1.5rem', fontFamily: MONO };

function enter(props: Props, text: string): (event: KeyboardEvent) => void {
  return (event) => {
    if (event.key !== 'Enter' || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    if (!props.readOnly) props.onSave(text);
    props.onNext(event.shiftKey ? -1 : 1);
  };
}

function TypedField(props: Props) {
  const { field, system, value, error } = props;
  const measure = field.kind === 'measure' ? field : null;
  const unit = measure ? unitLabel(measure.unit[system]) : '';
  const keypad = useKeypad() && measure !== null && !props.readOnly;
  const [focused, setFocused] = useState(false);
  const box = (
    <TextField
      label={label(field)}
      value={value}
      onChange={(event) => props.onType(event.target.value)}
      onFocus={() => setFocused(true)}
      onBlur={() => {
        setFocused(false);
        if (!props.readOnly) props.onSave(value);
      }}
      onKeyDown={enter(props, value)}
      inputRef={props.register}
      error={error !== undefined}
      helperText={error ?? helpOf(field, system)}
      fullWidth
      slotProps={{
        htmlInput: {
          autoComplete: 'off',
          'data-field': field.name,
          // The keypad of the field page stands in for the phone's own.
          ...(measure ? { inputMode: keypad ? 'none' : 'decimal' } : {}),
        },
        input: {
          readOnly: props.readOnly,
          sx: measure ? { '& input': LARGE } : {},
          endAdornment: unit ? (
            <Typography component="span" color="text.secondary" sx={{ pl: 1, whiteSpace: 'nowrap' }}>
              {unit}
            </Typography>
          ) : undefined,
        },
      }}
    />
  );
  if (!keypad) return box;
  return (
    <Box>
      {box}
      {focused ? (
        <Keypad
          value={value}
          units={unitLabelsOf(measure.dimension).filter((each) => each !== unit)}
          fractions={measure.dimension === 'length'}
          clock={measure.dimension === 'duration'}
          onType={props.onType}
          onTake={() => {
            props.onSave(value);
            props.onNext(1);
          }}
        />
      ) : null}
    </Box>
  );
}

const LARGEST_LOG = 2 * 1024 * 1024;

/** Rows over time: typed, pasted, or read from a file of text. */
function LogControl(props: Props) {
  const { field, value, error } = props;
  const [trouble, setTrouble] = useState('');
  const load = async (file: File): Promise<void> => {
    if (file.size > LARGEST_LOG)
      return setTrouble('This file is larger than 2 MB: cut out the days that count.');
    setTrouble('');
    props.onSave(await file.text());
  };
  return (
    <Box>
      <TextField
        label={label(field)}
        value={value}
        onChange={(event) => props.onType(event.target.value)}
        onBlur={() => !props.readOnly && props.onSave(value)}
        inputRef={props.register}
        error={error !== undefined || trouble !== ''}
        helperText={error ?? (trouble || field.help)}
        multiline
        minRows={2}
        maxRows={10}
        fullWidth
        slotProps={{
          htmlInput: { 'data-field': field.name, autoComplete: 'off' },
          input: { readOnly: props.readOnly, sx: { '& textarea': { fontFamily: MONO } } },
        }}
      />
      {props.readOnly ? null : (
        <FileButton size="small" sx={{ mt: 0.5 }} accept=".csv,.txt,.tsv,text/*" take={load}>
          From a file
        </FileButton>
      )}
    </Box>
  );
}

/** The name of a file that is kept with the run; it is chosen below the readings of the step. */
function KeptFile(props: Props) {
  return (
    <TextField
      label={label(props.field)}
      value={props.value}
      onKeyDown={enter({ ...props, readOnly: true }, props.value)}
      inputRef={props.register}
      error={props.error !== undefined}
      helperText={props.error ?? props.field.help}
      fullWidth
      slotProps={{
        htmlInput: { 'data-field': props.field.name, autoComplete: 'off' },
        input: { readOnly: true },
      }}
    />
  );
}

function label(field: CellSpec): string {
  return field.required ? field.label : `${field.label} (if taken)`;
}

function helpOf(field: CellSpec, system: System): string | undefined {
  if (field.kind !== 'measure') return field.help;
  const place =
    field.dimension === 'duration' ? '' : `Read to ${withUnit(field.step[system], field.unit[system])}.`;
  return [field.help, place].filter(Boolean).join(' ') || undefined;
}

function Legend({ field, error, id }: { field: CellSpec; error: string | undefined; id: string }) {
  return (
    <Typography id={id} variant="body2" color={error ? 'error' : 'text.secondary'} sx={{ mb: 0.5 }}>
      {error ?? `${label(field)}${field.help ? `. ${field.help}` : ''}`}
    </Typography>
  );
}

function ChoiceButtons(
  props: Props & { options: readonly { value: string; label: string; drawing?: DrawingId }[] },
) {
  const { field, value, options } = props;
  const id = `legend-${field.name}`;
  const choose = (chosen: string | null): void => {
    if (props.readOnly) return;
    props.onSave(chosen ?? '');
  };
  return (
    <Box
      onKeyDown={(event) => {
        const number = Number(event.key);
        const option = Number.isInteger(number) && number > 0 ? options[number - 1] : undefined;
        if (option) {
          event.preventDefault();
          choose(option.value);
          props.onNext(1);
        } else enter(props, value)(event);
      }}
    >
      <Legend field={field} error={props.error} id={id} />
      <ToggleButtonGroup
        ref={(element: HTMLDivElement | null) => {
          props.register(
            element?.querySelector<HTMLElement>('button[aria-pressed="true"]') ??
              element?.querySelector('button') ??
              null,
          );
        }}
        exclusive
        value={value === '' ? null : value}
        onChange={(_, chosen: string | null) => choose(chosen)}
        aria-labelledby={id}
        disabled={props.readOnly}
        color="primary"
        sx={{
          flexWrap: 'wrap',
          gap: 0.75,
          '& .MuiToggleButton-root': {
            border: 1,
            borderColor: 'divider',
            borderRadius: '3px !important',
            m: '0 !important',
          },
        }}
      >
        {options.map((option, index) => (
          <ToggleButton
            key={option.value}
            value={option.value}
            sx={{
              minHeight: 48,
              // Many drawings stand two beside one another: they are compared.
              ...(option.drawing && options.length > 4
                ? { width: { xs: '100%', sm: 'calc(50% - 3px)' } }
                : {}),
              textTransform: 'none',
              color: 'text.primary',
              textAlign: 'left',
              justifyContent: 'flex-start',
              '&.Mui-selected': { bgcolor: 'primary.main', color: 'primary.contrastText' },
              '&.Mui-selected:hover': { bgcolor: 'primary.main' },
            }}
          >
            <Box component="span" className="mono" aria-hidden="true" sx={{ opacity: 0.75, mr: 1 }}>
              {index + 1}
            </Box>
            {option.drawing ? (
              <Box
                component="span"
                sx={{
                  display: 'flex',
                  flexDirection: 'column',
                  alignItems: 'center',
                  bgcolor: 'background.paper',
                  color: 'text.primary',
                  p: 0.5,
                  borderRadius: '3px',
                }}
              >
                <Drawing id={option.drawing} />
                {option.label}
              </Box>
            ) : (
              withoutNumber(option.label, index + 1)
            )}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}

/** Types that carry a number of their own have it as their key; it need not stand there twice. */
function withoutNumber(text: string, number: number): string {
  return text.startsWith(`${number} `) ? text.slice(`${number} `.length) : text;
}

function CheckButton(props: Props) {
  const done = props.value === 'true';
  return (
    <ToggleButton
      ref={props.register}
      value="done"
      selected={done}
      disabled={props.readOnly}
      onChange={() => props.onSave(done ? '' : 'true')}
      onKeyDown={(event) => {
        if (event.ctrlKey || event.metaKey || event.altKey) return;
        // Passing a check is no answer to it: Enter goes on, its own key says that it was done.
        const answered = event.key.toLowerCase() === 'y';
        if (event.key !== 'Enter' && !answered) return;
        event.preventDefault();
        if (answered && !props.readOnly) props.onSave('true');
        props.onNext(event.shiftKey && !answered ? -1 : 1);
      }}
      fullWidth
      sx={{
        justifyContent: 'flex-start',
        minHeight: 56,
        textTransform: 'none',
        color: 'text.primary',
        gap: 1.5,
        '&.Mui-selected': { bgcolor: 'success.light', color: 'success.main' },
      }}
    >
      <Box
        component="span"
        className="mono"
        aria-hidden="true"
        sx={{ fontSize: '1.2rem', whiteSpace: 'nowrap', flexShrink: 0 }}
      >
        {done ? '[✓]' : '[ ]'}
      </Box>
      <Box component="span" sx={{ textAlign: 'left' }}>
        {props.field.label}
        {props.field.help ? (
          <Typography component="span" variant="body2" color="text.secondary" sx={{ display: 'block' }}>
            {props.field.help}
          </Typography>
        ) : null}
      </Box>
      {done ? null : (
        <Typography
          component="span"
          variant="body2"
          color="text.secondary"
          aria-hidden="true"
          sx={{ ml: 'auto', whiteSpace: 'nowrap', display: { xs: 'none', md: 'inline' } }}
        >
          Y: done
        </Typography>
      )}
    </ToggleButton>
  );
}

function InstantField(props: Props) {
  const { field, value, zone } = props;
  const shown = value && !Number.isNaN(Date.parse(value)) ? localInput(value, zone) : '';
  const now = (): void => {
    if (!props.readOnly) props.onSave(new Date(timeNow()).toISOString());
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
      <TextField
        type="datetime-local"
        label={label(field)}
        value={shown}
        onChange={(event) => {
          const at = fromLocalInput(event.target.value, zone);
          if (at) props.onSave(at);
          else if (event.target.value === '') props.onSave('');
        }}
        onKeyDown={(event) => {
          if (event.key.toLowerCase() === 'n') {
            event.preventDefault();
            now();
            props.onNext(1);
          } else if (event.key === 'Enter' && !event.ctrlKey) {
            event.preventDefault();
            props.onNext(event.shiftKey ? -1 : 1);
          }
        }}
        inputRef={props.register}
        error={props.error !== undefined}
        helperText={props.error ?? (value ? dayTime(value, zone) : field.help)}
        slotProps={{
          inputLabel: { shrink: true },
          input: { readOnly: props.readOnly, sx: { '& input': { fontFamily: MONO } } },
          htmlInput: { 'data-field': field.name },
        }}
        fullWidth
      />
      <Button variant="outlined" onClick={now} disabled={props.readOnly} sx={{ minHeight: 40 }} tabIndex={-1}>
        Now
      </Button>
    </Box>
  );
}

/** Equipment of a kind is few: each is one key away, as any other answer. */
function EquipmentButtons(props: Props & { equipmentKind: string }) {
  const { value, equipment, equipmentKind } = props;
  const own = equipment.filter((item) => item.kind === equipmentKind && item.inService !== false);
  const missing = value !== '' && !own.some(({ number }) => number === value);
  if (own.length === 0 && !missing) {
    return (
      <Typography color="text.secondary" ref={props.register} tabIndex={-1} onKeyDown={enter(props, '')}>
        {`${props.field.label}: there is no ${equipmentKind} in the register yet.`}
      </Typography>
    );
  }
  return (
    <ChoiceButtons
      {...props}
      options={[
        ...own.map((item) => ({ value: item.number, label: `${item.number} ${item.name ?? ''}` })),
        ...(missing ? [{ value, label: `${value}, not in the register or out of service` }] : []),
      ]}
    />
  );
}
