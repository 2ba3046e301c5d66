import { Box, Typography } from '@mui/material';
import { FEWEST_PAIRS } from '@/core/uniformity';
import { ageText } from '@/core/windows';
import type { MadeWith } from '@/server/queries/made-with';
import { Card, Empty } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { FollowChart } from '@/ui/views/FollowChart';

/** Whether what is made with a product follows it, specification by specification. */
export function DoesItFollow({
  word,
  made,
  code,
  ages: [age, madeAge],
  units: [unit, madeUnit],
}: {
  word: string;
  made: readonly MadeWith[];
  code: string;
  /** Of the product, and of what is made with it, hours. */
  ages: readonly [number, number];
  units: readonly [of: string, made: string];
}) {
  // A difference that such results have.
  const step = unit === 'psi' ? 100 : 1;
  return (
    <Card title={`Does the ${word} follow?`}>
      {made.length === 0 ? (
        <Empty>{`No ${word} names ${code} as its cement. Say it with what is asked of a mix, and its strengths stand here.`}</Empty>
      ) : (
        made.map(({ specificationId, code: own, title, count, follows }) => (
          <Box key={specificationId} component="section" aria-label={own} sx={{ mb: 2 }}>
            <Typography>
              <TextLink href={`/verdicts/${specificationId}`} className="mono">
                {own}
              </TextLink>
              {` ${title}, ${count} results at ${ageText(madeAge)}.`}
            </Typography>
            {follows ? (
              <>
                <Typography sx={{ fontWeight: 700 }}>
                  {follows.does
                    ? `It follows: where the cement is ${step} ${unit} stronger, it is about ${((follows.slope ?? 0) * step).toFixed(madeUnit === 'psi' ? 0 : 1)} ${madeUnit} stronger.`
                    : 'It does not follow by more than chance: what it varies by comes from elsewhere.'}
                </Typography>
                <Typography variant="body2" color="text.secondary">
                  {`${follows.pairs.length} results, each beside the newest of the cement at ${ageText(age)} in the two weeks before it; they go together by ${follows.correlation?.toFixed(2) ?? 'nothing'}, chance alone by up to ${follows.chance.toFixed(2)}.`}
                </Typography>
                <FollowChart pairs={follows.pairs} units={[unit, madeUnit]} word={own} />
              </>
            ) : (
              <Typography color="text.secondary">
                {`Fewer than ${FEWEST_PAIRS} of them have a result of the cement in the two weeks before: nothing is told.`}
              </Typography>
            )}
          </Box>
        ))
      )}
    </Card>
  );
}
