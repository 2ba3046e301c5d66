'use client';
import { Box, Paper } from '@mui/material';
import { type ReactNode, useEffect, useState } from 'react';

/** What stands before the application: one card in the middle of the page. */
export function Door({ children }: { children: ReactNode }) {
  return (
    <Box component="main" sx={{ minHeight: '100vh', display: 'grid', placeItems: 'center', p: 2 }}>
      <Paper sx={{ p: { xs: 3, sm: 4 }, width: '100%', maxWidth: 420 }}>{children}</Paper>
    </Box>
  );
}

/**
 * Whether the page has come alive. What is typed, or filled in by the browser, before that stays in the fields
 * themselves; and until then a button cannot be pressed, or the browser would send the form by its own means.
 */
export function useAlive(): boolean {
  const [alive, setAlive] = useState(false);
  useEffect(() => setAlive(true), []);
  return alive;
}
