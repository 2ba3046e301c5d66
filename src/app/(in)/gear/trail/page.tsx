import { Box, Button, MenuItem, Stack, TextField, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { TRAIL_WORDS } from '@/core/trail/words';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData } from '@/server/page';
import { usualZone } from '@/server/queries/jobs';
import { type TrailAsked, trailChoices, trailMoment, trailPage } from '@/server/queries/trail';
import { Card, Empty } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { TrailTable } from '@/ui/views/TrailTable';

export const metadata: Metadata = { title: 'Audit trail' };

const NAMES = ['by', 'kind', 'of', 'from', 'to'] as const;

/** Who did what, with what stood there before and stands there now: for who answers for the records. */
export default async function TrailPage({ searchParams }: { searchParams: Promise<TrailAsked> }) {
  const asked = await searchParams;
  const actor = await pageActor();
  const db = readingOnce(database());
  const people = await pageData(() => trailChoices(db, actor));
  const zone = await usualZone(db);
  const { entries, next, known } = await pageData(() => trailPage(db, actor, asked, zone));
  const query = (more: Readonly<Record<string, string>> = {}): string =>
    new URLSearchParams({
      ...Object.fromEntries(NAMES.flatMap((name) => (asked[name] ? [[name, asked[name]]] : []))),
      ...more,
    }).toString();
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          Audit trail
        </Typography>
        {/* A file, and no page that is fetched beforehand. */}
        <Button href={`/api/trail?${query()}`} variant="outlined">
          Export CSV
        </Button>
      </Box>
      <Card>
        <Box component="form" sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
          <TextField
            name="of"
            label="Specimen, sample, report or gear"
            defaultValue={asked.of ?? ''}
            sx={{ minWidth: 250 }}
          />
          <TextField select name="by" label="Who" defaultValue={asked.by ?? ''} sx={{ minWidth: 180 }}>
            <MenuItem value="">Everybody</MenuItem>
            {people.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          <TextField select name="kind" label="What" defaultValue={asked.kind ?? ''} sx={{ minWidth: 190 }}>
            <MenuItem value="">Everything</MenuItem>
            {Object.entries(TRAIL_WORDS)
              .toSorted(([, a], [, b]) => a.localeCompare(b))
              .map(([table, word]) => (
                <MenuItem key={table} value={table}>
                  {word}
                </MenuItem>
              ))}
          </TextField>
          {(['from', 'to'] as const).map((name) => (
            <TextField
              key={name}
              name={name}
              type="date"
              label={name === 'from' ? 'From' : 'To'}
              defaultValue={asked[name] ?? ''}
              slotProps={{ inputLabel: { shrink: true } }}
            />
          ))}
          <Button type="submit" variant="contained">
            Show
          </Button>
          {query() ? <TextLink href="/gear/trail">Everything</TextLink> : null}
        </Box>
      </Card>
      <Card>
        {entries.length === 0 ? (
          <Empty>
            {known
              ? 'Nothing was written that is asked for here.'
              : `Nothing is called ${asked.of}: give the label of a specimen or sample, the number of a report or of gear.`}
          </Empty>
        ) : (
          <TrailTable entries={entries.map((entry) => ({ ...entry, at: trailMoment(entry.at, zone) }))} />
        )}
        {next || asked.before ? (
          <Box component="nav" aria-label="Pages" sx={{ display: 'flex', gap: 2, mt: 1 }}>
            {asked.before ? <TextLink href={`/gear/trail?${query()}`}>To the newest</TextLink> : null}
            {next ? <TextLink href={`/gear/trail?${query({ before: next })}`}>Older ones</TextLink> : null}
          </Box>
        ) : null}
      </Card>
      <Typography variant="body2" color="text.secondary">
        Written by the database itself with every change, each entry with the hash of the one before it. npm
        run check follows the chain and says where it was broken; write the newest hash down elsewhere now and
        then.
      </Typography>
    </Stack>
  );
}
