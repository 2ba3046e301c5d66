'use client';
import {
  Box,
  Button,
  Checkbox,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { durationText } from '@/core/windows/duration-text';
import { perform } from '../api';
import { FormDialog } from '../form/FormDialog';
import { newId } from '../ids';
import { Empty } from '../parts/Card';
import { useNotice } from '../parts/Notice';

interface Coming {
  readonly id: string;
  readonly label: string;
  readonly jobId: string;
  readonly size: string;
  readonly expected: string;
  readonly pads: string;
  readonly hardens: number;
  readonly opensAt: number;
  readonly closesAt: number;
  readonly capBy: number;
  readonly batched: boolean;
}

/** What comes up, with the latest moment a sulfur cap would still be hard in time; ticked ones become a batch. */
export function EndPlanner({
  specimens,
  ways,
  now,
  canWrite,
}: {
  specimens: readonly Coming[];
  /** The methods that make specimens ready together, with what their buttons say. */
  ways: readonly { readonly method: string; readonly begin: string }[];
  now: number;
  canWrite: boolean;
}) {
  const router = useRouter();
  const notice = useNotice();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState('');
  if (specimens.length === 0) return <Empty>Nothing comes up in the next four days.</Empty>;
  const begin = async (kind: string): Promise<void> => {
    setBusy(kind);
    const ordered = specimens.filter(({ id }) => chosen.includes(id)).map(({ id }) => id);
    const reply = await perform<{ runId: string }>('make-batch', {
      id: newId(),
      kind,
      specimenIds: ordered,
    });
    if (reply.ok) return router.push(`/runs/${reply.data.runId}`);
    setBusy('');
    notice(Object.values(reply.errors)[0] ?? reply.message, 'error');
  };
  const window = ({ opensAt, closesAt }: Coming): string =>
    now < opensAt
      ? `opens in ${durationText((opensAt - now) / 60_000)}`
      : now > closesAt
        ? `closed ${durationText((now - closesAt) / 60_000)} ago`
        : `${durationText((closesAt - now) / 60_000)} left`;
  return (
    <>
      {canWrite ? (
        <Box sx={{ display: 'flex', gap: 1, mb: 1, alignItems: 'center', flexWrap: 'wrap' }}>
          <Typography sx={{ flexGrow: 1 }}>
            {chosen.length === 0
              ? 'Tick the specimens that are done together.'
              : `${chosen.length} ${chosen.length === 1 ? 'specimen' : 'specimens'} chosen`}
          </Typography>
          {ways.map(({ method, begin: words }, order) => (
            <Button
              key={method}
              variant={order === 0 ? 'contained' : 'outlined'}
              disabled={chosen.length === 0}
              loading={busy === method}
              onClick={() => begin(method)}
            >
              {words}
            </Button>
          ))}
          <FormDialog
            title="Diameters of one lot of moulds"
            useCase="draw-diameters"
            fixed={{ specimenIds: specimens.filter(({ id }) => chosen.includes(id)).map(({ id }) => id) }}
            shape={(values) => ({ ...values, id: newId() })}
            intro="Allowed where all cylinders come from one lot of moulds of equal diameter. Which of them are measured, three at least and one in ten, is drawn now; the others take their mean while those agree within 0.02 in [0.5 mm]."
            fields={[{ name: 'lot', label: 'Lot of moulds', help: 'As on the carton.' }]}
            submit="Draw"
            done="Drawn: the list below says which are measured."
            button={(open) => (
              <Button variant="outlined" disabled={chosen.length === 0} onClick={open}>
                Diameters of one lot
              </Button>
            )}
          />
        </Box>
      ) : null}
      <Box sx={{ overflowX: 'auto' }}>
        <Table size="small">
          <TableHead>
            <TableRow>
              <TableCell />
              {[
                'Specimen',
                'Size',
                'Window',
                'Expected',
                'Pads',
                'Sulfur caps harden',
                'Cap at the latest',
              ].map((word) => (
                <TableCell key={word}>{word}</TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {specimens.map((each) => (
              <TableRow key={each.id} selected={chosen.includes(each.id)}>
                <TableCell padding="checkbox">
                  <Checkbox
                    checked={chosen.includes(each.id)}
                    disabled={!canWrite}
                    slotProps={{ input: { 'aria-label': each.label } }}
                    onChange={(_, on) =>
                      setChosen(on ? [...chosen, each.id] : chosen.filter((id) => id !== each.id))
                    }
                  />
                </TableCell>
                <TableCell className="mono">{each.label}</TableCell>
                <TableCell>{each.size}</TableCell>
                <TableCell>{window(each)}</TableCell>
                <TableCell className="mono">{each.expected}</TableCell>
                <TableCell>{each.pads}</TableCell>
                <TableCell className="mono">{`${each.hardens} h`}</TableCell>
                <TableCell sx={{ color: each.capBy < now ? 'error.main' : 'text.primary' }}>
                  {each.batched
                    ? '✓ in a batch'
                    : each.capBy < now
                      ? '✕ too late for sulfur: pads or grind'
                      : `in ${durationText((each.capBy - now) / 60_000)}`}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
    </>
  );
}
