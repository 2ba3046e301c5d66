import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { database } from '@/db/client';
import { pageActor, pageNumber } from '@/server/page';
import { seriesPage } from '@/server/queries/series';
import { measureWords } from '@/server/reports/content';
import { Card, Empty } from '@/ui/parts/Card';
import { LinkButton } from '@/ui/parts/LinkButton';
import { Pages } from '@/ui/parts/Pages';
import { VerdictMark } from '@/ui/parts/Verdict';

export const metadata: Metadata = { title: 'Verdicts' };

export default async function VerdictsPage({ searchParams }: { searchParams: Promise<{ page?: string }> }) {
  const actor = await pageActor();
  const page = pageNumber((await searchParams).page);
  const { series: all, count, pages } = await seriesPage(database(), actor, page);
  return (
    <Stack spacing={2}>
      <Typography variant="h1">Verdicts</Typography>
      {all.length === 0 ? (
        <Card>
          <Empty>No mix yet. Verdicts appear as soon as a mix has strength tests.</Empty>
        </Card>
      ) : (
        all.map(({ mix, job, verdicts }) => (
          <Card
            key={mix.id}
            title={`${mix.code}  ${mix.title}`}
            actions={
              <LinkButton href={`/verdicts/${mix.id}`} variant="outlined">
                Open
              </LinkButton>
            }
          >
            <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'baseline' }}>
              <Box sx={{ fontSize: '1.25rem' }}>
                <VerdictMark state={verdicts.soFar.state} />
              </Box>
              <Typography>
                {`${measureWords(mix.specifiedStrength)}, ${job.name}. ${verdicts.individuals.length - verdicts.soFar.waiting} tests decided, ${verdicts.soFar.waiting} waiting.`}
              </Typography>
              {verdicts.needed ? (
                <Typography
                  sx={{ fontWeight: 700 }}
                >{`Next result must reach ${verdicts.needed.text}.`}</Typography>
              ) : null}
            </Box>
            {verdicts.governing ? (
              <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
                {`Governing: ${verdicts.governing.sentence}`}
              </Typography>
            ) : null}
          </Card>
        ))
      )}
      <Pages page={page} pages={pages} words={`${count} mixes, those placed last first`} href="/verdicts" />
    </Stack>
  );
}
