'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { SetPlot } from '@/core/acceptance/set-rule';
import { Line } from '../../charts/Line';
import { dots, useChartSetup } from '../../charts/setup';
import type { GroupPiece, GroupProps } from '../kit';

/** A group of pieces: every index on a strip, those left out hollow, and the line over their sizes. */
export function PointLoadGroup({ pieces, mean, unit, plot }: GroupProps) {
  const valid = pieces.filter((piece): piece is GroupPiece & { value: number } => piece.value !== null);
  if (valid.length === 0) return null;
  return (
    <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', md: '3fr 2fr' } }}>
      <Strip pieces={valid} mean={mean} unit={unit} />
      {plot ? <OverSizes plot={plot} /> : null}
    </Box>
  );
}

const WIDTH = 560;
const SIDE = 26;
const NEAR = 13;

/** Indices along a scale; of those that would lie over one another each goes a row up. */
function Strip({
  pieces,
  mean,
  unit,
}: {
  pieces: readonly (GroupPiece & { value: number })[];
  mean: number | null;
  unit: string;
}) {
  const { palette } = useTheme();
  const values = pieces.map(({ value }) => value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const margin = (high - low) * 0.08 || high * 0.1;
  const at = (value: number): number =>
    SIDE + ((value - low + margin) / (high - low + 2 * margin)) * (WIDTH - 2 * SIDE);
  const rows: number[] = [];
  const placed = pieces
    .toSorted((a, b) => a.value - b.value)
    .map((piece) => {
      const x = at(piece.value);
      const free = rows.findIndex((last) => x - last >= NEAR);
      const row = free === -1 ? rows.length : free;
      rows[row] = x;
      return { ...piece, x, row };
    });
  const height = 60 + rows.length * NEAR;
  const ground = height - 30;
  const out = pieces.filter(({ used }) => !used).map(({ label }) => label);
  const ticks = ticksOf(low, high);
  return (
    <Box>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        width="100%"
        role="img"
        aria-label={`${pieces.length} indices from ${low} to ${high} ${unit}${mean === null ? '' : `, mean ${mean}`}`}
      >
        <line x1={SIDE} x2={WIDTH - SIDE} y1={ground} y2={ground} stroke={palette.text.secondary} />
        {ticks.map((tick) => (
          <g key={tick}>
            <line x1={at(tick)} x2={at(tick)} y1={ground} y2={ground + 5} stroke={palette.text.secondary} />
            <text
              x={at(tick)}
              y={ground + 19}
              fontSize={12}
              textAnchor="middle"
              fill={palette.text.secondary}
            >
              {tick}
            </text>
          </g>
        ))}
        {mean === null ? null : (
          <g>
            <line
              x1={at(mean)}
              x2={at(mean)}
              y1={14}
              y2={ground}
              stroke={palette.primary.main}
              strokeWidth={2}
            />
            <text x={at(mean) + 5} y={14} fontSize={13} fill={palette.primary.main}>
              {`mean ${mean} ${unit}`}
            </text>
          </g>
        )}
        {placed.map(({ id, label, value, x, row, used }) => (
          <circle
            key={id}
            cx={x}
            cy={ground - 9 - row * NEAR}
            r={5}
            fill={used ? palette.text.primary : palette.background.paper}
            stroke={palette.text.primary}
            strokeWidth={1.5}
            strokeDasharray={used ? undefined : '2 2'}
          >
            <title>{`${label}: ${value} ${unit}${used ? '' : ', left out of the mean'}`}</title>
          </circle>
        ))}
      </svg>
      <Typography variant="body2" color="text.secondary">
        {`Index of each piece, ${unit}. ${out.length > 0 ? `Hollow: left out of the mean by its rule: ${out.join(', ')}.` : 'None is left out.'}`}
      </Typography>
    </Box>
  );
}

/** A handful of round numbers between two ends. */
function ticksOf(low: number, high: number): number[] {
  const raw = (high - low || high) / 4;
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((each) => each * power).find((each) => each >= raw) ?? raw;
  const first = Math.ceil(low / step);
  return Array.from({ length: Math.max(1, Math.floor(high / step) - first + 1) }, (_, place) =>
    Number(((first + place) * step).toPrecision(6)),
  );
}

/** Load against De², both as logarithms, with the line of the group where the pieces carry one. */
function OverSizes({ plot: { x: across, y: up, points, line, doubts } }: { plot: SetPlot }) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const ends = [Math.min(...points.map(({ x }) => x)), Math.max(...points.map(({ x }) => x))];
  return (
    <Box>
      <Box sx={{ height: 230 }}>
        <Line
          role="img"
          aria-label="Load against the square of the equivalent diameter, both as logarithms"
          data={{
            datasets: [
              dots('Piece', [...points], palette.text.primary, 'circle', 4),
              ...(line
                ? [
                    {
                      label: 'Line of the group',
                      data: ends.map((x) => ({ x, y: 10 ** line.a * x ** line.b })),
                      borderColor: palette.primary.main,
                      backgroundColor: palette.primary.main,
                      pointRadius: 0,
                      pointStyle: 'line' as const,
                    },
                  ]
                : []),
            ],
          }}
          options={{
            ...base,
            scales: {
              x: {
                ...base.scales.x,
                type: 'logarithmic',
                title: {
                  display: true,
                  text: across,
                  color: palette.text.secondary,
                },
              },
              y: {
                ...base.scales.y,
                type: 'logarithmic',
                title: { display: true, text: up, color: palette.text.secondary },
              },
            },
            plugins: {
              ...base.plugins,
              tooltip: {
                callbacks: {
                  title: ([item]) => (item ? (points[item.dataIndex]?.label ?? '') : ''),
                },
              },
            },
          }}
        />
      </Box>
      {line ? null : (
        <Typography variant="body2" color="text.secondary">
          {`No line over sizes: ${doubts.join('; ')}.`}
        </Typography>
      )}
    </Box>
  );
}
