import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { sampleLabel } from '@/core/identity/labels';
import { saidOf } from '@/core/material/said';
import { isMadeOfSample } from '@/core/materials/forms';
import { findMaterial } from '@/core/materials/registry';
import { findMethod } from '@/core/methods/registry';
import { unitLabel } from '@/core/quantity';
import type { TimelineRow } from '@/core/waits/timeline';
import { capital } from '@/core/words';
import { isReportable } from '@/core/working';
import { database, readingOnce } from '@/db/client';
import { makes } from '@/server/bench-work';
import { pageActor, pageData, pageId } from '@/server/page';
import { sampleDossier } from '@/server/queries/sample';
import { timelineOf } from '@/server/queries/timeline';
import { roleProposal, togetherOf } from '@/server/queries/together';
import { SamplePicture } from '@/ui/materials/registry';
import { Card, Empty, Facts } from '@/ui/parts/Card';
import { LinkButton, TextLink } from '@/ui/parts/LinkButton';
import { ReportLinks } from '@/ui/parts/ReportLinks';
import { lotHref } from '@/ui/places';
import { dayTime, localInput } from '@/ui/time';
import { AcceptReasons } from '@/ui/views/AcceptReasons';
import { AssignRoles } from '@/ui/views/AssignRoles';
import { BeginTest } from '@/ui/views/BeginTest';
import { CorrectCastTime } from '@/ui/views/CorrectCastTime';
import { PrepareReport } from '@/ui/views/PrepareReport';
import { RegisterSpecimens } from '@/ui/views/RegisterSpecimens';
import { registerWays } from '@/ui/views/register-ways';
import { SampleTimeline } from '@/ui/views/SampleTimeline';
import { Together } from '@/ui/views/Together';
import { AllTogether } from '../../all-together';
import { daysOf } from './days';
import { HowMany, plansOf } from './how-many';
import { piecesOf } from './pieces';
import { SetCards } from './sets';
import { SpecimenTable } from './specimens';

export const metadata: Metadata = { title: 'Sample' };

/** Tests by what their buttons say. */
function testsOf(ids: readonly string[]) {
  return ids.flatMap((id) => {
    const { begin, title } = findMethod(id) ?? {};
    return title ? [{ id, words: begin ?? title }] : [];
  });
}

export default async function SamplePage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const db = readingOnce(database());
  const dossier = await pageData(() => sampleDossier(db, actor, id));
  const { sample, placement, mix, job, limits } = dossier;
  const staff = actor.role !== 'client';
  const material = findMaterial(mix.material);
  const words = material?.words;
  const now = Date.now();
  const moulded = dossier.specimens.find(({ form: size }) => isMadeOfSample(size));
  const open = dossier.specimens.flatMap((view) =>
    (view.run?.reasons ?? [])
      .filter((reason) => !reason.acceptedByName)
      .map((reason) => ({ ...reason, label: view.label })),
  );
  const aged = material?.comesInLoads === true;
  const plans = plansOf(material, dossier);
  const ways =
    staff && material
      ? registerWays(material, {
          about: sample.about,
          asked: { ...mix.asked },
          system: job.system,
          wanted: plans[0] && plans[0].take - plans[0].here,
          bench: actor.role !== 'field',
          made: moulded !== undefined,
        })
      : [];
  const together = staff && material ? await togetherOf(db, material, dossier.specimens) : [];
  const timeline = together.length > 0 ? await timelineOf(db, dossier.specimens, job) : [];
  // A test that is made once is begun once; what is made again freely can be begun again.
  const more =
    staff && material && !material.comesInLoads
      ? (material.onSample?.({ ...mix.asked }) ?? []).filter(
          (id) => findMethod(id)?.again === 'freely' || !dossier.fresh.some(({ method }) => method === id),
        )
      : [];
  const proposal = staff && material ? await roleProposal(db, material, dossier.specimens, job) : null;
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1" className="mono">
          {sampleLabel(job.number, sample.number)}
        </Typography>
        <Typography color="text.secondary">{`${placement.title}, ${mix.code}`}</Typography>
        <Box sx={{ ml: 'auto', display: 'flex', gap: 1 }}>
          {staff && material?.comesInLoads ? (
            <LinkButton href={`/field/${sample.id}`} variant="outlined">
              Field sheet
            </LinkButton>
          ) : null}
          {staff && actor.role !== 'field' ? (
            <PrepareReport of={{ sampleId: sample.id }} signed={dossier.reports.at(-1)?.state === 'signed'} />
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
        <Card title={capital(words?.sample[0] ?? 'sample')}>
          <Facts
            pairs={[
              ['Job', <TextLink key="job" href={`/jobs/${job.id}`}>{`${job.number} ${job.name}`}</TextLink>],
              [
                capital(words?.lot[0] ?? 'lot'),
                <TextLink
                  key="lot"
                  href={lotHref(placement.id, material)}
                >{`${placement.number}: ${placement.title}`}</TextLink>,
              ],
              [
                capital(words?.specification[0] ?? 'specification'),
                <TextLink
                  key="specification"
                  href={`/verdicts/${mix.id}`}
                >{`${mix.code} v${mix.version}, ${mix.title}`}</TextLink>,
              ],
              ...(material ? saidOf(material.Lot, { ...placement.about }) : []),
              ...(material?.summary({ ...mix.asked }) ?? []).filter(
                ([, text]) => text !== '' && text !== 'not specified',
              ),
              ...(material?.Sample ? saidOf(material.Sample, sample.about) : []),
              ...(material?.comesInLoads
                ? [
                    [
                      'Ticket, truck',
                      `${sample.ticket || 'not recorded'}, ${sample.truck || 'not recorded'}`,
                    ] as const,
                  ]
                : []),
              [
                material?.comesInLoads ? 'Sampled' : 'Taken',
                `${dayTime(sample.sampledAt, job.zone)}${staff ? ` by ${dossier.sampledByName}` : ''}`,
              ],
              ...(sample.remarks ? [['Remarks', sample.remarks] as const] : []),
            ]}
          />
        </Card>
        {dossier.fresh.length === 0 && !material?.comesInLoads && more.length === 0 ? null : (
          <Card
            title={words?.onSample}
            actions={
              more.length > 0 ? (
                <>
                  {daysOf(material, { ...mix.asked }).length > 1 ? (
                    <LinkButton href={`/samples/${sample.id}/day`}>Plan a day</LinkButton>
                  ) : null}
                  <BeginTest sampleId={sample.id} tests={testsOf(more)} />
                </>
              ) : undefined
            }
          >
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
                      {run.outcome?.verdicts.map((each) => (
                        <Typography
                          key={each.criterion}
                          variant="body2"
                          color={each.state === 'does not meet' ? 'error' : 'text.secondary'}
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
        )}
        {plans.length > 0 ? <HowMany plans={plans} words={words} /> : null}
      </Box>
      {dossier.says ? <AllTogether says={dossier.says} /> : null}
      <Card
        title={capital(words?.specimen[1] ?? 'specimens')}
        actions={
          staff ? (
            <>
              {dossier.specimens.length > 0 ? (
                <TextLink href={`/api/labels?sample=${sample.id}`}>Labels</TextLink>
              ) : null}
              {ways.map((way, place) => (
                <RegisterSpecimens
                  key={way.id}
                  sampleId={sample.id}
                  zone={job.zone}
                  way={way}
                  first={place === 0 && !material?.comesInLoads}
                />
              ))}
              {material?.roles && dossier.specimens.length > 0 && actor.role !== 'field' ? (
                <AssignRoles
                  sampleId={sample.id}
                  zone={job.zone}
                  roles={material.roles}
                  specimens={dossier.specimens.map(({ label, role }) => ({ label, role }))}
                  proposal={proposal}
                />
              ) : null}
              {moulded ? (
                <CorrectCastTime
                  sampleId={sample.id}
                  zone={job.zone}
                  castAt={localInput(moulded.since, job.zone)}
                />
              ) : null}
            </>
          ) : null
        }
      >
        {dossier.specimens.length === 0 ? (
          <Empty
            action={
              staff && material?.comesInLoads ? (
                <LinkButton href={`/field/${sample.id}`} variant="contained">
                  Make specimens
                </LinkButton>
              ) : undefined
            }
          >
            {ways.length > 0 && !material?.comesInLoads
              ? `No ${words?.specimen[1]} yet. Register those that were taken; each gets a label.`
              : 'No specimens have been made of this sample yet.'}
          </Empty>
        ) : (
          <SpecimenTable
            specimens={dossier.specimens}
            word={words?.specimen[0] ?? 'specimen'}
            aged={aged}
            zone={job.zone}
            limits={limits}
            now={now}
            linked={staff}
            roles={material?.roles ?? []}
          />
        )}
      </Card>
      {staff && together.length > 0 ? (
        <Card title="Together">
          <Together ways={together.map((way) => (makes(actor, way.id) ? way : { ...way, choices: [] }))} />
        </Card>
      ) : null}
      {timeline.length > 0 ? (
        <Card title="Over time">
          <SampleTimeline rows={timeline} titles={titlesOf(timeline)} now={now} zone={job.zone} />
        </Card>
      ) : null}
      {material ? <SamplePicture material={material.id} pieces={piecesOf(dossier.specimens)} /> : null}
      <SetCards
        sets={dossier.sets}
        title={`${capital(words?.specimen[1] ?? 'specimens')} of the ${words?.sample[0]}`}
      />
      <ReportLinks reports={dossier.reports} zone={job.zone} />
    </Stack>
  );
}

/** What the methods on a timeline are called. */
function titlesOf(rows: readonly TimelineRow[]): Record<string, string> {
  const methods = rows.flatMap(({ steps }) => steps.map(({ method }) => method));
  return Object.fromEntries(methods.map((method) => [method, findMethod(method)?.title ?? method]));
}
