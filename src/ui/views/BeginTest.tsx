'use client';
import { Button, Menu, MenuItem } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';

/** Begins one of the tests that can be made of a sample, or goes on with the one that is open. */
export function BeginTest({
  sampleId,
  tests,
}: {
  sampleId: string;
  tests: readonly { readonly id: string; readonly words: string }[];
}) {
  const router = useRouter();
  const notice = useNotice();
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [busy, setBusy] = useState(false);
  const begin = async (method: string): Promise<void> => {
    setAt(null);
    setBusy(true);
    const reply = await perform<{ runId: string }>('start-run', { method, sampleId });
    if (reply.ok) return router.push(`/runs/${reply.data.runId}`);
    setBusy(false);
    notice(reply.message, 'error');
  };
  return (
    <>
      <Button
        variant="outlined"
        loading={busy}
        aria-haspopup="menu"
        aria-expanded={at !== null}
        onClick={({ currentTarget }) => setAt(currentTarget)}
      >
        Begin a test
      </Button>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        {tests.map(({ id, words }) => (
          <MenuItem key={id} onClick={() => begin(id)}>
            {words}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
