'use client';
import { Alert, Box, Button, FormControlLabel, Paper, Stack, Switch, Typography } from '@mui/material';
import { useState } from 'react';
import { limitsOf } from '@/core/methods';
import { dialOf, FORCE_UNIT, STRESS_UNIT, watchRequestOf } from '@/core/methods/press';
import { PRESS_CASES, type Preparation, type PressView as Watched, type WatchRequest } from '@/core/press';
import { exact, roundedText, unitLabel } from '@/core/quantity';
import { useMethodFolder } from '../methods/holding';
import { useRun } from '../runsheet/use-run';
import { BannerBox } from './BannerBox';
import { Big } from './Big';
import { followBreak } from './follow';
import { Levers } from './Levers';
import { LiveChart } from './LiveChart';
import { HoldFirst, LiveHead, NotLive } from './LiveHead';
import type { LiveProps } from './live-props';
import { machineOf } from './machine-of';
import { RateBar } from './RateBar';
import { SinceHalf } from './SinceHalf';
import { useKey } from './use-key';
import { usePacing } from './use-pacing';
import { usePressFeed } from './use-press-feed';
import { usePressRecord } from './use-press-record';
import { alarmWords, bannerOf } from './words';

/** The reading that the axis stood upright below a tenth of the load, in the methods that have it. */
const AXIS = 'aligned';
const NO_BAND = { low: 0, high: 0 };
/** Beyond this a time left is no time left: the load stands still. */
const LONGEST_S = 1200;

/**
 * A break followed live: load, stress and rate against the permitted corridor, large enough for two metres; what to do
 * now in words; the break found, the peak held, the curve kept.
 */
export function PressView({ data, now, title, follow, back }: LiveProps) {
  const run = useRun(data, now);
  const { Broken } = useMethodFolder();
  const [sound, setSound] = useState(false);
  /** What the specimen in the stand-in was like: its fracture comes of it. */
  const [inside, setInside] = useState<Partial<Preparation>>({});
  const { system } = data;
  const unit = FORCE_UNIT[system] === 'lbf' ? 'lbf' : 'kN';
  const use = run.method.press;
  const test = use?.test(run.live.input, data.setup);
  const limits = limitsOf(data.setup);
  const machine = machineOf(run, data);
  const request = test ? watchRequestOf(test, machine, limits, system) : null;
  const live = usePressFeed(
    machine?.live ? machine.number : undefined,
    follow?.fromSeq ?? null,
    unit,
    request && followBreak(request, unit),
  );
  const { state } = live;
  const { view, last } = state;
  const { feed, taking, writes, take, anew } = usePressRecord({ run, data, follow, back }, live);
  const placed = (caseId: string): void => {
    setInside(PRESS_CASES.find(({ id }) => id === caseId)?.preparation ?? {});
    anew();
  };
  usePacing(sound, view, request ?? NO_BAND);

  // With pads the axis is looked at below a tenth of the load: said here, where the hands and eyes are.
  const { readings } = run;
  const rising = view?.phase === 'contact' || view?.phase === 'first half';
  const asksAxis =
    writes && rising && run.fields.has(AXIS) && readings.values[AXIS] !== 'true' && request?.pads === true;
  const { save } = readings;
  useKey('u', asksAxis, () => save(AXIS, 'true'));

  const broken = view?.phase === 'broken';
  useKey('Enter', broken, () => void take());

  if (!machine?.live || !test || !request) return <NotLive title={title} machine={machine} back={back} />;
  const banner = view ? bannerOf(view, asksAxis) : null;
  const stress = view ? (view.load * test.factor.toNumber()) / test.area.toNumber() : 0;
  const dial = dialOf(machine, system);
  const next = dial && view ? nextMark(view, dial.major.toNumber(), request) : null;
  const place = system === 'US' ? 0 : 1;
  return (
    <Stack spacing={1.5}>
      <LiveHead title={title} machine={machine} state={state} recorded={feed !== null} back={back}>
        <FormControlLabel
          control={<Switch checked={sound} onChange={(_, on) => setSound(on)} />}
          label="Pacing by sound"
          sx={{ mr: 0 }}
        />
      </LiveHead>
      <HoldFirst run={run} open={data.state === 'open'} />
      {banner ? (
        <BannerBox banner={banner}>
          {asksAxis ? (
            <Button variant="contained" size="large" onClick={() => save(AXIS, 'true')}>
              Axis is upright (U)
            </Button>
          ) : null}
        </BannerBox>
      ) : null}
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 5fr) minmax(0, 6fr)' },
        }}
      >
        <Stack spacing={1.5}>
          <Paper sx={{ px: 2, py: 1 }}>
            <Big
              value={broken ? state.register : (view?.load ?? 0)}
              places={place}
              unit={unitLabel(unit)}
              name={broken ? 'Maximum load, held' : 'Load'}
              size="5.6rem"
              testId="live-load"
            />
            <Box sx={{ display: 'flex', gap: 3 }}>
              <Big
                value={broken ? (state.register * test.factor.toNumber()) / test.area.toNumber() : stress}
                places={system === 'US' ? 0 : 2}
                unit={unitLabel(STRESS_UNIT[system])}
                name={broken ? 'Stress at the maximum' : 'Stress'}
                size="2.2rem"
              />
              <Big
                value={broken ? (view?.load ?? 0) : state.register}
                places={place}
                unit={unitLabel(unit)}
                name={broken ? 'Load now' : 'Peak held'}
                size="2.2rem"
              />
            </Box>
          </Paper>
          <Paper sx={{ px: 2, py: 1 }}>
            <Big
              value={view?.rate ?? 0}
              places={system === 'US' ? 0 : 2}
              unit={`${unitLabel(unit)}/s`}
              name={`Rate, over 2 s (${test.band.text})`}
              size="2.4rem"
            />
            {test.halves ? (
              <SinceHalf since={view?.sinceHalf ?? null} halves={test.halves} broken={broken} />
            ) : null}
            <RateBar
              rate={view?.rate ?? null}
              low={request.low}
              high={request.high}
              counts={view?.offBand !== null && view?.offBand !== undefined}
              unit={`${unitLabel(unit)}/s`}
            />
            <Stack direction="row" spacing={2} className="mono" sx={{ flexWrap: 'wrap' }}>
              <span>
                {view?.toBand !== null && view?.toBand !== undefined && view.phase !== 'second half'
                  ? `band counts in ${Math.round(view.toBand)} s`
                  : view?.outside !== null && view?.outside !== undefined
                    ? `outside so far ${view.outside.toFixed(0)} %`
                    : ''}
              </span>
              <span>
                {view?.toExpected && view.toExpected < LONGEST_S
                  ? `about ${Math.round(view.toExpected)} s left`
                  : ''}
              </span>
              <span>{next ?? ''}</span>
            </Stack>
          </Paper>
        </Stack>
        <Paper sx={{ p: 1.5, minHeight: 300 }}>
          {view ? (
            <LiveChart
              curve={state.curve}
              view={view}
              band={{ low: request.low, high: request.high }}
              from={request.from}
              unit={unitLabel(unit)}
            />
          ) : null}
        </Paper>
      </Box>
      {view && view.alarms.length > 0 ? (
        <Alert severity="warning">{view.alarms.map(alarmWords).join('. ')}.</Alert>
      ) : null}
      {last && !last.door && last.pump && !view?.alarms.includes('door open') ? (
        <Alert severity="error">The door is open with the pump on: stop the pump, hands away.</Alert>
      ) : null}
      {broken && state.simulated && Broken ? (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <Broken
            label={data.setup.specimen?.label ?? ''}
            prepared={inside}
            picture={run.live.outcome.picture}
          />
          <Typography>
            What stands in the stand-in. Read off it what the run sheet asks, before anything moves.
          </Typography>
        </Box>
      ) : null}
      {broken ? (
        <Button variant="contained" size="large" onClick={take} loading={taking} disabled={!feed} autoFocus>
          {`Take the record: ${roundedText(exact(state.register), system === 'US' ? '10' : '0.1')} ${unitLabel(unit)}`}
        </Button>
      ) : null}
      {state.simulated && data.canWrite && data.state === 'open' ? (
        <Paper sx={{ px: 2, py: 1.5 }}>
          <Levers runId={data.runId} last={last} placed={placed} />
        </Paper>
      ) : null}
    </Stack>
  );
}

/** When the hand should stand at the next numbered mark of the dial. */
function nextMark(view: Watched, major: number, { low, high }: WatchRequest): string | null {
  if (view.phase !== 'second half' && view.phase !== 'first half') return null;
  const mark = (Math.floor(view.load / major) + 1) * major;
  const left = mark - view.load;
  return `next mark ${mark.toLocaleString('en-US')} in ${(left / high).toFixed(1)} to ${(left / low).toFixed(1)} s`;
}
