'use client';
import { Box, Button, MenuItem, TextField } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { SampleKind } from '@/core/methods';
import { perform } from '../api';
import { momentOfPress } from '../clock';
import { newId } from '../ids';
import { useNotice } from '../parts/Notice';

const KINDS: readonly { value: SampleKind; label: string }[] = [
  { value: 'acceptance', label: 'Acceptance' },
  { value: 'preliminary', label: 'Preliminary' },
  { value: 'assurance', label: 'Assurance' },
];

/**
 * One press when the sample is taken: at the first portion of a composite, or once for the whole of it. The moment of
 * the press counts, however long sending it takes.
 */
export function TakeSample({
  lotId,
  loads = [],
}: {
  lotId: string;
  /** Trucks that came, the newest last. */
  loads?: readonly { readonly id: string; readonly name: string }[];
}) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const [kind, setKind] = useState<SampleKind>('acceptance');
  const [loadId, setLoadId] = useState('');
  const load = loadId || (loads.at(-1)?.id ?? '');
  const pressed = useRef<{ clientId: string; sampledAt: string; press: string } | null>(null);
  const take = async (press: 'first portion' | 'whole'): Promise<void> => {
    // A press that could not be sent is sent again as it was, not as a second sample taken later.
    setBusy(true);
    if (!pressed.current) {
      const at = await momentOfPress();
      pressed.current = { clientId: newId(), sampledAt: new Date(at).toISOString(), press };
    }
    const reply = await perform<{ sampleId: string }>('take-sample', {
      lotId,
      kind,
      ...(load ? { loadId: load } : {}),
      ...pressed.current,
    });
    if (reply.ok) {
      pressed.current = null;
      return router.push(`/field/${reply.data.sampleId}`);
    }
    if (reply.status !== 0) pressed.current = null;
    notice(reply.message, 'error');
    setBusy(false);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr 1fr' }}>
      <TextField
        select
        label="Taken for"
        size="medium"
        value={kind}
        onChange={(event) => setKind(event.target.value as SampleKind)}
      >
        {KINDS.map(({ value, label }) => (
          <MenuItem key={value} value={value}>
            {label}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Truck"
        size="medium"
        value={load}
        onChange={(event) => setLoadId(event.target.value)}
        disabled={loads.length === 0}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        {loads.length === 0 ? <MenuItem value="">not entered</MenuItem> : null}
        {loads.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <Button
        variant="contained"
        size="large"
        onClick={() => take('first portion')}
        loading={busy}
        sx={{ gridColumn: '1 / -1', minHeight: 72 }}
      >
        First portion now
      </Button>
      <Button
        variant="outlined"
        size="large"
        onClick={() => take('whole')}
        loading={busy}
        sx={{ gridColumn: '1 / -1' }}
      >
        Sample taken now
      </Button>
    </Box>
  );
}
