'use client';
import { Box, Button, Paper, Stack } from '@mui/material';
import { useCallback, useMemo } from 'react';
import { BEND_UNITS, bendUnits } from '@/core/methods/bend/units';
import { bendRequestOf, FORCE_UNIT, STRESS_UNIT } from '@/core/methods/press';
import { convert, exact, plainOf, roundedText, type System, type UnitId, unitLabel } from '@/core/quantity';
import { useRun } from '../runsheet/use-run';
import { BannerBox } from './BannerBox';
import { BendChart } from './BendChart';
import { Big } from './Big';
import { type BendTold, bendBanner } from './bend-words';
import { FramePanel } from './FramePanel';
import { followBend } from './follow';
import { Levers } from './Levers';
import { HoldFirst, LiveHead, NotLive } from './LiveHead';
import type { LiveProps } from './live-props';
import { machineOf } from './machine-of';
import { RateBar } from './RateBar';
import { useKey } from './use-key';
import { usePressFeed } from './use-press-feed';
import { usePressRecord } from './use-press-record';

/** A crack this little behind is the one that is called. */
const JUST_NOW_MM = 0.3;
const SPEED_UNIT = { US: 'in/min', SI: 'mm/min' } as const satisfies Readonly<Record<System, UnitId>>;

/**
 * A bend followed live: force over displacement as it comes, the speed in its part, the first crack called and kept, the
 * places where it will be read; the record taken over whole.
 */
export function BendView({ data, now, title, follow, back }: LiveProps) {
  const run = useRun(data, now);
  const { system } = data;
  const unit = FORCE_UNIT[system] === 'lbf' ? 'lbf' : 'kN';
  const { length } = BEND_UNITS[system];
  const test = run.method.press?.test(run.live.input, data.setup);
  const machine = machineOf(run, data);
  const request = test && bendRequestOf(test, machine, system);
  const live = usePressFeed(
    machine?.live ? machine.number : undefined,
    follow?.fromSeq ?? null,
    unit,
    request ? followBend(request, unit) : null,
  );
  const { state } = live;
  const { view, last } = state;
  const { feed, taking, writes, take, anew } = usePressRecord({ run, data, follow, back }, live);
  const inAxis = useCallback((mm: number): number => bendUnits(system).length(mm).toNumber(), [system]);
  const place = system === 'US' ? 0 : 2;

  // The eye is first. Called just after a fall, it is the force before the fall that is meant.
  const field = run.method.press?.fields.crack;
  const asks =
    writes && field !== undefined && !run.readings.values[field] && (view?.displacement ?? null) !== null;
  const call = (): void => {
    if (!field || !view) return;
    const { crack, displacement } = view;
    const meant = crack && (displacement ?? 0) - crack.at < JUST_NOW_MM ? crack.load : view.load;
    run.readings.save(field, roundedText(exact(meant), system === 'US' ? '10' : '0.01').replaceAll(',', ''));
  };
  useKey('c', asks, call);
  const ready =
    view !== null &&
    (view.phase === 'through' ||
      view.phase === 'far enough' ||
      view.stop !== null ||
      (view.phase !== 'waiting' && !last?.pump));
  useKey('Enter', ready, () => void take());

  const curve = useMemo(() => state.curve.map(({ x, y }) => ({ x: inAxis(x), y })), [state.curve, inAxis]);
  const at = view?.crack?.at;
  const load = view?.crack?.load;
  const crack = useMemo(
    () => (at === undefined || load === undefined ? null : { x: inAxis(at), y: load }),
    [at, load, inAxis],
  );
  if (!machine?.live || !test?.driven || !request)
    return <NotLive title={title} machine={machine} back={back} />;
  const { driven } = test;
  const speedIn = (mmPerMin: number): number =>
    Number.isFinite(mmPerMin) ? convert(exact(mmPerMin), 'mm/min', SPEED_UNIT[system]).toNumber() : mmPerMin;
  const part = driven.parts[view?.part ?? 0];
  const section = request.sections[view?.part ?? 0];
  const lengthText = (mm: number): string =>
    plainOf(bendUnits(system).length(mm).toSignificantDigits(3), length);
  const endWord = driven.marks.find(([mark]) => mark === driven.end)?.[1];
  const told: BendTold = {
    load: (value) => `${roundedText(exact(value), system === 'US' ? '10' : '0.1')} ${unitLabel(unit)}`,
    length: lengthText,
    speed: part?.speed.text ?? '',
    end: driven.end === null ? null : (endWord ?? lengthText(driven.end)),
  };
  const stressNow = view ? (view.load * test.factor.toNumber()) / test.area.toNumber() : 0;
  return (
    <Stack spacing={1.5}>
      <LiveHead title={title} machine={machine} state={state} recorded={feed !== null} back={back} />
      <HoldFirst run={run} open={data.state === 'open'} />
      {view ? (
        <BannerBox banner={bendBanner(view, last?.pump ?? false, told)}>
          {asks ? (
            <Button variant="contained" size="large" onClick={call}>
              First crack seen (C)
            </Button>
          ) : null}
        </BannerBox>
      ) : null}
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 4fr) minmax(0, 7fr)' },
        }}
      >
        <Stack spacing={1.5}>
          <Paper sx={{ px: 2, py: 1 }}>
            <Big
              value={view?.load ?? 0}
              places={place}
              unit={unitLabel(unit)}
              name="Force"
              size="4.6rem"
              testId="live-load"
            />
            <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
              <Big
                value={state.register}
                places={place}
                unit={unitLabel(unit)}
                name="Peak held"
                size="2rem"
              />
              <Big
                value={stressNow}
                places={system === 'US' ? 0 : 2}
                unit={unitLabel(STRESS_UNIT[system])}
                name="Stress, uncracked"
                size="2rem"
              />
            </Box>
          </Paper>
          <Paper sx={{ px: 2, py: 1 }}>
            <Big
              value={inAxis(view?.displacement ?? 0)}
              places={system === 'US' ? 4 : 3}
              unit={unitLabel(length)}
              name={`${driven.what}, from the touch`}
              size="2.8rem"
              testId="live-displacement"
            />
            <Big
              value={speedIn(view?.speed ?? 0)}
              places={system === 'US' ? 4 : 3}
              unit={SPEED_UNIT[system]}
              name={`Speed, over 3 s (${part?.speed.text ?? ''}${part?.word ?? ''})`}
              size="1.8rem"
            />
            {view && section ? (
              <RateBar
                rate={view.speed === null ? null : speedIn(view.speed)}
                low={speedIn(section.low)}
                high={speedIn(section.high)}
                counts={view.off !== null}
                unit={SPEED_UNIT[system]}
              />
            ) : null}
          </Paper>
        </Stack>
        <Paper sx={{ p: 1.5, minHeight: 300 }}>
          <BendChart
            curve={curve}
            crack={crack}
            marks={driven.marks.map(([mark, word]) => [inAxis(mark), word] as const)}
            end={driven.end === null ? null : inAxis(driven.end)}
            expected={request.expected}
            what={driven.what}
            force={unitLabel(unit)}
            length={unitLabel(length)}
          />
        </Paper>
      </Box>
      {ready ? (
        <Button variant="contained" size="large" onClick={take} loading={taking} disabled={!feed}>
          {`Take the record: peak ${told.load(state.register)}, ${lengthText(view?.displacement ?? 0)}`}
        </Button>
      ) : null}
      {state.simulated && data.canWrite && data.state === 'open' ? (
        <Paper sx={{ px: 2, py: 1.5 }}>
          {state.driven ? (
            <FramePanel
              runId={data.runId}
              last={last}
              speeds={driven.parts.map(({ word }, index) => {
                const { low, high } = request.sections[index] ?? { low: 1, high: 1 };
                const middle = Number(((low + high) / 2).toPrecision(3));
                return [middle, `${Number(speedIn(middle).toPrecision(3))}${word}`] as const;
              })}
              end={driven.end === null ? null : [driven.end, told.end ?? '']}
              unit={SPEED_UNIT[system]}
              said={(mmPerMin) => `${Number(speedIn(mmPerMin).toPrecision(3))} ${SPEED_UNIT[system]}`}
              placed={anew}
            />
          ) : (
            <Levers runId={data.runId} last={last} placed={anew} />
          )}
        </Paper>
      ) : null}
    </Stack>
  );
}
