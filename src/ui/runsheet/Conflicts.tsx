'use client';
import { Alert, Box, Button } from '@mui/material';
import { labelAt } from '@/core/methods';
import type { Run } from './run';

/**
 * Readings that somebody else entered while this person typed: both are shown and the person chooses. They stand
 * above the sheet, since Enter has moved on from the field by the time the answer comes.
 */
export function Conflicts({ run }: { run: Run }) {
  const { conflicts, values, settle } = run.readings;
  return Object.entries(conflicts).map(([field, theirs]) => {
    const mine = values[field] ?? '';
    return (
      <Alert key={field} severity="warning">
        {`${labelAt(run.method.Input, field)}: somebody else entered ${theirs.text ?? 'nothing'} meanwhile. You typed ${mine || 'nothing'}.`}
        <Box sx={{ mt: 1, display: 'flex', gap: 1 }}>
          <Button size="small" variant="outlined" onClick={() => settle(field, false)}>
            {`Keep ${theirs.text ?? 'theirs'}`}
          </Button>
          <Button size="small" variant="outlined" onClick={() => settle(field, true)}>
            {`Use ${mine || 'mine'}`}
          </Button>
        </Box>
      </Alert>
    );
  });
}
