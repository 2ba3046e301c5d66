'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { readRows } from '@/core/methods/picture-rows';
import type { BenchProps } from '../kit';

const [WIDE, HIGH, RIM] = [54, 84, 12] as const;
const WORDS: Readonly<Record<string, string>> = {
  tests: 'our tests',
  reserve: 'reserve, sealed',
  split: 'another laboratory',
};

/** The jars of a sample, each filled to what is left in it. */
export function Jars({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const jars = readRows(values.portions).map(([name = '', use = '', mass, left, place = '']) => ({
    ...{ name, use, place, mass: Number(mass), left: Number(left) },
  }));
  if (jars.length === 0)
    return <Typography color="text.secondary">Each portion stands here with what is left in it.</Typography>;
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', mb: 1 }}>
      {jars.map(({ name, use, place, mass, left }) => {
        const full = mass > 0 ? Math.min(1, Math.max(0, left / mass)) : 0;
        const inside = HIGH - RIM - 2;
        return (
          <Box key={name} sx={{ textAlign: 'center', minWidth: 110 }}>
            <svg
              viewBox={`0 0 ${WIDE} ${HIGH}`}
              width={WIDE}
              height={HIGH}
              role="img"
              aria-label={`${name}: ${left.toLocaleString('en-US')} g left of ${mass.toLocaleString('en-US')} g`}
            >
              <rect x={8} y={1} width={WIDE - 16} height={RIM - 3} fill={palette.text.secondary} />
              <rect
                x={3}
                y={RIM + inside * (1 - full)}
                width={WIDE - 6}
                height={inside * full}
                fill={use === 'reserve' ? palette.text.secondary : palette.primary.main}
                opacity={0.45}
              />
              <rect
                x={2}
                y={RIM}
                width={WIDE - 4}
                height={inside}
                fill="none"
                stroke={palette.text.primary}
                strokeWidth={1.5}
              />
            </svg>
            <Typography sx={{ fontWeight: 700 }}>{name}</Typography>
            <Typography className="mono">{`${left.toLocaleString('en-US')} g`}</Typography>
            <Typography variant="caption" color="text.secondary">
              {[`of ${mass.toLocaleString('en-US')} g`, WORDS[use], place].filter(Boolean).join(', ')}
            </Typography>
          </Box>
        );
      })}
    </Box>
  );
}
