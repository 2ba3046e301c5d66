'use client';
import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { CementHeatInput } from '@/core/methods/cement-heat/input';
import { readHeatPicture } from '@/core/methods/cement-heat/read-picture';
import type { InstrumentProps } from '../kit';
import { DoseToWeigh } from './DoseToWeigh';

/** What goes into the reference of each cell: the same heat capacity, of one material or of two. */
export function References({ run, readOnly }: InstrumentProps) {
  const { references } = readHeatPicture(run.live.outcome.picture);
  if (readOnly) return null;
  // Only where a reference is made of sand and water is water beside sand of interest.
  const mixed = (run.live.input as CementHeatInput).cells?.some(({ reference }) => reference === 'both');
  const heads = [
    ...['Cell', 'J/K', 'Water, g', 'or dry sand, g', 'as weighed, J/K'],
    ...(mixed ? ['beside its sand, water g'] : []),
  ];
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
                {heads.map((word, place) => (
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
                  {[capacity, water, sand, weighed, ...(mixed ? [beside] : [])].map((value, place) => (
                    <TableCell key={heads[place + 1]} align="right" className="mono">
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
