'use client';
import { Box, Slider, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import type { KnobSpec } from './knobs';

/** A slider with its name and what it stands at, in words. */
export function Knob({
  name,
  spec: { words, from, to, step },
  value,
  said,
  turn,
}: {
  name: string;
  spec: KnobSpec;
  value: number;
  said: string;
  turn: (value: number) => void;
}) {
  return (
    <Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
        <Typography id={`knob-${name}`}>{words}</Typography>
        <Typography className="mono" sx={{ fontWeight: 600, whiteSpace: 'nowrap' }}>
          {said}
        </Typography>
      </Box>
      <Slider
        aria-labelledby={`knob-${name}`}
        aria-valuetext={said}
        value={value}
        min={from}
        max={to}
        step={step}
        onChange={(_, next) => turn(Number(next))}
      />
    </Box>
  );
}

/** The units that a page of sliders speaks in. */
export function UnitsSwitch({
  system,
  words,
  say,
}: {
  system: 'US' | 'SI';
  words: Readonly<Record<'US' | 'SI', string>>;
  say: (system: 'US' | 'SI') => void;
}) {
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={system}
      onChange={(_, next: 'US' | 'SI' | null) => next && say(next)}
      aria-label="Units"
    >
      <ToggleButton value="US">{words.US}</ToggleButton>
      <ToggleButton value="SI">{words.SI}</ToggleButton>
    </ToggleButtonGroup>
  );
}
