'use client';
import { Box, Typography } from '@mui/material';
import { limitsOf } from '@/core/methods';
import { pressPlan } from '@/core/methods/press';
import type { InstrumentProps } from '../methods/kit';
import { PlanList } from '../parts/PlanList';
import { machineOf } from './machine-of';

/** The rate in this machine's own units. */
export function PressRates({ run, data }: InstrumentProps) {
  const use = run.method.press;
  const machine = machineOf(run, data);
  const test = use?.test(run.live.input, data.setup);
  if (!test) return null;
  return (
    <Box sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 2 }}>
      <Typography variant="h3">{machine ? `At ${machine.number}` : 'At the machine'}</Typography>
      <PlanList items={pressPlan(test, machine, limitsOf(data.setup), data.system)} />
    </Box>
  );
}
