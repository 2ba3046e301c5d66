'use client';
import { Alert, Box, Button, Checkbox, FormControlLabel, Stack, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { RecordSpec } from '@/core/methods/fields';
import type { KeptMapping } from '@/core/records/kept-record';
import { type GuessedRecord, RECORD_KINDS, type RecordKind } from '@/core/records/kinds';
import type { Stamp } from '@/core/signals';
import { perform } from '../api';
import { newId } from '../ids';
import type { InstrumentProps } from '../methods/kit';
import { packed } from '../packed';
import { FileButton } from '../parts/FileButton';
import { columnsOf, FileRows, Pick, Written } from '../parts/FileRows';
import { TextLink } from '../parts/LinkButton';
import { useNotice } from '../parts/Notice';
import { ReadProgress } from '../parts/ReadProgress';
import { RecordFound } from './RecordFound';
import { useRecordWorker } from './use-record-worker';

const LARGEST = 64 * 1024 * 1024;

/** The records of a run: for each reading of that kind a file, or a logger that is read out over its line. */
export function KeepRecords(props: InstrumentProps) {
  return (
    <>
      {[...props.run.fields.values()].map((field) =>
        field.kind === 'record' ? <KeepRecord key={field.name} {...props} field={field} /> : null,
      )}
    </>
  );
}

function KeepRecord({
  run,
  data,
  readOnly,
  field: { name, label, records },
}: InstrumentProps & { readonly field: RecordSpec & { readonly name: string } }) {
  const kind = RECORD_KINDS[records];
  const router = useRouter();
  const notice = useNotice();
  const [file, setFile] = useState<{ name: string; text: string; guessed: GuessedRecord } | null>(null);
  const [mapping, setMapping] = useState<KeptMapping | null>(null);
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const { share, found, read, forget } = useRecordWorker();
  const reading = run.readings.values[name] ?? '';
  // Taken back, it stays where it was kept, and counts nowhere.
  const kept = reading === '' ? undefined : data.setup.records?.[name];
  const loggers = (data.setup.equipment ?? []).filter((each) => each.kind === kind.recorder && each.live);
  const chosen = new Set(Object.values(run.readings.values));
  const choose = async (taken: File): Promise<void> => {
    forget();
    setFile(null);
    if (taken.size > LARGEST)
      return setTrouble('The file is larger than 64 MB: cut it to the days that count.');
    const text = await taken.text();
    const guessed = kind.guess(text);
    if (!guessed)
      return setTrouble(
        `No column of times with one of ${kind.values} beside it was found in its first rows. Export it as CSV with date and time.`,
      );
    setTrouble('');
    setFile({ name: taken.name, text, guessed });
    setMapping(guessed.mapping);
  };
  const send = async (useCase: string, more: object): Promise<void> => {
    setBusy(true);
    const reply = await perform(useCase, {
      id: newId(),
      runId: data.runId,
      field: name,
      ...(run.correction ? { reason: run.correction } : {}),
      ...more,
    });
    setBusy(false);
    if (!reply.ok) return setTrouble(Object.values(reply.errors)[0] ?? reply.message);
    setTrouble('');
    notice('The record is kept with the run, whole.');
    setFile(null);
    forget();
    router.refresh();
  };
  if (readOnly && !kept) return null;
  return (
    <Box component="section" aria-label={label} sx={{ mt: 2, borderTop: 1, borderColor: 'divider', pt: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h3" sx={{ flexGrow: 1 }}>
          {label}
        </Typography>
        {readOnly
          ? null
          : loggers.map(({ number }) => (
              <Button
                key={number}
                variant={chosen.has(number) ? 'contained' : 'outlined'}
                disabled={busy}
                onClick={() => send('read-out-logger', { logger: number })}
              >
                {`Read out ${number}`}
              </Button>
            ))}
        {readOnly ? null : (
          <FileButton variant="outlined" accept=".csv,.txt,.tsv,.log,.dat,text/csv,text/plain" take={choose}>
            Choose its file
          </FileButton>
        )}
      </Box>
      {kept ? (
        <Box sx={{ mt: 0.5 }}>
          <Typography>
            {`Kept: ${reading}. `}
            <TextLink href={`/api/runs/${data.runId}/record/${name}/original`} sx={{ mr: 1.5 }}>
              The file as it came
            </TextLink>
            <TextLink href={`/api/runs/${data.runId}/record/${name}/cleaned.csv`}>Cleaned, CSV</TextLink>
            {readOnly ? null : (
              <Button size="small" onClick={() => run.readings.save(name, '')}>
                Take it back
              </Button>
            )}
          </Typography>
          <RecordFound record={kept} system={data.system} zone={data.zone} />
        </Box>
      ) : null}
      {trouble ? (
        <Alert severity="error" sx={{ mt: 1 }}>
          {trouble}
        </Alert>
      ) : null}
      {file && mapping ? (
        <Stack spacing={2} sx={{ mt: 1 }}>
          <Columns
            kind={kind}
            text={file.text}
            guessed={file.guessed}
            mapping={mapping}
            change={setMapping}
          />
          <Button
            variant="contained"
            onClick={() => read(records, file.text, mapping, data.zone)}
            disabled={share !== null || mapping.columns.length === 0}
          >
            Columns, dates and scale are right: read it
          </Button>
          <ReadProgress share={share} what="the record" stop={forget} />
          {found ? (
            <>
              <RecordFound record={found.record} system={data.system} zone={data.zone} />
              <Typography variant="caption" color="text.secondary">
                {[
                  `${found.record.rows.toLocaleString('en-US')} rows in ${(found.took / 1000).toFixed(2)} s.`,
                  found.unread > 0
                    ? `${found.unread} rows could not be read, such as “${found.examples[0]}”.`
                    : '',
                ].join(' ')}
              </Typography>
              <Button
                variant="contained"
                size="large"
                loading={busy}
                disabled={found.record.channels.length === 0}
                onClick={async () =>
                  send('keep-record', { name: file.name, data: await packed(file.text), mapping })
                }
              >
                Keep it with this run
              </Button>
            </>
          ) : null}
        </Stack>
      ) : null}
    </Box>
  );
}

const STAMP_WORDS: readonly (readonly [Stamp, string])[] = [
  ['instant', 'date and time, year first'],
  ['day first', 'date and time, day first'],
  ['month first', 'date and time, month first'],
  ['s', 'seconds'],
  ['min', 'minutes'],
  ['h', 'hours'],
  ['d', 'days'],
  ['h:mm:ss', 'hours, minutes, seconds from nought'],
  ['ms', 'milliseconds'],
];

/** The first rows of the file, what each column is, and what the file itself leaves open. */
function Columns({
  kind,
  text,
  guessed,
  mapping,
  change,
}: {
  kind: RecordKind;
  text: string;
  guessed: GuessedRecord;
  mapping: KeptMapping;
  change: (mapping: KeptMapping) => void;
}) {
  const { rows, numbered } = columnsOf(text, mapping);
  const names = rows[mapping.header - 1] ?? [];
  const sensors = numbered.filter(
    ([column]) => Number(column) !== mapping.time && Number(column) !== mapping.clock,
  );
  const toggle = (column: number, on: boolean): void => {
    const next = on
      ? [...mapping.columns, column].toSorted((a, b) => a - b)
      : mapping.columns.filter((each) => each !== column);
    change({
      ...mapping,
      columns: next,
      names: next.map((each, place) => kind.nameOf(names[each]) || `${kind.column} ${place + 1}`),
    });
  };
  return (
    <Stack spacing={1.5}>
      {guessed.asks.includes('order') ? (
        <Alert severity="warning">
          Its dates can be read two ways: say whether the day or the month stands first.
        </Alert>
      ) : null}
      {guessed.asks.includes('unit') ? <Alert severity="warning">{kind.askUnit}</Alert> : null}
      <FileRows
        rows={rows}
        header={mapping.header}
        taken={[mapping.time, ...(mapping.clock === undefined ? [] : [mapping.clock]), ...mapping.columns]}
        values={mapping.columns}
      />
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <Pick
          label="Time is in"
          value={String(mapping.time)}
          options={numbered}
          take={(value) => change({ ...mapping, time: Number(value) })}
        />
        <Pick
          label="Written as"
          value={mapping.stamp}
          options={STAMP_WORDS}
          take={(value) => change({ ...mapping, stamp: value as Stamp })}
        />
        <Pick
          label={`${kind.values.replace(/^./u, (first) => first.toUpperCase())} in`}
          value={mapping.unit}
          options={kind.units}
          take={(value) => change({ ...mapping, unit: value } as KeptMapping)}
        />
        <Written mapping={mapping} change={change} />
      </Box>
      <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
        <Typography component="legend" variant="body2" color="text.secondary">
          {`${kind.column}s`}
        </Typography>
        {sensors.map(([column, words]) => (
          <FormControlLabel
            key={column}
            control={
              <Checkbox
                checked={mapping.columns.includes(Number(column))}
                onChange={(_, on) => toggle(Number(column), on)}
              />
            }
            label={names[Number(column)]?.trim() || words}
          />
        ))}
      </Box>
    </Stack>
  );
}
