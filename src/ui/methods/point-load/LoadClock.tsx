'use client';
import { Box, Button, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { limitsOf } from '@/core/methods';
import { timeNow } from '../../clock';
import { MONO } from '../../theme';
import type { InstrumentProps } from '../kit';
import { LiveFrame } from './LiveFrame';
import { wordsAt } from './words-at';

const TICK_MS = 100;
/** How the load is followed: by the frame's own line where it has one, else by two presses. */
export function LoadClock(props: InstrumentProps) {
  const { run, data, readOnly } = props;
  const frame = data.setup.equipment?.find(({ number }) => number === run.readings.values.frame);
  if (readOnly) return null;
  return (
    <>
      {frame?.live ? (
        <>
          <LiveFrame {...props} frame={frame.number} />
          <Typography sx={{ mt: 2 }}>Where the line is down, by hand:</Typography>
        </>
      ) : null}
      <ByHand {...props} />
    </>
  );
}

/** The seconds from the beginning of the load: pressed at the first stroke and at the bang, in its time or out of it. */
function ByHand({ run, data }: InstrumentProps) {
  const [begun, setBegun] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (begun === null) return;
    const timer = setInterval(() => setNow(timeNow()), TICK_MS);
    return () => clearInterval(timer);
  }, [begun]);
  const window = limitsOf(data.setup).of('point.time', data.system);
  const [soonest, latest] = [window.low?.toNumber() ?? 0, window.high?.toNumber() ?? 0];
  // Cut down to tenths, never rounded up: 9.99 s is before its time.
  const seconds = begun === null ? 0 : Math.max(0, Math.floor((now - begun) / TICK_MS) / 10);
  const says = wordsAt(seconds, soonest, latest);
  const broke = (): void => {
    const at = timeNow();
    const taken = Math.floor((at - (begun ?? at)) / TICK_MS) / 10;
    setBegun(null);
    run.readings.save('time', String(taken));
    run.readings.save('testedAt', new Date(at).toISOString());
  };
  return (
    <Box sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 1.5 }}>
      {begun === null ? (
        <Button
          variant="outlined"
          size="large"
          fullWidth
          sx={{ minHeight: 56 }}
          onClick={() => {
            const at = timeNow();
            setNow(at);
            setBegun(at);
          }}
        >
          The load begins
        </Button>
      ) : (
        <>
          <Typography sx={{ fontFamily: MONO, fontSize: '3rem', lineHeight: 1.1 }} role="timer">
            {`${seconds.toFixed(1)} s`}
          </Typography>
          <Typography
            aria-live="polite"
            sx={{ fontWeight: 700, mb: 1, color: says.good ? 'success.main' : 'warning.main' }}
          >
            {says.words}
          </Typography>
          <Button variant="contained" size="large" fullWidth sx={{ minHeight: 56 }} onClick={broke}>
            It broke
          </Button>
        </>
      )}
    </Box>
  );
}
