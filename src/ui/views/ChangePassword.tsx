'use client';
import { Button } from '@mui/material';
import { FormDialog } from '../form/FormDialog';

/** Another password of one's own; every session under the old one ends with it. */
export function ChangePassword() {
  return (
    <FormDialog
      title="Change your password"
      useCase="change-password"
      fields={[
        { name: 'current', label: 'Your password now', type: 'password' },
        {
          name: 'next',
          label: 'New password',
          type: 'password',
          help: 'At least 10 characters: a few words that do not belong together.',
        },
      ]}
      submit="Change it"
      done="Changed. Sign in with the new one."
      then={() => '/sign-in'}
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          Change your password
        </Button>
      )}
    />
  );
}
