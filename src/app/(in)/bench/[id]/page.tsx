import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { Limits } from '@/core/limits';
import { formText } from '@/core/materials/forms';
import { methodsFor } from '@/core/methods/registry';
import { isHeld } from '@/core/moulds';
import { ageText, durationText, windowState } from '@/core/windows';
import { database, readingOnce } from '@/db/client';
import { specimenNoun } from '@/server/batches';
import { makes } from '@/server/bench-work';
import { factsBefore } from '@/server/facts';
import { pageActor, pageData, pageId } from '@/server/page';
import { everyRun } from '@/server/queries/dossier';
import { specimenDetail } from '@/server/queries/specimen';
import { Card } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { PlanList } from '@/ui/parts/PlanList';
import { WindowBadge } from '@/ui/parts/WindowBadge';
import { StartRun } from '@/ui/views/StartRun';

export const metadata: Metadata = { title: 'Before you start' };

/** Before the first load: what to know of this specimen. Enter starts the run. */
export default async function BenchPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ scan?: string }>;
}) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const db = readingOnce(database());
  const { specimen, dossier } = await pageData(() => specimenDetail(db, actor, id));
  // One that was left whole by its first test is still to be broken.
  const open = everyRun(specimen).find((run) => run.state === 'open');
  if (open) redirect(`/runs/${open.id}`);
  if (specimen.run && specimen.testedAt !== null) redirect(`/runs/${specimen.run.id}`);
  const { job, mix, placement, limits } = dossier;
  const now = Date.now();
  const { opensAt, closesAt } = specimen;
  const window = opensAt && closesAt ? { opensAt: opensAt.getTime(), closesAt: closesAt.getTime() } : null;
  const state = window ? windowState(window, now, new Limits(limits.changes)) : null;
  const methods = methodsFor(specimen, { ...mix.asked });
  const own = methods.filter((method) => makes(actor, method.id));
  const plan = methods[0]?.plan(job.system, {
    limitChanges: limits.changes,
    profile: job.profile,
    facts: await factsBefore(db, methods[0]?.facts ?? {}, { ...dossier, specimen }),
    specimen: specimenNoun(specimen),
  });
  return (
    <Stack spacing={2} sx={{ maxWidth: 720 }}>
      <Typography variant="h1" className="mono">
        {specimen.label}
      </Typography>
      <Card>
        <Typography>{`${mix.code}, ${placement.title}. ${formText(specimen.form)}${specimen.about.cure ? `, ${specimen.about.cure} cured` : ''}.`}</Typography>
        {window && state && specimen.ageHours ? (
          <Box sx={{ display: 'flex', gap: 2, mt: 1, alignItems: 'center' }}>
            <WindowBadge state={state} />
            <Typography className="mono">
              {state === 'not open yet'
                ? `${ageText(specimen.ageHours)} opens in ${durationText((window.opensAt - now) / 60_000)}`
                : state === 'missed'
                  ? `${ageText(specimen.ageHours)} closed ${durationText((now - window.closesAt) / 60_000)} ago`
                  : `${ageText(specimen.ageHours)}: ${durationText((window.closesAt - now) / 60_000)} left`}
            </Typography>
          </Box>
        ) : isHeld(specimen) ? (
          <Typography sx={{ mt: 1 }}>
            Held in reserve: broken only when the engineer asks for it, never averaged in.
          </Typography>
        ) : null}
        {specimen.discarded === null ? null : (
          <Typography
            color="error"
            sx={{ mt: 1, fontWeight: 700 }}
          >{`Discarded: ${specimen.discarded}`}</Typography>
        )}
      </Card>
      {plan && plan.length > 0 ? (
        <Card title="Before you start">
          <PlanList items={plan} />
        </Card>
      ) : null}
      {methods.length === 0 ? (
        <Typography>
          {`A ${formText(specimen.form).toLowerCase()} is tested by a method that this version does not carry out. Its window stands here; note the test on `}
          <TextLink href={`/specimens/${specimen.id}`}>the specimen’s page</TextLink>.
        </Typography>
      ) : own.length === 0 ? (
        <Typography>Breaking specimens is the laboratory’s.</Typography>
      ) : (
        <StartRun
          specimenId={specimen.id}
          methods={own.map((method) => ({
            id: method.id,
            label: `Start: ${method.title.toLowerCase()}`,
          }))}
          scanned={
            (await searchParams).scan === '1' &&
            (state === 'open' || state === 'closing') &&
            specimen.discarded === null
          }
        />
      )}
    </Stack>
  );
}
