'use client';
import { useTheme } from '@mui/material';
import { exact } from '@/core/quantity';
import type { BenchProps } from '../kit';
import { WaterDial } from './WaterDial';

const MINUTE = 60_000;

/** The load's time in one bar: batched, arrival, water, sample, discharge, and the end it has; and its water. */
export function DeliveryBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { batchedAt, most, permitted, added, unit, cementitious, water, volume } = picture.values;
  const dial = [cementitious, water, volume, permitted].every(
    (value) => value !== null && value !== undefined,
  );
  const start = batchedAt === null ? null : Number(batchedAt);
  const last = Number(most);
  const x = (at: unknown): number =>
    20 + (Math.min(Math.max((Number(at) - Number(start)) / MINUTE, 0), last * 1.15) / (last * 1.15)) * 360;
  const events = [
    ['arrivedAt', 'on site', 0],
    ['addedAt', 'water', 1],
    ['sampledAt', 'sample', 0],
    ['startedAt', 'starts', 1],
    ['endedAt', 'ends', 0],
  ] as const;
  return (
    <>
      <svg
        viewBox="0 0 400 150"
        width="100%"
        height="150"
        role="img"
        aria-label={
          start === null ? 'Time of batching not known' : 'The load from batching to the end of its discharge'
        }
      >
        {start === null ? (
          <text x="20" y="44" fontSize="14" fill={palette.text.secondary}>
            The bar begins with the time on the ticket
          </text>
        ) : (
          <g>
            <rect
              x="20"
              y="36"
              width="360"
              height="14"
              fill={palette.background.default}
              stroke={palette.divider}
            />
            <rect
              x="20"
              y="36"
              width={x(start + last * MINUTE) - 20}
              height="14"
              fill={palette.success.light}
            />
            {[0, 30, 60, 90, 120]
              .filter((minutes) => minutes <= last * 1.1)
              .map((minutes) => (
                <text
                  key={minutes}
                  x={x(start + minutes * MINUTE)}
                  y="66"
                  fontSize="11"
                  textAnchor="middle"
                  fill={palette.text.secondary}
                >
                  {minutes}
                </text>
              ))}
            <line
              x1={x(start + last * MINUTE)}
              x2={x(start + last * MINUTE)}
              y1="30"
              y2="54"
              stroke={palette.error.main}
              strokeWidth="2"
            />
            {events.map(([key, word, row]) => {
              const at = picture.values[key];
              if (at === null || at === undefined || Number(at) < start) return null;
              return (
                <g key={key}>
                  <line
                    x1={x(at)}
                    x2={x(at)}
                    y1={row === 0 ? 20 : 28}
                    y2="50"
                    stroke={palette.primary.main}
                    strokeWidth="2"
                  />
                  <text
                    x={x(at)}
                    y={row === 0 ? 14 : 26}
                    fontSize="11"
                    textAnchor="middle"
                    fill={palette.primary.main}
                  >
                    {word}
                  </text>
                </g>
              );
            })}
          </g>
        )}
        {permitted === null ? null : (
          <g fontSize="14" fill={palette.text.primary}>
            <text x="20" y="104">
              {Number(permitted) > 0 ? `Site water permitted ${permitted} ${unit}` : 'No water on site'}
            </text>
            <rect x="20" y="114" width="240" height="12" fill="none" stroke={palette.text.primary} />
            <rect
              x="20"
              y="114"
              width={Math.min(
                240,
                Number(permitted) > 0
                  ? (Number(added ?? 0) / Number(permitted)) * 240
                  : Number(added ?? 0) > 0
                    ? 240
                    : 0,
              )}
              height="12"
              fill={Number(added ?? 0) > Number(permitted) ? palette.error.main : palette.primary.main}
            />
            <text x="270" y="125">{`${added ?? 0} ${unit} added`}</text>
          </g>
        )}
      </svg>
      {dial ? (
        <WaterDial
          system={unit === 'gal' ? 'US' : 'SI'}
          state={{
            cementitious: exact(Number(cementitious)),
            total: exact(Number(water)),
            volume: exact(Number(volume)),
            permitted: exact(Number(permitted)),
            added: exact(Number(added ?? 0)),
          }}
        />
      ) : null}
    </>
  );
}
