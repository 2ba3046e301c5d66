'use client';
import { Button } from '@mui/material';
import { FormDialog } from '../form/FormDialog';

/** A specimen that was recorded as discarded by mistake is there again. */
export function TakeBackDiscard({ specimenId, label }: { specimenId: string; label: string }) {
  return (
    <FormDialog
      title={`${label} was not discarded`}
      useCase="take-back-discard"
      fixed={{ specimenId }}
      fields={[{ name: 'reason', label: 'Why it was recorded by mistake', type: 'lines' }]}
      submit="Take the discard back"
      done="It waits as before."
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          Not discarded
        </Button>
      )}
    />
  );
}
