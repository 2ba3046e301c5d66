'use client';
import { useTheme } from '@mui/material';
import { useState } from 'react';
import type { BenchProps } from '../kit';

type Diameter = 'diameter1' | 'diameter2';

/** The plate from above: the ring, and the flow as its two diameters make it. */
export function SlumpFlowBench({ picture, take }: BenchProps) {
  const { palette } = useTheme();
  const { diameter1, diameter2, ring, plate, stability, unit } = picture.values;
  const scale = 190 / Number(plate);
  // While a handle is dragged the picture follows it; the reading is taken where it is let go.
  const [held, setHeld] = useState<{ readonly field: Diameter; readonly value: number } | null>(null);
  const at = (field: Diameter, stored: unknown): number =>
    held?.field === field ? held.value : Number(stored ?? 0);
  const [one, two] = [at('diameter1', diameter1), at('diameter2', diameter2)];
  const shown = diameter1 !== null || held?.field === 'diameter1';
  const second = diameter2 !== null || held?.field === 'diameter2';
  const step = unit === 'in' ? 0.25 : 5;
  const handles = [
    { field: 'diameter1', value: one || Number(ring), horizontal: true },
    { field: 'diameter2', value: two || Number(ring), horizontal: false },
  ] as const;
  return (
    <svg
      viewBox="0 0 400 220"
      width="100%"
      height="220"
      role="img"
      aria-label={shown ? `Flow ${one} by ${two} ${unit}` : 'Flow not measured yet'}
    >
      <rect
        x="105"
        y="10"
        width="190"
        height="190"
        fill={palette.background.default}
        stroke={palette.text.primary}
      />
      {shown ? (
        <ellipse
          cx="200"
          cy="105"
          rx={(one * scale) / 2}
          ry={((two || one) * scale) / 2}
          fill={palette.divider}
          stroke={palette.text.primary}
          strokeWidth="1.5"
        />
      ) : null}
      {shown && Number(stability ?? 0) >= 2 ? (
        <ellipse
          cx="200"
          cy="105"
          rx={one * scale * 0.14}
          ry={one * scale * 0.12}
          fill={palette.text.secondary}
        />
      ) : null}
      <circle
        cx="200"
        cy="105"
        r={(Number(ring) * scale) / 2}
        fill="none"
        stroke={palette.primary.main}
        strokeDasharray="5 4"
        strokeWidth="1.5"
      />
      <text x="302" y="24" fontSize="12" fill={palette.primary.main}>{`ring ${ring} ${unit}`}</text>
      {shown ? (
        <g stroke={palette.error.main} strokeWidth="1.5">
          <line x1={200 - (one * scale) / 2} x2={200 + (one * scale) / 2} y1="105" y2="105" />
          {!second ? null : (
            <line x1="200" x2="200" y1={105 - (two * scale) / 2} y2={105 + (two * scale) / 2} />
          )}
          <text x="316" y="110" fontSize="16" stroke="none" fill={palette.text.primary}>
            {second ? `${one} × ${two} ${unit}` : `${one} ${unit}`}
          </text>
        </g>
      ) : null}
      {take
        ? handles.map(({ field, value, horizontal }) => (
            <Handle
              key={field}
              label={`${field === 'diameter1' ? 'Largest diameter' : 'Diameter across it'}, ${value} ${unit}`}
              value={value}
              most={Number(plate)}
              x={200 + (horizontal ? (value * scale) / 2 : 0)}
              y={105 + (horizontal ? 0 : (value * scale) / 2)}
              colour={palette.error.main}
              onMove={(x, y) => {
                const reach = 2 * Math.abs(horizontal ? x - 200 : y - 105);
                const diameter = Math.min(Math.round(reach / scale / step) * step, Number(plate));
                setHeld({ field, value: diameter });
              }}
              onKey={(by) => take(field, String(Math.max(0, Math.min(value + by * step, Number(plate)))))}
              onDone={() => {
                if (held?.field === field && held.value > 0) take(field, String(held.value));
                setHeld(null);
              }}
            />
          ))
        : null}
    </svg>
  );
}

/** The end of a diameter: dragged, or moved with the arrow keys by one division of the ruler. */
function Handle({
  label,
  value,
  most,
  x,
  y,
  colour,
  onMove,
  onKey,
  onDone,
}: {
  label: string;
  value: number;
  most: number;
  x: number;
  y: number;
  colour: string;
  onMove: (x: number, y: number) => void;
  onKey: (by: 1 | -1) => void;
  onDone: () => void;
}) {
  return (
    <circle
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={value}
      aria-valuemin={0}
      aria-valuemax={most}
      cx={x}
      cy={y}
      r="11"
      fill={colour}
      fillOpacity="0.85"
      style={{ touchAction: 'none', cursor: 'grab' }}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={(event) => {
        const svg = event.currentTarget.ownerSVGElement;
        if (event.buttons === 0 || !svg) return;
        const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(
          svg.getScreenCTM()?.inverse(),
        );
        onMove(point.x, point.y);
      }}
      onPointerUp={onDone}
      onKeyDown={(event) => {
        const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key] as
          | 1
          | -1
          | undefined;
        if (!by) return;
        event.preventDefault();
        onKey(by);
      }}
    />
  );
}
