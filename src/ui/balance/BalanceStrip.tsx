'use client';
import { Box, Button, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import type { Weighing } from '@/core/balance';
import { perform } from '../api';
import { MONO } from '../theme';
import type { BalanceState } from './use-balance';

const WORDS: Readonly<Record<Weighing['state'], string>> = {
  empty: 'Empty.',
  moving: 'Moving: wait until it stands still.',
  ready: 'Steady: Enter in an empty cell of a mass takes it.',
  taken: 'Taken. Lift it off before the next one.',
};

/** What the balance shows, and the button that takes it; a stand-in is loaded from here. */
export function BalanceStrip({
  runId,
  number,
  state: { up, simulated, shown },
  take,
}: {
  runId: string;
  number: string;
  state: BalanceState;
  take: () => void;
}) {
  const [mass, setMass] = useState('');
  const [wrong, setWrong] = useState('');
  const load = async (what: 'put' | 'off' | 'tare'): Promise<void> => {
    const reply = await perform('load-balance', { runId, what, ...(what === 'put' ? { mass } : {}) });
    setWrong(reply.ok ? '' : (reply.errors?.mass ?? reply.message));
  };
  return (
    <Box
      component="section"
      aria-label={`Balance ${number}`}
      sx={{ border: 1, borderColor: 'divider', borderRadius: '3px', p: 1, mb: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="overline" sx={{ lineHeight: 1.2 }}>
          {number}
        </Typography>
        <Typography sx={{ fontFamily: MONO, fontSize: '1.5rem', minWidth: 130, textAlign: 'right' }}>
          {up === false || !shown ? '–' : shown.typed}
        </Typography>
        <Typography
          role="status"
          variant="body2"
          sx={{ flex: '1 1 180px' }}
          color={up === false ? 'error' : shown?.state === 'ready' ? 'success.main' : 'text.secondary'}
        >
          {up === false
            ? 'No line to it: it is being made again. Type what it shows.'
            : shown
              ? WORDS[shown.state]
              : 'Waiting for it.'}
        </Typography>
        <Button variant="contained" disabled={shown?.state !== 'ready' || up === false} onClick={take}>
          Take it
        </Button>
      </Box>
      {simulated ? (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start', flexWrap: 'wrap', mt: 1 }}>
          <TextField
            size="small"
            label="On the stand-in lies"
            value={mass}
            onChange={({ target }) => setMass(target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter') return;
              event.preventDefault();
              void load('put');
            }}
            error={wrong !== ''}
            helperText={wrong || 'It is no real balance: say what you lay on it.'}
            slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
          />
          <Button onClick={() => void load('put')}>Lay it on</Button>
          <Button onClick={() => void load('off')}>Lift it off</Button>
          <Button onClick={() => void load('tare')}>Tare</Button>
        </Box>
      ) : null}
    </Box>
  );
}
