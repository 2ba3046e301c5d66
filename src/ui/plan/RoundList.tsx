'use client';
import { Box, Button, Stack, Typography } from '@mui/material';
import { walkingOrder, wayLength } from '@/core/plan';
import { Card } from '../parts/Card';
import { dayTime } from '../time';
import { useNow } from '../use-now';
import { lengthText, type Units } from './lengths';
import type { DrawnPoint } from './PlanCanvas';

const START = { x: 0, y: 0 };
const SOON_MS = 4 * 3_600_000;

/** One visit, one round: the points that something waits at, in the order of the shortest way, with what each needs. */
export function RoundList({
  points,
  zone,
  system,
  now: at,
  select,
}: {
  readonly points: readonly DrawnPoint[];
  readonly zone: string;
  readonly system: Units;
  readonly now: number;
  readonly select: (id: string) => void;
}) {
  const now = useNow(at);
  const due = points.filter(({ waits }) => waits.some(({ opensAt }) => opensAt <= now + SOON_MS));
  const order = walkingOrder(due, START);
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
          {order.map(({ id, short, label, waits }) => (
            <Box component="li" key={id}>
              <Button
                size="small"
                onClick={() => select(id)}
                sx={{ minWidth: 0, p: 0, fontWeight: 700 }}
                aria-label={`Show ${label}`}
              >
                {short}
              </Button>
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
      {order.length > 1 ? (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          {`${order.length} points, ${lengthText(wayLength(order, START), system)} from the upper left. Scan the tag of one to open it.`}
        </Typography>
      ) : null}
    </Card>
  );
}
