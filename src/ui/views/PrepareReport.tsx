'use client';
import { Button } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { perform } from '../api';
import { FormDialog } from '../form/FormDialog';
import { useNotice } from '../parts/Notice';

/** Prepares the report of a sample; over a signed one it asks what is new. */
export function PrepareReport({ sampleId, signed }: { sampleId: string; signed: boolean }) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  if (signed) {
    return (
      <FormDialog
        title="New revision of the signed report"
        useCase="prepare-report"
        fixed={{ sampleId }}
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
          <Button variant="contained" onClick={open}>
            New revision
          </Button>
        )}
      />
    );
  }
  const prepare = async (): Promise<void> => {
    setBusy(true);
    const reply = await perform<{ reportId: string }>('prepare-report', { sampleId });
    if (reply.ok) return router.push(`/reports/${reply.data.reportId}`);
    notice(reply.message, 'error');
    setBusy(false);
  };
  return (
    <Button variant="contained" onClick={prepare} loading={busy}>
      Prepare the report
    </Button>
  );
}
