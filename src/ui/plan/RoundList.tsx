'use client';
import { Box, Button, Stack, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { walkingOrder, wayLength } from '@/core/plan';
import { Card } from '../parts/Card';
import type { Run } from '../runsheet/run';
import { dayTime } from '../time';
import { useNow } from '../use-now';
import { lengthText, type Units } from './lengths';
import type { DrawnPoint } from './PlanCanvas';
import { useBegin } from './use-begin';

const START = { x: 0, y: 0 };
const SOON_MS = 4 * 3_600_000;

/** One visit, one round: the points that something waits at, in the order of the shortest way, with what each needs. */
export function RoundList({
  points,
  zone,
  system,
  now: at,
  select,
  held,
  canWrite,
}: {
  readonly points: readonly DrawnPoint[];
  readonly zone: string;
  readonly system: Units;
  readonly now: number;
  readonly select: (id: string) => void;
  readonly held: ReadonlyMap<string, Run>;
  readonly canWrite: boolean;
}) {
  const router = useRouter();
  const { begin, busy } = useBegin(() => router.refresh());
  const now = useNow(at);
  const due = points.filter(({ waits }) => waits.some(({ opensAt }) => opensAt <= now + SOON_MS));
  const order = walkingOrder(due, START);
  const closed = order.filter((point) => point.next && !point.open);
  const unsent = [...held.values()].filter(({ readings }) => readings.state === 'waiting').length;
  const later = points
    .flatMap(({ waits }) => waits.map(({ opensAt }) => opensAt))
    .filter((at) => at > now + SOON_MS);
  return (
    <Card title="This round">
      {order.length === 0 ? (
        <Typography color="text.secondary">
          {later.length > 0
            ? `Nothing to do here now. The next opens ${dayTime(new Date(Math.min(...later)), zone)}.`
            : 'Nothing waits here.'}
        </Typography>
      ) : (
        <Stack spacing={1} component="ol" sx={{ pl: 2.5, m: 0 }}>
          {order.map(({ id, short, label, waits, open }) => (
            <Box component="li" key={id}>
              <Button
                size="small"
                onClick={() => select(id)}
                sx={{ minWidth: 0, p: 0, fontWeight: 700 }}
                aria-label={`Show ${label}`}
              >
                {short}
              </Button>
              {open ? (
                <Typography component="span" variant="body2" color="text.secondary">
                  {' sheet open'}
                </Typography>
              ) : null}
              {waits
                .filter(({ opensAt }) => opensAt <= now + SOON_MS)
                .map(({ what, opensAt, closesAt }) => (
                  <Typography key={what} variant="body2">
                    {`${what}${opensAt > now ? `, from ${dayTime(new Date(opensAt), zone)}` : ''}${closesAt === null ? '' : `, until ${dayTime(new Date(closesAt), zone)}`}`}
                  </Typography>
                ))}
            </Box>
          ))}
        </Stack>
      )}
      {canWrite && closed.length > 0 ? (
        <Button
          variant="outlined"
          loading={busy}
          onClick={() => void begin(closed)}
          sx={{ mt: 1, minHeight: 44 }}
        >
          {`Open ${closed.length === 1 ? 'its sheet' : `${closed.length} sheets`} to take along`}
        </Button>
      ) : null}
      {held.size > 0 ? (
        <Typography
          role="status"
          variant="body2"
          color={unsent > 0 ? 'error' : 'text.secondary'}
          sx={{ mt: 1 }}
        >
          {unsent > 0
            ? `Not sent yet: readings of ${unsent} ${unsent === 1 ? 'sheet are' : 'sheets are'} kept on this device.`
            : 'Open sheets work without a network: what is read is kept here and sent later.'}
        </Typography>
      ) : null}
      {order.length > 1 ? (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          {`${order.length} points, ${lengthText(wayLength(order, START), system)} from the upper left. Scan the tag of one to open it.`}
        </Typography>
      ) : null}
    </Card>
  );
}
