'use client';
import { Button } from '@mui/material';
import { METHODS, type MethodId } from '@/core/methods';
import { FormDialog } from '../form/FormDialog';

/** Another test on this sample, besides the ones it was opened with. */
export function AddTest({ sampleId, present }: { sampleId: string; present: readonly MethodId[] }) {
  const missing = METHODS.filter(
    ({ id, runOn }) => runOn === 'sample' && !present.some((each) => each === id),
  );
  if (missing.length === 0) return null;
  return (
    <FormDialog
      title="Add a test"
      useCase="start-run"
      fixed={{ sampleId }}
      initial={{ method: missing[0]?.id ?? '' }}
      fields={[
        {
          name: 'method',
          label: 'Test',
          options: missing.map(({ id, title }) => ({ value: id, label: title })),
        },
      ]}
      submit="Add the test"
      done="The test is open."
      button={(open) => (
        <Button variant="outlined" onClick={open} sx={{ alignSelf: 'flex-start' }}>
          Add a test
        </Button>
      )}
    />
  );
}
