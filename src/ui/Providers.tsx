'use client';
import { CssBaseline, ThemeProvider } from '@mui/material';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import { type ReactNode, useMemo } from 'react';
import { NoticeProvider } from './parts/Notice';
import { type Scheme, themeOf } from './theme';

/** Theme, style cache with the page's nonce, and the place where short notices appear. */
export function Providers({
  nonce,
  scheme,
  children,
}: {
  nonce: string;
  scheme: Scheme;
  children: ReactNode;
}) {
  const theme = useMemo(() => themeOf(scheme), [scheme]);
  return (
    <AppRouterCacheProvider options={{ key: 'b', nonce }}>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <NoticeProvider>{children}</NoticeProvider>
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}
