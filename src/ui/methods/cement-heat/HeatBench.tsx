'use client';
import {
  Box,
  Button,
  Stack,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { csvText } from '@/core/interchange/csv';
import { pathOf } from '@/core/methods';
import { type DrawnHeat, type DrawnMark, readHeatPicture } from '@/core/methods/cement-heat/read-picture';
import { newRow } from '../../rows/use-rows';
import { saveText } from '../../save-text';
import type { BenchProps } from '../kit';
import { CurveChoices, useCurveChoices } from './CurveChoices';
import { DoseTable } from './DoseTable';
import { HeatChart } from './HeatChart';
import { Blends, Heats, Sets } from './HeatTables';
import { MARK_WORDS, shownOf } from './shown';

interface Pulled {
  readonly cell: string;
  readonly mark: DrawnMark;
  readonly at: number;
}

/** The curves of a test with their marks, which can be pulled elsewhere; what each cell comes to; a series of sulfate. */
export function HeatBench({ picture, take }: BenchProps) {
  const drawn = readHeatPicture(picture);
  const cells = drawn.cells
    .filter(({ points }) => points.length > 1)
    .map((cell) => ({ ...cell, key: cell.name }));
  const [chosen, setChosen] = useState<string>();
  const choices = useCurveChoices();
  const [pulled, setPulled] = useState<Pulled | null>(null);
  const one = cells.find(({ name }) => name === chosen) ?? cells[0];
  if (!one)
    return (
      <Typography color="text.secondary">
        The curves stand here once the record is kept, its cells are named as it names them, and the moment of
        the water is stamped.
      </Typography>
    );
  const keep = (why: string): void => {
    if (!pulled || !take) return;
    const row = newRow();
    const says = { channel: pulled.cell, mark: pulled.mark.mark, at: pulled.at.toFixed(2), why };
    for (const [column, text] of Object.entries(says)) take(pathOf('moved', row, column), text);
    setPulled(null);
  };
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <CurveChoices of={choices} />
        {cells.length > 1 ? (
          <ToggleButtonGroup
            exclusive
            size="small"
            value={one.name}
            onChange={(_, value: string | null) => value && setChosen(value)}
            aria-label="Marks of cell"
          >
            {cells.map(({ name }) => (
              <ToggleButton key={name} value={name}>
                {name}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        ) : null}
        <Button size="small" onClick={() => saveText('curves.csv', csvOf(drawn))}>
          Curves, CSV
        </Button>
      </Box>
      <HeatChart
        cells={cells}
        chosen={one.key}
        shown={choices.shown}
        log={choices.log}
        whole={choices.whole}
        from={drawn.from}
        put={take ? (cell, mark, at) => setPulled({ cell, mark, at }) : undefined}
      />
      {pulled ? <Why pulled={pulled} keep={keep} leave={() => setPulled(null)} /> : null}
      <Marks
        cell={one.name}
        marks={one.marks}
        pull={take ? 'Pull a mark on the curve to put it elsewhere.' : ''}
      />
      <Heats cells={cells} from={drawn.from} />
      <Sets sets={drawn.sets} />
      <Blends blends={drawn.blends} />
      {drawn.doses.length > 0 ? <DoseTable doses={drawn.doses} chosen={drawn.chosen} /> : null}
    </Stack>
  );
}

/** The reason for which a mark is put elsewhere: without one it stays. */
function Why({ pulled, keep, leave }: { pulled: Pulled; keep: (why: string) => void; leave: () => void }) {
  const [why, setWhy] = useState('');
  const good = why.trim() !== '';
  return (
    <Box
      component="section"
      aria-label="Mark put elsewhere"
      sx={{ border: 1, borderColor: 'divider', p: 1.5 }}
    >
      <Typography sx={{ fontWeight: 700, mb: 1 }}>
        {`${MARK_WORDS[pulled.mark.mark]} of cell ${pulled.cell}: from ${pulled.mark.at.toFixed(2)} h to ${pulled.at.toFixed(2)} h.`}
      </Typography>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <TextField
          size="small"
          label="Why"
          value={why}
          onChange={({ target }) => setWhy(target.value)}
          onKeyDown={({ key }) => key === 'Enter' && good && keep(why.trim())}
          autoFocus
          helperText="Both are kept: where it was found, and where you put it."
          sx={{ minWidth: 320 }}
        />
        <Button variant="contained" disabled={!good} onClick={() => keep(why.trim())}>
          Put it there
        </Button>
        <Button onClick={leave}>Leave it</Button>
      </Stack>
    </Box>
  );
}

function Marks({ cell, marks, pull }: { cell: string; marks: readonly DrawnMark[]; pull: string }) {
  if (marks.length === 0)
    return <Typography color="text.secondary">{`No maximum stands out in cell ${cell} yet.`}</Typography>;
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label={`Marks of cell ${cell}`}>
        <TableHead>
          <TableRow>
            <TableCell>{`Cell ${cell}`}</TableCell>
            <TableCell align="right">h</TableCell>
            <TableCell align="right">mW/g</TableCell>
            <TableCell>Put elsewhere</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {marks.map(({ mark, at, power, was, why }) => (
            <TableRow key={mark}>
              <TableCell>{MARK_WORDS[mark]}</TableCell>
              <TableCell align="right" className="mono">
                {at.toFixed(2)}
              </TableCell>
              <TableCell align="right" className="mono">
                {power.toFixed(3)}
              </TableCell>
              <TableCell>{why ? `found at ${was?.toFixed(2) ?? 'no place'}: ${why}` : ''}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {pull ? (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
          {pull}
        </Typography>
      ) : null}
    </Box>
  );
}

/** All curves of a test in one file: hours, power and heat of each cell. */
function csvOf({ cells, from }: DrawnHeat): string {
  return csvText(
    ['cell', 'what', 't_h', 'p_mW_per_g', 'Q_J_per_g'],
    cells.flatMap(({ name, what, points, marks }) => {
      const heat = new Map(shownOf(points, marks, 'heat', from).map(({ x, y }) => [x, y]));
      return points.map(([at, power]) => [
        name,
        what,
        String(at),
        String(power),
        heat.get(at)?.toFixed(2) ?? '',
      ]);
    }),
  );
}
