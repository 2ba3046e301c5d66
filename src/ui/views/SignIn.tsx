'use client';
import { Alert, Box, Button, Stack, TextField, Typography } from '@mui/material';
import { type FormEvent, useState } from 'react';
import { Door, useAlive } from '../parts/Door';

/** Sign-in by e-mail and password. */
export function SignIn({ next, laboratory, demo }: { next: string; laboratory: string; demo: boolean }) {
  const alive = useAlive();
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent<HTMLFormElement>): Promise<void> => {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const [email, password] = [String(typed.get('email') ?? ''), String(typed.get('password') ?? '')];
    if (email.trim() === '' || password === '') return setTrouble('Type your e-mail and your password.');
    setBusy(true);
    setTrouble('');
    try {
      const response = await fetch('/api/auth/sign-in/email', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ email: email.trim(), password }),
      });
      if (response.ok) return window.location.assign(next);
      setTrouble(
        response.status === 429
          ? ((await response.json().catch(() => null))?.message ?? 'Too many attempts. Wait, then try again.')
          : response.status >= 500
            ? 'The server cannot answer now. Try again in a moment.'
            : response.status === 403
              ? ((await response.json().catch(() => null))?.message ?? 'This account has no access.')
              : 'E-mail and password do not belong together.',
      );
    } catch {
      setTrouble('The server cannot be reached. Check the network, then try again.');
    }
    setBusy(false);
  };
  return (
    <Door>
      <Stack component="form" method="post" spacing={2} onSubmit={submit} noValidate>
        <Box>
          <Typography variant="h1" color="primary">
            Bricole
          </Typography>
          <Typography color="text.secondary">{laboratory}</Typography>
        </Box>
        {trouble ? <Alert severity="error">{trouble}</Alert> : null}
        <TextField label="E-mail" type="email" autoComplete="username" autoFocus name="email" size="medium" />
        <TextField
          label="Password"
          type="password"
          autoComplete="current-password"
          name="password"
          size="medium"
        />
        <Button type="submit" variant="contained" size="large" loading={busy} disabled={!alive}>
          Sign in
        </Button>
        <Typography variant="body2" color="text.secondary">
          {demo
            ? 'This is the demo: an invented laboratory. Its sign-ins were printed where it was started.'
            : 'These are the laboratory’s own records. No password yet, or lost it? Ask your manager for a link.'}
        </Typography>
      </Stack>
    </Door>
  );
}
