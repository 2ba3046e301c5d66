'use client';
import { Box, Typography, useTheme } from '@mui/material';
import { Line } from '../../charts/Line';
import { pointsOf } from '../../charts/points';
import { curve, dots, limitLine, useChartSetup } from '../../charts/setup';
import type { BenchProps } from '../kit';
import { pairsIn } from '../listed';

const text = (value: unknown): string => (typeof value === 'string' ? value : '');

/** Breaks over their maturity, the curve with its lower edge and what may be counted on; of a member, where it stands. */
export function CurveBench({ picture }: BenchProps) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const { values } = picture;
  const [unit, index] = [text(values.unit), text(values.index)];
  const breaks = pointsOf(values.pairs);
  const line = pointsOf(values.line);
  const now = pointsOf(values.now);
  const verified = pointsOf(values.verified);
  const leftOut = pointsOf(values.leftOut);
  if (breaks.length === 0) {
    return (
      <Box sx={{ py: 5, textAlign: 'center' }}>
        <Typography color="text.secondary">
          No break yet that has an index. They are drawn here over their maturity, with the curve and what may
          be counted on.
        </Typography>
      </Box>
    );
  }
  const required = typeof values.required === 'number' ? values.required : null;
  const asked = typeof values.asked === 'number' ? values.asked : null;
  const [at] = now;
  return (
    <Box>
      <Box sx={{ height: 310 }}>
        <Line
          role="img"
          aria-label={
            at
              ? `Strength over maturity: ${at.y.toFixed(unit === 'psi' ? 0 : 1)} ${unit} may be counted on at ${at.x.toFixed(0)} ${index}`
              : `Strength over maturity: ${breaks.length} breaks${line.length > 0 ? ` and a ${text(values.curve)} curve` : ''}`
          }
          data={{
            datasets: [
              curve('curve', line, palette.primary.main),
              curve('lower edge', pointsOf(values.lower), palette.primary.main, [6, 4]),
              curve('may be counted on', pointsOf(values.counted), palette.success.main),
              dots('breaks', breaks, palette.text.primary, 'circle', 3.5),
              ...(leftOut.length > 0
                ? [dots('left out', leftOut, palette.text.secondary, 'crossRot', 5)]
                : []),
              ...(verified.length > 0
                ? [dots('cylinders of the job', verified, palette.warning.main, 'triangle', 6)]
                : []),
              ...(now.length > 0 ? [dots('the member now', now, palette.error.main, 'rectRot', 8)] : []),
            ],
          }}
          options={{
            ...base,
            parsing: false,
            scales: {
              x: {
                ...base.scales.x,
                type: 'logarithmic',
                title: { display: true, text: `maturity index, ${index}` },
              },
              y: { ...base.scales.y, beginAtZero: true, title: { display: true, text: unit } },
            },
            plugins: {
              ...base.plugins,
              annotation: {
                annotations: {
                  ...(required === null
                    ? {}
                    : {
                        required: limitLine(
                          required,
                          'asked for it',
                          palette.error.main,
                          palette.background.paper,
                        ),
                      }),
                  ...(asked === null
                    ? {}
                    : {
                        asked: {
                          type: 'line' as const,
                          xMin: asked,
                          xMax: asked,
                          borderColor: palette.error.main,
                          borderWidth: 1.5,
                          borderDash: [2, 3],
                        },
                      }),
                },
              },
            },
          }}
        />
      </Box>
      <Typography variant="body2" color="text.secondary">
        {[
          text(values.how) ? `By ${text(values.how)}.` : '',
          text(values.scatters) ? `Scatter of the breaks: ${text(values.scatters)} ${unit}.` : '',
          'An estimate, never a test of acceptance.',
        ]
          .filter(Boolean)
          .join(' ')}
      </Typography>
      {text(values.confirmed) ? <Confirmed values={values} /> : null}
      {typeof values.expected === 'number' ? <Until values={values} /> : null}
    </Box>
  );
}

/** How far the cylinders that confirm the curve lie off it, one after the other: of estimates before, and of this one. */
function Confirmed({ values }: { values: BenchProps['picture']['values'] }) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const pairs = pairsIn(values.confirmed).map(([of, text]) => ({ of, at: pointsOf(text) }));
  const of = (which: string) => pairs.flatMap((each) => (each.of === which ? each.at : []));
  const most = Number(values.offMost);
  const all = pairs.flatMap(({ at }) => at);
  const outside = all.filter(({ y }) => Math.abs(y) > most).length;
  const line = (value: number, word: string) =>
    limitLine(value, word, palette.error.main, palette.background.paper);
  return (
    <Box component="section" aria-label="Cylinders that confirm the curve" sx={{ mt: 1 }}>
      <Typography variant="body2">
        {`${all.length} ${all.length === 1 ? 'cylinder' : 'cylinders'} of this mix beside its curve, ${outside === 0 ? 'none' : outside} farther off than ${most} %${outside > 1 ? ': calibrate it anew' : ''}.`}
      </Typography>
      <Box sx={{ height: 170 }}>
        <Line
          role="img"
          aria-label={`Off the curve, percent: ${all.map(({ y }) => y.toFixed(1)).join(', ')}`}
          data={{
            datasets: [
              dots('before', of('before'), palette.text.secondary, 'circle', 4),
              dots('of this estimate', of('own'), palette.primary.main, 'triangle', 6),
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
                max: all.length + 1,
                ticks: { ...base.scales.x.ticks, stepSize: 1 },
              },
              y: {
                ...base.scales.y,
                suggestedMin: -1.5 * most,
                suggestedMax: 1.5 * most,
                title: { display: true, text: '% off' },
              },
            },
            plugins: {
              ...base.plugins,
              annotation: {
                annotations: {
                  high: line(most, `+${most} %`),
                  low: line(-most, `−${most} %`),
                },
              },
            },
          }}
        />
      </Box>
    </Box>
  );
}

/** Hours until it is reached, on one line of time: soonest, expected, latest. */
function Until({ values }: { values: BenchProps['picture']['values'] }) {
  const { palette } = useTheme();
  const expected = Number(values.expected);
  const soonest = typeof values.soonest === 'number' ? values.soonest : expected;
  const latest = typeof values.latest === 'number' ? values.latest : null;
  // What would be weeks away must not press the rest together.
  const most = Math.max(Math.min(latest ?? expected * 1.4, expected * 3), 1);
  const beyond = latest === null || latest > most;
  const x = (hours: number): number => 20 + (hours / most) * 360;
  const words = (hours: number): string =>
    hours < 72 ? `${hours.toFixed(0)} h` : `${(hours / 24).toFixed(1)} d`;
  if (expected <= 0) return null;
  return (
    <svg
      viewBox="0 0 400 62"
      width="100%"
      height="62"
      role="img"
      aria-label={`Expected in ${words(expected)}, at the soonest in ${words(soonest)}${latest === null ? '' : `, at the latest in ${words(latest)}`}`}
    >
      <line x1="20" x2="380" y1="34" y2="34" stroke={palette.divider} strokeWidth="2" />
      <path
        d={`M${x(soonest)} 26h-4v16h4M${beyond ? '372 26l8 8l-8 8' : `${x(latest)} 26h4v16h-4`}`}
        fill="none"
        stroke={palette.text.primary}
        strokeWidth="1.5"
      />
      <path d={`M${x(expected)} 26v16`} stroke={palette.error.main} strokeWidth="3" />
      {x(soonest) > 62 ? (
        <text x="20" y="56" fontSize="11" fill={palette.text.secondary}>
          now
        </text>
      ) : null}
      <text x={x(expected)} y="18" fontSize="12" textAnchor="middle" fill={palette.text.primary}>
        {`expected in ${words(expected)}`}
      </text>
      <text x={x(soonest)} y="56" fontSize="11" textAnchor="middle" fill={palette.text.secondary}>
        {words(soonest)}
      </text>
      <text x={beyond ? 380 : x(latest)} y="56" fontSize="11" textAnchor="end" fill={palette.text.secondary}>
        {latest === null ? 'not in colder air' : words(latest)}
      </text>
    </svg>
  );
}
