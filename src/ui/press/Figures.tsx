import { Box, Typography } from '@mui/material';

/** What a record came to, figure by figure. @param status read aloud when they change */
export function Figures({
  figures,
  status = false,
}: {
  figures: readonly (readonly [label: string, value: string])[];
  status?: boolean;
}) {
  return (
    <Box
      component="dl"
      sx={{ display: 'grid', gridTemplateColumns: 'max-content 1fr', columnGap: 2, my: 1 }}
      {...(status ? { role: 'status' } : {})}
    >
      {figures.map(([label, value]) => (
        <Box key={label} sx={{ display: 'contents' }}>
          <Typography component="dt" variant="body2" color="text.secondary">
            {label}
          </Typography>
          <Typography component="dd" variant="body2" className="mono" sx={{ m: 0 }}>
            {value}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
