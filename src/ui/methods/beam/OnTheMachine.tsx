'use client';
import { Typography } from '@mui/material';
import { TextLink } from '../../parts/LinkButton';
import type { InstrumentProps } from '../kit';

/** The way to what a reading means for this beam, and for it under something else, with what is known already. */
export function OnTheMachine({ run, data }: InstrumentProps) {
  const { values } = run.live.outcome.picture;
  const known = Object.entries({
    system: data.system,
    attachment: String(values.loading),
    span: values.span,
    width: values.width,
    depth: values.depth,
  }).flatMap(([name, value]) => (value === null || value === undefined ? [] : [[name, String(value)]]));
  return (
    <Typography variant="body2">
      Another head on the ram, or a question about a spread load?{' '}
      <TextLink href={`/gear/beam-loads?${new URLSearchParams(known)}`}>
        What a reading means for this beam
      </TextLink>
    </Typography>
  );
}
