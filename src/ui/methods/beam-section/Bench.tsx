'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { Chance } from '@/core/statistics';
import type { BenchProps } from '../kit';

const SIDE = 190;
const STONES = 60;

/** The broken face as it was cast: stones drawn by their counted shares, the mortar on top, the steel at its depth. */
export function BeamSectionBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const of = (name: string): number | null =>
    typeof values[name] === 'number' ? Number(values[name]) : null;
  const [top, bottom, z, rating, broken, mortar, steel] = [
    'top',
    'bottom',
    'z',
    'rating',
    'stones',
    'mortar',
    'steel',
  ].map(of);
  const depth = Number(values.depth) || 6;
  const chance = new Chance(17);
  const share = (place: number): number => (top ?? 0.42) + ((bottom ?? 0.42) - (top ?? 0.42)) * place;
  const layer = Math.min(0.5, (mortar ?? 0) / depth);
  // Places and sizes are drawn by chance, how many of them lie where by what was counted: a picture, no photograph.
  const stones = Array.from({ length: STONES }, () => ({
    x: chance.between(0.04, 0.96),
    y: chance.between(layer + 0.03, 0.97),
    r: chance.between(4, 11),
    kept: chance.between(0, 0.75),
    through: chance.between(0, 100),
  })).filter(({ y, kept }) => kept < share(y));
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
      <svg
        viewBox={`0 0 ${SIDE + 20} ${SIDE + 34}`}
        width={SIDE + 20}
        role="img"
        aria-label="The broken face, as it was cast"
      >
        <text x={SIDE / 2 + 10} y={12} textAnchor="middle" fontSize={11} fill={palette.text.secondary}>
          ↑ up as cast
        </text>
        <g transform="translate(10 18)">
          <rect
            width={SIDE}
            height={SIDE}
            fill={palette.background.default}
            stroke={palette.text.primary}
            strokeWidth={1.5}
          />
          <rect width={SIDE} height={SIDE * layer} fill={palette.warning.main} opacity={0.25} />
          {stones.map(({ x, y, r, through }) => (
            <circle
              key={`${x}`}
              cx={x * SIDE}
              cy={y * SIDE}
              r={r}
              fill={through < (broken ?? 70) ? palette.divider : 'none'}
              stroke={palette.text.primary}
              strokeDasharray={through < (broken ?? 70) ? undefined : '2 2'}
            />
          ))}
          <path
            d={`M0 ${SIDE / 3}H${SIDE}M0 ${(2 * SIDE) / 3}H${SIDE}`}
            stroke={palette.text.secondary}
            strokeDasharray="5 4"
          />
          {values.compaction === 'under' ? (
            <path
              d="M8 150q10 -14 22 -4t14 18t-22 8t-14 -22zM150 40q12 -8 18 4t-8 12t-10 -16z"
              fill={palette.error.main}
              opacity={0.6}
            />
          ) : null}
          {steel === null ? null : (
            <circle
              cx={SIDE / 2}
              cy={SIDE - Math.min(1, (steel ?? 0) / depth) * SIDE}
              r={7}
              fill={palette.primary.main}
            />
          )}
        </g>
      </svg>
      <Box sx={{ minWidth: 220, flex: 1 }}>
        {z === null ? (
          <Typography color="text.secondary">
            Drawn for the eye. Count points on stone in the upper and the lower third: only then something is
            said of segregation.
          </Typography>
        ) : (
          <>
            <Typography className="mono" sx={{ fontSize: '1.4rem' }}>
              {`${Math.round(100 * (top ?? 0))} % above, ${Math.round(100 * (bottom ?? 0))} % below`}
            </Typography>
            <Typography>{`${(z ?? 0).toFixed(1)} standard errors apart: ${(z ?? 0) < 2 ? 'not shown to be segregated' : 'more than chance'}.`}</Typography>
          </>
        )}
        {rating === null ? null : <Typography>{`Visual rating ${rating} of 3.`}</Typography>}
        <Typography variant="body2" color="text.secondary">
          Full stones are broken through, dashed ones pulled out.
        </Typography>
      </Box>
    </Box>
  );
}
