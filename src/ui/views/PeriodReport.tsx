'use client';
import { Box, Button, TextField } from '@mui/material';
import { useState } from 'react';

/** First and last day of a period, and its report as a file. */
export function PeriodReport({
  href,
  first,
  last,
}: {
  /** Where it comes from, without its days. */
  readonly href: string;
  readonly first: string;
  readonly last: string;
}) {
  const [from, setFrom] = useState(first);
  const [to, setTo] = useState(last);
  const wrong =
    from === '' || to === '' ? 'Give both days.' : to < from ? 'The last day is before the first.' : '';
  return (
    <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'flex-start', mt: 2 }}>
      {(
        [
          ['From', from, setFrom],
          ['To', to, setTo],
        ] as const
      ).map(([label, value, set]) => (
        <TextField
          key={label}
          size="small"
          type="date"
          label={label}
          value={value}
          onChange={({ target }) => set(target.value)}
          error={label === 'To' && wrong !== ''}
          helperText={label === 'To' ? wrong : ''}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      ))}
      <Button variant="outlined" href={`${href}&from=${from}&to=${to}`} disabled={wrong !== ''}>
        Report of the period, PDF
      </Button>
    </Box>
  );
}
