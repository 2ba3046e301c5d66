'use client';
import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';
import { pairsIn } from '../listed';

/** The masses of each piece by their state, and what of its volume is solid. */
export function HardenedDensityBench({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const pieces = pairsIn(values.pieces);
  const solid = typeof values.solid === 'number' ? Math.min(1, Math.max(0, values.solid)) : null;
  return (
    <Box>
      <svg
        viewBox="0 0 520 84"
        width="100%"
        style={{ maxWidth: 560 }}
        role="img"
        aria-label="Solid and voids of the pieces"
      >
        <rect
          x={10}
          y={14}
          width={500}
          height={40}
          fill={palette.background.default}
          stroke={palette.text.primary}
        />
        {solid === null ? null : (
          <>
            <rect
              x={10}
              y={14}
              width={500 * solid}
              height={40}
              fill={palette.divider}
              stroke={palette.text.primary}
            />
            <text
              x={14}
              y={74}
              fontSize={12}
              fill={palette.text.secondary}
            >{`solid ${(100 * solid).toFixed(1)} %`}</text>
            <text
              x={510}
              y={74}
              fontSize={12}
              textAnchor="end"
              fill={palette.primary.main}
            >{`voids ${(100 - 100 * solid).toFixed(1)} %`}</text>
          </>
        )}
      </svg>
      {pieces.length === 0 ? (
        <Typography color="text.secondary">
          Into the oven first: the first weighing counts a day later, and Today says when.
        </Typography>
      ) : (
        <Table size="small">
          <TableHead>
            <TableRow>
              {['Piece', 'Dry', 'Soaked', 'Boiled', 'In water'].map((word) => (
                <TableCell key={word}>{word}</TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {pieces.map(([name, masses]) => (
              <TableRow key={name}>
                <TableCell>{name}</TableCell>
                {masses.split('/').map((mass, index) => (
                  <TableCell key={['A', 'B', 'C', 'D'][index]} className="mono">
                    {mass === '' ? '…' : `${mass} g`}
                  </TableCell>
                ))}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
    </Box>
  );
}
