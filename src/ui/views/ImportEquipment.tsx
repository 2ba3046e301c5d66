'use client';
import { Button } from '@mui/material';
import { useCallback } from 'react';
import { readInstruments } from '@/core/interchange';
import { ImportDialog, type ImportView } from '../form/ImportDialog';

/** Instruments out of a list, each with its last verification. */
export function ImportEquipment({ kinds, known }: { kinds: readonly string[]; known: readonly string[] }) {
  const read = useCallback(
    (text: string): ImportView => {
      const { rows, problems } = readInstruments(text, kinds, new Set(known));
      return {
        problems,
        rows: rows.map(({ line, number, kind, name, verifiedOn, errors }) => ({
          key: String(line),
          cells: [number, kind, name, verifiedOn],
          errors,
        })),
      };
    },
    [kinds, known],
  );
  return (
    <ImportDialog
      title="Instruments from a list"
      intro="number, kind, name, place, verified_on (as 2031-05-14), verified_from, verified_to (of a machine, with the unit), certificate. Comma, semicolon or tab."
      columns={['Number', 'Kind', 'What it is', 'Verified']}
      read={read}
      send={(csv, keys) => ['import-equipment', { csv, lines: keys.map(Number) }]}
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          From a list
        </Button>
      )}
    />
  );
}
