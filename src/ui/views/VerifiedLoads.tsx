'use client';
import {
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from '@mui/material';
import { useId, useState } from 'react';

/** What a machine showed at one load of its verification; loads and percent as they are read. */
export interface VerifiedRow {
  readonly indicated: string;
  readonly applied: string;
  readonly percent: string;
  readonly within: boolean;
}

/** The loads behind a verified range, each with the error of the machine there. */
export function VerifiedLoads({
  number,
  unit,
  rows,
  permitted,
}: {
  number: string;
  unit: string;
  rows: readonly VerifiedRow[];
  /** The permitted error, and where it comes from. */
  permitted: { readonly text: string; readonly source: string };
}) {
  const [open, setOpen] = useState(false);
  const titleId = useId();
  const outside = rows.filter(({ within }) => !within).length;
  return (
    <>
      <Button size="small" onClick={() => setOpen(true)}>
        Errors
      </Button>
      {open ? (
        <Dialog open onClose={() => setOpen(false)} aria-labelledby={titleId}>
          <DialogTitle id={titleId}>{`${number}: verified at ${rows.length} loads`}</DialogTitle>
          <DialogContent>
            <Typography sx={{ color: outside > 0 ? 'error.main' : 'success.main', mb: 1 }}>
              {outside > 0 ? `✕ ${outside} outside ${permitted.text}` : `✓ All within ${permitted.text}`}
            </Typography>
            <Table size="small">
              <TableHead>
                <TableRow>
                  <TableCell align="right">{`Indicated, ${unit}`}</TableCell>
                  <TableCell align="right">{`Applied, ${unit}`}</TableCell>
                  <TableCell align="right">Error, %</TableCell>
                </TableRow>
              </TableHead>
              <TableBody>
                {rows.map(({ indicated, applied, percent, within }) => (
                  <TableRow key={applied}>
                    <TableCell align="right" className="mono">
                      {indicated}
                    </TableCell>
                    <TableCell align="right" className="mono">
                      {applied}
                    </TableCell>
                    <TableCell
                      align="right"
                      className="mono"
                      sx={{ color: within ? 'text.primary' : 'error.main', fontWeight: within ? 400 : 700 }}
                    >
                      {`${within ? '' : '✕ '}${percent}`}
                    </TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
            <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
              {`Indicated less applied, of the applied load. ${permitted.source}. A reading is never corrected by it.`}
            </Typography>
          </DialogContent>
          <DialogActions>
            <Button onClick={() => setOpen(false)}>Close</Button>
          </DialogActions>
        </Dialog>
      ) : null}
    </>
  );
}
