'use client';
import {
  Box,
  Button,
  Checkbox,
  FormControlLabel,
  Stack,
  TextField,
  Typography,
  useTheme,
} from '@mui/material';
import { DateTime } from 'luxon';
import { useMemo, useState } from 'react';
import { type DayHands, type PlacedTask, type DayPlan as Plan, planDay } from '@/core/planner';
import { withThousands } from '@/core/quantity';
import { Card, Empty } from '../parts/Card';

/** A test that a day can hold. */
export interface DayTest {
  readonly id: string;
  readonly title: string;
  readonly day: DayHands;
}

const CLOCK = /^([01]?\d|2[0-3]):([0-5]\d)$/u;

/** A day of tests of one sample for one pair of hands: chosen, laid out, and as a list to take along. */
export function DayPlan({
  tests,
  chosen: first,
  today,
  zone,
}: {
  readonly tests: readonly DayTest[];
  /** Those that are chosen at first. */
  readonly chosen: readonly string[];
  /** The day, as 2031-09-12, where the job is. */
  readonly today: string;
  readonly zone: string;
}) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(first));
  const [begin, setBegin] = useState('08:00');
  const good = CLOCK.test(begin);
  const plan = useMemo(() => planDay(tests.filter(({ id }) => chosen.has(id))), [tests, chosen]);
  const from = DateTime.fromISO(`${today}T${(good ? begin : '08:00').padStart(5, '0')}`, { zone });
  const clock = (minutes: number): string => from.plus({ minutes }).toFormat('HH:mm');
  const turn = (id: string, on: boolean): void => {
    const next = new Set(chosen);
    if (on) next.add(id);
    else next.delete(id);
    setChosen(next);
  };
  return (
    <Stack spacing={2}>
      <Card title="What is to be made" actions={<Button onClick={() => window.print()}>Print</Button>}>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(230px, 1fr))' }}>
          {tests.map(({ id, title }) => (
            <FormControlLabel
              key={id}
              control={<Checkbox checked={chosen.has(id)} onChange={(_, on) => turn(id, on)} />}
              label={title}
            />
          ))}
        </Box>
        <TextField
          label="Begin at"
          value={begin}
          onChange={({ target }) => setBegin(target.value.trim())}
          error={!good}
          helperText={good ? `${today}, where the job is.` : 'Give a time of day, such as 07:30.'}
          size="small"
          sx={{ mt: 1.5 }}
        />
      </Card>
      {plan.tasks.length === 0 ? (
        <Empty>Choose what is to be made: the day is laid out at once.</Empty>
      ) : (
        <>
          <Card title={`Hands are free at ${clock(plan.end)}`}>
            <Lanes plan={plan} clock={clock} />
            <Typography variant="body2" color="text.secondary">
              Dark: hands are wanted. Pale: it goes on by itself. For one person; times are usual ones, not
              limits.
            </Typography>
          </Card>
          <Hours plan={plan} clock={clock} />
          <Afterwards plan={plan} from={from} />
        </>
      )}
    </Stack>
  );
}

const ROW = 34;
const LEFT = 190;
const WIDE = 860;

function Lanes({ plan: { tasks, end }, clock }: { plan: Plan; clock: (minutes: number) => string }) {
  const { palette } = useTheme();
  const x = (minutes: number): number => LEFT + (minutes / Math.max(60, end)) * (WIDE - LEFT - 24);
  const hours = Array.from({ length: Math.floor(end / 60) + 1 }, (_, at) => at * 60);
  const every = hours.length > 9 ? 2 : 1;
  const high = tasks.length * ROW + 26;
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <svg
        viewBox={`0 0 ${WIDE} ${high}`}
        width={WIDE}
        style={{ maxWidth: 'none' }}
        role="img"
        aria-label={tasks
          .map(({ title, start, end: to }) => `${title} ${clock(start)} to ${clock(to)}`)
          .join(', ')}
      >
        {hours.map((minutes, at) => (
          <g key={minutes}>
            <line x1={x(minutes)} x2={x(minutes)} y1={18} y2={high} stroke={palette.divider} />
            {at % every === 0 ? (
              <text x={x(minutes)} y={12} fontSize={12} textAnchor="middle" fill={palette.text.secondary}>
                {clock(minutes)}
              </text>
            ) : null}
          </g>
        ))}
        {tasks.map(({ id, title, start, end: to, busy }, row) => (
          <g key={id} transform={`translate(0 ${row * ROW + 22})`}>
            <text x={0} y={19} fontSize={13} fill={palette.text.primary}>
              {title}
            </text>
            <rect
              x={x(start)}
              y={5}
              width={x(to) - x(start)}
              height={20}
              fill={palette.primary.main}
              opacity={0.18}
            />
            {busy.map((each) => (
              <rect
                key={each.from}
                x={x(each.from)}
                y={5}
                width={Math.max(2, x(each.to) - x(each.from))}
                height={20}
                fill={palette.primary.main}
              />
            ))}
          </g>
        ))}
      </svg>
    </Box>
  );
}

/** Every stretch of the day in its order. */
function Hours({ plan: { tasks }, clock }: { plan: Plan; clock: (minutes: number) => string }) {
  const all = tasks
    .flatMap((task) => task.busy.map((busy, at) => ({ task, busy, at })))
    .toSorted((a, b) => a.busy.from - b.busy.from);
  return (
    <Card title="Hour by hour">
      <Box component="ol" sx={{ m: 0, pl: 0, listStyle: 'none', columns: { md: 2 } }}>
        {all.map(({ task, busy, at }) => (
          <Box component="li" key={`${task.id} ${busy.from}`} sx={{ display: 'flex', gap: 2, py: 0.25 }}>
            <Typography className="mono" sx={{ minWidth: 124, whiteSpace: 'nowrap' }}>
              {`${clock(busy.from)} to ${clock(busy.to)}`}
            </Typography>
            <Box>
              <Typography>{busy.what}</Typography>
              {at === 0 ? <Why task={task} /> : null}
            </Box>
          </Box>
        ))}
      </Box>
    </Card>
  );
}

function Why({ task: { title, because } }: { task: PlacedTask }) {
  return (
    <Typography variant="body2" color="text.secondary">
      {because ? `${title}: not earlier, ${because}.` : title}
    </Typography>
  );
}

/** What is weighed out, and what the days behind it want. */
function Afterwards({ plan: { tasks, takes }, from }: { plan: Plan; from: DateTime }) {
  const later = tasks.flatMap(({ id, title, start, later: own }) =>
    own.map(({ hours, what }) => ({ id, title, what, at: from.plus({ minutes: start + hours * 60 }) })),
  );
  return (
    <Card title="To have ready, and afterwards">
      <Typography sx={{ fontWeight: 700 }}>{`${withThousands(String(takes))} g of the sample.`}</Typography>
      {tasks
        .filter((task) => task.takes > 0)
        .map(({ id, title, takes: own }) => (
          <Typography key={id}>{`${title}: ${withThousands(String(own))} g`}</Typography>
        ))}
      {later.map(({ id, title, what, at }) => (
        <Typography key={`${id} ${what}`} sx={{ mt: 0.5 }}>
          {`${at.toFormat('ccc d LLL, HH:mm')}: ${what} (${title.toLowerCase()}).`}
        </Typography>
      ))}
    </Card>
  );
}
