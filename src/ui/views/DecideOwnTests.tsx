'use client';
import { Button } from '@mui/material';
import { OWN_TESTS, ownTestsOf } from '@/core/signing/rule';
import { FormDialog } from '../form/FormDialog';

/** Decides whether who made a test may sign the report of it. */
export function DecideOwnTests({ now }: { now: string | undefined }) {
  return (
    <FormDialog
      title="May who made a test sign the report of it?"
      useCase="decide-own-tests"
      initial={{ value: ownTestsOf(now) }}
      fields={[
        { name: 'value', label: 'Who made a test signs', options: OWN_TESTS.map((each) => ({ ...each })) },
        { name: 'note', label: 'Decided by whom, and why', type: 'lines', help: 'Kept for good.' },
      ]}
      submit="Decide"
      done="It counts from now on; what is signed stays as it is."
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          Change
        </Button>
      )}
    />
  );
}
