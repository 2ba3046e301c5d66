import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { sampleLabel } from '@/core/identity/labels';
import { entryText, PROFILE_WORDS } from '@/core/limits';
import { METHODS } from '@/core/methods/registry';
import { ageText } from '@/core/windows';
import { database } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { projectLimits } from '@/server/queries/gear';
import { jobDetail } from '@/server/queries/jobs';
import { measureWords } from '@/server/reports/content';
import { Card, Empty } from '@/ui/parts/Card';
import { LinkButton, TextLink } from '@/ui/parts/LinkButton';
import { localInput } from '@/ui/time';
import { ExportResults } from '@/ui/views/ExportResults';
import { NewMix } from '@/ui/views/NewMix';
import { NewPlacement } from '@/ui/views/NewPlacement';
import { SampleGrid } from '@/ui/views/SampleGrid';

export const metadata: Metadata = { title: 'Job' };

export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const { job, mixes, placements, samples } = await pageData(() => jobDetail(database(), actor, id));
  const staff = actor.role !== 'client';
  const limits = staff ? (await projectLimits(database(), actor, job)).set : [];
  const byId = new Map(placements.map((row) => [row.placement.id, row]));
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
      <Card
        title="Mixes"
        actions={
          actor.role === 'reviewer' || actor.role === 'manager' ? (
            <NewMix jobId={job.id} system={job.system} />
          ) : null
        }
      >
        {mixes.length === 0 ? (
          <Empty>
            No mix yet. A reviewer or manager enters what is specified; then placements can be made.
          </Empty>
        ) : (
          <Table size="small">
            <TableHead>
              <TableRow>
                {['Mix', 'For', 'Specified', 'Slump', 'Temperature', 'Air', 'w/cm', 'Standing'].map(
                  (word) => (
                    <TableCell key={word}>{word}</TableCell>
                  ),
                )}
              </TableRow>
            </TableHead>
            <TableBody>
              {mixes.map((mix) => (
                <TableRow key={mix.id}>
                  <TableCell className="mono">{`${mix.code} v${mix.version}`}</TableCell>
                  <TableCell>{mix.title}</TableCell>
                  <TableCell className="mono">{`${measureWords(mix.specifiedStrength)} at ${ageText(mix.ageHours)}`}</TableCell>
                  <TableCell>
                    {mix.slump
                      ? `${mix.slumpKind} ${measureWords(mix.slump)}`
                      : mix.slumpFlow
                        ? `flow ${measureWords(mix.slumpFlow)}`
                        : mix.slumpClass
                          ? `class ${mix.slumpClass}`
                          : 'not specified'}
                  </TableCell>
                  <TableCell>
                    {mix.temperatureMaximum
                      ? `up to ${measureWords(mix.temperatureMaximum)}`
                      : 'not specified'}
                  </TableCell>
                  <TableCell>
                    {mix.air ? measureWords(mix.air) : mix.exposure ? `for ${mix.exposure}` : ''}
                  </TableCell>
                  <TableCell className="mono">{mix.waterRatio ?? ''}</TableCell>
                  <TableCell>
                    <TextLink href={`/verdicts/${mix.id}`}>Verdicts</TextLink>
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        )}
      </Card>
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
            {staff ? (
              <NewPlacement
                jobs={[
                  {
                    id: job.id,
                    name: job.name,
                    zone: job.zone,
                    now: localInput(new Date(), job.zone),
                    mixes: mixes.map((mix) => ({
                      id: mix.id,
                      name: `${mix.code} v${mix.version}, ${mix.title}`,
                    })),
                  },
                ]}
              />
            ) : null}
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
              const row = byId.get(sample.placementId);
              return {
                id: sample.id,
                label: sampleLabel(job.number, sample.number),
                sampledAt: sample.sampledAt.getTime(),
                mix: row?.mixCode ?? '',
                placement: row?.placement.number ?? 0,
                element: row
                  ? `${row.placement.element}${row.placement.location ? `, ${row.placement.location}` : ''}`
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
