'use client';
import { Box, Button, MenuItem, Paper, TextField, Typography } from '@mui/material';
import { type ClockReading, EVENTS, type EventId } from '@/core/clocks';
import { leftText } from './ClockList';

/** What to press now, as large as the screen allows, with the clock that will be missed first if it is not. */
export function NextPress({
  event,
  clock,
  onPress,
  others,
  undo,
}: {
  event: EventId | undefined;
  /** The clock that this press ends, if one runs for it; else the most urgent. */
  clock: ClockReading | undefined;
  onPress: (event: EventId) => void;
  /** What may be pressed as well: work done in another order, or by somebody else. */
  others: readonly EventId[];
  /** The last press, while it can be taken back. */
  undo: { readonly event: EventId; readonly take: () => void } | null;
}) {
  const danger = clock?.state === 'over' ? 'error' : clock?.state === 'warning' ? 'warning' : 'primary';
  return (
    <Paper sx={{ p: 1.5 }}>
      {event ? (
        <Button
          variant="contained"
          color={danger}
          onClick={() => onPress(event)}
          fullWidth
          sx={{
            minHeight: 132,
            flexDirection: 'column',
            fontSize: '1.7rem',
            lineHeight: 1.15,
            color: danger === 'warning' ? 'common.white' : undefined,
          }}
        >
          {EVENTS[event]}
          {clock ? (
            <Box component="span" sx={{ fontSize: '1.35rem', fontWeight: 500, mt: 0.75 }}>
              {clock.clock.to === event ? leftText(clock) : `${clock.clock.title}: ${leftText(clock)}`}
            </Box>
          ) : null}
        </Button>
      ) : (
        <Typography sx={{ fontSize: '1.3rem', fontWeight: 700, py: 2, textAlign: 'center' }}>
          Everything planned for this sample is stamped.
        </Typography>
      )}
      {others.length > 0 ? (
        <TextField
          select
          label="Something else happened"
          size="small"
          fullWidth
          value=""
          onChange={(change) => onPress(change.target.value as EventId)}
          sx={{ mt: 1.25 }}
        >
          {others.map((other) => (
            <MenuItem key={other} value={other} sx={{ minHeight: 48 }}>
              {EVENTS[other]}
            </MenuItem>
          ))}
        </TextField>
      ) : null}
      {undo ? (
        <Button
          fullWidth
          variant="outlined"
          color="secondary"
          onClick={undo.take}
          sx={{ mt: 1, minHeight: 48 }}
        >
          {`Take back: ${EVENTS[undo.event].toLowerCase()}`}
        </Button>
      ) : null}
    </Paper>
  );
}
