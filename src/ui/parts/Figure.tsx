import { Box, Typography } from '@mui/material';
import { MONO } from '../theme';

/** A figure that is read from two metres, with what it is. */
export function Figure({ label, text }: { readonly label: string; readonly text: string }) {
  return (
    <Box>
      <Typography variant="body2" color="text.secondary">
        {label}
      </Typography>
      <Typography sx={{ fontFamily: MONO, fontSize: '2rem', lineHeight: 1.1 }}>{text}</Typography>
    </Box>
  );
}
