'use client';
import { Box, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { sulfateToAdd } from '@/core/calorimetry';
import { type RunInput, readMeasure } from '@/core/methods';
import { CementHeatInput } from '@/core/methods/cement-heat/input';
import { sulfateHeld } from '@/core/methods/cement-heat/read-cells';

/** What to weigh of a source of sulfate for a content of the blend; nothing while the cement's own is not said. */
export function DoseToWeigh({ input }: { readonly input: RunInput }) {
  const [cement, setCement] = useState('100');
  const [wanted, setWanted] = useState('');
  if (!(input instanceof CementHeatInput)) return null;
  const own = readMeasure(input, 'sulfate')?.value.toNumber();
  const holds = sulfateHeld(input);
  if (own === undefined || holds === undefined) return null;
  const [grams, to] = [Number(cement.replace(',', '.')), Number(wanted.replace(',', '.'))];
  const asked = wanted.trim() !== '' && Number.isFinite(to) && grams > 0;
  const found = asked ? sulfateToAdd(grams, own / 100, to / 100, holds) : undefined;
  return (
    <Box
      component="section"
      aria-label="What to weigh for a content of sulfate"
      sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', mt: 1.5 }}
    >
      <TextField
        size="small"
        label="Cement, g"
        value={cement}
        onChange={({ target }) => setCement(target.value)}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        sx={{ width: 130 }}
      />
      <TextField
        size="small"
        label="Wanted SO₃, %"
        value={wanted}
        onChange={({ target }) => setWanted(target.value)}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        sx={{ width: 150 }}
      />
      <Typography role="status">
        {!asked
          ? `It has ${own} % by itself.`
          : found === undefined
            ? 'What is added holds less than that.'
            : found < 0
              ? `It has ${own} % already: sulfate is added, never taken out.`
              : `Weigh ${found.toFixed(2)} g to ${grams} g of cement.`}
      </Typography>
    </Box>
  );
}
