import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import type { Verdict } from '@/core/acceptance';
import { findCriterion } from '@/core/acceptance/criteria';
import type { Material, Said, Stored } from '@/core/material/contract';
import { inShort, saidOf } from '@/core/material/said';
import { type UnitId, withUnit } from '@/core/quantity';
import { capital } from '@/core/words';
import { TextLink } from '../parts/LinkButton';
import { VerdictMark } from '../parts/Verdict';

/** A set of a sample, as far as a list shows it. */
interface ListedSet {
  readonly key: string;
  readonly title: string;
  readonly test: { readonly text: string | null; readonly unit: UnitId; readonly state: string };
  readonly verdicts: readonly Pick<Verdict, 'criterion' | 'state' | 'sentence'>[];
  readonly derived?: { readonly said: readonly Said[] };
  readonly specimens?: readonly {
    readonly run: { readonly main: { readonly text: string; readonly unit: UnitId } | undefined } | null;
  }[];
}

interface ListedSample {
  readonly id: string;
  readonly label: string;
  readonly about: Stored;
  readonly sets: readonly ListedSet[];
  /** What else stands in its line, in the order of `more`. */
  readonly cells: readonly ReactNode[];
}

/** Samples with what they are, what they came to, and how that stands against what is asked. */
export function SamplesTable({
  material,
  rows,
  more,
}: {
  material: Material;
  rows: readonly ListedSample[];
  /** Headings of what else is known of each. */
  more: readonly string[];
}) {
  const headings = [
    capital(material.words.sample[0]),
    'What it is',
    ...more,
    'Came to',
    'Against what is asked',
  ];
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small">
        <TableHead>
          <TableRow>
            {headings.map((word) => (
              <TableCell key={word}>{word}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ id, label, about, sets, cells }) => (
            <TableRow key={id}>
              <TableCell className="mono" sx={{ whiteSpace: 'nowrap' }}>
                <TextLink href={`/samples/${id}`}>{label}</TextLink>
              </TableCell>
              <TableCell>{material.Sample ? inShort(saidOf(material.Sample, about)) : ''}</TableCell>
              {cells.map((cell, place) => (
                <TableCell key={more[place]}>{cell}</TableCell>
              ))}
              <TableCell>
                {sets.map((set) => (
                  <SetCell key={set.key} set={set} titled={sets.length > 1} />
                ))}
              </TableCell>
              <TableCell>
                {sets.flatMap(({ verdicts }) =>
                  verdicts.map(({ criterion, state, sentence }) => (
                    <Box key={criterion} sx={{ mb: 0.5 }}>
                      <VerdictMark state={state} word={findCriterion(criterion)?.title ?? criterion} />
                      <Typography variant="body2">{sentence}</Typography>
                    </Box>
                  )),
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

function SetCell({
  set: { title, test, derived, specimens = [] },
  titled,
}: {
  set: ListedSet;
  titled: boolean;
}) {
  const [own, ...others] = specimens.flatMap(({ run }) => run?.main ?? []);
  return (
    <div>
      {titled ? <Typography variant="body2">{title}</Typography> : null}
      <span className="mono">
        {test.text
          ? `${withUnit(test.text, test.unit)}${test.state === 'pending' ? ' so far' : ''}`
          : test.state === 'tested'
            ? own && others.length === 0
              ? withUnit(own.text, own.unit)
              : 'each by itself'
            : 'not tested yet'}
      </span>
      {derived?.said.map(([label, text]) => (
        <Typography key={label} variant="body2" color="text.secondary">
          {`${label}: ${text}`}
        </Typography>
      ))}
    </div>
  );
}
