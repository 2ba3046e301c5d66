import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { findExercise } from '@/core/drills';
import { pageActor } from '@/server/page';
import { LinkButton } from '@/ui/parts/LinkButton';
import { ExercisePlay } from '@/ui/practice/ExercisePlay';

export const metadata: Metadata = { title: 'Practice at the press' };

/** One exercise at the press. `?seed=` plays a given one first, so that several people can be shown the same. */
export default async function ExercisePage({
  params,
  searchParams,
}: {
  params: Promise<{ exercise: string }>;
  searchParams: Promise<{ seed?: string }>;
}) {
  const actor = await pageActor();
  const exercise = findExercise((await params).exercise);
  if (!exercise || actor.role === 'client') notFound();
  const seed = Number((await searchParams).seed);
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          {`Practice: ${exercise.title.toLowerCase()}`}
        </Typography>
        <LinkButton href="/practice" variant="outlined">
          All drills
        </LinkButton>
      </Box>
      <ExercisePlay
        exerciseId={exercise.id}
        first={Number.isInteger(seed) && seed > 0 && seed < 2_147_483_647 ? seed : undefined}
      />
    </Stack>
  );
}
