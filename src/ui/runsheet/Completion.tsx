'use client';
import { Alert, Box, Button, Stack, TextField, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { perform } from '../api';
import { FormDialog } from '../form/FormDialog';
import { Findings } from '../parts/Findings';
import { LinkButton, TextLink } from '../parts/LinkButton';
import { useNotice } from '../parts/Notice';
import type { Run } from './run';
import type { RunSheetData } from './types';

interface Props {
  readonly run: Run;
  readonly data: RunSheetData;
  readonly next: { readonly href: string; readonly label: string } | null;
  readonly onMissing: () => void;
}

/** Findings with their reasons, and the end of the run: completing it, or correcting it afterwards. */
export function Completion({ run, data, next, onMissing }: Props) {
  const router = useRouter();
  const notice = useNotice();
  const [reasons, setReasons] = useState<Record<string, string>>({});
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [busy, setBusy] = useState(false);
  const [here] = useState(data.state === 'open');
  const { findings } = run.live.outcome;
  // A correction, or a changed record, can bring up what needs a reason after the run was completed.
  const unexplained = [
    ...new Set(findings.filter(({ needsReason }) => needsReason).map(({ id }) => id)),
  ].filter((id) => !data.reasons.some(({ findingId }) => findingId === id));
  const asking = data.canWrite && (data.state === 'open' || unexplained.length > 0);
  const explain = async (): Promise<void> => {
    setBusy(true);
    for (const findingId of unexplained) {
      const reply = await perform('give-reason', {
        runId: data.runId,
        findingId,
        reason: (reasons[findingId] ?? '').trim(),
      });
      if (!reply.ok) {
        setErrors({ [`reason.${findingId}`]: Object.values(reply.errors)[0] ?? reply.message });
        setBusy(false);
        return;
      }
    }
    setErrors({});
    setBusy(false);
    notice('Reason recorded.');
    router.refresh();
  };
  const complete = async (): Promise<void> => {
    if (data.state === 'complete' || busy) return;
    if (Object.keys(run.live.missing).length > 0) {
      onMissing();
      return notice('Some readings are still to be taken; they are marked.', 'error');
    }
    setBusy(true);
    if (!(await run.readings.whenSaved())) {
      setBusy(false);
      return notice(
        'Some readings are not saved yet: they are kept here. Complete the run when the network is back.',
        'error',
      );
    }
    const reply = await perform('complete-run', {
      runId: data.runId,
      reasons: Object.entries(reasons).map(([findingId, reason]) => ({ findingId, reason })),
    });
    setBusy(false);
    if (reply.ok) {
      setErrors({});
      notice('Run completed.');
      router.refresh();
    } else {
      setErrors(reply.errors);
      notice(reply.message, 'error');
    }
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
        event.preventDefault();
        void complete();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return (
    <Stack spacing={1.5}>
      {findings.length > 0 ? (
        <Findings
          findings={findings}
          {...(asking
            ? {
                reasons,
                errors,
                onReason: (id: string, reason: string) => {
                  setReasons((all) => ({ ...all, [id]: reason }));
                  setErrors(({ [`reason.${id}`]: _, ...others }) => others);
                },
              }
            : {})}
        />
      ) : (
        <Typography color="text.secondary">Nothing found against any limit so far.</Typography>
      )}
      {data.reasons.map((reason) => (
        <Typography key={`${reason.findingId}${reason.reason}`} variant="body2">
          {`Reason recorded by ${reason.byName}: ${reason.reason} ${reason.acceptedByName ? `Accepted by ${reason.acceptedByName}.` : 'Not accepted yet.'}`}
        </Typography>
      ))}
      {data.state === 'open' && data.canWrite ? (
        <Button
          variant={Object.keys(run.live.missing).length > 0 ? 'outlined' : 'contained'}
          size="large"
          onClick={complete}
          loading={busy}
          fullWidth
        >
          Complete the run
        </Button>
      ) : null}
      {data.state === 'complete' && asking ? (
        <Button variant="contained" onClick={explain} loading={busy}>
          Record the reason
        </Button>
      ) : null}
      {data.state === 'complete' ? <Completed run={run} data={data} next={next} here={here} /> : null}
    </Stack>
  );
}

function Completed({
  run,
  data,
  next,
  here,
}: Pick<Props, 'run' | 'data' | 'next'> & {
  /** Completed on this page, not opened as complete. */
  here: boolean;
}) {
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  // In focus at once, so that Enter goes on to the next specimen; who came to read the run is left where it begins.
  const onward = useRef<HTMLButtonElement>(null);
  useEffect(() => onward.current?.focus({ preventScroll: !here }), [here]);
  const locked = data.lock !== null && data.lock.amendment === null;
  return (
    <Stack spacing={1}>
      <Alert severity="success">This run is complete.</Alert>
      {next ? (
        <LinkButton variant="contained" size="large" href={next.href} ref={onward}>
          {next.label}
        </LinkButton>
      ) : null}
      {locked ? (
        <Typography variant="body2">
          {`Signed report ${data.lock?.report} rests on it. To correct a reading, a reviewer first opens an amendment on `}
          <TextLink href={`/reports/${data.lock?.reportId}`}>the report</TextLink>.
        </Typography>
      ) : null}
      {data.canWrite && !locked && run.correction === '' ? (
        asking ? (
          <Box
            component="form"
            onSubmit={(event) => {
              event.preventDefault();
              run.setCorrection(reason.trim());
            }}
          >
            <TextField
              label="Reason for the correction"
              value={reason}
              onChange={(event) => setReason(event.target.value)}
              helperText="It is kept with every reading you change now; the old ones stay on record."
              autoFocus
              fullWidth
            />
            <Button type="submit" disabled={reason.trim() === ''}>
              Correct readings
            </Button>
          </Box>
        ) : (
          <Button color="secondary" onClick={() => setAsking(true)}>
            Correct a reading
          </Button>
        )
      ) : null}
      {data.canWrite && data.sampleId ? (
        <FormDialog
          title={`Repeat: ${run.method.title.toLowerCase()}`}
          useCase="start-run"
          fixed={{ method: data.method, sampleId: data.sampleId }}
          fields={[
            {
              name: 'repeatReason',
              label: 'Why it is repeated',
              type: 'lines',
              help: 'This one stays on record.',
            },
          ]}
          submit="Start another"
          done="Another attempt is open."
          then={(answer) =>
            window.location.pathname.startsWith('/runs/') ? `/runs/${String(answer.runId)}` : undefined
          }
          button={(open) => (
            <Button color="secondary" onClick={open}>
              Repeat the test
            </Button>
          )}
        />
      ) : null}
      {run.correction ? <Alert severity="info">{`Correcting: ${run.correction}`}</Alert> : null}
    </Stack>
  );
}
