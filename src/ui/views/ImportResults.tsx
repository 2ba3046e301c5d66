'use client';
import { Alert, Box, Button, MenuItem, Stack, TextField, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ImportPreview } from '@/core/interchange';
import type { Headings } from '@/core/interchange/headings';
import { perform, post } from '../api';
import { ImportRows, withKey } from '../form/ImportRows';
import { Card } from '../parts/Card';
import { FileButton } from '../parts/FileButton';
import { useNotice } from '../parts/Notice';
import { keepHeadings, keptHeadings, NameColumns } from './NameColumns';

const LARGEST = 2_000_000;

/** A test whose results can be brought in from a file. */
interface Importable {
  readonly id: string;
  readonly title: string;
  /** Columns that every row must fill, beside the specimen. */
  readonly columns: readonly string[];
  /** Every column that it takes, with what is read there. */
  readonly known: readonly { readonly column: string; readonly label: string }[];
  /** The reading that is shown of each row; empty where there is none. */
  readonly load: string;
}

/** Results from a file: looked at row by row first, imported only when told, all chosen rows or none. */
export function ImportResults({ jobId, methods }: { jobId: string; methods: readonly Importable[] }) {
  const router = useRouter();
  const notice = useNotice();
  const [method, setMethod] = useState(methods[0]);
  const [file, setFile] = useState('');
  const [headings, setHeadings] = useState<Headings>({});
  const [name, setName] = useState('');
  const [preview, setPreview] = useState<ImportPreview | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [reason, setReason] = useState('');
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');
  const read = async (file: File): Promise<void> => {
    if (file.size > LARGEST) return setTrouble('The file is larger than 2 MB: split it.');
    setName(file.name);
    await look(await file.text(), method?.id, keptHeadings(method?.id));
  };
  const look = async (text: string, of: string | undefined, called: Headings): Promise<void> => {
    setFile(text);
    setHeadings(called);
    setTrouble('');
    setBusy(true);
    const reply = await post<ImportPreview>('/api/import', {
      method: of,
      csv: text,
      headings: called,
    });
    setBusy(false);
    if (!reply.ok) return setTrouble(reply.message);
    setPreview(reply.data);
    setChosen(new Set(reply.data.rows.filter(({ errors }) => errors.length === 0).map(({ line }) => line)));
  };
  const bring = async (): Promise<void> => {
    setBusy(true);
    const reply = await perform<{ imported: number }>('import-results', {
      method: method?.id,
      csv: file,
      headings,
      lines: [...chosen],
      reason,
      confirmed: true,
    });
    setBusy(false);
    if (!reply.ok) return setTrouble(Object.values(reply.errors)[0] ?? reply.message);
    notice(`${reply.data.imported} results imported.`);
    router.push(`/jobs/${jobId}`);
  };
  const call = (heading: string, column: string): void => {
    const { [heading]: _, ...rest } = headings;
    const called = column === '' ? rest : { ...rest, [heading]: column };
    keepHeadings(method?.id, called);
    void look(file, method?.id, called);
  };
  const good = preview?.rows.filter(({ errors }) => errors.length === 0) ?? [];
  return (
    <Stack spacing={2}>
      <Card title="File">
        <Typography sx={{ mb: 1, maxWidth: 760 }}>
          A CSV with a header row: a column “specimen”, which may hold serial numbers of sensors too, and the
          readings of the test, with the unit in the column name. Columns that are called otherwise are named
          below; the export of a job has them as they are called here.
        </Typography>
        <Typography
          variant="body2"
          color="text.secondary"
          sx={{ mb: 2, maxWidth: 760, overflowWrap: 'anywhere' }}
        >
          {`Every row fills: specimen, ${method?.columns.join(', ') ?? ''}.`}
        </Typography>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <TextField
            select
            label="Test"
            value={method?.id ?? ''}
            onChange={({ target }) => {
              setMethod(methods.find(({ id }) => id === target.value));
              if (file !== '') void look(file, target.value, keptHeadings(target.value));
            }}
            sx={{ minWidth: 260 }}
          >
            {methods.map(({ id, title }) => (
              <MenuItem key={id} value={id}>
                {title}
              </MenuItem>
            ))}
          </TextField>
          <FileButton variant="contained" loading={busy} accept=".csv,text/csv,text/plain" take={read}>
            Choose a file
          </FileButton>
          <Typography>{name}</Typography>
        </Box>
        {trouble ? (
          <Alert severity="error" sx={{ mt: 2 }}>
            {trouble}
          </Alert>
        ) : null}
      </Card>
      {preview ? (
        <Card
          title={`Preview: ${good.length} of ${preview.rows.length} rows can be imported. Nothing is imported yet.`}
        >
          {preview.problems.map((problem) => (
            <Alert key={problem} severity="error" sx={{ mb: 1 }}>
              {problem}
            </Alert>
          ))}
          <NameColumns
            unused={preview.ignoredColumns}
            taken={preview.columns}
            headings={headings}
            known={method?.known ?? []}
            call={call}
          />
          <ImportRows
            columns={['Line', 'Specimen', 'Load', 'What is wrong']}
            rows={preview.rows.map((row) => ({
              key: String(row.line),
              cells: [String(row.line), row.label, String(row.input[method?.load ?? ''] ?? '')],
              errors: row.errors.map(({ column, message }) => (column ? `${column}: ${message}` : message)),
            }))}
            isChosen={({ key }) => chosen.has(Number(key))}
            choose={({ key }, on) => setChosen((all) => withKey(all, Number(key), on))}
            label={({ key }) => `Import line ${key}`}
          />
          {good.length > 0 ? (
            <Box sx={{ mt: 2, display: 'flex', gap: 2, alignItems: 'flex-start', flexWrap: 'wrap' }}>
              <TextField
                label="Reason for findings that ask for one"
                value={reason}
                onChange={(event) => setReason(event.target.value)}
                helperText="Recorded with a result outside its window and the like; a reviewer accepts it."
                sx={{ minWidth: 360 }}
              />
              <Button variant="contained" onClick={bring} loading={busy} disabled={chosen.size === 0}>
                {`Import ${chosen.size} ${chosen.size === 1 ? 'result' : 'results'}`}
              </Button>
            </Box>
          ) : null}
        </Card>
      ) : null}
    </Stack>
  );
}
