'use client';
import {
  Alert,
  Box,
  FormControlLabel,
  Stack,
  Switch,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { apparentEnergy, COMPARED_AT, heatDifference, MODEL_ENERGY, unlike } from '@/core/calorimetry';
import { rateFactor } from '@/core/cement/setting';
import type { Limits } from '@/core/limits';
import { type DrawnCell, readHeatPicture } from '@/core/methods/cement-heat/read-picture';
import type { OverlayProps } from '../kit';
import { CurveChoices, useCurveChoices } from './CurveChoices';
import { HeatChart } from './HeatChart';

interface Laid extends DrawnCell {
  readonly key: string;
  readonly bath: number | undefined;
}

const FEATURES = {
  peak: 'its main maximum',
  half: 'when half of it is reached',
  heat: 'its heat in 3 d',
} as const;

/** Curves of several tests over one another, and how each is off the first. */
export function HeatOverlay({ tests, limits }: OverlayProps) {
  const drawn = tests.map(({ id, label, of, picture }) => ({
    id,
    label,
    of,
    heat: readHeatPicture(picture),
  }));
  const choices = useCurveChoices();
  const [turn, setTurn] = useState(false);
  const [all, setAll] = useState(tests.length === 1);
  // Of each test the first cell of its cement as it came stands for it, unless all are asked for.
  const cells = drawn.flatMap(({ id, label, heat }): Laid[] => {
    const own = heat.cells.filter(({ points }) => points.length > 1);
    const first = own.find(({ plain }) => plain) ?? own[0];
    return (all ? own : first ? [first] : []).map((cell) => ({
      ...cell,
      key: `${id} ${cell.name}`,
      name: label,
      what: `${cell.name} ${cell.what}`,
      bath: heat.bath,
    }));
  });
  const baths = new Set(cells.flatMap(({ bath }) => bath ?? []));
  const [first, ...others] = cells;
  if (!first) return <Typography color="text.secondary">No curve has been read of it yet.</Typography>;
  const from = Math.max(...drawn.map(({ heat }) => heat.from));
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <CurveChoices of={choices} />
        <FormControlLabel
          control={<Switch size="small" checked={all} onChange={(_, on) => setAll(on)} />}
          label="Every cell"
        />
        {baths.size > 1 ? (
          <FormControlLabel
            control={<Switch size="small" checked={turn} onChange={(_, on) => setTurn(on)} />}
            label="All turned to 23 °C"
          />
        ) : null}
      </Box>
      {baths.size > 1 ? (
        <Alert severity="error">
          {`Not at one temperature: ${[...baths].map((bath) => `${bath} °C`).join(', ')}. What they are off one another is the temperature too.`}
        </Alert>
      ) : null}
      <HeatChart
        cells={turn ? cells.map(turned) : cells}
        chosen={undefined}
        shown={choices.shown}
        log={choices.log}
        whole={choices.whole}
        from={from}
        height={380}
      />
      {others.length > 0 ? <Differences first={first} others={others} limits={limits} /> : null}
    </Stack>
  );
}

/** A curve as it would be at 23 °C, by the rule of thumb of one activation energy. */
function turned(cell: Laid): Laid {
  const faster = cell.bath === undefined ? 1 : rateFactor(cell.bath, MODEL_ENERGY);
  return {
    ...cell,
    points: cell.points.map(([at, power]) => [at * faster, power / faster] as const),
    marks: cell.marks.map((mark) => ({ ...mark, at: mark.at * faster, power: mark.power / faster })),
  };
}

const signed = (value: number | undefined, digits: number): string =>
  value === undefined ? '–' : `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value).toFixed(digits)}`;

function Differences({ first, others, limits }: { first: Laid; others: readonly Laid[]; limits: Limits }) {
  const most = (id: 'heat.alike-peak' | 'heat.alike-half' | 'heat.alike'): number =>
    limits.of(id, 'SI').high?.toNumber() ?? 0;
  const within = { peak: most('heat.alike-peak'), half: most('heat.alike-half'), heat: most('heat.alike') };
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label="Off the first">
        <TableHead>
          <TableRow>
            <TableCell>{`Off ${first.name} ${first.what}`}</TableCell>
            {['half, h', 'maximum, %', 'rise, %', '12 h, J/g', '24 h', '3 d', '7 d', '1 to 48 h, mW/g'].map(
              (word) => (
                <TableCell key={word} align="right">
                  {word}
                </TableCell>
              ),
            )}
            <TableCell>Is it the same?</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {others.map((other) => {
            const off = heatDifference(first.laid, other.laid);
            const beyond = unlike(off, within);
            const apart = first.bath !== other.bath;
            const [a, b] = [first.laid.half, other.laid.half];
            const energy =
              apart && first.bath !== undefined && other.bath !== undefined && a && b
                ? apparentEnergy({ celsius: first.bath, hours: a }, { celsius: other.bath, hours: b })
                : undefined;
            return (
              <TableRow key={other.key}>
                <TableCell>{`${other.name} ${other.what}`}</TableCell>
                {[
                  ...[signed(off.half, 2), signed(off.peak, 1), signed(off.slope, 1)],
                  ...COMPARED_AT.map((age) => signed(off.heat.get(age), 1)),
                  off.apart?.toFixed(3) ?? '–',
                ].map((text, place) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: the columns never change places
                  <TableCell key={place} align="right" className="mono" sx={{ whiteSpace: 'nowrap' }}>
                    {text}
                  </TableCell>
                ))}
                <TableCell>
                  {energy !== undefined
                    ? `At two temperatures: ${(energy / 1000).toFixed(1)} kJ/mol by half of the maximum.`
                    : beyond.length === 0
                      ? 'As near as two cells of one mix.'
                      : `No: ${beyond.map((each) => FEATURES[each]).join(', ')}.`}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      <Typography variant="body2" color="text.secondary">
        Heat from one hour on. Only curves of one temperature, one water and one way of mixing tell cements
        apart.
      </Typography>
    </Box>
  );
}
