'use client';
import { Button, Typography } from '@mui/material';
import { SOURCE_DECISIONS } from '@/core/uniformity';
import { FormDialog } from '../form/FormDialog';

/** What was found of a result, and how it counts from now on; kept with the name of who decided. */
export function DecideSource({ sampleId, label }: { sampleId: string; label: string }) {
  return (
    <FormDialog
      title={`Decide on ${label}`}
      useCase="record-follow-up"
      fixed={{ sampleId }}
      initial={{ stepId: SOURCE_DECISIONS[0].id }}
      intro={SOURCE_DECISIONS.map(({ id, title, detail }) => (
        <Typography key={id} component="span" variant="body2" sx={{ display: 'block', mb: 0.5 }}>
          <b>{title}</b>
          {`: ${detail}`}
        </Typography>
      ))}
      fields={[
        {
          name: 'stepId',
          label: 'Decision',
          options: SOURCE_DECISIONS.map(({ id, title }) => ({ value: id, label: title })),
        },
        { name: 'note', label: 'What was done and found', type: 'lines' },
      ]}
      submit="Record"
      done="Recorded."
      button={(open) => (
        <Button size="small" variant="text" onClick={open} aria-label={`Decide on ${label}`}>
          Decide
        </Button>
      )}
    />
  );
}
