import { Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import type { MethodId } from '@/core/methods/registry';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { MOST_LAID, overlayOf } from '@/server/queries/overlay';
import { InMethodFolder } from '@/ui/methods/registry';
import { TextLink } from '@/ui/parts/LinkButton';
import { Overlay } from '@/ui/views/Overlay';

export const metadata: Metadata = { title: 'Laid over one another' };

/** Tests of one method laid over one another: which ones stands in the address, so that it can be passed on. */
export default async function BesidePage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ with?: string }>;
}) {
  const id = pageId((await params).id);
  const { with: others = '' } = await searchParams;
  const actor = await pageActor();
  const { method, title, offered, laid, register } = await pageData(() =>
    overlayOf(readingOnce(database()), actor, id, others.split(',').filter(Boolean)),
  );
  return (
    <Stack spacing={2}>
      <Typography variant="h1">{`${title}, laid over one another`}</Typography>
      <Typography color="text.secondary">
        <TextLink href={`/runs/${id}`}>Back to its run sheet</TextLink>
      </Typography>
      <InMethodFolder id={method as MethodId}>
        <Overlay id={id} most={MOST_LAID} offered={offered} laid={laid} register={register} />
      </InMethodFolder>
    </Stack>
  );
}
