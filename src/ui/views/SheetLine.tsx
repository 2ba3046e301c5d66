'use client';
import { useTheme } from '@mui/material';

const [WIDE, HIGH, RIM] = [220, 44, 5] as const;

/** Values of sheets in their order as a line, own tests of the same lots as dots. */
export function SheetLine({
  points,
  words,
}: {
  readonly points: readonly { readonly sheet: number; readonly own: number | undefined }[];
  readonly words: string;
}) {
  const { palette } = useTheme();
  const all = points.flatMap(({ sheet, own }) => (own === undefined ? [sheet] : [sheet, own]));
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const x = (at: number): number => RIM + (at / Math.max(1, points.length - 1)) * (WIDE - 2 * RIM);
  const y = (value: number): number =>
    most === least ? HIGH / 2 : HIGH - RIM - ((value - least) / (most - least)) * (HIGH - 2 * RIM);
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width={WIDE} height={HIGH} role="img" aria-label={words}>
      <polyline
        points={points.map(({ sheet }, at) => `${x(at)},${y(sheet)}`).join(' ')}
        fill="none"
        stroke={palette.primary.main}
        strokeWidth={2}
      />
      {points.map(({ own }, at) =>
        own === undefined ? null : (
          // biome-ignore lint/suspicious/noArrayIndexKey: lots in their order
          <circle key={at} cx={x(at)} cy={y(own)} r={3} fill={palette.text.primary} />
        ),
      )}
    </svg>
  );
}
