'use client';
import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  MenuItem,
  TextField,
  Typography,
} from '@mui/material';
import { useId, useState } from 'react';

/** Completed runs of one method leave as a table or as whole records. */
export function ExportResults({
  jobId,
  methods,
}: {
  jobId: string;
  methods: readonly { readonly id: string; readonly title: string }[];
}) {
  const [open, setOpen] = useState(false);
  const [method, setMethod] = useState(methods.at(-1)?.id ?? '');
  const titleId = useId();
  const href = (format: 'csv' | 'json'): string =>
    `/api/export?job=${jobId}&method=${method}&format=${format}`;
  return (
    <>
      <Button variant="outlined" onClick={() => setOpen(true)}>
        Export
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby={titleId} fullWidth maxWidth="xs">
        <DialogTitle id={titleId}>Export results</DialogTitle>
        <DialogContent>
          <TextField
            select
            label="Method"
            value={method}
            onChange={(event) => setMethod(event.target.value)}
            fullWidth
            sx={{ mt: 1 }}
          >
            {methods.map(({ id, title }) => (
              <MenuItem key={id} value={id}>
                {title}
              </MenuItem>
            ))}
          </TextField>
          <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
            CSV: a row for each completed run. JSON: whole records, with working, findings and what they were
            computed with.
          </Typography>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)} color="secondary">
            Close
          </Button>
          <Box sx={{ flexGrow: 1 }} />
          <Button component="a" href={href('csv')} variant="contained">
            CSV
          </Button>
          <Button component="a" href={href('json')} variant="contained">
            JSON
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
