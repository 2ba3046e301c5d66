'use client';
import { Box, Button, Paper, Stack, TextField, Typography } from '@mui/material';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import {
  type ClockReading,
  EVENT_IDS,
  type EventId,
  isEventFor,
  nextEvent,
  readClocks,
  type Stamps,
} from '@/core/clocks';
import { type LimitChanges, Limits, type Profile } from '@/core/limits';
import type { MethodId } from '@/core/methods/registry';
import type { System } from '@/core/quantity';
import { ageText } from '@/core/windows/duration-text';
import { perform } from '../api';
import { timeNow } from '../clock';
import { InMethodFolder } from '../methods/registry';
import { AtNow } from '../parts/AtNow';
import { Card } from '../parts/Card';
import { LinkButton, TextLink } from '../parts/LinkButton';
import { useNotice } from '../parts/Notice';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';
import { useNow } from '../use-now';
import { AddTest } from './AddTest';
import { alarmWanted, signal, wantAlarm } from './alarm';
import { DoneClocks, leftText, RunningClocks } from './ClockList';
import { KeypadProvider } from './Keypad';
import { MakeSpecimens } from './MakeSpecimens';
import { NextPress } from './NextPress';
import { RunHolder } from './RunHolder';
import { stampPlaces, stampsIn } from './stamps';
import { TestCard } from './TestCard';
import { useLive } from './use-live';

interface SampleRun {
  readonly title: string;
  readonly data: RunSheetData;
}

interface Props {
  readonly sampleId: string;
  readonly lotId: string;
  readonly sampledAt: number;
  readonly ticket: string;
  readonly truck: string;
  readonly remarks: string;
  readonly zone: string;
  readonly system: System;
  readonly profile: Profile;
  readonly now: number;
  readonly specified: readonly string[];
  readonly runs: readonly SampleRun[];
  /** Tests that it was not opened with. */
  readonly tests: readonly { readonly value: MethodId; readonly label: string }[];
  readonly others: readonly { readonly id: string; readonly label: string; readonly stamps: Stamps }[];
  readonly specimens: readonly {
    readonly id: string;
    readonly label: string;
    readonly ageHours: number | null;
  }[];
  /** Kinds of specimens made of it with their curing, `beam/field`. */
  readonly made: readonly string[];
  readonly designatedDays: number;
  readonly limitChanges: LimitChanges;
}

/** Pressed by mistake: how long a press can be taken back without a reason. */
const UNDO_MS = 10_000;
/** Seconds of a lift at which the phone sounds: its least, its middle, its most. */
const LIFT_BEEPS = [3, 5, 7];

/** After these presses something is read: the card of the test that was stamped opens by itself. */
const OPENS: ReadonlySet<EventId> = new Set([
  'final-portion',
  'temperature-read',
  'slump-read',
  'flow-read',
  'air-read',
  'density-weighed',
  'moulded',
  'collected',
]);

/** The sample on the phone: what to press now, the clocks, the tests, the specimens. */
export function FieldSample(props: Props) {
  const { runs: given, system, profile } = props;
  const limits = useMemo(() => new Limits(props.limitChanges, 0, profile), [props.limitChanges, profile]);
  const [held, setHeld] = useState<ReadonlyMap<string, Run>>(new Map());
  const hold = useCallback((runId: string, run: Run) => setHeld((all) => new Map(all).set(runId, run)), []);
  useLive(props.lotId);
  // Of a test made again, the last attempt's stamps count.
  const newest = useMemo(() => newestRuns(given), [given]);
  const places = useMemo(
    () => stampPlaces(new Map([...held].filter(([runId]) => newest.has(runId)))),
    [held, newest],
  );
  const stamped = useMemo(() => stampsIn(places), [places]);
  const stamps = useMemo<Stamps>(
    () =>
      // Samples taken with one press have no sampling stamps of their own: the press was the final portion.
      stamped['first-portion'] === undefined && stamped['final-portion'] === undefined
        ? { ...stamped, 'final-portion': props.sampledAt }
        : stamped,
    [stamped, props.sampledAt],
  );
  // A test that is completed asks for nothing more, whatever of it was not stamped.
  const openRuns = useMemo(
    () => new Set(given.filter(({ data }) => data.state === 'open').map(({ data }) => data.runId)),
    [given],
  );
  const planned = useCallback(
    (event: EventId) =>
      openRuns.has(places.get(event)?.runId ?? '') && isEventFor(event, props.made, profile),
    [places, openRuns, props.made, profile],
  );
  const clocksAt = useCallback(
    (now: number) => readClocks(stamps, now, limits, system, ({ to }) => planned(to), props.made),
    [stamps, limits, system, planned, props.made],
  );
  // A clock that has ended says the same at any time.
  const done = useMemo(() => clocksAt(0).done, [clocksAt]);
  const [sound, setSound] = useState(false);
  useEffect(() => setSound(alarmWanted()), []);
  const [open, setOpen] = useState<string | null>(null);
  const [undo, setUndo] = useState<{ event: EventId; until: number } | null>(null);
  const stampWords = JSON.stringify(stamps);
  const runs = useMemo(
    () => given.map((each) => ({ ...each, data: withStamps(each.data, JSON.parse(stampWords) as Stamps) })),
    [given, stampWords],
  );

  const stamp = (event: EventId, text: string): void => {
    const place = places.get(event);
    place?.run.readings.save(place.field, text);
  };
  const press = (event: EventId): void => {
    stamp(event, new Date(timeNow()).toISOString());
    setUndo({ event, until: timeNow() + UNDO_MS });
    if (sound) signal(990, 0.06);
    if (OPENS.has(event) && planned(event)) setOpen(places.get(event)?.runId ?? null);
  };
  const event = nextEvent(stamps, planned);
  const waiting = [...held.values()].some((run) => run.readings.state === 'waiting');
  return (
    <KeypadProvider value={true}>
      {runs.map(({ data }) => (
        <InMethodFolder key={data.runId} id={data.method}>
          <RunHolder data={data} now={props.now} onRun={hold} />
        </InMethodFolder>
      ))}
      <Stack spacing={1.5}>
        <Alarm initial={props.now} clocksAt={clocksAt} stamps={stamps} sound={sound} />
        <AtNow initial={props.now} everyMs={1000}>
          {(now) => <OtherSamples {...props} now={now} limits={limits} />}
        </AtNow>
        <Paper sx={{ px: 1.5, py: 1 }}>
          {props.specified.map((line) => (
            <Typography key={line} variant="body2">
              {line}
            </Typography>
          ))}
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <Typography
              variant="body2"
              color={waiting ? 'error' : 'text.secondary'}
              role="status"
              sx={{ flexGrow: 1 }}
            >
              {waiting ? 'Not sent yet: kept on this device' : 'Saved'}
            </Typography>
            <Button
              size="small"
              color="secondary"
              aria-pressed={sound}
              onClick={() => {
                wantAlarm(!sound);
                setSound(!sound);
                if (!sound) signal();
              }}
            >
              {sound ? 'Sound is on' : 'Sound is off'}
            </Button>
          </Box>
        </Paper>
        <AtNow initial={props.now} everyMs={500}>
          {(now) => {
            const { live } = clocksAt(now);
            return (
              <NextPress
                event={event}
                clock={live.find((reading) => reading.clock.to === event) ?? live[0]}
                onPress={press}
                others={EVENT_IDS.filter(
                  (each) => each !== event && planned(each) && stamps[each] === undefined,
                )}
                undo={
                  undo && undo.until > now
                    ? {
                        event: undo.event,
                        take: () => {
                          stamp(undo.event, '');
                          setUndo(null);
                        },
                      }
                    : null
                }
              />
            );
          }}
        </AtNow>
        <Card title="Clocks">
          <AtNow initial={props.now} everyMs={500}>
            {(now) => <RunningClocks clocks={clocksAt(now).live} />}
          </AtNow>
        </Card>
        <Stack spacing={1} role="list" aria-label="Tests of this sample">
          {runs.map(({ title, data }) => (
            <TestCard
              key={data.runId}
              title={title}
              data={data}
              run={held.get(data.runId)}
              sound={sound}
              specimens={props.specimens.length}
              open={open === data.runId}
              onToggle={() => setOpen((now) => (now === data.runId ? null : data.runId))}
            />
          ))}
        </Stack>
        <AddTest sampleId={props.sampleId} tests={props.tests} />
        <Specimens {...props} finishedAt={stamps.moulded ?? null} />
        <Ticket {...props} />
        {done.length > 0 ? (
          <Card title="Clocks that ended">
            <DoneClocks clocks={done} />
          </Card>
        ) : null}
      </Stack>
    </KeypadProvider>
  );
}

function newestRuns(runs: readonly SampleRun[]): ReadonlySet<string> {
  const last = new Map<string, RunSheetData>();
  for (const { data } of runs) {
    const before = last.get(data.method);
    if (!before || data.attempt > before.attempt) last.set(data.method, data);
  }
  return new Set([...last.values()].map(({ runId }) => runId));
}

/** A run with the sample's stamps as they are on this device now, sent or not. */
function withStamps(data: RunSheetData, stamps: Stamps): RunSheetData {
  const events = Object.fromEntries(
    Object.entries(stamps).map(([event, at]) => [event, new Date(at ?? 0).toISOString()]),
  );
  const sampledAt = events['final-portion'];
  return {
    ...data,
    setup: {
      ...data.setup,
      sample: { ...data.setup.sample, events, ...(sampledAt ? { sampledAt } : {}) },
    },
  };
}

/** Sounds when a clock begins to press, when it is over, and at the seconds of a lift. */
function Alarm({
  initial,
  clocksAt,
  stamps,
  sound,
}: {
  initial: number;
  clocksAt: (now: number) => { readonly live: readonly ClockReading[] };
  stamps: Stamps;
  sound: boolean;
}) {
  const now = useNow(initial, 500);
  const { live } = clocksAt(now);
  const told = useRef(new Map<string, string>());
  useEffect(() => {
    for (const { clock, state } of live) {
      if (told.current.get(clock.id) === state) continue;
      const before = told.current.has(clock.id);
      told.current.set(clock.id, state);
      if (!sound || !before) continue;
      if (state === 'warning') signal(880, 0.25);
      if (state === 'over') signal(440, 0.6);
    }
  }, [live, sound]);
  const lifting = stamps['lift-end'] === undefined ? stamps['lift-start'] : undefined;
  const beeped = useRef(0);
  useEffect(() => {
    if (lifting === undefined) {
      beeped.current = 0;
      return;
    }
    const passed = LIFT_BEEPS.filter((seconds) => now - lifting >= seconds * 1000).length;
    if (passed > beeped.current && sound) signal(passed === LIFT_BEEPS.length ? 440 : 1320, 0.15);
    beeped.current = passed;
  }, [lifting, now, sound]);
  return null;
}

function OtherSamples({ others, now, limits, system, lotId }: Props & { limits: Limits }) {
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
      <LinkButton href={`/placements/${lotId}`} variant="outlined" size="small">
        The placement
      </LinkButton>
      {others.map((other) => {
        const urgent = readClocks(other.stamps, now, limits, system, () => false).live[0];
        return (
          <LinkButton key={other.id} href={`/field/${other.id}`} variant="outlined" size="small">
            {`${other.label}${urgent ? `, ${urgent.clock.title.toLowerCase()} ${leftText(urgent)}` : ''}`}
          </LinkButton>
        );
      })}
    </Box>
  );
}

function Specimens(props: Props & { finishedAt: number | null }) {
  const { specimens } = props;
  return (
    <Card
      title="Specimens"
      id="specimens"
      actions={
        specimens.length > 0 ? (
          <>
            <Button component="a" href={`/api/labels?sample=${props.sampleId}`} target="_blank" size="small">
              Label sheet
            </Button>
            <LinkButton href={`/placements/${props.lotId}/hand-over`} size="small">
              Hand over
            </LinkButton>
          </>
        ) : undefined
      }
    >
      {specimens.length > 0 ? (
        <Box sx={{ mb: 2 }}>
          {specimens.map((specimen) => (
            <Box key={specimen.id} sx={{ display: 'flex', justifyContent: 'space-between' }}>
              <TextLink href={`/specimens/${specimen.id}`} className="mono">
                {specimen.label}
              </TextLink>
              <Typography>{specimen.ageHours ? ageText(specimen.ageHours) : 'held'}</Typography>
            </Box>
          ))}
        </Box>
      ) : null}
      <MakeSpecimens {...props} more={specimens.length > 0} />
    </Card>
  );
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
