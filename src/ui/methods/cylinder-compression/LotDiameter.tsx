'use client';
import { Alert, Box, Button, Typography } from '@mui/material';
import { lotDiameterOf } from '@/core/methods/cylinder-compression/lot-diameter';
import type { InstrumentProps } from '../kit';

/** What the lot of moulds of this cylinder says of its diameter. */
export function LotDiameter({ run, data, readOnly }: InstrumentProps) {
  const lot = lotDiameterOf(data.setup, data.system);
  if (!lot) return null;
  const taken = run.readings.values.diameterBy === 'lot';
  const { mean } = lot;
  const take = (): void => {
    if (!mean) return;
    run.readings.save('diameter1', mean);
    run.readings.save('diameter2', mean);
    run.readings.save('diameterBy', 'lot');
  };
  return (
    <Box sx={{ mt: 2 }}>
      {lot.state === 'take' && mean ? (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <Typography sx={{ flex: 1, minWidth: 220 }}>
            {`Lot ${lot.lot}: ${lot.drawn} of ${lot.count} measured, within ${lot.range}.`}
          </Typography>
          {readOnly || taken ? (
            <Typography color="success.main">{taken ? `✓ ${mean} taken` : ''}</Typography>
          ) : (
            <Button variant="contained" onClick={take}>{`Take ${mean}, the mean of the lot`}</Button>
          )}
        </Box>
      ) : (
        <Alert severity={lot.state === 'measure all' ? 'warning' : 'info'}>
          {lot.state === 'measure'
            ? `Drawn for lot ${lot.lot}: measure this one.`
            : lot.state === 'wait'
              ? `Lot ${lot.lot}: ${lot.measured} of the ${lot.drawn} drawn are measured so far. Measure those first, or measure this one too.`
              : `Lot ${lot.lot}: the measured ones differ by ${lot.range}. Measure every cylinder of the day.`}
        </Alert>
      )}
    </Box>
  );
}
