'use client';
import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  LinearProgress,
  Stack,
  TextField,
  Typography,
} from '@mui/material';
import { useRouter } from 'next/navigation';
import { type ReactNode, useEffect, useId, useState } from 'react';
import { perform } from '../api';
import { FileButton } from '../parts/FileButton';
import { useNotice } from '../parts/Notice';
import { ImportRows, type ImportRowView, withKey } from './ImportRows';

export interface ImportView {
  readonly rows: readonly ImportRowView[];
  readonly problems: readonly string[];
}

const LARGEST = 2_000_000;

/** A file chosen or rows pasted, looked at row by row first; only what is ticked is brought in, all of it or nothing. */
export function ImportDialog({
  title,
  intro,
  columns,
  read,
  send,
  button,
}: {
  title: string;
  intro: ReactNode;
  columns: readonly string[];
  /** What would come of it, row by row; said at once, or by the server. */
  read: (text: string) => ImportView | Promise<ImportView>;
  /** The use case and its data, for the rows that were chosen. */
  send: (text: string, keys: readonly string[]) => readonly [useCase: string, data: object];
  button: (open: () => void) => ReactNode;
}) {
  const router = useRouter();
  const notice = useNotice();
  const titleId = useId();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const [view, setView] = useState<ImportView | null>(null);
  const [looking, setLooking] = useState(false);
  useEffect(() => {
    let stale = false;
    const told = text.trim() === '' ? null : read(text);
    if (!(told instanceof Promise)) {
      setView(told);
      return;
    }
    setLooking(true);
    void told.then((found) => {
      if (stale) return;
      setView(found);
      setLooking(false);
    });
    return () => {
      stale = true;
      setLooking(false);
    };
  }, [text, read]);
  const good = view?.rows.filter(({ errors }) => errors.length === 0) ?? [];
  const chosen = good.filter(({ key }) => !left.has(key));
  const take = (words: string): void => {
    setText(words);
    setLeft(new Set());
    setTrouble('');
  };
  const choose = async (file: File): Promise<void> => {
    if (file.size > LARGEST) return setTrouble('The file is larger than 2 MB: split it.');
    take(await file.text());
  };
  const bring = async (): Promise<void> => {
    setBusy(true);
    const [useCase, data] = send(
      text,
      chosen.map(({ key }) => key),
    );
    const reply = await perform<{ imported: number }>(useCase, data);
    setBusy(false);
    if (!reply.ok) return setTrouble(Object.values(reply.errors)[0] ?? reply.message);
    notice(`${reply.data.imported} brought in.`);
    take('');
    setOpen(false);
    router.refresh();
  };
  return (
    <>
      {button(() => setOpen(true))}
      <Dialog open={open} onClose={() => setOpen(false)} fullWidth maxWidth="md" aria-labelledby={titleId}>
        <DialogTitle id={titleId}>{title}</DialogTitle>
        <DialogContent>
          <Stack spacing={2} sx={{ pt: 1 }}>
            {typeof intro === 'string' ? (
              <Typography variant="body2" color="text.secondary">
                {intro}
              </Typography>
            ) : (
              <Box>{intro}</Box>
            )}
            <Box>
              <FileButton variant="outlined" accept=".csv,.txt,text/csv,text/plain" take={choose}>
                Choose a file
              </FileButton>
            </Box>
            <TextField
              label="or paste the rows"
              value={text}
              onChange={(event) => take(event.target.value)}
              multiline
              minRows={3}
              maxRows={8}
              slotProps={{ htmlInput: { className: 'mono', style: { fontSize: '0.85rem' } } }}
            />
            {looking ? <LinearProgress aria-label="Looking at the rows" /> : null}
            {trouble ? <Alert severity="error">{trouble}</Alert> : null}
            {view?.problems.map((problem) => (
              <Alert key={problem} severity="error">
                {problem}
              </Alert>
            ))}
            {view && view.rows.length > 0 ? (
              <ImportRows
                columns={[...columns, 'Remarks']}
                rows={view.rows}
                isChosen={({ key }) => !left.has(key)}
                choose={({ key }, on) => setLeft((all) => withKey(all, key, !on))}
                label={({ cells }) => `Bring in ${cells[0]}`}
              />
            ) : null}
          </Stack>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)} color="secondary">
            Cancel
          </Button>
          <Button
            variant="contained"
            onClick={bring}
            loading={busy}
            disabled={looking || chosen.length === 0}
          >
            {`Bring in ${chosen.length}`}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
