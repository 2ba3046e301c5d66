'use client';
import {
  Box,
  Button,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
  useTheme,
} from '@mui/material';
import { type DrawnValue, readSheetPicture } from '@/core/methods/cement-mill-sheet/read-picture';
import { useNotice } from '../../parts/Notice';
import type { BenchProps } from '../kit';

/** Shares of what two laboratories may lie apart, on the bar. */
const [WIDE, HIGH, MOST] = [132, 16, 2] as const;

/** A place on what two laboratories may lie apart: half of it, all of it, half as much again are marked. */
function Apart({ ratio, words }: { readonly ratio: number; readonly words: string }) {
  const { palette } = useTheme();
  const x = (share: number): number => 4 + (Math.min(share, MOST) / MOST) * (WIDE - 8);
  const ink = ratio <= 1 ? palette.success.main : ratio <= 1.5 ? palette.warning.main : palette.error.main;
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width={WIDE} height={HIGH} role="img" aria-label={words}>
      <line x1={x(0)} x2={x(MOST)} y1={HIGH / 2} y2={HIGH / 2} stroke={palette.divider} strokeWidth={2} />
      {[0.5, 1, 1.5].map((share) => (
        <line key={share} x1={x(share)} x2={x(share)} y1={2} y2={HIGH - 2} stroke={palette.text.secondary} />
      ))}
      <circle cx={x(ratio)} cy={HIGH / 2} r={5} fill={ink} />
    </svg>
  );
}

/** What is asked of the plant about the values that lie apart, with the facts. */
function question(sheet: string, rows: readonly DrawnValue[]): string {
  return [
    `Mill sheet ${sheet}: our own tests of this lot differ from it.`,
    ...rows.map(
      ({ label, unit, sheet: mill, own, ratio }) =>
        `${label}: sheet ${mill} ${unit}, ours ${own} ${unit} (${ratio} of what two laboratories may lie apart).`,
    ),
    'Was anything changed in these days, and how were these values tested? We keep a part of the sample to be split.',
  ].join('\n');
}

/** The sheet of the plant beside the own tests: how far apart, and what that means. */
export function SheetBeside({ picture }: BenchProps) {
  const { values } = picture;
  const notice = useNotice();
  const rows = readSheetPicture(picture);
  if (rows.length === 0)
    return (
      <Typography color="text.secondary">
        Each value of the sheet stands here beside what the own tests of this sample say.
      </Typography>
    );
  const apart = rows.filter(({ standing }) => standing === 'investigate' || standing === 'disputed');
  const ask = async (): Promise<void> => {
    await navigator.clipboard.writeText(question(String(values.sheet), apart));
    notice('The question to the plant is copied: paste it into a message.');
  };
  return (
    <Box sx={{ mb: 2 }}>
      <Box sx={{ overflowX: 'auto' }}>
        <Table size="small" aria-label="Sheet beside own tests">
          <TableHead>
            <TableRow>
              <TableCell>What</TableCell>
              {['Sheet', 'Own', 'Off', '%'].map((word) => (
                <TableCell key={word} align="right">
                  {word}
                </TableCell>
              ))}
              <TableCell>Of what may be apart</TableCell>
              <TableCell>It</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map(({ label, unit, sheet, own, off, percent, ratio, standing, why }) => (
              <TableRow key={`${label} ${sheet}`}>
                <TableCell>{`${label}, ${unit}`}</TableCell>
                {[sheet, own, off, percent].map((text, place) => (
                  <TableCell key={['s', 'o', 'd', 'p'][place]} align="right" className="mono">
                    {text}
                  </TableCell>
                ))}
                <TableCell>
                  {ratio ? <Apart ratio={Number(ratio)} words={`${ratio} of it`} /> : null}
                </TableCell>
                <TableCell>
                  {standing === 'disputed' ? 'disputed: split a sample' : standing || why}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      {apart.length > 0 ? (
        <Button variant="outlined" onClick={() => void ask()} sx={{ mt: 1 }}>
          Copy a question to the plant
        </Button>
      ) : null}
    </Box>
  );
}
