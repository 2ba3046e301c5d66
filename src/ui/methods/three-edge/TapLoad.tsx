'use client';
import { Box, Button, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { pathOf } from '@/core/methods';
import { gaugeOf } from '@/core/methods/three-edge/gauge';
import type { ThreeEdgeInput } from '@/core/methods/three-edge/input';
import { pumpOf, ramsOf, stiffnessOf } from '@/core/methods/three-edge/loads';
import { loadOfStroke, stiffnessBy, strokesInTen } from '@/core/pipe/pump';
import { exact, withThousands } from '@/core/quantity';
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
  /** Strokes of the pump from the mark before to this one. */
  readonly strokes: number;
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
  if (!rams) return { machine, column: 'load', unit: us ? 'lbf' : 'kN', marks, factor: 1 } as const;
  const factor = rams.factor.toNumber();
  const { weighs } = gaugeOf(run.live.input as ThreeEdgeInput, data.setup);
  const at = (load: number): number => (load - weighs.toNumber()) / factor;
  return {
    machine,
    column: 'pressure',
    factor,
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

/**
 * How many strokes in ten seconds keep the rate, by those that were counted from the last mark, else as the machine is
 * described; and what they say of frame and pipe.
 * @param rate as the gauge shows it, a minute @param rise of the gauge from mark to mark @param factor load on the pipe for one of the gauge
 */
function coachOf(
  machine: Parameters<typeof pumpOf>[0],
  system: 'US' | 'SI',
  { rate, rise, strokes, factor }: { rate: number | null; rise: number; strokes: number; factor: number },
): { readonly most: string | null; readonly said: string | null } {
  const pump = pumpOf(machine, system);
  const stiffness = stiffnessOf(machine, system);
  const counted = strokes > 0 && rise > 0 ? exact((rise * factor) / strokes) : undefined;
  const each = counted ?? (pump && stiffness ? loadOfStroke(pump, stiffness, system) : undefined);
  const most = each && rate !== null ? strokesInTen(exact(rate * factor), each) : undefined;
  const learned =
    pump && counted ? stiffnessBy({ load: exact(rise * factor), strokes }, pump, system) : undefined;
  return {
    most: most?.toFixed(1) ?? null,
    said: learned
      ? `Frame and pipe give ${withThousands(learned.toSignificantDigits(3).toFixed())} ${system === 'US' ? 'lbf/in' : 'kN/mm'}: with the machine it tells the strokes before the first one.`
      : null,
  };
}

/** The rates without any line: a press whenever the needle passes the next mark, held against what it may be at once. */
export function TapLoad({ run, data, marks: onPipe }: InstrumentProps & { readonly marks: Marks }) {
  const us = data.system === 'US';
  const { machine, column, unit, marks, factor } = gaugeMarks(run, data, onPipe);
  const [step, setStep] = useState(() => String(niceStep(marks.design)));
  const [taps, setTaps] = useState<readonly Tap[]>([]);
  const [strokes, setStrokes] = useState(0);
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
    setTaps([...taps, { row, seconds: now, load: next, strokes }]);
    setStrokes(0);
    put(row, seconds.toFixed(1), String(Number(next.toFixed(6))));
  };
  const undo = (): void => {
    if (!last) return;
    put(last.row, '', '');
    setTaps(taps.slice(0, -1));
    setStrokes(last.strokes);
  };
  const stroke = (): void => setStrokes(strokes + 1);
  useKey(' ', true, tap);
  useKey('s', true, stroke);
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
  const coach = coachOf(machine ?? {}, data.system, {
    rate: most,
    rise: last && before ? last.load - before.load : 0,
    strokes: last?.strokes ?? 0,
    factor,
  });
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
        {coach.most === null ? null : <Figure label="Strokes in 10 s, at most" text={coach.most} />}
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
        <Button variant="outlined" onClick={stroke} disabled={!last || foreign} sx={{ minHeight: 56 }}>
          {`Stroke of the pump: ${strokes}`}
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
      {coach.said ? (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          {coach.said}
        </Typography>
      ) : null}
    </Box>
  );
}
