'use client';
import { Box, Button, FormControlLabel, Stack, Switch, Typography } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import type { PipePhase, PipeView } from '@/core/pipe/watch';
import { convert, exact, withThousands } from '@/core/quantity';
import { perform } from '../../api';
import { timeNow } from '../../clock';
import { alarmWanted, signal, wantAlarm } from '../../field/alarm';
import { Figure } from '../../parts/Figure';
import { KnobList } from '../../parts/Knobs';
import { useNotice } from '../../parts/Notice';
import type { InstrumentProps } from '../kit';
import { marksOf } from './Bench';
import { LoadBoard, type Marks } from './LoadBoard';
import { TapLoad } from './TapLoad';
import { usePipeFeed } from './use-pipe-feed';

/** The pipe as it is loaded: both rates, what comes next, and the loads taken off the gauge by one press each. */
export function LivePipe(props: InstrumentProps) {
  const { run, data, readOnly } = props;
  const machine = data.setup.equipment?.find(({ number }) => number === run.readings.values.machine);
  const marks = marksOf(run.live.outcome.picture.values);
  if (readOnly || !machine || !marks) return null;
  if (!machine.live) return <TapLoad {...props} marks={marks} key={machine.number} />;
  return <Followed {...props} machine={machine.number} marks={marks} key={machine.number} />;
}

const PITCH: Readonly<Partial<Record<PipePhase, number>>> = { soon: 660, second: 880, design: 990 };

function Followed({
  run,
  data,
  machine,
  marks,
}: InstrumentProps & { readonly machine: string; readonly marks: Marks }) {
  const { turn, design, first, second, ultimate } = marks;
  const goal = { turn, design, first, second, ...(ultimate === null ? {} : { ultimate }) };
  const feed = usePipeFeed(machine, data, goal);
  const { unit, view, state, load, down } = feed;
  const shown = (value: number): string =>
    unit === 'lbf' ? withThousands(String(Math.round(value / 10) * 10)) : value.toFixed(1);
  const phase = view?.phase ?? 'waiting';
  const heard = state.last !== null;
  const told = useRef<PipePhase | null>(null);
  useEffect(() => {
    if (!heard) return;
    const pitch = PITCH[phase];
    // What it was in already, when this step was opened, is no news.
    if (pitch && told.current !== null && told.current !== phase && alarmWanted()) signal(pitch, 0.15);
    told.current = phase;
  }, [phase, heard]);
  const note = (field: string): void => run.readings.save(field, shown(load));
  const end = (ended: 'peak' | 'stopped'): void => {
    const record = feed.record.current;
    const start = record.find(([, each]) => each > 0.005 * design)?.[0] ?? record[0]?.[0] ?? 0;
    const rows = record
      .filter(([at]) => at >= start)
      .map(([at, each]) => `${(at - start).toFixed(1)} ${each.toFixed(unit === 'lbf' ? 0 : 2)}`);
    run.readings.save('most', shown(view?.peak ?? 0));
    run.readings.save('ended', ended);
    run.readings.save('testedAt', new Date(timeNow()).toISOString());
    if (rows.length > 1) run.readings.save('trace', rows.join('\n'));
  };
  const [sound, setSound] = useState(false);
  useEffect(() => setSound(alarmWanted()), []);
  const bad = down || view?.fast === true;
  return (
    <Box
      component="section"
      aria-label={`${machine} live`}
      sx={{ mb: 2, borderBottom: 1, borderColor: 'divider', pb: 1.5 }}
    >
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'baseline' }}>
        <Figure label={`Load, ${unit}`} text={heard ? shown(load) : '…'} />
        <Figure label={`Rate, ${unit}/min`} text={view && phase !== 'waiting' ? shown(view.rate) : '…'} />
        <Figure label="At most now" text={view?.most ? shown(view.most) : 'none'} />
        <Figure label="Peak held" text={heard ? shown(view?.peak ?? 0) : '…'} />
        <Figure label={comesNext(view)[0]} text={comesNext(view)[1]} />
      </Box>
      <Typography
        aria-live="polite"
        sx={{ fontWeight: 700, my: 1, color: bad ? 'error.main' : 'success.main' }}
      >
        {down ? 'The line to the machine is down: what stands here is old.' : wordsOf(view, machine)}
      </Typography>
      <FormControlLabel
        control={
          <Switch
            checked={sound}
            onChange={(_, on) => {
              wantAlarm(on);
              setSound(on);
            }}
          />
        }
        label="Sound at the marks"
      />
      <LoadBoard marks={marks} points={state.curve} force={unit} live={phase !== 'waiting'} />
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', mt: 1 }}>
        <Button variant="outlined" onClick={() => note('hairline')}>
          First hairline now
        </Button>
        <Button variant="outlined" onClick={() => note('sound')}>
          Probed, not the crack
        </Button>
        <Button variant="outlined" onClick={() => note('opened')}>
          It is the crack
        </Button>
        <Button variant={phase === 'ended' ? 'contained' : 'outlined'} onClick={() => end('peak')}>
          It takes no more
        </Button>
        <Button variant="outlined" onClick={() => end('stopped')}>
          Stopped unbroken
        </Button>
      </Stack>
      {state.simulated ? <StandIn runId={data.runId} most={first} unit={unit} anew={feed.anew} /> : null}
    </Box>
  );
}

/** What comes next, and in how many seconds. */
function comesNext(view: PipeView | null): readonly [string, string] {
  if (!view || view.phase === 'waiting') return ['To the first mark', '…'];
  if (view.toTurn !== null) return ['s to slow down', view.toTurn.toFixed(0)];
  if (view.toDesign !== null) return ['s to the design load', view.toDesign.toFixed(0)];
  return ['Seconds', view.seconds.toFixed(0)];
}

function wordsOf(view: PipeView | null, machine: string): string {
  if (!view) return `Following ${machine}.`;
  if (view.fast)
    return view.phase === 'first' || view.phase === 'soon'
      ? 'Too fast for the first rate: ease the pump.'
      : 'Too fast past three quarters: ease the pump. So it reads high.';
  const words: Readonly<Record<PipePhase, string>> = {
    waiting: `Following ${machine}. Zero, everybody clear, then take up the slack.`,
    first: 'First rate.',
    soon: 'Get ready: slow down at the next mark.',
    second: 'Second rate, evenly. Look for the crack from here on.',
    design: 'Design load: stop, hold, probe the whole line. Pump up what sinks.',
    past: 'Past the design load: small steps, probe at each; no rate asks for more.',
    falling: 'It falls: keep pumping evenly and see whether it recovers.',
    ended: 'It takes no more. Unload before anybody goes near.',
  };
  return words[view.phase];
}

const KNOB = { rate: { words: 'Pump set to', from: 0, to: 100, step: 1, start: 80 } } as const;

/** The pump of a stand-in. A real one is worked by hand. */
function StandIn({
  runId,
  most,
  unit,
  anew,
}: {
  readonly runId: string;
  /** The first rate: the knob goes to a quarter more. */
  readonly most: number;
  readonly unit: 'lbf' | 'kN';
  readonly anew: () => void;
}) {
  const notice = useNotice();
  const [share, setShare] = useState<number>(KNOB.rate.start);
  const [fast, setFast] = useState(false);
  const rate = (1.25 * most * share) / 100;
  const work = async (what: 'place' | 'release' | 'flow', more: object = {}): Promise<void> => {
    const reply = await perform('pump-frame', { runId, what, ...more });
    if (!reply.ok) notice(reply.message, 'error');
    else if (what === 'place') anew();
  };
  const flow = (given: number): Promise<void> =>
    work('flow', {
      rate: unit === 'lbf' ? convert(exact(given), 'lbf', 'kN').toNumber() : given,
      times: fast ? 10 : 1,
    });
  return (
    <Box sx={{ mt: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center' }}>
        <Box sx={{ minWidth: 260, flex: 1, maxWidth: 420 }}>
          <KnobList
            knobs={KNOB}
            values={{ rate: share }}
            words={{
              rate: (value) => `${withThousands(((1.25 * most * value) / 100).toFixed(0))} ${unit}/min`,
            }}
            turn={(_, value) => setShare(value)}
          />
        </Box>
        <FormControlLabel
          control={<Switch checked={fast} onChange={(_, on) => setFast(on)} />}
          label="Ten times as fast"
        />
      </Box>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Button variant="outlined" onClick={() => void work('place', { times: 1 })}>
          Set the pipe
        </Button>
        <Button variant="contained" onClick={() => void flow(rate)} sx={{ minWidth: 120 }}>
          Pump
        </Button>
        <Button variant="outlined" onClick={() => void flow(0)}>
          Hold
        </Button>
        <Button variant="outlined" onClick={() => void work('release')}>
          Open the valve
        </Button>
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        A stand-in press: its pipe, and the crack in it, are made up.
      </Typography>
    </Box>
  );
}
