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
  storages,
}: {
  specimenId: string;
  zone: string;
  now: string;
  tested: boolean;
  storages: readonly { readonly id: string; readonly name: string }[];
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
        ...(storages.length > 0 && !tested
          ? [
              {
                name: 'storageId',
                label: 'Tank or room',
                optional: true,
                options: [
                  { value: '', label: 'none of these' },
                  ...storages.map(({ id, name }) => ({ value: id, label: name })),
                ],
              },
              { name: 'position', label: 'Place in it', optional: true, help: 'Row and number, as B3.' },
            ]
          : []),
        {
          name: 'place',
          label: 'Where it stands otherwise',
          optional: true,
          help: 'Box and row on site.',
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
