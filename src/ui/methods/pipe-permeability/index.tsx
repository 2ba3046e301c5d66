'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { PropsWithChildren } from 'react';
import { readRows } from '@/core/methods/picture-rows';
import { pipePermeability } from '@/core/methods/pipe-permeability';
import { InFolder, wholeFolder } from '../holding';
import type { BenchProps } from '../kit';

const WORDS: Readonly<Record<string, string>> = { dry: 'dry', damp: 'damp places', drops: 'drops' };

/** The pipe as it stands filled, and what each look at its outside saw. */
function StandingPipe({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const looks = readRows(values.looks);
  const filled = typeof values.filled === 'number';
  const last = looks.at(-1)?.[1];
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
      <svg
        viewBox="0 0 120 170"
        width={120}
        height={170}
        role="img"
        aria-label={`Pipe standing on its spigot, ${filled ? 'filled' : 'empty'}${last ? `, outside ${WORDS[last] ?? last}` : ''}`}
      >
        <path
          d="M 22 14 h 76 v 34 h -8 v 104 h -60 v -104 h -8 Z"
          fill={palette.divider}
          stroke={palette.text.primary}
        />
        <path
          d="M 32 14 h 56 v 34 h -10 v 104 h -36 v -104 h -10 Z"
          fill={palette.background.paper}
          stroke={palette.text.primary}
        />
        {filled ? (
          <rect x={42.5} y={48} width={35} height={103.5} fill={palette.primary.main} opacity={0.35} />
        ) : null}
        <rect x={20} y={152} width={80} height={7} fill={palette.text.primary} />
        {last === 'drops' || last === 'damp'
          ? [70, 92, 118].map((y) => (
              <circle key={y} cx={95} cy={y} r={last === 'drops' ? 4 : 2} fill={palette.primary.main} />
            ))
          : null}
      </svg>
      <Box>
        {looks.length === 0 ? (
          <Typography color="text.secondary">{`Look at it ${String(values.least)} min after it is filled.`}</Typography>
        ) : (
          looks.map(([minutes, seen = '']) => (
            <Typography key={minutes} sx={{ color: seen === 'drops' ? 'error.main' : 'text.primary' }}>
              <span className="mono">{`${minutes} min`}</span>
              {` ${WORDS[seen] ?? seen}`}
            </Typography>
          ))
        )}
        {values.open ? (
          <Typography sx={{ fontWeight: 700 }}>{`Undecided: ${String(values.open)}.`}</Typography>
        ) : null}
      </Box>
    </Box>
  );
}

const FOLDER = wholeFolder({ method: pipePermeability, Bench: StandingPipe, benchStays: true });

export function InPipePermeability({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
