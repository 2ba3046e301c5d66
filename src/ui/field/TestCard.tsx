'use client';
import { Box, Button, ButtonBase, Paper, Typography } from '@mui/material';
import { useState } from 'react';
import { mainOf } from '@/core/methods';
import { unitLabel } from '@/core/quantity';
import { isReportable } from '@/core/working';
import { InMethodFolder } from '../methods/registry';
import { CompactRun } from '../runsheet/CompactRun';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';
import { StrokeCounter } from './StrokeCounter';

interface Props {
  readonly title: string;
  readonly data: RunSheetData;
  readonly run: Run | undefined;
  readonly sound: boolean;
  readonly specimens: number;
  readonly open: boolean;
  readonly onToggle: () => void;
}

/** One test of the sample: closed, what it came to and how that stands; open, its readings. */
export function TestCard({ title, data, run, sound, specimens, open, onToggle }: Props) {
  const outcome = run?.live.outcome;
  const main = outcome && run && mainOf(run.method, outcome);
  const valid = outcome ? isReportable(outcome.findings) : true;
  const out = outcome?.verdicts.some(({ state }) => state === 'does not meet') ?? false;
  const begun = run ? Object.values(run.readings.values).some((text) => text !== '') : false;
  const word = !valid
    ? ['no valid result', 'error.main']
    : out
      ? ['out of tolerance', 'error.main']
      : data.state === 'complete'
        ? ['done', 'success.main']
        : begun
          ? ['under way', 'text.primary']
          : ['to do', 'text.secondary'];
  return (
    <Paper role="listitem" component="section">
      <ButtonBase
        onClick={onToggle}
        aria-expanded={open}
        sx={{ width: '100%', p: 1.5, minHeight: 64, textAlign: 'left', gap: 1, justifyContent: 'flex-start' }}
      >
        <Box sx={{ flexGrow: 1, minWidth: 0 }}>
          <Typography sx={{ fontWeight: 700, fontSize: '1.05rem' }}>{title}</Typography>
          <Typography variant="body2" sx={{ color: word[1] }}>
            {word[0]}
          </Typography>
        </Box>
        {main ? (
          <Typography
            className="mono"
            sx={{ fontSize: '1.4rem', whiteSpace: 'nowrap', textDecoration: valid ? 'none' : 'line-through' }}
          >
            {`${main.text} ${unitLabel(main.unit)}`}
          </Typography>
        ) : null}
        <Box component="span" aria-hidden="true" className="mono">
          {open ? '−' : '+'}
        </Box>
      </ButtonBase>
      {open && run ? (
        <Box sx={{ p: 1.5, pt: 0 }}>
          <Counting data={data} run={run} sound={sound} specimens={specimens} />
          <InMethodFolder id={data.method}>
            <CompactRun data={data} run={run} />
          </InMethodFolder>
        </Box>
      ) : null}
    </Paper>
  );
}

/** The counter of strokes and taps, for the tests that are filled in layers. */
function Counting({
  data,
  run,
  sound,
  specimens,
}: Pick<Props, 'data' | 'sound' | 'specimens'> & { run: Run }) {
  const [counting, setCounting] = useState(false);
  if (!run.method.counts || data.state === 'complete' || !data.canWrite) return null;
  const plan = run.method.counts(run.readings.values, data.system, data.setup);
  if (!plan) {
    return (
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        Choose mould and consolidation, and the strokes can be counted here.
      </Typography>
    );
  }
  const nothing = plan.strokes === 0 && plan.insertions === 0;
  return (
    <>
      <Button
        variant="outlined"
        fullWidth
        disabled={nothing}
        onClick={() => setCounting(true)}
        sx={{ minHeight: 56, mb: 1.5 }}
      >
        {nothing
          ? 'Nothing to count: one lift'
          : `Count ${plan.strokes > 0 ? 'strokes' : 'insertions'}: ${plan.layers} × ${plan.strokes || plan.insertions}`}
      </Button>
      {counting ? (
        <StrokeCounter
          title={run.method.title}
          plan={plan}
          moulds={plan.everyMould ? Math.max(1, specimens || Number(run.readings.values.planned) || 1) : 1}
          sound={sound}
          onClose={() => setCounting(false)}
          onDone={({ strokes, taps }) => {
            setCounting(false);
            const field = plan.strokes > 0 ? 'strokes' : 'insertions';
            if (run.fields.has(field)) run.readings.save(field, strokes.join(' '));
            if (taps.length > 0 && run.fields.has('taps')) run.readings.save('taps', taps.join(' '));
            if (run.fields.has('layers')) run.readings.save('layers', 'true');
          }}
        />
      ) : null}
    </>
  );
}
