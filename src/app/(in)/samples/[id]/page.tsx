import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { sampleLabel } from '@/core/identity/labels';
import { findMethod } from '@/core/methods/registry';
import { isMouldedConcrete, mouldText } from '@/core/moulds';
import { unitLabel } from '@/core/quantity';
import { setName } from '@/core/report';
import { ageText, windowState } from '@/core/windows';
import { isReportable } from '@/core/working';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { sampleDossier } from '@/server/queries/dossier';
import { measureWords } from '@/server/reports/content';
import { Card, Empty, Facts } from '@/ui/parts/Card';
import { Findings } from '@/ui/parts/Findings';
import { LinkButton, TextLink } from '@/ui/parts/LinkButton';
import { WindowBadge } from '@/ui/parts/WindowBadge';
import { Working } from '@/ui/parts/Working';
import { dayTime, localInput } from '@/ui/time';
import { AcceptReasons } from '@/ui/views/AcceptReasons';
import { CorrectCastTime } from '@/ui/views/CorrectCastTime';
import { PrepareReport } from '@/ui/views/PrepareReport';
import { RegisterCores } from '@/ui/views/RegisterCores';
import { RegisterSmall } from '@/ui/views/RegisterSmall';

export const metadata: Metadata = { title: 'Sample' };

export default async function SamplePage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const dossier = await pageData(() => sampleDossier(readingOnce(database()), actor, id));
  const { sample, placement, mix, job, limits } = dossier;
  const staff = actor.role !== 'client';
  const now = Date.now();
  const moulded = dossier.specimens.find(({ size }) => isMouldedConcrete(size));
  const open = dossier.specimens.flatMap((view) =>
    (view.run?.reasons ?? [])
      .filter((reason) => !reason.acceptedByName)
      .map((reason) => ({ ...reason, label: view.label })),
  );
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1" className="mono">
          {sampleLabel(job.number, sample.number)}
        </Typography>
        <Typography color="text.secondary">{`${placement.element}, ${mix.code}`}</Typography>
        <Box sx={{ ml: 'auto', display: 'flex', gap: 1 }}>
          {staff ? (
            <LinkButton href={`/field/${sample.id}`} variant="outlined">
              Field sheet
            </LinkButton>
          ) : null}
          {staff && actor.role !== 'field' ? (
            <PrepareReport sampleId={sample.id} signed={dossier.reports.at(-1)?.state === 'signed'} />
          ) : null}
        </Box>
      </Box>
      {actor.role === 'reviewer' && open.length > 0 ? (
        <AcceptReasons reasons={open} actorId={actor.id} />
      ) : null}
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
          alignItems: 'start',
        }}
      >
        <Card title="Sample">
          <Facts
            pairs={[
              ['Job', <TextLink key="job" href={`/jobs/${job.id}`}>{`${job.number} ${job.name}`}</TextLink>],
              [
                'Placement',
                `${placement.number}: ${placement.element}${placement.location ? `, ${placement.location}` : ''}`,
              ],
              [
                'Mix',
                <TextLink
                  key="mix"
                  href={`/verdicts/${mix.id}`}
                >{`${mix.code} v${mix.version}, ${measureWords(mix.specifiedStrength)} at ${ageText(mix.ageHours)}`}</TextLink>,
              ],
              ['Ticket, truck', `${sample.ticket || 'not recorded'}, ${sample.truck || 'not recorded'}`],
              [
                'Sampled',
                `${dayTime(sample.sampledAt, job.zone)}${staff ? ` by ${dossier.sampledByName}` : ''}`,
              ],
              ...(sample.remarks ? [['Remarks', sample.remarks] as const] : []),
            ]}
          />
        </Card>
        <Card title="Fresh concrete">
          {dossier.fresh.length === 0 ? (
            <Empty>{staff ? 'No fresh tests.' : 'No fresh tests have been released yet.'}</Empty>
          ) : (
            <Stack spacing={1}>
              {dossier.fresh.map((run) => {
                const result = run.main ?? run.outcome?.results[0];
                const valid = run.outcome ? isReportable(run.outcome.findings) : true;
                return (
                  <Box key={run.id}>
                    <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
                      {staff ? (
                        <TextLink href={`/runs/${run.id}`}>{findMethod(run.method)?.title}</TextLink>
                      ) : (
                        <Typography>{findMethod(run.method)?.title}</Typography>
                      )}
                      <Typography className="mono">
                        {result
                          ? `${result.text} ${unitLabel(result.unit)}`
                          : run.state === 'open'
                            ? 'not read yet'
                            : valid
                              ? 'done'
                              : 'no valid result'}
                      </Typography>
                    </Box>
                    {run.outcome?.conformity.map((each) => (
                      <Typography
                        key={each.criterion}
                        variant="body2"
                        color={each.verdict === 'does not meet' ? 'error' : 'text.secondary'}
                      >
                        {each.sentence}
                      </Typography>
                    ))}
                  </Box>
                );
              })}
            </Stack>
          )}
        </Card>
      </Box>
      <Card
        title="Specimens"
        actions={
          staff ? (
            <>
              <RegisterSmall sampleId={sample.id} zone={job.zone} system={job.system} />
              {actor.role === 'field' || !moulded ? null : (
                <RegisterCores sampleId={sample.id} zone={job.zone} />
              )}
              {moulded ? (
                <CorrectCastTime
                  sampleId={sample.id}
                  zone={job.zone}
                  castAt={localInput(moulded.castAt, job.zone)}
                />
              ) : null}
            </>
          ) : null
        }
      >
        {dossier.specimens.length === 0 ? (
          <Empty
            action={
              staff ? (
                <LinkButton href={`/field/${sample.id}`} variant="contained">
                  Make specimens
                </LinkButton>
              ) : undefined
            }
          >
            No specimens have been made of this sample yet.
          </Empty>
        ) : (
          <Box sx={{ overflowX: 'auto' }}>
            <Table size="small">
              <TableHead>
                <TableRow>
                  {['Specimen', 'Age', 'Size', 'Window', 'State', 'Result', 'Fracture'].map((word) => (
                    <TableCell key={word}>{word}</TableCell>
                  ))}
                </TableRow>
              </TableHead>
              <TableBody>
                {dossier.specimens.map((view) => {
                  const main = view.run?.main;
                  const state =
                    view.opensAt && view.closesAt
                      ? windowState(
                          { opensAt: view.opensAt.getTime(), closesAt: view.closesAt.getTime() },
                          now,
                          limits,
                          view.testedAt?.getTime() ?? null,
                        )
                      : null;
                  const fracture = view.run?.input?.fracture ?? view.run?.input?.pattern;
                  return (
                    <TableRow key={view.id}>
                      <TableCell className="mono">
                        {staff ? (
                          <TextLink href={`/specimens/${view.id}`}>{view.label}</TextLink>
                        ) : (
                          view.label
                        )}
                      </TableCell>
                      <TableCell>{view.ageHours ? ageText(view.ageHours) : 'held'}</TableCell>
                      <TableCell>{mouldText(view.size)}</TableCell>
                      <TableCell sx={{ whiteSpace: 'nowrap' }}>
                        {view.opensAt && view.closesAt
                          ? `${dayTime(view.opensAt, job.zone)} to ${dayTime(view.closesAt, job.zone)}`
                          : ''}
                      </TableCell>
                      <TableCell>
                        {view.discarded === null ? (
                          state ? (
                            <WindowBadge state={state} />
                          ) : (
                            'held'
                          )
                        ) : (
                          `discarded: ${view.discarded}`
                        )}
                      </TableCell>
                      <TableCell className="mono">
                        {main ? `${main.text} ${unitLabel(main.unit)}` : ''}
                        {view.whole.map((run) => (
                          <Typography key={run.id} variant="body2" className="mono">
                            {run.main
                              ? `${findMethod(run.method)?.title}: ${run.main.text} ${unitLabel(run.main.unit)}`
                              : ''}
                          </Typography>
                        ))}
                      </TableCell>
                      <TableCell>{fracture ? String(fracture) : ''}</TableCell>
                    </TableRow>
                  );
                })}
              </TableBody>
            </Table>
          </Box>
        )}
      </Card>
      {dossier.sets.some(({ test, note }) => test.value !== null || note) ? (
        <Box
          sx={{
            display: 'grid',
            gap: 2,
            gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
            alignItems: 'start',
          }}
        >
          {dossier.sets
            .filter(({ test, note }) => test.value !== null || note)
            .map((set) => (
              <Card
                key={`${set.what ?? ''}${set.ageHours}${set.cure}`}
                title={`${setName(set)} at ${ageText(set.ageHours)}`}
              >
                <Typography className="mono" sx={{ fontSize: '1.8rem' }}>
                  {set.test.text ? `${set.test.text} ${unitLabel(set.test.unit)}` : ''}
                  {set.test.state === 'pending' ? ' so far' : ''}
                </Typography>
                {set.note ? <Typography>{set.note}</Typography> : null}
                {set.test.findings.length > 0 ? <Findings findings={set.test.findings} /> : null}
                <Box sx={{ mt: 1 }}>
                  <Working lines={set.test.lines} />
                </Box>
              </Card>
            ))}
        </Box>
      ) : null}
      {dossier.reports.length > 0 ? (
        <Card title="Reports">
          {dossier.reports.map((report) => (
            <Typography key={report.id}>
              <TextLink
                href={`/reports/${report.id}`}
                className="mono"
              >{`${report.number} rev ${report.revision}`}</TextLink>
              {report.signedAt ? `, signed ${dayTime(report.signedAt, job.zone)}` : ', draft'}
            </Typography>
          ))}
        </Card>
      ) : null}
    </Stack>
  );
}
