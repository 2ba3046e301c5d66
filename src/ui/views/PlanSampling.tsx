'use client';
import { Button } from '@mui/material';
import type { Profile } from '@/core/limits';
import type { System } from '@/core/quantity';
import { FormDialog } from '../form/FormDialog';

/** How many samples, and where they are drawn: before the first truck, again when the volume changes. */
export function PlanSampling({
  lotId,
  system,
  volume,
  area,
  planned,
  profile,
}: {
  lotId: string;
  system: System;
  volume: string;
  area: string;
  planned: boolean;
  profile: Profile;
}) {
  const us = system === 'US';
  return (
    <FormDialog
      title={planned ? 'Plan anew' : 'Plan the samples'}
      useCase="plan-sampling"
      fixed={{ lotId }}
      initial={{ volume, area, ...(profile === 'en' ? { certified: 'no' } : {}) }}
      fields={[
        {
          name: 'volume',
          label: 'Planned volume',
          help: us ? 'Of this mix today, as 60 yd³.' : 'Of this mix today, as 46 m³.',
        },
        {
          name: 'area',
          label: 'Area',
          optional: true,
          help: us ? 'Slab, or one face of a wall, as 4,000 ft².' : 'Slab, or one face of a wall, as 400 m².',
        },
        ...(profile === 'is'
          ? [
              {
                name: 'shifts',
                label: 'Shifts',
                optional: true,
                type: 'number' as const,
                help: 'At least one sample each.',
              },
            ]
          : []),
        ...(profile === 'en'
          ? [
              {
                name: 'certified',
                label: 'Production control certified',
                options: [
                  { value: 'no', label: 'No' },
                  { value: 'yes', label: 'Yes' },
                ],
              },
            ]
          : []),
        {
          name: 'count',
          label: 'Samples',
          optional: true,
          type: 'number',
          help: 'Only when the project asks for more than the rule.',
        },
        {
          name: 'seed',
          label: 'Seed',
          optional: true,
          type: 'number',
          help: 'Only to draw again what was drawn elsewhere.',
        },
        {
          name: 'numbers',
          label: 'Random numbers from a table',
          optional: true,
          type: 'lines',
          help: 'Instead of drawing here: one for each sample, as 0.371 0.862, or a column pasted from a file.',
        },
      ]}
      submit="Draw and lock"
      done="Samples drawn. The next target is shown one truck ahead."
      button={(open) => (
        <Button variant={planned ? 'text' : 'contained'} onClick={open}>
          {planned ? 'Volume changed' : 'Plan the samples'}
        </Button>
      )}
    />
  );
}
