'use client';
import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { useState } from 'react';
import type { TrailEntry } from '@/core/trail/entry';
import type { TrailChange } from '@/core/trail/words';
import { MONO } from '../theme';

/** An entry as the table shows it: its moment where the laboratory is. */
type TrailRow = Omit<TrailEntry, 'at'> & { readonly at: string };

const ACTIONS: Readonly<Record<string, string>> = { insert: 'new', update: 'changed', delete: 'taken away' };
/** Changes of an entry that stand there at once. */
const AT_ONCE = 5;

/** Who did what, the newest first, with what changed. */
export function TrailTable({ entries }: { readonly entries: readonly TrailRow[] }) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label="Audit trail" sx={{ minWidth: 900 }}>
        <TableHead>
          <TableRow>
            {['When', 'Who', 'What was done', 'Of', 'Before and after', 'Entry'].map((word) => (
              <TableCell key={word}>{word}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {entries.map(({ id, at, who, useCase, action, word, of, changes, hash }) => (
            <TableRow key={id} sx={{ verticalAlign: 'top' }}>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>{at}</TableCell>
              <TableCell>{who}</TableCell>
              <TableCell>
                {useCase || 'in the database itself'}
                <Typography variant="body2" color="text.secondary">
                  {`${word}, ${ACTIONS[action] ?? action}`}
                </Typography>
              </TableCell>
              <TableCell className="mono">{of}</TableCell>
              <TableCell>
                <Changes changes={changes} />
              </TableCell>
              <TableCell sx={{ fontFamily: MONO, whiteSpace: 'nowrap' }}>
                <span title={hash || 'not sealed'}>{`${id} ${hash.slice(0, 8)}`}</span>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

function Changes({ changes }: { readonly changes: readonly TrailChange[] }) {
  const [all, setAll] = useState(false);
  const shown = all ? changes : changes.slice(0, AT_ONCE);
  if (changes.length === 0) return <Typography color="text.secondary">nothing that is read</Typography>;
  return (
    <>
      {shown.map(({ field, before, after }) => (
        <Typography key={field} variant="body2" sx={{ overflowWrap: 'anywhere' }}>
          <Box component="span" sx={{ color: 'text.secondary' }}>{`${field}: `}</Box>
          {before ? <del>{before}</del> : null}
          {before && after ? ' ' : ''}
          {after ? (
            <ins style={{ textDecoration: 'none', fontWeight: before ? 700 : 400 }}>{after}</ins>
          ) : null}
        </Typography>
      ))}
      {changes.length > AT_ONCE && !all ? (
        <Box
          component="button"
          type="button"
          onClick={() => setAll(true)}
          sx={{
            border: 0,
            p: 0,
            bgcolor: 'transparent',
            color: 'primary.main',
            font: 'inherit',
            cursor: 'pointer',
          }}
        >
          {`${changes.length - AT_ONCE} more`}
        </Box>
      ) : null}
    </>
  );
}
