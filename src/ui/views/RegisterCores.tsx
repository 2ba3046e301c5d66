'use client';
import { Button } from '@mui/material';
import { FormDialog } from '../form/FormDialog';

/** Cores drilled because the strength test of this sample is questioned. */
export function RegisterCores({ sampleId, zone }: { sampleId: string; zone: string }) {
  return (
    <FormDialog
      title="Cores for this sample’s concrete"
      useCase="register-cores"
      fixed={{ sampleId }}
      zone={zone}
      initial={{ count: '3' }}
      fields={[
        { name: 'count', label: 'How many', type: 'number', help: 'Three for a questioned strength test.' },
        { name: 'drilledAt', label: 'Drilled at', type: 'datetime' },
        { name: 'location', label: 'Where', help: 'Member, grid, depth.', optional: true },
      ]}
      intro="Sealed within an hour, wetted last within two days, tested at least five days after that and at most seven days after drilling: the window is short. Steel, tendons and conduits are found by a licensed survey first."
      submit="Register the cores"
      done="The cores are registered, with their window."
      button={(open) => (
        <Button onClick={open} color="secondary">
          Cores drilled
        </Button>
      )}
    />
  );
}
