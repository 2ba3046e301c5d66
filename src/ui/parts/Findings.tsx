'use client';
import { Box, Stack, TextField, Typography } from '@mui/material';
import type { Finding, Severity } from '@/core/working';

const LOOK: Readonly<Record<Severity, { word: string; colour: string; ground: string; mark: string }>> = {
  invalid: { word: 'No valid result', colour: 'error.main', ground: 'error.light', mark: '✕' },
  departure: { word: 'Departure', colour: 'warning.main', ground: 'warning.light', mark: '!' },
  advice: { word: 'Look', colour: 'text.primary', ground: 'background.default', mark: 'i' },
};

interface Props {
  readonly findings: readonly Finding[];
  /** When given, findings that ask for a reason carry a field for it. */
  readonly reasons?: Readonly<Record<string, string>>;
  readonly errors?: Readonly<Record<string, string>>;
  readonly onReason?: (findingId: string, reason: string) => void;
}

/** What the checks found, most serious first: what, against which limit, from where, and what to do now. */
export function Findings({ findings, reasons, errors = {}, onReason }: Props) {
  return (
    <Stack spacing={1} role="list" aria-label="Findings">
      {findings.map((found) => {
        const look = LOOK[found.severity];
        return (
          <Box
            role="listitem"
            key={`${found.id}/${found.fields.join()}`}
            sx={{ bgcolor: look.ground, borderLeft: 4, borderColor: look.colour, p: 1 }}
          >
            <Typography sx={{ fontWeight: 700, color: look.colour }}>
              <Box component="span" className="mono" aria-hidden="true" sx={{ mr: 0.75 }}>
                {look.mark}
              </Box>
              {look.word}
            </Typography>
            <Typography variant="body2">{found.message}</Typography>
            <Typography variant="body2" sx={{ mt: 0.5 }}>
              {found.action}
            </Typography>
            {found.limit ? (
              <Typography variant="caption" color="text.secondary" sx={{ display: 'block', mt: 0.5 }}>
                {`${found.limit.text}. ${found.limit.source}${found.limit.status === 'our choice' ? '' : `, ${found.limit.status}`}`}
              </Typography>
            ) : null}
            {onReason && found.needsReason ? (
              <TextField
                label="Reason for going on"
                value={reasons?.[found.id] ?? ''}
                onChange={(event) => onReason(found.id, event.target.value)}
                error={errors[`reason.${found.id}`] !== undefined}
                helperText={
                  errors[`reason.${found.id}`] ?? 'A reviewer accepts it before the result can be reported.'
                }
                multiline
                fullWidth
                sx={{ mt: 1, bgcolor: 'background.paper' }}
              />
            ) : null}
          </Box>
        );
      })}
    </Stack>
  );
}
