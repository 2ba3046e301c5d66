'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { durationText } from '@/core/windows/duration-text';
import { timeNow } from '../../clock';
import { dayTime } from '../../time';
import { useNow } from '../../use-now';
import type { BenchProps } from '../kit';

const HOUR = 3_600_000;

/** The three stretches of a boil on one line, with what comes next. @param out what is done once it is out of the water */
export function BoilLine({ picture: { values }, out: afterwards }: BenchProps & { readonly out: string }) {
  const { palette } = useTheme();
  const now = useNow(timeNow(), 5_000);
  const zone = String(values.zone);
  const at = (name: string): number | null => (values[name] ? Date.parse(String(values[name])) : null);
  const [heat, boiling, off, out] = [at('heatAt'), at('boilingAt'), at('offAt'), at('outAt')];
  const stretches = [
    {
      word: 'heat',
      from: heat,
      to: boiling,
      hours: Number(values.heat),
      most: true,
      colour: palette.warning.main,
    },
    {
      word: 'boil',
      from: boiling,
      to: off,
      hours: Number(values.boil),
      most: false,
      colour: palette.error.main,
    },
    {
      word: 'cool',
      from: off,
      to: out,
      hours: Number(values.cool),
      most: false,
      colour: palette.primary.main,
    },
  ];
  // The hour of heating is wide enough to be read; the rest shares what is left.
  const share = (hours: number): number =>
    40 + (hours / stretches.reduce((sum, each) => sum + each.hours, 0)) * 280;
  let x = 0;
  return (
    <Box>
      <svg
        viewBox="0 0 400 74"
        width="100%"
        style={{ maxWidth: 520 }}
        role="img"
        aria-label="Heating, boiling and cooling"
      >
        {stretches.map(({ word, from, to, hours, colour }) => {
          const wide = share(hours);
          const left = x;
          x += wide;
          const done = from === null ? 0 : Math.min(1, ((to ?? now) - from) / (hours * HOUR));
          return (
            <g key={word}>
              <rect x={left} y={18} width={wide - 4} height={26} fill="none" stroke={palette.text.primary} />
              <rect
                x={left}
                y={18}
                width={Math.max(0, (wide - 4) * done)}
                height={26}
                fill={colour}
                opacity={0.55}
              />
              <text x={left + 4} y={12} fontSize={12} fill={palette.text.primary}>
                {`${word} ${hours} h`}
              </text>
              <text x={left + 4} y={60} fontSize={11} fill={palette.text.secondary}>
                {to !== null ? '✓' : from === null ? '' : 'now'}
              </text>
            </g>
          );
        })}
      </svg>
      <Typography sx={{ fontWeight: 700 }} role="status">
        {nextWords({ heat, boiling, off, out, now, zone }, values, afterwards)}
      </Typography>
    </Box>
  );
}

interface Moments {
  readonly heat: number | null;
  readonly boiling: number | null;
  readonly off: number | null;
  readonly out: number | null;
  readonly now: number;
  readonly zone: string;
}

/** What comes next, and when. */
function nextWords(
  { heat, boiling, off, out, now, zone }: Moments,
  values: BenchProps['picture']['values'],
  afterwards: string,
): string {
  const say = (ahead: string, past: string, at: number): string =>
    at > now
      ? `${ahead} ${dayTime(at, zone)}, in ${durationText((at - now) / 60_000)}`
      : `${past} ${dayTime(at, zone)}`;
  if (out !== null) return afterwards;
  if (off !== null)
    return say('To be weighed from', 'To be weighed: cool since', off + Number(values.cool) * HOUR);
  if (boiling !== null)
    return say('Heat off at', 'Heat off: boiled enough since', boiling + Number(values.boil) * HOUR);
  if (heat !== null)
    return say('Has to boil by', 'It should have boiled by', heat + Number(values.heat) * HOUR);
  return `Heat on now: off at ${dayTime(now + (Number(values.heat) + Number(values.boil)) * HOUR, zone)} at the latest`;
}
