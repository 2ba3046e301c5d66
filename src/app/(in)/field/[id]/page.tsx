import { Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { sampleLabel } from '@/core/identity/labels';
import { findMethod } from '@/core/methods';
import { database } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { sampleDossier } from '@/server/queries/dossier';
import { runSheet } from '@/server/queries/run';
import { staffOnly } from '@/server/scope';
import { LinkButton } from '@/ui/parts/LinkButton';
import { FieldSample } from '@/ui/views/FieldSample';
import { runSheetData } from '../../runs/sheet-data';

export const metadata: Metadata = { title: 'Field sample' };

/** One sample in the field: its clocks, ticket, fresh tests and cylinders, on a phone. */
export default async function FieldSamplePage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const db = database();
  const now = new Date();
  const dossier = await pageData(async () => {
    staffOnly(actor);
    return sampleDossier(db, actor, id);
  });
  const { sample, placement, mix, job } = dossier;
  const sheets = await Promise.all(dossier.fresh.map((run) => runSheet(db, actor, run.id, now)));
  return (
    <Stack spacing={2} sx={{ maxWidth: 760 }}>
      <Stack direction="row" spacing={2} sx={{ alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1" className="mono">
          {sampleLabel(job.number, sample.number)}
        </Typography>
        <Typography color="text.secondary">{`${placement.element}, ${mix.code}`}</Typography>
      </Stack>
      <FieldSample
        sampleId={sample.id}
        sampledAt={sample.sampledAt.getTime()}
        ticket={sample.ticket}
        truck={sample.truck}
        remarks={sample.remarks}
        zone={job.zone}
        system={job.system}
        now={now.getTime()}
        runs={sheets.map((sheet) => ({
          title: `${findMethod(sheet.run.method)?.title}${sheet.run.attempt > 1 ? `, attempt ${sheet.run.attempt}` : ''}`,
          data: runSheetData(sheet, true),
        }))}
        cylinders={dossier.specimens.map(({ id: specimenId, label, ageHours }) => ({
          id: specimenId,
          label,
          ageHours,
        }))}
        designatedDays={mix.ageHours / 24}
        limitChanges={dossier.limits.changes}
      />
      <LinkButton href={`/samples/${sample.id}`}>To the sample’s record</LinkButton>
    </Stack>
  );
}
