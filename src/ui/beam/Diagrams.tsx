'use client';
import { useTheme } from '@mui/material';
import { cornersOf, largestMoment, momentAt, type SimpleBeam, shearAt } from '@/core/statics';

interface DiagramsProps {
  readonly beam: SimpleBeam;
  /** Where the supports stand on the drawing above, in its own units. */
  readonly from: number;
  readonly to: number;
  readonly top: number;
  /** What the largest moment and shear are called there; absent: their shapes only. */
  readonly words?: { readonly moment: string; readonly shear: string } | undefined;
}

const SHEAR = 34;
const MOMENT = 44;
/** What the two diagrams take of the drawing, below one another. */
export const DIAGRAMS_HEIGHT = 2 * SHEAR + MOMENT + 22;

/** Shear and moment of a beam under its loads, below its drawing: how the load bends it, and where most. */
export function Diagrams({ beam, from, to, top, words }: DiagramsProps) {
  const { palette } = useTheme();
  const scale = (to - from) / beam.span;
  const at = (x: number): number => from + x * scale;
  const total = beam.loads.reduce((sum, { force }) => sum + force, 0) || 1;
  const most = largestMoment(beam);
  const corners = cornersOf(beam);
  // A spread load bends its moment: enough places for a smooth line, and each corner itself.
  const places = [
    ...new Set([...corners, ...Array.from({ length: 61 }, (_, index) => (index * beam.span) / 60)]),
  ].toSorted((a, b) => a - b);
  const tiny = beam.span * 1e-6;
  const shear = places.flatMap((x) => [
    [x, shearAt(beam, Math.max(0, x - tiny))] as const,
    [x, shearAt(beam, Math.min(beam.span - tiny, x))] as const,
  ]);
  const zero = top + SHEAR;
  const line = (points: readonly (readonly [number, number])[], height: (value: number) => number): string =>
    points
      .map(([x, value], index) => `${index === 0 ? 'M' : 'L'}${at(x).toFixed(1)} ${height(value).toFixed(1)}`)
      .join('');
  const shearPath = `M${from} ${zero}${line(shear, (value) => zero - (value / total) * SHEAR).replace('M', 'L')}L${to} ${zero}Z`;
  const base = top + 2 * SHEAR + 14;
  const depth = (x: number): number => base + (momentAt(beam, x) / (most.moment || 1)) * MOMENT;
  const momentPath = `M${from} ${base}${places.map((x) => `L${at(x).toFixed(1)} ${depth(x).toFixed(1)}`).join('')}L${to} ${base}Z`;
  return (
    <g>
      <path d={shearPath} fill={palette.action.hover} stroke={palette.text.secondary} strokeWidth={1.2} />
      <path d={momentPath} fill={palette.action.selected} stroke={palette.primary.main} strokeWidth={1.8} />
      <path
        d={`M${from} ${zero}H${to}M${from} ${base}H${to}`}
        stroke={palette.text.primary}
        strokeWidth={0.8}
      />
      <text x={from - 8} y={zero + 4} textAnchor="end" fontSize={11} fill={palette.text.secondary}>
        V
      </text>
      <text x={from - 8} y={base + MOMENT / 2} textAnchor="end" fontSize={11} fill={palette.text.secondary}>
        M
      </text>
      {words ? (
        <>
          <text x={to + 6} y={zero + 4} fontSize={11} className="mono" fill={palette.text.primary}>
            {words.shear}
          </text>
          <text x={to + 6} y={base + MOMENT / 2} fontSize={11} className="mono" fill={palette.text.primary}>
            {words.moment}
          </text>
        </>
      ) : null}
    </g>
  );
}
