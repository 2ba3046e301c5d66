'use client';
import { Typography, useTheme } from '@mui/material';
import type { PropsWithChildren } from 'react';
import { readRows } from '@/core/methods/picture-rows';
import { pipeCylinders } from '@/core/methods/pipe-cylinders';
import { InFolder, wholeFolder } from '../holding';
import type { BenchProps } from '../kit';

const WIDE = 480;
const LEFT = 70;

/** The cylinders of a group beside one another, against what is specified and the least of it. */
function GroupOfCylinders({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const all = readRows(values.all).map(([mark = '', value]) => ({ mark, value: Number(value) }));
  if (all.length === 0)
    return (
      <Typography color="text.secondary">The cylinders of the group stand here as they are read.</Typography>
    );
  const [asked, least] = [values.asked, values.least].map((value) =>
    typeof value === 'number' ? value : null,
  );
  const top = 1.08 * Math.max(asked ?? 0, ...all.map(({ value }) => value));
  const y = (value: number): number => 150 - (value / top) * 140;
  const across = (WIDE - LEFT - 10) / all.length;
  const lines = [
    [asked, 'specified', palette.text.primary],
    [least, '80 %', palette.error.main],
  ] as const;
  return (
    <svg
      viewBox={`0 0 ${WIDE} 176`}
      width="100%"
      role="img"
      aria-label={`${all.length} cylinders, ${all.filter(({ value }) => asked && value < asked).length} below what is specified`}
    >
      {all.map(({ mark, value }, place) => (
        <g key={`${mark}${String(place)}`}>
          <rect
            x={LEFT + place * across + across * 0.2}
            y={y(value)}
            width={across * 0.6}
            height={150 - y(value)}
            fill={asked && value < asked ? palette.warning.main : palette.primary.main}
          />
          <text
            x={LEFT + (place + 0.5) * across}
            y={166}
            fontSize={11}
            textAnchor="middle"
            fill={palette.text.secondary}
            className="mono"
          >
            {mark}
          </text>
        </g>
      ))}
      {lines.map(([at, word, colour]) =>
        at ? (
          <g key={word}>
            <line x1={LEFT} x2={WIDE - 6} y1={y(at)} y2={y(at)} stroke={colour} strokeDasharray="6 4" />
            <text x={LEFT - 4} y={y(at) + 4} fontSize={11} textAnchor="end" fill={colour}>
              {word}
            </text>
          </g>
        ) : null,
      )}
      <line x1={LEFT} x2={WIDE - 6} y1={150} y2={150} stroke={palette.text.primary} />
    </svg>
  );
}

const FOLDER = wholeFolder({ method: pipeCylinders, Bench: GroupOfCylinders, benchStays: true });

export function InPipeCylinders({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
