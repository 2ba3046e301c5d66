'use client';
import { Button } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { perform } from '../api';
import { FormDialog } from '../form/FormDialog';
import { useNotice } from '../parts/Notice';

/** Prepares the report of a sample or a lot; over a signed one it asks what is new. */
export function PrepareReport({
  of,
  signed,
  quiet = false,
}: {
  of: { readonly sampleId: string } | { readonly lotId: string };
  signed: boolean;
  /** Where something else is the first thing to do. */
  quiet?: boolean;
}) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  if (signed) {
    return (
      <FormDialog
        title="New revision of the signed report"
        useCase="prepare-report"
        fixed={of}
        fields={[
          {
            name: 'reason',
            label: 'What is new or changed',
            type: 'lines',
            help: 'Printed on the new revision.',
          },
        ]}
        submit="Prepare the revision"
        done="Draft prepared."
        then={(data) => `/reports/${String(data.reportId)}`}
        button={(open) => (
          <Button variant={quiet ? 'outlined' : 'contained'} onClick={open}>
            New revision
          </Button>
        )}
      />
    );
  }
  const prepare = async (): Promise<void> => {
    setBusy(true);
    const reply = await perform<{ reportId: string }>('prepare-report', of);
    if (reply.ok) return router.push(`/reports/${reply.data.reportId}`);
    notice(reply.message, 'error');
    setBusy(false);
  };
  return (
    <Button variant={quiet ? 'outlined' : 'contained'} onClick={prepare} loading={busy}>
      Prepare the report
    </Button>
  );
}
