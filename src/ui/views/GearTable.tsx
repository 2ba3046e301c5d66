'use client';
import {
  Box,
  Button,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TableSortLabel,
  TextField,
} from '@mui/material';
import { useRouter } from 'next/navigation';
import { type ComponentProps, useState } from 'react';
import type { PadWear } from '@/core/ends';
import type { MachineFacts, PadFacts } from '@/core/methods';
import { withThousands } from '@/core/quantity';
import { perform } from '../api';
import { FormDialog } from '../form/FormDialog';
import { useNotice } from '../parts/Notice';
import { fullDay } from '../time';
import { Certificate } from './Certificate';
import { DescribeMachine, isMachine } from './DescribeMachine';
import { EndMaterial, padWords } from './EndMaterial';
import { VerifiedLoads } from './VerifiedLoads';

interface Item {
  readonly id: string;
  readonly number: string;
  readonly kind: string;
  readonly name: string;
  readonly place: string;
  readonly inService: boolean;
  readonly verifiedOn: string | null;
  readonly range: string;
  readonly loads: Omit<ComponentProps<typeof VerifiedLoads>, 'number'> | null;
  readonly certificate: string;
  /** The file of that certificate. */
  readonly file: { readonly id: string; readonly name: string } | null;
  readonly due: string | null;
  readonly machine: MachineFacts | null;
  readonly pads: PadFacts | null;
  readonly wear: PadWear | null;
  readonly state: 'in date' | 'due soon' | 'overdue' | 'never verified' | 'out of service';
}

const COLOUR: Readonly<Record<Item['state'], string>> = {
  'in date': 'success.main',
  'due soon': 'warning.main',
  overdue: 'error.main',
  'never verified': 'error.main',
  'out of service': 'text.secondary',
};

const MARK: Readonly<Record<Item['state'], string>> = {
  'in date': '✓',
  'due soon': '!',
  overdue: '✕',
  'never verified': '✕',
  'out of service': '–',
};

const COLUMNS = [
  ['number', 'Number'],
  ['kind', 'Kind'],
  ['name', 'What it is'],
  ['state', 'State'],
  ['verifiedOn', 'Verified'],
  ['due', 'Due by'],
] as const;

function day(date: string | null): string {
  return date ? fullDay(`${date}T12:00:00Z`, 'UTC') : '';
}

const FORCES = [
  { value: 'lbf', label: 'lbf' },
  { value: 'kN', label: 'kN' },
];

/** The equipment with its verification dates: sorted by a click on a heading, found by typing. */
export function GearTable({
  items,
  today,
  canVerify,
}: {
  items: readonly Item[];
  today: string;
  canVerify: boolean;
}) {
  const router = useRouter();
  const notice = useNotice();
  const [by, setBy] = useState<(typeof COLUMNS)[number][0]>('due');
  const [down, setDown] = useState(false);
  const [words, setWords] = useState('');
  const shown = items
    .filter((item) =>
      `${item.number} ${item.kind} ${item.name} ${item.place} ${item.state}`
        .toLowerCase()
        .includes(words.toLowerCase()),
    )
    .toSorted((a, b) => String(a[by] ?? '').localeCompare(String(b[by] ?? '')) * (down ? -1 : 1));
  const service = async (item: Item): Promise<void> => {
    const reply = await perform('set-service', { equipmentId: item.id, inService: !item.inService });
    notice(
      reply.ok ? `${item.number} is ${item.inService ? 'out of' : 'in'} service.` : reply.message,
      reply.ok ? 'success' : 'error',
    );
    router.refresh();
  };
  return (
    <>
      <TextField
        label="Find"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        sx={{ mb: 1, width: 260 }}
      />
      <Box sx={{ overflowX: 'auto' }}>
        <Table size="small">
          <TableHead>
            <TableRow>
              {COLUMNS.map(([field, word]) => (
                <TableCell key={field} sortDirection={by === field ? (down ? 'desc' : 'asc') : false}>
                  <TableSortLabel
                    active={by === field}
                    direction={by === field && down ? 'desc' : 'asc'}
                    onClick={() => {
                      setDown(by === field && !down);
                      setBy(field);
                    }}
                  >
                    {word}
                  </TableSortLabel>
                </TableCell>
              ))}
              <TableCell>Verified range</TableCell>
              <TableCell>Certificate</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {shown.map((item) => (
              <TableRow key={item.id}>
                <TableCell className="mono">{item.number}</TableCell>
                <TableCell>{item.kind}</TableCell>
                <TableCell>{`${item.name}${item.place ? `, ${item.place}` : ''}`}</TableCell>
                <TableCell sx={{ color: COLOUR[item.state], fontWeight: 700, whiteSpace: 'nowrap' }}>
                  <span aria-hidden="true">{`${MARK[item.state]} `}</span>
                  {item.state}
                </TableCell>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>{day(item.verifiedOn)}</TableCell>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>{day(item.due)}</TableCell>
                <TableCell className="mono" sx={{ fontSize: '0.8rem' }}>
                  {item.pads ? padWords(item.pads, item.wear) : item.range.replace(/\d{4,}/g, withThousands)}
                  {item.loads ? <VerifiedLoads number={item.number} {...item.loads} /> : null}
                </TableCell>
                <TableCell>
                  <Certificate item={item} canKeep={canVerify} />
                </TableCell>
                <TableCell sx={{ whiteSpace: 'nowrap', textAlign: 'right' }}>
                  {canVerify ? (
                    <>
                      {item.kind === 'unbonded pads' || item.kind === 'capping compound' ? (
                        <EndMaterial item={item} today={today} />
                      ) : (
                        <FormDialog
                          title={`Verification of ${item.number}`}
                          useCase="record-verification"
                          fixed={{ equipmentId: item.id }}
                          initial={{ verifiedOn: today, loadsIn: 'lbf' }}
                          fields={[
                            { name: 'verifiedOn', label: 'Verified on', type: 'date' },
                            ...(isMachine(item.kind) || item.kind === 'pull-off tester'
                              ? [
                                  {
                                    name: 'verifiedFrom',
                                    label: 'Verified from',
                                    help: 'Lowest verified load, as 18,000 lbf or 80 kN.',
                                    optional: true,
                                  },
                                  { name: 'verifiedTo', label: 'Verified to', optional: true },
                                ]
                              : []),
                            ...(isMachine(item.kind)
                              ? [
                                  {
                                    name: 'loads',
                                    label: 'Or the loads of the certificate',
                                    type: 'lines' as const,
                                    help: 'A row for each: indicated, then applied. The range is worked out from them.',
                                    optional: true,
                                  },
                                  { name: 'loadsIn', label: 'Loads in', options: FORCES },
                                ]
                              : []),
                            {
                              name: 'certificate',
                              label: 'Certificate',
                              optional: item.kind !== 'sensor pack',
                            },
                            ...(item.kind === 'sensor pack'
                              ? [
                                  {
                                    name: 'serials',
                                    label: 'Serial numbers it is of',
                                    help: 'As RH-0400 to RH-0460, RH-0475.',
                                  },
                                ]
                              : []),
                          ]}
                          submit="Record"
                          done={`Verification of ${item.number} recorded.`}
                          button={(open) => (
                            <Button size="small" variant="outlined" onClick={open}>
                              Verified
                            </Button>
                          )}
                        />
                      )}
                      {isMachine(item.kind) ? (
                        <DescribeMachine
                          number={item.number}
                          kind={item.kind}
                          equipmentId={item.id}
                          machine={item.machine}
                        />
                      ) : null}
                      <Button size="small" color="secondary" onClick={() => service(item)}>
                        {item.inService ? 'Out of service' : 'Back in service'}
                      </Button>
                    </>
                  ) : null}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      {shown.length === 0 ? (
        <Box sx={{ p: 2, color: 'text.secondary' }}>Nothing fits these words.</Box>
      ) : null}
    </>
  );
}
