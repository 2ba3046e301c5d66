'use client';
import {
  Box,
  Button,
  Dialog,
  DialogContent,
  DialogTitle,
  IconButton,
  Menu,
  MenuItem,
  Stack,
  Typography,
} from '@mui/material';
import { usePathname, useRouter } from 'next/navigation';
import { type ReactNode, useEffect, useState } from 'react';
import { isTyping } from './keys';
import { AppLink } from './parts/AppLink';
import { ClockNotice } from './parts/ClockNotice';
import { SearchBox } from './SearchBox';
import { SCHEMES, type Scheme } from './theme';

export interface Place {
  readonly href: string;
  readonly word: string;
}

const SCHEME_WORDS: Readonly<Record<Scheme, string>> = { day: 'Day', night: 'Night', sun: 'Full sun' };

/** The frame of every page: where one can go, search, who is signed in. */
export function Shell({
  places,
  person,
  role,
  scheme,
  children,
}: {
  places: readonly Place[];
  person: string;
  role: string;
  scheme: Scheme;
  children: ReactNode;
}) {
  const [keys, setKeys] = useState(false);
  const router = useRouter();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== '?' || isTyping(event.target)) return;
      event.preventDefault();
      setKeys(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <Box sx={{ minHeight: '100vh', display: 'flex', flexDirection: 'column' }}>
      <Box
        component="header"
        className="no-print"
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: { xs: 1, md: 2 },
          px: { xs: 1.5, md: 3 },
          minHeight: 56,
          borderBottom: 1,
          borderColor: 'divider',
          bgcolor: 'background.default',
          position: 'sticky',
          top: 0,
          zIndex: 10,
        }}
      >
        <Typography
          component={AppLink}
          href="/today"
          sx={{ fontWeight: 700, color: 'primary.main', textDecoration: 'none', fontSize: '1.15rem' }}
        >
          Bricole
        </Typography>
        <Box component="nav" aria-label="Places" sx={{ display: { xs: 'none', md: 'flex' }, gap: 0.5 }}>
          {places.map((place) => (
            <PlaceLink key={place.href} place={place} />
          ))}
        </Box>
        <Box sx={{ flexGrow: 1 }} />
        <SearchBox />
        <IconButton
          aria-label="Keys"
          onClick={() => setKeys(true)}
          sx={{ display: { xs: 'none', md: 'inline-flex' }, width: 36, height: 36, fontSize: '1rem' }}
        >
          ?
        </IconButton>
        <PersonMenu person={person} role={role} scheme={scheme} renew={() => router.refresh()} />
      </Box>
      <Box
        component="main"
        sx={{
          flexGrow: 1,
          px: { xs: 1.5, md: 3 },
          py: 2,
          pb: { xs: 10, md: 3 },
          maxWidth: 1480,
          width: '100%',
          mx: 'auto',
        }}
      >
        <ClockNotice />
        {children}
      </Box>
      <Box
        component="nav"
        aria-label="Places"
        className="no-print"
        sx={{
          display: { xs: 'flex', md: 'none' },
          position: 'fixed',
          bottom: 0,
          left: 0,
          right: 0,
          borderTop: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
          justifyContent: 'space-around',
          zIndex: 10,
        }}
      >
        {places.map((place) => (
          <PlaceLink key={place.href} place={place} tall />
        ))}
      </Box>
      <KeysDialog open={keys} close={() => setKeys(false)} />
    </Box>
  );
}

function PlaceLink({ place, tall = false }: { place: Place; tall?: boolean }) {
  const path = usePathname();
  const here = path === place.href || path.startsWith(`${place.href}/`);
  return (
    <Box
      component={AppLink}
      href={place.href}
      aria-current={here ? 'page' : undefined}
      sx={{
        color: here ? 'primary.main' : 'text.primary',
        textDecoration: 'none',
        fontWeight: here ? 700 : 400,
        px: tall ? 0.25 : 1,
        fontSize: tall ? '0.95rem' : '1rem',
        minHeight: tall ? 56 : 40,
        display: 'inline-flex',
        alignItems: 'center',
        // The place one is in stands in the brackets that mark an open window.
        '&::before': { content: here ? '"["' : '" "', whiteSpace: 'pre', mr: tall ? 0 : 0.5 },
        '&::after': { content: here ? '"]"' : '" "', whiteSpace: 'pre', ml: tall ? 0 : 0.5 },
      }}
    >
      {place.word}
    </Box>
  );
}

function PersonMenu({
  person,
  role,
  scheme,
  renew,
}: {
  person: string;
  role: string;
  scheme: Scheme;
  renew: () => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const choose = (wanted: Scheme): void => {
    // biome-ignore lint/suspicious/noDocumentCookie: one plain cookie, read by the server so that the first page has the right colours
    document.cookie = `scheme=${wanted}; path=/; max-age=31536000; samesite=lax`;
    setAnchor(null);
    renew();
  };
  const signOut = async (): Promise<void> => {
    // Pages kept for the field are this person's: they go with them.
    if ('caches' in window) await caches.delete('bricole-field');
    await fetch('/api/auth/sign-out', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{}',
    });
    window.location.assign('/sign-in');
  };
  return (
    <>
      <Button
        color="secondary"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
        sx={{ px: 1, minWidth: 0 }}
      >
        <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
          {person}
        </Box>
        <Box component="span" sx={{ display: { xs: 'inline', sm: 'none' } }} aria-label={person}>
          {person
            .split(' ')
            .map((part) => part[0])
            .join('')}
        </Box>
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        <MenuItem disabled>{`${person}, ${role}`}</MenuItem>
        {SCHEMES.map((each) => (
          <MenuItem key={each} selected={each === scheme} onClick={() => choose(each)}>
            {`Colours: ${SCHEME_WORDS[each]}`}
          </MenuItem>
        ))}
        <MenuItem component={AppLink} href="/account" onClick={() => setAnchor(null)}>
          Your account
        </MenuItem>
        <MenuItem onClick={signOut}>Sign out</MenuItem>
      </Menu>
    </>
  );
}

const KEYS: readonly (readonly [string, string])[] = [
  ['/', 'Search, or scan a label'],
  ['?', 'These keys'],
  ['Enter', 'Run sheet: keep the reading and go to the next'],
  ['Shift + Enter', 'Run sheet: back to the reading before'],
  ['1 … 9', 'Run sheet: choose an answer of the list in focus'],
  ['Y', 'Run sheet: done, at a check; Enter passes it over'],
  ['N', 'Run sheet: now, in a field for a time'],
  ['Ctrl + Enter', 'Run sheet: complete the run'],
];

function KeysDialog({ open, close }: { open: boolean; close: () => void }) {
  return (
    <Dialog open={open} onClose={close} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <Stack component="dl" spacing={1} sx={{ m: 0, minWidth: 320 }}>
          {KEYS.map(([key, what]) => (
            <Box key={key} sx={{ display: 'flex', gap: 2 }}>
              <Typography component="dt" className="mono" sx={{ width: 130, fontWeight: 500 }}>
                {key}
              </Typography>
              <Typography component="dd" sx={{ m: 0 }}>
                {what}
              </Typography>
            </Box>
          ))}
        </Stack>
      </DialogContent>
    </Dialog>
  );
}
