import { Box, Typography } from '@mui/material';
import { prettyFormula, type WorkingLine } from '@/core/working';

/** A calculation sheet: each number with its formula, the numbers in it, how it was rounded and where it comes from. */
export function Working({ lines }: { lines: readonly WorkingLine[] }) {
  if (lines.length === 0) {
    return (
      <Typography color="text.secondary">
        The working appears as soon as there are readings to work with.
      </Typography>
    );
  }
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 1 }}>
      {lines.map((line) => (
        <Box
          component="li"
          key={`${line.symbol} ${line.substituted}`}
          sx={{ borderBottom: 1, borderColor: 'divider', pb: 1 }}
        >
          <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
            <Typography variant="body2">{line.name}</Typography>
            <Typography className="mono" sx={{ fontWeight: 500, whiteSpace: 'nowrap' }}>
              {`${line.rounded} ${line.unit}`}
            </Typography>
          </Box>
          <Typography
            className="mono"
            variant="body2"
            color="text.secondary"
            sx={{ overflowWrap: 'anywhere' }}
          >
            {`${line.symbol} = ${prettyFormula(line.formula)} = ${prettyFormula(line.substituted)} = ${shorten(line.value)}`}
          </Typography>
          <Typography variant="caption" color="text.secondary">
            {line.rounding
              ? `${line.rounding.rule}, ${line.rounding.mode}. ${line.source}`
              : `not rounded. ${line.source}`}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

/** Enough digits of the unrounded value to see which way it was rounded. */
function shorten(value: string): string {
  return value.length > 11 ? `${value.slice(0, 11)}…` : value;
}
