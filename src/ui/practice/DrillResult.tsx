'use client';
import { Alert, Box, Button, Stack, Typography } from '@mui/material';
import { type DrillScore, FAULTS } from '@/core/drills';
import { Card } from '../parts/Card';
import { LinkButton } from '../parts/LinkButton';

/** How a drill went: every item with its reason, what failed first. */
export function DrillResult({
  score,
  unsaved,
  again,
}: {
  score: DrillScore;
  /** Why it could not be recorded; null when it was. */
  unsaved: string | null;
  again: () => void;
}) {
  // Only a drill that is judged by what was hidden in it has something to tell of it.
  const hidden = score.items.some(({ id }) => id === 'noticed');
  const items = score.items.toSorted((a, b) => Number(a.passed) - Number(b.passed));
  return (
    <Card
      title={score.passed ? 'Passed' : 'Not passed'}
      actions={
        <>
          <Button variant="contained" onClick={again}>
            Another one
          </Button>
          <LinkButton href="/practice" variant="outlined">
            All drills
          </LinkButton>
        </>
      }
    >
      {unsaved ? (
        <Alert severity="warning" sx={{ mb: 2 }}>
          {`It was judged here and could not be recorded. ${unsaved}`}
        </Alert>
      ) : null}
      <Typography sx={{ mb: 2 }}>
        <span className="mono">{`${score.starredPassed} of ${score.starred}`}</span>
        {` items that must not be missed.${hidden ? ` In this drill: ${FAULTS[score.fault].toLowerCase()}.` : ''}`}
      </Typography>
      <Stack spacing={1} role="list" aria-label="Items">
        {items.map((item) => (
          <Box
            key={item.id}
            role="listitem"
            sx={{ display: 'grid', gridTemplateColumns: '28px 1fr', columnGap: 1 }}
          >
            <Box
              component="span"
              className="mono"
              sx={{ color: item.passed ? 'success.main' : 'error.main', fontWeight: 700 }}
              aria-label={item.passed ? 'passed' : 'missed'}
            >
              {item.passed ? '✓' : '✕'}
            </Box>
            <Box>
              <Typography sx={{ fontWeight: item.passed ? 400 : 700 }}>
                {item.item}
                {item.starred ? (
                  <Box
                    component="span"
                    title="Missing it fails the attempt"
                    sx={{ color: 'warning.main', ml: 0.75 }}
                  >
                    ✱
                  </Box>
                ) : null}
              </Typography>
              <Typography variant="body2" color="text.secondary">
                {item.why}
              </Typography>
            </Box>
          </Box>
        ))}
      </Stack>
    </Card>
  );
}
