import { Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { columnOf, columnsOf, isImportable } from '@/core/interchange/columns';
import { fieldsOf } from '@/core/methods';
import { METHODS } from '@/core/methods/registry';
import { database } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { jobDetail } from '@/server/queries/jobs';
import { ImportResults } from '@/ui/views/ImportResults';

export const metadata: Metadata = { title: 'Import results' };

export default async function ImportPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  if (actor.role === 'client' || actor.role === 'field') notFound();
  const { job } = await pageData(() => jobDetail(database(), actor, id));
  return (
    <Stack spacing={2}>
      <Typography variant="h1">{`Import results, ${job.name}`}</Typography>
      <ImportResults
        jobId={job.id}
        methods={METHODS.filter(isImportable).map((each) => ({
          id: each.id,
          title: each.title,
          known: [...columnsOf(each)].map(([column, { field }]) => ({ column, label: field.label })),
          columns: fieldsOf(each.Input)
            .filter(({ required }) => required)
            .map((field) => columnOf(field, job.system)),
          load: each.press?.fields.load ?? '',
        }))}
      />
    </Stack>
  );
}
