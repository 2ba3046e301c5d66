'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';
import { listed } from '../listed';

const LADDER = [
  ['received', 'As received'],
  ['immersed', 'Under water'],
  ['saturated', 'Saturated'],
  ['dry', 'Oven-dry'],
] as const;

/** The unit from above, to scale as far as it is measured; beside it the masses that come from scale, tank and oven. */
export function UnitAbsorptionBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { values } = picture;
  const [width, length] = [Number(values.width), Number(values.length)];
  const known = width > 0 && length > 0;
  const scale = known ? Math.min(250 / length, 120 / width) : 16;
  const [long, wide] = known ? [length * scale, width * scale] : [250, 122];
  const shell = values.shell ? Number(values.shell) * scale : wide * 0.17;
  const webs = listed(values.webs).map((each) => Number(each) * scale);
  const drawn = webs.length >= 2 ? webs : [wide * 0.15, wide * 0.15, wide * 0.15];
  const cells = drawn.length - 1;
  const solid = !values.shell && webs.length === 0 && known;
  const cell = (long - drawn.reduce((sum, each) => sum + each, 0)) / cells;
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-start' }}>
      <svg viewBox="0 0 280 150" width={280} height={150} role="img" aria-label="The unit from above">
        <rect
          x={14}
          y={12}
          width={long}
          height={wide}
          fill={palette.divider}
          stroke={palette.text.primary}
          strokeWidth={1.5}
        />
        {solid
          ? null
          : Array.from({ length: cells }, (_, place) => {
              const left = 14 + drawn.slice(0, place + 1).reduce((sum, each) => sum + each, 0) + place * cell;
              return (
                <rect
                  key={left}
                  x={left}
                  y={12 + shell}
                  width={Math.max(2, cell)}
                  height={Math.max(2, wide - 2 * shell)}
                  rx={5}
                  fill={palette.background.paper}
                  stroke={palette.text.primary}
                />
              );
            })}
        <text
          x={14 + long / 2}
          y={12 + wide + 14}
          fontSize={12}
          textAnchor="middle"
          fill={palette.text.primary}
        >
          {known ? `${length.toFixed(2)} × ${width.toFixed(2)} ${values.unit}` : 'not measured yet'}
        </text>
      </svg>
      <Box component="dl" sx={{ m: 0, display: 'grid', gridTemplateColumns: 'auto auto', columnGap: 2 }}>
        {LADDER.map(([name, words]) => {
          const mass = values[name];
          return (
            <Box key={name} sx={{ display: 'contents' }}>
              <Typography component="dt" color={mass ? 'text.primary' : 'text.secondary'}>
                {mass ? `✓ ${words}` : words}
              </Typography>
              <Typography component="dd" className="mono" sx={{ m: 0, textAlign: 'right' }}>
                {mass ? `${mass} ${values.mass}` : 'to come'}
              </Typography>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
