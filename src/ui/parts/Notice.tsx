'use client';
import { Alert, Snackbar } from '@mui/material';
import { createContext, type ReactNode, useCallback, useContext, useState } from 'react';

type Tone = 'success' | 'error';
type Tell = (text: string, tone?: Tone) => void;

const NoticeContext = createContext<Tell>(() => undefined);

/** Says a short thing at the foot of the page: what was done, or what went wrong. */
export function useNotice(): Tell {
  return useContext(NoticeContext);
}

export function NoticeProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<{ text: string; tone: Tone; key: number } | null>(null);
  const tell = useCallback<Tell>((text, tone = 'success') => setNotice({ text, tone, key: Date.now() }), []);
  return (
    <NoticeContext value={tell}>
      {children}
      <Snackbar
        key={notice?.key}
        open={notice !== null}
        autoHideDuration={notice?.tone === 'error' ? 9000 : 4000}
        onClose={(_, why) => why !== 'clickaway' && setNotice(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
      >
        <Alert severity={notice?.tone ?? 'success'} variant="filled" onClose={() => setNotice(null)}>
          {notice?.text}
        </Alert>
      </Snackbar>
    </NoticeContext>
  );
}
