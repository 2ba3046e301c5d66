'use client';
import { Box, Button, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import type { FirstStep } from '@/core/laboratory/first-steps';
import { perform } from '../api';
import { Card } from '../parts/Card';
import { LinkButton } from '../parts/LinkButton';
import { useNotice } from '../parts/Notice';

type Step = FirstStep & { readonly aside: boolean };

/** What a laboratory that begins does first, in order, each with how it stands and the way there. */
export function FirstSteps({ steps }: { steps: readonly Step[] }) {
  const router = useRouter();
  const notice = useNotice();
  const lay = async (step: Step, aside: boolean): Promise<void> => {
    const reply = await perform('lay-step-aside', { step: step.id, aside });
    if (!reply.ok) notice(reply.message, 'error');
    router.refresh();
  };
  const next = steps.find(({ done, aside }) => !done && !aside);
  return (
    <Card title="To begin with">
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {steps.map((step, index) => (
          <Box
            component="li"
            key={step.id}
            sx={{
              ...{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', py: 0.75 },
              ...(index > 0 ? { borderTop: 1, borderColor: 'divider' } : {}),
            }}
          >
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flex: '1 1 280px', minWidth: 0 }}>
              <Typography
                className="mono"
                {...(step.done ? { role: 'img', 'aria-label': 'done' } : {})}
                sx={{ width: 28, flexShrink: 0, color: step.done ? 'success.main' : 'text.secondary' }}
              >
                {step.done ? '✓' : index + 1}
              </Typography>
              <Box sx={{ minWidth: 0 }}>
                <Typography
                  sx={{ fontWeight: step === next ? 700 : 400 }}
                  color={step.aside && !step.done ? 'text.secondary' : 'text.primary'}
                >
                  {step.title}
                </Typography>
                <Typography variant="body2" color="text.secondary">
                  {step.aside && !step.done ? `laid aside; ${step.stands}` : step.stands}
                </Typography>
              </Box>
            </Box>
            {step.href && !step.done && !step.aside ? (
              <LinkButton href={step.href} size="small" variant={step === next ? 'contained' : 'outlined'}>
                Go there
              </LinkButton>
            ) : null}
            {step.done ? null : (
              <Button size="small" color="secondary" onClick={() => lay(step, !step.aside)}>
                {step.aside ? 'Take it up again' : 'Lay aside'}
              </Button>
            )}
          </Box>
        ))}
      </Box>
    </Card>
  );
}
