'use client';
import { Box, Button, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { DRIVE_OFF, type Drive, FRAME_CASES, type ReadingLine } from '@/core/press';
import { useNotice } from '../parts/Notice';
import { useDrive } from './use-drive';
import { useKey } from './use-key';

/** Falls that a machine of this kind stops on by itself; 0 is never. */
const DROPS = [0, 0.3, 0.5, 0.8] as const;
const TIMES = [1, 10, 60] as const;

/** The orders of a stand-in frame: what stands in it, how fast and how far it is driven. Keys: G, D, S, B. */
export function FramePanel({
  runId,
  last,
  speeds,
  end,
  unit,
  said,
  placed,
}: {
  runId: string;
  last: ReadingLine | null;
  /** Speeds that its parts ask for, mm/min, with how they are written. */
  speeds: readonly (readonly [mmPerMin: number, word: string])[];
  /** Where its record may end, mm, with how it is written. */
  end: readonly [mm: number, word: string] | null;
  unit: string;
  /** A speed as it is written, from mm/min. */
  said: (mmPerMin: number) => string;
  placed: () => void;
}) {
  const notice = useNotice();
  const [chosen, setChosen] = useState('normal');
  const [speed, setSpeed] = useState(speeds[0]?.[0] ?? DRIVE_OFF.speed);
  const [drop, setDrop] = useState<number>(0);
  const [ends, setEnds] = useState(false);
  const [times, setTimes] = useState<(typeof TIMES)[number]>(1);
  const guard = last?.door ?? false;
  const send = useDrive(runId);
  const drive = (change: Partial<Drive>): Promise<boolean> =>
    send({
      drive: {
        way: 'hold',
        speed,
        fast: false,
        guard,
        ...(drop > 0 ? { dropAt: drop } : {}),
        // A little behind it, so that what is read there lies inside of the record.
        ...(ends && end ? { endAt: 1.02 * end[0] } : {}),
        ...change,
      },
    });
  const place = async (): Promise<void> => {
    if (!(await send({ place: chosen, times }))) return;
    placed();
    notice('The beam is in. Shut the guard, then down until just clear.');
  };
  const faster = async (next: number): Promise<void> => {
    setSpeed(next);
    if (last?.pump && !last.approach) await drive({ way: 'load', speed: next });
  };
  const down = (): void => void drive({ way: 'load' });
  const hold = (): void => void drive({ way: 'hold' });
  const back = (): void => void drive({ way: 'back', fast: true });
  useKey('g', true, () => void drive({ guard: !guard }));
  useKey('d', guard, down);
  useKey('s', true, hold);
  useKey('b', guard, back);
  const pick = <T extends number>(
    label: string,
    value: T,
    set: (value: T) => void,
    choices: readonly (readonly [T, string])[],
    width: number,
  ) => (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => set(Number(event.target.value) as T)}
      sx={{ width }}
    >
      {choices.map(([each, word]) => (
        <MenuItem key={each} value={each}>
          {word}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Stack component="section" aria-label="Stand-in frame" spacing={1.5}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <TextField
          select
          label="Stand-in: what is put in"
          value={chosen}
          onChange={(event) => setChosen(event.target.value)}
          sx={{ width: 300 }}
        >
          {FRAME_CASES.map(({ id, title }) => (
            <MenuItem key={id} value={id}>
              {title}
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" onClick={place}>
          Put the beam in
        </Button>
        {pick(
          'Time',
          times,
          (next) => {
            setTimes(next);
            void send({ times: next });
          },
          TIMES.map((each) => [each, `× ${each}`] as const),
          96,
        )}
        {pick(`Speed, ${unit}`, speed, (next) => void faster(next), speeds, 150)}
        {pick(
          'Stops on a fall of',
          drop,
          setDrop,
          DROPS.map((each) => [each, each === 0 ? 'nothing' : `${100 * each} %`] as const),
          150,
        )}
        {end
          ? pick(
              'Stops at',
              ends ? 1 : 0,
              (next) => setEnds(next === 1),
              [
                [0, 'nothing set'],
                [1, end[1]],
              ] as const,
              170,
            )
          : null}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <Button variant={guard ? 'outlined' : 'contained'} onClick={() => drive({ guard: !guard })}>
          {guard ? 'Open the guard (G)' : 'Shut the guard (G)'}
        </Button>
        <Button variant="outlined" disabled={!guard} onClick={() => drive({ way: 'load', fast: true })}>
          Down, just clear
        </Button>
        <Button variant="contained" disabled={!guard} onClick={down}>
          Drive (D)
        </Button>
        <Button variant="outlined" onClick={hold}>
          Stop (S)
        </Button>
        <Button variant="outlined" disabled={!guard} onClick={back}>
          Back (B)
        </Button>
        <Typography color="text.secondary">
          {!guard
            ? 'With its guard open nothing moves.'
            : last?.pump
              ? last.approach
                ? 'It moves fast.'
                : `It is driven at ${said(last.speed ?? speed)}.`
              : 'It stands.'}
        </Typography>
      </Box>
    </Stack>
  );
}
