'use client';
import { Button } from '@mui/material';
import type { MethodId } from '@/core/methods/registry';
import { FormDialog } from '../form/FormDialog';

/** Another test on this sample, besides the ones it was opened with. */
export function AddTest({
  sampleId,
  tests,
}: {
  sampleId: string;
  tests: readonly { readonly value: MethodId; readonly label: string }[];
}) {
  if (tests.length === 0) return null;
  return (
    <FormDialog
      title="Add a test"
      useCase="start-run"
      fixed={{ sampleId }}
      initial={{ method: tests[0]?.value ?? '' }}
      fields={[
        {
          name: 'method',
          label: 'Test',
          options: tests,
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
