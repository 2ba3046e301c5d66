'use client';
import { Box, FormControlLabel, Switch, Typography, useTheme } from '@mui/material';
import { useState } from 'react';
import { Line } from '../../charts/Line';
import { pointsOf } from '../../charts/points';
import { curve, limitLine, useChartSetup } from '../../charts/setup';
import { TextLink } from '../../parts/LinkButton';
import type { BenchProps } from '../kit';
import { ClockSlider } from './ClockSlider';

const text = (value: unknown): string => (typeof value === 'string' ? value : '');

/** The address that the model of a member is opened at. */
function memberSaid(member: string, unit: string): URLSearchParams {
  const [thickness = '', cement = ''] = member.split('/');
  return new URLSearchParams({
    thickness,
    ...(cement ? { cement } : {}),
    system: unit === '°F' ? 'US' : 'SI',
  });
}

/** Temperatures over the hours since placing: every sensor, the second record put right, limits, difference, belief. */
export function TemperatureBench({ picture, take }: BenchProps) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const [stamped, setStamped] = useState(false);
  const [moved, setMoved] = useState(false);
  const { values } = picture;
  const unit = text(values.unit);
  const count = Number(values.count ?? 0);
  if (count === 0) {
    return (
      <Box sx={{ py: 5, textAlign: 'center' }}>
        <Typography color="text.secondary">
          No record yet. Keep a file, or read a logger out: every sensor is drawn here over the hours since
          placing.
        </Typography>
      </Box>
    );
  }
  const colours = [palette.primary.main, palette.error.main, palette.success.main, palette.warning.main];
  const sensors = Array.from({ length: count }, (_, place) => ({
    name: text(values[`name${place}`]),
    air: values[`place${place}`] === 'air',
    points: pointsOf(values[`curve${place}`]),
  }));
  // The sensor of the first record that the second one is laid over.
  const beside = sensors[Number(values.beside ?? 0)];
  let inside = -1;
  const drawn = sensors.map(({ name, air, points }) => {
    if (!air) inside += 1;
    return air
      ? curve(name, points, palette.text.secondary, [2, 3])
      : curve(name, points, colours[inside % colours.length] ?? palette.primary.main);
  });
  const [first, second] = text(values.means).split(' ');
  const asStamped = pointsOf(values.asStamped);
  const apart = pointsOf(values.apart);
  const peaks = pointsOf(values.peaks);
  const limits = (
    [
      ['low', 'lowest allowed'],
      ['high', 'highest allowed'],
    ] as const
  ).flatMap(([key, name]) =>
    typeof values[key] === 'number'
      ? [[key, limitLine(values[key], name, palette.error.main, palette.background.paper)] as const]
      : [],
  );
  const hours = sensors.flatMap(({ points }) => points.map(({ x }) => x).filter(Number.isFinite));
  const highest = Math.max(
    ...sensors
      .filter(({ air }) => !air)
      .flatMap(({ points }) => points.map(({ y }) => y).filter(Number.isFinite)),
  );
  return (
    <Box>
      <Box sx={{ height: 300 }}>
        <Line
          role="img"
          aria-label={`Temperatures of ${count} sensors over hours since placing, highest ${highest.toFixed(1)} ${unit}`}
          data={{
            datasets: [
              ...drawn,
              ...(stamped
                ? [curve('second record as stamped', asStamped, palette.text.secondary, [6, 4])]
                : []),
              ...(apart.length > 0 ? [curve('core over surface', apart, palette.warning.main, [7, 3])] : []),
            ],
          }}
          options={{
            ...base,
            parsing: false,
            scales: {
              x: {
                ...base.scales.x,
                type: 'linear',
                min: Math.floor(Math.min(...hours) + 0.25),
                max: Math.ceil(Math.max(...hours) - 0.25),
                title: { display: true, text: 'hours since the concrete came round the sensor' },
              },
              y: { ...base.scales.y, title: { display: true, text: unit } },
            },
            plugins: { ...base.plugins, annotation: { annotations: Object.fromEntries(limits) } },
          }}
        />
      </Box>
      {values.purpose === 'places' && first && second ? (
        <TextLink
          href={`/gear/curing-places?${new URLSearchParams({ cool: first, warm: second, system: unit === '°F' ? 'US' : 'SI' })}`}
        >
          What two such places make of one concrete
        </TextLink>
      ) : null}
      {values.purpose === 'mass' && text(values.member) ? (
        <TextLink href={`/gear/member-heat?${memberSaid(text(values.member), unit)}`}>
          What such a member does by its size, its binder and its cover
        </TextLink>
      ) : null}
      {values.belief ? (
        <Box
          component="section"
          aria-label="Two sensors"
          sx={{ mt: 1.5, borderTop: 1, borderColor: 'divider', pt: 1 }}
        >
          <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 0.5 }}>
            {figuresOf(values, unit, peaks).map(([name, figure]) => (
              <Box key={name}>
                <Typography variant="body2" color="text.secondary">
                  {name}
                </Typography>
                <Typography className="mono" sx={{ fontSize: '1.15rem' }}>
                  {figure}
                </Typography>
              </Box>
            ))}
          </Box>
          {text(values.belief)
            .split('|')
            .map((sentence, place) => (
              <Typography key={sentence} sx={{ mt: 0.5, fontWeight: place === 0 ? 700 : 400 }}>
                {sentence}
              </Typography>
            ))}
          {asStamped.length > 0 ? (
            <FormControlLabel
              control={<Switch checked={stamped} onChange={(_, on) => setStamped(on)} />}
              label="Show it as its clock stamped it, too"
            />
          ) : null}
          {asStamped.length > 0 && beside ? (
            <FormControlLabel
              control={<Switch checked={moved} onChange={(_, on) => setMoved(on)} />}
              label="Move its clock by hand"
            />
          ) : null}
          {moved && asStamped.length > 0 && beside ? (
            <ClockSlider
              first={beside.points}
              second={asStamped}
              found={Number(values.ahead)}
              unit={unit}
              take={take && ((minutes) => take('aheadAtStart', String(minutes)))}
            />
          ) : null}
        </Box>
      ) : null}
    </Box>
  );
}

function figuresOf(
  values: BenchProps['picture']['values'],
  unit: string,
  peaks: readonly { x: number; y: number }[],
): readonly (readonly [string, string])[] {
  const { ahead, correlation, higher, scatter, greatest, unaligned } = values;
  const fixed = (value: unknown, places: number): string => Number(value).toFixed(places);
  const [first, second] = peaks;
  if (ahead === null || ahead === undefined) return [['They fit to', `${fixed(correlation, 2)} of 1`]];
  return [
    ['Second clock ahead', `${fixed(Number(ahead) * 60, 0)} min`],
    ['Second reads higher', `${fixed(higher, 2)} ${unit}`],
    ['Scattered by', `${fixed(scatter, 2)} ${unit}`],
    ['Farthest apart', `${fixed(greatest, 1)} ${unit} (as stamped ${fixed(unaligned, 1)})`],
    ['They fit to', `${fixed(correlation, 3)} of 1`],
    ...(first && second
      ? ([
          [
            'Peaks',
            `${first.y.toFixed(1)} and ${second.y.toFixed(1)} ${unit}, at ${first.x.toFixed(1)} and ${second.x.toFixed(1)} h`,
          ],
        ] as const)
      : []),
  ];
}
