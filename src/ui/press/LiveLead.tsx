import { Box, Typography } from '@mui/material';
import { pressBrief } from '@/core/methods/press';
import type { InstrumentProps } from '../methods/kit';
import { LinkButton } from '../parts/LinkButton';
import { machineOf } from './machine-of';

/** What is wanted at hand before the load is on: how far it will go, the rate to keep, the way to its live readings. */
export function LiveLead({ run, data, readOnly }: InstrumentProps) {
  const test = run.method.press?.test(run.live.input, data.setup);
  const machine = machineOf(run, data);
  if (!test || readOnly) return null;
  return (
    <Box sx={{ mb: 2 }}>
      <Typography sx={{ mb: machine?.live ? 1 : 0 }}>{pressBrief(test, data.system)}</Typography>
      {machine?.live ? (
        <LinkButton
          href={`/runs/${data.runId}/press`}
          variant={
            run.method.press && run.readings.values[run.method.press.fields.load] ? 'outlined' : 'contained'
          }
          size="large"
          fullWidth
        >
          {`Follow ${machine.number} live`}
        </LinkButton>
      ) : null}
    </Box>
  );
}
