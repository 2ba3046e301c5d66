'use client';
import {
  Box,
  Button,
  LinearProgress,
  Paper,
  Stack,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from '@mui/material';
import { useMemo, useState } from 'react';
import { readClocks } from '@/core/clocks';
import {
  DECISIONS,
  type DecisionId,
  type Drill,
  type DrillScore,
  FAULTS,
  type FaultId,
  findDrill,
  scoreDrill,
} from '@/core/drills';
import { limitsOf } from '@/core/methods';
import type { System } from '@/core/quantity';
import { perform } from '../api';
import { RunningClocks } from '../field/ClockList';
import { Card } from '../parts/Card';
import { Findings } from '../parts/Findings';
import { Results } from '../runsheet/Results';
import { DrillResult } from './DrillResult';
import { DrillScene } from './DrillScene';
import { begin, type Start } from './start';
import { PACE, useDrill } from './use-drill';

/** A drill from its start to how it went. `first` fixes the first one played, for showing the same to several. */
export function DrillPlay({ drillId, first }: { drillId: string; first?: number | undefined }) {
  const drill = findDrill(drillId) as Drill;
  const [timed, setTimed] = useState(false);
  const [system, setSystem] = useState<System>('US');
  const [start, setStart] = useState<Start | null>(null);
  const [done, setDone] = useState<{ score: DrillScore; unsaved: string | null } | null>(null);
  const again = (): void => {
    setDone(null);
    setStart(begin());
  };
  if (done) return <DrillResult score={done.score} unsaved={done.unsaved} again={again} />;
  if (start) {
    return (
      <Played
        key={start.id}
        drill={drill}
        start={start}
        timed={timed}
        system={system}
        onDone={(score, unsaved) => setDone({ score, unsaved })}
      />
    );
  }
  return (
    <Card title="Before it starts">
      <Stack spacing={2} sx={{ maxWidth: 620 }}>
        <Typography>
          One thing may be wrong with this test, or nothing. Work as you would on site: press when it happens,
          enter what you see, and say at the end whether the result stands. Items marked ✱ fail the attempt
          when they are missed.
        </Typography>
        <ToggleButtonGroup
          exclusive
          value={timed ? 'timed' : 'untimed'}
          onChange={(_, value: string | null) => value && setTimed(value === 'timed')}
          aria-label="Against the clock"
        >
          <ToggleButton value="untimed" sx={{ minHeight: 56, px: 3 }}>
            Untimed, explained as it goes
          </ToggleButton>
          <ToggleButton value="timed" sx={{ minHeight: 56, px: 3 }}>
            Against the clock
          </ToggleButton>
        </ToggleButtonGroup>
        {timed ? (
          <Typography variant="body2" color="text.secondary">
            {`The clock runs ${PACE} times as fast while you wait, and second by second where a second counts.`}
          </Typography>
        ) : null}
        <ToggleButtonGroup
          exclusive
          value={system}
          onChange={(_, value: System | null) => value && setSystem(value)}
          aria-label="Units"
        >
          <ToggleButton value="US" sx={{ minHeight: 48, px: 3 }}>
            Inch-pound
          </ToggleButton>
          <ToggleButton value="SI" sx={{ minHeight: 48, px: 3 }}>
            SI
          </ToggleButton>
        </ToggleButtonGroup>
        <Button variant="contained" size="large" onClick={() => setStart(begin(first))}>
          Start
        </Button>
      </Stack>
    </Card>
  );
}

function Played({
  drill,
  start,
  timed,
  system,
  onDone,
}: {
  drill: Drill;
  start: Start;
  timed: boolean;
  system: System;
  onDone: (score: DrillScore, unsaved: string | null) => void;
}) {
  const played = useDrill(drill, start.seed, system, timed, start.startedAt);
  const { script, live, stamps, now, index } = played;
  const limits = useMemo(() => limitsOf(script.setup), [script]);
  const wanted = new Set(
    [...played.fields.values()].flatMap((field) =>
      field.kind === 'instant' && field.event ? [field.event] : [],
    ),
  );
  const running = readClocks(stamps, now, limits, system, ({ to }) => wanted.has(to)).live;
  const { Bench } = played.folder;
  const begun = Object.keys(played.values).length > 0;
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <LinearProgress
          variant="determinate"
          value={(100 * index) / script.steps.length}
          aria-label="How far the drill is"
          sx={{ flexGrow: 1, height: 8 }}
        />
        <Typography className="mono">{`${Math.min(index + 1, script.steps.length)}/${script.steps.length}`}</Typography>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          alignItems: 'start',
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 400px' },
        }}
      >
        <Paper sx={{ p: 2 }}>
          {played.step ? (
            <DrillScene drill={played} system={system} timed={timed} />
          ) : (
            <Ending
              drill={drill}
              played={played}
              start={start}
              timed={timed}
              system={system}
              onDone={onDone}
            />
          )}
        </Paper>
        <Stack spacing={2}>
          {timed ? (
            <Card title={`Clocks${played.speed > 1 ? `, ${played.speed} times as fast` : ''}`}>
              <RunningClocks clocks={running} />
            </Card>
          ) : null}
          <Card title="Live sheet">
            <Bench picture={live.outcome.picture} />
            {begun ? <Results outcome={live.outcome} method={played.method} values={played.values} /> : null}
          </Card>
          {/* Against the clock the sheet is as on site: it says at once what is wrong with a reading. */}
          {begun && live.outcome.findings.some(({ severity }) => severity !== 'advice') ? (
            <Findings findings={live.outcome.findings.filter(({ severity }) => severity !== 'advice')} />
          ) : null}
        </Stack>
      </Box>
    </Stack>
  );
}

/** The last two questions: what was wrong, and what is done with the test. */
function Ending({
  drill,
  played,
  start,
  timed,
  system,
  onDone,
}: {
  drill: Drill;
  played: ReturnType<typeof useDrill>;
  start: Start;
  timed: boolean;
  system: System;
  onDone: (score: DrillScore, unsaved: string | null) => void;
}) {
  const { script, choices, values } = played;
  const [noticed, setNoticed] = useState<FaultId | null>(null);
  const [decision, setDecision] = useState<DecisionId | null>(null);
  const [busy, setBusy] = useState(false);
  const judge = async (): Promise<void> => {
    if (!noticed || !decision) return;
    setBusy(true);
    const answers = { choices, values, decision, noticed };
    const reply = await perform<{ score: DrillScore }>('record-practice', {
      id: start.id,
      drill: drill.id,
      seed: start.seed,
      system,
      timed,
      startedAt: new Date(start.startedAt).toISOString(),
      ...answers,
    });
    setBusy(false);
    onDone(
      reply.ok ? reply.data.score : scoreDrill(drill, script, system, answers),
      reply.ok ? null : reply.message,
    );
  };
  return (
    <Stack spacing={2}>
      <Choices
        title="Was something wrong with this test?"
        options={script.suspects.map((fault) => [fault, FAULTS[fault]])}
        chosen={noticed}
        choose={setNoticed}
      />
      <Choices
        title="What is done with it?"
        options={Object.entries(DECISIONS) as [DecisionId, string][]}
        chosen={decision}
        choose={setDecision}
      />
      <Button
        variant="contained"
        size="large"
        onClick={judge}
        loading={busy}
        disabled={noticed === null || decision === null}
      >
        See how it went
      </Button>
    </Stack>
  );
}

function Choices<T extends string>({
  title,
  options,
  chosen,
  choose,
}: {
  title: string;
  options: readonly (readonly [T, string])[];
  chosen: T | null;
  choose: (value: T) => void;
}) {
  return (
    <Box role="group" aria-label={title}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        {title}
      </Typography>
      <Stack spacing={1}>
        {options.map(([value, words]) => (
          <Button
            key={value}
            variant={chosen === value ? 'contained' : 'outlined'}
            aria-pressed={chosen === value}
            onClick={() => choose(value)}
            sx={{ minHeight: 48, justifyContent: 'flex-start', textAlign: 'left', textTransform: 'none' }}
          >
            {words}
          </Button>
        ))}
      </Stack>
    </Box>
  );
}
