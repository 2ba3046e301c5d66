'use client';
import { useTheme } from '@mui/material';
import type { ReactNode } from 'react';
import { type Drawing, type Ink, pathOf, type Shape } from '@/core/report/drawing';

/**
 * A drawing on the screen: the same shapes that a PDF prints.
 * @param under what lies under it @param most its greatest width, px
 * @param press takes how far from its left to its right it was pressed, 0 to 1
 */
export function Drawn({
  drawing: { width, height, shapes, words },
  under,
  most,
  press,
}: {
  readonly drawing: Drawing;
  readonly under?: ReactNode;
  readonly most?: number;
  readonly press?: ((share: number) => void) | undefined;
}) {
  const { palette } = useTheme();
  const inks: Readonly<Record<Ink, string>> = {
    ink: palette.text.primary,
    quiet: palette.text.secondary,
    rule: palette.divider,
    line: palette.primary.main,
    stop: palette.error.main,
    warn: palette.warning.main,
    pass: palette.success.main,
    paper: palette.background.paper,
  };
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: what is pressed can be typed too
    <svg
      viewBox={`0 0 ${width} ${height}`}
      style={{
        width: '100%',
        display: 'block',
        overflow: 'visible',
        ...(most ? { maxWidth: most } : {}),
        ...(press ? { cursor: 'crosshair' } : {}),
      }}
      role="img"
      aria-label={words}
      onClick={
        press &&
        (({ currentTarget, clientX }) => {
          const { left, width: wide } = currentTarget.getBoundingClientRect();
          press((clientX - left) / wide);
        })
      }
    >
      {under}
      {shapes.map((shape, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: shapes of a drawing have no other name and never change places
        <DrawnShape key={place} shape={shape} inks={inks} />
      ))}
    </svg>
  );
}

function DrawnShape({
  shape,
  inks,
}: {
  readonly shape: Shape;
  readonly inks: Readonly<Record<Ink, string>>;
}) {
  if (shape.kind === 'circle') {
    const { at, r, fill, stroke, width } = shape;
    return <circle cx={at.x} cy={at.y} r={r} fill={inks[fill]} stroke={inks[stroke]} strokeWidth={width} />;
  }
  if (shape.kind === 'text') {
    const { at, text, size, ink, bold, anchor } = shape;
    return (
      <text
        x={at.x}
        y={at.y}
        fontSize={size}
        fill={inks[ink]}
        fontWeight={bold ? 700 : 400}
        textAnchor={anchor ?? 'start'}
      >
        {text}
      </text>
    );
  }
  const { fill, opacity, stroke, width, dash } = shape;
  return (
    <path
      d={pathOf(shape)}
      fill={fill ? inks[fill] : 'none'}
      fillOpacity={opacity}
      stroke={stroke ? inks[stroke] : 'none'}
      strokeWidth={width}
      strokeDasharray={dash?.join(' ')}
    />
  );
}
