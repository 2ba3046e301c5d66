import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { sampleLabel } from '@/core/identity/labels';
import { saidOf } from '@/core/material/said';
import { capital } from '@/core/words';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { lotDossier } from '@/server/queries/lot';
import { Card, Empty, Facts } from '@/ui/parts/Card';
import { LinkButton, TextLink } from '@/ui/parts/LinkButton';
import { ReportLinks } from '@/ui/parts/ReportLinks';
import { lotHref } from '@/ui/places';
import { dayTime, localInput } from '@/ui/time';
import { NewSample } from '@/ui/views/NewSample';
import { PrepareReport } from '@/ui/views/PrepareReport';
import { SamplesTable } from '@/ui/views/SamplesTable';
import { AllTogether } from '../../all-together';
import { OnLot, OnLotButtons } from '../../on-lot';

export const metadata: Metadata = { title: 'Lot' };

/** A lot: what it is, its samples with what they came to, the tests of the lot itself, and what all say together. */
export default async function LotPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const lot = await pageData(() => lotDossier(readingOnce(database()), actor, id));
  const { placement, mix, job, material, samples, runs, says, reports, limits } = lot;
  if (material.comesInLoads) redirect(lotHref(id, material));
  const { words } = material;
  const staff = actor.role !== 'client';
  const wants = material.lotWants?.({ ...placement.about }, limits, { ...mix.asked });
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1">{placement.title}</Typography>
        <Typography color="text.secondary" sx={{ flexGrow: 1 }}>
          <TextLink href={`/jobs/${job.id}`}>{`${job.number} ${job.name}`}</TextLink>
          {`. ${capital(words.lot[0])} ${placement.number}, ${mix.code} v${mix.version}`}
        </Typography>
        {material.hasPlan ? (
          <LinkButton href={`/field/floors/${placement.id}`} variant="outlined">
            {`Plan of the ${words.lot[0]}`}
          </LinkButton>
        ) : null}
        {staff && actor.role !== 'field' && samples.length > 0 ? (
          <PrepareReport of={{ lotId: placement.id }} signed={reports.at(-1)?.state === 'signed'} />
        ) : null}
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
          alignItems: 'start',
        }}
      >
        <Card title={capital(words.lot[0])}>
          <Facts
            pairs={[
              ...saidOf(material.Lot, { ...placement.about }),
              [material.lotFields.startsAt, dayTime(placement.startsAt, job.zone)],
              ...(wants ? [[`${capital(words.sample[1])} wanted`, wants] as const] : []),
            ]}
          />
        </Card>
        <Card title="Asked for">
          <Facts
            pairs={[
              [
                capital(words.specification[0]),
                <TextLink key="specification" href={`/verdicts/${mix.id}`}>
                  {`${mix.code} v${mix.version}, ${mix.title}`}
                </TextLink>,
              ],
              ...material.summary({ ...mix.asked }).filter(([, text]) => text !== ''),
            ]}
          />
        </Card>
      </Box>
      <Card
        title={capital(words.sample[1])}
        actions={
          staff ? (
            <NewSample
              lotId={placement.id}
              material={material.id}
              system={job.system}
              zone={job.zone}
              now={localInput(new Date(), job.zone)}
            />
          ) : null
        }
      >
        {samples.length === 0 ? (
          <Empty>{`No ${words.sample[0]} yet. Enter the first; then its ${words.specimen[1]} are registered and tested.`}</Empty>
        ) : (
          <SamplesTable
            material={material}
            more={['Taken', 'Tested']}
            rows={samples.map(({ sample, specimens, sets }) => ({
              id: sample.id,
              label: sampleLabel(job.number, sample.number),
              about: sample.about,
              sets,
              cells: [
                dayTime(sample.sampledAt, job.zone),
                `${specimens.filter(({ testedAt }) => testedAt).length} of ${specimens.length}`,
              ],
            }))}
          />
        )}
      </Card>
      {says ? <AllTogether says={says} material={material.id} /> : null}
      {material.onLot.length > 0 ? (
        <Card
          title={`Of the ${words.lot[0]} itself`}
          actions={
            staff && actor.role !== 'field' ? (
              <OnLotButtons lotId={placement.id} methods={material.onLot} />
            ) : null
          }
        >
          <OnLot runs={runs} zone={job.zone} linked={staff} empty="Nothing yet." />
        </Card>
      ) : null}
      <ReportLinks reports={reports} zone={job.zone} />
    </Stack>
  );
}
