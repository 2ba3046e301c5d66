'use client';
import {
  Alert,
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControl,
  FormControlLabel,
  FormHelperText,
  FormLabel,
  MenuItem,
  Stack,
  TextField,
  Typography,
} from '@mui/material';
import { useRouter } from 'next/navigation';
import { type ReactNode, useId, useState } from 'react';
import { flushSync } from 'react-dom';
import { type Control, Controller, useForm } from 'react-hook-form';
import { type Failure, perform } from '../api';
import { useNotice } from '../parts/Notice';
import { fromLocalInput } from '../time';
import type { FormField, FormProps } from './form-props';

/** The form of a dialog, open: what it is made of is fetched when the first one is opened. */
export function OpenForm({ close, ...props }: FormProps & { close: () => void }) {
  const { fields, initial = {}, zone = 'UTC' } = props;
  const router = useRouter();
  const notice = useNotice();
  const titleId = useId();
  const [failure, setFailure] = useState<Failure | null>(null);
  const [shown, setShown] = useState<ReactNode>(null);
  const rare = fields.filter((field) => field.rare);
  const usual = fields.filter((field) => !field.rare);
  const [more, setMore] = useState(rare.some(({ name }) => (initial[name] ?? '') !== ''));
  const form = useForm<Record<string, string>>({
    defaultValues: Object.fromEntries(fields.map(({ name }) => [name, initial[name] ?? ''])),
  });

  const submit = form.handleSubmit(async (typed) => {
    setFailure(null);
    const values: Record<string, unknown> = { ...props.fixed };
    for (const field of fields) {
      // A password is what was typed, blanks and all.
      const text = field.type === 'password' ? (typed[field.name] ?? '') : (typed[field.name] ?? '').trim();
      if (text === '' && field.optional) continue;
      if (field.type === 'datetime') {
        const at = fromLocalInput(text, zone);
        if (at === null) {
          form.setError(field.name, {
            message: text === '' ? 'Give day and time.' : 'There is no such time here: check day and clock.',
          });
          return;
        }
        values[field.name] = at;
      } else if (field.type === 'checks') values[field.name] = text.split(' ').filter(Boolean);
      else values[field.name] = field.type === 'number' ? Number(text) : text;
    }
    const reply = await perform(props.useCase, props.shape ? props.shape(values) : values);
    if (!reply.ok) {
      const names = new Set(fields.map(({ name }) => name));
      const elsewhere = Object.entries(reply.errors).filter(([name]) => !names.has(name));
      // A long form stands before the first field that is wrong, not where it was sent from.
      const wrong = fields.filter(({ name }) => reply.errors[name] !== undefined);
      // What is wrong stands open before it is gone to.
      if (wrong.some((field) => field.rare)) flushSync(() => setMore(true));
      for (const [order, { name }] of wrong.entries())
        form.setError(name, { message: reply.errors[name] ?? '' }, { shouldFocus: order === 0 });
      const atFields = Object.keys(reply.errors).length > 0 && elsewhere.length === 0;
      setFailure(atFields ? null : { ...reply, message: elsewhere[0]?.[1] ?? reply.message });
      return;
    }
    if (props.shows) return setShown(props.shows(reply.data));
    notice(props.done);
    close();
    const next = props.then?.(reply.data);
    if (next) router.push(next);
    else router.refresh();
  });

  const done = (): void => {
    close();
    router.refresh();
  };
  if (shown)
    return (
      <Dialog open onClose={done} fullWidth maxWidth="sm" aria-labelledby={titleId}>
        <DialogTitle id={titleId}>{props.title}</DialogTitle>
        <DialogContent>{shown}</DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={done}>
            Close
          </Button>
        </DialogActions>
      </Dialog>
    );
  return (
    <Dialog open onClose={close} fullWidth maxWidth="sm" aria-labelledby={titleId}>
      <form onSubmit={submit} noValidate>
        <DialogTitle id={titleId}>{props.title}</DialogTitle>
        <DialogContent>
          <Stack spacing={2} sx={{ pt: 1 }}>
            {typeof props.intro === 'string' ? <Typography>{props.intro}</Typography> : props.intro}
            {failure ? <Alert severity="error">{failure.message}</Alert> : null}
            {usual.map((field, index) => (
              <Asked key={field.name} field={field} control={form.control} first={index === 0} />
            ))}
            {rare.length > 0 ? (
              <Button onClick={() => setMore(!more)} aria-expanded={more} sx={{ alignSelf: 'start' }}>
                {more ? '▾ Without what is seldom asked' : `▸ ${rare.length} more that are seldom asked`}
              </Button>
            ) : null}
            <Stack spacing={2} hidden={!more} sx={{ '&[hidden]': { display: 'none' } }}>
              {rare.map((field) => (
                <Asked key={field.name} field={field} control={form.control} />
              ))}
            </Stack>
          </Stack>
        </DialogContent>
        <DialogActions>
          <Button onClick={close} color="secondary">
            Cancel
          </Button>
          <Button type="submit" variant="contained" loading={form.formState.isSubmitting}>
            {props.submit}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

/** One field of the form, with what is wrong with it. */
function Asked({
  field,
  control,
  first = false,
}: {
  field: FormField;
  control: Control<Record<string, string>>;
  first?: boolean;
}) {
  return (
    <Controller
      name={field.name}
      control={control}
      render={({ field: { ref, ...own }, fieldState }) =>
        field.type === 'checks' ? (
          <Checks
            field={field}
            value={own.value ?? ''}
            onChange={own.onChange}
            error={fieldState.error?.message}
          />
        ) : (
          <TextField
            {...own}
            inputRef={ref}
            label={`${field.label}${field.optional ? ' (optional)' : ''}`}
            type={inputType(field)}
            select={field.options !== undefined}
            multiline={field.type === 'lines'}
            minRows={field.type === 'lines' ? 3 : undefined}
            autoFocus={first}
            autoComplete={field.type === 'password' ? 'new-password' : 'off'}
            error={fieldState.error !== undefined}
            helperText={fieldState.error?.message ?? field.help}
            slotProps={{
              inputLabel: field.type === 'date' || field.type === 'datetime' ? { shrink: true } : {},
              htmlInput: field.type === 'number' ? { inputMode: 'numeric' } : {},
            }}
            fullWidth
          >
            {field.options?.map((option) => (
              <MenuItem key={option.value} value={option.value}>
                {option.label}
              </MenuItem>
            ))}
          </TextField>
        )
      }
    />
  );
}

/** Any number of answers, ticked; held as their values with spaces between. */
function Checks({
  field,
  value,
  onChange,
  error,
}: {
  field: FormField;
  value: string;
  onChange: (value: string) => void;
  error: string | undefined;
}) {
  const chosen = value.split(' ').filter(Boolean);
  return (
    <FormControl component="fieldset" error={error !== undefined}>
      <FormLabel component="legend">{field.label}</FormLabel>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
        {field.options?.map((option) => (
          <FormControlLabel
            key={option.value}
            label={option.label}
            control={
              <Checkbox
                checked={chosen.includes(option.value)}
                onChange={(_, on) =>
                  onChange(
                    (on ? [...chosen, option.value] : chosen.filter((each) => each !== option.value)).join(
                      ' ',
                    ),
                  )
                }
              />
            }
          />
        ))}
      </Box>
      <FormHelperText>{error ?? field.help}</FormHelperText>
    </FormControl>
  );
}

function inputType(field: FormField): string {
  if (field.type === 'datetime') return 'datetime-local';
  if (field.type === 'lines' || field.type === 'number' || field.type === 'checks') return 'text';
  return field.type ?? 'text';
}
