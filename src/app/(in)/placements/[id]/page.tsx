import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import type { PairRow } from '@/core/cross-checks';
import { batchDifferences } from '@/core/interchange';
import { measureWords } from '@/core/material/measure-words';
import { claimedYield, freshSeries, samplePairs } from '@/core/materials/concrete/day';
import { findMethod } from '@/core/methods/registry';
import { unitLabel } from '@/core/quantity';
import { isReportable } from '@/core/working';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { lotHead } from '@/server/queries/lot';
import { type PlacementDay, placementDay } from '@/server/queries/placement';
import { reportsOfLot } from '@/server/queries/sample';
import { TakeSample } from '@/ui/field/TakeSample';
import { Card, Empty } from '@/ui/parts/Card';
import { LinkButton, TextLink } from '@/ui/parts/LinkButton';
import { ReportLinks } from '@/ui/parts/ReportLinks';
import { lotHref } from '@/ui/places';
import { clock, dayTime, localInput } from '@/ui/time';
import { AddLoad } from '@/ui/views/AddLoad';
import { CorrectLoad } from '@/ui/views/CorrectLoad';
import { DayLine } from '@/ui/views/DayLine';
import { ForecastDialog } from '@/ui/views/ForecastDialog';
import { FreshPlot } from '@/ui/views/FreshPlot';
import { ImportTickets } from '@/ui/views/ImportTickets';
import { LivePage } from '@/ui/views/LivePage';
import { PlanSampling } from '@/ui/views/PlanSampling';
import { PrepareReport } from '@/ui/views/PrepareReport';
import { VolumeBar } from '@/ui/views/VolumeBar';
import { OnLot, OnLotButtons } from '../../on-lot';

export const metadata: Metadata = { title: 'Placement' };

const number = (stored: string | null): number => Number(stored?.split(' ')[0] ?? 0);

/** A placement's day: plan, trucks, samples on one line of time, fresh results against their limits, weather. */
export default async function PlacementPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const db = readingOnce(database());
  // What comes in no loads has no day of its own.
  const { material } = await pageData(() => lotHead(db, actor, id));
  if (!material.comesInLoads) redirect(lotHref(id, material));
  const day = await pageData(() => placementDay(db, actor, id));
  const { placement, mix, job, plan, loads, samples, weather, photos } = day;
  const reports = await reportsOfLot(db, placement.id);
  const now = Date.now();
  const names = new Map(loads.map((load) => [load.id, String(load.number)]));
  const claim = claimedYield(day);
  const pairs = samplePairs(day);
  // What loggers recorded for days is no moment of this one.
  const readings = weather.flatMap((run) => {
    const at = Date.parse(String(run.input?.readAt ?? ''));
    const [rate] = run.outcome?.results ?? [];
    return Number.isNaN(at) || run.setup?.records ? [] : [{ at, text: rate?.text ?? '' }];
  });
  // What loggers and maturity say of a placement is reported though no sample was taken of it.
  const reported = samples.length > 0 || weather.some(({ state }) => state === 'complete');
  return (
    <Stack spacing={2}>
      <LivePage lotId={placement.id} />
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1">{placement.title}</Typography>
        <Typography color="text.secondary" sx={{ flexGrow: 1 }}>
          <TextLink href={`/jobs/${job.id}`}>{job.name}</TextLink>
          {`. ${mix.code}${placement.about.location ? `, ${placement.about.location}` : ''}. ${dayTime(placement.startsAt, job.zone)}`}
        </Typography>
        {reported && actor.role !== 'field' ? (
          <PrepareReport quiet of={{ lotId: placement.id }} signed={reports.at(-1)?.state === 'signed'} />
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
        <Card
          title="Sampling plan"
          actions={
            <PlanSampling
              lotId={placement.id}
              system={job.system}
              volume={measureWords(plan?.volume ?? placement.about.volume ?? '')}
              area={measureWords(plan?.area ?? placement.about.area ?? '')}
              planned={plan !== null}
              profile={job.profile}
            />
          }
        >
          <Plan day={day} />
          {day.sampleDue ? (
            <Typography sx={{ color: 'warning.main', fontWeight: 700, mt: 1 }} role="status">
              ! Sample due on the next load: the volume since the last sample says so.
            </Typography>
          ) : null}
          {day.owed > 0 ? (
            <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
              {`Of this mix ${day.testsOfMix} ${day.testsOfMix === 1 ? 'load is' : 'loads are'} sampled for acceptance so far: by its end at least ${day.limits.of('plan.fewest', job.system).high ?? day.limits.of('plan.fewest', job.system).low} are, or every load. ${day.owed} would be owed if it ended today.`}
            </Typography>
          ) : null}
          {day.waivable ? (
            <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
              {`So little of this mix is planned in all (under ${day.limits.of('plan.waiver', job.system).high} ${job.system === 'US' ? 'yd³' : 'm³'}) that tests may be waived, with evidence the engineer approves. Until then the plan stands.`}
            </Typography>
          ) : null}
        </Card>
        <Card
          title="Take a sample"
          actions={
            <AddLoad
              lotId={placement.id}
              system={job.system}
              zone={job.zone}
              now={localInput(now, job.zone)}
              volume={measureWords(loads.at(-1)?.volume ?? '')}
            />
          }
        >
          <TakeSample
            lotId={placement.id}
            loads={loads.map((load) => ({ id: load.id, name: `${load.number}: ticket ${load.ticket}` }))}
          />
        </Card>
      </Box>
      <Card title="The day">
        {loads.length + samples.length + readings.length === 0 ? (
          <Empty>Nothing has happened yet: enter the first truck, or take a sample.</Empty>
        ) : (
          <DayLine
            zone={job.zone}
            now={now}
            loads={loads.map((load) => ({ name: String(load.number), arrivedAt: load.arrivedAt.getTime() }))}
            samples={samples.map((sample) => ({
              label: sample.label,
              load: sample.loadId ? (names.get(sample.loadId) ?? null) : null,
              stamps: sample.events,
              sampledAt: sample.sampledAt.getTime(),
            }))}
            weather={readings}
          />
        )}
      </Card>
      {samples.length > 0 ? (
        <Card
          title="Fresh results"
          actions={
            <>
              <TextLink href={`/api/placements/${placement.id}/clocks`}>Clocks, CSV</TextLink>
              <TextLink href={`/api/placements/${placement.id}/custody`}>Custody, CSV</TextLink>
              <LinkButton href={`/placements/${placement.id}/hand-over`} size="small" variant="outlined">
                Hand over specimens
              </LinkButton>
            </>
          }
        >
          <Box
            sx={{
              display: 'grid',
              gap: 2,
              gridTemplateColumns: { xs: '1fr', md: '1fr 1fr', lg: '1fr 1fr 1fr' },
            }}
          >
            {freshSeries(day).map((series) => (
              <FreshPlot key={series.title} {...series} />
            ))}
          </Box>
          <SampleTable day={day} />
          {claim ? (
            <Typography
              sx={{ mt: 1 }}
            >{`Yield over the mean density of ${claim.loads} loads: ${claim.text} a batch.`}</Typography>
          ) : null}
        </Card>
      ) : null}
      {pairs.length > 0 ? (
        <Card title="Two samples of one load">
          <Pairs rows={pairs} />
        </Card>
      ) : null}
      <Card
        title="Trucks"
        actions={
          <ImportTickets
            lotId={placement.id}
            system={job.system}
            zone={job.zone}
            profile={job.profile}
            limitChanges={day.limits.changes}
            known={day.batches.map(({ ticket }) => ticket)}
          />
        }
      >
        {loads.length + day.struckOut.length > 0 ? (
          <Trucks day={day} />
        ) : (
          <Empty>No truck has come yet.</Empty>
        )}
        <OnTheWay day={day} now={now} />
      </Card>
      <Card
        title="Weather and temperatures"
        actions={
          <>
            <ForecastDialog
              system={job.system}
              zone={job.zone}
              profile={job.profile}
              limitChanges={day.limits.changes}
              bleedsLittle={mix.asked.bleedsLittle}
              concrete={job.system === 'US' ? '75 °F' : '24 °C'}
            />
            <OnLotButtons lotId={placement.id} methods={material.onLot} />
          </>
        }
      >
        <OnLot
          runs={weather}
          zone={job.zone}
          linked
          empty="The weather from an hour before placing until curing is on, at least every half hour; temperatures as loggers recorded them."
        />
      </Card>
      {photos.length > 0 ? (
        <Card title="Photographs">
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            {photos.map((photo) => (
              <a key={photo.id} href={`/api/attachments/${photo.id}`} target="_blank" rel="noreferrer">
                {/* biome-ignore lint/performance/noImgElement: served by ourselves, behind the sign-in, in one size */}
                <img src={`/api/attachments/${photo.id}`} alt={photo.name} height={120} />
              </a>
            ))}
          </Box>
        </Card>
      ) : null}
      <ReportLinks reports={reports} zone={job.zone} />
    </Stack>
  );
}

function Plan({ day }: { day: PlacementDay }) {
  const { plan, targets, volumeOut, samples } = day;
  if (!plan) {
    return (
      <Empty>
        Before the first truck: how many samples the day asks for, and which trucks, drawn at random and
        locked.
      </Empty>
    );
  }
  const reached = targets.flatMap(({ position, load }) =>
    load === null ? [] : [{ position: Number(position), load }],
  );
  const taken = samples.filter(({ kind }) => kind === 'acceptance').length;
  return (
    <Stack spacing={1}>
      <Typography sx={{ fontWeight: 700 }}>{plan.why}</Typography>
      <VolumeBar
        planned={number(plan.volume)}
        out={Number(volumeOut)}
        unit={measureWords(plan.volume).split(' ').slice(1).join(' ')}
        reached={reached}
        ahead={targets.length - reached.length}
        next={targets.some(({ next }) => next)}
      />
      <Typography variant="body2" color="text.secondary">
        {`Seed ${plan.seed}, drawn ${clock(plan.at, day.job.zone)}. ${taken} of ${plan.count} acceptance samples taken${
          reached.length > taken ? `; ${reached.length - taken} owed` : ''
        }.`}
      </Typography>
    </Stack>
  );
}

function SampleTable({ day }: { day: PlacementDay }) {
  return (
    <Box sx={{ overflowX: 'auto', mt: 1 }}>
      <Table size="small">
        <TableHead>
          <TableRow>
            {['Sample', 'Taken', 'For', 'By', 'Tests', 'Specimens'].map((word) => (
              <TableCell key={word}>{word}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {day.samples.map((sample) => (
            <TableRow key={sample.id}>
              <TableCell className="mono">
                <TextLink href={`/field/${sample.id}`}>{sample.label}</TextLink>
              </TableCell>
              <TableCell>{clock(sample.sampledAt, day.job.zone)}</TableCell>
              <TableCell>{sample.kind}</TableCell>
              <TableCell>{sample.by}</TableCell>
              <TableCell>
                {sample.runs
                  .filter(({ state }) => state === 'complete')
                  .map((run) => {
                    const method = findMethod(run.method);
                    const { main } = run;
                    const valid = run.outcome ? isReportable(run.outcome.findings) : true;
                    const out = run.outcome?.verdicts.some(({ state }) => state === 'does not meet');
                    return (
                      <Typography
                        key={run.id}
                        variant="body2"
                        color={!valid || out ? 'error' : 'text.primary'}
                      >
                        {`${method?.title}: ${!valid ? 'no valid result' : main ? `${main.text} ${unitLabel(main.unit)}` : 'done'}${valid && out ? ', out of tolerance' : ''}`}
                      </Typography>
                    );
                  })}
              </TableCell>
              <TableCell className="mono">
                {sample.specimens.map((label) => label.split('-').at(-1)).join(' ')}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

function Trucks({ day }: { day: PlacementDay }) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small">
        <TableHead>
          <TableRow>
            {['Truck', 'Ticket', 'Volume', 'On site', 'Samples', 'What is allowed next', ''].map((word) => (
              <TableCell key={word}>{word}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {day.loads.map((load) => (
            <TableRow key={load.id}>
              <TableCell>{`${load.number}${load.truck ? ` (${load.truck})` : ''}`}</TableCell>
              <TableCell className="mono">{load.ticket}</TableCell>
              <TableCell>{measureWords(load.volume)}</TableCell>
              <TableCell>{clock(load.arrivedAt, day.job.zone)}</TableCell>
              <TableCell className="mono">
                {day.samples
                  .filter(({ loadId }) => loadId === load.id)
                  .map(({ label }) => label)
                  .join(', ')}
              </TableCell>
              <TableCell>
                {load.decision ? (
                  <Typography
                    variant="body2"
                    color={['failed', 'out'].includes(load.decision.state) ? 'error' : 'text.primary'}
                  >
                    {load.decision.next}
                  </Typography>
                ) : null}
                {load.correction ? (
                  <Typography
                    variant="body2"
                    color="text.secondary"
                  >{`Corrected: ${load.correction}`}</Typography>
                ) : null}
              </TableCell>
              <TableCell>
                <CorrectLoad
                  loadId={load.id}
                  name={String(load.number)}
                  zone={day.job.zone}
                  arrivedAt={localInput(load.arrivedAt, day.job.zone)}
                  volume={measureWords(load.volume)}
                  truck={load.truck}
                />
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {day.struckOut.map((load) => (
        <Typography key={load.id} variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
          <s>{`Truck ${load.number}, ticket ${load.ticket}`}</s>
          {` struck out: ${load.struckOut}`}
        </Typography>
      ))}
    </Box>
  );
}

/** Tickets of the plant's file whose trucks have not come; a press enters the truck as the file says it. */
function OnTheWay({ day, now }: { day: PlacementDay; now: number }) {
  const { job } = day;
  const here = new Set(day.loads.map(({ ticket }) => ticket));
  const coming = day.batches.filter(({ ticket }) => !here.has(ticket));
  if (coming.length === 0) return null;
  return (
    <Box sx={{ mt: 2 }}>
      <Typography variant="h3">On the way</Typography>
      <Table size="small">
        <TableBody>
          {coming.map((batch) => (
            <TableRow key={batch.ticket}>
              <TableCell className="mono">{batch.ticket}</TableCell>
              <TableCell>{batch.truck ? `truck ${batch.truck}` : ''}</TableCell>
              <TableCell>{batch.loadedAt ? `loaded ${clock(batch.loadedAt, job.zone)}` : ''}</TableCell>
              <TableCell>
                {batchDifferences(batch, job.system, day.limits).map((found) => (
                  <Typography key={found.id} variant="body2" sx={{ color: 'warning.main' }}>
                    {found.message}
                  </Typography>
                ))}
              </TableCell>
              <TableCell sx={{ textAlign: 'right' }}>
                <AddLoad
                  lotId={day.placement.id}
                  system={job.system}
                  zone={job.zone}
                  now={localInput(now, job.zone)}
                  volume={batch.volume ? `${batch.volume} ${job.system === 'US' ? 'yd³' : 'm³'}` : ''}
                  ticket={batch.ticket}
                  truck={batch.truck}
                />
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

/** Results on one load beside each other: two people's against what they may differ, and the loss along the line. */
function Pairs({ rows }: { rows: readonly PairRow[] }) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small">
        <TableHead>
          <TableRow>
            {['Ticket', 'What', 'First', 'Second', 'Difference', 'What it says'].map((word) => (
              <TableCell key={word}>{word}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row) => (
            <TableRow key={`${row.load}/${row.quantity}/${row.first}/${row.second}`}>
              <TableCell className="mono">{row.load}</TableCell>
              <TableCell>{row.quantity}</TableCell>
              <TableCell className="mono">{row.first}</TableCell>
              <TableCell className="mono">{row.second}</TableCell>
              <TableCell className="mono">{row.difference}</TableCell>
              <TableCell sx={{ color: row.inside === false ? 'error.main' : 'text.primary' }}>
                {row.why === 'line'
                  ? 'change from the truck to the placing end'
                  : row.inside
                    ? `inside ${row.allowed} of two people`
                    : `more than ${row.allowed} of two people: look for a cause`}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
