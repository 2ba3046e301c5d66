'use client';
import { useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The mould cut open: its layers with their depths, and what is counted in each. */
export function MouldingBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { mould, name, layers, strokes, insertions, taps, rod, marks } = picture.values;
  const count = Number(layers ?? 0);
  const beam = String(mould ?? '').startsWith('beam');
  const width = beam ? 190 : String(mould ?? '').startsWith('cube') ? 130 : 84;
  const depths = String(marks ?? '')
    .split(', ')
    .filter(Boolean);
  return (
    <svg
      viewBox="0 0 400 190"
      width="100%"
      height="190"
      role="img"
      aria-label={name === null ? 'Choose a mould' : `${name}: ${count} layers of ${strokes} strokes`}
    >
      <path
        d={`M${120 - width / 2} 12V172H${120 + width / 2}V12`}
        fill="none"
        stroke={palette.text.primary}
        strokeWidth="3"
      />
      {Array.from({ length: count }, (_, index) => index).map((index) => {
        const height = 156 / count;
        const y = 171 - height * (index + 1);
        return (
          <g key={index}>
            <rect
              x={120 - width / 2 + 2}
              y={y}
              width={width - 4}
              height={height}
              fill={palette.divider}
              fillOpacity={0.55 + 0.15 * index}
              stroke={palette.text.secondary}
              strokeDasharray="4 3"
            />
            <text
              x="120"
              y={y + height / 2 + 5}
              fontSize="14"
              textAnchor="middle"
              fill={palette.text.primary}
            >
              {Number(strokes) > 0 ? strokes : Number(insertions) > 0 ? `${insertions} ×` : ''}
            </text>
            {depths[index] ? (
              <text x={126 + width / 2} y={y + 4} fontSize="12" fill={palette.text.secondary}>
                {depths[index]}
              </text>
            ) : null}
          </g>
        );
      })}
      <g fontSize="14" fill={palette.text.primary}>
        <text x="262" y="40">
          {name ?? 'Choose a mould'}
        </text>
        {rod ? (
          <text x="262" y="66">
            {rod}
          </text>
        ) : null}
        {count > 0 ? <text x="262" y="92">{`${count} ${count === 1 ? 'layer' : 'layers'}`}</text> : null}
        {taps ? <text x="262" y="118">{`${taps} taps each`}</text> : null}
      </g>
    </svg>
  );
}
