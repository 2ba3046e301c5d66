'use client';
import { Box, useTheme } from '@mui/material';
import { Line } from '../../charts/Line';
import { curve, limitLine, useChartSetup } from '../../charts/setup';
import type { SettingPicture } from './picture';

/** How far the needle went in over the minutes since the water, with the mark of the initial set and its crossing. */
export function SettingPlot({ picture }: { readonly picture: SettingPicture }) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const { falls, mark, ring, initial, final } = picture;
  const at = (good: boolean) =>
    falls.filter(({ why }) => (why === '') === good).map(({ minutes, depth }) => ({ x: minutes, y: depth }));
  const points = (
    label: string,
    data: ReturnType<typeof at>,
    ink: string,
    pointStyle: 'circle' | 'crossRot',
  ) => ({
    ...{ label, data, borderColor: ink, backgroundColor: ink, pointStyle },
    ...{ showLine: false, pointRadius: 5, borderWidth: 2 },
  });
  return (
    <Box sx={{ height: 260 }}>
      <Line
        role="img"
        aria-label={`Depth over time: ${falls.length} falls${initial === null ? '' : `, initial set at ${initial.toFixed(0)} min`}${final === null ? '' : `, final set at ${final.toFixed(0)} min`}`}
        data={{
          datasets: [
            curve('falls that count', at(true), palette.primary.main),
            points('falls', at(true), palette.primary.main, 'circle'),
            points('do not count', at(false), palette.error.main, 'crossRot'),
            ...(initial === null
              ? []
              : [points('initial set', [{ x: initial, y: mark }], palette.text.primary, 'circle')]),
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
              title: { display: true, text: 'min since the water' },
            },
            y: { ...base.scales.y, min: 0, max: ring + 1, title: { display: true, text: 'mm' } },
          },
          plugins: {
            ...base.plugins,
            legend: { display: false },
            annotation: {
              annotations: {
                mark: limitLine(mark, `${mark} mm: initial`, palette.warning.main, palette.background.paper),
              },
            },
          },
        }}
      />
    </Box>
  );
}
