import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { measureWords } from '@/core/material/measure-words';
import { fromReader } from '@/db/client';
import { pageActor, pageNumber } from '@/server/page';
import { seriesPage } from '@/server/queries/series';
import { Card, Empty } from '@/ui/parts/Card';
import { LinkButton } from '@/ui/parts/LinkButton';
import { Pages } from '@/ui/parts/Pages';
import { VerdictMark } from '@/ui/parts/Verdict';

export const metadata: Metadata = { title: 'Verdicts' };

export default async function VerdictsPage({ searchParams }: { searchParams: Promise<{ page?: string }> }) {
  const actor = await pageActor();
  const page = pageNumber((await searchParams).page);
  const { shown, count, pages } = await fromReader((db) => seriesPage(db, actor, page));
  return (
    <Stack spacing={2}>
      <Typography variant="h1">Verdicts</Typography>
      {shown.length === 0 ? (
        <Card>
          <Empty>Nothing is asked for yet. Verdicts appear as soon as what is specified has results.</Empty>
        </Card>
      ) : (
        shown.map(({ mix, job, state, words, needed, governing }) => (
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
                <VerdictMark state={state} />
              </Box>
              <Typography>
                {[measureWords(mix.asked.specifiedStrength ?? mix.asked.flexuralStrength), job.name]
                  .filter(Boolean)
                  .join(', ')}
                {`. ${words}`}
              </Typography>
              {needed ? (
                <Typography sx={{ fontWeight: 700 }}>{`Next result must reach ${needed}.`}</Typography>
              ) : null}
            </Box>
            {governing ? (
              <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
                {`Governing: ${governing}`}
              </Typography>
            ) : null}
          </Card>
        ))
      )}
      <Pages
        page={page}
        pages={pages}
        words={`${count} specified, those worked on last first`}
        href="/verdicts"
      />
    </Stack>
  );
}
