'use client';
import { useTheme } from '@mui/material';

/** How far one specimen is, as `compute` says it; moments in ms since the epoch. */
export interface Drying {
  readonly label: string;
  readonly dryAt: number | null;
  readonly nextAt: number | null;
  /** When the laboratory is open first from then on. */
  readonly openAt?: number | null;
  readonly weighed: readonly (readonly [at: number, mass: number])[];
  readonly last: number | null;
  readonly more: number | null;
  readonly most: number | null;
  readonly end: number | null;
}

const [WIDTH, HEIGHT, LEFT, FOOT] = [380, 130, 42, 18];

/** The loss of each between two weighings, weighing by weighing, and the line it has to fall below. */
export function Losses({ all, limit }: { all: readonly Drying[]; limit: number }) {
  const { palette } = useTheme();
  const lines = all.map(({ label, weighed }) => ({
    label,
    losses: weighed.slice(1).map(([, mass], place) => {
      const before = weighed[place]?.[1] ?? mass;
      return ((before - mass) / before) * 100;
    }),
  }));
  const count = Math.max(...lines.map(({ losses }) => losses.length), 0);
  if (count === 0) return null;
  const most = Math.max(limit * 2, ...lines.flatMap(({ losses }) => losses)) * 1.1;
  const x = (place: number): number => LEFT + ((place + 0.5) / Math.max(count, 3)) * (WIDTH - LEFT - 8);
  const y = (loss: number): number => 8 + (1 - Math.max(0, loss) / most) * (HEIGHT - FOOT - 8);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      style={{ maxWidth: 480 }}
      role="img"
      aria-label={`Loss between weighings in percent; dry below ${limit} %`}
    >
      <rect
        x={LEFT}
        y={y(limit)}
        width={WIDTH - LEFT}
        height={HEIGHT - FOOT - y(limit)}
        fill={palette.success.main}
        opacity={0.12}
      />
      <path d={`M${LEFT} ${y(limit)}H${WIDTH}`} stroke={palette.success.main} strokeDasharray="5 3" />
      <text x={2} y={y(limit) + 4} fontSize={11} fill={palette.text.primary}>{`${limit} %`}</text>
      <text
        x={2}
        y={y(most / 1.1) + 8}
        fontSize={11}
        fill={palette.text.primary}
      >{`${(most / 1.1).toFixed(2)} %`}</text>
      <path d={`M${LEFT} 4V${HEIGHT - FOOT}H${WIDTH}`} fill="none" stroke={palette.text.primary} />
      {Array.from({ length: count }, (_, place) => (
        <text
          key={x(place)}
          x={x(place)}
          y={HEIGHT - 4}
          fontSize={11}
          textAnchor="middle"
          fill={palette.text.secondary}
        >
          {`${place + 2}.`}
        </text>
      ))}
      {lines.map(({ label, losses }) => (
        <g key={label}>
          <polyline
            points={losses.map((loss, place) => `${x(place)},${y(loss)}`).join(' ')}
            fill="none"
            stroke={palette.primary.main}
            strokeWidth={1.5}
          />
          {losses.map((loss, place) => (
            <circle
              key={`${label} ${x(place)}`}
              cx={x(place)}
              cy={y(loss)}
              r={3.5}
              fill={loss <= limit ? palette.success.main : palette.primary.main}
            />
          ))}
        </g>
      ))}
    </svg>
  );
}
