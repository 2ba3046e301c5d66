import {
  Alert,
  Box,
  Stack,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from '@mui/material';
import type { Metadata } from 'next';
import { sampleLabel } from '@/core/identity/labels';
import { saidOf } from '@/core/material/said';
import { formText } from '@/core/materials/forms';
import { findMaterial } from '@/core/materials/registry';
import { findMethod, methodsOfPieces } from '@/core/methods/registry';
import { isHeld } from '@/core/moulds';
import { unitLabel } from '@/core/quantity';
import { DUTY_FACTS } from '@/core/storage';
import { ageText, durationText, windowState } from '@/core/windows';
import { capital, inSentence } from '@/core/words';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { specimenDetail } from '@/server/queries/specimen';
import { specimenHome } from '@/server/queries/storage';
import { Card, Facts } from '@/ui/parts/Card';
import { Findings } from '@/ui/parts/Findings';
import { LinkButton, TextLink } from '@/ui/parts/LinkButton';
import { WindowBadge } from '@/ui/parts/WindowBadge';
import { Working } from '@/ui/parts/Working';
import { lotHref } from '@/ui/places';
import { dayTime, localInput } from '@/ui/time';
import { DecideHold } from '@/ui/views/DecideHold';
import { LeaveOut } from '@/ui/views/LeaveOut';
import { RecordEvent } from '@/ui/views/RecordEvent';
import { StartRun } from '@/ui/views/StartRun';
import { TakeBackDiscard } from '@/ui/views/TakeBackDiscard';

export const metadata: Metadata = { title: 'Specimen' };

export default async function SpecimenPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const db = readingOnce(database());
  const { specimen, dossier, events } = await pageData(() => specimenDetail(db, actor, id));
  const { storages, home, owed } = await specimenHome(db, actor, id, new Date());
  const { job, mix, placement, sample, limits } = dossier;
  const { zone } = job;
  const material = findMaterial(mix.material);
  const words = material?.words;
  const role = material?.roles?.find(({ id: each }) => each === specimen.role);
  const aged = specimen.ageHours !== null || isHeld(specimen);
  const main = specimen.run?.main;
  const pieces =
    specimen.testedAt && actor.role !== 'client' && actor.role !== 'field' ? methodsOfPieces(specimen) : [];
  const state =
    specimen.opensAt && specimen.closesAt
      ? windowState(
          { opensAt: specimen.opensAt.getTime(), closesAt: specimen.closesAt.getTime() },
          Date.now(),
          limits,
          specimen.testedAt?.getTime() ?? null,
        )
      : null;
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1" className="mono">
          {specimen.label}
        </Typography>
        {state ? (
          <WindowBadge state={state} />
        ) : isHeld(specimen) ? (
          <>
            <Typography color="text.secondary">Held in reserve</Typography>
            {actor.role === 'reviewer' || actor.role === 'manager' ? (
              <DecideHold
                specimenId={specimen.id}
                label={specimen.label}
                set={dossier.specimens
                  .filter(({ ageHours, testedAt }) => ageHours !== null && testedAt === null)
                  .map(({ id: other, label }) => ({ id: other, label }))}
              />
            ) : null}
          </>
        ) : null}
        {specimen.discarded !== null && actor.role !== 'field' && actor.role !== 'client' ? (
          <TakeBackDiscard specimenId={specimen.id} label={specimen.label} />
        ) : null}
        {specimen.testedAt && (actor.role === 'reviewer' || actor.role === 'manager') ? (
          <LeaveOut specimenId={specimen.id} label={specimen.label} leftOut={specimen.leftOut !== null} />
        ) : null}
        {main ? (
          <Typography className="mono" sx={{ fontSize: '1.6rem', ml: 'auto' }}>
            {`${main.text} ${unitLabel(main.unit)}`}
          </Typography>
        ) : null}
        <LinkButton href={`/bench/${specimen.id}`} variant="contained" sx={main ? {} : { ml: 'auto' }}>
          {specimen.run || specimen.whole.some((run) => run.state === 'open')
            ? 'Open the run sheet'
            : 'To the bench'}
        </LinkButton>
      </Box>
      {specimen.discarded === null ? null : (
        <Alert severity="warning">{`Discarded: ${specimen.discarded}`}</Alert>
      )}
      {specimen.leftOut === null ? null : (
        <Alert severity="warning">{`Left out of the mean of its set. ${specimen.leftOut}`}</Alert>
      )}
      {owed.length > 0 && home ? (
        <Alert severity="warning">
          {`${home.name} owes a duty: ${owed.map((duty) => DUTY_FACTS[duty].title.toLowerCase()).join(', ')}.`}
        </Alert>
      ) : null}
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
          alignItems: 'start',
        }}
      >
        <Card title="What it is">
          <Facts
            pairs={[
              ['Job', <TextLink key="job" href={`/jobs/${job.id}`}>{`${job.number} ${job.name}`}</TextLink>],
              [
                capital(words?.sample[0] ?? ''),
                <TextLink key="sample" href={`/samples/${sample.id}`}>
                  {sampleLabel(job.number, sample.number)}
                </TextLink>,
              ],
              [capital(words?.specification[0] ?? ''), `${mix.code} v${mix.version}, ${mix.title}`],
              [
                capital(words?.lot[0] ?? ''),
                <TextLink key="lot" href={lotHref(placement.id, material)}>
                  {placement.title}
                </TextLink>,
              ],
              ...(material ? saidOf(material.Lot, { ...placement.about }) : []),
              ['Form', formText(specimen.form)],
              ...(role ? [['For', role.text] as const] : []),
              ...(specimen.about.cure ? [['Curing', specimen.about.cure] as const] : []),
              ...(home
                ? [
                    [
                      'Stands in',
                      <TextLink key="home" href="/gear/storage">
                        {`${home.name}${home.position ? `, ${home.position}` : ''}`}
                      </TextLink>,
                    ] as const,
                  ]
                : []),
              [aged ? 'Cast' : 'Taken', dayTime(specimen.since, zone)],
              ...(aged
                ? [['Age asked', specimen.ageHours ? ageText(specimen.ageHours) : 'held'] as const]
                : []),
              ...(specimen.opensAt && specimen.closesAt
                ? [
                    [
                      'Window',
                      `${dayTime(specimen.opensAt, zone)} to ${dayTime(specimen.closesAt, zone)}`,
                    ] as const,
                  ]
                : []),
              ...specimen.whole.map(
                (run) =>
                  [
                    findMethod(run.method)?.title ?? run.method,
                    <TextLink key={run.id} href={`/runs/${run.id}`}>
                      {run.main ? `${run.main.text} ${unitLabel(run.main.unit)}` : 'being read'}
                    </TextLink>,
                  ] as const,
              ),
              ...(specimen.testedAt
                ? [
                    [
                      aged ? 'Broken' : 'Tested',
                      `${dayTime(specimen.testedAt, zone)}${aged ? `, at ${durationText((specimen.testedAt.getTime() - specimen.since.getTime()) / 60_000)}` : ''}`,
                    ] as const,
                  ]
                : []),
            ]}
          />
        </Card>
        {pieces.length > 0 ? (
          <Card title="Its pieces">
            <StartRun
              specimenId={specimen.id}
              methods={pieces.map((method) => ({
                id: method.id,
                label: specimen.whole.some((run) => run.method === method.id)
                  ? method.title
                  : `Start: ${inSentence(method.title)}`,
              }))}
              beside
            />
            {specimen.whole
              .filter((run) => pieces.some(({ id: each }) => each === run.method) && run.main)
              .map((run) => (
                <Typography key={run.id} sx={{ mt: 1 }}>
                  {`${findMethod(run.method)?.title}: `}
                  <span className="mono">
                    {run.main ? `${run.main.text} ${unitLabel(run.main.unit)}` : ''}
                  </span>
                </Typography>
              ))}
          </Card>
        ) : null}
        <Card
          title="History"
          actions={
            <>
              <TextLink href={`/api/labels?specimen=${specimen.id}&form=single`}>Label</TextLink>
              <RecordEvent
                specimenId={specimen.id}
                zone={zone}
                now={localInput(new Date(), zone)}
                tested={specimen.testedAt !== null}
                storages={storages}
              />
            </>
          }
        >
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>When</TableCell>
                <TableCell>What</TableCell>
                <TableCell>Who</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {events.map((event) => (
                <TableRow key={event.id}>
                  <TableCell sx={{ whiteSpace: 'nowrap' }}>{dayTime(event.at, zone)}</TableCell>
                  <TableCell>
                    {event.place ? `${event.kind}: ${event.place}` : event.kind}
                    {event.note ? (
                      <Typography variant="body2" color="text.secondary">
                        {event.note}
                      </Typography>
                    ) : null}
                  </TableCell>
                  <TableCell>
                    {event.fromName ? `${event.fromName} to ${event.byName}` : event.byName}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Card>
        {specimen.run?.outcome ? (
          <>
            <Card title="Working">
              <Working lines={specimen.run.outcome.lines} />
            </Card>
            <Card title="Findings">
              {specimen.run.outcome.findings.length > 0 ? (
                <Findings findings={specimen.run.outcome.findings} />
              ) : (
                <Typography color="text.secondary">Nothing was found against any limit.</Typography>
              )}
            </Card>
          </>
        ) : null}
      </Box>
    </Stack>
  );
}
