'use client';
import { useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

/** The mould beside the concrete after lifting: how far the displaced centre has come down, and its shape. */
export function SlumpBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { slump, height, shape, unit } = picture.values;
  const tall = 168;
  const share = slump === null ? 0 : Math.min(1, Number(slump) / Number(height));
  const top = 20 + share * tall;
  const spread = 42 + share * 46;
  const half = 21 + share * 40;
  const body =
    shape === 'shear'
      ? `M${250 - spread} 188L${250 - half} ${top}L${250 + half * 0.4} ${top + 20}L${250 + spread * 1.5} 188Z`
      : shape === 'collapse'
        ? 'M130 188Q150 160 250 158T370 188Z'
        : `M${250 - spread} 188L${250 - half} ${top}H${250 + half}L${250 + spread} 188Z`;
  return (
    <svg
      viewBox="0 0 400 210"
      width="100%"
      height="210"
      role="img"
      aria-label={
        slump === null ? 'Slump not read yet' : `Slump ${slump} ${unit}, shape ${shape ?? 'not named'}`
      }
    >
      <line x1="20" x2="390" y1="188" y2="188" stroke={palette.text.primary} strokeWidth="3" />
      <path d="M38 188L59 20H101L122 188Z" fill="none" stroke={palette.text.primary} strokeWidth="2" />
      <line x1="45" x2="290" y1="20" y2="20" stroke={palette.text.primary} strokeWidth="4" />
      <path d={body} fill={palette.divider} stroke={palette.text.primary} strokeWidth="1.5" />
      {slump === null ? null : (
        <g stroke={palette.primary.main} fill={palette.primary.main}>
          <line x1="250" x2="250" y1="22" y2={shape === 'collapse' ? 158 : top} strokeWidth="2" />
          <path d={`M245 ${top - 8}l5 8 5-8`} fill="none" strokeWidth="2" />
          <text x="262" y={Math.max(40, (20 + top) / 2 + 5)} fontSize="18" stroke="none">
            {`${slump} ${unit}`}
          </text>
        </g>
      )}
    </svg>
  );
}
