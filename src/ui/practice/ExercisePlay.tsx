'use client';
import { Box, Button, LinearProgress, Paper, Stack, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import { type DrillScore, type Exercise, findExercise, scoreExercise } from '@/core/drills';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';
import { DrillResult } from './DrillResult';
import { ExerciseTask } from './ExerciseTask';
import { begin, type Start } from './start';

/** An exercise from its first task to how it went. */
export function ExercisePlay({ exerciseId, first }: { exerciseId: string; first?: number | undefined }) {
  const exercise = findExercise(exerciseId) as Exercise;
  const [start, setStart] = useState<Start | null>(null);
  const [done, setDone] = useState<{ score: DrillScore; unsaved: string | null } | null>(null);
  if (done)
    return (
      <DrillResult
        score={done.score}
        unsaved={done.unsaved}
        again={() => {
          setDone(null);
          setStart(begin());
        }}
      />
    );
  if (!start)
    return (
      <Paper sx={{ p: 2, maxWidth: 640 }}>
        <Stack spacing={2}>
          <Typography>{exercise.about}</Typography>
          <Button variant="contained" size="large" onClick={() => setStart(begin(first))} autoFocus>
            Start
          </Button>
        </Stack>
      </Paper>
    );
  return (
    <Played
      key={start.id}
      exercise={exercise}
      start={start}
      onDone={(score, unsaved) => setDone({ score, unsaved })}
    />
  );
}

function Played({
  exercise,
  start,
  onDone,
}: {
  exercise: Exercise;
  start: Start;
  onDone: (score: DrillScore, unsaved: string | null) => void;
}) {
  const notice = useNotice();
  const tasks = useMemo(() => exercise.tasks(start.seed), [exercise, start.seed]);
  const [answers, setAnswers] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const task = tasks[answers.length];
  const answer = async (text: string): Promise<void> => {
    const all = [...answers, text];
    setAnswers(all);
    if (all.length < tasks.length) return;
    setBusy(true);
    const reply = await perform<{ score: DrillScore }>('record-exercise', {
      id: start.id,
      exercise: exercise.id,
      seed: start.seed,
      startedAt: new Date(start.startedAt).toISOString(),
      answers: all,
    });
    setBusy(false);
    if (!reply.ok) notice(reply.message, 'error');
    onDone(
      reply.ok ? reply.data.score : scoreExercise(exercise, start.seed, all),
      reply.ok ? null : reply.message,
    );
  };
  return (
    <Stack spacing={2}>
      {tasks.length > 1 ? (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
          <LinearProgress
            variant="determinate"
            value={(100 * answers.length) / tasks.length}
            aria-label="How far the exercise is"
            sx={{ flexGrow: 1, height: 8 }}
          />
          <Typography className="mono">
            {`${Math.min(answers.length + 1, tasks.length)}/${tasks.length}`}
          </Typography>
        </Box>
      ) : null}
      {task ? (
        <ExerciseTask key={answers.length} task={task} answer={answer} />
      ) : (
        <Typography role="status">{busy ? 'It is being judged.' : ''}</Typography>
      )}
    </Stack>
  );
}
