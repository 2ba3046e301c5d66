'use client';
import { Box, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useId, useState } from 'react';
import { Limits } from '@/core/limits';
import { type WaterState, waterForSlump } from '@/core/methods/delivery';
import { exact, plainOf, type System } from '@/core/quantity';

/** How much more slump can be asked about, in inches, as it is said in each system. */
const RISES: Readonly<Record<System, readonly (readonly [inches: number, label: string])[]>> = {
  US: [
    [0.5, '½ in'],
    [1, '1 in'],
    [1.5, '1½ in'],
    [2, '2 in'],
    [3, '3 in'],
    [4, '4 in'],
  ],
  SI: [
    [1, '25 mm'],
    [2, '50 mm'],
    [3, '75 mm'],
    [4, '100 mm'],
  ],
};

/** What more slump would take in water, what the ratio would be, and what is left of the permitted water. */
export function WaterDial({ state, system }: { state: WaterState; system: System }) {
  const [rise, setRise] = useState(1);
  const labelId = useId();
  const us = system === 'US';
  const { water, ratio, left } = waterForSlump(exact(rise), state, system, new Limits());
  const unit = us ? 'gal' : 'L';
  const over = left.isNegative();
  return (
    <Box className="no-print" sx={{ mt: 1 }}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography id={labelId} variant="body2" sx={{ whiteSpace: 'nowrap' }}>
          More slump wanted
        </Typography>
        <ToggleButtonGroup
          exclusive
          sx={{ mb: 1 }}
          value={rise}
          onChange={(_, chosen: number | null) => setRise(chosen ?? rise)}
          aria-labelledby={labelId}
        >
          {RISES[system].map(([inches, label]) => (
            <ToggleButton key={inches} value={inches} sx={{ minHeight: 48, px: 1.25 }}>
              {label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <Typography role="status">
        {`takes about ${plainOf(water.toDecimalPlaces(1), unit)}; w/cm ${ratio.toFixed(2)}; `}
        <Box component="span" sx={{ color: over ? 'error.main' : 'success.main', fontWeight: 700 }}>
          {over
            ? `✕ ${plainOf(left.abs().toDecimalPlaces(1), unit)} more than is permitted`
            : `✓ ${plainOf(left.toDecimalPlaces(1), unit)} would be left`}
        </Box>
      </Typography>
      <Typography variant="caption" color="text.secondary">
        A rule of thumb, common practice: it judges nothing. Who may order water is said by the project.
      </Typography>
    </Box>
  );
}
