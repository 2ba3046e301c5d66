'use client';
import { Box, Typography, useTheme } from '@mui/material';

interface Props {
  readonly planned: number;
  readonly out: number;
  readonly unit: string;
  /** Targets reached, with the truck they fell into; what is still ahead is not shown. */
  readonly reached: readonly { readonly position: number; readonly load: number }[];
  readonly ahead: number;
  readonly next: boolean;
}

/** The day's volume as a bar: what has been delivered, and where the drawn samples fell. Places ahead stay hidden. */
export function VolumeBar({ planned, out, unit, reached, ahead, next }: Props) {
  const { palette } = useTheme();
  const most = Math.max(planned, out);
  const x = (volume: number): number => 4 + (volume / most) * 592;
  return (
    <Box>
      <svg viewBox="0 0 600 58" width="100%" role="img" aria-label={`${out} of ${planned} ${unit} delivered`}>
        <rect
          x="4"
          y="18"
          width="592"
          height="18"
          fill={palette.background.default}
          stroke={palette.text.primary}
        />
        <rect x="4" y="18" width={x(out) - 4} height="18" fill={palette.divider} />
        {out > planned ? (
          <line x1={x(planned)} x2={x(planned)} y1="12" y2="42" stroke={palette.error.main} strokeWidth="2" />
        ) : null}
        {reached.map(({ position, load }) => (
          <g key={position}>
            <line
              x1={x(position)}
              x2={x(position)}
              y1="12"
              y2="40"
              stroke={palette.primary.main}
              strokeWidth="3"
            />
            <text
              x={x(position)}
              y="54"
              fontSize="12"
              textAnchor="middle"
              fill={palette.primary.main}
            >{`truck ${load}`}</text>
          </g>
        ))}
      </svg>
      <Typography>
        {`${out} of ${planned} ${unit}. ${reached.length} ${reached.length === 1 ? 'target' : 'targets'} reached, ${ahead} ahead.`}
      </Typography>
      {next ? (
        <Typography sx={{ fontWeight: 700, color: 'warning.main', fontSize: '1.1rem' }}>
          Sample due on the next truck.
        </Typography>
      ) : null}
      {out > planned ? (
        <Typography sx={{ fontWeight: 700, color: 'error.main' }}>
          More has come than was planned: plan anew, so that the rest gets its samples.
        </Typography>
      ) : null}
    </Box>
  );
}
