'use client';
import {
  Box,
  Chip,
  Stack,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from '@mui/material';
import { sampleLabel } from '@/core/identity/labels';
import type { DaySet } from '@/core/waits/day';
import { ageText, durationText } from '@/core/windows/duration-text';
import type { WindowState } from '@/core/windows/window-state';
import { capital } from '@/core/words';
import { Card, Empty } from '../parts/Card';
import { LinkButton, TextLink } from '../parts/LinkButton';
import { WindowBadge } from '../parts/WindowBadge';
import { clock, dayTime } from '../time';
import { useNow } from '../use-now';
import { type DueSet, standing } from './due-sets';
import { Ribbon } from './Ribbon';

interface Fresh {
  readonly sampleId: string;
  readonly number: number;
  readonly job: string;
  /** Tests that are not complete, by name. */
  readonly open: readonly string[];
  readonly sampledAt: number;
}

type Part = 'open' | 'missed' | 'coming' | 'done';
/** What of each list was not sent. */
type Hidden = Readonly<Record<Part, { readonly sets: number; readonly specimens: number }>>;

/** What must be done now, and how long there is: the ribbon, and the same as a list by the time left. */
export function Today({
  sets: listed,
  hidden,
  closing,
  fresh,
  now: initial,
  zone: usual,
  canTest,
}: {
  sets: readonly DaySet[];
  hidden: Hidden;
  closing: number;
  fresh: readonly Fresh[];
  now: number;
  /** The laboratory’s own, where nothing that is listed says another. */
  zone: string;
  canTest: boolean;
}) {
  const now = useNow(initial);
  const sets = standing(listed, now, closing);
  const urgent = sets.filter((set) => set.state === 'open' || set.state === 'closing');
  const missed = sets.filter((set) => set.state === 'missed');
  const coming = sets.filter((set) => set.state === 'not open yet');
  const done = sets.filter((set) => set.state === 'done');
  const zone = listed.find((set) => set.zone)?.zone ?? usual;
  return (
    <Stack spacing={2}>
      <Headline now={now} zone={zone} urgent={urgent} missed={missed} coming={coming} hidden={hidden} />
      {fresh.length > 0 ? <FreshCard fresh={fresh} now={now} /> : null}
      {listed.length > 0 ? (
        <Card title="Ribbon">
          <Ribbon sets={sets} now={now} zone={zone} />
        </Card>
      ) : null}
      <DueTable
        title="Open now"
        part="open"
        zone={zone}
        hidden={hidden}
        sets={urgent}
        now={now}
        canTest={canTest}
        empty="Nothing waits now."
      />
      {missed.length > 0 ? (
        <DueTable
          title="Missed"
          part="missed"
          zone={zone}
          hidden={hidden}
          sets={missed}
          now={now}
          canTest={canTest}
          empty=""
        />
      ) : null}
      <DueTable
        title="Coming in two days"
        part="coming"
        zone={zone}
        hidden={hidden}
        sets={coming}
        now={now}
        canTest={false}
        empty="No window opens within two days."
      />
      {done.length > 0 ? (
        <DueTable
          title="Done in the last day"
          part="done"
          zone={zone}
          hidden={hidden}
          sets={done}
          now={now}
          canTest={false}
          empty=""
        />
      ) : null}
    </Stack>
  );
}

function Headline({
  now,
  zone,
  urgent,
  missed,
  coming,
  hidden,
}: {
  now: number;
  zone: string;
  urgent: readonly DueSet[];
  missed: readonly DueSet[];
  coming: readonly DueSet[];
  hidden: Hidden;
}) {
  const [first] = urgent;
  const [next] = coming;
  const press = urgent.filter(({ lane }) => lane === 'press');
  // One that waits twice, for its age and to stay wet, is broken once.
  const waiting = new Set(press.flatMap((set) => set.waiting.map(({ id }) => id)));
  const count = waiting.size + hidden.open.specimens;
  const what =
    count > 0
      ? `${count} ${count === 1 ? 'specimen' : 'specimens'} to break`
      : `${urgent.length} ${urgent.length === 1 ? 'thing waits' : 'things wait'}`;
  const late = missed.length + hidden.missed.sets;
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 3, flexWrap: 'wrap' }}>
      <Typography variant="h1" component="h1">
        {first
          ? `${what}${first.closesAt === null ? '' : `, first within ${durationText((first.closesAt - now) / 60_000)}`}`
          : next
            ? `Nothing to do now; next window opens in ${durationText((next.opensAt - now) / 60_000)}`
            : 'Nothing is waiting'}
      </Typography>
      {missed.length > 0 ? (
        <Typography color="error" sx={{ fontWeight: 700 }}>
          {`${late} missed`}
        </Typography>
      ) : null}
      <Typography className="mono" color="text.secondary" sx={{ ml: 'auto' }}>
        {dayTime(now, zone)}
      </Typography>
    </Box>
  );
}

/** What a sample still waits for: its tests by name while they are few, else their number. */
function openWords({ open }: Fresh): string {
  return open.length > 3 ? `${open.length} tests open` : `waits for ${open.join(', ')}`;
}

/** Samples named here; on a day of many sites the Field page lists them by placement. */
const FRESH_SHOWN = 8;

function FreshCard({ fresh, now }: { fresh: readonly Fresh[]; now: number }) {
  return (
    <Card title="In the field">
      <Stack spacing={1}>
        {fresh.slice(0, FRESH_SHOWN).map((sample) => (
          <Box key={sample.sampleId} sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
            <Typography className="mono">{sampleLabel(sample.job, sample.number)}</Typography>
            <Typography>
              {`taken ${durationText((now - sample.sampledAt) / 60_000)} ago, ${openWords(sample)}`}
            </Typography>
            <LinkButton size="small" variant="outlined" href={`/field/${sample.sampleId}`}>
              Go on
            </LinkButton>
          </Box>
        ))}
        {fresh.length > FRESH_SHOWN ? (
          <TextLink href="/field">{`and ${fresh.length - FRESH_SHOWN} more samples with open tests`}</TextLink>
        ) : null}
      </Stack>
    </Card>
  );
}

function timeWords(set: DueSet, now: number): string {
  const end = set.closesAt ?? set.doneAt;
  const left = end === null ? 'until done' : durationText((end - now) / 60_000);
  const words: Record<WindowState, string> = {
    'not open yet': `opens in ${durationText((set.opensAt - now) / 60_000)}`,
    open: left,
    closing: left,
    missed: `${durationText((now - (set.closesAt ?? now)) / 60_000)} late`,
    done: '',
  };
  return words[set.state];
}

function DueTable({
  title,
  part,
  zone,
  hidden,
  sets,
  now,
  canTest,
  empty,
}: {
  title: string;
  part: Part;
  /** Of what belongs to no job of its own. */
  zone: string;
  hidden: Hidden;
  sets: readonly DueSet[];
  now: number;
  canTest: boolean;
  empty: string;
}) {
  return (
    <Card title={title}>
      {sets.length === 0 ? (
        <Empty>{empty}</Empty>
      ) : (
        <Box sx={{ overflowX: 'auto' }}>
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>Time left</TableCell>
                <TableCell>Window</TableCell>
                <TableCell>What</TableCell>
                <TableCell>Specimens</TableCell>
                <TableCell>Where</TableCell>
                <TableCell>From to</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {sets.map((set) => (
                <TableRow key={set.key}>
                  <TableCell
                    className="mono"
                    sx={{ fontSize: '1.15rem', whiteSpace: 'nowrap', fontWeight: 500 }}
                  >
                    {timeWords(set, now)}
                  </TableCell>
                  <TableCell>
                    <WindowBadge state={set.state} />
                  </TableCell>
                  <TableCell>
                    {set.specimens.length === 0 ? (
                      <TextLink href={set.href}>{whatWords(set)}</TextLink>
                    ) : (
                      whatWords(set)
                    )}
                    {set.about ? (
                      <Typography variant="body2" color="text.secondary">
                        {set.about}
                      </Typography>
                    ) : null}
                    {set.provisional ? (
                      <Typography variant="body2" color="text.secondary">
                        {capital(set.provisional)}
                      </Typography>
                    ) : null}
                  </TableCell>
                  <TableCell>
                    <Stack direction="row" spacing={0.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
                      {set.specimens.map((specimen) =>
                        canTest && set.lane === 'press' && specimen.doneAt === null ? (
                          <LinkButton
                            key={specimen.id}
                            size="small"
                            variant="contained"
                            href={`/bench/${specimen.id}`}
                            sx={{ minHeight: 36 }}
                          >
                            {`${set.what} ${specimen.label}`}
                          </LinkButton>
                        ) : (
                          <Chip
                            key={specimen.id}
                            size="small"
                            variant="outlined"
                            label={specimen.label}
                            className="mono"
                          />
                        ),
                      )}
                    </Stack>
                  </TableCell>
                  <TableCell>
                    <TextLink href={set.href}>{set.place}</TextLink>
                    <Typography variant="body2" color="text.secondary">
                      {set.detail}
                    </Typography>
                  </TableCell>
                  <TableCell sx={{ whiteSpace: 'nowrap' }}>{spanWords(set, set.zone ?? zone)}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
          {hidden[part].sets > 0 ? (
            <Typography sx={{ mt: 1 }}>
              <TextLink href={`/today?show=${part}`}>{`and ${hidden[part].sets} more sets`}</TextLink>
            </Typography>
          ) : null}
        </Box>
      )}
    </Card>
  );
}

function whatWords({ what, ageHours }: DueSet): string {
  return ageHours === null ? what : `${what} at ${ageText(ageHours)}`;
}

/** From when to when, the day said once. */
function spanWords({ opensAt, closesAt, doneAt }: DueSet, zone: string): string {
  const end = closesAt ?? doneAt;
  const from = dayTime(opensAt, zone);
  if (end === null) return `from ${from}`;
  if (end <= opensAt) return from;
  const day = (text: string): string => text.slice(0, -6);
  return `${from} to ${day(from) === day(dayTime(end, zone)) ? clock(end, zone) : dayTime(end, zone)}`;
}
