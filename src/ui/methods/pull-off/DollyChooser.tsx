'use client';
import { Box, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { factText, limitsOf } from '@/core/methods';
import { setupMeasure } from '@/core/methods/measure-text';
import { dollyAnswers } from '@/core/methods/pull/dolly';
import { convert, exact } from '@/core/quantity';
import type { InstrumentProps } from '../kit';

/** Which dolly suits: by what is expected, what is asked for and how far the tester reaches. A press on one takes its size. */
export function DollyChooser({ run, data, readOnly }: InstrumentProps) {
  const us = data.system === 'US';
  const unit = us ? 'psi' : 'MPa';
  const facts = data.setup.equipment?.find(({ number }) => number === run.readings.values.tester);
  const force = setupMeasure(facts?.verifiedTo, 'force', 'N')?.toNumber();
  const asked = setupMeasure(factText(data.setup, 'pullOffLeast'), 'stress', 'MPa')?.toNumber();
  const inOwn = (mpa: number): number => (us ? convert(exact(mpa), 'MPa', 'psi').toNumber() : mpa);
  const shown = (mpa: number): string => (us ? inOwn(mpa).toFixed(0) : mpa.toFixed(1));
  const [typed, setTyped] = useState(asked ? shown(1.5 * asked) : '');
  if (readOnly) return null;
  const expected = us ? convert(exact(Number(typed) || 0), 'psi', 'MPa').toNumber() : Number(typed);
  const limits = limitsOf(data.setup);
  const range = limits.of('pull.range', data.system);
  const answers =
    force && expected > 0
      ? dollyAnswers({
          reach: force / (Math.PI * 100),
          of: 20,
          expected,
          required: asked ?? 0,
          from: (range.low?.toNumber() ?? 0) / 100,
          to: (range.high?.toNumber() ?? 100) / 100,
          reserve: limits.number('pull.reserve', data.system).toNumber(),
          accuracy: limits.number('pull.accuracy', data.system).toNumber() / 100,
        })
      : [];
  const best = answers.find(({ suits }) => suits);
  return (
    <Box sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 2 }}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        Which dolly
      </Typography>
      <TextField
        label={`Expected, ${unit}`}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        helperText="By earlier pulls or its data sheet; concrete about 4 √f′c psi [0.33 √f′c MPa]."
        error={typed !== '' && !(Number(typed) > 0)}
        sx={{ maxWidth: 320 }}
      />
      {force ? null : (
        <Typography color="text.secondary" sx={{ mt: 1 }}>
          Choose a tester whose certificate says how far it reaches.
        </Typography>
      )}
      <Box
        component="table"
        sx={{ mt: 1, borderCollapse: 'collapse', '& td, & th': { pr: 2, py: 0.5, textAlign: 'left' } }}
      >
        {answers.length > 0 ? (
          <thead>
            <tr>
              <th>Dolly</th>
              <th>{`Reaches, ${unit}`}</th>
              <th>Of its reach</th>
              <th>May be off by</th>
              <th> </th>
            </tr>
          </thead>
        ) : null}
        <tbody>
          {answers.map(({ name, reach, share, error, suits, why }) => (
            <Box component="tr" key={name} sx={{ fontWeight: name === best?.name ? 700 : 400 }}>
              <td>{name}</td>
              <td className="mono">{shown(reach)}</td>
              <td className="mono">{`${(100 * share).toFixed(0)} %`}</td>
              <td className="mono">{`${(100 * error).toFixed(1)} %`}</td>
              <td>{suits ? (name === best?.name ? 'take this one' : 'suits') : why}</td>
            </Box>
          ))}
        </tbody>
      </Box>
      {answers.length > 0 && !best ? (
        <Typography color="warning.main">
          None of the common dollies suits this tester: another tester, or a pull that is stopped at what is
          asked for.
        </Typography>
      ) : null}
    </Box>
  );
}
