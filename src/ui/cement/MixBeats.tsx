'use client';
import { Box, Button, LinearProgress, Stack, Switch, Typography } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import { type Mixed, mixAt, mixEnds, stagesOf } from '@/core/cement/mixing';
import { timeNow } from '../clock';
import { alarmWanted, signal, wantAlarm } from '../field/alarm';
import { Figure } from '../parts/Figure';
import { useKey } from '../press/use-key';
import { MONO } from '../theme';

/** How often the beats look at the clock, ms. */
const TICK = 200;
/** A stage is called so many seconds before it begins. */
const AHEAD = 3;

/**
 * The beats of mixing, in large type and by sound: pressed when water and cement meet, stamped by itself at its end.
 * @param begun takes the moment of the contact, ISO 8601 @param after what is watched once mixing is over, s since its end
 */
export function MixBeats({
  mixed,
  school,
  begun,
  after,
}: {
  readonly mixed: Mixed;
  readonly school: string;
  readonly begun: (at: string) => void;
  readonly after?: (seconds: number) => React.ReactNode;
}) {
  const stages = stagesOf(mixed, school);
  const [contact, setContact] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  const [sound, setSound] = useState(false);
  const called = useRef('');
  useEffect(() => setSound(alarmWanted()), []);
  useEffect(() => {
    if (contact === null) return;
    const timer = setInterval(() => setNow(timeNow()), TICK);
    return () => clearInterval(timer);
  }, [contact]);
  const seconds = contact === null ? 0 : Math.max(0, (now - contact) / 1000);
  const { now: stage, next, left } = mixAt(stages, seconds);
  const beat = contact === null ? '' : `${stage?.to ?? 'end'}${stage && left <= AHEAD ? ' soon' : ''}`;
  useEffect(() => {
    if (!sound || beat === '' || beat === called.current) return;
    called.current = beat;
    signal(beat.endsWith('soon') ? 660 : 990, beat.endsWith('soon') ? 0.1 : 0.4);
  }, [beat, sound]);
  const begin = (): void => {
    const at = timeNow();
    setContact(at);
    setNow(at);
    begun(new Date(at).toISOString());
  };
  useKey(' ', contact === null, begin);
  const over = contact !== null && !stage;
  return (
    <Box
      component="section"
      aria-label="Beats of mixing"
      sx={{ mb: 2, borderBottom: 1, borderColor: 'divider', pb: 1.5 }}
    >
      {contact === null ? (
        <Typography color="text.secondary">{`${stages.map(({ to, say }, place) => `${stages[place - 1]?.to ?? 0} to ${to} s ${say.toLowerCase()}`).join('; ')}.`}</Typography>
      ) : over ? (
        (after?.(seconds - mixEnds(stages)) ?? (
          <Typography sx={{ fontWeight: 700, fontSize: '1.3rem' }}>Mixed.</Typography>
        ))
      ) : (
        <>
          <Typography aria-live="polite" sx={{ fontWeight: 700, fontSize: '1.6rem' }}>
            {stage?.say}
          </Typography>
          <Box sx={{ display: 'flex', gap: 3, alignItems: 'baseline' }}>
            <Typography sx={{ fontFamily: MONO, fontSize: '3rem', lineHeight: 1.1 }}>{left}</Typography>
            <Figure label="Since the water" text={`${Math.floor(seconds)} s`} />
            <Typography color="text.secondary">
              {next ? `then ${next.say.toLowerCase()}` : 'then it is mixed'}
            </Typography>
          </Box>
          <LinearProgress
            variant="determinate"
            value={(seconds / mixEnds(stages)) * 100}
            aria-label="Mixing"
          />
        </>
      )}
      <Stack direction="row" spacing={2} useFlexGap sx={{ mt: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button
          variant={contact === null ? 'contained' : 'outlined'}
          onClick={begin}
          sx={{ minHeight: 56, minWidth: 220 }}
        >
          {contact === null ? 'Water meets cement' : 'Another batch: water meets cement'}
        </Button>
        <Box component="label" sx={{ display: 'flex', alignItems: 'center' }}>
          <Switch
            checked={sound}
            onChange={({ target }) => {
              wantAlarm(target.checked);
              setSound(target.checked);
            }}
          />
          Sound
        </Box>
      </Stack>
    </Box>
  );
}
