'use client';
import { Box, Paper, Stack, TextField, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import { type LimitChanges, Limits } from '@/core/limits';
import type { System } from '@/core/quantity';
import { ageText } from '@/core/windows';
import { perform } from '../api';
import { Card } from '../parts/Card';
import { TextLink } from '../parts/LinkButton';
import { useNotice } from '../parts/Notice';
import { CompactRun } from '../runsheet/CompactRun';
import type { RunSheetData } from '../runsheet/types';
import { useNow } from '../use-now';
import { MakeCylinders } from './MakeCylinders';

interface Props {
  readonly sampleId: string;
  readonly sampledAt: number;
  readonly ticket: string;
  readonly truck: string;
  readonly remarks: string;
  readonly zone: string;
  readonly system: System;
  readonly now: number;
  readonly runs: readonly { readonly title: string; readonly data: RunSheetData }[];
  readonly cylinders: readonly {
    readonly id: string;
    readonly label: string;
    readonly ageHours: number | null;
  }[];
  readonly designatedDays: number;
  readonly limitChanges: LimitChanges;
}

/** The sample on the phone: what the clock asks for first stands first. */
export function FieldSample(props: Props) {
  const limits = useMemo(() => new Limits(props.limitChanges), [props.limitChanges]);
  const now = useNow(props.now, 1000);
  return (
    <Stack spacing={2}>
      <SampleClock {...props} now={now} limits={limits} />
      <Ticket {...props} />
      {props.runs.map(({ title, data }) => (
        <Card key={data.runId} title={title}>
          <CompactRun data={data} now={props.now} />
        </Card>
      ))}
      <Card title="Cylinders">
        {props.cylinders.length > 0 ? (
          <Box sx={{ mb: 2 }}>
            {props.cylinders.map((cylinder) => (
              <Box key={cylinder.id} sx={{ display: 'flex', justifyContent: 'space-between' }}>
                <TextLink href={`/specimens/${cylinder.id}`} className="mono">
                  {cylinder.label}
                </TextLink>
                <Typography>{cylinder.ageHours ? ageText(cylinder.ageHours) : 'held'}</Typography>
              </Box>
            ))}
          </Box>
        ) : null}
        <MakeCylinders {...props} more={props.cylinders.length > 0} />
      </Card>
    </Stack>
  );
}

function SampleClock({ sampledAt, now, runs, cylinders, limits }: Props & { limits: Limits }) {
  const seconds = Math.max(0, Math.floor((now - sampledAt) / 1000));
  const open = (method: string): boolean =>
    runs.some(({ data }) => data.method === method && data.state === 'open');
  const clocks = [
    {
      label: 'Start the slump',
      limit: limits.number('slump.start', 'US').toNumber(),
      running: open('slump'),
    },
    {
      label: 'Finish the temperature',
      limit: limits.number('temperature.complete', 'US').toNumber(),
      running: open('concrete-temperature'),
    },
    {
      label: 'Start moulding',
      limit: limits.number('sampling.moulding-start', 'US').toNumber() * 60,
      running: cylinders.length === 0,
    },
  ].filter(({ running }) => running);
  // After an hour the clocks of the fresh tests have said what they had to say.
  if (clocks.length === 0 || seconds > 3600) return null;
  return (
    <Paper sx={{ p: 2 }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline' }}>
        <Typography>Since the sample</Typography>
        <Typography className="mono" sx={{ fontSize: '2.2rem' }} role="timer">
          {minuteText(seconds)}
        </Typography>
      </Box>
      {clocks.map((each) => {
        const left = each.limit - seconds;
        return (
          <Box
            key={each.label}
            sx={{
              display: 'flex',
              justifyContent: 'space-between',
              color: left < 0 ? 'error.main' : left < each.limit * 0.3 ? 'warning.main' : 'text.primary',
            }}
          >
            <Typography sx={{ textDecoration: left < 0 ? 'line-through' : 'none' }}>{each.label}</Typography>
            <Typography className="mono" sx={{ fontWeight: 500 }}>
              {left < 0 ? `missed by ${minuteText(-left)}` : `${minuteText(left)} left`}
            </Typography>
          </Box>
        );
      })}
    </Paper>
  );
}

function minuteText(seconds: number): string {
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

function Ticket({ sampleId, ...initial }: Props) {
  const notice = useNotice();
  const [values, setValues] = useState({
    ticket: initial.ticket,
    truck: initial.truck,
    remarks: initial.remarks,
  });
  const [saved, setSaved] = useState(values);
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const save = async (field: keyof typeof values): Promise<void> => {
    if (values[field] === saved[field]) return;
    const reply = await perform('describe-sample', { sampleId, [field]: values[field] });
    setErrors(reply.ok ? {} : reply.errors);
    if (reply.ok) setSaved((all) => ({ ...all, [field]: values[field] }));
    else notice(reply.message, 'error');
  };
  const labels = { ticket: 'Ticket', truck: 'Truck', remarks: 'Remarks' } as const;
  return (
    <Card title="Ticket">
      <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: '1fr 1fr' }}>
        {(Object.keys(labels) as (keyof typeof labels)[]).map((field) => (
          <TextField
            key={field}
            label={labels[field]}
            size="medium"
            value={values[field]}
            onChange={(event) => setValues((all) => ({ ...all, [field]: event.target.value }))}
            onBlur={() => save(field)}
            error={errors[field] !== undefined}
            helperText={errors[field] ?? (values[field] === saved[field] ? '' : 'not saved yet')}
            multiline={field === 'remarks'}
            sx={field === 'remarks' ? { gridColumn: '1 / -1' } : {}}
          />
        ))}
      </Box>
    </Card>
  );
}
