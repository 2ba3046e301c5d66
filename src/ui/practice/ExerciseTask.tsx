'use client';
import { Box, Button, Paper, Stack, TextField, Typography, useTheme } from '@mui/material';
import { useEffect, useState } from 'react';
import { type PaperTask, RECORD_FAULTS, type RecordTask, type SpacerTask, type Task } from '@/core/drills';
import { stackOf } from '@/core/press';
import { Line } from '../charts/Line';
import { curve, useChartSetup } from '../charts/setup';
import { BrokenFace } from '../methods/beam/BrokenBeam';
import { Fracture } from '../methods/cylinder-compression/Fracture';
import { DialFace } from '../press/DialFace';
import { PressSection } from '../press/PressSection';
import { DrivePress } from './DrivePress';

/** One task of an exercise with the place for its answer. */
export function ExerciseTask({ task, answer }: { task: Task; answer: (text: string) => void }) {
  switch (task.kind) {
    case 'dial':
      return (
        <Asked
          label="The peak hand stands at"
          help="The load, or as counted: 7 past 45,000."
          answer={answer}
          picture={
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
              <DialFace dial={task.dial} peak={task.share} live={0} unit={task.unit} size={320} />
              <DialFace dial={task.dial} peak={task.share} live={0} unit={task.unit} size={250} close />
            </Box>
          }
        />
      );
    case 'spacers':
      return <Spacers task={task} answer={answer} />;
    case 'fracture':
      return (
        <Paper sx={{ p: 2 }}>
          <Box sx={{ display: 'flex', gap: 4, alignItems: 'center', flexWrap: 'wrap' }}>
            <svg width={150} height={290} role="img" aria-label="A broken cylinder">
              <Fracture type={task.type} width={150} height={290} />
            </svg>
            <Choices
              options={['1', '2', '3', '4', '5', '6'].map((type) => [type, `Type ${type}`] as const)}
              answer={answer}
            />
          </Box>
        </Paper>
      );
    case 'record':
      return <FinishedRecord task={task} answer={answer} />;
    case 'paper':
      return <OnPaper task={task} answer={answer} />;
    case 'press':
      return <DrivePress task={task} answer={answer} />;
  }
}

function Asked({
  label,
  help,
  picture,
  answer,
}: {
  label: string;
  help: string;
  picture: React.ReactNode;
  answer: (text: string) => void;
}) {
  const [text, setText] = useState('');
  return (
    <Paper
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        answer(text);
      }}
      sx={{ p: 2, display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}
    >
      {picture}
      <Stack spacing={2} sx={{ flex: 1, minWidth: 260 }}>
        <TextField
          label={label}
          value={text}
          onChange={(event) => setText(event.target.value)}
          helperText={help}
          autoFocus
          slotProps={{ htmlInput: { autoComplete: 'off', style: { fontSize: '1.5rem' } } }}
        />
        <Button type="submit" variant="contained" size="large" disabled={text.trim() === ''}>
          Take it
        </Button>
      </Stack>
    </Paper>
  );
}

function Spacers({ task, answer }: { task: SpacerTask; answer: (text: string) => void }) {
  const { space, unit } = task;
  return (
    <Asked
      label="Spacers"
      help="Heights with a plus between them, none, or cannot."
      answer={answer}
      picture={
        <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
          <PressSection
            space={space}
            stack={stackOf(space, [])}
            head={false}
            pads={space.give.greaterThan('0.2')}
            unit={unit}
          />
          <Lines
            lines={[
              ['Clear height', `${space.clearHeight} ${unit}`],
              ['Lower block', `${space.lowerBlock} ${unit}`],
              ['Specimen with its ends', `${space.assembly} ${unit}`],
              ['Stroke', `${space.stroke} ${unit}, of it ${stackOf(space, []).usable} to be used`],
              ['Spacers owned', space.spacers.map((each) => each.toFixed()).join(', ')],
              ['Gap wanted', `${space.gap.low} to ${space.gap.high} ${unit}`],
              ['Travel besides the gap', `${space.give} ${unit}`],
            ]}
          />
        </Box>
      }
    />
  );
}

function FinishedRecord({ task, answer }: { task: RecordTask; answer: (text: string) => void }) {
  return (
    <Box
      sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, alignItems: 'start' }}
    >
      <Paper sx={{ p: 2 }}>
        <Lines lines={task.lines} />
      </Paper>
      <Choices options={Object.entries(RECORD_FAULTS)} answer={answer} />
    </Box>
  );
}

function OnPaper({ task, answer }: { task: PaperTask; answer: (text: string) => void }) {
  if (task.options.length === 0)
    return <Asked label={task.ask} help={task.help} answer={answer} picture={<Lines lines={task.lines} />} />;
  return (
    <Box
      sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, alignItems: 'start' }}
    >
      <Paper sx={{ p: 2 }}>
        {task.broken ? <BrokenFace {...task.broken} /> : null}
        {task.curves ? <Curves {...task.curves} /> : null}
        <Lines lines={task.lines} />
      </Paper>
      <Choices options={task.options} answer={answer} />
    </Box>
  );
}

/** Curves to be read, one over the other. */
function Curves({ x, y, lines }: NonNullable<PaperTask['curves']>) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const colours = [palette.primary.main, palette.error.main];
  return (
    <Box sx={{ height: 300 }}>
      <Line
        role="img"
        aria-label={`${lines.map(({ name }) => name).join(' and ')}, ${y} over ${x}`}
        data={{
          datasets: lines.map(({ name, points }, place) =>
            curve(name, [...points], colours[place % colours.length] ?? palette.primary.main),
          ),
        }}
        options={{
          ...base,
          parsing: false,
          scales: {
            x: { ...base.scales.x, type: 'linear', title: { display: true, text: x } },
            y: { ...base.scales.y, title: { display: true, text: y } },
          },
        }}
      />
    </Box>
  );
}

/** Names and what goes with them, one under the other. */
function Lines({ lines }: { lines: readonly (readonly [name: string, text: string])[] }) {
  return (
    <Box component="dl" sx={{ m: 0, display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
      {lines.map(([name, text]) => (
        <Box key={name} sx={{ display: 'contents' }}>
          <Typography component="dt" color="text.secondary">
            {name}
          </Typography>
          <Typography component="dd" className="mono" sx={{ m: 0 }}>
            {text}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

/** Answers to choose one of, by mouse or by their number. */
function Choices({
  options,
  answer,
}: {
  options: readonly (readonly [value: string, words: string])[];
  answer: (text: string) => void;
}) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const option = options[Number(event.key) - 1];
      if (!option || event.ctrlKey || event.metaKey || (event.target as HTMLElement).closest('input')) return;
      event.preventDefault();
      answer(option[0]);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [options, answer]);
  return (
    <Stack spacing={1} role="group" aria-label="What is it?" sx={{ minWidth: 260 }}>
      {options.map(([value, words], index) => (
        <Button
          key={value}
          variant="outlined"
          onClick={() => answer(value)}
          sx={{ minHeight: 48, justifyContent: 'flex-start', textAlign: 'left', textTransform: 'none' }}
        >
          <Box component="span" className="mono" sx={{ mr: 1.5, color: 'text.secondary' }}>
            {index + 1}
          </Box>
          {words}
        </Button>
      ))}
    </Stack>
  );
}
