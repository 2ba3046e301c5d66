'use client';
import { Box, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import type { FieldSpec } from '@/core/methods';
import { useMethodFolder } from '../methods/holding';
import { Completion } from './Completion';
import { Conflicts } from './Conflicts';
import { Photos } from './Photos';
import { Results } from './Results';
import { RunFields } from './RunFields';
import { type Run, stepFields } from './run';
import type { RunSheetData } from './types';

/** A run on a phone: its readings one after the other, what they come to, and its findings. */
export function CompactRun({ data, run }: { data: RunSheetData; run: Run }) {
  const [showMissing, setShowMissing] = useState(false);
  const { Bench } = useMethodFolder();
  const readOnly = !data.canWrite || (data.state === 'complete' && run.correction === '');
  return (
    <Stack spacing={2}>
      <Conflicts run={run} />
      {run.method.steps.map((step) => (
        <Box key={step.id}>
          <Typography variant="h3">{step.title}</Typography>
          <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
            {step.instruction}
          </Typography>
          {step.caution && data.state === 'open' ? (
            <Typography
              variant="body2"
              sx={{ mb: 1.5, p: 1, bgcolor: 'warning.light', color: 'warning.main' }}
            >
              <strong>Caution. </strong>
              {step.caution}
            </Typography>
          ) : null}
          <RunFields
            run={run}
            data={data}
            fields={stepFields(run, step.fields).filter((field) => isAsked(field, run, data))}
            readOnly={readOnly}
            beyond={() => undefined}
            focus="none"
            showMissing={showMissing}
          />
        </Box>
      ))}
      <Bench picture={run.live.outcome.picture} take={readOnly ? undefined : run.readings.save} />
      <Results outcome={run.live.outcome} method={run.method} values={run.readings.values} />
      <Typography
        variant="body2"
        color={run.readings.state === 'waiting' ? 'error' : 'text.secondary'}
        role="status"
      >
        {
          { saved: 'Saved', saving: 'Saving…', waiting: 'Not sent yet: kept on this device' }[
            run.readings.state
          ]
        }
      </Typography>
      <Photos data={data} />
      <Completion run={run} data={data} next={null} onMissing={() => setShowMissing(true)} />
    </Stack>
  );
}

/** A duration from a stopwatch is asked for only while the stamps that tell it are missing. */
function isAsked(field: FieldSpec, run: Run, data: RunSheetData): boolean {
  if (field.kind !== 'measure' || !field.insteadOf) return true;
  if ((run.readings.values[field.name] ?? '') !== '') return true;
  const stamped = data.setup.sample?.events ?? {};
  return field.insteadOf.some((event) => stamped[event] === undefined);
}
