'use client';
import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { ABSORPTION, COMPRESSION } from '@/core/materials/brick/forms';
import { TextLink } from '../../parts/LinkButton';
import type { PieceView } from '../kit';

/** The bricks that were halved, each with its two halves and how far both have come. */
export function Pairs({ pieces }: { pieces: readonly PieceView[] }) {
  const halved = pieces.filter(({ id }) => pieces.some(({ parentId }) => parentId === id));
  if (halved.length === 0)
    return (
      <Typography color="text.secondary">
        No brick is halved yet. Measure sizes first, then halve five of them: one half is broken, the other
        soaked.
      </Typography>
    );
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label="Bricks and their halves">
        <TableHead>
          <TableRow>
            {['Brick', 'Strength half', 'Strength', 'Absorption half', 'Cold', 'Boiled', 'Saturation'].map(
              (word) => (
                <TableCell key={word}>{word}</TableCell>
              ),
            )}
          </TableRow>
        </TableHead>
        <TableBody>
          {halved.map((brick) => {
            const of = (role: string) =>
              pieces.find((each) => each.parentId === brick.id && each.role === role);
            const [broken, soaked] = [of(COMPRESSION), of(ABSORPTION)];
            return (
              <TableRow key={brick.id}>
                <TableCell className="mono">
                  <TextLink href={brick.href}>{brick.label}</TextLink>
                </TableCell>
                <Half piece={broken} />
                <Came piece={broken} quantity="compressive strength" />
                <Half piece={soaked} />
                <Came piece={soaked} quantity="cold absorption" />
                <Came piece={soaked} quantity="boiling absorption" />
                <Came piece={soaked} quantity="saturation coefficient" />
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Box>
  );
}

function Half({ piece }: { piece: PieceView | undefined }) {
  return (
    <TableCell>
      {piece ? (
        <>
          <TextLink href={piece.href}>{piece.label.split('-').at(-1)}</TextLink>
          {piece.gone ? ', gone' : piece.state ? `, ${piece.state}` : ''}
        </>
      ) : (
        'none'
      )}
    </TableCell>
  );
}

function Came({ piece, quantity }: { piece: PieceView | undefined; quantity: string }) {
  return <TableCell className="mono">{piece?.results[quantity] ?? ''}</TableCell>;
}
