'use client';
import { Box, Button, Typography } from '@mui/material';
import type { FollowUpStep } from '@/core/acceptance';
import { FormDialog } from '../form/FormDialog';
import { Card } from '../parts/Card';

/** What is to be done about a low test, in order, and what has been done, by whom. */
export function FollowUp({
  sampleId,
  title,
  steps,
  canRecord,
}: {
  sampleId: string;
  title: string;
  steps: readonly (FollowUpStep & { readonly done: readonly string[] })[];
  canRecord: boolean;
}) {
  return (
    <Card title={title}>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {steps.map((step) => (
          <Box
            component="li"
            key={step.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: '48px 1fr auto',
              gap: 1,
              py: 0.75,
              borderTop: 1,
              borderColor: 'divider',
              alignItems: 'start',
            }}
          >
            <Typography
              className="mono"
              aria-hidden="true"
              sx={{ color: step.done.length > 0 ? 'success.main' : 'text.secondary' }}
            >
              {step.done.length > 0 ? '[✓]' : '[ ]'}
            </Typography>
            <Box>
              <Typography
                sx={{ fontWeight: 700 }}
              >{`${step.title}${step.done.length > 0 ? ', done' : ''}`}</Typography>
              <Typography variant="body2" color="text.secondary">
                {`${step.detail} (${step.who})`}
              </Typography>
              {step.done.map((note) => (
                <Typography key={note} variant="body2">
                  {note}
                </Typography>
              ))}
            </Box>
            {canRecord ? (
              <FormDialog
                title={step.title}
                useCase="record-follow-up"
                fixed={{ sampleId, stepId: step.id }}
                fields={[{ name: 'note', label: 'What was done and found', type: 'lines' }]}
                submit="Record"
                done="Recorded."
                button={(open) => (
                  <Button size="small" variant={step.done.length > 0 ? 'text' : 'outlined'} onClick={open}>
                    {step.done.length > 0 ? 'Add' : 'Record'}
                  </Button>
                )}
              />
            ) : null}
          </Box>
        ))}
      </Box>
    </Card>
  );
}
