'use client';
import { Box, Button, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { pathOf } from '@/core/methods';
import { gaugeOf } from '@/core/methods/three-edge/gauge';
import type { ThreeEdgeInput } from '@/core/methods/three-edge/input';
import { ramsOf } from '@/core/methods/three-edge/loads';
import { withThousands } from '@/core/quantity';
import { Figure } from '../../parts/Figure';
import { useKey } from '../../press/use-key';
import { newRow } from '../../rows/use-rows';
import { begunRows } from '../../runsheet/run';
import type { InstrumentProps } from '../kit';
import type { Marks } from './LoadBoard';

interface Tap {
  readonly row: string;
  readonly seconds: number;
  readonly load: number;
}

/** Marks of a gauge that are easily seen: 1, 2 or 5 and noughts, about a fifteenth of the design load. */
function niceStep(design: number): number {
  const rough = design / 15;
  const ten = 10 ** Math.floor(Math.log10(rough));
  return ten * ([1, 2, 5, 10].find((each) => each * ten >= rough) ?? 10);
}

/** What the gauge of the machine shows, load or pressure, with the marks of the pipe as it shows them. */
function gaugeMarks(run: InstrumentProps['run'], data: InstrumentProps['data'], marks: Marks) {
  const us = data.system === 'US';
  const machine = data.setup.equipment?.find(({ number }) => number === run.readings.values.machine);
  const rams = machine && machine.machine?.indicator !== 'digital' ? ramsOf(machine, data.system) : undefined;
  if (!rams) return { column: 'load', unit: us ? 'lbf' : 'kN', marks } as const;
  const factor = rams.factor.toNumber();
  const { weighs } = gaugeOf(run.live.input as ThreeEdgeInput, data.setup);
  const at = (load: number): number => (load - weighs.toNumber()) / factor;
  return {
    column: 'pressure',
    unit: us ? 'psi' : 'MPa',
    marks: {
      turn: at(marks.turn),
      design: at(marks.design),
      ultimate: marks.ultimate === null ? null : at(marks.ultimate),
      first: marks.first / factor,
      second: marks.second / factor,
    },
  } as const;
}

/** The rates without any line: a press whenever the needle passes the next mark, held against what it may be at once. */
export function TapLoad({ run, data, marks: onPipe }: InstrumentProps & { readonly marks: Marks }) {
  const us = data.system === 'US';
  const { column, unit, marks } = gaugeMarks(run, data, onPipe);
  const [step, setStep] = useState(() => String(niceStep(marks.design)));
  const [taps, setTaps] = useState<readonly Tap[]>([]);
  const begun = begunRows(run, 'log');
  // Rows of somebody else's watch do not go on with the seconds of this one.
  const foreign = [...begun].some((row) => !taps.some((tap) => tap.row === row));
  const every = Number(step);
  const last = taps.at(-1);
  const before = taps.at(-2);
  const next = (last?.load ?? -every) + every;
  const put = (row: string, seconds: string, load: string): void => {
    run.readings.save(pathOf('log', row, 'seconds'), seconds);
    run.readings.save(pathOf('log', row, column), load);
  };
  const tap = (): void => {
    if (foreign || !(every > 0)) return;
    const now = performance.now() / 1000;
    const seconds = taps[0] ? now - taps[0].seconds : 0;
    const row = newRow();
    setTaps([...taps, { row, seconds: now, load: next }]);
    put(row, seconds.toFixed(1), String(Number(next.toFixed(6))));
  };
  const undo = (): void => {
    if (!last) return;
    put(last.row, '', '');
    setTaps(taps.slice(0, -1));
  };
  useKey(' ', true, tap);
  const rate =
    last && before && last.seconds > before.seconds
      ? ((last.load - before.load) / (last.seconds - before.seconds)) * 60
      : null;
  const shown = (value: number): string =>
    us ? withThousands(value.toFixed(0)) : value.toFixed(unit === 'MPa' ? 2 : 1);
  const load = last?.load ?? 0;
  // An interval that reaches past the turn has one rate, which is held in both.
  const most = load > marks.turn ? ((before?.load ?? 0) < marks.design ? marks.second : null) : marks.first;
  const fast = rate !== null && most !== null && rate > most;
  const words = foreign
    ? 'There are rows already: take them back to tap anew.'
    : !last
      ? `Press as the load begins to rise, then at every mark: the next is ${shown(every || 0)} ${unit}.`
      : fast
        ? 'Too fast: ease the pump.'
        : load >= marks.design
          ? 'Design load: stop, hold, probe the whole line.'
          : next > marks.turn && load <= marks.turn
            ? 'Slow down before the next mark.'
            : 'Kept.';
  return (
    <Box
      component="section"
      aria-label="Load by taps"
      sx={{ mb: 2, borderBottom: 1, borderColor: 'divider', pb: 1.5 }}
    >
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'baseline' }}>
        <Figure label={`Next mark, ${unit}`} text={every > 0 ? shown(next) : '…'} />
        <Figure label={`Rate, ${unit}/min`} text={rate === null ? '…' : shown(rate)} />
        <Figure label="At most now" text={most === null ? 'none' : shown(most)} />
      </Box>
      <Typography
        aria-live="polite"
        sx={{ fontWeight: 700, my: 1, color: fast || foreign ? 'error.main' : 'text.primary' }}
      >
        {words}
      </Typography>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'center' }}>
        <Button
          variant="contained"
          onClick={tap}
          disabled={foreign || !(every > 0)}
          sx={{ minHeight: 56, minWidth: 200 }}
        >
          {last ? 'Mark passed' : 'The load begins'}
        </Button>
        <Button variant="outlined" onClick={undo} disabled={!last} sx={{ minHeight: 56 }}>
          Take it back
        </Button>
        <TextField
          label={`From mark to mark, ${unit}`}
          size="small"
          value={step}
          onChange={({ target }) => setStep(target.value)}
          error={!(every > 0)}
          helperText={every > 0 ? '' : 'A number above nought.'}
          disabled={taps.length > 0}
          sx={{ maxWidth: 200 }}
        />
      </Stack>
    </Box>
  );
}
