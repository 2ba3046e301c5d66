'use client';
import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { DrawnHeat } from '@/core/methods/cement-heat/read-picture';

/** A series of sulfate: heat of a day and how far the aluminate comes behind, dose by dose, with the one in balance. */
export function DoseTable({ doses, chosen }: Pick<DrawnHeat, 'doses' | 'chosen'>) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label="Series of sulfate">
        <TableHead>
          <TableRow>
            <TableCell>Sulfate, % SO₃</TableCell>
            <TableCell>Cell</TableCell>
            <TableCell align="right">1 to 24 h, J/g</TableCell>
            <TableCell align="right">of the best, %</TableCell>
            <TableCell align="right">aluminate behind, h</TableCell>
            <TableCell>In balance</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {doses.map(({ cell, sulfate, heat, share, apart, heatHolds, apartHolds }) => (
            <TableRow key={cell} selected={cell === chosen}>
              <TableCell className="mono">{sulfate.toFixed(2)}</TableCell>
              <TableCell>{cell}</TableCell>
              <TableCell align="right" className="mono">
                {heat?.toFixed(1) ?? '–'}
              </TableCell>
              <TableCell align="right" className="mono">
                {share?.toFixed(1) ?? '–'}
              </TableCell>
              <TableCell align="right" className="mono">
                {apart?.toFixed(1) ?? 'not told apart'}
              </TableCell>
              <TableCell>
                {heatHolds && apartHolds
                  ? cell === chosen
                    ? 'yes, the least'
                    : 'yes'
                  : [
                      ...(heatHolds ? [] : ['too little heat']),
                      ...(apartHolds ? [] : ['aluminate too early']),
                    ].join(', ')}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Typography variant="body2" color="text.secondary">
        One curve does not say which maximum is the aluminate: what comes later by more sulfate is.
      </Typography>
    </Box>
  );
}
