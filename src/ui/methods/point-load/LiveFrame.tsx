'use client';
import { Box, Typography } from '@mui/material';
import { limitsOf } from '@/core/methods';
import type { PumpView } from '@/core/press';
import { exact, withThousands } from '@/core/quantity';
import { timeNow } from '../../clock';
import { Figure } from '../../parts/Figure';
import { OverTime } from '../../press/OverTime';
import { PumpButtons } from '../../press/PumpButtons';
import { useHandPump } from '../../press/use-hand-pump';
import type { InstrumentProps } from '../kit';
import { wordsAt } from './words-at';

/** Load from which the points count as loaded, and what the figures are rounded to, by the unit of the run. */
const LEAST = { lbf: 45, kN: 0.2 } as const;
const PLACES = { lbf: 0, kN: 2 } as const;

/** The frame as it is pumped: load and peak as they come, the seconds from the first load, and the split by itself. */
export function LiveFrame({ run, data, frame }: InstrumentProps & { frame: string }) {
  const unit = data.system === 'US' ? 'lbf' : 'kN';
  const show = (load: number): string => withThousands(load.toFixed(PLACES[unit]));
  const { view, state, load, down, anew } = useHandPump(frame, unit, LEAST[unit], (_, now, broke) => {
    if (broke) take(now);
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
  const window = limitsOf(data.setup).of('point.time', data.system);
  const says = wordsAt(view.seconds, window.low?.toNumber() ?? 0, window.high?.toNumber() ?? 0);
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
          color: down ? 'error.main' : says.good ? 'success.main' : 'warning.main',
        }}
      >
        {down
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
      <PumpButtons
        runId={data.runId}
        simulated={state.simulated}
        anew={anew}
        place="Piece in"
        about="A stand-in frame: its pieces are made up."
      />
    </Box>
  );
}
