import { Box } from '@mui/material';
import type { VerdictState } from '@/core/acceptance';

const LOOK: Readonly<Record<VerdictState, { colour: string; mark: string; word: string }>> = {
  meets: { colour: 'success.main', mark: '✓', word: 'Meets' },
  'does not meet': { colour: 'error.main', mark: '✕', word: 'Does not meet' },
  'needs decision': { colour: 'warning.main', mark: '?', word: 'Needs decision' },
  'not yet determinable': { colour: 'text.secondary', mark: '…', word: 'Not yet determinable' },
};

/** A verdict by mark, word and colour. */
export function VerdictMark({ state, word }: { state: VerdictState; word?: string }) {
  const look = LOOK[state];
  return (
    <Box component="span" sx={{ color: look.colour, fontWeight: 700, whiteSpace: 'nowrap' }}>
      <span aria-hidden="true" className="mono" style={{ marginRight: 6 }}>
        {look.mark}
      </span>
      {word ?? look.word}
    </Box>
  );
}
