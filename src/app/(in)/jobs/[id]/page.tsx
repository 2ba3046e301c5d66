import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { sampleLabel } from '@/core/identity/labels';
import { entryText, PROFILE_WORDS } from '@/core/limits';
import { MATERIALS } from '@/core/materials/registry';
import { METHODS } from '@/core/methods/registry';
import { capital } from '@/core/words';
import { database } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { projectLimits } from '@/server/queries/gear';
import { jobDetail } from '@/server/queries/jobs';
import { Card, Empty } from '@/ui/parts/Card';
import { LinkButton } from '@/ui/parts/LinkButton';
import { localInput } from '@/ui/time';
import { ExportResults } from '@/ui/views/ExportResults';
import { ImportSpecifications } from '@/ui/views/ImportSpecifications';
import { LotTable } from '@/ui/views/LotTable';
import { NewLot } from '@/ui/views/NewLot';
import { NewSpecification } from '@/ui/views/NewSpecification';
import { SampleGrid } from '@/ui/views/SampleGrid';
import { SpecificationTable } from '@/ui/views/SpecificationTable';

export const metadata: Metadata = { title: 'Job' };

export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const { job, mixes, placements, samples } = await pageData(() => jobDetail(database(), actor, id));
  const staff = actor.role !== 'client';
  const limits = staff ? (await projectLimits(database(), actor, job)).set : [];
  const byId = new Map(placements.map((row) => [row.placement.id, row]));
  const choice = {
    id: job.id,
    name: job.name,
    zone: job.zone,
    system: job.system,
    now: localInput(new Date(), job.zone),
    specifications: mixes.map((mix) => ({
      id: mix.id,
      name: `${mix.code} v${mix.version}, ${mix.title}`,
      material: mix.material,
    })),
  };
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1">{`${job.number}  ${job.name}`}</Typography>
        <Typography
          color="text.secondary"
          sx={{ flexGrow: 1 }}
        >{`${job.owner}, ${job.location}${job.profile === 'astm' ? '' : `. School: ${PROFILE_WORDS[job.profile]}`}`}</Typography>
        {staff && actor.role !== 'field' ? (
          <LinkButton href={`/jobs/${job.id}/import`} variant="outlined">
            Import results
          </LinkButton>
        ) : null}
      </Box>
      {MATERIALS.map((material) => {
        const own = mixes.filter((mix) => mix.material === material.id);
        const decides = actor.role === 'reviewer' || actor.role === 'manager';
        return own.length === 0 && !decides ? null : (
          <Card
            key={material.id}
            title={capital(material.words.specification[1])}
            actions={
              decides ? (
                <>
                  <ImportSpecifications material={material.id} jobId={job.id} />
                  <NewSpecification material={material.id} jobId={job.id} system={job.system} />
                </>
              ) : null
            }
          >
            {own.length === 0 ? (
              <Typography color="text.secondary">
                {`No ${material.words.specification[0]} yet. What is asked is entered first; then ${material.words.lot[1]}.`}
              </Typography>
            ) : (
              <SpecificationTable material={material} specifications={own} />
            )}
          </Card>
        );
      })}
      {MATERIALS.filter(({ comesInLoads }) => !comesInLoads).map((material) => {
        const own = placements.filter((row) => row.material === material.id);
        return mixes.every((mix) => mix.material !== material.id) ? null : (
          <Card
            key={material.id}
            title={capital(material.words.lot[1])}
            actions={staff ? <NewLot material={material.id} jobs={[choice]} /> : null}
          >
            {own.length === 0 ? (
              <Empty>{`No ${material.words.lot[0]} yet. Enter one; then its ${material.words.sample[1]} are taken.`}</Empty>
            ) : (
              <LotTable material={material} rows={own} zone={job.zone} />
            )}
          </Card>
        );
      })}
      {MATERIALS.filter(({ comesInLoads }) => comesInLoads).map((material) => {
        // Of the others the samples below lead there.
        const own = placements.filter((row) => row.material === material.id && !row.sampled);
        return own.length === 0 ? null : (
          <Card
            key={material.id}
            title={`${capital(material.words.lot[1])} without a ${material.words.sample[0]}`}
          >
            <LotTable material={material} rows={own} zone={job.zone} />
          </Card>
        );
      })}
      {staff ? (
        <Card
          title="Limits of this project"
          actions={
            <LinkButton href={`/gear/limits?job=${job.id}`} size="small" variant="outlined">
              {actor.role === 'manager' ? 'Set a limit' : 'All limits'}
            </LinkButton>
          }
        >
          {limits.length === 0 ? (
            <Typography color="text.secondary">
              The project sets none of its own: the laboratory’s register holds.
            </Typography>
          ) : (
            limits.map(({ limitId, title, entry, note, edition, byName }) => (
              <Typography key={limitId}>
                {`${title}: `}
                <span className="mono">{entry ? entryText(entry, job.system) : ''}</span>
                {`. ${edition}. ${note} (${byName})`}
              </Typography>
            ))
          )}
        </Card>
      ) : null}
      <Card
        title="Samples"
        actions={
          <>
            {staff
              ? MATERIALS.filter(({ comesInLoads }) => comesInLoads).map(({ id: material }) => (
                  <NewLot key={material} material={material} jobs={[choice]} />
                ))
              : null}
            <ExportResults jobId={job.id} methods={METHODS.map(({ id, title }) => ({ id, title }))} />
          </>
        }
      >
        {samples.length === 0 ? (
          <Empty>No samples yet. Enter a placement; at the truck one press takes the sample.</Empty>
        ) : (
          <SampleGrid
            zone={job.zone}
            rows={samples.map((sample) => {
              const row = byId.get(sample.lotId);
              return {
                id: sample.id,
                label: sampleLabel(job.number, sample.number),
                sampledAt: sample.sampledAt.getTime(),
                mix: row?.mixCode ?? '',
                placement: row?.placement.number ?? 0,
                element: row
                  ? [row.placement.title, row.placement.about.location].filter(Boolean).join(', ')
                  : '',
                ticket: sample.ticket,
                broken: `${sample.broken} of ${sample.specimens}`,
              };
            })}
          />
        )}
      </Card>
    </Stack>
  );
}
