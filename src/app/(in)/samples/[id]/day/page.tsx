import { Stack, Typography } from '@mui/material';
import { DateTime } from 'luxon';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { sampleLabel } from '@/core/identity/labels';
import { findMaterial } from '@/core/materials/registry';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { sampleDossier } from '@/server/queries/sample';
import { TextLink } from '@/ui/parts/LinkButton';
import { DayPlan } from '@/ui/views/DayPlan';
import { daysOf } from '../days';

export const metadata: Metadata = { title: 'A day of tests' };

/** A day of tests of a sample, laid out for one pair of hands: those that were not begun yet are chosen at first. */
export default async function DayPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  if (actor.role === 'client') notFound();
  const { sample, mix, job, fresh } = await pageData(() => sampleDossier(readingOnce(database()), actor, id));
  const tests = daysOf(findMaterial(mix.material), { ...mix.asked });
  if (tests.length === 0) notFound();
  const begun = new Set(fresh.map(({ method }) => method));
  return (
    <Stack spacing={2}>
      <Typography variant="h1">
        {'A day of tests, '}
        <span className="mono">{sampleLabel(job.number, sample.number)}</span>
      </Typography>
      <Typography color="text.secondary">
        <TextLink href={`/samples/${id}`}>Back to the sample</TextLink>
      </Typography>
      <DayPlan
        tests={tests}
        chosen={tests.filter((test) => !begun.has(test.id)).map((test) => test.id)}
        today={DateTime.now().setZone(job.zone).toISODate() ?? ''}
        zone={job.zone}
      />
    </Stack>
  );
}
