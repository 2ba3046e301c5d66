'use client';
import { Button } from '@mui/material';
import { RECORDED_EVENTS } from '@/core/identity/custody';
import { FormDialog } from '../form/FormDialog';

/** Something that happened to a specimen. */
export function RecordEvent({
  specimenId,
  zone,
  now,
  tested,
}: {
  specimenId: string;
  zone: string;
  now: string;
  tested: boolean;
}) {
  const kinds = tested ? ['note'] : RECORDED_EVENTS;
  return (
    <FormDialog
      title="What happened to it"
      useCase="record-event"
      zone={zone}
      fixed={{ specimenId }}
      initial={{ at: now, kind: kinds[0] ?? 'note' }}
      submit="Record"
      done="Recorded."
      fields={[
        { name: 'kind', label: 'What', options: kinds.map((kind) => ({ value: kind, label: kind })) },
        { name: 'at', label: 'When', type: 'datetime' },
        {
          name: 'place',
          label: 'Where it stands',
          optional: true,
          help: 'Tank and rack, box and row.',
        },
        {
          name: 'note',
          label: 'Note',
          type: 'lines',
          optional: true,
          help: 'Needed when it is discarded (what is wrong with it) or released (by whom).',
        },
      ]}
      button={(open) => (
        <Button size="small" variant="outlined" onClick={open}>
          Record an event
        </Button>
      )}
    />
  );
}
