'use client';
import { Box, Button, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { limitsOf } from '@/core/methods';
import { timeNow } from '../../clock';
import { MONO } from '../../theme';
import type { InstrumentProps } from '../kit';

const TICK_MS = 100;
/** So long before the end of its time it is said to pump faster; so long before its beginning, slower. Our choice. */
const NEAR_END_S = 10;
const NEAR_START_S = 2;

/** The seconds from the beginning of the load: pressed at the first stroke and at the bang, in its time or out of it. */
export function LoadClock({ run, data, readOnly }: InstrumentProps) {
  const [begun, setBegun] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (begun === null) return;
    const timer = setInterval(() => setNow(timeNow()), TICK_MS);
    return () => clearInterval(timer);
  }, [begun]);
  const window = limitsOf(data.setup).of('point.time', data.system);
  const [soonest, latest] = [window.low?.toNumber() ?? 0, window.high?.toNumber() ?? 0];
  if (readOnly) return null;
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

/** What the seconds say: too soon to fail, in its time, near its end, too late. */
function wordsAt(seconds: number, soonest: number, latest: number): { words: string; good: boolean } {
  if (seconds > latest) return { words: `✕ Past ${latest} s: it counts only with a reason`, good: false };
  if (seconds >= latest - NEAR_END_S)
    return { words: `Faster: ${Math.ceil(latest - seconds)} s left`, good: false };
  if (seconds >= soonest) return { words: `✓ Now it may fail, until ${latest} s`, good: true };
  return seconds >= soonest - NEAR_START_S
    ? { words: `Slower, if it is near its load: not before ${soonest} s`, good: false }
    : { words: `Not before ${soonest} s`, good: true };
}
