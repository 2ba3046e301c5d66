'use client';
import { Alert, Box, Button, Paper, Stack, TextField, Typography } from '@mui/material';
import { type FormEvent, useState } from 'react';

/** Sign-in by e-mail and password. */
export function SignIn({ next, demo }: { next: string; demo: boolean }) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
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
          ? 'Too many attempts. Wait a minute, then try again.'
          : response.status >= 500
            ? 'The server cannot answer now. Try again in a moment.'
            : 'E-mail and password do not belong together.',
      );
    } catch {
      setTrouble('The server cannot be reached. Check the network, then try again.');
    }
    setBusy(false);
  };
  return (
    <Box component="main" sx={{ minHeight: '100vh', display: 'grid', placeItems: 'center', p: 2 }}>
      <Paper sx={{ p: { xs: 3, sm: 4 }, width: '100%', maxWidth: 420 }}>
        <Stack component="form" spacing={2} onSubmit={submit} noValidate>
          <Box>
            <Typography variant="h1" color="primary">
              Bricole
            </Typography>
            <Typography color="text.secondary">Every specimen carries its clock.</Typography>
          </Box>
          {trouble ? <Alert severity="error">{trouble}</Alert> : null}
          <TextField
            label="E-mail"
            type="email"
            autoComplete="username"
            autoFocus
            value={email}
            onChange={(event) => setEmail(event.target.value)}
            size="medium"
          />
          <TextField
            label="Password"
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
            size="medium"
          />
          <Button type="submit" variant="contained" size="large" loading={busy}>
            Sign in
          </Button>
          {demo ? (
            <Typography variant="body2" color="text.secondary">
              This installation holds the demo scenario; its sign-ins were printed where it was started.
            </Typography>
          ) : null}
        </Stack>
      </Paper>
    </Box>
  );
}
