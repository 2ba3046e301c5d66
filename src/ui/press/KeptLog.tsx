import { Typography } from '@mui/material';
import type { LogAnalysis } from '@/core/signals';
import { TextLink } from '../parts/LinkButton';

export const LOG_VERDICT = {
  valid: ['✓ The record is valid', 'success.main'],
  remark: ['! Valid with a remark', 'warning.main'],
  review: ['! To be reviewed', 'error.main'],
  'no result': ['✕ No result from this record', 'error.main'],
} as const satisfies Record<LogAnalysis['verdict'], readonly [string, string]>;

const FORMS = [
  ['original', 'The file as it came'],
  ['analysis.json', 'Its analysis'],
  ['cleaned.csv', 'As it was judged, CSV'],
] as const;

/** The load log that is kept with a run: what it was judged to be, and the ways it goes out again. */
export function KeptLog({ runId, verdict }: { runId: string; verdict: LogAnalysis['verdict'] }) {
  const [words, colour] = LOG_VERDICT[verdict];
  return (
    <Typography sx={{ color: colour }}>
      {`Load log kept: ${words}. `}
      {FORMS.map(([form, label]) => (
        <TextLink key={form} href={`/api/runs/${runId}/log/${form}`} sx={{ mr: 1.5 }}>
          {label}
        </TextLink>
      ))}
    </Typography>
  );
}
