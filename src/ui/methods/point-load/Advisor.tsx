'use client';
import { Box, Button, Checkbox, FormControlLabel, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { limitsOf } from '@/core/methods';
import { orientations, type Size } from '@/core/methods/point-load/advisor';
import { LENGTH_UNIT } from '@/core/methods/press';
import { type Exact, measureIn, parseMeasure } from '@/core/quantity';
import { capital } from '@/core/words';
import type { InstrumentProps } from '../kit';
import { Section } from './Section';

const SIDES = ['First size', 'Second size', 'Third size'] as const;

/** Three sizes of a piece: the ways it may lie between the points, the best first, and what would mend the others. */
export function LumpAdvisor({ run, data, readOnly }: InstrumentProps) {
  const [awkward, setAwkward] = useState(false);
  const [typed, setTyped] = useState<readonly string[]>(['', '', '', '', '', '']);
  const { system } = data;
  const unit = LENGTH_UNIT[system];
  const limits = limitsOf(data.setup);
  const share = limits.of('point.free-end', system).low?.toNumber() ?? 0;
  const sizes = typed.map((text): Exact | undefined => {
    const read = parseMeasure(text, 'length', unit);
    return read.ok ? measureIn(read.measure, unit).value : undefined;
  });
  const read = [0, 1, 2].flatMap((side): Size[] => {
    const [one, other] = [sizes[side], sizes[side + 3]];
    if (!one || (awkward && !other)) return [];
    return [awkward && other ? [one, other] : [one]];
  });
  const [one, two, three] = read;
  const ways = one && two && three ? orientations([one, two, three], system, limits) : [];
  const field = (place: number) => (
    <TextField
      key={place}
      size="small"
      label={`${SIDES[place % 3]}${place < 3 ? '' : ', other end'}, ${unit}`}
      value={typed[place]}
      onChange={({ target }) => setTyped(typed.map((text, each) => (each === place ? target.value : text)))}
      error={(typed[place] ?? '').trim() !== '' && sizes[place] === undefined}
      helperText={
        (typed[place] ?? '').trim() !== '' && sizes[place] === undefined ? 'A length is expected.' : ' '
      }
      sx={{ width: place < 3 ? 150 : 190 }}
      slotProps={{ htmlInput: { inputMode: 'decimal', autoComplete: 'off' } }}
    />
  );
  return (
    <Box sx={{ mt: 2 }}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        How it should lie
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        Three sizes at right angles, in any order.
      </Typography>
      <FormControlLabel
        control={<Checkbox checked={awkward} onChange={(_, next) => setAwkward(next)} />}
        label="Its sides are not parallel: each size at both ends"
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>{[0, 1, 2].map(field)}</Box>
      {awkward ? (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>{[3, 4, 5].map(field)}</Box>
      ) : null}
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: 'repeat(3, 1fr)' } }}>
        {ways.map((way, order) => (
          <Box
            key={way.between}
            sx={{ borderTop: 2, borderColor: way.lawful ? 'success.main' : 'divider', pt: 1 }}
          >
            <Section
              depth={way.depth.toNumber()}
              top={way.widths[0].toNumber()}
              bottom={(way.widths[1] ?? way.widths[0]).toNumber()}
              freeEnd={way.freeEnd.toNumber()}
              share={share}
              height={130}
            />
            <Typography sx={{ fontWeight: 700, color: way.lawful ? 'success.main' : 'error.main' }}>
              {way.lawful ? (order === 0 ? '✓ Best' : '✓ Allowed') : '✕ Not like this'}
            </Typography>
            <Typography variant="body2">
              {`${way.depth} ${unit} between the points, ${way.width} ${unit} wide: ${way.ratio.toFixed(2)}.`}
            </Typography>
            {way.problems.map((problem) => (
              <Typography key={problem} variant="body2" color="error">
                {`${capital(problem)}.`}
              </Typography>
            ))}
            {way.lawful && !readOnly ? (
              <Button
                size="small"
                onClick={() => {
                  run.readings.save('depth', way.depth.toFixed());
                  const [upper, lower] = way.widths;
                  run.readings.save('width1', upper.toFixed());
                  if (lower) run.readings.save('width2', lower.toFixed());
                  run.readings.save('freeEnd', way.freeEnd.toFixed());
                }}
              >
                Take these sizes
              </Button>
            ) : null}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
