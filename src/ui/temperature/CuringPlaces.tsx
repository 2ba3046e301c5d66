'use client';
import {
  Box,
  Stack,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
  useTheme,
} from '@mui/material';
import { withThousands } from '@/core/quantity';
import { crossover, strengthCuredAt } from '@/core/strength-gain';
import { Line } from '../charts/Line';
import { curve, useChartSetup } from '../charts/setup';
import { Card } from '../parts/Card';
import { KnobList, KnobPage, UnitsSwitch } from '../parts/Knobs';
import { useKnobs } from '../parts/knobs';

/** What can be moved: °C, MPa, 1/day, days; ends, step and where it begins. */
const KNOBS = {
  cool: { words: 'Cooler place', from: 5, to: 40, step: 1, start: 20 },
  warm: { words: 'Warmer place', from: 5, to: 45, step: 1, start: 30 },
  limit: { words: 'Strength that it goes towards at 20 °C [68 °F]', from: 15, to: 90, step: 1, start: 42 },
  rate: { words: 'How fast it gains there, 1/day', from: 0.1, to: 1, step: 0.01, start: 0.32 },
} as const;
type KnobName = keyof typeof KNOBS;

const AGES = [1, 3, 7, 14, 28, 56, 90];
const DRAWN_DAYS = 60;
/** Days at 20 °C before it gains, and activation energy over the gas constant, K: usual ones. */
const START_DAYS = 0.3;
const Q = 5000;
const PSI = 145.0377;

/** Two places with sliders: strength over age in both, where they cross, and the ages that are broken. */
export function CuringPlaces({ given }: { readonly given: Readonly<Record<string, string>> }) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const { values, system, turn, say } = useKnobs(KNOBS, given, {}, {});
  const us = system === 'US';
  const degrees = (celsius: number): string =>
    us ? `${Math.round(celsius * 1.8 + 32)} °F` : `${celsius} °C`;
  const strength = (mpa: number): string =>
    us ? withThousands(String(Math.round((mpa * PSI) / 10) * 10)) : mpa.toFixed(1);
  const words: Readonly<Record<KnobName, (value: number) => string>> = {
    cool: degrees,
    warm: degrees,
    limit: (value) => `${strength(value)} ${us ? 'psi' : 'MPa'}`,
    rate: (value) => value.toFixed(2),
  };
  const concrete = { limit: values.limit, k20: values.rate, start: START_DAYS, q: Q };
  const [low, high] = [Math.min(values.cool, values.warm), Math.max(values.cool, values.warm)];
  const cross = low === high ? null : crossover(concrete, low, high);
  const days = Array.from({ length: 121 }, (_, place) => (DRAWN_DAYS * place) / 120);
  const drawn = (celsius: number) =>
    days.map((day) => ({ x: day, y: strengthCuredAt(concrete, celsius, day) * (us ? PSI : 1) }));
  const sentence =
    low === high
      ? 'Both places are alike.'
      : cross === null
        ? `The one at ${degrees(high)} leads for a year at the least.`
        : `The one at ${degrees(high)} leads until about ${cross.toFixed(0)} days; from then on it lags.`;
  return (
    <KnobPage>
      <Card title="The places and the concrete">
        <Stack spacing={1.5}>
          <UnitsSwitch system={system} words={{ US: '°F, psi', SI: '°C, MPa' }} say={say} />
          <KnobList knobs={KNOBS} values={values} words={words} turn={turn} />
          <Typography variant="body2" color="text.secondary">
            A model to show the direction: hyperbolic gain, rates by Arrhenius, and 0.8 % of the strength
            limit lost for each °C of warmth. It predicts no concrete. Warm places dry faster too: poorly
            covered beams lose most.
          </Typography>
        </Stack>
      </Card>
      <Card title="Strength over age">
        <Typography role="status" sx={{ fontSize: '1.2rem', fontWeight: 700, mb: 1 }}>
          {sentence}
        </Typography>
        <Box sx={{ height: 300 }}>
          <Line
            role="img"
            aria-label={`Strength over days at ${degrees(values.cool)} and at ${degrees(values.warm)}`}
            data={{
              datasets: [
                curve(degrees(values.cool), drawn(values.cool), palette.primary.main),
                curve(degrees(values.warm), drawn(values.warm), palette.error.main),
              ],
            }}
            options={{
              ...base,
              parsing: false,
              scales: {
                x: {
                  ...base.scales.x,
                  type: 'linear',
                  max: DRAWN_DAYS,
                  title: { display: true, text: 'days' },
                },
                y: {
                  ...base.scales.y,
                  beginAtZero: true,
                  title: { display: true, text: us ? 'psi' : 'MPa' },
                },
              },
              plugins: {
                ...base.plugins,
                annotation: {
                  annotations:
                    cross === null || cross > DRAWN_DAYS
                      ? {}
                      : {
                          cross: {
                            type: 'line' as const,
                            xMin: cross,
                            xMax: cross,
                            borderColor: palette.text.secondary,
                            borderWidth: 1.5,
                            borderDash: [2, 3],
                          },
                        },
                },
              },
            }}
          />
        </Box>
        <Table size="small" sx={{ mt: 1 }}>
          <TableHead>
            <TableRow>
              {['Days', degrees(values.cool), degrees(values.warm), 'Warmer over cooler'].map(
                (word, place) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: two places may be of one temperature
                  <TableCell key={place}>{word}</TableCell>
                ),
              )}
            </TableRow>
          </TableHead>
          <TableBody>
            {AGES.map((day) => {
              const [a, b] = [values.cool, values.warm].map((celsius) =>
                strengthCuredAt(concrete, celsius, day),
              );
              const [first, second] = [a ?? 0, b ?? 0];
              const ratio = values.warm >= values.cool ? second / first : first / second;
              return (
                <TableRow key={day}>
                  <TableCell className="mono">{day}</TableCell>
                  <TableCell className="mono">{strength(first)}</TableCell>
                  <TableCell className="mono">{strength(second)}</TableCell>
                  <TableCell className="mono">
                    {Number.isFinite(ratio) && first > 0 && second > 0
                      ? `${ratio >= 1 ? '+' : '−'}${Math.abs(100 * (ratio - 1)).toFixed(0)} %`
                      : ''}
                  </TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </Card>
    </KnobPage>
  );
}
