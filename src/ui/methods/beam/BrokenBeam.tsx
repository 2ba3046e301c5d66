'use client';
import { useTheme } from '@mui/material';
import { seedOf, simulatedBreak } from '@/core/press';
import type { BrokenProps } from '../kit';

const [WIDTH, LEFT, RIGHT, TOP, HIGH] = [620, 30, 590, 34, 74];

/** A beam after its break in the simulated press: the same label, the same break. */
export function BrokenBeam({ label, picture: { values } }: BrokenProps) {
  const { edges } = simulatedBreak(seedOf(label), values.loading === 'centre' ? 'centre' : 'third');
  return (
    <BrokenFace edges={edges} span={Number(values.span) || 18} unit={values.unit === 'mm' ? 'mm' : 'in'} />
  );
}

/** The face in tension of a broken beam from below, with a rule along its edge: the distance is read by the eye. */
export function BrokenFace({
  edges,
  span,
  unit,
}: {
  readonly edges: readonly [number, number, number];
  readonly span: number;
  readonly unit: 'in' | 'mm';
}) {
  const { palette } = useTheme();
  const metric = unit === 'mm';
  const x = (share: number): number => LEFT + share * (RIGHT - LEFT);
  const mark = metric ? 10 : 0.5;
  const marks = Array.from({ length: Math.floor(span / mark) + 1 }, (_, index) => index * mark);
  const named = (place: number): boolean => place % (metric ? 50 : 2) === 0;
  const [upper, middle, lower] = edges.map(x) as [number, number, number];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${TOP + HIGH + 12}`}
      width="100%"
      style={{ maxWidth: WIDTH }}
      role="img"
      aria-label="The face in tension of the broken beam, with a rule from the left support"
    >
      <rect x={0} y={TOP} width={WIDTH} height={HIGH} fill={palette.divider} />
      {marks.map((place) => (
        <path
          key={place}
          d={`M${x(place / span)} ${TOP}v${named(place) ? -12 : -6}`}
          stroke={palette.text.primary}
          strokeWidth={1}
        />
      ))}
      {marks.filter(named).map((place) => (
        <text
          key={place}
          x={x(place / span)}
          y={TOP - 16}
          textAnchor="middle"
          fontSize={11}
          className="mono"
          fill={palette.text.primary}
        >
          {place}
        </text>
      ))}
      <path
        d={`M${LEFT} ${TOP}v${HIGH}M${RIGHT} ${TOP}v${HIGH}`}
        stroke={palette.text.primary}
        strokeWidth={2.5}
      />
      <path
        d={`M${upper} ${TOP}L${(upper + middle) / 2 + 3} ${TOP + HIGH * 0.27}L${middle} ${TOP + HIGH / 2}L${(middle + lower) / 2 - 3} ${TOP + HIGH * 0.76}L${lower} ${TOP + HIGH}`}
        fill="none"
        stroke={palette.error.main}
        strokeWidth={3}
      />
    </svg>
  );
}
