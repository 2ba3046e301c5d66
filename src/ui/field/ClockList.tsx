'use client';
import { Box, Typography } from '@mui/material';
import { type ClockReading, clockLimitText, clockText } from '@/core/clocks';

const LOOK = {
  early: { colour: 'text.primary', mark: '[··]' },
  running: { colour: 'text.primary', mark: '[▬ ]' },
  warning: { colour: 'warning.main', mark: '[▬!]' },
  over: { colour: 'error.main', mark: '[✕]' },
  waiting: { colour: 'text.secondary', mark: '[ ]' },
  met: { colour: 'success.main', mark: '[✓]' },
  missed: { colour: 'error.main', mark: '[✕]' },
  'ended early': { colour: 'error.main', mark: '[✕]' },
} as const;

/** What a running clock says of the time: what is left, how long it still has to stand, or by how much it is over. */
export function leftText(reading: ClockReading): string {
  const { place } = reading.clock;
  if (reading.state === 'early')
    return `${clockText((reading.least ?? 0) - (reading.elapsed ?? 0), place)} to wait`;
  if (reading.left === null) return 'time is up';
  if (reading.left < 0) return `over by ${clockText(-reading.left, place)}`;
  return `${clockText(reading.left, place)} left`;
}

/** The clocks that run, the most urgent first: word, shape and time. */
export function RunningClocks({ clocks }: { clocks: readonly ClockReading[] }) {
  if (clocks.length === 0) return <Typography color="text.secondary">No clock runs.</Typography>;
  return (
    <Box role="list" aria-label="Running clocks">
      {clocks.map((reading) => {
        const look = LOOK[reading.state];
        return (
          <Box
            key={reading.clock.id}
            role="listitem"
            sx={{ py: 0.5, borderBottom: 1, borderColor: 'divider' }}
          >
            <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, color: look.colour }}>
              <Mark>{look.mark}</Mark>
              <Typography
                sx={{ flexGrow: 1, textDecoration: reading.state === 'over' ? 'line-through' : 'none' }}
              >
                {reading.clock.title}
              </Typography>
              <Typography
                className="mono"
                sx={{ fontWeight: 600, fontSize: '1.15rem', whiteSpace: 'nowrap' }}
              >
                {leftText(reading)}
              </Typography>
            </Box>
            {reading.state === 'over' ? (
              <Typography variant="body2" color="error">
                {reading.clock.late}
              </Typography>
            ) : null}
          </Box>
        );
      })}
    </Box>
  );
}

/** The sign of a clock's state; it never breaks over two lines. */
function Mark({ children }: { children: string }) {
  return (
    <Box component="span" className="mono" aria-hidden="true" sx={{ whiteSpace: 'pre', flexShrink: 0 }}>
      {children}
    </Box>
  );
}

/** The clocks that ended: how long they took against what is allowed, and what a missed one asks for. */
export function DoneClocks({ clocks }: { clocks: readonly ClockReading[] }) {
  return (
    <Box role="list" aria-label="Clocks that ended">
      {clocks.map((reading) => {
        const look = LOOK[reading.state];
        const bad = reading.state !== 'met';
        return (
          <Box key={reading.clock.id} role="listitem" sx={{ py: 0.25 }}>
            <Box sx={{ display: 'flex', gap: 1, color: look.colour, alignItems: 'baseline' }}>
              <Mark>{look.mark}</Mark>
              <Typography variant="body2" sx={{ flexGrow: 1 }}>
                {reading.clock.title}
              </Typography>
              <Typography variant="body2" className="mono">
                {`${clockText(reading.elapsed ?? 0, reading.clock.place)} of ${clockLimitText(reading)}`}
              </Typography>
            </Box>
            {bad ? (
              <Typography variant="body2" color="error" sx={{ pl: 4 }}>
                {reading.state === 'ended early' ? (reading.clock.early ?? '') : reading.clock.late}
              </Typography>
            ) : null}
          </Box>
        );
      })}
    </Box>
  );
}
