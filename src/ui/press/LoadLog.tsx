'use client';
import { Alert, Box, Button, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { limitsOf, type PressTest } from '@/core/methods';
import { logBand, troubleWords } from '@/core/methods/press';
import { convert, exact, type UnitId, unitLabel } from '@/core/quantity';
import { type LogMapping, mappingFor, ratePart } from '@/core/signals';
import { perform } from '../api';
import { newId } from '../ids';
import type { InstrumentProps } from '../methods/kit';
import { packed } from '../packed';
import { FileButton } from '../parts/FileButton';
import { columnsOf, FileRows, Pick, Written } from '../parts/FileRows';
import { useNotice } from '../parts/Notice';
import { ReadProgress } from '../parts/ReadProgress';
import { Figures } from './Figures';
import { FoundBend } from './FoundBend';
import { KeptLog, LOG_VERDICT } from './KeptLog';
import { LogChart } from './LogChart';
import type { LogRead } from './load-log.worker';
import { machineOf } from './machine-of';
import { takeFigures } from './take-figures';
import { useLogWorker } from './use-log-worker';

const LARGEST = 64 * 1024 * 1024;
/** The load log of a break: a file of the press, its columns confirmed, analysed beside the page and kept whole. */
export function LoadLog({ run, data, readOnly }: InstrumentProps) {
  const router = useRouter();
  const notice = useNotice();
  const [file, setFile] = useState<{ name: string; text: string } | null>(null);
  const [mapping, setMapping] = useState<LogMapping | null>(null);
  /** The file is written as the machine's last one was. */
  const [remembered, setRemembered] = useState(false);
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  /** Which of several tests in the file. */
  const [part, setPart] = useState(0);
  const { share, read, analyse, stop } = useLogWorker();
  const { system } = data;
  const unit: UnitId = system === 'US' ? 'lbf' : 'kN';
  const limits = limitsOf(data.setup);
  const use = run.method.press;
  const test = use?.test(run.live.input, data.setup);
  const band = test?.measured ? logBand(test, system, limits) : null;
  const machine = machineOf(run, data);
  const asked = run.method.bends?.(run.live.input, data.setup);
  const choose = async (chosen: File): Promise<void> => {
    stop();
    if (chosen.size > LARGEST) return setTrouble('The file is larger than 64 MB: cut it to the test.');
    const text = await chosen.text();
    const found = mappingFor(text, machine?.logMapping, unit);
    setTrouble(found ? '' : 'No two columns of numbers were found in its first rows.');
    setPart(0);
    setFile({ name: chosen.name, text });
    setMapping(found?.mapping ?? null);
    setRemembered(found?.remembered ?? false);
  };
  const keep = async (found: LogRead): Promise<void> => {
    if (!file || !mapping) return;
    setBusy(true);
    const reply = await perform('keep-load-log', {
      id: newId(),
      runId: data.runId,
      name: file.name,
      data: await packed(file.text),
      mapping,
      ...(found.parts.length > 1 ? { part } : {}),
    });
    setBusy(false);
    if (!reply.ok) return setTrouble(Object.values(reply.errors)[0] ?? reply.message);
    takeFigures(run, data, found.analysis);
    notice('The log is kept with the run, whole.');
    setFile(null);
    router.refresh();
  };
  if (readOnly && !data.setup.loadLog) return null;
  return (
    <Box sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 2 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h3" sx={{ flexGrow: 1 }}>
          Load log
        </Typography>
        {readOnly ? null : (
          <FileButton
            variant="outlined"
            disabled={!band}
            accept=".csv,.txt,.tsv,.log,text/csv,text/plain"
            take={choose}
          >
            Choose the press’s file
          </FileButton>
        )}
      </Box>
      {band || readOnly ? null : (
        <Typography variant="body2" color="text.secondary">
          {asked
            ? 'Measure width, depth and span first.'
            : 'Measure the specimen first: the rate is a stress.'}
        </Typography>
      )}
      {data.setup.loadLog ? <KeptLog runId={data.runId} verdict={data.setup.loadLog.verdict} /> : null}
      {trouble ? (
        <Alert severity="error" sx={{ mt: 1 }}>
          {trouble}
        </Alert>
      ) : null}
      {file && mapping && band ? (
        <Stack spacing={2} sx={{ mt: 1 }}>
          <Columns text={file.text} mapping={mapping} change={setMapping} remembered={remembered} />
          <Button
            variant="contained"
            onClick={() => analyse(file.text, mapping, unit, band, part, asked)}
            disabled={share !== null}
          >
            Columns and units are right: analyse
          </Button>
          <ReadProgress share={share} what="the log" stop={stop} />
          {read ? (
            <>
              {read.parts.length > 1 ? (
                <TextField
                  select
                  label={`${read.parts.length} tests in this file: which is this one?`}
                  value={part}
                  onChange={(event) => {
                    const next = Number(event.target.value);
                    setPart(next);
                    void analyse(file.text, mapping, unit, band, next, asked);
                  }}
                >
                  {read.parts.map(({ peak, at }, index) => (
                    <MenuItem key={at} value={index}>
                      {`${index + 1}: ${Math.round(peak).toLocaleString('en-US')} ${unitLabel(unit)} at ${(at / 60).toFixed(1)} min`}
                    </MenuItem>
                  ))}
                </TextField>
              ) : null}
              {besideWords(read, mapping, test, unit, system).map((words) => (
                <Alert key={words} severity="warning">
                  {words}
                </Alert>
              ))}
              {asked ? (
                <FoundBend bend={read.bend} system={system} />
              ) : (
                <>
                  <Found read={read} unit={unit} system={system} />
                  <LogChart
                    read={read}
                    system={system}
                    corridor={{
                      low: (band.low * band.area) / band.stress,
                      high: (band.high * band.area) / band.stress,
                    }}
                  />
                </>
              )}
              <Button variant="contained" size="large" onClick={() => keep(read)} loading={busy}>
                Keep it with this run
              </Button>
            </>
          ) : null}
        </Stack>
      ) : null}
    </Box>
  );
}

const FORCE: readonly UnitId[] = ['lbf', 'kip', 'kN', 'N', 'kgf'];
const STRESS: readonly UnitId[] = ['psi', 'ksi', 'MPa'];

/** A column beside the load chosen, or none. */
function beside(
  mapping: LogMapping,
  key: 'stress' | 'position',
  value: string,
  usual: UnitId,
): Partial<LogMapping> {
  if (value === 'none') return { [key]: undefined, [`${key}Unit`]: undefined };
  return { [key]: Number(value), [`${key}Unit`]: mapping[`${key}Unit`] ?? usual };
}

/** The first rows of the file, and what each column is; confirmed by the person, remembered for the machine. */
function Columns({
  text,
  mapping,
  change,
  remembered,
}: {
  text: string;
  mapping: LogMapping;
  change: (mapping: LogMapping) => void;
  remembered: boolean;
}) {
  const { rows, numbered } = columnsOf(text, mapping);
  const pick = (
    label: string,
    value: string,
    options: readonly (readonly [string, string])[],
    take: (value: string) => Partial<LogMapping>,
  ) => (
    <Pick
      label={label}
      value={value}
      options={options}
      take={(chosen) => change({ ...mapping, ...take(chosen) })}
    />
  );
  return (
    <Stack spacing={1.5}>
      <Typography variant="body2" color="text.secondary">
        {remembered
          ? 'As this machine’s files were written the last time. Look whether it still is so.'
          : 'Guessed from the first rows: confirm it, units above all. It is remembered for this machine.'}
      </Typography>
      <FileRows
        rows={rows}
        header={mapping.header}
        taken={[mapping.time, mapping.load]}
        values={[mapping.load]}
      />
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        {pick('Time is in', String(mapping.time), numbered, (value) => ({ time: Number(value) }))}
        {pick(
          'Time in',
          mapping.timeUnit,
          [
            ['s', 'seconds'],
            ['ms', 'milliseconds'],
            ['clock', 'time of day'],
          ],
          (value) => ({ timeUnit: value as LogMapping['timeUnit'] }),
        )}
        {pick('Load is in', String(mapping.load), numbered, (value) => ({ load: Number(value) }))}
        {pick(
          'Load in',
          mapping.loadUnit,
          FORCE.map((unit) => [unit, unitLabel(unit)] as const),
          (value) => ({ loadUnit: value as UnitId }),
        )}
        {pick(
          'Stress is in',
          mapping.stress === undefined ? 'none' : String(mapping.stress),
          [['none', 'no column'], ...numbered],
          (value) => beside(mapping, 'stress', value, 'psi'),
        )}
        {mapping.stress === undefined
          ? null
          : pick(
              'Stress in',
              mapping.stressUnit ?? 'psi',
              STRESS.map((unit) => [unit, unitLabel(unit)] as const),
              (value) => ({ stressUnit: value as UnitId }),
            )}
        {pick(
          'Travel is in',
          mapping.position === undefined ? 'none' : String(mapping.position),
          [['none', 'no column'], ...numbered],
          (value) => beside(mapping, 'position', value, 'in'),
        )}
        <Written mapping={mapping} change={change} />
      </Box>
    </Stack>
  );
}

/** The largest load that is usual against the expected one: beyond it the unit is asked about. */
const USUAL = { low: 0.3, high: 2 } as const;
/** How far the file's own stress may be off its load, as a share. */
const STRESS_AGREES = 0.002;

/** What a log says against what is known: its unit, and the area that was set in the indicator. */
function besideWords(
  read: LogRead,
  mapping: LogMapping,
  test: PressTest | undefined,
  unit: UnitId,
  system: 'US' | 'SI',
): string[] {
  const words: string[] = [];
  const share = test?.expected ? read.analysis.peak / test.expected.toNumber() : 1;
  if (share < USUAL.low || share > USUAL.high)
    words.push(
      `The peak is ${share.toFixed(2)} times the load that is expected: is the load really in ${unitLabel(mapping.loadUnit)}? kN and lbf differ by 4.448.`,
    );
  const { load, stress } = read.beside;
  if (test && stress !== null && mapping.stressUnit && load > 0) {
    const own = convert(exact(stress), mapping.stressUnit, system === 'US' ? 'psi' : 'MPa');
    const carried = convert(exact(load), mapping.loadUnit, unit).times(test.factor).div(test.area);
    const area = carried.div(own.isZero() ? carried : own).times(test.area);
    if (own.div(carried).minus(1).abs().greaterThan(STRESS_AGREES))
      words.push(
        `The file’s own stress goes with an area of ${area.toSignificantDigits(4)} ${system === 'US' ? 'in²' : 'mm²'}, not with this specimen’s ${test.area.toSignificantDigits(4)}: the load counts, never that stress.`,
      );
  }
  return words;
}

/** What the log came to, figure by figure. */
function Found({ read, unit, system }: { read: LogRead; unit: UnitId; system: 'US' | 'SI' }) {
  const { analysis, unread, examples, turned, took } = read;
  const rate = system === 'US' ? 'psi/s' : 'MPa/s';
  const places = system === 'US' ? 1 : 3;
  const figures: readonly (readonly [string, string])[] = [
    [
      'Peak',
      `${Math.round(analysis.peak).toLocaleString('en-US')} ${unitLabel(unit)} at ${analysis.peakAt.toFixed(1)} s`,
    ],
    ['Loading began', `${analysis.startAt.toFixed(1)} s`],
    ['Half load', analysis.halfAt === null ? 'not in the log' : `${analysis.halfAt.toFixed(1)} s`],
    [
      `Mean rate, ${ratePart(analysis)}`,
      analysis.meanRate === null ? 'not known' : `${analysis.meanRate.toFixed(places)} ${rate}`,
    ],
    [
      'From moment to moment',
      analysis.slowest === null || analysis.fastest === null
        ? 'not known'
        : `${analysis.slowest.toFixed(places)} to ${analysis.fastest.toFixed(places)} ${rate}`,
    ],
    [
      'Outside the band',
      analysis.outside === null ? 'not known' : `${analysis.outside.toFixed(1)} % of ${analysis.judged}`,
    ],
    ...(read.beside.travel === null
      ? []
      : [['Platen went', `${read.beside.travel.toFixed(2)} to the largest load`] as const]),
    ['Broke', analysis.brokenAt === null ? 'not in the log' : `${analysis.brokenAt.toFixed(1)} s`],
    [
      'May have missed',
      analysis.underRead === null ? 'not known' : `${analysis.underRead.toFixed(2)} % of the peak`,
    ],
  ];
  const [words, colour] = LOG_VERDICT[analysis.verdict];
  return (
    <Box>
      <Typography sx={{ fontWeight: 700, color: colour }} role="status">
        {words}
      </Typography>
      <Figures figures={figures} />
      {[
        ...analysis.troubles.map((each) => `The log: ${troubleWords(each)}.`),
        ...analysis.dips.map(
          ({ seconds, load, depth }) =>
            `Dropped by ${depth.toFixed(1)} % from ${Math.round(load).toLocaleString('en-US')} ${unitLabel(unit)} at ${seconds.toFixed(1)} s and recovered.`,
        ),
        ...analysis.spikes.map(
          ({ was, now }) => `One reading of ${Math.round(was)} replaced by ${Math.round(now)}.`,
        ),
        ...(turned ? ['Compression was written as negative: turned round.'] : []),
        ...(unread > 0 ? [`${unread} rows could not be read, such as “${examples[0]}”.`] : []),
      ].map((line) => (
        <Typography key={line} variant="body2" sx={{ color: 'warning.main' }}>
          {line}
        </Typography>
      ))}
      <Typography variant="caption" color="text.secondary">
        {`${analysis.rows.toLocaleString('en-US')} rows in ${(took / 1000).toFixed(2)} s. Algorithm ${analysis.version}.`}
      </Typography>
    </Box>
  );
}
