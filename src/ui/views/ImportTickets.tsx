'use client';
import { Button } from '@mui/material';
import { useCallback, useMemo } from 'react';
import { batchDifferences, readBatches } from '@/core/interchange';
import { type LimitChanges, Limits, type Profile } from '@/core/limits';
import type { System } from '@/core/quantity';
import { ImportDialog, type ImportView } from '../form/ImportDialog';
import { clock } from '../time';

/** Tickets out of the plant's file: what each says is read in when its truck comes and is sampled. */
export function ImportTickets({
  lotId,
  system,
  zone,
  profile,
  limitChanges,
  known,
}: {
  lotId: string;
  system: System;
  zone: string;
  profile: Profile;
  limitChanges: LimitChanges;
  /** Tickets that are there already: shown, never overwritten. */
  known: readonly string[];
}) {
  const limits = useMemo(() => new Limits(limitChanges, 0, profile), [limitChanges, profile]);
  const read = useCallback(
    (text: string): ImportView => {
      const { batches, problems } = readBatches(text, system, zone);
      return {
        problems,
        rows: batches.map((batch) => ({
          key: batch.ticket,
          cells: [
            batch.ticket,
            batch.truck,
            batch.loadedAt ? clock(batch.loadedAt, zone) : 'not said',
            batch.volume ?? 'not said',
            String(batch.materials.length),
          ],
          errors: known.includes(batch.ticket) ? ['is here already: what is here stays'] : [],
          remarks: batchDifferences(batch, system, limits).map(({ message }) => message),
        })),
      };
    },
    [system, zone, known, limits],
  );
  return (
    <ImportDialog
      title="Tickets from the plant’s file"
      intro="A row a material: ticket, truck, time_loaded, volume, material, type (cement, scm, fine, coarse, water, ice, admixture), design, actual, unit, moisture_pct, absorption_pct. Comma, semicolon or tab."
      columns={['Ticket', 'Truck', 'Loaded', 'Volume', 'Materials']}
      read={read}
      send={(csv, tickets) => ['import-batches', { lotId, csv, tickets }]}
      button={(open) => (
        <Button size="small" onClick={open}>
          Tickets from a file
        </Button>
      )}
    />
  );
}
