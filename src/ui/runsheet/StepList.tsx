'use client';
import { Box, ButtonBase, Typography } from '@mui/material';
import { type CellSpec, isRows, type Step } from '@/core/methods';
import { withUnit } from '@/core/quantity';
import { clock } from '../time';
import { useNow } from '../use-now';
import { isTaken, type Run, refusedAt, stepFields, takenRows } from './run';
import { StepClockView } from './StepClock';
import type { RunSheetData } from './types';

/** The ordered steps, each with what was read there; the one in hand stands open with its instruction. */
export function StepList({
  run,
  data,
  current,
  choose,
  now: initial,
}: {
  run: Run;
  data: RunSheetData;
  current: string;
  choose: (stepId: string) => void;
  now: number;
}) {
  const now = useNow(initial, 1000);
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {run.method.steps.map((step, index) => {
        const open = step.id === current;
        return (
          <Box
            component="li"
            key={step.id}
            sx={{
              borderBottom: 1,
              borderColor: 'divider',
              borderLeft: 4,
              borderLeftColor: open ? 'primary.main' : 'transparent',
            }}
          >
            <ButtonBase
              onClick={() => choose(step.id)}
              aria-current={open ? 'step' : undefined}
              sx={{
                width: '100%',
                justifyContent: 'flex-start',
                textAlign: 'left',
                px: 1,
                py: 0.75,
                gap: 1,
                alignItems: 'baseline',
              }}
            >
              <Typography
                className="mono"
                component="span"
                color={isRefused(run, step) ? 'error' : 'text.secondary'}
              >
                {isRefused(run, step) ? '✕' : isDone(run, step) ? '✓' : index + 1}
              </Typography>
              <Box component="span" sx={{ minWidth: 0 }}>
                <Typography component="span" sx={{ fontWeight: open ? 700 : 400 }}>
                  {step.title}
                </Typography>
                <Typography
                  component="span"
                  variant="body2"
                  color="text.secondary"
                  sx={{ display: 'block', overflowWrap: 'anywhere' }}
                >
                  {summary(run, step, data)}
                </Typography>
              </Box>
            </ButtonBase>
            {open ? (
              <Box sx={{ px: 1, pb: 1 }}>
                <Typography variant="body2">{step.instruction}</Typography>
                {step.caution ? (
                  <Typography
                    variant="body2"
                    sx={{ mt: 1, p: 1, bgcolor: 'warning.light', color: 'warning.main' }}
                  >
                    <strong>Caution. </strong>
                    {step.caution}
                  </Typography>
                ) : null}
              </Box>
            ) : null}
            {step.clock ? <StepClockView clock={step.clock} run={run} data={data} now={now} /> : null}
          </Box>
        );
      })}
    </Box>
  );
}

/** True when something typed at this step cannot be used; it is marked, since one may have moved on. */
function isRefused(run: Run, step: Step): boolean {
  return step.fields.some((name) => refusedAt(run, name));
}

function isDone(run: Run, step: Step): boolean {
  const wanted = step.fields.filter((name) => run.fields.get(name)?.required);
  const taken = step.fields.filter((name) => isTaken(run, name));
  return wanted.every((name) => taken.includes(name)) && taken.length > 0;
}

function summary(run: Run, step: Step, data: RunSheetData): string {
  return stepFields(run, step.fields)
    .map((field) =>
      isRows(field)
        ? rowsTaken(takenRows(run, field.name), field.row)
        : shortReading(field, run.readings.values[field.name] ?? '', data),
    )
    .filter(Boolean)
    .join(', ');
}

function rowsTaken(count: number, row: string): string {
  return count === 0 ? '' : `${count} ${count === 1 ? row : severalOf(row)}`;
}

/** Several of what one is called: dollies, caps. */
function severalOf(word: string): string {
  return /[^aeiou]y$/u.test(word) ? `${word.slice(0, -1)}ies` : `${word}s`;
}

function shortReading(field: CellSpec, text: string, data: RunSheetData): string {
  if (text === '') return '';
  if (field.kind === 'check') return 'done';
  if (field.kind === 'log') return 'record kept';
  if (field.kind === 'instant') return clock(text, data.zone);
  if (field.kind === 'choice')
    return field.options.find(({ value }) => value === text)?.label.split(':')[0] ?? text;
  if (field.kind === 'measure') {
    return /[a-z"'°%:]/iu.test(text) ? text : withUnit(text, field.unit[data.system]);
  }
  return text.length > 40 ? `${text.slice(0, 40)}…` : text;
}
