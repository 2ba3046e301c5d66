'use client';
import { Box, Slider, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import type { KnobSpec } from './knobs';

/** A slider with its name and what it stands at, in words. */
function Knob({
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

/** All sliders of a page, in the order in which they are told. */
export function KnobList<K extends string>({
  knobs,
  values,
  words,
  turn,
}: {
  knobs: Readonly<Record<K, KnobSpec>>;
  values: Readonly<Record<K, number>>;
  /** What each stands at, in the units of the page. */
  words: Readonly<Record<K, (value: number) => string>>;
  turn: (name: K, value: number) => void;
}) {
  return (Object.keys(knobs) as K[]).map((name) => (
    <Knob
      key={name}
      name={name}
      spec={knobs[name]}
      value={values[name]}
      said={words[name](values[name])}
      turn={(value) => turn(name, value)}
    />
  ));
}

/** Sliders in a column at the left, what comes of them beside it; on a phone below. */
export function KnobPage({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '340px minmax(0, 1fr)' },
      }}
    >
      {children}
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
