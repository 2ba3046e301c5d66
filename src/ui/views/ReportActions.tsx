'use client';
import {
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogContentText,
  DialogTitle,
  Stack,
} from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { perform } from '../api';
import { FormDialog } from '../form/FormDialog';
import { useNotice } from '../parts/Notice';

/** Whether a draft is theirs to sign, and whether it wants to be read by somebody besides. */
export interface Signing {
  readonly why: string | null;
  readonly asksReader: boolean;
  readonly readers: readonly { readonly asItIs: boolean; readonly self: boolean }[];
}

/** What can be done with a report: read its file, sign it, open an amendment. */
export function ReportActions({
  reportId,
  seen,
  state,
  canSign,
  hindered,
  signing,
  codes,
  replaced,
}: {
  reportId: string;
  /** The mark of the content on this page. */
  seen: string;
  state: 'draft' | 'signed';
  canSign: boolean;
  hindered: boolean;
  /** How a draft stands with who reads it; null of one that is signed, and for clients. */
  signing: Signing | null;
  codes: readonly string[];
  replaced: boolean;
}) {
  const router = useRouter();
  const notice = useNotice();
  const [asking, setAsking] = useState(false);
  const [busy, setBusy] = useState(false);
  const sign = async (): Promise<void> => {
    setBusy(true);
    const reply = await perform('sign-report', { reportId, seen });
    setBusy(false);
    setAsking(false);
    notice(reply.ok ? 'Report signed.' : reply.message, reply.ok ? 'success' : 'error');
    router.refresh();
  };
  const read = async (): Promise<void> => {
    const reply = await perform('read-report', { reportId, seen });
    notice(
      reply.ok ? 'It stands there that you have read it.' : reply.message,
      reply.ok ? 'success' : 'error',
    );
    router.refresh();
  };
  const hasRead = signing?.readers.some(({ asItIs, self }) => asItIs && self) ?? false;
  return (
    <Stack direction="row" spacing={1} sx={{ ml: 'auto' }} className="no-print">
      <Button variant="outlined" href={`/api/reports/${reportId}/pdf`} target="_blank">
        PDF
      </Button>
      {state === 'draft' && canSign && signing?.asksReader && !hasRead ? (
        <Button variant="outlined" onClick={read} disabled={hindered}>
          I have read it
        </Button>
      ) : null}
      {state === 'draft' && canSign ? (
        <Button
          variant="contained"
          onClick={() => setAsking(true)}
          disabled={hindered || signing?.why != null}
        >
          Sign
        </Button>
      ) : null}
      {state === 'signed' && canSign && !replaced ? (
        <FormDialog
          title="Open an amendment"
          useCase="open-amendment"
          fixed={{ reportId }}
          fields={[
            {
              name: 'code',
              label: 'Kind of change',
              options: codes.map((code) => ({ value: code, label: code })),
            },
            {
              name: 'reason',
              label: 'Why',
              type: 'lines',
              help: 'Kept for good. The signed report stays as it is; a new revision replaces it.',
            },
          ]}
          submit="Open the amendment"
          done="Amendment opened: readings can now be corrected, each with its reason. Then prepare a new revision."
          button={(open) => (
            <Button color="secondary" onClick={open}>
              Amend
            </Button>
          )}
        />
      ) : null}
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="sign-title">
        <DialogTitle id="sign-title">Sign this report?</DialogTitle>
        <DialogContent>
          <DialogContentText>
            The report and everything it rests on are locked from then on. A change afterwards needs an
            amendment with its reason, and a new revision.
          </DialogContentText>
        </DialogContent>
        <DialogActions>
          <Button color="secondary" onClick={() => setAsking(false)}>
            Not yet
          </Button>
          <Button variant="contained" onClick={sign} loading={busy} autoFocus>
            Sign
          </Button>
        </DialogActions>
      </Dialog>
    </Stack>
  );
}
