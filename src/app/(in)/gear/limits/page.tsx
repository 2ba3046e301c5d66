import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import type { LimitEntry, LimitId } from '@/core/limits';
import { sourceText } from '@/core/working';
import { database } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { limitRegister, projectLimits } from '@/server/queries/gear';
import { jobDetail } from '@/server/queries/jobs';
import { LinkButton } from '@/ui/parts/LinkButton';
import { LimitTable } from '@/ui/views/LimitTable';

export const metadata: Metadata = { title: 'Limits register' };

const shown = (id: LimitId, entry: LimitEntry, history: readonly string[]) => ({
  id,
  group: entry.group,
  title: entry.title,
  source: sourceText(entry.source),
  edition: entry.edition,
  status: entry.status,
  ...(entry.sense ? { sense: entry.sense } : {}),
  ...(entry.US ? { US: entry.US } : {}),
  ...(entry.SI ? { SI: entry.SI } : {}),
  ...(entry.both ? { both: entry.both } : {}),
  history,
});

/** The register of the laboratory; with `?job=` the rows a project goes by, and what its own document sets of them. */
export default async function LimitsPage({ searchParams }: { searchParams: Promise<{ job?: string }> }) {
  const actor = await pageActor();
  const { job } = await searchParams;
  return job ? <ProjectRows jobId={pageId(job)} actor={actor} /> : <Laboratory actor={actor} />;
}

type Actor = Awaited<ReturnType<typeof pageActor>>;

async function Laboratory({ actor }: { actor: Actor }) {
  const { entries, revision } = await pageData(() => limitRegister(database(), actor));
  const recalled = entries.filter(({ status }) => status === 'recalled').length;
  return (
    <Stack spacing={2}>
      <Typography variant="h1">Limits register</Typography>
      <Typography sx={{ maxWidth: 820 }}>
        {`Revision ${revision}. ${recalled} of ${entries.length} entries are recalled from memory: check each against your own copy of the standard, then confirm it or set your value. Runs keep the revision they began with.`}
      </Typography>
      <LimitTable
        canChange={actor.role === 'manager'}
        entries={entries.map((entry) =>
          shown(
            entry.id,
            entry,
            entry.history.map(
              (each) =>
                `Revision ${each.revision}, ${each.at.toISOString().slice(0, 10)}, ${each.byName}: ${each.change.status}. ${each.note}`,
            ),
          ),
        )}
      />
    </Stack>
  );
}

async function ProjectRows({ jobId, actor }: { jobId: string; actor: Actor }) {
  const db = database();
  const { job } = await pageData(() => jobDetail(db, actor, jobId));
  const { set, entries } = await pageData(() => projectLimits(db, actor, job));
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>{`Limits of ${job.number} ${job.name}`}</Typography>
        <LinkButton href={`/jobs/${job.id}`} variant="outlined">
          The job
        </LinkButton>
      </Box>
      <Typography sx={{ maxWidth: 820 }}>
        {`${set.length === 0 ? 'The project sets no row of its own.' : `${set.length} ${set.length === 1 ? 'row is' : 'rows are'} set by the project.`} What its specification says stands before the laboratory’s value, for this project only; runs that begin from now on use it, and the report names it.`}
      </Typography>
      <LimitTable
        canChange={actor.role === 'manager'}
        jobId={job.id}
        entries={entries.map(({ id, entry }) => {
          const own = set.find(({ limitId }) => limitId === id);
          return shown(
            id,
            entry,
            own ? [`${own.at.toISOString().slice(0, 10)}, ${own.byName}: ${own.note}`] : [],
          );
        })}
      />
    </Stack>
  );
}
