'use client';
import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { readHeatPicture } from '@/core/methods/cement-heat/read-picture';
import type { InstrumentProps } from '../kit';
import { DoseToWeigh } from './DoseToWeigh';

/** What goes into the reference of each cell: the same heat capacity, of one material or of two. */
export function References({ run, readOnly }: InstrumentProps) {
  const { references } = readHeatPicture(run.live.outcome.picture);
  if (readOnly) return null;
  return (
    <Box sx={{ mb: 2 }}>
      {references.length === 0 ? (
        <Typography color="text.secondary">
          The reference of each cell stands here once its cement, water and paste are weighed.
        </Typography>
      ) : (
        <Box sx={{ overflowX: 'auto' }}>
          <Table size="small" aria-label="Reference of each cell">
            <TableHead>
              <TableRow>
                {[
                  'Cell',
                  'J/K',
                  'Water, g',
                  'or dry sand, g',
                  'or beside its sand, water g',
                  'as weighed, J/K',
                ].map((word, place) => (
                  <TableCell key={word} align={place === 0 ? 'left' : 'right'}>
                    {word}
                  </TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {references.map(([name, capacity, water, sand, beside, weighed]) => (
                <TableRow key={name}>
                  <TableCell>{name}</TableCell>
                  {[capacity, water, sand, beside, weighed].map((value, place) => (
                    <TableCell key={['C', 'w', 's', 'b', 'r'][place]} align="right" className="mono">
                      {value?.toFixed(2) ?? ''}
                    </TableCell>
                  ))}
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      )}
      <DoseToWeigh input={run.live.input} />
    </Box>
  );
}
