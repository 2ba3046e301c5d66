'use client';
import { useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The load lying down: where its portions came from, and the two ends nothing is taken from. */
export function SamplingBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { first, last, low, high, source } = picture.values;
  const x = (share: number): number => 20 + Math.min(Math.max(share, 0), 1) * 360;
  const words = (share: unknown): string => `${(Number(share) * 100).toFixed(0)} %`;
  return (
    <svg
      viewBox="0 0 400 100"
      width="100%"
      height="100"
      role="img"
      aria-label={
        first === null
          ? 'Portions not placed in the load yet'
          : `Portions at ${words(first)} and ${words(last)} of the load`
      }
    >
      <rect
        x="20"
        y="34"
        width="360"
        height="26"
        rx="13"
        fill={palette.background.default}
        stroke={palette.text.primary}
      />
      {source === 'pile' ? null : (
        <g fill={palette.error.light}>
          <rect x="22" y="36" width={x(Number(low)) - 22} height="22" rx="9" />
          <rect x={x(Number(high))} y="36" width={378 - x(Number(high))} height="22" rx="9" />
        </g>
      )}
      {[first, last].map((share, index) =>
        share === null || share === undefined ? null : (
          <g key={index === 0 ? 'first' : 'last'}>
            <path d={`M${x(Number(share))} 62l-7 12h14z`} fill={palette.primary.main} />
            <line
              x1={x(Number(share))}
              x2={x(Number(share))}
              y1="34"
              y2="60"
              stroke={palette.primary.main}
              strokeWidth="2.5"
            />
            <text x={x(Number(share))} y="90" fontSize="13" textAnchor="middle" fill={palette.primary.main}>
              {words(share)}
            </text>
          </g>
        ),
      )}
      <text x="20" y="24" fontSize="12" fill={palette.text.secondary}>
        first of the load
      </text>
      <text x="380" y="24" fontSize="12" textAnchor="end" fill={palette.text.secondary}>
        last
      </text>
    </svg>
  );
}
