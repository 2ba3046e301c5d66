'use client';
import { Button, Typography } from '@mui/material';
import { FAULTS } from '@/core/acceptance/evidence';
import { capital } from '@/core/words';
import { FormDialog } from '../form/FormDialog';

/** A broken specimen left out of its set's mean on evidence, or taken back in. */
export function LeaveOut({
  specimenId,
  label,
  leftOut,
}: {
  specimenId: string;
  label: string;
  leftOut: boolean;
}) {
  if (leftOut)
    return (
      <FormDialog
        title={`${label} counts again`}
        useCase="take-back-in"
        fixed={{ specimenId }}
        fields={[{ name: 'reason', label: 'Why the evidence does not hold', type: 'lines' }]}
        submit="Take it back in"
        done="It counts in the mean of its set again."
        button={(open) => (
          <Button variant="outlined" onClick={open}>
            Take back in
          </Button>
        )}
      />
    );
  return (
    <FormDialog
      title={`Leave ${label} out of its set`}
      useCase="leave-out"
      fixed={{ specimenId }}
      initial={{ fault: 'testing', apart: 'no' }}
      intro={
        <Typography>
          Only on evidence of improper sampling, moulding, handling or testing that was found without looking
          at the strength. A range beyond its limit is a signal to look, no such evidence. The result stays on
          record, and both means are reported.
        </Typography>
      }
      fields={[
        {
          name: 'fault',
          label: 'Where the fault lay',
          options: FAULTS.map((value) => ({ value, label: capital(value) })),
        },
        {
          name: 'evidence',
          label: 'What was found',
          type: 'lines',
          help: 'And where it can be seen: photograph, record, pieces.',
        },
        {
          name: 'apart',
          label: 'Found apart from the strength',
          options: [
            { value: 'no', label: 'No' },
            { value: 'yes', label: 'Yes' },
          ],
        },
      ]}
      submit="Leave it out"
      done="It is left out; both means stand on the sample’s page."
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          Leave out on evidence
        </Button>
      )}
    />
  );
}
