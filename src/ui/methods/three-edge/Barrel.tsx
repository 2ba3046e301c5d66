'use client';
import { useTheme } from '@mui/material';
import type { MouseEvent } from 'react';

/** One crack as it was probed. */
export interface BarrelCrack {
  readonly where: string;
  readonly probes: readonly { readonly at: number; readonly enters: boolean }[];
  readonly says: string;
  readonly run: readonly [number, number] | null;
  readonly next: readonly number[];
}

/** Where a crack lies round the barrel, as it is unrolled from invert to invert. */
const ROWS = [
  { id: 'invert', word: 'invert, inside', y: 26 },
  { id: 'left', word: 'left, outside', y: 56 },
  { id: 'crown', word: 'crown, inside', y: 86 },
  { id: 'right', word: 'right, outside', y: 116 },
] as const;
const WIDE = 620;
const LEFT = 96;
const HIGH = 154;

/**
 * The barrel unrolled, spigot at the left: places that were probed, the runs that they make, and where to probe on.
 * @param long overall length, in or mm @param pick takes a place along it, in whole steps
 */
export function Barrel({
  long,
  cracks,
  unit,
  gap,
  pick,
}: {
  readonly long: number;
  readonly cracks: readonly BarrelCrack[];
  readonly unit: string;
  /** How far one probe may be from the next. */
  readonly gap: number;
  readonly pick?: ((at: number) => void) | undefined;
}) {
  const { palette } = useTheme();
  const step = unit === 'in' ? 1 : 25;
  const x = (at: number): number => LEFT + (at / long) * (WIDE - LEFT - 12);
  const marks = unit === 'in' ? 12 : 500;
  const onClick = (event: MouseEvent<SVGSVGElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = ((((event.clientX - box.left) / box.width) * WIDE - LEFT) / (WIDE - LEFT - 12)) * long;
    if (at >= 0 && at <= long) pick?.(Math.round(at / step) * step);
  };
  const says = cracks.map(
    ({ where, probes, says: told }) => `${where || 'crack'}: ${probes.length} probes, ${told}`,
  );
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: every place can be typed in the table below it
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width="100%"
      role="img"
      aria-label={`Barrel unrolled, ${long} ${unit} long. ${says.join('; ') || 'Nothing probed yet'}`}
      onClick={pick ? onClick : undefined}
      style={pick ? { cursor: 'crosshair' } : undefined}
    >
      <rect
        x={LEFT}
        y={8}
        width={WIDE - LEFT - 12}
        height={124}
        fill={palette.background.default}
        stroke={palette.text.primary}
      />
      {Array.from({ length: Math.floor(long / marks) + 1 }, (_, place) => place * marks).map((at) => (
        <g key={at}>
          <line x1={x(at)} x2={x(at)} y1={128} y2={136} stroke={palette.text.secondary} />
          <text
            x={x(at)}
            y={148}
            fontSize={11}
            textAnchor="middle"
            fill={palette.text.secondary}
            className="mono"
          >
            {at}
          </text>
        </g>
      ))}
      {ROWS.map(({ id, word, y }) => (
        <g key={id}>
          <line x1={LEFT} x2={WIDE - 12} y1={y} y2={y} stroke={palette.divider} strokeDasharray="2 4" />
          <text x={LEFT - 6} y={y + 4} fontSize={11} textAnchor="end" fill={palette.text.secondary}>
            {word}
          </text>
        </g>
      ))}
      {cracks.map(({ where, probes, says: told, run, next }) => {
        const y = ROWS.find(({ id }) => id === where)?.y ?? ROWS[0].y;
        const sorted = probes.toSorted((a, b) => a.at - b.at);
        return (
          <g key={where}>
            {sorted.slice(1).map((probe, place) => {
              const from = sorted[place];
              if (!from?.enters || !probe.enters) return null;
              const close = probe.at - from.at <= gap + 1e-9;
              return (
                <line
                  key={`${from.at} ${probe.at}`}
                  x1={x(from.at)}
                  x2={x(probe.at)}
                  y1={y}
                  y2={y}
                  stroke={close ? palette.error.main : palette.warning.main}
                  strokeWidth={close ? 4 : 2}
                  strokeDasharray={close ? undefined : '3 3'}
                />
              );
            })}
            {run ? (
              <path
                d={`M ${x(run[0])} ${y - 11} v -4 H ${x(run[1])} v 4`}
                fill="none"
                stroke={palette.error.main}
                strokeWidth={1.5}
              />
            ) : null}
            {probes.map(({ at, enters }) =>
              enters ? (
                <circle key={at} cx={x(at)} cy={y} r={4.5} fill={palette.error.main} />
              ) : (
                <circle
                  key={at}
                  cx={x(at)}
                  cy={y}
                  r={4}
                  fill={palette.background.paper}
                  stroke={palette.text.primary}
                  strokeWidth={1.5}
                />
              ),
            )}
            {told === 'probe on'
              ? next.map((at) => (
                  <path key={at} d={`M ${x(at)} ${y - 7} l -5 -9 h 10 Z`} fill={palette.warning.main} />
                ))
              : null}
          </g>
        );
      })}
    </svg>
  );
}
