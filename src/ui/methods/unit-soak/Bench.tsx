'use client';
import { Box, Button, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { timeNow } from '../../clock';
import type { BenchProps } from '../kit';
import { Tank } from '../tank/Tank';

const MINUTE_S = 60;

/** The tank with its units, and the minute that each drains. */
export function UnitSoakBench({ picture, take }: BenchProps) {
  return (
    <Box>
      <Tank picture={picture} />
      {take ? <DrainTimer /> : null}
    </Box>
  );
}

/** One minute on the mesh, by sight from two metres. */
function DrainTimer() {
  const [from, setFrom] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (from === null) return;
    const timer = setInterval(() => setNow(timeNow()), 200);
    return () => clearInterval(timer);
  }, [from]);
  const passed = from === null ? 0 : Math.max(0, Math.floor((now - from) / 1000));
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 1 }}>
      <Button
        variant="outlined"
        onClick={() => {
          const at = timeNow();
          setNow(at);
          setFrom(from === null ? at : null);
        }}
      >
        {from === null ? 'Out of the water: drain' : 'Next unit'}
      </Button>
      <Typography
        className="mono"
        role="timer"
        sx={{ fontSize: '2rem', color: passed >= MINUTE_S ? 'success.main' : 'text.primary' }}
      >
        {from === null ? '60 s' : passed < MINUTE_S ? `${MINUTE_S - passed} s` : 'Wipe and weigh'}
      </Typography>
    </Box>
  );
}
