'use client';
import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { CardState } from '@/core/certification';
import { FormDialog } from '../form/FormDialog';
import { Empty } from '../parts/Card';
import { fullDay } from '../time';

export interface CardRow {
  readonly id: string;
  readonly name: string;
  readonly number: string;
  /** Titles of the tests it covers. */
  readonly covers: readonly string[];
  readonly issuedOn: string;
  readonly expiresOn: string;
  readonly withdrawnReason: string | null;
  readonly state: CardState;
}

const LOOK: Readonly<Record<CardState, readonly [string, string]>> = {
  valid: ['✓', 'success.main'],
  'lapses soon': ['!', 'warning.main'],
  lapsed: ['✕', 'error.main'],
  'not yet': ['–', 'text.secondary'],
  withdrawn: ['✕', 'text.secondary'],
};

const day = (date: string): string => fullDay(`${date}T12:00:00Z`, 'UTC');

/** A certificate of a person, with what it covers. */
export function AddCard({
  people,
  methods,
  today,
}: {
  people: readonly { readonly id: string; readonly name: string }[];
  methods: readonly { readonly value: string; readonly label: string }[];
  today: string;
}) {
  return (
    <FormDialog
      title="Add a certificate"
      useCase="add-card"
      initial={{ issuedOn: today, methods: methods.map(({ value }) => value).join(' ') }}
      fields={[
        {
          name: 'personId',
          label: 'Person',
          options: people.map(({ id, name }) => ({ value: id, label: name })),
        },
        { name: 'number', label: 'Number' },
        { name: 'methods', label: 'Covers', type: 'checks', options: methods },
        { name: 'issuedOn', label: 'Issued on', type: 'date' },
        {
          name: 'expiresOn',
          label: 'Good until',
          type: 'date',
          optional: true,
          help: 'Empty: as long as the limits register says.',
        },
      ]}
      submit="Add"
      done="Certificate added."
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          Add a certificate
        </Button>
      )}
    />
  );
}

/** The certificates, with how each stands today. */
export function CardTable({
  cards,
  canChange,
  today,
}: {
  cards: readonly CardRow[];
  canChange: boolean;
  today: string;
}) {
  if (cards.length === 0) {
    return (
      <Empty>
        No certificate on file. Without one a test for acceptance carries the remark “not certified”, and its
        mark of acceptance is withheld.
      </Empty>
    );
  }
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small">
        <TableHead>
          <TableRow>
            {['Person', 'Number', 'Covers', 'Issued', 'Good until', 'State', ''].map((word) => (
              <TableCell key={word}>{word}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {cards.map((card) => {
            const [mark, colour] = LOOK[card.state];
            return (
              <TableRow key={card.id}>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>{card.name}</TableCell>
                <TableCell className="mono" sx={{ whiteSpace: 'nowrap' }}>
                  {card.number}
                </TableCell>
                <TableCell>{card.covers.join(', ')}</TableCell>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>{day(card.issuedOn)}</TableCell>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>{day(card.expiresOn)}</TableCell>
                <TableCell sx={{ color: colour, whiteSpace: 'nowrap' }}>
                  {`${mark} ${card.state}`}
                  {card.withdrawnReason ? (
                    <Typography variant="body2" color="text.secondary" sx={{ whiteSpace: 'normal' }}>
                      {card.withdrawnReason}
                    </Typography>
                  ) : null}
                </TableCell>
                <TableCell sx={{ textAlign: 'right' }}>
                  {canChange && card.state !== 'withdrawn' ? (
                    <FormDialog
                      title={`Withdraw ${card.number} of ${card.name}`}
                      useCase="withdraw-card"
                      fixed={{ cardId: card.id }}
                      initial={{ withdrawnOn: today }}
                      fields={[
                        { name: 'withdrawnOn', label: 'From', type: 'date' },
                        { name: 'reason', label: 'Reason', type: 'lines' },
                      ]}
                      submit="Withdraw"
                      done="Withdrawn. It stays on record."
                      button={(open) => (
                        <Button size="small" color="secondary" onClick={open}>
                          Withdraw
                        </Button>
                      )}
                    />
                  ) : null}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Box>
  );
}
