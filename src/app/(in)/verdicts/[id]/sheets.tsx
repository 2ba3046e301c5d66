import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { SheetTrend } from '@/core/uniformity';
import { Card } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { SheetLine } from '@/ui/views/SheetLine';

/** What the sheets of the plants say over their lots, property by property, beside the own tests. */
export function SheetsOverLots({ trends }: { trends: readonly SheetTrend[] }) {
  if (trends.length === 0) return null;
  return (
    <Card title="What the sheets of the plants say">
      <Box sx={{ overflowX: 'auto' }}>
        <Table size="small" aria-label="Sheets over the lots">
          <TableHead>
            <TableRow>
              <TableCell>What</TableCell>
              <TableCell>Sheets, own tests as dots</TableCell>
              <TableCell align="right">Newest sheet</TableCell>
              <TableCell align="right">Own, off on the average</TableCell>
              <TableCell>Did it step?</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {trends.map(({ source, what, unit, decimals, points, steps, enough, off }) => {
              const last = points.at(-1);
              return (
                <TableRow key={`${source} ${what}`}>
                  <TableCell>
                    {`${what}, ${unit}`}
                    <Typography variant="body2" color="text.secondary">
                      {source}
                    </Typography>
                  </TableCell>
                  <TableCell>
                    <SheetLine points={points} words={`${what} over ${points.length} sheets of ${source}`} />
                  </TableCell>
                  <TableCell align="right" className="mono">
                    {last?.sheet.toFixed(decimals)}
                    <br />
                    <TextLink href={`/samples/${last?.sampleId}`}>{last?.label}</TextLink>
                  </TableCell>
                  <TableCell align="right" className="mono">
                    {off === undefined ? '–' : `${off < 0 ? '−' : '+'}${Math.abs(off).toFixed(decimals)}`}
                  </TableCell>
                  <TableCell sx={steps ? { color: 'warning.dark', fontWeight: 700 } : {}}>
                    {steps
                      ? `It went ${steps}: ask the plant, and look at the own tests since.`
                      : enough
                        ? 'No.'
                        : 'Too few to say.'}
                  </TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        A sheet is the plant’s own word, often a mean of a month. It accepts no lot; a step in it says where
        to look.
      </Typography>
    </Card>
  );
}
