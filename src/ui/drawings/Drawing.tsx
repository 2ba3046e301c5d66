'use client';
import { useTheme } from '@mui/material';
import type { DrawingId } from '@/core/methods';

/** Bodies of concrete after the lift, drawn from their descriptions: settled evenly, slid off, spread out. */
const BODY: Readonly<Record<DrawingId, string>> = {
  'slump-true': 'M10 58Q16 36 26 26Q40 21 54 26Q64 36 70 58Z',
  'slump-shear': 'M10 58Q16 34 26 22L40 20L44 34L62 40Q72 50 74 58Z',
  'slump-collapse': 'M2 58Q6 49 22 46Q40 42 58 46Q74 49 78 58Z',
};

/** The line that says what to look at: the cone as it stood, or the plane it slid on. */
const MARK: Readonly<Record<DrawingId, string>> = {
  'slump-true': 'M14 58L28 6H52L66 58',
  'slump-shear': 'M24 16L64 44',
  'slump-collapse': 'M14 58L28 6H52L66 58',
};

/** A small drawing beside an answer that is judged by eye. */
export function Drawing({ id }: { id: DrawingId }) {
  const { palette } = useTheme();
  return (
    <svg width="80" height="62" viewBox="0 0 80 62" aria-hidden="true">
      <path d={MARK[id]} fill="none" stroke={palette.text.secondary} strokeDasharray="3 3" />
      <path d={BODY[id]} fill={palette.divider} stroke={palette.text.primary} strokeWidth="1.5" />
      <line x1="0" x2="80" y1="58.5" y2="58.5" stroke={palette.text.primary} strokeWidth="2" />
    </svg>
  );
}
