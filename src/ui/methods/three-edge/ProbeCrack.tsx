'use client';
import { Box, Button, Stack, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useState } from 'react';
import { fieldsOf, pathOf } from '@/core/methods';
import { barrelOf } from '@/core/methods/three-edge/barrel';
import { ProbeRow } from '@/core/methods/three-edge/input';
import { widthAt } from '@/core/press';
import { usePressFeed } from '../../press/use-press-feed';
import { newRow } from '../../rows/use-rows';
import type { InstrumentProps } from '../kit';
import { Barrel } from './Barrel';
import { LivePipe } from './LivePipe';

const WHERE = fieldsOf(ProbeRow).flatMap((field) =>
  field.kind === 'choice' && field.name === 'where' ? field.options : [],
);
const SAYS: Readonly<Record<string, string>> = {
  'it is the crack': 'It is the crack: over a foot [300 mm], probe by probe.',
  'it is not': 'It is not the crack yet.',
  'probe on': 'It cannot be told yet: probe where the arrows are.',
};
/** The leaf of the gauge, mm, and a hairline that the eye sees. */
const LEAF_MM = 0.254;
const SEEN_MM = 0.05;

/** The crack, probed place by place on the unrolled barrel: it says by itself when it is the crack. */
export function ProbeCrack(props: InstrumentProps) {
  const { run, data, readOnly } = props;
  const { values } = run.live.outcome.picture;
  const [where, setWhere] = useState('invert');
  const [place, setPlace] = useState<number | null>(null);
  const machine = data.setup.equipment?.find(({ number }) => number === run.readings.values.machine);
  const { state } = usePressFeed(
    machine?.live && !readOnly ? machine.number : undefined,
    null,
    data.system === 'US' ? 'lbf' : 'kN',
    null,
  );
  const barrel = barrelOf(run.live.outcome.picture);
  if (readOnly || !barrel) return null;
  const { unit } = barrel;
  const mm = (at: number): number => (unit === 'in' ? at * 25.4 : at);
  const add = (at: number, enters: boolean): void => {
    const row = newRow();
    run.readings.save(pathOf('probes', row, 'at'), String(at));
    run.readings.save(pathOf('probes', row, 'enters'), enters ? 'yes' : 'no');
    run.readings.save(pathOf('probes', row, 'where'), where);
    setPlace(null);
  };
  const crack = state.simulated ? state.last?.crack : undefined;
  // A crack that is made up answers the leaf by itself: it lies along the invert.
  const tried = (at: number): void =>
    state.simulated
      ? add(at, where === 'invert' && crack !== undefined && widthAt(crack, mm(at)) >= LEAF_MM)
      : setPlace(at);
  const says = String(values.says ?? '');
  return (
    <>
      <Box
        component="section"
        aria-label="Probe the crack"
        sx={{ mb: 2, borderBottom: 1, borderColor: 'divider', pb: 1.5 }}
      >
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', mb: 1 }}>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={where}
            onChange={(_, next: string | null) => next && setWhere(next)}
            aria-label="Which crack"
          >
            {WHERE.map(({ value, label }) => (
              <ToggleButton key={value} value={value}>
                {label}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
        <Box component="section" aria-label="Along the barrel" tabIndex={0} sx={{ overflowX: 'auto' }}>
          <Box sx={{ minWidth: 520 }}>
            <Barrel barrel={barrel} pick={tried} />
          </Box>
        </Box>
        <Typography
          role="status"
          sx={{ fontWeight: 700, color: says === 'it is the crack' ? 'error.main' : 'text.primary' }}
        >
          {SAYS[says] ?? `Tap a place on the barrel, or type it below: ${unit} from the spigot.`}
        </Typography>
        {place === null ? null : (
          <Stack
            direction="row"
            spacing={1}
            useFlexGap
            sx={{ mt: 1, alignItems: 'center', flexWrap: 'wrap' }}
          >
            <Typography className="mono">{`${place} ${unit}: the leaf`}</Typography>
            <Button variant="contained" onClick={() => add(place, true)} sx={{ minHeight: 44 }}>
              Goes in
            </Button>
            <Button variant="outlined" onClick={() => add(place, false)} sx={{ minHeight: 44 }}>
              Does not
            </Button>
            <Button onClick={() => setPlace(null)}>Not here</Button>
          </Stack>
        )}
        {state.simulated ? (
          <Typography variant="body2" color="text.secondary">
            {crack && crack.wide >= SEEN_MM
              ? `The stand-in shows a crack along the invert, widest about ${(crack.at / (unit === 'in' ? 25.4 : 1)).toFixed(0)} ${unit} from the spigot. A tap tries the leaf.`
              : 'The stand-in shows no crack yet. A tap tries the leaf.'}
          </Typography>
        ) : null}
      </Box>
      <LivePipe {...props} />
    </>
  );
}
