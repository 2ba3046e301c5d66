import { Box, Typography } from '@mui/material';

/** One number with its name, readable from afar. */
export function Big({
  value,
  places,
  unit,
  name,
  size,
  testId,
}: {
  value: number;
  places: number;
  unit: string;
  name: string;
  size: string;
  testId?: string;
}) {
  // A hair below nothing is nothing, not minus nothing.
  const shown = Number(value.toFixed(places)) === 0 ? 0 : value;
  const text = shown.toLocaleString('en-US', {
    minimumFractionDigits: places,
    maximumFractionDigits: places,
  });
  return (
    <Box>
      <Typography variant="overline" component="div" color="text.secondary">
        {name}
      </Typography>
      <Typography
        component="div"
        className="mono"
        sx={{ fontSize: size, lineHeight: 1.05, pb: '0.1em', fontWeight: 500 }}
      >
        <span data-testid={testId}>{text}</span>
        <Typography component="span" sx={{ fontSize: '1.2rem', ml: 1 }} color="text.secondary">
          {unit}
        </Typography>
      </Typography>
    </Box>
  );
}
