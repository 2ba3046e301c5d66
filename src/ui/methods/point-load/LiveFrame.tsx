'use client';
import { Box, Button, Stack, Typography } from '@mui/material';
import { useRef, useState } from 'react';
import { limitsOf } from '@/core/methods';
import { HandPumpWatch, loadIn, type PumpView } from '@/core/press';
import { exact, withThousands } from '@/core/quantity';
import { perform } from '../../api';
import { timeNow } from '../../clock';
import { Figure } from '../../parts/Figure';
import { useNotice } from '../../parts/Notice';
import { OverTime } from '../../press/OverTime';
import { usePressFeed } from '../../press/use-press-feed';
import type { InstrumentProps } from '../kit';
import { wordsAt } from './words-at';

/** Load from which the points count as loaded, and what the figures are rounded to, by the unit of the run. */
const LEAST = { lbf: 45, kN: 0.2 } as const;
const PLACES = { lbf: 0, kN: 2 } as const;
const NOTHING: PumpView = { phase: 'waiting', seconds: 0, peak: 0, strokes: 0 };

/** The frame as it is pumped: load and peak as they come, the seconds from the first load, and the split by itself. */
export function LiveFrame({ run, data, frame }: InstrumentProps & { frame: string }) {
  const notice = useNotice();
  const unit = data.system === 'US' ? 'lbf' : 'kN';
  const watch = useRef(new HandPumpWatch(LEAST[unit]));
  const [view, setView] = useState<PumpView>(NOTHING);
  const show = (load: number): string => withThousands(load.toFixed(PLACES[unit]));
  const { state, restart } = usePressFeed(frame, null, unit, null, ({ t, load, peak, unit: of }) => {
    const before = watch.current.view().phase;
    watch.current.take({ seconds: t, load: loadIn(load, of, unit), peak: loadIn(peak, of, unit) });
    const now = watch.current.view();
    setView(now);
    if (before !== 'broken' && now.phase === 'broken') take(now);
  });
  // What somebody read off stands: only what is empty is filled in.
  const take = ({ seconds, peak }: PumpView): void => {
    const found = {
      load: exact(peak).toDecimalPlaces(PLACES[unit]).toFixed(),
      time: String(seconds),
      testedAt: new Date(timeNow()).toISOString(),
    };
    for (const [field, text] of Object.entries(found))
      if (!run.readings.values[field]) run.readings.save(field, text);
  };
  const anew = (): void => {
    watch.current = new HandPumpWatch(LEAST[unit]);
    setView(NOTHING);
    restart();
  };
  const work = async (what: 'place' | 'stroke' | 'release'): Promise<void> => {
    const reply = await perform('pump-frame', { runId: data.runId, what });
    if (!reply.ok) notice(reply.message, 'error');
    else if (what === 'place') anew();
  };
  const window = limitsOf(data.setup).of('point.time', data.system);
  const says = wordsAt(view.seconds, window.low?.toNumber() ?? 0, window.high?.toNumber() ?? 0);
  const load = state.last ? loadIn(state.last.load, state.last.unit, unit) : 0;
  return (
    <Box
      component="section"
      aria-label={`${frame} live`}
      sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 1.5 }}
    >
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'baseline' }}>
        <Figure label={`Load, ${unit}`} text={show(load)} />
        <Figure label="Peak held" text={show(view.peak)} />
        <Figure label="Seconds" text={view.seconds.toFixed(1)} />
        <Figure label="Strokes" text={String(view.strokes)} />
      </Box>
      <Typography
        aria-live="polite"
        sx={{
          fontWeight: 700,
          my: 1,
          color:
            state.up === false || state.stale ? 'error.main' : says.good ? 'success.main' : 'warning.main',
        }}
      >
        {state.up === false || state.stale
          ? 'The line to the frame is down: what stands here is old.'
          : view.phase === 'waiting'
            ? `Following ${frame}: the clock begins with the first load.`
            : view.phase === 'broken'
              ? `Split at ${show(view.peak)} ${unit} after ${view.seconds.toFixed(1)} s. Say how it broke.`
              : says.words}
      </Typography>
      <OverTime
        label={`load, ${unit}`}
        points={state.curve}
        says={`Load against time, now ${show(load)} ${unit}`}
      />
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', mt: 1 }}>
        <Button variant="outlined" onClick={anew}>
          Another try
        </Button>
        {state.simulated ? (
          <>
            <Button variant="outlined" onClick={() => void work('place')}>
              Piece in
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
      {state.simulated ? (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
          A stand-in frame: its pieces are made up.
        </Typography>
      ) : null}
    </Box>
  );
}
