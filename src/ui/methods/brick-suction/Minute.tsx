'use client';
import { Box, Button, Typography } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import { timeNow } from '../../clock';
import { signal } from '../../field/alarm';
import type { InstrumentProps } from '../kit';

const [MINUTE, LAST_S] = [60, 5];
const [BEAT, END] = [660, 990];

/** One minute by sight and sound: set down, the last seconds beat, lifted at the long tone. */
export function Minute({ run, readOnly }: InstrumentProps) {
  const [from, setFrom] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  const beat = useRef(0);
  useEffect(() => {
    if (from === null) return;
    const timer = setInterval(() => {
      const at = timeNow();
      setNow(at);
      const passed = Math.floor((at - from) / 1000);
      if (passed === beat.current) return;
      beat.current = passed;
      if (passed === MINUTE) signal(END, 0.5);
      else if (passed < MINUTE && passed >= MINUTE - LAST_S) signal(BEAT, 0.08);
    }, 50);
    return () => clearInterval(timer);
  }, [from]);
  if (readOnly) return null;
  const passed = from === null ? 0 : Math.max(0, (now - from) / 1000);
  const press = (): void => {
    const at = timeNow();
    if (from === null) {
      beat.current = 0;
      setNow(at);
      setFrom(at);
      return;
    }
    run.readings.save('contact', String(Math.round((at - from) / 1000)));
    setFrom(null);
  };
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', my: 1 }}>
      <Button variant="contained" onClick={press} sx={{ minHeight: 56 }}>
        {from === null ? 'On the supports' : 'Lifted off'}
      </Button>
      <Typography
        className="mono"
        role="timer"
        sx={{ fontSize: '2.4rem', color: passed >= MINUTE ? 'error.main' : 'text.primary' }}
      >
        {from === null ? '60 s' : passed < MINUTE ? `${Math.ceil(MINUTE - passed)} s` : 'Lift it now'}
      </Typography>
    </Box>
  );
}
