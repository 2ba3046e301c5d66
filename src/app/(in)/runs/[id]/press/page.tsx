import { Typography } from '@mui/material';
import type { Metadata } from 'next';
import { ageText } from '@/core/windows';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { openFeed } from '@/server/queries/press';
import { runSheet } from '@/server/queries/run';
import { InMethodFolder } from '@/ui/methods/registry';
import { LiveRun } from '@/ui/press/LiveRun';
import { runSheetData } from '../../sheet-data';

export const metadata: Metadata = { title: 'At the press' };

/** A run at the press, followed live. */
export default async function PressPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const now = new Date();
  const db = readingOnce(database());
  const sheet = await pageData(() => runSheet(db, actor, id, now));
  const { specimen } = sheet;
  const data = runSheetData(sheet, actor.role !== 'field');
  return (
    <InMethodFolder id={data.method}>
      <LiveRun
        data={data}
        now={now.getTime()}
        follow={await openFeed(db, actor, id)}
        back={`/runs/${id}`}
        title={
          <Typography variant="h1">
            <span className="mono">{specimen?.label}</span>
            {specimen?.ageHours ? `, ${ageText(specimen.ageHours)}` : ''}
          </Typography>
        }
      />
    </InMethodFolder>
  );
}
