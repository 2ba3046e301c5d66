'use client';
import {
  Box,
  Button,
  Stack,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { type LimitStatus, type LimitValue, limitText, type Sense } from '@/core/limits';
import { unitLabel } from '@/core/quantity';
import { FormDialog } from '../form/FormDialog';
import type { FormField } from '../form/form-props';
import { Card } from '../parts/Card';

interface Entry {
  readonly id: string;
  readonly group: string;
  readonly title: string;
  readonly source: string;
  readonly edition: string;
  readonly status: LimitStatus;
  readonly sense?: Sense;
  readonly US?: LimitValue;
  readonly SI?: LimitValue;
  readonly both?: LimitValue;
  readonly history: readonly string[];
}

const COLOUR: Readonly<Record<LimitStatus, string>> = {
  recalled: 'warning.main',
  'our choice': 'text.secondary',
  confirmed: 'success.main',
  'set by the laboratory': 'primary.main',
  'set by the project': 'primary.main',
};

/** Every limit in force with its values, source and status, by subject. */
export function LimitTable({
  entries,
  canChange,
  jobId,
}: {
  entries: readonly Entry[];
  canChange: boolean;
  /** The project whose rows are set here; the laboratory's when absent. */
  jobId?: string;
}) {
  const [words, setWords] = useState('');
  const shown = entries.filter((entry) =>
    `${entry.group} ${entry.title} ${entry.source} ${entry.status} ${entry.id}`
      .toLowerCase()
      .includes(words.toLowerCase()),
  );
  const groups = [...new Set(shown.map(({ group }) => group))];
  return (
    <Stack spacing={2}>
      <TextField
        label="Find a limit"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        sx={{ width: 300 }}
      />
      {groups.length === 0 ? <Typography color="text.secondary">Nothing fits these words.</Typography> : null}
      {groups.map((group) => (
        <Card key={group} title={group}>
          <Box sx={{ overflowX: 'auto' }}>
            <Table size="small">
              <TableHead>
                <TableRow>
                  <TableCell>Limit</TableCell>
                  <TableCell>Inch-pound</TableCell>
                  <TableCell>SI</TableCell>
                  <TableCell>Source</TableCell>
                  <TableCell>Status</TableCell>
                  <TableCell />
                </TableRow>
              </TableHead>
              <TableBody>
                {shown
                  .filter((entry) => entry.group === group)
                  .map((entry) => (
                    <TableRow key={entry.id} id={entry.id}>
                      <TableCell sx={{ width: '34%' }}>
                        {entry.title}
                        {entry.history.map((line) => (
                          <Typography
                            key={line}
                            variant="caption"
                            color="text.secondary"
                            sx={{ display: 'block' }}
                          >
                            {line}
                          </Typography>
                        ))}
                      </TableCell>
                      {entry.both ? (
                        <TableCell colSpan={2} className="mono">
                          {limitText(entry.both, entry.sense)}
                        </TableCell>
                      ) : (
                        <>
                          <TableCell className="mono">
                            {entry.US ? limitText(entry.US, entry.sense) : ''}
                          </TableCell>
                          <TableCell className="mono">
                            {entry.SI ? limitText(entry.SI, entry.sense) : ''}
                          </TableCell>
                        </>
                      )}
                      <TableCell>
                        {entry.source}
                        <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
                          {entry.edition}
                        </Typography>
                      </TableCell>
                      <TableCell sx={{ color: COLOUR[entry.status], fontWeight: 700 }}>
                        {entry.status}
                      </TableCell>
                      <TableCell sx={{ whiteSpace: 'nowrap' }}>
                        {canChange ? <ChangeButtons entry={entry} jobId={jobId} /> : null}
                      </TableCell>
                    </TableRow>
                  ))}
              </TableBody>
            </Table>
          </Box>
        </Card>
      ))}
    </Stack>
  );
}

const ABOUT: readonly FormField[] = [
  {
    name: 'edition',
    label: 'Edition',
    help: 'Year of the copy you looked at, or the document that sets the value.',
  },
  { name: 'note', label: 'Note', type: 'lines', help: 'What you checked, or why you set it.' },
];

function ChangeButtons({ entry, jobId }: { entry: Entry; jobId: string | undefined }) {
  const ends = (['both', 'US', 'SI'] as const).flatMap((system) => {
    const value = entry[system];
    return (['low', 'high'] as const).flatMap((end) =>
      value?.[end] === undefined
        ? []
        : [{ name: `${system}.${end}`, system, end, value: value[end] ?? '', unit: value.unit }],
    );
  });
  const words = { both: '', US: ', inch-pound', SI: ', SI' } as const;
  return (
    <>
      {jobId ? null : (
        <FormDialog
          title={`Confirm: ${entry.title}`}
          useCase="change-limit"
          fixed={{ limitId: entry.id, status: 'confirmed' }}
          fields={ABOUT}
          submit="Confirm"
          done="Confirmed."
          button={(open) => (
            <Button size="small" variant="outlined" onClick={open}>
              Confirm
            </Button>
          )}
        />
      )}
      <FormDialog
        title={`Set: ${entry.title}`}
        useCase="change-limit"
        fixed={{
          limitId: entry.id,
          ...(jobId ? { status: 'set by the project', jobId } : { status: 'set by the laboratory' }),
        }}
        initial={Object.fromEntries(ends.map(({ name, value }) => [name.replace('.', '_'), value]))}
        fields={[
          ...ends.map(({ name, system, end, unit }) => ({
            name: name.replace('.', '_'),
            label: `${end === 'low' ? 'Not less than' : 'Not more than'}${words[system]}${unitLabel(unit) ? `, ${unitLabel(unit)}` : ''}`,
          })),
          ...ABOUT,
        ]}
        shape={(typed) => {
          const values: Record<string, Record<string, unknown>> = {};
          for (const { name, system, end } of ends) {
            values[system] = { ...values[system], [end]: typed[name.replace('.', '_')] };
          }
          const { limitId, status, edition, note } = typed;
          return { limitId, status, edition, note, values, ...(jobId ? { jobId } : {}) };
        }}
        submit="Set"
        done="Set. Runs that begin from now on use it."
        button={(open) => (
          <Button size="small" color="secondary" onClick={open}>
            Set
          </Button>
        )}
      />
    </>
  );
}
