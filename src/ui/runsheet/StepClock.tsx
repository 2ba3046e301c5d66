'use client';
import { Box, Typography } from '@mui/material';
import { type Clock, limitsOf } from '@/core/methods';
import { readStepClock } from '@/core/methods/step-clock';
import { isMould } from '@/core/moulds';
import { ageText, ageWindow, durationText, windowState } from '@/core/windows';
import { WindowBadge } from '../parts/WindowBadge';
import type { Run } from './run';
import type { RunSheetData } from './types';

/** A clock of the run: the age window, or the time since a reading against its limit. */
export function StepClockView({
  clock,
  run,
  data,
  now,
}: {
  clock: Clock;
  run: Run;
  data: RunSheetData;
  now: number;
}) {
  const limits = limitsOf(data.setup);
  const performed = run.readings.values[clock.to ?? run.method.performedAt];
  const end = performed ? Date.parse(performed) : now;
  if (clock.from === 'age') {
    const { since, ageFrom = since, ageHours, form = '' } = data.setup.specimen ?? {};
    if (!ageFrom || !ageHours) return null;
    const window = ageWindow(Date.parse(ageFrom), ageHours, limits, isMould(form) ? form : undefined);
    const inside = end >= window.opensAt && end <= window.closesAt;
    const state = performed ? (inside ? 'done' : 'missed') : windowState(window, now, limits);
    const words = {
      'not open yet': `opens in ${durationText((window.opensAt - now) / 60_000)}`,
      open: `${durationText((window.closesAt - now) / 60_000)} left`,
      closing: `${durationText((window.closesAt - now) / 60_000)} left`,
      missed: performed
        ? 'broken outside it'
        : `closed ${durationText((now - window.closesAt) / 60_000)} ago`,
      done: 'broken inside it',
    }[state];
    return (
      <Box sx={{ px: 1, pb: 1, display: 'flex', justifyContent: 'space-between', gap: 1, flexWrap: 'wrap' }}>
        <WindowBadge state={state} />
        <Typography>{`${ageText(ageHours)}: ${words}`}</Typography>
      </Box>
    );
  }
  const started = run.readings.values[clock.from];
  if (!started || clock.when?.(data.setup) === false) return null;
  const startedAt = Date.parse(started);
  // It counts up to the test; what starts at the test itself or after it counts on while the run is open.
  const until = end > startedAt ? end : data.state === 'open' ? now : null;
  if (until === null) return null;
  const limit = clock.limit && limits.of(clock.limit, data.system);
  const { minutes, state } = readStepClock(startedAt, until, limit);
  return (
    <Box sx={{ px: 1, pb: 1, display: 'flex', justifyContent: 'space-between', gap: 1 }}>
      <Typography variant="body2" color="text.secondary">
        {[clock.title, limit?.text].filter(Boolean).join(', ')}
      </Typography>
      <Typography
        className="mono"
        color={state === 'over' ? 'error' : state === 'early' ? 'warning' : 'text.primary'}
        sx={{ whiteSpace: 'nowrap' }}
      >
        {durationText(minutes)}
      </Typography>
    </Box>
  );
}
