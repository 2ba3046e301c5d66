'use client';
import { Box, Typography } from '@mui/material';
import { useMemo } from 'react';
import { cementHeat } from '@/core/methods/cement-heat';
import type { CementHeatInput } from '@/core/methods/cement-heat/input';
import { readHeatPicture } from '@/core/methods/cement-heat/read-picture';
import { MONO } from '../../theme';
import type { InstrumentProps } from '../kit';
import { HeatChart } from './HeatChart';
import { useCalorimeter } from './use-calorimeter';

/** Every cell of a calorimeter as it records, read as the kept record will be: until it is kept, for looking only. */
export function LiveCells({ run, data, readOnly }: InstrumentProps) {
  const number = run.readings.values.calorimeter;
  const line = (data.setup.equipment ?? []).find((each) => each.number === number && each.live)?.number;
  const { up, simulated, record } = useCalorimeter(readOnly ? undefined : line);
  const { input } = run.live;
  const drawn = useMemo(() => {
    if (!record) return null;
    const now = Object.assign(Object.create(Object.getPrototypeOf(input)), input, {
      record: 'as it records',
    }) as CementHeatInput;
    return readHeatPicture(cementHeat.compute(now, { ...data.setup, records: { record } }).picture);
  }, [record, input, data.setup]);
  if (readOnly || !line) return null;
  const cells = (drawn?.cells ?? [])
    .filter(({ points }) => points.length > 1)
    .map((cell) => ({ ...cell, key: cell.name }));
  return (
    <Box
      component="section"
      aria-label={`Calorimeter ${line}`}
      sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 1.5 }}
    >
      <Typography variant="h3">{`${line}, as it records`}</Typography>
      <Typography role="status" variant="body2" color={up === false ? 'error' : 'text.secondary'}>
        {up === false
          ? 'No line to it: it is being made again. What it records is not lost.'
          : record
            ? `${record.rows.toLocaleString('en-US')} rows, ${record.length.toFixed(1)} h${simulated ? ', a stand-in' : ''}. Read it out to keep them.`
            : 'Waiting for it.'}
      </Typography>
      {record ? (
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', my: 1 }}>
          {record.channels.map(({ name, values }) => (
            <Box key={name} sx={{ minWidth: 84 }}>
              <Typography variant="caption" color="text.secondary">
                {name}
              </Typography>
              <Typography sx={{ fontFamily: MONO, fontSize: '1.15rem' }}>
                {`${values.at(-1)?.toFixed(2) ?? '–'} mW`}
              </Typography>
            </Box>
          ))}
        </Box>
      ) : null}
      {cells.length > 0 && drawn ? (
        <HeatChart
          cells={cells}
          chosen={undefined}
          shown="power"
          log={false}
          whole
          from={drawn.from}
          height={260}
        />
      ) : record ? (
        <Typography color="text.secondary">
          Name the cells above as it names them, with the moment of the water and the paste: their curves are
          drawn here.
        </Typography>
      ) : null}
    </Box>
  );
}
