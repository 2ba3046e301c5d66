'use client';
import { Button } from '@mui/material';
import { FormDialog } from '../form/FormDialog';

/** A tank or room with its places. */
export function AddStorage() {
  return (
    <FormDialog
      title="Add a tank or room"
      useCase="add-storage"
      initial={{ kind: 'tank' }}
      fields={[
        { name: 'name', label: 'Name', help: 'As it is written on it.' },
        {
          name: 'kind',
          label: 'Kind',
          options: [
            { value: 'tank', label: 'Water tank with lime' },
            { value: 'room', label: 'Moist room' },
            { value: 'cabinet', label: 'Moist cabinet' },
          ],
        },
        { name: 'rows', label: 'Rows', type: 'number', help: 'Named A, B, C …' },
        { name: 'columns', label: 'Places in a row', type: 'number' },
        {
          name: 'volume',
          label: 'Water',
          optional: true,
          help: 'Of a tank, as 310 gal or 1200 L: how much lime it needs.',
        },
      ]}
      submit="Add"
      done="Added. Its duties are shown as never done until the first is recorded."
      button={(open) => (
        <Button variant="contained" onClick={open}>
          Add a tank or room
        </Button>
      )}
    />
  );
}
