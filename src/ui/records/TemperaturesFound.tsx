import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { degreeUnits } from '@/core/methods/temperature/units';
import { type System, unitLabel } from '@/core/quantity';
import type { TemperatureRecord } from '@/core/temperature';
import { recordTimes } from './times';

/** What a record says of each of its sensors, before anything is made of it. */
export function TemperaturesFound({
  record,
  system,
  zone,
}: {
  record: TemperatureRecord;
  system: System;
  zone: string;
}) {
  const { unit, temperature } = degreeUnits(system);
  const label = unitLabel(unit);
  const { when, span } = recordTimes(record, zone);
  if (record.channels.length === 0)
    return <Typography color="error">No reading of it counts. Look at columns, times and scale.</Typography>;
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Typography variant="body2" color="text.secondary">
        {[span, record.averaged === null ? '' : `curve averaged over ${Math.round(record.averaged * 60)} min`]
          .filter(Boolean)
          .join('; ')}
      </Typography>
      <Table size="small">
        <TableHead>
          <TableRow>
            {['Sensor', `Highest, ${label}`, `Lowest, ${label}`, 'Rows', 'Left out', 'Gaps'].map(
              (word, place) => (
                <TableCell key={word} align={place === 0 ? 'left' : 'right'}>
                  {word}
                </TableCell>
              ),
            )}
          </TableRow>
        </TableHead>
        <TableBody>
          {record.channels.map(({ name, highest, lowest, rows, removed, gaps }) => (
            <TableRow key={name}>
              <TableCell>{name}</TableCell>
              <TableCell align="right" className="mono" sx={{ whiteSpace: 'nowrap' }}>
                {`${temperature(highest.celsius).toFixed(1)} · ${when(highest.at)}`}
              </TableCell>
              <TableCell align="right" className="mono">
                {temperature(lowest.celsius).toFixed(1)}
              </TableCell>
              <TableCell align="right" className="mono">
                {rows.toLocaleString('en-US')}
              </TableCell>
              <TableCell
                align="right"
                className="mono"
                sx={{ color: removed > 0 ? 'warning.main' : undefined }}
              >
                {removed}
              </TableCell>
              <TableCell
                align="right"
                className="mono"
                sx={{ color: gaps.length > 0 ? 'warning.main' : undefined }}
              >
                {gaps.length}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
