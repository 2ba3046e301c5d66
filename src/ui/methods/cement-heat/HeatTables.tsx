'use client';
import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { HEATS } from '@/core/methods/cement-heat/ages';
import type { DrawnHeat } from '@/core/methods/cement-heat/read-picture';

const AGES = ['24 h', '48 h', '3 d', '7 d'];
const AGE_HOURS: readonly number[] = HEATS.map(([age]) => age);

/** Heat of each cell at ages. */
export function Heats({ cells, from }: { cells: DrawnHeat['cells']; from: number }) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label="Heat of each cell">
        <TableHead>
          <TableRow>
            <TableCell>{`Heat from ${(from * 60).toFixed(0)} min on, J/g`}</TableCell>
            <TableCell align="right">Cement, g</TableCell>
            {AGES.map((age) => (
              <TableCell key={age} align="right">
                {age}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {cells.map(({ name, what, grams, told }) => (
            <TableRow key={name}>
              <TableCell>{`${name} ${what}`}</TableCell>
              <TableCell align="right" className="mono">
                {grams?.toFixed(2)}
              </TableCell>
              {told.map((heat, place) => (
                <TableCell key={AGES[place]} align="right" className="mono">
                  {heat?.toFixed(1) ?? '–'}
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

/** When parts of the maximum are reached: what a set is told by. */
export function Sets({ sets }: Pick<DrawnHeat, 'sets'>) {
  const shares = [...new Set(sets.map(({ share }) => share))];
  const names = [...new Set(sets.map(({ cell }) => cell))];
  if (sets.length === 0) return null;
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label="Set by heat">
        <TableHead>
          <TableRow>
            <TableCell>Reached, h since the water</TableCell>
            {shares.flatMap((share) => [
              <TableCell key={`${share} m`} align="right">{`${share * 100} % of the maximum`}</TableCell>,
              <TableCell key={`${share} r`} align="right">{`${share * 100} % of the rise`}</TableCell>,
            ])}
          </TableRow>
        </TableHead>
        <TableBody>
          {names.map((name) => (
            <TableRow key={name}>
              <TableCell>{name}</TableCell>
              {shares.flatMap((share) => {
                const own = sets.find((each) => each.cell === name && each.share === share);
                return (['max', 'rise'] as const).map((of) => (
                  <TableCell key={`${share} ${of}`} align="right" className="mono">
                    {own?.[of]?.toFixed(2) ?? '–'}
                  </TableCell>
                ));
              })}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        As found. It compares mixes with one another and is not the set of the needle: another paste, another
        water.
      </Typography>
    </Box>
  );
}

/** Blends to a gram of binder, beside what the cement alone gives off in them. */
export function Blends({ blends }: Pick<DrawnHeat, 'blends'>) {
  if (blends.length === 0) return null;
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label="Heat to a gram of binder">
        <TableHead>
          <TableRow>
            <TableCell>To a gram of binder, J/g</TableCell>
            {['at', 'it gives off', 'the cement diluted', 'above it', 'to a gram of cement'].map((word) => (
              <TableCell key={word} align="right">
                {word}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {blends.map(({ cell, share, age, cement, binder, diluted }) => (
            <TableRow key={`${cell} ${age}`}>
              <TableCell>{`${cell}, ${(share * 100).toFixed(0)} % not cement`}</TableCell>
              <TableCell align="right">{AGES[AGE_HOURS.indexOf(age)]}</TableCell>
              {[binder, diluted, binder - diluted, cement].map((heat, place) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: the columns never change places
                <TableCell key={place} align="right" className="mono">
                  {heat.toFixed(1)}
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
