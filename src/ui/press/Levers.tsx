'use client';
import {
  Box,
  Button,
  MenuItem,
  Slider,
  Stack,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { useCallback, useEffect, useRef, useState } from 'react';
import { PRESS_CASES, type ReadingLine } from '@/core/press';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';

/** A slider sends many places on its way; the device is told at most this often. */
const SEND_MS = 120;
const STEP = 0.01;

interface Controls {
  readonly pump: boolean;
  readonly approach: boolean;
  readonly fine: number;
  readonly door: boolean;
}

const OFF: Controls = { pump: false, approach: false, fine: 0, door: false };

/** The levers and the knob of a stand-in press, and what is put into it. Keys: P, A, D, arrows. */
export function Levers({
  runId,
  last,
  placed,
}: {
  runId: string;
  last: ReadingLine | null;
  /** Called when another specimen stands in the press. */
  placed: (caseId: string) => void;
}) {
  const notice = useNotice();
  const [controls, setControls] = useState<Controls>(OFF);
  const [chosen, setChosen] = useState('normal');
  const [times, setTimes] = useState<1 | 10>(1);
  const waiting = useRef<Controls | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  // What the press itself says stands, until somebody here has moved a lever.
  const touched = useRef(false);
  useEffect(() => {
    if (touched.current || !last) return;
    setControls({ pump: last.pump, approach: last.approach, fine: last.fine, door: last.door });
  }, [last]);
  const send = useCallback(
    async (data: object): Promise<boolean> => {
      const reply = await perform('drive-press', { runId, ...data });
      if (!reply.ok) notice(reply.message, 'error');
      return reply.ok;
    },
    [runId, notice],
  );
  const move = useCallback(
    (change: Partial<Controls>) => {
      touched.current = true;
      setControls((now) => {
        const next = { ...now, ...change };
        // A door that opens stops the pump; so does nothing else.
        const safe = next.pump && !next.door ? { ...next, pump: false } : next;
        waiting.current = safe;
        timer.current ??= setTimeout(() => {
          timer.current = null;
          if (waiting.current) void send({ levers: waiting.current });
        }, SEND_MS);
        return safe;
      });
    },
    [send],
  );
  useEffect(() => {
    if (last && !last.door && last.pump && Math.abs(last.load) > 1 && controls.door) move({ door: false });
  }, [last, controls.door, move]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const at = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey || at.closest('input, textarea, [role="slider"]'))
        return;
      const change = changeOf(event.key, controls);
      if (!change) return;
      event.preventDefault();
      move(change);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const place = async (): Promise<void> => {
    if (!(await send({ place: chosen, times }))) return;
    touched.current = false;
    setControls(OFF);
    placed(chosen);
    notice('The specimen is in. Shut the door, then the pump.');
  };
  const lever = (name: string, on: boolean, words: readonly [string, string], set: (on: boolean) => void) => (
    <Box>
      <Typography variant="overline" component="div">
        {name}
      </Typography>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={on ? 'on' : 'off'}
        onChange={(_, value: string | null) => value && set(value === 'on')}
        aria-label={name}
      >
        <ToggleButton value="off">{words[0]}</ToggleButton>
        <ToggleButton value="on">{words[1]}</ToggleButton>
      </ToggleButtonGroup>
    </Box>
  );
  return (
    <Box
      component="section"
      aria-label="Stand-in press"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-end' }}
    >
      <Stack direction="row" spacing={1} sx={{ alignItems: 'flex-end' }}>
        <TextField
          select
          label="Stand-in: what is put in"
          value={chosen}
          onChange={(event) => setChosen(event.target.value)}
          sx={{ width: 230 }}
        >
          {PRESS_CASES.map(({ id, title }) => (
            <MenuItem key={id} value={id}>
              {title}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Time"
          value={times}
          onChange={(event) => {
            const next = Number(event.target.value) === 10 ? 10 : 1;
            setTimes(next);
            void send({ times: next });
          }}
          sx={{ width: 96 }}
        >
          <MenuItem value={1}>× 1</MenuItem>
          <MenuItem value={10}>× 10</MenuItem>
        </TextField>
        <Button variant="outlined" onClick={place}>
          Put the specimen in
        </Button>
      </Stack>
      {lever('Door (D)', controls.door, ['open', 'shut'], (door) => move({ door }))}
      {lever('Pump (P)', controls.pump, ['off', 'on'], (pump) => move({ pump }))}
      {lever('Approach (A)', controls.approach, ['off', 'full'], (approach) => move({ approach }))}
      <Box sx={{ flexGrow: 1, minWidth: 200 }}>
        <Typography variant="overline" component="div">
          {`Fine knob (arrows): ${(controls.fine * 100).toFixed(0)} %`}
        </Typography>
        <Slider
          value={controls.fine}
          min={0}
          max={1}
          step={STEP}
          onChange={(_, value) => move({ fine: value as number })}
          aria-label="Fine knob"
        />
      </Box>
    </Box>
  );
}

/** What a key does to the controls; null for every other key. */
function changeOf(key: string, now: Controls): Partial<Controls> | null {
  const knob = (by: number): Partial<Controls> => ({
    fine: Math.min(1, Math.max(0, Number((now.fine + by).toFixed(3)))),
  });
  switch (key) {
    case 'p':
      return { pump: !now.pump };
    case 'a':
      return { approach: !now.approach };
    case 'd':
      return { door: !now.door };
    case 'ArrowUp':
      return knob(STEP);
    case 'ArrowDown':
      return knob(-STEP);
    default:
      return null;
  }
}
