'use client';
import { Box, Stack } from '@mui/material';
import { useEffect, useRef } from 'react';
import { type FieldSpec, isRows } from '@/core/methods';
import { RowsControl } from '../rows/RowsControl';
import { FieldControl } from './FieldControl';
import { isTaken, type Run } from './run';
import type { RunSheetData } from './types';

interface Props {
  readonly run: Run;
  readonly data: RunSheetData;
  readonly fields: readonly FieldSpec[];
  readonly readOnly: boolean;
  /** Moves past the last or before the first of these fields. */
  readonly beyond: (step: 1 | -1) => void;
  /** Which field takes the focus when these fields come up; none on a page where the person has not begun. */
  readonly focus: 'first' | 'last' | 'none';
  readonly showMissing: boolean;
}

/** The readings of one step, one after the other; Enter takes the reading and moves on. */
export function RunFields({ run, data, fields, readOnly, beyond, focus, showMissing }: Props) {
  const elements = useRef(new Map<string, HTMLElement>());
  const { readings, live } = run;
  const names = fields.map(({ name }) => name).join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the focus moves when another step comes up, not on every change
  useEffect(() => {
    if (focus === 'none') return;
    const usual = fields.find(({ rare }) => !rare) ?? fields[0];
    const first = data.rhythm ? (fields.find((field) => isAsked(run, field)) ?? usual) : usual;
    const at = focus === 'first' ? first : (fields.findLast(({ rare }) => !rare) ?? fields.at(-1));
    if (at) elements.current.get(at.name)?.focus();
  }, [names, focus]);
  const go = (from: string, step: 1 | -1): void => {
    const at = fields.findIndex(({ name }) => name === from);
    const rest = step === 1 ? fields.slice(at + 1) : fields.slice(0, Math.max(0, at)).toReversed();
    const next =
      data.rhythm && step === 1 ? rest.find((field) => isAsked(run, field)) : rest.find(({ rare }) => !rare);
    const element = next && elements.current.get(next.name);
    if (element) element.focus();
    else beyond(step);
  };
  return (
    <Stack spacing={2}>
      {fields.map((field) => {
        const value = readings.values[field.name] ?? '';
        const register = (element: HTMLElement | null): void => {
          if (element) elements.current.set(field.name, element);
          else elements.current.delete(field.name);
        };
        const error =
          readings.refused[field.name] ??
          live.errors[field.name] ??
          (showMissing ? live.missing[field.name] : undefined);
        if (isRows(field))
          return (
            <RowsControl
              key={field.name}
              run={run}
              data={data}
              field={field}
              readOnly={readOnly}
              error={error}
              showMissing={showMissing}
              onNext={(step) => go(field.name, step)}
              register={register}
            />
          );
        return (
          <Box key={field.name}>
            <FieldControl
              field={field}
              system={data.system}
              value={value}
              error={error}
              zone={data.zone}
              equipment={data.setup.equipment ?? []}
              readOnly={readOnly}
              onType={(text) => readings.type(field.name, text)}
              onSave={(text) => {
                readings.type(field.name, text);
                // What the field itself refuses stays in the field; everything else is saved, however odd.
                if (field.kind !== 'measure' || text.trim() === '' || live.errors[field.name] === undefined) {
                  readings.save(field.name, text);
                }
              }}
              onNext={(step) => go(field.name, step)}
              register={register}
            />
          </Box>
        );
      })}
    </Stack>
  );
}

/** True for a reading that one specimen after the other is asked for, and that is not there yet. */
export function isAsked(run: Run, field: FieldSpec): boolean {
  return !field.aside && !isTaken(run, field.name);
}
