import { Box, Paper, Typography } from '@mui/material';
import type { ReactNode } from 'react';

/** A paper card with a heading, and what can be done with it at its right. */
export function Card({
  title,
  actions,
  children,
  id,
}: {
  title?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
  id?: string;
}) {
  return (
    <Paper component="section" id={id} sx={{ p: 2, minWidth: 0 }}>
      {title || actions ? (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 1, flexWrap: 'wrap' }}>
          {title ? (
            <Typography variant="h2" sx={{ flexGrow: 1 }}>
              {title}
            </Typography>
          ) : null}
          {actions}
        </Box>
      ) : null}
      {children}
    </Paper>
  );
}

/** What stands where there is nothing yet: what it is for, and what to do next. */
export function Empty({ children, action }: { children: ReactNode; action?: ReactNode }) {
  return (
    <Box sx={{ py: 3, textAlign: 'center', color: 'text.secondary' }}>
      <Typography sx={{ maxWidth: 520, mx: 'auto', mb: action ? 2 : 0 }}>{children}</Typography>
      {action}
    </Box>
  );
}

/** Label and value in two columns. */
export function Facts({ pairs }: { pairs: readonly (readonly [string, ReactNode])[] }) {
  return (
    <Box
      component="dl"
      sx={{ display: 'grid', gridTemplateColumns: 'max-content 1fr', columnGap: 2, rowGap: 0.5, m: 0 }}
    >
      {pairs.map(([label, value]) => (
        <Box key={label} sx={{ display: 'contents' }}>
          <Typography component="dt" color="text.secondary">
            {label}
          </Typography>
          <Box component="dd" sx={{ m: 0, minWidth: 0, overflowWrap: 'anywhere' }}>
            {value}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
