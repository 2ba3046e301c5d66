'use client';
import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { timeNow } from '../../clock';
import { dayTime } from '../../time';
import { useNow } from '../../use-now';
import type { BenchProps } from '../kit';
import { type Drying, Losses } from './Losses';

/** The oven: when each specimen is to be weighed, what it lost last, and what is probably still to come. */
export function Oven({ picture }: BenchProps) {
  const now = useNow(timeNow(), 10_000);
  const { zone, unit, loss } = picture.values;
  const all = JSON.parse(String(picture.values.all ?? '[]')) as Drying[];
  if (all.length === 0)
    return (
      <Typography color="text.secondary">
        Shut the door and stamp it: the first weighing counts a day later.
      </Typography>
    );
  // A column of which nothing is known yet takes no room on a phone.
  const weighed = all.some(({ last }) => last !== null);
  const told = all.some((each) => likely(each, String(unit)) !== '');
  return (
    <Box>
      <Losses all={all} limit={Number(loss)} />
      <Table
        size="small"
        aria-label="The next weighing of each"
        sx={{ '& td, & th': { px: { xs: 0.5, md: 2 } } }}
      >
        <TableHead>
          <TableRow>
            <TableCell>Specimen</TableCell>
            {weighed ? <TableCell>Lost last</TableCell> : null}
            <TableCell>Next weighing counts</TableCell>
            {told ? <TableCell>Probably</TableCell> : null}
          </TableRow>
        </TableHead>
        <TableBody>
          {all.map((each) => (
            <TableRow key={each.label}>
              <TableCell className="mono" sx={{ whiteSpace: 'nowrap' }}>
                {each.label}
              </TableCell>
              {weighed ? (
                <TableCell className="mono">
                  {each.last === null ? '' : `${each.last.toFixed(2)} %`}
                </TableCell>
              ) : null}
              <TableCell>
                {each.dryAt !== null ? (
                  <Typography color="success.main">{`✓ dry, ${dayTime(each.dryAt, String(zone))}`}</Typography>
                ) : each.nextAt === null ? null : each.nextAt <= now ? (
                  <Typography sx={{ fontWeight: 700 }}>weigh it now</Typography>
                ) : (
                  whenWords(each.nextAt, each.openAt ?? null, String(zone))
                )}
              </TableCell>
              {told ? <TableCell>{likely(each, String(unit))}</TableCell> : null}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        What is probable goes by the losses so far, and never takes the place of a weighing.
      </Typography>
    </Box>
  );
}

/** When the next weighing counts, and when somebody is there to make it. */
function whenWords(nextAt: number, openAt: number | null, zone: string): string {
  const from = `from ${dayTime(nextAt, zone)}`;
  return openAt === null || openAt === nextAt ? from : `${from}; open again ${dayTime(openAt, zone)}`;
}

function likely({ dryAt, more, most, end }: Drying, unit: string): string {
  if (dryAt !== null || more === null || end === null) return '';
  const count = more === 1 ? 'the next is the last' : `${more} more`;
  return `${count}${most !== null && most > more ? `, at most ${most}` : ''}; ends at ${end.toFixed(2)} ${unit}`;
}
