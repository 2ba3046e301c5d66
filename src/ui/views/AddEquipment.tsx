'use client';
import { Button } from '@mui/material';
import { FormDialog } from '../form/FormDialog';

/** Equipment entered in the register. */
export function AddEquipment({ kinds }: { kinds: readonly string[] }) {
  return (
    <FormDialog
      title="Add equipment"
      useCase="add-equipment"
      fields={[
        { name: 'number', label: 'Number', help: 'As it stands on the equipment.' },
        { name: 'kind', label: 'Kind', options: kinds.map((kind) => ({ value: kind, label: kind })) },
        { name: 'name', label: 'Description' },
        { name: 'place', label: 'Place', optional: true },
      ]}
      submit="Add"
      done="Added. Record its verification next."
      button={(open) => (
        <Button variant="contained" onClick={open}>
          Add equipment
        </Button>
      )}
    />
  );
}
