import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { findCriterion } from '@/core/acceptance/criteria';
import { sampleLabel } from '@/core/identity/labels';
import { saidOf } from '@/core/material/said';
import { formText } from '@/core/materials/forms';
import { findMaterial } from '@/core/materials/registry';
import { findMethod } from '@/core/methods/registry';
import { isHeld, isMouldedConcrete } from '@/core/moulds';
import { unitLabel } from '@/core/quantity';
import { WHOLE } from '@/core/report';
import { ageText, windowState } from '@/core/windows';
import { capital } from '@/core/words';
import { isReportable } from '@/core/working';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { sampleDossier } from '@/server/queries/sample';
import { columnsOf } from '@/server/reports/content';
import type { SpecimenSet } from '@/server/sets';
import { Card, Empty, Facts } from '@/ui/parts/Card';
import { Findings } from '@/ui/parts/Findings';
import { LinkButton, TextLink } from '@/ui/parts/LinkButton';
import { ReportLinks } from '@/ui/parts/ReportLinks';
import { SetPicture } from '@/ui/parts/SetPicture';
import { VerdictMark } from '@/ui/parts/Verdict';
import { WindowBadge } from '@/ui/parts/WindowBadge';
import { Working } from '@/ui/parts/Working';
import { lotHref } from '@/ui/places';
import { dayTime, localInput } from '@/ui/time';
import { AcceptReasons } from '@/ui/views/AcceptReasons';
import { CorrectCastTime } from '@/ui/views/CorrectCastTime';
import { PrepareReport } from '@/ui/views/PrepareReport';
import { RegisterCores } from '@/ui/views/RegisterCores';
import { RegisterPieces } from '@/ui/views/RegisterPieces';
import { RegisterSmall } from '@/ui/views/RegisterSmall';

export const metadata: Metadata = { title: 'Sample' };

export default async function SamplePage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const dossier = await pageData(() => sampleDossier(readingOnce(database()), actor, id));
  const { sample, placement, mix, job, limits } = dossier;
  const staff = actor.role !== 'client';
  const material = findMaterial(mix.material);
  const words = material?.words;
  const now = Date.now();
  const moulded = dossier.specimens.find(({ form: size }) => isMouldedConcrete(size));
  const open = dossier.specimens.flatMap((view) =>
    (view.run?.reasons ?? [])
      .filter((reason) => !reason.acceptedByName)
      .map((reason) => ({ ...reason, label: view.label })),
  );
  const aged = material?.comesInLoads === true;
  const headings = [
    ...new Set(
      dossier.specimens.flatMap(({ run }) =>
        (run ? (findMethod(run.method)?.columns ?? []) : []).map(({ heading }) => heading),
      ),
    ),
  ];
  const pieces = material?.pieces?.(sample.about) ?? [];
  const plan = material?.plan?.(sample.about, limits, job.system);
  const done = dossier.specimens.filter(
    ({ testedAt, run }) => testedAt !== null && isReportable(run?.outcome?.findings ?? []),
  ).length;
  const missing = (plan?.count ?? 0) - done;
  const waiting = dossier.specimens.filter(
    ({ testedAt, discarded }) => !testedAt && discarded === null,
  ).length;
  const pictured = dossier.sets
    .filter(({ derived }) => derived)
    .map((set) => ({ ...set, pieces: piecesOf(set) }));
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
        {dossier.fresh.length === 0 && !material?.comesInLoads ? null : (
          <Card title={words?.onSample}>
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
        {plan ? (
          <Card title="How many">
            <Typography className="mono" sx={{ fontSize: '1.6rem' }}>
              {`${done} valid, ${plan.count} make a ${words?.sample[0]}`}
            </Typography>
            <Typography>{`Take ${plan.take}: ${plan.why}`}</Typography>
            {missing > 0 ? (
              <Typography sx={{ color: 'warning.main', fontWeight: 700 }} role="status">
                {`${missing} valid ${missing === 1 ? 'test is' : 'tests are'} still wanted${waiting > 0 ? `; ${waiting} ${waiting === 1 ? words?.specimen[0] : words?.specimen[1]} wait` : ''}.`}
              </Typography>
            ) : null}
          </Card>
        ) : null}
      </Box>
      <Card
        title={capital(words?.specimen[1] ?? 'specimens')}
        actions={
          staff ? (
            <>
              {pieces.length > 0 && dossier.specimens.length > 0 ? (
                <TextLink href={`/api/labels?sample=${sample.id}`}>Labels</TextLink>
              ) : null}
              {pieces.length > 0 ? (
                <RegisterPieces
                  sampleId={sample.id}
                  forms={pieces}
                  count={(plan?.take ?? 1) - dossier.specimens.length}
                  words={words?.specimen ?? ['piece', 'pieces']}
                />
              ) : null}
              {material?.comesInLoads ? (
                <RegisterSmall sampleId={sample.id} zone={job.zone} system={job.system} />
              ) : null}
              {actor.role === 'field' || !moulded ? null : (
                <RegisterCores sampleId={sample.id} zone={job.zone} />
              )}
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
            {pieces.length > 0
              ? `No ${words?.specimen[1]} yet. Register those that were taken; each gets a label.`
              : 'No specimens have been made of this sample yet.'}
          </Empty>
        ) : (
          <Box sx={{ overflowX: 'auto' }}>
            <Table size="small">
              <TableHead>
                <TableRow>
                  {[
                    capital(words?.specimen[0] ?? 'specimen'),
                    ...(aged ? ['Age'] : []),
                    'Form',
                    ...(aged ? ['Window'] : []),
                    'State',
                    ...headings,
                    'Result',
                  ].map((word) => (
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
                  const columns = view.run ? columnsOf(view.run, job.zone) : [];
                  const valid = isReportable(view.run?.outcome?.findings ?? []);
                  return (
                    <TableRow key={view.id}>
                      <TableCell className="mono" sx={{ whiteSpace: 'nowrap' }}>
                        {staff ? (
                          <TextLink href={`/specimens/${view.id}`}>{view.label}</TextLink>
                        ) : (
                          view.label
                        )}
                      </TableCell>
                      {aged ? (
                        <TableCell sx={{ whiteSpace: 'nowrap' }}>
                          {view.ageHours ? ageText(view.ageHours) : 'held'}
                        </TableCell>
                      ) : null}
                      <TableCell>{formText(view.form)}</TableCell>
                      {aged ? (
                        <TableCell sx={{ whiteSpace: 'nowrap' }}>
                          {view.opensAt && view.closesAt
                            ? `${dayTime(view.opensAt, job.zone)} to ${dayTime(view.closesAt, job.zone)}`
                            : ''}
                        </TableCell>
                      ) : null}
                      <TableCell>
                        {view.discarded === null ? (
                          state ? (
                            <WindowBadge state={state} />
                          ) : isHeld(view) ? (
                            'held'
                          ) : view.testedAt ? (
                            valid ? (
                              'tested'
                            ) : (
                              'no valid test'
                            )
                          ) : view.run ? (
                            'being tested'
                          ) : (
                            'waits'
                          )
                        ) : (
                          `discarded: ${view.discarded}`
                        )}
                      </TableCell>
                      {headings.map((heading) => (
                        <ColumnCell
                          key={heading}
                          text={columns.find(([own]) => own === heading)?.[1] ?? ''}
                        />
                      ))}
                      <TableCell
                        className="mono"
                        sx={{ whiteSpace: 'nowrap', ...(valid ? {} : { textDecoration: 'line-through' }) }}
                      >
                        {main ? `${main.text} ${unitLabel(main.unit)}` : ''}
                        {view.whole.map((run) => (
                          <Typography key={run.id} variant="body2" className="mono">
                            {run.main
                              ? `${findMethod(run.method)?.title}: ${run.main.text} ${unitLabel(run.main.unit)}`
                              : ''}
                          </Typography>
                        ))}
                      </TableCell>
                    </TableRow>
                  );
                })}
              </TableBody>
            </Table>
          </Box>
        )}
      </Card>
      {pictured.map((set) => (
        <Card
          key={set.key}
          title={`${capital(words?.specimen[1] ?? 'specimens')} of the ${words?.sample[0]}`}
        >
          <SetPicture
            method={set.method}
            pieces={set.pieces}
            mean={set.test.text === null ? null : Number(set.test.text.replaceAll(',', ''))}
            unit={unitLabel(set.test.unit)}
            plot={set.derived?.plot}
          />
        </Card>
      ))}
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
              <Card key={set.key} title={set.title}>
                <Typography className="mono" sx={{ fontSize: '1.8rem' }}>
                  {set.test.text ? `${set.test.text} ${unitLabel(set.test.unit)}` : ''}
                  {set.test.state === 'pending' ? ' so far' : ''}
                </Typography>
                {set.note ? <Typography>{set.note}</Typography> : null}
                {set.what && set.verdicts.length > 0 && set.test.text
                  ? set.verdicts.map(({ criterion, state, sentence }) => (
                      <Typography key={criterion}>
                        <VerdictMark state={state} word={findCriterion(criterion)?.title ?? criterion} />
                        {` ${sentence}`}
                      </Typography>
                    ))
                  : null}
                {set.derived ? (
                  <Box sx={{ mt: 1 }}>
                    <Facts pairs={set.derived.said} />
                    {set.derived.remarks.map((text) => (
                      <Typography key={text} sx={{ color: 'warning.main', mt: 0.5 }}>
                        {text}
                      </Typography>
                    ))}
                  </Box>
                ) : null}
                {set.test.findings.length > 0 ? <Findings findings={set.test.findings} /> : null}
                <Box sx={{ mt: 1 }}>
                  <Working lines={set.test.lines} />
                </Box>
              </Card>
            ))}
        </Box>
      ) : null}
      <ReportLinks reports={dossier.reports} zone={job.zone} />
    </Stack>
  );
}

/** What a method says of a specimen under one of its headings; a number keeps its unit. */
function ColumnCell({ text }: { text: string }) {
  return <TableCell sx={WHOLE.test(text) ? { whiteSpace: 'nowrap' } : {}}>{text}</TableCell>;
}

/** The tested specimens of a set, as its picture takes them. */
function piecesOf({ specimens, test }: SpecimenSet) {
  return specimens.flatMap(({ id, label, run, testedAt }) => {
    if (!testedAt || !run?.outcome) return [];
    const { findings } = run.outcome;
    return [
      {
        id,
        label,
        value: run.main && isReportable(findings) ? Number(run.main.reported) : null,
        used: test.used.includes(label),
      },
    ];
  });
}
