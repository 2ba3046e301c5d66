import { Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import type { Material } from '@/core/material/contract';
import { saidOf } from '@/core/material/said';
import { capital } from '@/core/words';
import { TextLink } from '../parts/LinkButton';
import { lotHref } from '../places';
import { dayTime } from '../time';

/** The lots of a material, newest first. */
export function LotTable({
  material,
  rows,
  zone,
}: {
  material: Material;
  rows: readonly {
    readonly placement: { id: string; number: number; title: string; startsAt: Date; about: object };
    readonly mixCode: string;
  }[];
  zone: string;
}) {
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          {[
            'Number',
            capital(material.words.lot[0]),
            capital(material.words.specification[0]),
            'What is known',
            material.lotFields.startsAt,
          ].map((word) => (
            <TableCell key={word}>{word}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map(({ placement, mixCode }) => (
          <TableRow key={placement.id}>
            <TableCell className="mono">{placement.number}</TableCell>
            <TableCell>
              <TextLink href={lotHref(placement.id, material)}>{placement.title}</TextLink>
            </TableCell>
            <TableCell className="mono">{mixCode}</TableCell>
            <TableCell>
              {saidOf(material.Lot, { ...placement.about })
                .map(([label, text]) => `${label.toLowerCase()}: ${text}`)
                .join('; ')}
            </TableCell>
            <TableCell sx={{ whiteSpace: 'nowrap' }}>{dayTime(placement.startsAt, zone)}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
