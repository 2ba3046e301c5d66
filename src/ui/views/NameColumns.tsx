'use client';
import { Box, Button, MenuItem, Stack, TextField, Typography } from '@mui/material';
import type { Headings } from '@/core/interchange/headings';

const keyOf = (method: string | undefined): string => `bricole.headings.${method ?? ''}`;

/** What the headings of this device's files of a test stood for last. */
export function keptHeadings(method: string | undefined): Headings {
  try {
    return JSON.parse(window.localStorage.getItem(keyOf(method)) ?? '{}') as Headings;
  } catch {
    return {};
  }
}

export function keepHeadings(method: string | undefined, headings: Headings): void {
  window.localStorage.setItem(keyOf(method), JSON.stringify(headings));
}

/** Columns of a file that nobody here calls so: each can be said to be one that is known, in its unit. */
export function NameColumns({
  unused,
  taken,
  headings,
  known,
  call,
}: {
  readonly unused: readonly string[];
  /** Columns that the file has already. */
  readonly taken: readonly string[];
  readonly headings: Headings;
  readonly known: readonly { readonly column: string; readonly label: string }[];
  readonly call: (heading: string, column: string) => void;
}) {
  const free = [{ column: 'specimen', label: 'Specimen, or serial number' }, ...known].filter(
    ({ column }) => !taken.includes(column),
  );
  const named = Object.entries(headings).filter(([, column]) => taken.includes(column));
  if (unused.length === 0 && named.length === 0) return null;
  return (
    <Box sx={{ mb: 2 }}>
      {named.map(([heading, column]) => (
        <Stack key={heading} direction="row" spacing={1} sx={{ alignItems: 'center' }}>
          <Typography variant="body2">{`“${heading}” is ${column}.`}</Typography>
          <Button
            size="small"
            onClick={() => call(heading, '')}
            aria-label={`“${heading}” is something else`}
          >
            Something else
          </Button>
        </Stack>
      ))}
      {unused.length > 0 ? (
        <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
          Columns not used. Say what one is, and the file is looked at again:
        </Typography>
      ) : null}
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap' }}>
        {unused.map((heading) => (
          <TextField
            key={heading}
            select
            size="small"
            label={heading}
            value=""
            onChange={({ target }) => call(heading, target.value)}
            sx={{ minWidth: 180 }}
          >
            {free.map(({ column, label }) => (
              <MenuItem key={column} value={column}>
                {`${label}: ${column}`}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </Stack>
    </Box>
  );
}
