'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { type Face, PLANE_IDS } from '@/core/methods/pull/faces';
import { CELL, CELLS, readPainting } from '@/core/methods/pull/painted';
import { type UnitId, unitLabel } from '@/core/quantity';
import type { BenchProps } from '../kit';
import { Layers } from './Layers';
import { PlanePatterns, planeFill, planeName } from './planes';

const FIBRE = { B: 'resin', C: 'fibre sheet' };

/** The face of the dolly with its planes, the cut through the coats, and which of them was the weak one. */
export function PullOffBench({ picture: { values } }: BenchProps) {
  const face: Face = String(values.face ?? '')
    .split('|')
    .flatMap((text): Face => {
      const [name = '', share = ''] = text.split(' ');
      const plane = PLANE_IDS.find((each) => each === name.replace(':', '/'));
      return plane ? [[plane, Number(share)]] : [];
    });
  const total = Number(values.total ?? 0);
  return (
    <Box>
      {values.stress ? (
        <Typography className="mono" sx={{ fontSize: '2rem' }}>
          {`${values.stress} ${unitLabel(String(values.unit) as UnitId)}`}
        </Typography>
      ) : null}
      {values.rate ? <Typography color="text.secondary">{String(values.rate)}</Typography> : null}
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: '1fr 1.7fr',
          alignItems: 'center',
          maxWidth: 560,
        }}
      >
        <FaceDrawing face={face} painted={typeof values.painted === 'string' ? values.painted : null} />
        <Layers
          face={face}
          concrete={values.concrete === true}
          coats={values.cored === true ? 1 : 2}
          words={values.fibre === true ? FIBRE : {}}
        />
      </Box>
      <Typography sx={{ mt: 1 }}>{String(values.said ?? '')}</Typography>
      <Typography color={total > 0 && total !== 100 ? 'error' : 'text.secondary'}>
        {face.length === 0
          ? 'A number without the place where it broke says nothing: name every plane with its share.'
          : total === 100
            ? face.map(([plane, share]) => `${planeName(plane)} ${share} %`).join(', ')
            : `The shares come to ${total} %.`}
      </Typography>
    </Box>
  );
}

/** The face from below: as it was painted, or its shares as sectors. */
function FaceDrawing({ face, painted }: { readonly face: Face; readonly painted: string | null }) {
  const { palette } = useTheme();
  const painting = painted ? readPainting(painted) : undefined;
  const label = face.map(([plane, share]) => `${planeName(plane)} ${share} %`).join(', ') || 'blank';
  let from = 0;
  return (
    <svg
      viewBox="0 0 200 200"
      width="100%"
      style={{ maxWidth: 220 }}
      role="img"
      aria-label={`Face: ${label}`}
    >
      <PlanePatterns prefix="face" />
      <circle
        cx={100}
        cy={100}
        r={94}
        fill={palette.background.paper}
        stroke={palette.text.primary}
        strokeWidth={3}
      />
      {painting
        ? CELLS.map(({ x, y }, place) => {
            const plane = painting[place];
            return plane ? (
              <rect
                key={`${x} ${y}`}
                x={100 + 92 * (x - CELL / 2)}
                y={100 + 92 * (y - CELL / 2)}
                width={92 * CELL + 0.3}
                height={92 * CELL + 0.3}
                fill={planeFill(plane, 'face')}
              />
            ) : null;
          })
        : face.map(([plane, share]) => {
            const to = from + Math.min(100 - from, share);
            const sector = { plane, from, to };
            from = to;
            return (
              <path
                key={sector.plane}
                d={sectorPath(sector.from, sector.to)}
                fill={planeFill(sector.plane, 'face')}
                stroke={palette.text.primary}
              />
            );
          })}
    </svg>
  );
}

/** A sector of the face from one share of the whole to another, percent. */
function sectorPath(from: number, to: number): string {
  const at = (share: number): string =>
    `${(100 + 92 * Math.sin((share / 50) * Math.PI)).toFixed(2)} ${(100 - 92 * Math.cos((share / 50) * Math.PI)).toFixed(2)}`;
  if (to - from >= 100) return 'M100 8A92 92 0 1 1 99.9 8Z';
  return `M100 100L${at(from)}A92 92 0 ${to - from > 50 ? 1 : 0} 1 ${at(to)}Z`;
}
