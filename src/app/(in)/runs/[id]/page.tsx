import { Typography } from '@mui/material';
import type { Metadata } from 'next';
import { findCriterion } from '@/core/acceptance';
import { sampleLabel } from '@/core/identity/labels';
import { findMaterial } from '@/core/materials/registry';
import { findMethod } from '@/core/methods/registry';
import { isHeld } from '@/core/moulds';
import { ageText } from '@/core/windows';
import { database, readingOnce } from '@/db/client';
import { makes } from '@/server/bench-work';
import { pageActor, pageData, pageId } from '@/server/page';
import { runSheet } from '@/server/queries/run';
import { InMethodFolder } from '@/ui/methods/registry';
import { TextLink } from '@/ui/parts/LinkButton';
import { lotHref } from '@/ui/places';
import { RunSheet } from '@/ui/runsheet/RunSheet';
import { SetBeside } from '@/ui/runsheet/SetBeside';
import { runSheetData } from '../sheet-data';

export const metadata: Metadata = { title: 'Run sheet' };

export default async function RunPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const now = new Date();
  const sheet = await pageData(() => runSheet(readingOnce(database()), actor, id, now));
  const { specimen, sample, job, mix, placement } = sheet;
  const material = findMaterial(mix.material);
  const placementHref = lotHref(placement.id, material);
  const [lotWord] = material?.words.lot ?? ['lot'];
  const set = specimen
    ? sheet.sets.find(({ specimens }) => specimens.some((each) => each.id === specimen.id))
    : undefined;
  const waiting = set?.specimens.find(
    (each) => each.id !== specimen?.id && !each.testedAt && !each.discarded,
  );
  // Ends for the press have a page of their own; what is made ready together otherwise belongs to its lot.
  const ends = sheet.batch !== null && findMethod(sheet.run.method)?.batch?.ends === true;
  const data = runSheetData(sheet, makes(actor, sheet.run.method));
  return (
    <InMethodFolder id={data.method}>
      <RunSheet
        data={data}
        now={now.getTime()}
        next={
          specimen
            ? waiting
              ? {
                  href: `/bench/${waiting.id}`,
                  label: `Next: ${specimen.ageHours === null && !isHeld(specimen) ? '' : 'break '}${waiting.label}`,
                }
              : material?.comesInLoads
                ? { href: '/today', label: 'Back to today' }
                : { href: `/samples/${sample?.id}`, label: `Back to the ${material?.words.sample[0]}` }
            : sample
              ? { href: `/field/${sample.id}`, label: 'Back to the sample' }
              : ends
                ? { href: '/ends', label: 'Back to ends' }
                : { href: placementHref, label: `Back to the ${lotWord}` }
        }
        title={
          <>
            <Typography variant="h1" className="mono">
              {specimen?.label ??
                sheet.batch ??
                (sample
                  ? sampleLabel(job.number, sample.number)
                  : `${job.number} ${lotWord} ${placement.number}`)}
            </Typography>
            <Typography color="text.secondary">
              {`${findMethod(sheet.run.method)?.title ?? ''}${specimen?.ageHours ? `, ${ageText(specimen.ageHours)}` : specimen && isHeld(specimen) ? ', held' : ''}. ${mix.code}, `}
              <TextLink
                href={
                  ends
                    ? '/ends'
                    : specimen
                      ? `/specimens/${specimen.id}`
                      : sample
                        ? `/samples/${sample.id}`
                        : placementHref
                }
              >
                {placement.title}
              </TextLink>
            </Typography>
          </>
        }
        beside={
          set && specimen ? (
            <SetBeside
              value={set.test.text}
              state={set.test.state}
              unit={set.test.unit}
              designated={set.designated || set.what !== undefined}
              members={set.specimens.map((each) => ({
                id: each.id,
                label: each.label,
                strength: each.run?.main ? `${each.run.main.text}${each.run.apart ? ', apart' : ''}` : null,
                here: each.id === specimen.id,
              }))}
              findings={set.test.findings}
              note={set.note ?? null}
              verdicts={set.verdicts.map(({ criterion, state, sentence }) => ({
                criterion,
                title: findCriterion(criterion)?.title ?? criterion,
                state,
                sentence,
              }))}
              axis={
                sheet.curves.some(({ axis }) => axis === 'mm') ? (sheet.system === 'US' ? 'in' : 'mm') : 's'
              }
              curves={set.specimens.flatMap((each) => {
                const kept = sheet.curves.find(({ runId }) => runId === each.run?.id);
                return kept ? [{ label: each.label, points: kept.curve, startAt: kept.startAt }] : [];
              })}
            />
          ) : undefined
        }
      />
    </InMethodFolder>
  );
}
