'use client';
import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography, useTheme } from '@mui/material';
import { withThousands } from '@/core/quantity';
import { estimateLater, type Gain, GROWTHS, type GrowthId, growthShare } from '@/core/strength-gain';
import { Line } from '../charts/Line';
import { curve, dots, limitLine, useChartSetup } from '../charts/setup';
import { TextLink } from '../parts/LinkButton';

const STEPS = 24;

/** A chance is never told as certain. */
function chanceText(chance: number): string {
  if (chance > 0.99) return 'over 99 %';
  return chance < 0.01 ? 'under 1 %' : `${(100 * chance).toFixed(0)} %`;
}

/** What handbooks say of such an age, for a first idea, and what the pairs of this mix do. */
function handbookWords(days: number, pairs: Gain['pairs']): string {
  const percent = (share: number): string => `${(100 * share).toFixed(0)} %`;
  const shares = (Object.keys(GROWTHS) as GrowthId[])
    .filter((id) => !id.startsWith('aci-steam'))
    .map(
      (id) => `${GROWTHS[id].title.toLowerCase()} ${percent(growthShare(id, days) / growthShare(id, 28))}`,
    );
  const own =
    pairs.length > 0
      ? ` This mix so far: ${percent(pairs.reduce((sum, { early, later }) => sum + early / later, 0) / pairs.length)}.`
      : '';
  return `${days} days of 28 by the handbooks: ${shares.join(', ')}.${own}`;
}

/** What early breaks say of those that wait: each with its interval and its chance, and the pairs that it comes from. */
export function StrengthGain({
  gain: { ageHours, pairs, foreseen, rules },
  unit,
  asked,
}: {
  gain: Gain;
  unit: string;
  asked: number;
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const days = ageHours / 24;
  const places = unit === 'psi' ? 0 : 1;
  const step = unit === 'psi' ? 10 : 0.1;
  const shown = (value: number): string => withThousands((Math.round(value / step) * step).toFixed(places));
  const early = [...pairs.map((pair) => pair.early), ...foreseen.map((each) => each.early)];
  const own = pairs.length >= rules.shown;
  const [low, high] = [Math.min(...early), Math.max(...early)];
  const along = Array.from({ length: STEPS + 1 }, (_, place) => low + ((high - low) * place) / STEPS);
  const band = own ? along.map((at) => ({ at, ...estimateLater(pairs, at, rules) })) : [];
  return (
    <Box>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        {own
          ? `By ${pairs.length} pairs of this mix, with the interval that nine in ten tests come to lie in${pairs.length < rules.relied ? '; few, so look at it with care' : ''}. A prediction, not a test result: nothing is accepted or rejected by it.`
          : `${pairs.length} ${pairs.length === 1 ? 'pair' : 'pairs'} of this mix, too few for a line of its own: by usual shares, not from this mix. A prediction, not a test result.`}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: own ? '1fr 1fr' : '1fr' },
        }}
      >
        <Box sx={{ overflowX: 'auto' }}>
          <Table size="small">
            <TableHead>
              <TableRow>
                {[
                  'Sample',
                  `At ${days} d`,
                  '28 d expected',
                  'Nine in ten',
                  `Chance of ${withThousands(String(asked))}`,
                ].map((word) => (
                  <TableCell key={word}>{word}</TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {foreseen
                .toSorted((a, b) => (a.chance ?? 1) - (b.chance ?? 1) || a.expected - b.expected)
                .map(
                  ({ sampleId, label, early: at, expected, low: from, high: to, chance, look, outside }) => (
                    <TableRow key={sampleId}>
                      <TableCell className="mono">
                        <TextLink href={`/samples/${sampleId}`}>{label}</TextLink>
                      </TableCell>
                      <TableCell className="mono">{shown(at)}</TableCell>
                      <TableCell className="mono" sx={{ fontWeight: 600 }}>
                        {shown(expected)}
                      </TableCell>
                      <TableCell className="mono">{`${shown(from)} to ${shown(to)}`}</TableCell>
                      <TableCell sx={{ color: look ? 'error.main' : undefined }}>
                        {chance === null
                          ? look
                            ? '! look into it'
                            : 'not known'
                          : `${look ? '! ' : ''}${chanceText(chance)}${outside ? ', outside of the pairs' : ''}`}
                      </TableCell>
                    </TableRow>
                  ),
                )}
            </TableBody>
          </Table>
          <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
            {handbookWords(days, pairs)}
          </Typography>
          {foreseen.some(({ look }) => look) ? (
            <Typography variant="body2" sx={{ mt: 1 }}>
              Before the concrete is called low: look at the first day in the box, density, air, and whether
              the specimens dried.
            </Typography>
          ) : null}
        </Box>
        {own ? (
          <Box sx={{ height: 240 }}>
            <Line
              role="img"
              aria-label={`28 days over ${days} days: ${pairs.length} pairs of this mix`}
              data={{
                datasets: [
                  curve(
                    'expected',
                    band.map(({ at, expected }) => ({ x: at, y: expected })),
                    palette.primary.main,
                  ),
                  curve(
                    'nine in ten',
                    band.map(({ at, low: y }) => ({ x: at, y })),
                    palette.primary.main,
                    [5, 4],
                  ),
                  curve(
                    '',
                    band.map(({ at, high: y }) => ({ x: at, y })),
                    palette.primary.main,
                    [5, 4],
                  ),
                  dots(
                    'pairs',
                    pairs.map((pair) => ({ x: pair.early, y: pair.later })),
                    palette.text.primary,
                    'circle',
                    5,
                  ),
                  dots(
                    'waiting',
                    foreseen.map((each) => ({ x: each.early, y: each.expected })),
                    palette.warning.main,
                    'triangle',
                    5,
                  ),
                ],
              }}
              options={{
                ...base,
                parsing: false,
                scales: {
                  x: {
                    ...base.scales.x,
                    type: 'linear',
                    title: { display: true, text: `${days} d, ${unit}` },
                  },
                  y: { ...base.scales.y, title: { display: true, text: `28 d, ${unit}` } },
                },
                plugins: {
                  ...base.plugins,
                  legend: {
                    ...base.plugins.legend,
                    labels: { ...base.plugins.legend.labels, filter: ({ text }) => text !== '' },
                  },
                  annotation: {
                    annotations: {
                      asked: limitLine(asked, 'asked', palette.error.main, palette.background.paper),
                    },
                  },
                },
              }}
            />
          </Box>
        ) : null}
      </Box>
    </Box>
  );
}
