'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

const WIDE = 520;
const LEVEL = 116;

/** The specimen on the balance and hung under it in water; how it stands to its fresh concrete. */
export function WaterDensityBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const number = (value: unknown): number | null => (typeof value === 'number' ? value : null);
  const [air, water] = [number(values.air), number(values.water)];
  const stone = { fill: palette.divider, stroke: palette.text.primary, strokeWidth: 1.4 };
  const off = typeof values.off === 'string' ? Number(values.off) : null;
  const at = (percent: number): number => 260 + Math.min(5, Math.max(-5, percent)) * 46;
  const shown = (mass: number | null): string => (mass === null ? '…' : `${mass} ${values.unit}`);
  return (
    <Box>
      <svg
        viewBox={`0 0 ${WIDE} 250`}
        width="100%"
        style={{ maxWidth: 600 }}
        role="img"
        aria-label={`In air ${shown(air)}, in water ${shown(water)}`}
      >
        <g>
          <rect x={40} y={92} width={170} height={14} fill={palette.text.secondary} />
          <rect x={70} y={58} width={110} height={34} {...stone} />
          <path d={`M60 106v${40}h130v-40`} fill="none" stroke={palette.text.primary} strokeWidth={1.4} />
          <rect
            x={84}
            y={116}
            width={82}
            height={22}
            fill={palette.background.paper}
            stroke={palette.divider}
          />
          <text
            x={125}
            y={132}
            fontSize={13}
            textAnchor="middle"
            fill={palette.text.primary}
            className="mono"
          >
            {shown(air)}
          </text>
          <text x={125} y={168} fontSize={12} textAnchor="middle" fill={palette.text.secondary}>
            in air
          </text>
        </g>
        <g>
          <rect x={300} y={18} width={170} height={12} fill={palette.text.secondary} />
          <rect
            x={344}
            y={34}
            width={82}
            height={22}
            fill={palette.background.paper}
            stroke={palette.divider}
          />
          <text x={385} y={50} fontSize={13} textAnchor="middle" fill={palette.text.primary} className="mono">
            {shown(water)}
          </text>
          <line x1={385} x2={385} y1={56} y2={LEVEL + 16} stroke={palette.text.primary} />
          <path d={`M318 90v88h134v-88`} fill="none" stroke={palette.text.primary} strokeWidth={1.6} />
          <rect x={319} y={LEVEL - 12} width={132} height={73} fill={palette.primary.main} opacity={0.16} />
          <rect x={332} y={LEVEL + 16} width={106} height={32} {...stone} />
          <text x={385} y={196} fontSize={12} textAnchor="middle" fill={palette.text.secondary}>
            in water, its hanger tared
          </text>
        </g>
        {off === null ? null : (
          <g>
            <line x1={30} x2={490} y1={226} y2={226} stroke={palette.divider} strokeWidth={8} />
            <line
              x1={at(-1.5)}
              x2={at(1.5)}
              y1={226}
              y2={226}
              stroke={palette.success.main}
              strokeWidth={8}
            />
            <path d={`M${at(off) - 8} 208h16l-8 14z`} fill={palette.text.primary} />
            <text x={at(off)} y={246} fontSize={12} textAnchor="middle" fill={palette.text.primary}>
              {`${off > 0 ? '+' : ''}${off} % off fresh`}
            </text>
          </g>
        )}
      </svg>
      <Typography color="text.secondary">
        {values.density
          ? `${values.density}${values.fresh ? `; its fresh concrete had ${values.fresh}.` : '. No fresh density of its batch is on record.'}`
          : 'Weigh it in air, then hung in water: what it weighs less is the water of its own volume.'}
      </Typography>
    </Box>
  );
}
