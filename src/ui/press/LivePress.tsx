'use client';
import { Box, Typography } from '@mui/material';
import { limitsOf } from '@/core/methods';
import { pressPlan } from '@/core/methods/press';
import type { InstrumentProps } from '../methods/registry';
import { LinkButton } from '../parts/LinkButton';
import { PlanList } from '../parts/PlanList';
import { machineOf } from './machine-of';

/** The rate in this machine's own units, and the way to its live readings where it has them. */
export function LivePress({ run, data, readOnly }: InstrumentProps) {
  const use = run.method.press;
  const machine = machineOf(run, data);
  const test = use?.test(run.live.input, data.setup);
  if (!test) return null;
  return (
    <Box sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 2 }}>
      {machine?.live && !readOnly ? (
        <LinkButton
          href={`/runs/${data.runId}/press`}
          variant="contained"
          size="large"
          fullWidth
          sx={{ mb: 2 }}
        >
          {`Follow ${machine.number} live`}
        </LinkButton>
      ) : null}
      <Typography variant="h3">{machine ? `At ${machine.number}` : 'At the machine'}</Typography>
      <PlanList items={pressPlan(test, machine, limitsOf(data.setup), data.system)} />
    </Box>
  );
}
