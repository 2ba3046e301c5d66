'use client';
import { Box, Button, Dialog, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import type { CountPlan } from '@/core/moulds';
import { signal } from './alarm';

/** Strokes a second of the hands-free pace. */
const PACE_MS = 1000 / 1.5;

interface Props {
  readonly title: string;
  readonly plan: CountPlan;
  /** How many moulds are filled one after the other, layer by layer. */
  readonly moulds: number;
  readonly sound: boolean;
  readonly onClose: () => void;
  /** What was counted: strokes and taps, one number a layer. */
  readonly onDone: (counts: { strokes: readonly number[]; taps: readonly number[] }) => void;
}

/** Counts strokes and taps, layer by layer: the whole screen is the button, or the pace counts by itself. */
export function StrokeCounter({ title, plan, moulds, sound, onClose, onDone }: Props) {
  const turns = plan.layers * moulds;
  const strokesEach = plan.strokes || plan.insertions;
  const [strokes, setStrokes] = useState<readonly number[]>([]);
  const [taps, setTaps] = useState<readonly number[]>([]);
  const [count, setCount] = useState(0);
  const [pacing, setPacing] = useState(false);
  const tapping = plan.taps[1] > 0 && taps.length < strokes.length;
  const done = strokes.length === turns && (plan.taps[1] === 0 || taps.length === turns);
  const wanted = tapping ? plan.taps[0] : strokesEach;
  const turn = tapping ? taps.length : strokes.length;
  const layer = Math.floor(turn / moulds) + 1;
  const mould = (turn % moulds) + 1;

  const close = (): void => {
    setPacing(false);
    if (tapping) setTaps((all) => [...all, count]);
    else setStrokes((all) => [...all, count]);
    setCount(0);
    if (sound) signal(1320, 0.2);
  };
  const add = (): void => {
    if (done) return;
    const next = count + 1;
    if (sound) signal(tapping ? 520 : 660, 0.04);
    setCount(next);
    if (!tapping && next >= strokesEach) {
      setPacing(false);
      setStrokes((all) => [...all, next]);
      setCount(0);
      if (sound) signal(1320, 0.2);
    }
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: the beat goes on with the newest count
  useEffect(() => {
    if (!pacing || done) return;
    const timer = setTimeout(add, PACE_MS);
    return () => clearTimeout(timer);
  }, [pacing, done, count, strokes.length, taps.length]);

  const words = tapping
    ? `Tap the outside, ${plan.taps[0]} to ${plan.taps[1]}`
    : plan.strokes > 0
      ? `Rod: ${plan.rod}`
      : `Vibrator, ${plan.insertions} ${plan.insertions === 1 ? 'place' : 'places'}`;
  return (
    <Dialog open fullScreen onClose={onClose} aria-label={title}>
      <Box
        sx={{
          p: 2,
          height: '100%',
          display: 'flex',
          flexDirection: 'column',
          gap: 1.5,
          bgcolor: 'background.default',
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Typography variant="h1" sx={{ flexGrow: 1 }}>
            {title}
          </Typography>
          <Button onClick={onClose} color="secondary">
            Close
          </Button>
        </Box>
        {done ? (
          <>
            <Typography sx={{ fontSize: '1.4rem' }}>
              {`${turns} ${turns === 1 ? 'layer' : 'layers'} counted.`}
            </Typography>
            <Typography className="mono" sx={{ fontSize: '1.2rem' }}>
              {strokes.join(' ')}
            </Typography>
            <Button
              variant="contained"
              size="large"
              sx={{ minHeight: 72 }}
              onClick={() => onDone({ strokes, taps })}
            >
              Keep these counts
            </Button>
          </>
        ) : (
          <>
            <Typography sx={{ fontSize: '1.25rem', fontWeight: 700 }}>
              {`Layer ${layer} of ${plan.layers}${moulds > 1 ? `, mould ${mould} of ${moulds}` : ''}`}
            </Typography>
            <Typography>
              {`${words}${!tapping && plan.marks[layer - 1] ? `. Layer up to ${plan.marks[layer - 1]}` : ''}`}
            </Typography>
            <Button
              variant="outlined"
              onClick={add}
              disableRipple
              aria-label={tapping ? 'One tap' : 'One stroke'}
              sx={{ flexGrow: 1, flexDirection: 'column', borderWidth: 3, bgcolor: 'background.paper' }}
            >
              <Box
                component="span"
                className="mono"
                sx={{ fontSize: 'min(38vw, 11rem)', lineHeight: 1, fontWeight: 500 }}
              >
                {count}
              </Box>
              <Box component="span" sx={{ fontSize: '1.2rem' }}>
                {tapping ? `of ${plan.taps[0]} to ${plan.taps[1]} taps` : `of ${wanted}`}
              </Box>
            </Button>
            <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 1 }}>
              <Button
                size="large"
                onClick={() => setCount((value) => Math.max(0, value - 1))}
                color="secondary"
                variant="outlined"
              >
                One back
              </Button>
              <Button
                size="large"
                variant={pacing ? 'contained' : 'outlined'}
                onClick={() => setPacing((on) => !on)}
              >
                {pacing ? 'Stop pace' : 'Pace'}
              </Button>
              <Button size="large" variant="outlined" onClick={close} disabled={count === 0}>
                {tapping ? 'Taps done' : 'Layer done'}
              </Button>
            </Box>
            <Typography variant="body2" color="text.secondary">
              {plan.note}
            </Typography>
          </>
        )}
      </Box>
    </Dialog>
  );
}
