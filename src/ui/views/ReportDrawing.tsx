'use client';
import { useTheme } from '@mui/material';
import { type Drawing, type Ink, pathOf, type Section, type Shape } from '@/core/report';

/** A drawing of a report on the screen: the same shapes that its PDF prints. */
export function ReportDrawing({
  drawing: { width, height, shapes, words },
  picture,
}: {
  readonly drawing: Drawing;
  readonly picture: Extract<Section, { kind: 'drawing' }>['picture'] | undefined;
}) {
  const { palette } = useTheme();
  const inks: Readonly<Record<Ink, string>> = {
    ink: palette.text.primary,
    quiet: palette.text.secondary,
    rule: palette.divider,
    line: palette.primary.main,
    stop: palette.error.main,
    pass: palette.success.main,
    paper: palette.background.paper,
  };
  return (
    <svg
      viewBox={`-2 -2 ${width + 4} ${height + 4}`}
      style={{ width: '100%', maxWidth: 860, display: 'block' }}
      role="img"
      aria-label={words}
    >
      {picture ? (
        <image
          href={`/api/plan-pictures/${picture.of.id}`}
          width={width}
          height={picture.height}
          preserveAspectRatio="none"
          opacity={0.6}
        />
      ) : null}
      {shapes.map((shape, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: shapes of a drawing have no other name and never change places
        <Drawn key={place} shape={shape} inks={inks} />
      ))}
    </svg>
  );
}

function Drawn({ shape, inks }: { readonly shape: Shape; readonly inks: Readonly<Record<Ink, string>> }) {
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
