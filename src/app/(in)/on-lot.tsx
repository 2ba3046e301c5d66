import { Box, Stack, Typography } from '@mui/material';
import { findMethod } from '@/core/methods/registry';
import { withUnit } from '@/core/quantity';
import { isReportable } from '@/core/working';
import type { RunView } from '@/server/queries/dossier';
import { Empty } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { dayTime } from '@/ui/time';
import { ReadNow } from '@/ui/views/ReadNow';

/** The buttons of what is read on a lot itself. */
export function OnLotButtons({ lotId, methods }: { lotId: string; methods: readonly string[] }) {
  return methods.flatMap((method) => {
    const { begin, title } = findMethod(method) ?? {};
    return title ? <ReadNow key={method} lotId={lotId} method={method} words={begin ?? title} /> : [];
  });
}

/** What was read on a lot itself, each with when, what it came to, and what has to be said of it. */
export function OnLot({
  runs,
  zone,
  linked,
  empty,
}: {
  runs: readonly RunView[];
  zone: string;
  /** Whether who looks may open the runs. */
  linked: boolean;
  empty: string;
}) {
  if (runs.length === 0) return <Empty>{empty}</Empty>;
  return (
    <Stack spacing={0.75}>
      {runs.map(({ id, method, state, main, outcome, input }) => {
        const { title, performedAt } = findMethod(method) ?? {};
        const at = performedAt ? input?.[performedAt] : undefined;
        const [worst] = outcome?.findings ?? [];
        const said = outcome?.verdicts ?? [];
        return (
          <Box key={id}>
            <Box sx={{ display: 'flex', columnGap: 2, flexWrap: 'wrap', alignItems: 'baseline' }}>
              {linked ? <TextLink href={`/runs/${id}`}>{title}</TextLink> : <Typography>{title}</Typography>}
              <Typography variant="body2" color="text.secondary">
                {typeof at === 'string' ? dayTime(new Date(at), zone) : ''}
              </Typography>
              <Typography className="mono" sx={{ ml: 'auto', fontWeight: 600 }}>
                {state === 'open'
                  ? 'being read'
                  : main && isReportable(outcome?.findings ?? [])
                    ? withUnit(main.text, main.unit)
                    : 'no valid result'}
              </Typography>
            </Box>
            {said.map(({ criterion, state: verdict, sentence }) => (
              <Typography
                key={criterion}
                variant="body2"
                color={verdict === 'does not meet' ? 'error' : 'text.secondary'}
              >
                {sentence}
              </Typography>
            ))}
            {said.length === 0 && worst ? (
              <Typography variant="body2" color={worst.severity === 'invalid' ? 'error' : 'text.secondary'}>
                {worst.message}
              </Typography>
            ) : null}
          </Box>
        );
      })}
    </Stack>
  );
}
