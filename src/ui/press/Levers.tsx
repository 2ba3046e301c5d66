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
  /** Where the levers stand now, before the screen has been drawn. */
  const stand = useRef<Controls>(OFF);
  const waiting = useRef(false);
  const sending = useRef(false);
  // What the press itself says stands, until somebody here has moved a lever.
  const touched = useRef(false);
  // After another specimen was put in, lines that were still on their way tell of the levers before it.
  const settling = useRef(false);
  const put = useCallback((next: Controls): void => {
    stand.current = next;
    setControls(next);
  }, []);
  useEffect(() => {
    if (touched.current || !last) return;
    if (settling.current && (last.pump || last.door)) return;
    settling.current = false;
    put({ pump: last.pump, approach: last.approach, fine: last.fine, door: last.door });
  }, [last, put]);
  const send = useDrive(runId);
  /** Tells the press where the levers stand until it has been told the newest. */
  const tell = useCallback(async (): Promise<void> => {
    sending.current = true;
    let arrived = true;
    while (waiting.current) {
      await new Promise((resolve) => setTimeout(resolve, SEND_MS));
      waiting.current = false;
      arrived = await send({ levers: stand.current });
    }
    sending.current = false;
    // It never heard of it: what it says itself stands again.
    if (!arrived) touched.current = false;
  }, [send]);
  const move = useCallback(
    (change: Partial<Controls>) => {
      touched.current = true;
      const next = { ...stand.current, ...change };
      // A door that opens stops the pump; so does nothing else.
      put(next.pump && !next.door ? { ...next, pump: false } : next);
      waiting.current = true;
      if (!sending.current) void tell();
    },
    [put, tell],
  );
  useEffect(() => {
    if (last && !last.door && last.pump && Math.abs(last.load) > 1 && controls.door) move({ door: false });
  }, [last, controls.door, move]);
  const place = async (): Promise<void> => {
    if (!(await send({ place: chosen, times }))) return;
    touched.current = false;
    settling.current = true;
    put(OFF);
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
