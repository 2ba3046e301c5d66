'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

const WIDE = 560;
const HIGH = 240;
const LEFT = 44;
/** Room for what is allowed, in words. */
const RIGHT = 104;
const BASE = HIGH - 30;

/** The readings of one hole over the weeks with what its floor allows, what became of it since, and when it may be dry. */
export function SlabHumidityBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const allowed = typeof values.allowed === 'number' ? values.allowed : null;
  const points = String(values.readings ?? '')
    .split(' ')
    .map((text) => text.split('/').map(Number))
    .flatMap(([day, humidity]) =>
      Number.isFinite(day) && Number.isFinite(humidity)
        ? [{ day: day as number, humidity: humidity as number }]
        : [],
    );
  const last = points.at(-1);
  const days = Math.max(7, last?.day ?? 0);
  const low = Math.floor(Math.min(60, ...points.map(({ humidity }) => humidity - 5)) / 10) * 10;
  const x = (day: number): number => LEFT + ((WIDE - LEFT - RIGHT) * day) / days;
  const y = (humidity: number): number => 14 + ((BASE - 14) * (100 - humidity)) / (100 - low);
  const ticks = Array.from({ length: (100 - low) / 10 + 1 }, (_, place) => low + 10 * place);
  return (
    <Box>
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        width="100%"
        style={{ maxWidth: 640 }}
        role="img"
        aria-label={`${points.length} ${points.length === 1 ? 'reading' : 'readings'} of this hole${last ? `, the last ${last.humidity} %` : ''}${allowed === null ? '' : `, ${allowed} % allowed`}`}
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
          points={points.map(({ day, humidity }) => `${x(day)},${y(humidity)}`).join(' ')}
          fill="none"
          stroke={palette.primary.main}
          strokeWidth={2.5}
        />
        {points.map(({ day, humidity }) => (
          <g key={`${day}/${humidity}`}>
            <rect x={x(day) - 4} y={y(humidity) - 4} width={8} height={8} fill={palette.text.primary} />
            <text
              x={x(day)}
              y={y(humidity) - 9}
              fontSize={12}
              textAnchor="middle"
              fill={palette.text.primary}
              className="mono"
            >
              {humidity}
            </text>
          </g>
        ))}
        <text x={LEFT} y={HIGH - 8} fontSize={12} fill={palette.text.secondary}>
          first reading
        </text>
        {last && last.day > 0 ? (
          <text x={x(last.day)} y={HIGH - 8} fontSize={12} textAnchor="end" fill={palette.text.secondary}>
            {`day ${last.day.toFixed(0)}`}
          </text>
        ) : null}
      </svg>
      {values.change ? <Typography sx={{ mb: 1 }}>{String(values.change)}</Typography> : null}
      {values.dry ? <Typography color="text.secondary">{String(values.dry)}</Typography> : null}
      {values.dew ? (
        <Typography color="text.secondary">{`The air of the room condenses at ${values.dew}.`}</Typography>
      ) : null}
    </Box>
  );
}
