'use client';
import { Typography, useTheme } from '@mui/material';
import type { PropsWithChildren } from 'react';
import { manholeStep } from '@/core/methods/manhole-step';
import { readRows } from '@/core/methods/picture-rows';
import { InFolder, wholeFolder } from '../holding';
import type { BenchProps } from '../kit';

const HIGH = 62;
const STANDS: Readonly<Record<string, string>> = {
  holds: '✓ holds',
  fails: '✕ gave way',
  open: 'not loaded as far as is asked',
};

/** Each step in the wall of its section, with what it was loaded to each way against what is asked. */
function StepsInWall({ picture: { values } }: BenchProps) {
  const { palette } = useTheme();
  const steps = readRows(values.steps);
  if (steps.length === 0)
    return <Typography color="text.secondary">Each step stands here as it is loaded.</Typography>;
  const [down, out] = [Number(values.askedDown), Number(values.askedOut)];
  const unit = String(values.unit);
  const bar = (load: number, asked: number): number => Math.min(150, (load / asked) * 100);
  return (
    <svg
      viewBox={`0 0 480 ${steps.length * HIGH + 10}`}
      width="100%"
      role="img"
      aria-label={`${steps.length} steps: ${steps.map(([mark, , , stands = '']) => `${mark} ${STANDS[stands]?.replace(/^\S /u, '')}`).join('; ')}`}
    >
      <rect x={10} y={0} width={22} height={steps.length * HIGH + 10} fill={palette.divider} />
      {steps.map(([mark, carried, pulled = '', stands = ''], place) => {
        const y = place * HIGH + 30;
        const ink = stands === 'fails' ? palette.error.main : palette.text.primary;
        return (
          <g key={mark}>
            <path d={`M 22 ${y} h 46 v -9`} fill="none" stroke={ink} strokeWidth={5} strokeLinejoin="round" />
            <path d={`M 56 ${y + 8} v 15 m -4 -5 l 4 6 l 4 -6`} fill="none" stroke={palette.text.secondary} />
            <text x={92} y={y - 14} fontSize={13} fontWeight={700} fill={ink}>
              {`${mark}: ${STANDS[stands] ?? stands}`}
            </text>
            {(
              [
                ['down', Number(carried), down],
                ...(pulled === '' ? [] : [['out', Number(pulled), out] as const]),
              ] as const
            ).map(([word, load, asked], line) => (
              <g key={word} transform={`translate(92 ${y - 6 + line * 17})`}>
                <rect
                  width={bar(load, asked)}
                  height={10}
                  x={34}
                  fill={palette.primary.main}
                  opacity={0.75}
                />
                <line x1={134} x2={134} y1={-2} y2={12} stroke={palette.text.primary} strokeWidth={1.5} />
                <text y={9} fontSize={11} fill={palette.text.secondary}>
                  {word}
                </text>
                <text x={196} y={9} fontSize={11} className="mono" fill={palette.text.primary}>
                  {`${load} of ${asked} ${unit}`}
                </text>
              </g>
            ))}
          </g>
        );
      })}
    </svg>
  );
}

const FOLDER = wholeFolder({ method: manholeStep, Bench: StepsInWall, benchStays: true });

export function InManholeStep({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
