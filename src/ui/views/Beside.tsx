'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { relationOf, type StrengthPair } from '@/core/flexure-compression';
import { withThousands } from '@/core/quantity';
import { Line } from '../charts/Line';
import { curve, dots, useChartSetup } from '../charts/setup';

const STEPS = 24;

/** What the beams of a concrete come to by the cylinders beside them: its own curve, with where nine in ten tests lie. */
export function Beside({
  pairs,
  fewest,
  usual,
  unit,
  symbol,
}: {
  pairs: readonly StrengthPair[];
  /** Pairs from which a curve is made. */
  fewest: number;
  /** The usual curve, for a first idea: times the square root. */
  usual: number;
  unit: 'psi' | 'MPa';
  /** How the strength of what was broken beside is written. */
  symbol: string;
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const relation = relationOf(pairs, fewest);
  const step = unit === 'psi' ? 5 : 0.05;
  const places = unit === 'psi' ? 0 : 2;
  const shown = (value: number): string => withThousands((Math.round(value / step) * step).toFixed(places));
  const strengths = pairs.map(({ compression }) => compression);
  const [low, high] = [Math.min(...strengths), Math.max(...strengths)];
  const along = Array.from({ length: STEPS + 1 }, (_, place) => low + ((high - low) * place) / STEPS);
  const middle = (low + high) / 2;
  const there = relation?.at(middle);
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
      }}
    >
      <Box>
        {relation && there ? (
          <>
            <Typography className="mono" sx={{ fontSize: '1.5rem' }}>
              {`R = ${relation.k.toPrecision(3)} ${symbol}`}
              <sup>{relation.n.toFixed(2)}</sup>
            </Typography>
            <Typography sx={{ mt: 1 }}>
              {`By ${relation.pairs} pairs of this mix from ${shown(relation.from)} to ${shown(relation.to)} ${unit}, logarithms explained to ${(100 * relation.r2).toFixed(0)} %. At ${shown(middle)} ${unit} about ${shown(there.expected)}; nine in ten tests between ${shown(there.low)} and ${shown(there.high)} ${unit}.`}
            </Typography>
          </>
        ) : (
          <Typography>
            {`${pairs.length} ${pairs.length === 1 ? 'pair' : 'pairs'} of this mix; a curve of its own is made from ${fewest} pairs of different strengths. The dashed one is the usual ${usual} √${symbol}, not of this mix.`}
          </Typography>
        )}
        <Typography color="text.secondary" sx={{ mt: 1 }}>
          For information only. Nothing is accepted by it, and no beam is left unbroken for it.
        </Typography>
      </Box>
      <Box sx={{ height: 240 }}>
        <Line
          role="img"
          aria-label={`Beams over the cylinders beside them: ${pairs.length} pairs of this mix`}
          data={{
            datasets: [
              ...(relation
                ? [
                    curve(
                      'this mix',
                      along.map((x) => ({ x, y: relation.at(x).expected })),
                      palette.primary.main,
                    ),
                    ...(['low', 'high'] as const).map((end) =>
                      curve(
                        end === 'low' ? 'nine in ten' : '',
                        along.map((x) => ({ x, y: relation.at(x)[end] })),
                        palette.primary.main,
                        [5, 4],
                      ),
                    ),
                  ]
                : [
                    curve(
                      `usual ${usual} √${symbol}`,
                      along.map((x) => ({ x, y: usual * Math.sqrt(x) })),
                      palette.text.secondary,
                      [5, 4],
                    ),
                  ]),
              dots(
                'pairs',
                pairs.map(({ compression: x, flexure: y }) => ({ x, y })),
                palette.text.primary,
                'circle',
                5,
              ),
            ],
          }}
          options={{
            ...base,
            parsing: false,
            scales: {
              x: { ...base.scales.x, type: 'linear', title: { display: true, text: `${symbol}, ${unit}` } },
              y: { ...base.scales.y, title: { display: true, text: `beams, ${unit}` } },
            },
            plugins: {
              ...base.plugins,
              legend: {
                ...base.plugins.legend,
                labels: { ...base.plugins.legend.labels, filter: ({ text }) => text !== '' },
              },
            },
          }}
        />
      </Box>
    </Box>
  );
}
