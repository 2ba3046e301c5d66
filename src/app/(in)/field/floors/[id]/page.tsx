import { Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { database, readingOnce } from '@/db/client';
import { makes } from '@/server/bench-work';
import { pageActor, pageData, pageId } from '@/server/page';
import { planPage } from '@/server/queries/plan';
import { runSheets } from '@/server/queries/run';
import { KeepForOffline } from '@/ui/field/KeepForOffline';
import { TextLink } from '@/ui/parts/LinkButton';
import { PlanView } from '@/ui/plan/PlanView';
import { runSheetData } from '../../../runs/sheet-data';

export const metadata: Metadata = { title: 'Plan' };

/** So many open sheets stand on one plan. */
const SHEETS = 40;

/** The plan of a floor: where its points lie, what was read there, and the round that is due; kept for where no network is. */
export default async function FloorPlanPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const now = new Date();
  const db = readingOnce(database());
  const page = await pageData(() => planPage(db, actor, id, now));
  const staff = actor.role !== 'client';
  // Sheets that are open stand on the plan: they go along where no network is.
  const open = page.points.flatMap((point) => (staff && point.open ? [point.open] : [])).slice(0, SHEETS);
  const sheets = (open.length > 0 ? await runSheets(db, actor, open, now) : []).map((sheet) =>
    runSheetData(sheet, makes(actor, sheet.run.method)),
  );
  return (
    <Stack spacing={1.5}>
      <Stack direction="row" spacing={1.5} sx={{ alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1">{page.title}</Typography>
        <Typography color="text.secondary">
          <TextLink href={`/lots/${page.lotId}`}>Its zones and verdicts</TextLink>
          {`. ${page.jobText}`}
        </Typography>
      </Stack>
      <KeepForOffline mark={open.join()} madeAt={now.getTime()} />
      <PlanView page={page} sheets={sheets} canWrite={staff} key={page.planId ?? 'none'} />
    </Stack>
  );
}
