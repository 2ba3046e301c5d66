'use client';
import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Typography,
} from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { perform } from '../api';
import { newId } from '../ids';
import { TextLink } from '../parts/LinkButton';
import { useNotice } from '../parts/Notice';

/** What is done with several specimens of a sample at once. */
export interface Way {
  readonly id: string;
  readonly title: string;
  readonly begin: string;
  readonly batches: readonly {
    readonly runId: string;
    readonly label: string;
    readonly state: 'open' | 'complete';
    readonly members: number;
  }[];
  /** Those that it can be begun with; none for who may not. */
  readonly choices: readonly { readonly id: string; readonly label: string; readonly usual: boolean }[];
}

/** What is done with the specimens of a sample together, in the order of the work: begun here, gone on with from here. */
export function Together({ ways }: { ways: readonly Way[] }) {
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 1 }}>
      {ways.map((way) => (
        <Box
          component="li"
          key={way.id}
          sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}
        >
          <Typography sx={{ flexGrow: 1 }}>{way.title}</Typography>
          {way.batches.map(({ runId, label, state, members }) => (
            <Typography key={runId} component="span">
              {state === 'complete' ? '✓ ' : ''}
              <TextLink href={`/runs/${runId}`}>{label}</TextLink>
              {`, ${members}${state === 'open' ? ', under way' : ''}`}
            </Typography>
          ))}
          {way.choices.length > 0 ? <Begin way={way} /> : null}
        </Box>
      ))}
    </Box>
  );
}

function Begin({ way: { id, title, begin, choices, batches } }: { way: Way }) {
  const router = useRouter();
  const notice = useNotice();
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const start = async (): Promise<void> => {
    setBusy(true);
    const specimenIds = choices.filter((each) => chosen.includes(each.id)).map((each) => each.id);
    const reply = await perform<{ runId: string }>('make-batch', { id: newId(), kind: id, specimenIds });
    if (reply.ok) return router.push(`/runs/${reply.data.runId}`);
    setBusy(false);
    notice(Object.values(reply.errors)[0] ?? reply.message, 'error');
  };
  return (
    <>
      <Button
        variant={batches.length === 0 ? 'outlined' : 'text'}
        onClick={() => {
          setChosen(choices.filter(({ usual }) => usual).map((each) => each.id));
          setOpen(true);
        }}
      >
        {batches.length === 0 ? begin : `${begin} again`}
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby={`${id}-title`}>
        <DialogTitle id={`${id}-title`}>{title}</DialogTitle>
        <DialogContent>
          <Typography sx={{ mb: 1 }}>Tick those that are done together.</Typography>
          {choices.map((each) => (
            <FormControlLabel
              key={each.id}
              sx={{ display: 'flex' }}
              label={<span className="mono">{each.label}</span>}
              control={
                <Checkbox
                  checked={chosen.includes(each.id)}
                  onChange={(_, on) =>
                    setChosen(on ? [...chosen, each.id] : chosen.filter((one) => one !== each.id))
                  }
                />
              }
            />
          ))}
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Cancel</Button>
          <Button variant="contained" disabled={chosen.length === 0} loading={busy} onClick={start}>
            {begin}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
