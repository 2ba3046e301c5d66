'use client';
import { Button } from '@mui/material';
import { findForm } from '@/core/materials/forms';
import { FormDialog } from '../form/FormDialog';

/** Pieces of a sample, as many as were taken: each gets a label. */
export function RegisterPieces({
  sampleId,
  forms,
  count,
  words: [one, many],
}: {
  sampleId: string;
  forms: readonly string[];
  /** How many are still wanted. */
  count: number;
  words: readonly [string, string];
}) {
  const [first = ''] = forms;
  return (
    <FormDialog
      title={`Register ${many}`}
      useCase="register-pieces"
      fixed={{ sampleId }}
      initial={{ form: first, count: String(Math.min(60, Math.max(1, count))) }}
      fields={[
        {
          name: 'form',
          label: 'Form',
          options: forms.map((id) => ({ value: id, label: findForm(id)?.text ?? id })),
        },
        { name: 'count', label: 'How many', type: 'number', help: 'At most 60 at once.' },
        { name: 'place', label: 'Where they are', optional: true },
      ]}
      intro={`Each ${one} gets a label of its own, to be written on it or stuck to it.`}
      submit="Register them"
      done="They are registered."
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          {`Register ${many}`}
        </Button>
      )}
    />
  );
}
