'use client';
import { Box, Button, Typography, useTheme } from '@mui/material';
import { pathOf } from '@/core/methods';
import { durationText } from '@/core/windows/duration-text';
import { timeNow } from '../../clock';
import { newRow } from '../../rows/use-rows';
import { clock } from '../../time';
import { useNow } from '../../use-now';
import type { BenchProps } from '../kit';
import { listed } from '../listed';

/** The batch on its plate: those drawn for a closer look are marked, and the time until the caps are hard. */
export function CappingBench({ picture, take }: BenchProps) {
  const { palette } = useTheme();
  const now = useNow(timeNow(), 10_000);
  const { specimens, drawn, lastCapAt, hardAt, hours, zone, capped, firstCapAt } = picture.values;
  const done = new Set(listed(capped));
  /** Adds a row for the end that has just been set into its cap; the youngest cap is this one now. */
  const pour = (label: string, end: 1 | 2): void => {
    const at = new Date(timeNow()).toISOString();
    const row = newRow();
    const cells = { specimen: label, end: String(end), at };
    for (const [column, text] of Object.entries(cells)) take?.(pathOf('pours', row, column), text);
    if (String(capped ?? '') === '' && !firstCapAt) take?.('firstCapAt', at);
    take?.('lastCapAt', at);
  };
  const labels = listed(specimens);
  const marked = new Set(listed(drawn));
  const hard = Date.parse(String(hardAt ?? ''));
  const left = (hard - now) / 60_000;
  return (
    <Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {labels.map((label, index) => (
          <Box key={label} sx={{ textAlign: 'center', width: 104 }}>
            <svg width={44} height={78} aria-hidden="true">
              <rect x={6} y={8} width={32} height={62} fill={palette.divider} stroke={palette.text.primary} />
              <rect x={4} y={4} width={36} height={5} fill={palette.warning.main} />
              <rect x={4} y={69} width={36} height={5} fill={palette.warning.main} />
              {marked.has(label) ? (
                <circle cx={22} cy={38} r={11} fill="none" stroke={palette.primary.main} strokeWidth={2.5} />
              ) : null}
              <text x={22} y={43} fontSize={13} textAnchor="middle" fill={palette.text.primary}>
                {index + 1}
              </text>
            </svg>
            <Typography className="mono" variant="body2" sx={{ fontWeight: marked.has(label) ? 700 : 400 }}>
              {label}
            </Typography>
            {([1, 2] as const).map((end) =>
              done.has(`${label}/${end}`) ? (
                <Typography key={end} variant="body2" color="success.main">{`✓ end ${end}`}</Typography>
              ) : take ? (
                <Button
                  key={end}
                  size="small"
                  onClick={() => pour(label, end)}
                  aria-label={`End ${end} of ${label} capped now`}
                  sx={{ minWidth: 0, px: 0.5 }}
                >
                  {`End ${end} now`}
                </Button>
              ) : null,
            )}
          </Box>
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        Circled: drawn for planeness and thickness before anything is poured.
      </Typography>
      {lastCapAt && !Number.isNaN(hard) ? (
        <Typography sx={{ mt: 1, fontWeight: 700, color: left > 0 ? 'warning.main' : 'success.main' }}>
          {left > 0
            ? `Hard at ${clock(String(hardAt), String(zone))}, in ${durationText(left)} (${hours} h from the youngest cap)`
            : `✓ Hard since ${clock(String(hardAt), String(zone))}`}
        </Typography>
      ) : null}
    </Box>
  );
}
