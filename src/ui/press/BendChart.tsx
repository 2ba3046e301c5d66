'use client';
import { Box, useTheme } from '@mui/material';
import { memo } from 'react';
import { Line } from '../charts/Line';
import { dots, limitLine, curve as line, useChartSetup } from '../charts/setup';

interface Props {
  readonly curve: readonly { readonly x: number; readonly y: number }[];
  readonly crack: { readonly x: number; readonly y: number } | null;
  /** Where it is read, in the unit of the axis. */
  readonly marks: readonly (readonly [at: number, word: string])[];
  readonly end: number | null;
  readonly expected: number;
  readonly what: string;
  readonly force: string;
  readonly length: string;
}

/** A line named at its right: on the left the crack itself is drawn. */
function atItsEnd(line: ReturnType<typeof limitLine>) {
  return { ...line, label: { ...line.label, position: 'end' as const } };
}

/** Force over displacement as it comes, with the places where it is going to be read. */
export const BendChart = memo(
  function BendChart({ curve, crack, marks, end, expected, what, force, length }: Props) {
    const base = useChartSetup();
    const { palette } = useTheme();
    const upright = (at: number, word: string) => ({
      ...limitLine(0, word, palette.text.secondary, palette.background.paper),
      scaleID: 'x',
      value: at,
    });
    return (
      <Box sx={{ height: { xs: 300, md: 350 } }}>
        <Line
          role="img"
          aria-label={`Force over displacement, now ${Math.round(curve.at(-1)?.y ?? 0)} ${force}`}
          data={{
            datasets: [
              line(`force, ${force}`, [...curve], palette.primary.main),
              ...(crack ? [dots('first crack', [crack], palette.error.main, 'triangle', 7)] : []),
            ],
          }}
          options={{
            ...base,
            parsing: false,
            scales: {
              x: {
                ...base.scales.x,
                type: 'linear',
                min: 0,
                ...(end === null ? {} : { suggestedMax: end * 1.05 }),
                title: { display: true, text: `${what.toLowerCase()}, ${length}` },
              },
              y: { ...base.scales.y, min: 0, ...(expected > 0 ? { suggestedMax: expected * 1.1 } : {}) },
            },
            plugins: {
              ...base.plugins,
              tooltip: { enabled: false },
              annotation: {
                annotations: {
                  ...Object.fromEntries(marks.map(([at, word]) => [`m${word}`, upright(at, word)])),
                  ...(end !== null && !marks.some(([at]) => at === end) ? { end: upright(end, 'end') } : {}),
                  ...(expected > 0
                    ? {
                        expected: atItsEnd(
                          limitLine(
                            expected,
                            'first crack expected',
                            palette.text.secondary,
                            palette.background.paper,
                          ),
                        ),
                      }
                    : {}),
                },
              },
            },
          }}
        />
      </Box>
    );
  },
  (before, after) => before.curve === after.curve && before.crack === after.crack && before.end === after.end,
);
