import { Alert, Box, Typography } from '@mui/material';
import { BEND_UNITS, bendUnits } from '@/core/methods/bend/units';
import type { System } from '@/core/quantity';
import { unitLabel } from '@/core/quantity';
import type { LogAnalysis } from '@/core/signals';
import { Figures } from './Figures';

/** What a record over the displacement came to, before it is kept. */
export function FoundBend({ bend, system }: { bend: LogAnalysis['bend']; system: System }) {
  if (!bend)
    return (
      <Alert severity="error">There is no column of travel or deflection: say which column that is.</Alert>
    );
  const to = bendUnits(system);
  const units = BEND_UNITS[system];
  const word = (value: { toSignificantDigits(digits: number): unknown }, unit: keyof typeof units): string =>
    `${String(value.toSignificantDigits(4))} ${unitLabel(units[unit])}`;
  const { peak, firstCrack, stiffness, energy, end, rows, spikes, troubles } = bend;
  const figures: readonly (readonly [string, string])[] = [
    ['Peak', `${word(to.force(peak.force), 'force')} at ${word(to.length(peak.at), 'length')}`],
    [
      'First crack',
      firstCrack
        ? `${word(to.force(firstCrack.force), 'force')} at ${word(to.length(firstCrack.at), 'length')}, ${{ drop: 'by a drop', deviation: 'where it leaves its line', peak: 'at its peak' }[firstCrack.by]}`
        : 'not found',
    ],
    ['Stiffness', stiffness ? word(to.stiffness(stiffness.k), 'stiffness') : 'not determined'],
    ['Energy to the peak', word(to.energy(energy.peak), 'energy')],
    ['It ends at', word(to.length(end), 'length')],
  ];
  return (
    <Box>
      <Figures figures={figures} status />
      {spikes.length > 0 ? (
        <Typography variant="body2" color="warning.main">
          {`${spikes.length} ${spikes.length === 1 ? 'reading that jumped by itself is' : 'readings that jumped by themselves are'} replaced.`}
        </Typography>
      ) : null}
      {troubles.length > 0 ? (
        <Typography variant="body2" color="warning.main">{`The record: ${troubles.join(', ')}.`}</Typography>
      ) : null}
      <Typography
        variant="caption"
        color="text.secondary"
      >{`${rows.toLocaleString('en-US')} rows.`}</Typography>
    </Box>
  );
}
