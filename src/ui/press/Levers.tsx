'use client';
import { Box, Button, MenuItem, Stack, TextField } from '@mui/material';
import { useCallback, useEffect, useRef, useState } from 'react';
import { type Levers as Controls, PRESS_CASES, type ReadingLine } from '@/core/press';
import { useNotice } from '../parts/Notice';
import { LeverPanel, LEVERS_OFF as OFF } from './LeverPanel';
import { useDrive } from './use-drive';

/** A slider sends many places on its way; the device is told at most this often. */
const SEND_MS = 120;
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
  // After another specimen was put in, lines that were still on their way tell of the levers before it.
  const settling = useRef(false);
  useEffect(() => {
    if (touched.current || !last) return;
    if (settling.current && (last.pump || last.door)) return;
    settling.current = false;
    setControls({ pump: last.pump, approach: last.approach, fine: last.fine, door: last.door });
  }, [last]);
  const send = useDrive(runId);
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
  const place = async (): Promise<void> => {
    if (!(await send({ place: chosen, times }))) return;
    touched.current = false;
    settling.current = true;
    setControls(OFF);
    placed(chosen);
    notice('The specimen is in. Shut the door, then the pump.');
  };
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
      <LeverPanel controls={controls} move={move} />
    </Box>
  );
}
