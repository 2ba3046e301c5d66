'use client';
import { Box, Paper, Stack, Tab, Tabs, Typography } from '@mui/material';
import { type ReactNode, useState } from 'react';
import { useMethodFolder } from '../methods/holding';
import { instrumentsOf, leadOf } from '../methods/instruments';
import { TextLink } from '../parts/LinkButton';
import { PlanList } from '../parts/PlanList';
import { Working } from '../parts/Working';
import { KeptLog } from '../press/KeptLog';
import { Completion } from './Completion';
import { Conflicts } from './Conflicts';
import { Photos } from './Photos';
import { ReadingHistory } from './ReadingHistory';
import { Results } from './Results';
import { isAsked, RunFields } from './RunFields';
import { missingAt, type Run, stepFields } from './run';
import { StepList } from './StepList';
import type { RunSheetData } from './types';
import { useRun } from './use-run';

interface Props {
  readonly data: RunSheetData;
  readonly now: number;
  readonly title: ReactNode;
  readonly next: { readonly href: string; readonly label: string } | null;
  /** What stands beside the run's own result: the set it belongs to. */
  readonly beside?: ReactNode;
}

/** The run sheet, the same for every method: steps and clocks, the bench, the working and the verdict, live. */
export function RunSheet({ data, now, title, next, beside }: Props) {
  const run = useRun(data, now);
  const { steps } = run.method;
  const [stepId, setStepId] = useState(() => firstOpen(run));
  const [focus, setFocus] = useState<'first' | 'last' | 'none'>(data.state === 'open' ? 'first' : 'none');
  const [showMissing, setShowMissing] = useState(false);
  const [tab, setTab] = useState<'findings' | 'working' | 'plan' | 'history'>('findings');
  const index = steps.findIndex(({ id }) => id === stepId);
  const step = steps[index];
  const folder = useMethodFolder();
  const { Bench, benchStays } = folder;
  const Lead = leadOf(folder, stepId);
  // A step with an instrument of its own has no room for the picture of the whole.
  const instruments = data.state === 'open' ? instrumentsOf(folder, stepId) : [];
  const readOnly = !data.canWrite || (data.state === 'complete' && run.correction === '');
  const move = (by: 1 | -1): void => {
    const asked = ({ fields }: (typeof steps)[number]): boolean =>
      stepFields(run, fields).some((field) => isAsked(run, field));
    const target = data.rhythm && by === 1 ? steps.slice(index + 1).find(asked) : steps[index + by];
    if (!target) return;
    setFocus(by === 1 ? 'first' : 'last');
    setStepId(target.id);
  };
  const { outcome } = run.live;
  const hold = outcome.findings.filter((found) => found.beforeLoad && found.needsReason).length;
  const toRead = steps
    .filter(({ phase }) => phase === 'before')
    .flatMap(({ fields }) => fields.filter((name) => missingAt(run, name))).length;
  return (
    <Stack spacing={1.5}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
        {title}
        <Typography
          sx={{ ml: 'auto' }}
          color={run.readings.state === 'waiting' ? 'error' : 'text.secondary'}
          role="status"
        >
          {
            { saved: 'Saved', saving: 'Saving…', waiting: 'Not sent yet: kept on this device' }[
              run.readings.state
            ]
          }
        </Typography>
      </Box>
      <Conflicts run={run} />
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          alignItems: 'start',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '270px minmax(0, 1fr) 350px' },
        }}
      >
        <Paper sx={{ order: { xs: 2, md: 0 } }}>
          <StepList
            run={run}
            data={data}
            current={stepId}
            now={now}
            choose={(id) => {
              setFocus('first');
              setStepId(id);
            }}
          />
        </Paper>
        <Paper sx={{ p: 2, order: { xs: 0, md: 0 } }}>
          {(instruments.length > 0 || (Lead && data.state === 'open')) && !benchStays ? null : (
            <Bench picture={outcome.picture} take={readOnly ? undefined : run.readings.save} />
          )}
          {step ? (
            <>
              <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mt: 1, mb: 1.5 }}>
                <Typography variant="h2" sx={{ flexGrow: 1 }}>
                  {`${index + 1}. ${step.title}`}
                </Typography>
                {data.state === 'open' ? (
                  <GoSign
                    loads={run.method.press !== undefined || run.method.handPumped !== undefined}
                    hold={hold}
                    toRead={toRead}
                    phase={step.phase}
                  />
                ) : null}
              </Box>
              {Lead ? <Lead run={run} data={data} readOnly={readOnly} /> : null}
              <RunFields
                run={run}
                data={data}
                fields={stepFields(run, step.fields)}
                readOnly={readOnly}
                beyond={move}
                focus={focus}
                showMissing={showMissing}
              />
            </>
          ) : null}
          {instruments.map((Instrument, order) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the instruments of a step never change places
            <Instrument key={order} run={run} data={data} readOnly={readOnly} />
          ))}
          {stepId === steps.at(-1)?.id ? <Photos data={data} /> : null}
        </Paper>
        <Stack spacing={2} sx={{ order: { xs: 1, md: 0 }, minWidth: 0 }}>
          <Paper sx={{ p: 2 }}>
            <Results outcome={outcome} method={run.method} values={run.readings.values} />
            {folder.Overlay && data.state !== 'open' ? (
              <TextLink href={`/runs/${data.runId}/beside`}>Lay others over it</TextLink>
            ) : null}
            {data.state !== 'open' && data.setup.loadLog ? (
              <KeptLog runId={data.runId} verdict={data.setup.loadLog.verdict} />
            ) : null}
            {beside}
          </Paper>
          <Paper sx={{ p: 2, pt: 0.5 }}>
            <Tabs value={tab} onChange={(_, value) => setTab(value)} sx={{ mb: 1, minHeight: 40 }}>
              <Tab
                value="findings"
                label={`Findings (${outcome.findings.length})`}
                sx={{ minHeight: 40, minWidth: 0, px: 1.25 }}
              />
              <Tab value="working" label="Working" sx={{ minHeight: 40, minWidth: 0, px: 1.25 }} />
              <Tab value="plan" label="Plan" sx={{ minHeight: 40, minWidth: 0, px: 1.25 }} />
              <Tab value="history" label="History" sx={{ minHeight: 40, minWidth: 0, px: 1.25 }} />
            </Tabs>
            <Box sx={{ display: tab === 'findings' ? 'block' : 'none' }}>
              <Completion
                run={run}
                data={data}
                next={next}
                onMissing={() => {
                  setShowMissing(true);
                  const first = steps.find(({ fields }) => fields.some((name) => missingAt(run, name)));
                  if (first) setStepId(first.id);
                }}
              />
            </Box>
            {tab === 'working' ? <Working lines={outcome.lines} /> : null}
            {tab === 'history' ? <ReadingHistory run={run} data={data} /> : null}
            {tab === 'plan' ? <PlanList items={run.method.plan(data.system, data.setup)} /> : null}
          </Paper>
        </Stack>
      </Box>
    </Stack>
  );
}

function firstOpen(run: Run): string {
  const { steps } = run.method;
  const open = steps.find(({ fields }) => fields.some((name) => missingAt(run, name)));
  return (open ?? steps[0])?.id ?? '';
}

/** Go or hold before the specimen is destroyed; nothing is blocked, but going on against a hold takes a reason. */
function GoSign({
  loads,
  hold,
  toRead,
  phase,
}: {
  /** True where a load breaks what is tested. */
  loads: boolean;
  hold: number;
  toRead: number;
  phase: 'before' | 'test' | 'after';
}) {
  if (phase === 'after') return null;
  const [words, colour] =
    hold > 0
      ? [`Hold: ${hold} to settle or give a reason for`, 'error.main']
      : toRead > 0
        ? [`${loads ? 'Before load' : 'Before the test'}: ${toRead} still to read`, 'text.secondary']
        : ['Go', 'success.main'];
  return (
    <Typography
      sx={{ fontWeight: 700, color: colour, fontSize: words === 'Go' ? '1.4rem' : '1rem' }}
      role="status"
    >
      {words}
    </Typography>
  );
}
