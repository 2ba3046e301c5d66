'use client';
import { Button } from '@mui/material';
import { FormDialog } from '../form/FormDialog';

/** Another casting time for the cylinders of a sample, with its reason. */
export function CorrectCastTime({
  sampleId,
  zone,
  castAt,
}: {
  sampleId: string;
  zone: string;
  castAt: string;
}) {
  return (
    <FormDialog
      title="Correct the casting time"
      useCase="correct-cast-time"
      zone={zone}
      fixed={{ sampleId }}
      initial={{ castAt }}
      fields={[
        {
          name: 'castAt',
          label: 'Moulding finished at',
          type: 'datetime',
          help: 'All windows of this sample move with it; what is broken is computed anew.',
        },
        { name: 'reason', label: 'Why', type: 'lines' },
      ]}
      submit="Correct"
      done="Casting time corrected."
      button={(open) => (
        <Button color="secondary" onClick={open}>
          Correct the casting time
        </Button>
      )}
    />
  );
}
