'use client';
import { useTheme } from '@mui/material';
import type { PointerEvent } from 'react';
import type { BenchProps } from '../kit';

const [WIDTH, LEFT, RIGHT, TOP, HIGH] = [560, 70, 490, 18, 84];
const LINES = ['a1', 'a2', 'a3'] as const;
const STEP = { in: 0.05, mm: 1 } as const;

/**
 * The face in tension from below, with the third points and how far outside of them a break still counts. A press on it
 * takes the distance there as a reading: at the upper edge, in the middle, at the lower edge; the ruler is the better one.
 */
export function TensionFace({
  values,
  take,
}: {
  readonly values: BenchProps['picture']['values'];
  readonly take?: BenchProps['take'];
}) {
  const { palette } = useTheme();
  const span = Number(values.span) || 18;
  const unit = values.unit === 'mm' ? 'mm' : 'in';
  const scale = (RIGHT - LEFT) / span;
  const read = String(values.places ?? '')
    .split(',')
    .map((text) => (text === '' ? null : Number(text)));
  const zones =
    typeof values.inside === 'number' && typeof values.least === 'number'
      ? { inside: values.inside, least: values.least }
      : null;
  const yOf = (index: number): number => TOP + 8 + (index * (HIGH - 16)) / 2;
  const zone = (from: number, to: number, fill: string, key: string) => (
    <rect
      key={key}
      x={LEFT + from * scale}
      y={TOP}
      width={Math.max(0, (to - from) * scale)}
      height={HIGH}
      fill={fill}
      opacity={0.16}
    />
  );
  const press = (event: PointerEvent<SVGRectElement>): void => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (!box || !take) return;
    const [px, py] = [
      ((event.clientX - box.left) / box.width) * WIDTH,
      ((event.clientY - box.top) / box.height) * (TOP + HIGH + 26),
    ];
    const line = LINES[Math.min(2, Math.max(0, Math.round((py - TOP - 8) / ((HIGH - 16) / 2))))];
    const from = (px - LEFT) / scale;
    const nearer = Math.max(0, Math.min(from, span - from));
    if (line) take(line, String(Number((Math.round(nearer / STEP[unit]) * STEP[unit]).toFixed(2))));
  };
  const known = read.flatMap((value, index) => (value === null ? [] : [{ value, index }]));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${TOP + HIGH + 26}`}
      width="100%"
      style={{ maxWidth: 620, cursor: take ? 'crosshair' : 'default', touchAction: 'manipulation' }}
      role="img"
      aria-label="The face in tension, with the places that the break was measured at"
    >
      <rect x={LEFT - 24} y={TOP} width={RIGHT - LEFT + 48} height={HIGH} fill={palette.divider} />
      {zones
        ? [
            zone(0, zones.least, palette.error.main, 'l1'),
            zone(zones.least, zones.inside, palette.warning.main, 'l2'),
            zone(zones.inside, span - zones.inside, palette.success.main, 'm'),
            zone(span - zones.inside, span - zones.least, palette.warning.main, 'r2'),
            zone(span - zones.least, span, palette.error.main, 'r1'),
          ]
        : null}
      <path
        d={`M${LEFT} ${TOP - 6}v${HIGH + 12}M${RIGHT} ${TOP - 6}v${HIGH + 12}`}
        stroke={palette.text.primary}
        strokeWidth={2}
      />
      {known.length > 1 ? (
        <path
          d={known
            .map(
              ({ value, index }, place) => `${place === 0 ? 'M' : 'L'}${LEFT + value * scale} ${yOf(index)}`,
            )
            .join('')}
          fill="none"
          stroke={palette.error.main}
          strokeWidth={2.5}
        />
      ) : null}
      {known.map(({ value, index }) => (
        <g key={index}>
          <circle cx={LEFT + value * scale} cy={yOf(index)} r={4.5} fill={palette.error.main} />
          <path
            d={`M${LEFT} ${yOf(index)}H${LEFT + value * scale - 5}`}
            stroke={palette.text.secondary}
            strokeDasharray="2 3"
          />
        </g>
      ))}
      {zones
        ? [
            [0, '0'],
            [zones.least, String(Number(zones.least.toFixed(2)))],
            [zones.inside, String(Number(zones.inside.toFixed(2)))],
            [span - zones.inside, String(Number((span - zones.inside).toFixed(2)))],
            [span, `${Number(span.toFixed(2))} ${unit}`],
          ].map(([place, text]) => (
            <text
              key={String(text)}
              x={LEFT + Number(place) * scale}
              y={TOP + HIGH + (place === zones.least ? 24 : 14)}
              textAnchor="middle"
              fontSize={11}
              className="mono"
              fill={palette.text.secondary}
            >
              {text}
            </text>
          ))
        : null}
      <rect
        x={LEFT}
        y={TOP}
        width={RIGHT - LEFT}
        height={HIGH}
        fill="transparent"
        onPointerDown={take ? press : undefined}
        data-testid="tension-face"
      />
    </svg>
  );
}
