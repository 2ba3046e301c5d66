'use client';
import { Box, Button, FormControlLabel, Radio, RadioGroup, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { dialOf, FORCE_UNIT } from '@/core/methods/press';
import { countedBothWays, loadAtTurn, readDial } from '@/core/press';
import { plainOf, unitLabel } from '@/core/quantity';
import type { InstrumentProps } from '../methods/kit';
import { DialFace } from './DialFace';
import { machineOf } from './machine-of';
import { TapRate } from './TapRate';

/**
 * The dial of the machine, drawn from its own marks: the two hands are set by dragging, or said in words as they are
 * counted, and the load follows.
 */
export function DialReader({ run, data, readOnly }: InstrumentProps) {
  const use = run.method.press;
  const machine = machineOf(run, data);
  const dial = dialOf(machine, data.system);
  const [words, setWords] = useState('');
  const [hand, setHand] = useState<'peak' | 'live'>('peak');
  const [turned, setTurned] = useState({ peak: 0, live: 0 });
  if (!dial || !use || readOnly) return null;
  const unit = FORCE_UNIT[data.system];
  const test = use.test(run.live.input, data.setup);
  const rateField = use.fields.rate;
  const typed = words.trim() === '' ? null : readDial(words, dial);
  const peak = typed?.ok ? typed.load : loadAtTurn(turned.peak, dial);
  const live = loadAtTurn(turned.live, dial);
  const both = countedBothWays(peak, dial);
  const drag = (share: number): void => {
    setWords('');
    // The live hand pushes the peak hand before it, never back.
    setTurned((now) =>
      hand === 'peak' ? { ...now, peak: share } : { live: share, peak: Math.max(now.peak, share) },
    );
  };
  const offZero = live.greaterThan(0) && run.readings.values[use.fields.load] !== undefined;
  return (
    <Box sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 2 }}>
      <Typography variant="h3">{`Dial of ${machine?.number}`}</Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <DialFace
          dial={dial}
          peak={peak.div(dial.fullScale).toNumber()}
          live={turned.live}
          unit={unitLabel(unit)}
          drag={drag}
        />
        <Box sx={{ flex: 1, minWidth: 200 }}>
          <Typography
            className="mono"
            sx={{ fontSize: '2rem', lineHeight: 1.1, whiteSpace: 'nowrap' }}
            aria-live="polite"
          >
            {plainOf(peak, unit)}
          </Typography>
          <Typography color="text.secondary" sx={{ mb: 1 }}>
            {both.up === both.down ? 'On the numbered mark.' : `${both.up}; ${both.down}.`}
          </Typography>
          <TextField
            label="The peak hand in words"
            value={words}
            onChange={(event) => setWords(event.target.value)}
            error={typed !== null && !typed.ok}
            helperText={
              typed && !typed.ok ? typed.message : 'As counted: 7 past 60, 2 short of 80, or the load.'
            }
            fullWidth
            onKeyDown={(event) => {
              if (event.key !== 'Enter' || !typed?.ok) return;
              event.preventDefault();
              run.readings.save(use.fields.load, peak.toFixed());
            }}
          />
          <RadioGroup row value={hand} onChange={(_, value) => setHand(value as 'peak' | 'live')}>
            <FormControlLabel value="peak" control={<Radio size="small" />} label="Drag the peak hand" />
            <FormControlLabel value="live" control={<Radio size="small" />} label="the live hand" />
          </RadioGroup>
          <Button
            variant="contained"
            disabled={peak.isZero()}
            onClick={() => run.readings.save(use.fields.load, peak.toFixed())}
          >
            {`Take ${plainOf(peak, unit)} as the maximum load`}
          </Button>
          <Typography variant="body2" sx={{ mt: 1 }} color={offZero ? 'error' : 'text.secondary'}>
            {offZero
              ? `The live hand stands at ${plainOf(live, unit)}, not at zero: say so under “Zero after the test”.`
              : 'Read square to the face, before anything is reset. The peak hand must have stood below the expected load before the test.'}
          </Typography>
        </Box>
      </Box>
      {test && rateField ? (
        <TapRate
          test={test}
          major={dial.major.toNumber()}
          system={data.system}
          take={(text) => run.readings.save(rateField, text)}
        />
      ) : null}
    </Box>
  );
}
