'use client';
import { Box, Button, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import type { ChoiceStep, ReadStep } from '@/core/drills';
import type { System } from '@/core/quantity';
import { NextPress } from '../field/NextPress';
import { FieldControl } from '../runsheet/FieldControl';
import type { DrillPlayed } from './use-drill';

/** One step of a drill: what is seen, and what the person does about it, on the controls of the live screen. */
export function DrillScene({ drill, system, timed }: { drill: DrillPlayed; system: System; timed: boolean }) {
  const { step } = drill;
  if (!step) return null;
  return (
    <Stack spacing={2}>
      <Typography sx={{ fontSize: '1.2rem' }}>{step.scene}</Typography>
      {step.kind === 'choice' ? (
        <Choice key={step.id} step={step} drill={drill} timed={timed} />
      ) : step.kind === 'read' ? (
        <Read key={step.id} step={step} drill={drill} system={system} />
      ) : step.kind === 'press' ? (
        <Press drill={drill} />
      ) : (
        <Button variant="contained" size="large" onClick={() => drill.see(step)} autoFocus>
          Go on
        </Button>
      )}
    </Stack>
  );
}

function Choice({ step, drill, timed }: { step: ChoiceStep; drill: DrillPlayed; timed: boolean }) {
  const chosen = step.options[drill.choices[step.id] ?? -1];
  return (
    <Stack spacing={1} role="group" aria-label="What do you do?">
      {step.options.map((option, index) => {
        const mine = drill.choices[step.id] === index;
        return (
          <Button
            key={option.text}
            variant={mine ? 'contained' : 'outlined'}
            color={mine && !timed && !option.right ? 'error' : 'primary'}
            disabled={chosen !== undefined && !mine}
            onClick={() => {
              if (chosen) return;
              drill.choose(step.id, index);
              // Against the clock nothing is explained before the end.
              if (timed) drill.goOn();
            }}
            sx={{ minHeight: 56, justifyContent: 'flex-start', textAlign: 'left', textTransform: 'none' }}
          >
            {option.text}
          </Button>
        );
      })}
      {chosen && !timed ? (
        <Box role="status">
          <Typography sx={{ fontWeight: 700, color: chosen.right ? 'success.main' : 'error.main' }}>
            {chosen.right ? '✓ Right' : '✕ Not so'}
          </Typography>
          <Typography>{chosen.why}</Typography>
          {chosen.right ? null : (
            <Typography>{`Right: ${step.options.find(({ right }) => right)?.text}.`}</Typography>
          )}
          <Button variant="contained" size="large" fullWidth onClick={drill.goOn} sx={{ mt: 1 }} autoFocus>
            Go on
          </Button>
        </Box>
      ) : null}
    </Stack>
  );
}

function Read({ step, drill, system }: { step: ReadStep; drill: DrillPlayed; system: System }) {
  const names = Object.keys(step.truth);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const entered = names.every((name) => (typed[name] ?? drill.values[name] ?? '').trim() !== '');
  const take = (): void => {
    for (const name of names) drill.set(name, (typed[name] ?? drill.values[name] ?? '').trim());
    drill.goOn();
  };
  return (
    <Stack spacing={2}>
      {names.map((name) => {
        const field = drill.fields.get(name);
        if (!field || field.kind === 'rows') return null;
        return (
          <FieldControl
            key={name}
            field={field}
            system={system}
            value={typed[name] ?? drill.values[name] ?? ''}
            error={drill.live.errors[name]}
            zone="UTC"
            equipment={[]}
            readOnly={false}
            onType={(text) => setTyped((all) => ({ ...all, [name]: text }))}
            onSave={(text) => {
              setTyped((all) => ({ ...all, [name]: text }));
              drill.set(name, text.trim());
            }}
            onNext={() => undefined}
            register={() => undefined}
          />
        );
      })}
      <Button variant="contained" size="large" onClick={take} disabled={!entered}>
        Taken, go on
      </Button>
    </Stack>
  );
}

function Press({ drill }: { drill: DrillPlayed }) {
  const { step } = drill;
  if (step?.kind !== 'press') return null;
  const field = drill.fields.get(step.field);
  const event = field?.kind === 'instant' ? field.event : undefined;
  return (
    <NextPress event={event} clock={undefined} onPress={() => drill.press(step)} others={[]} undo={null} />
  );
}
