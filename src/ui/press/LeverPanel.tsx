'use client';
import { Box, Slider, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useEffect } from 'react';
import type { Levers as Controls } from '@/core/press';
import { isTyping } from '../keys';

const STEP = 0.01;

export const LEVERS_OFF: Controls = { pump: false, approach: false, fine: 0, door: false };

/** Door, pump, approach and fine knob of a simulated press, by mouse or by the keys D, P, A and the arrows. */
export function LeverPanel({
  controls,
  move,
}: {
  controls: Controls;
  move: (change: Partial<Controls>) => void;
}) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      // The hand is on the knob: its arrows are the slider's own, the letters are the levers' wherever the focus is.
      const onKnob = (event.target as HTMLElement).closest('input[type=range]') !== null;
      if (onKnob && event.key.startsWith('Arrow')) return;
      const change = changeOf(event.key, controls);
      if (!change) return;
      event.preventDefault();
      move(change);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const lever = (name: string, on: boolean, words: readonly [string, string], set: (on: boolean) => void) => (
    <Box>
      <Typography variant="overline" component="div">
        {name}
      </Typography>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={on ? 'on' : 'off'}
        onChange={(_, value: string | null) => value && set(value === 'on')}
        aria-label={name}
      >
        <ToggleButton value="off">{words[0]}</ToggleButton>
        <ToggleButton value="on">{words[1]}</ToggleButton>
      </ToggleButtonGroup>
    </Box>
  );
  return (
    <>
      {lever('Door (D)', controls.door, ['open', 'shut'], (door) => move({ door }))}
      {lever('Pump (P)', controls.pump, ['off', 'on'], (pump) => move({ pump }))}
      {lever('Approach (A)', controls.approach, ['off', 'full'], (approach) => move({ approach }))}
      <Box sx={{ flexGrow: 1, minWidth: 200 }}>
        <Typography variant="overline" component="div">
          {`Fine knob (arrows): ${(controls.fine * 100).toFixed(0)} %`}
        </Typography>
        <Slider
          value={controls.fine}
          min={0}
          max={1}
          step={STEP}
          onChange={(_, value) => move({ fine: value as number })}
          aria-label="Fine knob"
        />
      </Box>
    </>
  );
}

/** What a key does to the controls; null for every other key. */
function changeOf(key: string, now: Controls): Partial<Controls> | null {
  const knob = (by: number): Partial<Controls> => ({
    fine: Math.min(1, Math.max(0, Number((now.fine + by).toFixed(3)))),
  });
  switch (key.length === 1 ? key.toLowerCase() : key) {
    case 'p':
      return { pump: !now.pump };
    case 'a':
      return { approach: !now.approach };
    case 'd':
      return { door: !now.door };
    case 'ArrowUp':
      return knob(STEP);
    case 'ArrowDown':
      return knob(-STEP);
    default:
      return null;
  }
}
