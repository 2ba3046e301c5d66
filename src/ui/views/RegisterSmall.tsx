'use client';
import { Button } from '@mui/material';
import type { System } from '@/core/quantity';
import { FormDialog } from '../form/FormDialog';

/** Grout prisms or mortar cubes that came to the laboratory with this sample. */
export function RegisterSmall({
  sampleId,
  zone,
  system,
}: {
  sampleId: string;
  zone: string;
  system: System;
}) {
  return (
    <FormDialog
      title="Grout prisms or mortar cubes"
      useCase="register-small"
      fixed={{ sampleId }}
      zone={zone}
      initial={{ kind: 'grout prism', count: '3', ageDays: '28' }}
      fields={[
        {
          name: 'kind',
          label: 'What',
          options: [
            { value: 'grout prism', label: 'Grout prisms' },
            { value: 'mortar cube', label: system === 'US' ? 'Mortar cubes, 2 in' : 'Mortar cubes, 50 mm' },
          ],
        },
        { name: 'count', label: 'How many', type: 'number', help: 'Three of one age.' },
        {
          name: 'madeAt',
          label: 'Made at',
          type: 'datetime',
          help: 'Of mortar cubes the moment the water met the cement.',
        },
        { name: 'ageDays', label: 'Age, days', type: 'number' },
        {
          name: 'specifiedStrength',
          label: 'Strength asked for',
          help:
            system === 'US'
              ? 'As 2,150 psi, when the project says one.'
              : 'As 15 MPa, when the project says one.',
          optional: true,
        },
        { name: 'place', label: 'Where they stand', optional: true },
      ]}
      intro="They get labels and windows of their own, and a run in the press. How they were made is kept on their own form."
      submit="Register them"
      done="They are registered, with their window."
      button={(open) => (
        <Button onClick={open} color="secondary">
          Prisms or mortar cubes
        </Button>
      )}
    />
  );
}
