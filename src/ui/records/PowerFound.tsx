import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { HeatRecord } from '@/core/calorimetry/record';
import { recordTimes } from './times';

/** What a record says of each of its cells: where its greatest value behind the first hour lies tells whether the unit is right. */
export function PowerFound({ record, zone }: { record: HeatRecord; zone: string }) {
  const { when, span } = recordTimes(record, zone);
  if (record.channels.length === 0)
    return <Typography color="error">No number in it could be read. Look at columns and times.</Typography>;
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Typography variant="body2" color="text.secondary">
        {[span, record.averaged ? 'carried as means of a minute, of ten behind two days' : '']
          .filter(Boolean)
          .join('; ')}
      </Typography>
      <Table size="small">
        <TableHead>
          <TableRow>
            {['Cell', `Greatest, ${record.unit}`, `Last, ${record.unit}`, 'Rows', 'At its end'].map(
              (word, place) => (
                <TableCell key={word} align={place === 0 ? 'left' : 'right'}>
                  {word}
                </TableCell>
              ),
            )}
          </TableRow>
        </TableHead>
        <TableBody>
          {record.channels.map(({ name, values, rows, clipped }) => {
            const { at, value } = greatestOf(record, values);
            return (
              <TableRow key={name}>
                <TableCell>{name}</TableCell>
                <TableCell align="right" className="mono" sx={{ whiteSpace: 'nowrap' }}>
                  {value === null ? '' : `${value.toPrecision(4)} · ${when(at)}`}
                </TableCell>
                <TableCell align="right" className="mono">
                  {values.findLast((each) => each !== null)?.toPrecision(3)}
                </TableCell>
                <TableCell align="right" className="mono">
                  {rows.toLocaleString('en-US')}
                </TableCell>
                <TableCell align="right">
                  {clipped.length === 0 ? 'never' : when(clipped[0]?.[0] ?? 0)}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Box>
  );
}

function greatestOf({ hours }: HeatRecord, values: readonly (number | null)[]) {
  let [at, most]: [number, number | null] = [0, null];
  for (const [place, value] of values.entries())
    if (value !== null && (most === null || value > most)) [at, most] = [hours[place] ?? 0, value];
  return { at, value: most };
}
