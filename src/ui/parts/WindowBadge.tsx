import { Box } from '@mui/material';
import type { WindowState } from '@/core/windows';

const COLOUR: Readonly<Record<WindowState, string>> = {
  'not open yet': 'text.secondary',
  open: 'primary.main',
  closing: 'warning.main',
  missed: 'error.main',
  done: 'success.main',
};

const WORD: Readonly<Record<WindowState, string>> = {
  'not open yet': 'Not open yet',
  open: 'Open',
  closing: 'Closing',
  missed: 'Missed',
  done: 'Done',
};

/** A window's state by shape, word and colour: hollow, solid, notched, struck through, ticked. */
export function WindowBadge({ state }: { state: WindowState }) {
  return (
    <Box
      component="span"
      sx={{
        display: 'inline-flex',
        alignItems: 'center',
        gap: 0.75,
        color: COLOUR[state],
        fontWeight: 700,
        whiteSpace: 'nowrap',
        textDecoration: state === 'missed' ? 'line-through' : 'none',
      }}
    >
      <svg width="22" height="14" viewBox="0 0 22 14" aria-hidden="true">
        <BracketShape state={state} />
      </svg>
      {WORD[state]}
    </Box>
  );
}

function BracketShape({ state }: { state: WindowState }) {
  const line = { fill: 'none', stroke: 'currentColor', strokeWidth: 2 };
  const ends = <path d="M5 1H1v12h4M17 1h4v12h-4" {...line} />;
  if (state === 'not open yet') return ends;
  if (state === 'open')
    return (
      <>
        {ends}
        <rect x="4" y="4" width="14" height="6" fill="currentColor" />
      </>
    );
  if (state === 'closing') {
    return (
      <>
        {ends}
        <path d="M4 4h8l3 3-3 3H4z" fill="currentColor" />
      </>
    );
  }
  if (state === 'missed')
    return (
      <>
        {ends}
        <path d="M2 12L20 2" {...line} />
      </>
    );
  return (
    <>
      {ends}
      <path d="M6 7l3.5 4L16 3" {...line} />
    </>
  );
}
