'use client';
import { Box, useTheme } from '@mui/material';
import type { Chart, ChartEvent, Plugin } from 'chart.js';
import { useMemo, useRef } from 'react';
import type { DrawnCell, DrawnMark } from '@/core/methods/cement-heat/read-picture';
import { Line } from '../../charts/Line';
import { curve, dots, useChartSetup } from '../../charts/setup';
import { type Shown, shownOf, UNIT_OF } from './shown';

export interface ChartCell extends Pick<DrawnCell, 'name' | 'what' | 'points' | 'marks'> {
  readonly key: string;
}

/** How near to a mark, px, the pointer takes hold of it. */
const HOLD = 14;
const EARLY = 36;
const DASHES = [[], [7, 3], [2, 3]];

interface Held {
  readonly cell: string;
  readonly mark: DrawnMark;
}

/** Curves of power or heat over hours since the water; marks of the chosen cell, and periods between them. */
export function HeatChart({
  cells,
  chosen,
  shown,
  log,
  whole,
  from,
  height = 340,
  put,
}: {
  readonly cells: readonly ChartCell[];
  /** The cell whose marks and periods are drawn. */
  readonly chosen: string | undefined;
  readonly shown: Shown;
  readonly log: boolean;
  /** To the end, and not only its first day and a half. */
  readonly whole: boolean;
  /** From when on the curves are trusted, h. */
  readonly from: number;
  readonly height?: number;
  /** A mark was pulled elsewhere; absent where nothing can be written. */
  readonly put?: ((cell: string, mark: DrawnMark, at: number) => void) | undefined;
}) {
  const base = useChartSetup();
  const { palette } = useTheme();
  const inks = [
    palette.primary.main,
    palette.text.primary,
    palette.success.main,
    palette.warning.main,
    palette.error.main,
  ];
  const one = cells.find(({ key }) => key === chosen);
  const marks = shown === 'power' && one ? one.marks : [];
  const held = useRef<Held | null>(null);
  const now = useRef({ marks, one, put });
  now.current = { marks, one, put };
  const pull = useMemo(
    (): Plugin<'line'> => ({
      id: 'pull-marks',
      afterEvent(chart: Chart, { event }: { event: ChartEvent }) {
        const { x, y, type } = event;
        const across = chart.scales.x;
        const up = chart.scales.y;
        if (x === null || y === null || !across || !up) return;
        if (type === 'mousedown' && now.current.put && now.current.one) {
          const near = now.current.marks.find(
            ({ at, power }) =>
              Math.hypot(across.getPixelForValue(at) - x, up.getPixelForValue(power) - y) < HOLD,
          );
          held.current = near ? { cell: now.current.one.name, mark: near } : null;
        } else if (type === 'mouseup' && held.current) {
          const at = across.getValueForPixel(x);
          const { cell, mark } = held.current;
          held.current = null;
          if (at !== undefined && Math.abs(at - mark.at) > 0.02)
            now.current.put?.(cell, mark, Math.max(0, at));
        }
        chart.canvas.style.cursor = held.current
          ? 'ew-resize'
          : now.current.put &&
              now.current.marks.some(
                ({ at, power }) =>
                  Math.hypot(across.getPixelForValue(at) - x, up.getPixelForValue(power) - y) < HOLD,
              )
            ? 'grab'
            : 'default';
      },
    }),
    [],
  );
  const long = Math.max(1, ...cells.map(({ points }) => points.at(-1)?.[0] ?? 0));
  // What happens, happens early: behind a day and a half a curve of power is a tail.
  const until = whole || shown === 'heat' ? long : Math.min(long, EARLY);
  const edge = (name: DrawnMark['mark']): number | undefined => marks.find(({ mark }) => mark === name)?.at;
  const ends = [
    from,
    edge('lowest'),
    edge('ends'),
    edge('main'),
    edge('second') ?? (edge('main') ?? 0) * 2.2,
    until,
  ];
  const periods = ['', 'I', 'II', 'III', 'IV', 'V'].flatMap((name, place) => {
    const [a, b] = [ends[place - 1], ends[place]];
    return place > 0 && one && a !== undefined && b !== undefined && b > a ? [{ name, a, b }] : [];
  });
  return (
    <Box sx={{ height, touchAction: put ? 'pan-y' : undefined }}>
      <Line
        role="img"
        aria-label={`${shown === 'heat' ? 'Heat' : 'Power'} to a gram over hours: ${cells
          .map(({ name, what, marks: own }) => {
            const main = own.find(({ mark }) => mark === 'main');
            return `${name} ${what}${main ? `, maximum at ${main.at.toFixed(1)} h` : ''}`;
          })
          .join('; ')}`}
        plugins={[pull]}
        data={{
          datasets: [
            ...cells.map(({ name, what, points, marks: own }, place) =>
              curve(
                `${name} ${what}`.trim(),
                shownOf(points, own, shown, from),
                inks[place % inks.length] ?? palette.primary.main,
                DASHES[Math.floor(place / inks.length) % DASHES.length],
              ),
            ),
            dots(
              'marks',
              marks.map(({ at, power }) => ({ x: at, y: power })),
              palette.text.primary,
              marks.map(({ why }) => (why ? 'rectRot' : 'circle')),
              5,
            ),
          ],
        }}
        options={{
          ...base,
          events: ['mousemove', 'mouseout', 'click', 'pointerdown', 'pointerup'],
          parsing: false,
          scales: {
            x: {
              ...base.scales.x,
              type: log ? 'logarithmic' : 'linear',
              min: log ? 0.5 : 0,
              max: until,
              title: { display: true, text: 'h since the water' },
            },
            y: { ...base.scales.y, min: 0, title: { display: true, text: UNIT_OF[shown] } },
          },
          plugins: {
            ...base.plugins,
            legend: {
              ...base.plugins.legend,
              labels: { ...base.plugins.legend.labels, filter: ({ text }) => text !== 'marks' },
            },
            annotation: {
              annotations: Object.fromEntries(
                periods.map(({ name, a, b }, place) => [
                  name,
                  {
                    type: 'box' as const,
                    ...{ xMin: a, xMax: b, borderWidth: 0, drawTime: 'beforeDatasetsDraw' as const },
                    backgroundColor: place % 2 === 0 ? palette.action.hover : 'transparent',
                    label: {
                      ...{ display: true, content: name, position: { x: 'center', y: 'start' } as const },
                      color: palette.text.secondary,
                      font: { size: 11 },
                    },
                  },
                ]),
              ),
            },
          },
        }}
      />
    </Box>
  );
}
