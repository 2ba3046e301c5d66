'use client';
import { CssBaseline, ThemeProvider } from '@mui/material';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { NoticeProvider } from './parts/Notice';
import { type Scheme, themeOf } from './theme';

const NonceContext = createContext('');

/** The page's nonce, for the few parts that write a style element of their own. */
export function useNonce(): string {
  return useContext(NonceContext);
}

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
        <NonceContext value={nonce}>
          <NoticeProvider>{children}</NoticeProvider>
        </NonceContext>
      </ThemeProvider>
    </AppRouterCacheProvider>
  );
}
