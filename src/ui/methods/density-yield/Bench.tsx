'use client';
import { useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** What was ordered against what came out, and the two airs beside each other. */
export function DensityYieldBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { density, relativeYield, air, meterAir, unit } = picture.values;
  const share = relativeYield === null ? null : Number(relativeYield);
  const width = (value: number): number => Math.min(Math.max(value, 0), 1.2) * 250;
  return (
    <svg
      viewBox="0 0 400 150"
      width="100%"
      height="150"
      role="img"
      aria-label={
        density === null ? 'Density not known yet' : `Density ${Number(density).toFixed(1)} ${unit}`
      }
    >
      <text x="20" y="28" fontSize="18" fill={palette.text.primary}>
        {density === null ? 'Weigh it empty, then full' : `${Number(density).toFixed(1)} ${unit}`}
      </text>
      {share === null ? null : (
        <g>
          <rect x="20" y="48" width={width(1)} height="14" fill={palette.divider} />
          <rect x="20" y="66" width={width(share)} height="14" fill={palette.primary.main} />
          <text x="330" y="60" fontSize="12" fill={palette.text.secondary}>
            ticket
          </text>
          <text x="330" y="78" fontSize="12" fill={palette.primary.main}>{`made ${share.toFixed(2)}`}</text>
        </g>
      )}
      {air === null ? null : (
        <text x="20" y="110" fontSize="14" fill={palette.text.primary}>
          {`air by mass ${Number(air).toFixed(1)} %${meterAir === null ? '' : `, by meter ${meterAir} %`}`}
        </text>
      )}
    </svg>
  );
}
