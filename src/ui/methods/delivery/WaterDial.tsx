'use client';
import { Box, Slider, Typography } from '@mui/material';
import { useState } from 'react';
import { Limits } from '@/core/limits';
import { type WaterState, waterForSlump } from '@/core/methods/delivery';
import { exact, plainOf, type System } from '@/core/quantity';

/** What more slump would take in water, what the ratio would be, and what is left of the permitted water. */
export function WaterDial({ state, system }: { state: WaterState; system: System }) {
  const [rise, setRise] = useState(1);
  const us = system === 'US';
  const { water, ratio, left } = waterForSlump(exact(rise), state, system, new Limits());
  const unit = us ? 'gal' : 'L';
  const over = left.isNegative();
  return (
    <Box className="no-print" sx={{ mt: 1 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Typography variant="body2" sx={{ whiteSpace: 'nowrap', minWidth: 130 }}>
          {`${us ? `${rise} in` : `${rise * 25} mm`} more slump`}
        </Typography>
        <Slider
          value={rise}
          min={0}
          max={4}
          step={0.5}
          onChange={(_, value) => setRise(Number(value))}
          aria-label="More slump wanted"
        />
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
