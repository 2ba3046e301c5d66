'use client';
import { Alert, Box, Button, Stack, TextField, Typography } from '@mui/material';
import { type FormEvent, useState } from 'react';
import { Door, useAlive } from '../parts/Door';

/** Whoever was invited sets their password here, and signs in with it. */
export function Welcome({
  secret,
  invited,
}: {
  secret: string;
  invited: { readonly name: string; readonly email: string } | null;
}) {
  const alive = useAlive();
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent<HTMLFormElement>): Promise<void> => {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const [password, again] = [String(typed.get('password') ?? ''), String(typed.get('again') ?? '')];
    if (password !== again) return setTrouble('The two are not the same: type the password once more.');
    setBusy(true);
    setTrouble('');
    const said = await setPassword(secret, password);
    if (said === '') return window.location.assign('/sign-in');
    setTrouble(said);
    setBusy(false);
  };
  return (
    <Door>
      {invited ? (
        <Stack component="form" method="post" spacing={2} onSubmit={submit} noValidate>
          <Box>
            <Typography variant="h1" color="primary">
              {invited.name}
            </Typography>
            <Typography color="text.secondary">{`Set your password. You sign in as ${invited.email}.`}</Typography>
          </Box>
          {trouble ? <Alert severity="error">{trouble}</Alert> : null}
          {/* For the browser's own store of passwords. */}
          <input type="hidden" autoComplete="username" value={invited.email} readOnly />
          <TextField
            label="New password"
            type="password"
            autoComplete="new-password"
            autoFocus
            name="password"
            size="medium"
            helperText="At least 10 characters: a few words that do not belong together."
          />
          <TextField
            label="The same again"
            type="password"
            autoComplete="new-password"
            name="again"
            size="medium"
          />
          <Button type="submit" variant="contained" size="large" loading={busy} disabled={!alive}>
            Set the password
          </Button>
        </Stack>
      ) : (
        <Stack spacing={2}>
          <Typography variant="h1" color="primary">
            This link opens nothing
          </Typography>
          <Typography>
            It was used already, is older than seven days, or a newer one was made for you. Ask your manager
            for another.
          </Typography>
          <Button href="/sign-in" variant="outlined">
            Sign in
          </Button>
        </Stack>
      )}
    </Door>
  );
}

/** What is wrong with it in words; empty once the password is set. */
async function setPassword(secret: string, password: string): Promise<string> {
  try {
    const answer = await fetch('/api/welcome', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ secret, password }),
    });
    if (answer.ok) return '';
    const said = (await answer.json().catch(() => null)) as {
      message?: string;
      errors?: Record<string, string>;
    } | null;
    return (
      Object.values(said?.errors ?? {})[0] ??
      said?.message ??
      'The server cannot answer now. Try again in a moment.'
    );
  } catch {
    return 'The server cannot be reached. Check the network, then try again.';
  }
}
