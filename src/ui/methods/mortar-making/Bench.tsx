'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** Mortar on the flow table against the ring it has to reach; of mortar of the wall the cone. */
export function MortarMakingBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  if (values.field)
    return (
      <Typography>
        {typeof values.cone === 'number'
          ? `The cone went in by ${values.cone} mm. It is held beside the days before, not against a property.`
          : 'Mortar of the wall: cone, and cubes for how it keeps the same.'}
      </Typography>
    );
  const scale = 0.3;
  const ring = (flow: number): number => (100 + flow) * scale;
  const [low, high] = [Number(values.low), Number(values.high)];
  const flow = typeof values.flow === 'number' ? values.flow : null;
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
      <svg viewBox="0 0 160 160" width={160} height={160} role="img" aria-label="Mortar on the flow table">
        <circle cx={80} cy={80} r={76} fill="none" stroke={palette.text.primary} />
        {flow === null ? null : (
          <circle cx={80} cy={80} r={Math.min(74, ring(flow))} fill={palette.divider} />
        )}
        {[low, high].map((each) => (
          <circle
            key={each}
            cx={80}
            cy={80}
            r={ring(each)}
            fill="none"
            stroke={palette.primary.main}
            strokeDasharray="4 3"
          />
        ))}
        <circle cx={80} cy={80} r={ring(0)} fill="none" stroke={palette.text.secondary} />
      </svg>
      <Typography sx={{ fontWeight: 700 }}>
        {flow === null ? `Flow between ${low} and ${high} %` : `Flow ${flow.toFixed(1)} %`}
      </Typography>
    </Box>
  );
}
