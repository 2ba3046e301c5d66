'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

const TOP = 30;
const THICK = 200;
const WIDE = 520;

/** The slab cut through at the hole, to scale: how deep it goes, how deep it should, and how far it may be off. */
export function SlabHoleBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const number = (value: unknown): number | null => (typeof value === 'number' ? value : null);
  const [thickness, depth, wanted, most] = ['thickness', 'depth', 'wanted', 'most'].map((name) =>
    number(values[name]),
  );
  const at = (place: number): number => TOP + (THICK * place) / (thickness ?? 1);
  const hole = thickness && depth ? Math.min(depth, thickness) : null;
  const words =
    wanted === null || wanted === undefined
      ? 'Its thickness says how deep the hole goes.'
      : `${wanted.toFixed(values.unit === 'in' ? 2 : 0)} ${values.unit} is asked for.`;
  return (
    <Box>
      <svg
        viewBox={`0 0 ${WIDE} 260`}
        width="100%"
        style={{ maxWidth: 600 }}
        role="img"
        aria-label={`Slab ${thickness ?? '…'} ${values.unit}, hole ${depth ?? '…'} ${values.unit}. ${words}`}
      >
        <rect
          x={20}
          y={TOP}
          width={340}
          height={THICK}
          fill={palette.divider}
          stroke={palette.text.primary}
        />
        {hole === null ? null : (
          <g>
            <rect
              x={178}
              y={TOP}
              width={24}
              height={at(hole) - TOP}
              fill={palette.background.paper}
              stroke={palette.text.primary}
            />
            <rect x={172} y={TOP - 6} width={36} height={8} rx={2} fill={palette.primary.main} />
            <rect
              x={184}
              y={TOP + 4}
              width={12}
              height={Math.max(0, at(hole) - TOP - 10)}
              fill={palette.primary.main}
              opacity={0.35}
            />
          </g>
        )}
        {thickness && wanted ? (
          <g>
            {most ? (
              <rect
                x={120}
                y={at(wanted - most)}
                width={140}
                height={at(wanted + most) - at(wanted - most)}
                fill={palette.success.main}
                opacity={0.25}
              />
            ) : null}
            <line
              x1={120}
              x2={300}
              y1={at(wanted)}
              y2={at(wanted)}
              stroke={palette.success.main}
              strokeWidth={2}
              strokeDasharray="6 4"
            />
            <text x={304} y={at(wanted) + 4} fontSize={13} fill={palette.text.primary} className="mono">
              {`${wanted.toFixed(values.unit === 'in' ? 2 : 0)} ${values.unit}`}
            </text>
          </g>
        ) : null}
        {thickness ? (
          <text x={372} y={TOP + THICK} fontSize={13} fill={palette.text.secondary} className="mono">
            {`${thickness} ${values.unit} thick`}
          </text>
        ) : null}
        {depth ? (
          <text x={212} y={TOP + 18} fontSize={13} fill={palette.text.primary} className="mono">
            {`${depth} ${values.unit}`}
          </text>
        ) : null}
      </svg>
      <Typography
        color={values.lies === 'shallow' || values.lies === 'deep' ? 'error.main' : 'text.secondary'}
      >
        {values.lies === 'right'
          ? `As deep as it should be. ${words}`
          : values.lies
            ? `Too ${values.lies}. ${words}`
            : words}
      </Typography>
    </Box>
  );
}
