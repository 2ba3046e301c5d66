'use client';
import { useTheme } from '@mui/material';

const WIDE = 560;
const HIGH = 240;
const LEFT = 44;
/** Room for what is allowed, in words. */
const RIGHT = 104;
const BASE = HIGH - 30;

/** A reading: how long after the first, percent. */
interface Reading {
  readonly after: number;
  readonly percent: number;
}

/** The readings that a picture packs: `0.00/72.4 24.17/72.9`. */
function readingsOf(packed: unknown): readonly Reading[] {
  return String(packed ?? '')
    .split(' ')
    .map((text) => text.split('/').map(Number))
    .flatMap(([after = Number.NaN, percent = Number.NaN]) =>
      Number.isFinite(after) && Number.isFinite(percent) ? [{ after, percent }] : [],
    );
}

/**
 * Humidities of one place one after the other, with what is allowed.
 * @param packed `after/percent`, a blank between @param unit what `after` counts @param least so much of it is shown
 */
export function Course({
  packed,
  allowed,
  of,
  unit,
  least,
}: {
  readonly packed: unknown;
  readonly allowed: number | null;
  readonly of: string;
  readonly unit: 'day' | 'hour';
  readonly least: number;
}) {
  const { palette } = useTheme();
  const points = readingsOf(packed);
  const last = points.at(-1);
  const span = Math.max(least, last?.after ?? 0);
  const low = Math.floor(Math.min(60, ...points.map(({ percent }) => percent - 5)) / 10) * 10;
  const x = (after: number): number => LEFT + ((WIDE - LEFT - RIGHT) * after) / span;
  const y = (percent: number): number => 14 + ((BASE - 14) * (100 - percent)) / (100 - low);
  const ticks = Array.from({ length: (100 - low) / 10 + 1 }, (_, place) => low + 10 * place);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width="100%"
      style={{ maxWidth: 640 }}
      role="img"
      aria-label={`${points.length} ${points.length === 1 ? 'reading' : 'readings'} of ${of}${last ? `, the last ${last.percent} %` : ''}${allowed === null ? '' : `, ${allowed} % allowed`}`}
    >
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={WIDE - RIGHT} y1={y(tick)} y2={y(tick)} stroke={palette.divider} />
          <text
            x={LEFT - 8}
            y={y(tick) + 4}
            fontSize={12}
            textAnchor="end"
            fill={palette.text.secondary}
            className="mono"
          >
            {tick}
          </text>
        </g>
      ))}
      {allowed === null ? null : (
        <g>
          <line
            x1={LEFT}
            x2={WIDE - RIGHT}
            y1={y(allowed)}
            y2={y(allowed)}
            stroke={palette.error.main}
            strokeWidth={2}
            strokeDasharray="7 4"
          />
          <text x={WIDE - RIGHT + 6} y={y(allowed) + 4} fontSize={12} fill={palette.error.main}>
            {`${allowed} % at most`}
          </text>
        </g>
      )}
      <polyline
        points={points.map(({ after, percent }) => `${x(after)},${y(percent)}`).join(' ')}
        fill="none"
        stroke={palette.primary.main}
        strokeWidth={2.5}
      />
      {points.map(({ after, percent }) => (
        <g key={`${after}/${percent}`}>
          <rect x={x(after) - 4} y={y(percent) - 4} width={8} height={8} fill={palette.text.primary} />
          <text
            x={x(after)}
            y={y(percent) - 9}
            fontSize={12}
            textAnchor="middle"
            fill={palette.text.primary}
            className="mono"
          >
            {percent}
          </text>
        </g>
      ))}
      <text x={LEFT} y={HIGH - 8} fontSize={12} fill={palette.text.secondary}>
        first reading
      </text>
      {last && last.after > 0 ? (
        <text x={x(last.after)} y={HIGH - 8} fontSize={12} textAnchor="end" fill={palette.text.secondary}>
          {`${unit} ${last.after.toFixed(0)}`}
        </text>
      ) : null}
    </svg>
  );
}
