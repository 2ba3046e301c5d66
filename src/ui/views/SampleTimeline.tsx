'use client';
import { Box, Typography, useTheme } from '@mui/material';

import type { TimelineRow } from '@/core/waits/timeline';
import { AppLink } from '../parts/AppLink';
import { clock, dayTime } from '../time';

const HOUR = 3_600_000;
const HEIGHT = 18;

/** One bar for each specimen: what was done with it and when, and the next minute that it may go on. */
export function SampleTimeline({
  rows,
  titles,
  now,
  zone,
}: {
  rows: readonly TimelineRow[];
  /** Of each method that appears, what it is called. */
  titles: Readonly<Record<string, string>>;
  now: number;
  zone: string;
}) {
  const { palette } = useTheme();
  const shown = rows.filter(({ steps, next }) => steps.length > 0 || next.length > 0);
  if (shown.length === 0) return null;
  const steps = shown.flatMap((row) => row.steps);
  const { from, to } = ends(shown, now);
  const share = (at: number): number => (100 * (Math.min(Math.max(at, from), to) - from)) / (to - from);
  // Red is an alarm on every other page: it comes last.
  const colours = [
    palette.primary.main,
    palette.warning.main,
    palette.success.main,
    palette.text.secondary,
    palette.text.primary,
    palette.primary.light,
    palette.error.main,
  ];
  const methods = [...new Set(steps.map(({ method }) => method))];
  const colourOf = (method: string): string => colours[methods.indexOf(method) % colours.length] ?? '';
  const days = midnights(from, to, zone);
  return (
    <Box>
      <Box
        component="ul"
        sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', p: 0, m: 0, mb: 1, listStyle: 'none' }}
      >
        {methods.map((method) => (
          <Box component="li" key={method} sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
            <Box aria-hidden="true" sx={{ width: 14, height: 14, bgcolor: colourOf(method) }} />
            <Typography variant="body2">{titles[method]}</Typography>
          </Box>
        ))}
      </Box>
      <Box
        component="ol"
        sx={{
          ...{
            listStyle: 'none',
            m: 0,
            p: 0,
            display: 'grid',
            rowGap: 0.5,
            columnGap: 1,
            alignItems: 'center',
          },
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'auto minmax(0, 1fr) minmax(160px, 260px)' },
        }}
      >
        {shown.map((row) => {
          const [first] = row.next;
          return (
            <Box component="li" key={row.label} sx={{ display: 'contents' }}>
              <Typography className="mono" variant="body2">
                {row.label}
              </Typography>
              <Box sx={{ position: 'relative', height: HEIGHT, borderBottom: 1, borderColor: 'divider' }}>
                {days.map((at) => (
                  <Box
                    key={at}
                    aria-hidden="true"
                    sx={{ ...MARK, left: `${share(at)}%`, borderColor: 'divider' }}
                  />
                ))}
                {row.steps.map((step) => (
                  <Box
                    key={step.runId}
                    component={AppLink}
                    href={`/runs/${step.runId}`}
                    title={sentence(step, zone)}
                    aria-label={`${row.label}: ${sentence(step, zone)}`}
                    sx={{
                      ...{ position: 'absolute', top: 2, height: HEIGHT - 5, minWidth: 5, opacity: 0.9 },
                      left: `${share(step.from)}%`,
                      width: `${share(step.to ?? now) - share(step.from)}%`,
                      bgcolor: colourOf(step.method),
                    }}
                  />
                ))}
                {first ? (
                  <Box
                    aria-hidden="true"
                    sx={{
                      ...MARK,
                      left: `${share(first.opens)}%`,
                      borderColor: 'text.primary',
                      borderStyle: 'dashed',
                    }}
                  />
                ) : null}
                <Box
                  aria-hidden="true"
                  sx={{ ...MARK, left: `${share(now)}%`, borderColor: 'text.primary', borderLeftWidth: 2 }}
                />
              </Box>
              <Typography variant="body2" sx={{ mb: { xs: 1, md: 0 } }}>
                {row.next.map((each) => nextWords(each, now, zone)).join('; ')}
              </Typography>
            </Box>
          );
        })}
        <Typography aria-hidden="true" variant="caption" sx={{ display: { xs: 'none', md: 'block' } }} />
        <Box aria-hidden="true" sx={{ position: 'relative', height: 16 }}>
          {days.map((at) => (
            <Typography
              key={at}
              variant="caption"
              color="text.secondary"
              sx={{ position: 'absolute', left: `${share(at)}%`, whiteSpace: 'nowrap' }}
            >
              {dayTime(at, zone).slice(0, -6)}
            </Typography>
          ))}
        </Box>
      </Box>
    </Box>
  );
}

const MARK = { position: 'absolute', top: 0, bottom: 0, width: 0, borderLeft: 1 } as const;

/** From the first that was done to the last that is waited for, with now in between and some air. */
function ends(rows: readonly TimelineRow[], now: number): { from: number; to: number } {
  const done = rows.flatMap(({ steps }) => steps);
  const all = [
    ...done.flatMap((step) => [step.from, step.to ?? now]),
    ...rows.flatMap(({ next }) => next.slice(0, 1).map(({ opens }) => opens)),
  ];
  const open = done.some(({ to }) => to === null) || rows.some(({ next }) => next.length > 0);
  const [from, to] = [Math.min(...all), Math.max(...all, ...(open ? [now] : []))];
  const air = Math.max(HOUR, (to - from) * 0.02);
  return { from: from - air, to: to + air };
}

/** Midnights of the zone's own clock, not so many that their days run into one another. */
function midnights(from: number, to: number, zone: string): number[] {
  const first = Math.ceil(from / HOUR) * HOUR;
  const all = Array.from(
    { length: Math.max(0, Math.ceil((to - first) / HOUR)) },
    (_, index) => first + index * HOUR,
  ).filter((at) => clock(at, zone) === '00:00');
  const every = Math.ceil(all.length / 8);
  return all.filter((_, index) => index % every === 0);
}

function sentence({ what, from, to }: TimelineRow['steps'][number], zone: string): string {
  if (to === from) return `${what}: ${dayTime(from, zone)}`;
  return `${what}: ${dayTime(from, zone)} to ${to === null ? 'now' : dayTime(to, zone)}`;
}

/** What comes next, as one says it: from when, or that it may be done now. */
function nextWords({ what, opens, closes }: TimelineRow['next'][number], now: number, zone: string): string {
  if (opens > now) return `${what}: from ${dayTime(opens, zone)}`;
  if (closes !== null && closes < now) return `${what}: was to be done by ${dayTime(closes, zone)}`;
  return `${what}: now${closes === null ? '' : `, until ${dayTime(closes, zone)}`}`;
}
