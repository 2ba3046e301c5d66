import { Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { sampleLabel } from '@/core/identity/labels';
import { measureWords } from '@/core/material/measure-words';
import { findMaterial } from '@/core/materials/registry';
import { findMethod, METHODS, type MethodId } from '@/core/methods/registry';
import { specimenClasses } from '@/core/moulds';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { fieldSample } from '@/server/queries/placement';
import { runSheets } from '@/server/queries/run';
import { FieldSample } from '@/ui/field/FieldSample';
import { KeepForOffline } from '@/ui/field/KeepForOffline';
import { LinkButton } from '@/ui/parts/LinkButton';
import { runSheetData } from '../../runs/sheet-data';

export const metadata: Metadata = { title: 'Field sample' };

/** One sample in the field: what to press next, its clocks, its tests and its specimens, on a phone. */
export default async function FieldSamplePage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const db = readingOnce(database());
  const now = new Date();
  const field = await pageData(() => fieldSample(db, actor, id));
  const { sample, placement, mix, job, load, limits } = field;
  // What is taken in no loads has no clock of its own: its sample is its page.
  const material = findMaterial(mix.material);
  if (!material?.comesInLoads) redirect(`/samples/${sample.id}`);
  const offered = material.onSample?.({ ...mix.asked }) ?? [];
  const sheets = await runSheets(
    db,
    actor,
    field.runs.map((run) => run.id),
    now,
  );
  const asked = [
    mix.asked.slump
      ? `slump ${mix.asked.slumpKind === 'maximum' ? 'at most ' : ''}${measureWords(mix.asked.slump)}`
      : '',
    mix.asked.slumpClass ? `slump class ${mix.asked.slumpClass}` : '',
    mix.asked.slumpFlow ? `flow ${measureWords(mix.asked.slumpFlow)}` : '',
    mix.asked.air
      ? `air ${measureWords(mix.asked.air)}`
      : mix.asked.exposure
        ? `air for ${mix.asked.exposure}`
        : '',
    mix.asked.temperatureMaximum ? `at most ${measureWords(mix.asked.temperatureMaximum)}` : '',
    mix.asked.waterRatio ? `w/cm ${mix.asked.waterRatio}` : '',
  ].filter(Boolean);
  return (
    <Stack spacing={1.5} sx={{ maxWidth: 760 }}>
      <Stack direction="row" spacing={1.5} sx={{ alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1" className="mono">
          {sampleLabel(job.number, sample.number)}
        </Typography>
        <Typography color="text.secondary">
          {`${sample.kind === 'acceptance' ? '' : `${sample.kind}, `}${placement.title}, ${mix.code}`}
        </Typography>
      </Stack>
      <KeepForOffline mark={field.runs.map(({ id }) => id).join()} madeAt={now.getTime()} />
      <FieldSample
        sampleId={sample.id}
        lotId={placement.id}
        sampledAt={sample.sampledAt.getTime()}
        ticket={sample.ticket}
        truck={sample.truck}
        remarks={sample.remarks}
        zone={job.zone}
        system={job.system}
        profile={job.profile}
        now={now.getTime()}
        specified={[
          ...(load
            ? [
                `Truck ${load.number}${load.truck ? ` (${load.truck})` : ''}, ticket ${load.ticket}, ${measureWords(load.volume)}`,
              ]
            : []),
          ...(asked.length > 0 ? [`Asked for: ${asked.join(', ')}`] : []),
        ]}
        runs={sheets.map((sheet) => ({
          title: `${findMethod(sheet.run.method)?.title}${sheet.run.attempt > 1 ? `, attempt ${sheet.run.attempt}` : ''}`,
          data: runSheetData(sheet, true),
        }))}
        tests={METHODS.filter(
          ({ id: method }) => offered.includes(method) && !sheets.some(({ run }) => run.method === method),
        ).map(({ id: value, title: label }) => ({ value: value as MethodId, label }))}
        others={field.others.map((other) => ({
          id: other.id,
          label: sampleLabel(job.number, other.number),
          stamps: other.events,
        }))}
        specimens={field.specimens.map(({ id: specimenId, label, ageHours }) => ({
          id: specimenId,
          label,
          ageHours,
        }))}
        made={specimenClasses(field.specimens)}
        designatedDays={mix.asked.ageHours / 24}
        limitChanges={limits.changes}
      />
      <LinkButton href={`/samples/${sample.id}`}>To the sample’s record</LinkButton>
    </Stack>
  );
}
