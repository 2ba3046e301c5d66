import { Box, Typography } from '@mui/material';
import type { PlanItem } from '@/core/methods';

/** What to know before starting. */
export function PlanList({ items }: { items: readonly PlanItem[] }) {
  return (
    <Box component="dl" sx={{ m: 0, display: 'grid', gap: 1 }}>
      {items.map((item) => (
        <Box
          key={item.label}
          sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, alignItems: 'baseline' }}
        >
          <Typography component="dt" color="text.secondary">
            {item.label}
            {item.note ? (
              <Typography component="span" variant="caption" sx={{ display: 'block' }}>
                {item.note}
              </Typography>
            ) : null}
          </Typography>
          <Typography component="dd" className="mono" sx={{ m: 0, textAlign: 'right' }}>
            {item.text}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
