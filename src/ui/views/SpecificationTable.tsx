import { Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import type { Material, Stored } from '@/core/material/contract';
import { capital } from '@/core/words';
import { TextLink } from '../parts/LinkButton';

/** What is asked of a material, one specification a line. */
export function SpecificationTable({
  material,
  specifications,
}: {
  material: Material;
  specifications: readonly {
    readonly id: string;
    readonly code: string;
    readonly version: number;
    readonly title: string;
    readonly asked: object;
  }[];
}) {
  const said = specifications.map((each) => ({ each, asked: material.summary(each.asked as Stored) }));
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          {[
            capital(material.words.specification[0]),
            'For',
            ...(said[0]?.asked.map(([heading]) => heading) ?? []),
            'Standing',
          ].map((word) => (
            <TableCell key={word}>{word}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {said.map(({ each, asked }) => (
          <TableRow key={each.id}>
            <TableCell className="mono">{`${each.code} v${each.version}`}</TableCell>
            <TableCell>{each.title}</TableCell>
            {asked.map(([heading, text]) => (
              <TableCell key={heading}>{text}</TableCell>
            ))}
            <TableCell>
              <TextLink href={`/verdicts/${each.id}`}>Verdicts</TextLink>
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
