'use client';
import { Button } from '@mui/material';
import { FormDialog } from '../form/FormDialog';

interface JobChoice {
  readonly id: string;
  readonly name: string;
  readonly zone: string;
  /** The wall clock now, in the job's zone. */
  readonly now: string;
  readonly mixes: readonly { readonly id: string; readonly name: string }[];
}

/** A placement entered: which mix goes where, and when. */
export function NewPlacement({ jobs }: { jobs: readonly JobChoice[] }) {
  const usable = jobs.filter(({ mixes }) => mixes.length > 0);
  const [first] = usable;
  if (!first) return null;
  return (
    <FormDialog
      title="New placement"
      useCase="create-placement"
      zone={first.zone}
      initial={{
        placedAt: first.now,
        ...(first.mixes[0] ? { mixId: `${first.id}/${first.mixes[0].id}` } : {}),
      }}
      fields={[
        {
          name: 'mixId',
          label: 'Mix',
          options: usable.flatMap((job) =>
            job.mixes.map((mix) => ({
              value: `${job.id}/${mix.id}`,
              label: usable.length > 1 ? `${job.name}: ${mix.name}` : mix.name,
            })),
          ),
        },
        { name: 'element', label: 'Element', help: 'What is placed: pier cap 2, slab bay C.' },
        { name: 'location', label: 'Location', optional: true },
        { name: 'volume', label: 'Volume', optional: true, help: 'As 60 yd³ or 46 m³.' },
        {
          name: 'area',
          label: 'Area',
          optional: true,
          help: 'Slab, or one face of a wall, as 4,000 ft² or 400 m².',
        },
        {
          name: 'section',
          label: 'Least section',
          optional: true,
          help: 'For cold weather, as 8 in or 200 mm.',
        },
        { name: 'placedAt', label: 'Starts at', type: 'datetime' },
      ]}
      shape={({ mixId, ...values }) => {
        const [jobId, mix] = String(mixId).split('/');
        return { ...values, jobId, mixId: mix };
      }}
      submit="Enter the placement"
      done="Placement entered."
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          New placement
        </Button>
      )}
    />
  );
}
