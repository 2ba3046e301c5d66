'use client';
import { useTheme } from '@mui/material';
import { useId } from 'react';

interface SectionProps {
  readonly shape: string | null;
  readonly span: number | null;
  readonly rise: number | null;
  readonly wall: number | null;
  readonly apart: number | null;
  readonly least: number | null;
  readonly most: number | null;
  readonly off: number | null;
  readonly beamWide: number | null;
  readonly beamHigh: number | null;
  readonly unit: string;
}

const WIDE = 250;
/** The strips once more, so many times as large. */
const LARGER = 4;
const CLOSE = { wide: 150, high: 120 };
const HIGH = 300;
const AIR = 26;

/** The outline of an arch: a wide floor of a large radius, a round top. */
const arch = (cx: number, bottom: number, w: number, h: number): string =>
  `M ${cx - w / 2} ${bottom - 0.32 * h} Q ${cx - w / 2} ${bottom} ${cx} ${bottom} Q ${cx + w / 2} ${bottom} ${cx + w / 2} ${bottom - 0.32 * h} A ${w / 2} ${0.68 * h} 0 0 0 ${cx - w / 2} ${bottom - 0.32 * h} Z`;

/** A pipe on its strips under its beam, everything in one scale: the strips as they are set, and how far apart they may stand. */
export function Section(props: SectionProps) {
  const { palette } = useTheme();
  const id = useId();
  const { shape, span, rise, wall, apart, least, most, off, beamWide, beamHigh, unit } = props;
  const inch = unit === 'in' ? 1 : 25.4;
  const inside = span ?? 36 * inch;
  const high = rise ?? inside;
  const thick = wall ?? inside / 9;
  const stripHigh = 1.25 * inch;
  const stripWide = 2 * inch;
  const beamTall = Math.min(beamHigh ?? 12 * inch, inside);
  const beamBroad = Math.min(beamWide ?? 10 * inch, inside + 2 * thick);
  const board = 3 * inch;
  const total = high + 2 * thick + stripHigh + beamTall + board;
  const scale = Math.min((HIGH - 2 * AIR) / total, (WIDE - 20) / (inside + 2 * thick));
  const cx = WIDE / 2;
  const floor = HIGH - AIR;
  const onStrips = floor - (board + stripHigh) * scale;
  const gap = apart ?? most ?? inch;
  // A round barrel sinks between its strips until it bears on their inner edges.
  const outside = inside / 2 + thick;
  const sink =
    shape === 'round' || shape === null ? outside - Math.sqrt(Math.max(0, outside ** 2 - (gap / 2) ** 2)) : 0;
  const bottom = onStrips + sink * scale;
  const cy = bottom - (high / 2 + thick) * scale;
  const top = bottom - (high + 2 * thick) * scale;
  const bad =
    apart !== null && ((most !== null && apart > most + 1e-9) || (least !== null && apart < least - 1e-9));
  const strip = (side: -1 | 1) => (
    <rect
      x={side < 0 ? cx - (gap / 2 + stripWide) * scale : cx + (gap / 2) * scale}
      y={onStrips}
      width={stripWide * scale}
      height={stripHigh * scale}
      rx={1.5}
      fill={bad ? palette.error.main : palette.primary.main}
    />
  );
  const rings = (inner: boolean) => {
    const grow = inner ? 0 : thick;
    return shape === 'arch' ? (
      <path
        d={arch(
          cx,
          bottom - (inner ? thick : 0) * scale,
          (inside + 2 * grow) * scale,
          (high + 2 * grow) * scale,
        )}
        fill={inner ? palette.background.paper : palette.divider}
        stroke={palette.text.primary}
      />
    ) : (
      <ellipse
        cx={cx}
        cy={cy}
        rx={(inside / 2 + grow) * scale}
        ry={(high / 2 + grow) * scale}
        fill={inner ? palette.background.paper : palette.divider}
        stroke={palette.text.primary}
      />
    );
  };
  const allowed =
    least === null || most === null
      ? ''
      : least === most
        ? `${least} ${unit}`
        : `${least} to ${Number(most.toFixed(2))} ${unit}`;
  return (
    <svg
      viewBox={`0 0 ${WIDE + CLOSE.wide} ${HIGH}`}
      width={WIDE + CLOSE.wide}
      height={HIGH}
      role="img"
      aria-label={`Pipe on its strips, to scale${apart === null ? '' : `: strips ${apart} ${unit} apart`}${allowed ? `, ${allowed} allowed` : ''}`}
    >
      <g id={id}>
        <rect
          x={cx - (beamBroad / 2 - (off ?? 0)) * scale}
          y={top - beamTall * scale}
          width={beamBroad * scale}
          height={beamTall * scale}
          fill={palette.background.default}
          stroke={palette.text.primary}
        />
        <line
          x1={cx}
          x2={cx}
          y1={2}
          y2={floor}
          stroke={palette.text.secondary}
          strokeDasharray="7 3 1.5 3"
          strokeWidth={0.8}
        />
        {rings(false)}
        {rings(true)}
        {strip(-1)}
        {strip(1)}
        <rect
          x={cx - (gap / 2 + 3 * stripWide) * scale}
          y={floor - board * scale}
          width={(gap + 6 * stripWide) * scale}
          height={board * scale}
          fill={palette.background.default}
          stroke={palette.text.primary}
        />
        {most === null ? null : (
          <path
            d={`M ${cx - (most / 2) * scale} ${floor + 5} h ${most * scale}`}
            stroke={palette.success.main}
            strokeWidth={4}
          />
        )}
      </g>
      <text x={cx} y={cy - 6} fontSize={12} textAnchor="middle" fill={palette.text.primary} className="mono">
        {span === null ? '' : `${span} ${unit}${rise === null ? '' : ` × ${rise}`}`}
      </text>
      <text
        x={cx}
        y={cy + 12}
        fontSize={11}
        textAnchor="middle"
        fill={palette.text.secondary}
        className="mono"
      >
        {wall === null ? '' : `wall ${wall}`}
      </text>
      <text
        x={cx}
        y={HIGH - 5}
        fontSize={11}
        textAnchor="middle"
        fill={bad ? palette.error.main : palette.text.primary}
        className="mono"
      >
        {`${apart === null ? '' : `${bad ? '✕ ' : '✓ '}strips ${apart} ${unit}`}${allowed ? `${apart === null ? 'strips' : ','} ${allowed} allowed` : ''}`}
      </text>
      <svg
        x={WIDE}
        y={HIGH - AIR - CLOSE.high}
        width={CLOSE.wide}
        height={CLOSE.high}
        viewBox={`${cx - CLOSE.wide / LARGER / 2} ${floor + 7 - CLOSE.high / LARGER} ${CLOSE.wide / LARGER} ${CLOSE.high / LARGER}`}
        aria-hidden="true"
      >
        <use href={`#${id}`} />
      </svg>
      <rect
        x={WIDE}
        y={HIGH - AIR - CLOSE.high}
        width={CLOSE.wide - 1}
        height={CLOSE.high}
        fill="none"
        stroke={palette.divider}
      />
      <text
        x={WIDE + CLOSE.wide / 2}
        y={HIGH - AIR - CLOSE.high - 5}
        fontSize={11}
        textAnchor="middle"
        fill={palette.text.secondary}
      >
        strips, larger
      </text>
    </svg>
  );
}
