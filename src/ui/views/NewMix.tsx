'use client';
import { Button } from '@mui/material';
import type { System } from '@/core/quantity';
import { FormDialog } from '../form/FormDialog';

/** What is specified for a mix. A code that is there already becomes a new version of it. */
export function NewMix({ jobId, system }: { jobId: string; system: System }) {
  const us = system === 'US';
  return (
    <FormDialog
      title="New mix"
      useCase="create-mix"
      fixed={{ jobId }}
      initial={{ ageDays: '28', slumpKind: 'target' }}
      fields={[
        {
          name: 'code',
          label: 'Code',
          help: 'A code that is there already becomes a new version; the old one stays on record.',
        },
        { name: 'title', label: 'What it is for' },
        {
          name: 'specifiedStrength',
          label: 'Specified strength f′c',
          help: us ? 'In psi when no unit is typed.' : 'In MPa when no unit is typed.',
        },
        { name: 'ageDays', label: 'At, days', type: 'number' },
        {
          name: 'slumpKind',
          label: 'Slump is specified as',
          options: [
            { value: 'target', label: 'Target' },
            { value: 'maximum', label: 'Maximum' },
          ],
        },
        { name: 'slump', label: 'Slump', optional: true, help: us ? 'As 4 1/4 in.' : 'As 110 mm.' },
        {
          name: 'temperatureMaximum',
          label: 'Highest concrete temperature',
          optional: true,
          help: us ? 'As 90 °F.' : 'As 32 °C.',
        },
      ]}
      shape={({ slump, slumpKind, ...rest }) => (slump ? { ...rest, slump, slumpKind } : rest)}
      submit="Enter the mix"
      done="Mix entered, with the two criteria of ACI 318."
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          New mix
        </Button>
      )}
    />
  );
}
