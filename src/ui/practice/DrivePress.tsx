'use client';
import { Alert, Box, Button, Paper, Stack, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useCallback, useEffect, useRef, useState } from 'react';
import { DrivenPress, type Move, type PressTask, TICKS } from '@/core/drills';
import type { Levers, PressReading, PressView } from '@/core/press';
import { LEVERS_OFF, LeverPanel } from '../press/LeverPanel';
import { LiveChart } from '../press/LiveChart';
import { RateBar } from '../press/RateBar';
import { bannerOf } from '../press/words';

const TICK_MS = 1000 / TICKS;
/** Points the curve is drawn with. */
const DRAWN = 300;

/** A simulated press in the page, driven by hand; every move is kept, so that it can be driven again and judged. */
export function DrivePress({ task, answer }: { task: PressTask; answer: (text: string) => void }) {
  const press = useRef<DrivenPress | null>(null);
  press.current ??= new DrivenPress(task);
  const moves = useRef<Move[]>([]);
  const levers = useRef<Levers>(LEVERS_OFF);
  const [controls, setControls] = useState<Levers>(LEVERS_OFF);
  const [times, setTimes] = useState<1 | 4>(1);
  const [shown, setShown] = useState<{ view: PressView; last: PressReading | null; curve: Point[] } | null>(
    null,
  );
  const move = useCallback((change: Partial<Levers>): void => {
    const next = { ...levers.current, ...change };
    // A door that opens stops the pump.
    const safe = next.pump && !next.door ? { ...next, pump: false } : next;
    levers.current = safe;
    moves.current.push({ tick: press.current?.tick ?? 0, levers: safe });
    setControls(safe);
  }, []);
  useEffect(() => {
    const timer = setInterval(() => {
      const own = press.current;
      if (!own) return;
      for (let turn = 0; turn < times; turn += 1) own.step(levers.current);
      setShown({ view: own.view(), last: own.readings.at(-1) ?? null, curve: thin(own.readings) });
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [times]);
  const view = shown?.view;
  const banner = view ? bannerOf(view, task.pads) : null;
  const done = (): void => answer(JSON.stringify({ moves: moves.current, ticks: press.current?.tick ?? 0 }));
  const broken = view?.phase === 'broken';
  return (
    <Stack spacing={1.5}>
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 5fr) minmax(0, 6fr)' },
          alignItems: 'start',
        }}
      >
        <Stack spacing={1.5}>
          <Paper sx={{ px: 2, py: 1 }}>
            <Typography variant="overline" component="div" color="text.secondary">
              {`Load, kN; about ${task.expected.toFixed(0)} expected`}
            </Typography>
            <Typography
              className="mono"
              sx={{ fontSize: '4.4rem', lineHeight: 1.05 }}
              data-testid="drive-load"
            >
              {Math.max(0, view?.load ?? 0).toFixed(1)}
            </Typography>
            <Typography className="mono" color="text.secondary">
              {`peak ${(shown?.last?.peak ?? 0).toFixed(1)} kN   platen ${(shown?.last?.position ?? 0).toFixed(1)} mm of the ${task.specimen.gap} mm to contact`}
            </Typography>
          </Paper>
          <Paper sx={{ px: 2, py: 1 }}>
            <Typography variant="overline" component="div" color="text.secondary">
              Rate, kN/s
            </Typography>
            <Typography className="mono" sx={{ fontSize: '2rem', lineHeight: 1.1 }}>
              {(view?.rate ?? 0).toFixed(2)}
            </Typography>
            <RateBar
              rate={view?.rate ?? null}
              low={task.low}
              high={task.high}
              counts={view?.offBand !== null && view?.offBand !== undefined}
              unit="kN/s"
            />
          </Paper>
        </Stack>
        <Paper sx={{ p: 1.5, minHeight: 300 }}>
          {shown ? (
            <LiveChart
              curve={shown.curve}
              view={shown.view}
              band={{ low: task.low, high: task.high }}
              from={0.5}
              unit="kN"
            />
          ) : null}
        </Paper>
      </Box>
      {/* Where the moment to stop is to be found, nobody says it. */}
      {banner && !task.pads ? (
        <Alert severity={banner.tone === 'stop' ? 'error' : banner.tone === 'good' ? 'success' : 'info'}>
          {banner.text}
        </Alert>
      ) : null}
      <Paper sx={{ px: 2, py: 1.5 }}>
        <Box
          component="section"
          aria-label="Simulated press"
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-end' }}
        >
          <LeverPanel controls={controls} move={move} />
          <ToggleButtonGroup
            exclusive
            size="small"
            value={times}
            onChange={(_, value: 1 | 4 | null) => value && setTimes(value)}
            aria-label="Time"
          >
            <ToggleButton value={1}>× 1</ToggleButton>
            <ToggleButton value={4}>× 4</ToggleButton>
          </ToggleButtonGroup>
          <Button variant={broken && !task.pads ? 'contained' : 'outlined'} onClick={done}>
            The test is over
          </Button>
        </Box>
      </Paper>
    </Stack>
  );
}

interface Point {
  readonly x: number;
  readonly y: number;
}

function thin(readings: readonly PressReading[]): Point[] {
  const step = Math.max(1, Math.ceil(readings.length / DRAWN));
  return readings
    .filter((_, index) => index % step === 0 || index === readings.length - 1)
    .map(({ t, load }) => ({ x: t, y: load }));
}
