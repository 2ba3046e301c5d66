'use client';
import { Alert, Box, Button, ButtonBase, Typography } from '@mui/material';
import { useState } from 'react';
import { FRACTURE_PATH, type FractureType, LOW_BREAK_ADVICE } from '@/core/methods/cylinder-compression';
import type { InstrumentProps } from '../kit';
import { Fracture } from './Fracture';

const TYPES: readonly FractureType[] = ['1', '2', '3', '4', '5', '6'];

/** The fracture by one question at a time, each type in its picture beside it; a low result says what to look at. */
export function FracturePath({ run, readOnly }: InstrumentProps) {
  const [trail, setTrail] = useState<readonly string[]>(['fallen']);
  const [first, setFirst] = useState('');
  const chosen = run.readings.values.fracture ?? '';
  const question = FRACTURE_PATH.find(({ id }) => id === trail.at(-1));
  const low = run.live.outcome.findings.some(({ id }) => id === 'cylinder.low-against-expected');
  const name = (type: FractureType): void => {
    run.readings.save('fracture', type);
    setTrail(['fallen']);
    setFirst('');
  };
  if (readOnly) return null;
  return (
    <Box sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 2 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(6, 1fr)', gap: 0.5, mb: 2 }}>
        {TYPES.map((type) => (
          <ButtonBase
            key={type}
            onClick={() => name(type)}
            aria-pressed={chosen === type}
            aria-label={`Fracture type ${type}`}
            sx={{
              flexDirection: 'column',
              p: 0.5,
              border: 2,
              borderColor: chosen === type ? 'primary.main' : 'transparent',
            }}
          >
            <svg width="58" height="104" aria-hidden="true">
              <Fracture type={type} width={58} height={104} />
            </svg>
            <Typography className="mono">{type}</Typography>
          </ButtonBase>
        ))}
      </Box>
      {question ? (
        <Box aria-live="polite">
          <Typography variant="h2" sx={{ mb: 1 }}>
            {question.question}
          </Typography>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            {question.answers.map(({ label, leads }) => (
              <Button
                key={label}
                variant="outlined"
                size="large"
                onClick={() => {
                  if ('type' in leads) name(leads.type);
                  else if ('first' in leads) setFirst(leads.first);
                  else {
                    setFirst('');
                    setTrail([...trail, leads.ask]);
                  }
                }}
              >
                {label}
              </Button>
            ))}
            {trail.length > 1 ? (
              <Button size="large" color="secondary" onClick={() => setTrail(trail.slice(0, -1))}>
                Back
              </Button>
            ) : null}
          </Box>
          {first ? (
            <Alert severity="warning" sx={{ mt: 1 }}>
              {first}
            </Alert>
          ) : null}
        </Box>
      ) : null}
      {low ? (
        <Alert severity="warning" sx={{ mt: 2 }}>
          Low. Keep the pieces, then look in this order:
          <ol style={{ margin: '4px 0 0', paddingLeft: 20 }}>
            {LOW_BREAK_ADVICE.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ol>
        </Alert>
      ) : null}
    </Box>
  );
}
