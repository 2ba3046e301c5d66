'use client';
import { Button } from '@mui/material';
import { FormDialog } from '../form/FormDialog';

/** Who the laboratory is, as it stands at the head of what is signed from now on. */
export function DescribeLaboratory({ now }: { now: Readonly<Record<string, string>> }) {
  return (
    <FormDialog
      title="The laboratory"
      useCase="describe-laboratory"
      initial={now}
      fields={[
        { name: 'name', label: 'Name' },
        { name: 'address', label: 'Address', type: 'lines' },
        {
          name: 'letterhead',
          label: 'What else its letters carry',
          type: 'lines',
          help: 'Telephone, accreditation with its number.',
          optional: true,
        },
        { name: 'zone', label: 'Time zone', help: 'Area/City.' },
      ]}
      submit="Change"
      done="Changed for what is signed from now on."
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          Change
        </Button>
      )}
    />
  );
}
