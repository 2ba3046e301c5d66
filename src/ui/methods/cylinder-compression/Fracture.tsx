'use client';
import { useTheme } from '@mui/material';

/** The cracks of each fracture type in a box of 100 by 200, drawn from the definitions in words. */
const CRACKS: Readonly<Record<string, string>> = {
  '1': 'M0 2L50 78L100 2M0 198L50 122L100 198M50 78V122',
  '2': 'M0 2L50 84L100 2M50 84V200M30 110V200M70 108V200',
  '3': 'M26 0V200M50 0V200M75 0V200',
  '4': 'M8 18L92 182',
  '5': 'M100 0L70 62L100 84M84 0L66 40',
  '6': 'M0 60L46 4L100 66M20 36L12 70M78 40L88 74',
  other: 'M20 30L40 60L25 90M60 120L80 150L70 180M45 80L70 95',
};

const LOST: Readonly<Record<string, string>> = {
  '5': 'M70 0H101V84L70 62Z',
  '6': 'M-1 -1H101V66L46 4L-1 60Z',
};

/** A cylinder seen from the side, with the cracks of its fracture type; whole when there is none. */
export function Fracture({ type, width, height }: { type: string; width: number; height: number }) {
  const { palette } = useTheme();
  return (
    <svg
      x={0}
      y={0}
      width={width}
      height={height}
      viewBox="-2 -2 104 204"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <rect
        x={0}
        y={0}
        width={100}
        height={200}
        fill={palette.divider}
        stroke={palette.text.primary}
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
      {LOST[type] ? <path d={LOST[type]} fill={palette.background.paper} /> : null}
      {CRACKS[type] ? (
        <path
          d={CRACKS[type]}
          fill="none"
          stroke={palette.error.main}
          strokeWidth={2.2}
          vectorEffect="non-scaling-stroke"
          strokeLinejoin="round"
        />
      ) : null}
    </svg>
  );
}
