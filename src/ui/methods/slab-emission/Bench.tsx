'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { type UnitId, unitLabel } from '@/core/quantity';
import type { BenchProps } from '../kit';

const WIDE = 560;
const LAST = 84;
const x = (hours: number): number => 20 + ((WIDE - 40) * Math.min(LAST, Math.max(0, hours))) / LAST;

/** The hours that the dish was open over those that count, and what it came to beside what is allowed. */
export function SlabEmissionBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const hours = typeof values.hours === 'number' ? values.hours : null;
  const counts = hours !== null && hours >= 60 && hours <= 72;
  const unit = unitLabel(String(values.unit) as UnitId);
  const words =
    hours === null
      ? 'It is closed between 60 and 72 hours after it was opened, by instants: a night in which the clocks change is as long as it was.'
      : `${hours.toFixed(2)} h open${typeof values.gain === 'number' ? `, ${values.gain} g taken up` : ''}.`;
  return (
    <Box>
      <svg viewBox={`0 0 ${WIDE} 92`} width="100%" style={{ maxWidth: 640 }} role="img" aria-label={words}>
        <rect x={x(60)} y={24} width={x(72) - x(60)} height={34} fill={palette.success.main} opacity={0.22} />
        <line x1={x(0)} x2={x(LAST)} y1={58} y2={58} stroke={palette.text.primary} />
        {[0, 12, 24, 36, 48, 60, 72, 84].map((at) => (
          <g key={at}>
            <line x1={x(at)} x2={x(at)} y1={52} y2={62} stroke={palette.text.primary} />
            <text
              x={x(at)}
              y={80}
              fontSize={13}
              textAnchor="middle"
              fill={palette.text.secondary}
              className="mono"
            >
              {at}
            </text>
          </g>
        ))}
        {hours === null ? null : (
          <g>
            <line
              x1={x(0)}
              x2={x(hours)}
              y1={41}
              y2={41}
              strokeWidth={8}
              stroke={counts ? palette.primary.main : palette.error.main}
            />
            <text
              x={Math.min(x(hours), WIDE - 60)}
              y={18}
              fontSize={13}
              textAnchor="middle"
              fill={palette.text.primary}
            >
              {counts ? 'counts' : 'does not count'}
            </text>
          </g>
        )}
      </svg>
      {values.emission ? (
        <Typography className="mono" sx={{ fontSize: '2rem' }}>{`${values.emission} ${unit}`}</Typography>
      ) : null}
      <Typography color="text.secondary">
        {`${words}${typeof values.allowed === 'number' ? ` ${values.allowed} ${unit} is allowed, every dish by itself.` : ''} A dish speaks for the top inch only.`}
      </Typography>
    </Box>
  );
}
