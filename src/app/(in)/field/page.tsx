import { Alert, Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { sampleLabel } from '@/core/identity/labels';
import { findMaterial, MATERIALS } from '@/core/materials/registry';
import { database } from '@/db/client';
import { pageActor, pageData } from '@/server/page';
import { cardList } from '@/server/queries/gear';
import { jobsToPlace, recentPlacements } from '@/server/queries/jobs';
import { siteWaits } from '@/server/queries/today';
import { staffOnly } from '@/server/scope';
import { TakeSample } from '@/ui/field/TakeSample';
import { Card, Empty } from '@/ui/parts/Card';
import { LinkButton, TextLink } from '@/ui/parts/LinkButton';
import { lotHref } from '@/ui/places';
import { dayTime, fullDay, localInput } from '@/ui/time';
import { NewLot } from '@/ui/views/NewLot';
import { NewSample } from '@/ui/views/NewSample';
import { SiteWaits } from '@/ui/views/SiteWaits';

export const metadata: Metadata = { title: 'Field' };

/** The placements around today; one press at the truck takes the sample. */
export default async function FieldPage() {
  const actor = await pageActor();
  await pageData(async () => staffOnly(actor));
  const db = database();
  const now = new Date();
  const [{ placements, more }, jobs] = await Promise.all([
    recentPlacements(db, actor, now),
    jobsToPlace(db, actor),
  ]);
  const site = await siteWaits(db, actor, now);
  const due = (await cardList(db, actor, now.toISOString().slice(0, 10))).filter(
    ({ personId, state }) => personId === actor.id && (state === 'lapses soon' || state === 'lapsed'),
  );
  return (
    <Stack spacing={2} sx={{ maxWidth: 760 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          Field
        </Typography>
        {MATERIALS.map(({ id }) => (
          <NewLot
            key={id}
            material={id}
            jobs={jobs.map((job) => ({ ...job, now: localInput(now, job.zone) }))}
          />
        ))}
      </Box>
      {due.map((card) => (
        <Alert key={card.id} severity={card.state === 'lapsed' ? 'error' : 'warning'}>
          {card.state === 'lapsed'
            ? `Your certificate ${card.number} lapsed on ${fullDay(`${card.expiresOn}T12:00:00Z`, 'UTC')}: tests for acceptance carry the remark “not certified”.`
            : `Your certificate ${card.number} lapses on ${fullDay(`${card.expiresOn}T12:00:00Z`, 'UTC')}: book the examination.`}
        </Alert>
      ))}
      {site.waits.length > 0 ? (
        <Card title="Waiting on site">
          <SiteWaits waits={site.waits} now={now.getTime()} />
          {site.more > 0 ? (
            <Typography color="text.secondary" sx={{ mt: 1 }}>
              {`and ${site.more} more that have longer`}
            </Typography>
          ) : null}
        </Card>
      ) : null}
      {placements.length === 0 ? (
        <Card>
          <Empty>Nothing is placed or opened around today. Enter it first; then the sample is taken.</Empty>
        </Card>
      ) : (
        placements.map(({ placement, mix, job, samples }) => (
          <Card
            key={placement.id}
            title={placement.title}
            actions={
              <LinkButton
                href={lotHref(placement.id, findMaterial(mix.material))}
                size="small"
                variant="outlined"
              >
                {findMaterial(mix.material)?.comesInLoads ? 'The day' : 'Open'}
              </LinkButton>
            }
          >
            <Typography color="text.secondary" sx={{ mb: 1 }}>
              {`${job.name}. ${mix.code}${placement.about.location ? `, ${placement.about.location}` : ''}. ${dayTime(placement.startsAt, job.zone)}`}
            </Typography>
            <Stack spacing={1}>
              {samples.map((sample) => (
                <LinkButton
                  key={sample.id}
                  href={`/${findMaterial(mix.material)?.comesInLoads ? 'field' : 'samples'}/${sample.id}`}
                  variant="outlined"
                  size="large"
                  sx={{ justifyContent: 'flex-start' }}
                >
                  {`${sampleLabel(job.number, sample.number)}, ${dayTime(sample.sampledAt, job.zone)}${sample.ticket ? `, ticket ${sample.ticket}` : ''}`}
                </LinkButton>
              ))}
              {findMaterial(mix.material)?.comesInLoads ? (
                <TakeSample lotId={placement.id} />
              ) : (
                <NewSample
                  lotId={placement.id}
                  material={mix.material}
                  system={job.system}
                  zone={job.zone}
                  now={localInput(now, job.zone)}
                />
              )}
            </Stack>
          </Card>
        ))
      )}
      {more ? (
        <Typography color="text.secondary">
          The nearest in time are listed; all others are under <TextLink href="/jobs">their jobs</TextLink>.
        </Typography>
      ) : null}
    </Stack>
  );
}
