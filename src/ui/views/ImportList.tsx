'use client';
import { Button, Typography } from '@mui/material';
import { useCallback } from 'react';
import { LISTS, type ListColumn, type ListName } from '@/core/interchange/lists';
import { perform } from '../api';
import { ImportDialog, type ImportView } from '../form/ImportDialog';
import { saveText } from '../save-text';

/** How many columns a preview shows: what a row is known by. */
const SHOWN = 4;

interface Tried {
  readonly line: number;
  readonly cells: Readonly<Record<string, string>>;
  readonly errors: readonly string[];
}

/** One for all renderings: another each time would have the rows looked at anew. */
const NOTHING_MORE = {};

/** A list that a laboratory brings along: what would come of each row is said by the server before anything is kept. */
export function ImportList({
  list,
  more = [],
  about = NOTHING_MORE,
  words,
}: {
  list: ListName;
  /** Columns besides, of the material. */
  more?: readonly ListColumn[];
  about?: Readonly<Record<string, string>>;
  /** What the list holds, where its name does not say it. */
  words?: { readonly title: string; readonly button: string };
}) {
  const { title } = LISTS[list];
  const columns: readonly ListColumn[] = [...LISTS[list].columns, ...more];
  const read = useCallback(
    async (csv: string): Promise<ImportView> => {
      const reply = await perform<{ rows: readonly Tried[] }>('import-list', {
        list,
        csv,
        look: true,
        ...about,
      });
      if (!reply.ok) return { rows: [], problems: [Object.values(reply.errors)[0] ?? reply.message] };
      const names: readonly string[] = LISTS[list].columns.slice(0, SHOWN).map(({ name }) => name);
      return {
        problems: [],
        rows: reply.data.rows.map(({ line, cells, errors }) => ({
          key: String(line),
          cells: names.map((name) => cells[name] ?? ''),
          errors,
        })),
      };
    },
    [list, about],
  );
  return (
    <ImportDialog
      title={words?.title ?? title}
      intro={
        <>
          <Typography variant="body2" color="text.secondary">
            A header, then a row each; comma, semicolon or tab. Columns in any order, those with a star are
            needed:
          </Typography>
          <Typography variant="body2" color="text.secondary">
            {columns
              .map(({ name, needed, holds }) => `${name}${needed ? '*' : ''}${holds ? ` (${holds})` : ''}`)
              .join(', ')}
          </Typography>
          <Button
            size="small"
            onClick={() => saveText(`${list}.csv`, `${columns.map(({ name }) => name).join(',')}\n`)}
          >
            An empty list to fill in
          </Button>
        </>
      }
      columns={LISTS[list].columns.slice(0, SHOWN).map(({ name }) => name.replaceAll('_', ' '))}
      read={read}
      send={(csv, keys) => ['import-list', { list, csv, lines: keys.map(Number), ...about }]}
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          {words?.button ?? 'From a list'}
        </Button>
      )}
    />
  );
}
