'use client';
import { Button, Typography } from '@mui/material';
import { FormDialog } from '../form/FormDialog';

/** What a held specimen is for, decided before it is tested. */
export function DecideHold({
  specimenId,
  label,
  set,
}: {
  specimenId: string;
  label: string;
  /** The specimens of its sample that are not tested yet. */
  set: readonly { readonly id: string; readonly label: string }[];
}) {
  return (
    <FormDialog
      title={`What ${label} is for`}
      useCase="decide-hold"
      fixed={{ specimenId }}
      initial={{ decision: set.length > 0 ? 'replace' : 'information' }}
      intro={
        <Typography>
          Decided before it is tested, never to pick the better number. A defective specimen must be put aside
          first, with what is wrong with it; its window must still be open.
        </Typography>
      }
      fields={[
        {
          name: 'decision',
          label: 'What for',
          options: [
            ...(set.length > 0 ? [{ value: 'replace', label: 'In place of a defective one' }] : []),
            { value: 'information', label: 'For information, at 56 days' },
          ],
        },
        ...(set.length > 0
          ? [
              {
                name: 'replaces',
                label: 'In place of',
                optional: true,
                options: [
                  { value: '', label: 'none' },
                  ...set.map((other) => ({ value: other.id, label: other.label })),
                ],
              },
            ]
          : []),
        { name: 'reason', label: 'Reason', type: 'lines' },
      ]}
      submit="Decide"
      done="Decided: it has its age and its window now."
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          Decide what it is for
        </Button>
      )}
    />
  );
}
