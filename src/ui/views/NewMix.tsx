'use client';
import { Button } from '@mui/material';
import { EXPOSURES, SLUMP_CLASSES } from '@/core/methods/kinds';
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
        {
          name: 'slumpClass',
          label: 'Slump class (EN)',
          optional: true,
          options: [{ value: '', label: 'none' }, ...SLUMP_CLASSES.map((value) => ({ value, label: value }))],
        },
        { name: 'slumpFlow', label: 'Slump flow', optional: true, help: us ? 'As 25 in.' : 'As 640 mm.' },
        {
          name: 'aggregate',
          label: 'Nominal aggregate',
          optional: true,
          help: us ? 'As 3/4 in.' : 'As 19 mm.',
        },
        { name: 'air', label: 'Air', optional: true, help: 'Target, as 6 %.' },
        {
          name: 'exposure',
          label: 'Exposure to frost',
          optional: true,
          options: [{ value: '', label: 'none' }, ...EXPOSURES.map((value) => ({ value, label: value }))],
        },
        {
          name: 'airReduced',
          label: 'Reduced air above 5,000 psi [35 MPa]',
          optional: true,
          options: [
            { value: '', label: 'not permitted' },
            { value: 'yes', label: 'permitted by the project' },
          ],
        },
        {
          name: 'airMethod',
          label: 'Air is tested by',
          optional: true,
          options: [
            { value: '', label: 'pressure, when there is air' },
            { value: 'pressure', label: 'pressure' },
            { value: 'volumetric', label: 'volumetric' },
          ],
        },
        {
          name: 'aggregateFactor',
          label: 'Aggregate correction',
          optional: true,
          help: 'For the pressure meter, as 0.4 %.',
        },
        {
          name: 'density',
          label: 'Fresh density',
          optional: true,
          help: us ? 'As 145 lb/ft³.' : 'As 2330 kg/m³.',
        },
        { name: 'waterRatio', label: 'Water-cementitious ratio', optional: true, help: 'At most, as 0.45.' },
        {
          name: 'cementitious',
          label: 'Cementitious material',
          optional: true,
          help: us ? 'As 564 lb/yd³.' : 'As 335 kg/m³.',
        },
        { name: 'water', label: 'Water', optional: true, help: us ? 'As 240 lb/yd³.' : 'As 142 kg/m³.' },
      ]}
      shape={({ slump, slumpKind, airReduced, ...rest }) => ({
        ...rest,
        ...(slump ? { slump, slumpKind } : {}),
        ...(airReduced ? { airReduced: true } : {}),
      })}
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
