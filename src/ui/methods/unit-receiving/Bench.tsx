'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';
import { listed, pairsIn } from '../listed';

const WIDTH = 300;

/** The masses of a set beside one another, about their mean: the odd one is seen before it is soaked. */
export function UnitReceivingBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { labels, masses, unit } = picture.values;
  const weighed = new Map(pairsIn(masses));
  const all = listed(labels);
  const values = [...weighed.values()].map(Number);
  const mean = values.reduce((sum, each) => sum + each, 0) / (values.length || 1);
  const reach = Math.max(...values.map((each) => Math.abs(each - mean)), mean * 0.005) * 1.2;
  return (
    <Box
      component="table"
      sx={{ borderSpacing: '0 4px', width: '100%' }}
      aria-label="Received masses about their mean"
    >
      <tbody>
        {all.map((label) => {
          const mass = weighed.get(label);
          const off = mass === undefined ? 0 : ((Number(mass) - mean) / reach) * (WIDTH / 2);
          return (
            <tr key={label}>
              <Box
                component="th"
                scope="row"
                className="mono"
                sx={{ textAlign: 'left', fontWeight: 400, pr: 1 }}
              >
                {label}
              </Box>
              <td>
                <svg viewBox={`0 0 ${WIDTH} 18`} width="100%" height={18} aria-hidden="true">
                  <path d={`M${WIDTH / 2} 0V18`} stroke={palette.divider} strokeWidth={2} />
                  {mass === undefined ? null : (
                    <rect
                      x={Math.min(WIDTH / 2, WIDTH / 2 + off)}
                      y={4}
                      width={Math.max(2, Math.abs(off))}
                      height={10}
                      fill={palette.primary.main}
                    />
                  )}
                </svg>
              </td>
              <Box component="td" className="mono" sx={{ textAlign: 'right', whiteSpace: 'nowrap' }}>
                {mass === undefined ? 'not weighed' : `${mass} ${unit}`}
              </Box>
            </tr>
          );
        })}
      </tbody>
      <Typography
        component="caption"
        variant="body2"
        color="text.secondary"
        sx={{ captionSide: 'bottom', textAlign: 'left' }}
      >
        {values.length > 0
          ? `About the mean of ${mean.toFixed(2)} ${unit}. The number stands on the unit itself.`
          : 'The number stands on the unit itself: paper does not live through tank and oven.'}
      </Typography>
    </Box>
  );
}
