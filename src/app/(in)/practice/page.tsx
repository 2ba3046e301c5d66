import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { DRILLS, EXERCISES, FAULTS, findDrill, findExercise } from '@/core/drills';
import { database } from '@/db/client';
import { pageActor, pageData } from '@/server/page';
import { usualZone } from '@/server/queries/jobs';
import { practiceRecord } from '@/server/queries/practice';
import { Card, Empty } from '@/ui/parts/Card';
import { LinkButton } from '@/ui/parts/LinkButton';
import { dayTime } from '@/ui/time';

export const metadata: Metadata = { title: 'Practice' };

/** The drills, and how they went. */
export default async function PracticePage() {
  const actor = await pageActor();
  const db = database();
  const attempts = await pageData(() => practiceRecord(db, actor));
  const zone = await usualZone(db);
  const own = attempts.filter(({ personId }) => personId === actor.id);
  const everybody = actor.role === 'manager';
  return (
    <Stack spacing={2}>
      <Box>
        <Typography variant="h1">Practice</Typography>
        <Typography color="text.secondary">
          The live screens with something hidden in them. Kept apart from every record: nothing of it comes
          into a report.
        </Typography>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', lg: '1fr 1fr 1fr' },
        }}
      >
        {DRILLS.map((drill) => (
          <PracticeCard
            key={drill.id}
            id={drill.id}
            title={drill.title}
            href={`/practice/${drill.id}`}
            own={own}
          />
        ))}
      </Box>
      <Typography variant="h2">In the laboratory</Typography>
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', lg: '1fr 1fr 1fr' },
        }}
      >
        {EXERCISES.map((exercise) => (
          <PracticeCard
            key={exercise.id}
            id={exercise.id}
            title={exercise.title}
            href={`/practice/at-the-press/${exercise.id}`}
            own={own}
          />
        ))}
      </Box>
      <Card title={everybody ? 'Everybody’s attempts' : 'Your attempts'}>
        {attempts.length === 0 ? (
          <Empty>Nothing yet: a drill takes about three minutes.</Empty>
        ) : (
          <Box sx={{ overflowX: 'auto' }}>
            <Table size="small">
              <TableHead>
                <TableRow>
                  {[
                    'When',
                    ...(everybody ? ['Who'] : []),
                    'Drill',
                    'How',
                    'Result',
                    'Items ✱',
                    'What was in it',
                    'Missed',
                  ].map((word) => (
                    <TableCell key={word}>{word}</TableCell>
                  ))}
                </TableRow>
              </TableHead>
              <TableBody>
                {attempts.map((attempt) => (
                  <TableRow key={attempt.id}>
                    <TableCell>{dayTime(attempt.finishedAt, zone)}</TableCell>
                    {everybody ? <TableCell>{attempt.name}</TableCell> : null}
                    <TableCell>
                      {findDrill(attempt.drill)?.title ?? findExercise(attempt.drill)?.title ?? attempt.drill}
                    </TableCell>
                    <TableCell>{attempt.timed ? 'against the clock' : 'untimed'}</TableCell>
                    <TableCell sx={{ color: attempt.passed ? 'success.main' : 'error.main' }}>
                      {attempt.passed ? '✓ passed' : '✕ not passed'}
                    </TableCell>
                    <TableCell className="mono">
                      {`${attempt.score.starredPassed}/${attempt.score.starred}`}
                    </TableCell>
                    <TableCell>{findDrill(attempt.drill) ? FAULTS[attempt.score.fault] : ''}</TableCell>
                    <TableCell>
                      {attempt.score.items
                        .filter(({ passed, starred }) => starred && !passed)
                        .map(({ item }) => item)
                        .join('; ')}
                    </TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
          </Box>
        )}
      </Card>
    </Stack>
  );
}

/** A drill or an exercise with how it went so far. */
function PracticeCard({
  id,
  title,
  href,
  own,
}: {
  id: string;
  title: string;
  href: string;
  own: Awaited<ReturnType<typeof practiceRecord>>;
}) {
  const tries = own.filter((attempt) => attempt.drill === id);
  const passed = tries.filter((attempt) => attempt.passed).length;
  const [last] = tries;
  return (
    <Card title={title}>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5, minHeight: 40 }}>
        {last
          ? `${passed} of ${tries.length} passed; last ${last.passed ? 'passed' : `missed ${last.score.starred - last.score.starredPassed}`}.`
          : 'Not played yet.'}
      </Typography>
      <LinkButton href={href} variant="contained">
        Start
      </LinkButton>
    </Card>
  );
}
