'use client';
import { FormControlLabel, Switch, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useState } from 'react';
import type { Shown } from './shown';

/** What of curves is drawn, and how: kept by the view that draws them. */
export function useCurveChoices() {
  const [shown, setShown] = useState<Shown>('power');
  const [log, setLog] = useState(false);
  const [whole, setWhole] = useState(false);
  return { shown, log, whole, setShown, setLog, setWhole };
}

/** Power, heat or a share of the maximum; hours by tens; to the end. */
export function CurveChoices({
  of: { shown, log, whole, setShown, setLog, setWhole },
}: {
  readonly of: ReturnType<typeof useCurveChoices>;
}) {
  return (
    <>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={shown}
        onChange={(_, value: Shown | null) => value && setShown(value)}
        aria-label="What is drawn"
      >
        <ToggleButton value="power">Power</ToggleButton>
        <ToggleButton value="heat">Heat</ToggleButton>
        <ToggleButton value="share">Of its maximum</ToggleButton>
      </ToggleButtonGroup>
      <FormControlLabel
        control={<Switch size="small" checked={log} onChange={(_, on) => setLog(on)} />}
        label="Hours by tens"
      />
      <FormControlLabel
        control={<Switch size="small" checked={whole} onChange={(_, on) => setWhole(on)} />}
        label="To its end"
      />
    </>
  );
}
