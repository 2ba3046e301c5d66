import { Box, Paper } from '@mui/material';
import type { ReactNode } from 'react';
import type { Banner } from './words';

const GROUND: Readonly<Record<Banner['tone'], string>> = {
  quiet: 'background.default',
  good: 'success.light',
  caution: 'warning.light',
  stop: 'error.light',
};
const INK: Readonly<Record<Banner['tone'], string>> = {
  quiet: 'text.primary',
  good: 'success.main',
  caution: 'warning.main',
  stop: 'error.main',
};
const MARK: Readonly<Record<Banner['tone'], string>> = { quiet: '…', good: '✓', caution: '!', stop: '✕' };

/** What to do now, told by word, mark and colour, for two metres; beside it what it asks to be told. */
export function BannerBox({ banner, children }: { banner: Banner; children: ReactNode }) {
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'stretch', flexWrap: 'wrap' }}>
      <Paper
        role="status"
        aria-live="polite"
        data-testid="press-banner"
        sx={{
          flex: { xs: '1 1 100%', md: '1 1 0' },
          px: 2,
          py: 0.5,
          bgcolor: GROUND[banner.tone],
          color: INK[banner.tone],
          borderColor: INK[banner.tone],
          borderWidth: 2,
          fontSize: { xs: '1.4rem', md: '2.4rem' },
          fontWeight: 700,
          lineHeight: 1.3,
        }}
      >
        <span aria-hidden="true">{`${MARK[banner.tone]} `}</span>
        {banner.text}
      </Paper>
      {children}
    </Box>
  );
}
