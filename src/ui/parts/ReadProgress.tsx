import { Box, Button, LinearProgress } from '@mui/material';

/** How far a file is read, with a way to stop; nothing where none is. */
export function ReadProgress({
  share,
  what,
  stop,
}: {
  /** 0 to 1; null where nothing is read. */
  share: number | null;
  /** What is read: `the log`. */
  what: string;
  stop: () => void;
}) {
  if (share === null) return null;
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
      <LinearProgress
        variant="determinate"
        value={100 * share}
        aria-label={`How much of ${what} is read`}
        sx={{ flexGrow: 1 }}
      />
      <Button size="small" onClick={stop}>
        Stop
      </Button>
    </Box>
  );
}
