'use client';
import { Button, Stack, Typography } from '@mui/material';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';

/** Another try, and where it is a stand-in its pump and valve. */
export function PumpButtons({
  runId,
  simulated,
  anew,
  place,
  about,
  stroke = {},
}: {
  readonly runId: string;
  readonly simulated: boolean;
  readonly anew: () => void;
  /** What puts the next piece in. */
  readonly place: string;
  /** What the stand-in is. */
  readonly about: string;
  /** How one stroke is made, where that can be told. */
  readonly stroke?: { readonly seconds?: number; readonly part?: number };
}) {
  const notice = useNotice();
  const work = async (what: 'place' | 'stroke' | 'release'): Promise<void> => {
    const reply = await perform('pump-frame', { runId, what, ...(what === 'stroke' ? stroke : {}) });
    if (!reply.ok) notice(reply.message, 'error');
    else if (what === 'place') anew();
  };
  return (
    <>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', mt: 1 }}>
        <Button variant="outlined" onClick={anew}>
          Another try
        </Button>
        {simulated ? (
          <>
            <Button variant="outlined" onClick={() => void work('place')}>
              {place}
            </Button>
            <Button variant="contained" onClick={() => void work('stroke')} sx={{ minWidth: 140 }}>
              Pump once
            </Button>
            <Button variant="outlined" onClick={() => void work('release')}>
              Open the valve
            </Button>
          </>
        ) : null}
      </Stack>
      {simulated ? (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
          {about}
        </Typography>
      ) : null}
    </>
  );
}
