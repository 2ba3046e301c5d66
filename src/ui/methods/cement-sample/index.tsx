'use client';
import { useTheme } from '@mui/material';
import type { PropsWithChildren } from 'react';
import { cementSample } from '@/core/methods/cement-sample';
import { InFolder, wholeFolder } from '../holding';
import type { BenchProps } from '../kit';

const number = (value: unknown): number | null => (typeof value === 'number' ? value : null);
const WIDE = 420;

/** What there is of a sample against what a whole set of its tests takes, with the reserve. */
function MassOfSample({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const [mass, reserve, set] = [number(values.mass), number(values.reserve), number(values.set) ?? 1];
  const most = Math.max(set, mass ?? 0) * 1.05;
  const x = (grams: number): number => 8 + (grams / most) * (WIDE - 16);
  const kilograms = (grams: number): string => `${Number((grams / 1000).toFixed(2))} kg`;
  return (
    <svg
      viewBox={`0 0 ${WIDE} 96`}
      width="100%"
      style={{ maxWidth: 560 }}
      role="img"
      aria-label={`Sample ${mass === null ? 'not weighed yet' : kilograms(mass)}; a whole set takes ${kilograms(set)}`}
    >
      <rect
        x={8}
        y={24}
        width={x(set) - 8}
        height={16}
        fill="none"
        stroke={palette.text.secondary}
        strokeDasharray="4 3"
      />
      <text x={8} y={18} fontSize={12} fill={palette.text.secondary}>
        {`a whole set takes ${kilograms(set)}`}
      </text>
      {mass === null ? null : (
        <>
          <rect x={8} y={46} width={x(mass) - 8} height={22} fill={palette.primary.main} opacity={0.75} />
          {reserve === null ? null : (
            <rect
              x={x(mass) - (x(reserve) - 8)}
              y={46}
              width={x(reserve) - 8}
              height={22}
              fill={palette.text.primary}
            />
          )}
          <text x={8} y={86} fontSize={12} fill={palette.text.primary}>
            {`sample ${kilograms(mass)}${reserve === null ? '' : `, of it ${kilograms(reserve)} sealed`}`}
          </text>
        </>
      )}
    </svg>
  );
}

const FOLDER = wholeFolder({ method: cementSample, Bench: MassOfSample, benchStays: true });

export function InCementSample({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
