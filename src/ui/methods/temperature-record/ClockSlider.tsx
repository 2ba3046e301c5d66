'use client';
import { Box, Button, Slider, Typography, useTheme } from '@mui/material';
import { useState } from 'react';
import { Line } from '../../charts/Line';
import { curve, useChartSetup } from '../../charts/setup';

interface Point {
  readonly x: number;
  readonly y: number;
}

/** How far the second clock can be moved, min, to either side of what the shapes say. */
const REACH = 120;
const FEWEST = 8;
/** The step from air to concrete would outweigh all else, h after placing. */
const SETTLED = 0.5;

/** The temperature of a curve at an hour, by a straight line; undefined outside of it and in its gaps. */
function at(points: readonly Point[], hour: number): number | undefined {
  const after = points.findIndex(({ x }) => x >= hour);
  const [one, two] = [points[after - 1], points[after]];
  if (!one || !two || two.x === one.x) return undefined;
  const value = one.y + ((hour - one.x) / (two.x - one.x)) * (two.y - one.y);
  return Number.isFinite(value) ? value : undefined;
}

/**
 * Scatter of two curves about their mean difference, the second moved back by so many hours.
 * @returns undefined with too little in common
 */
export function scatterAt(
  first: readonly Point[],
  second: readonly Point[],
  ahead: number,
): number | undefined {
  const apart = first.flatMap(({ x, y }) => {
    const other = x < SETTLED ? undefined : at(second, x + ahead);
    return other === undefined || !Number.isFinite(y) ? [] : [other - y];
  });
  if (apart.length < FEWEST) return undefined;
  const mean = apart.reduce((sum, each) => sum + each, 0) / apart.length;
  return Math.sqrt(apart.reduce((sum, each) => sum + (each - mean) ** 2, 0) / apart.length);
}

/** The second record moved along by hand, with what it scatters by then: what the shapes say can be seen, and doubted. */
export function ClockSlider({
  first,
  second,
  found,
  unit,
  take,
}: {
  first: readonly Point[];
  /** As its own clock stamped it. */
  second: readonly Point[];
  /** What the shapes say, h. */
  found: number;
  unit: string;
  /** Notes it; absent where nothing can be written. */
  take?: ((minutes: number) => void) | undefined;
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const shapes = Math.round(60 * found);
  const [minutes, setMinutes] = useState(shapes);
  const [own, best] = [minutes, shapes].map((each) => scatterAt(first, second, each / 60));
  const said = (value: number | undefined): string =>
    value === undefined ? 'not known' : `${value.toFixed(2)} ${unit}`;
  return (
    <Box component="section" aria-label="Clock moved by hand" sx={{ mt: 1 }}>
      <Box sx={{ height: 170 }}>
        <Line
          role="img"
          aria-label={`Both records, the second moved back by ${minutes} min`}
          data={{
            datasets: [
              curve('first', [...first], palette.primary.main),
              curve(
                `second, ${minutes} min back`,
                second.map(({ x, y }) => ({ x: x - minutes / 60, y })),
                palette.error.main,
              ),
            ],
          }}
          options={{
            ...base,
            parsing: false,
            scales: {
              x: { ...base.scales.x, type: 'linear' },
              y: { ...base.scales.y, title: { display: true, text: unit } },
            },
          }}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography id="clock-ahead">Second clock ahead</Typography>
        <Slider
          aria-labelledby="clock-ahead"
          value={minutes}
          min={shapes - REACH}
          max={shapes + REACH}
          step={1}
          onChange={(_, value) => setMinutes(value as number)}
          valueLabelDisplay="auto"
          sx={{ flex: '1 1 200px' }}
        />
        <Typography role="status" className="mono">
          {`${minutes} min: scattered by ${said(own)}`}
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="body2" color="text.secondary" sx={{ flexGrow: 1 }}>
          {`The shapes say ${shapes} min, ${said(best)}. Set it where placing, or taking the form off, stands in both.`}
        </Typography>
        {minutes === shapes ? null : (
          <Button size="small" onClick={() => setMinutes(shapes)}>
            As the shapes say
          </Button>
        )}
        {take ? (
          <Button size="small" variant="outlined" onClick={() => take(minutes)}>
            Note it as seen at the start
          </Button>
        ) : null}
      </Box>
    </Box>
  );
}
