'use client';
import { useTheme } from '@mui/material';
import type { PointStyle } from 'chart.js';
import { useMemo } from 'react';
import { MONO, TEXT } from '../theme';

/** What all charts share: the type, quiet grid lines, a legend of the shapes used, no animation of values. */
export function useChartSetup() {
  const { palette } = useTheme();
  return useMemo(() => {
    const font = { family: TEXT, size: 12 };
    const scale = {
      grid: { color: palette.divider, drawTicks: false },
      border: { color: palette.divider },
      ticks: { color: palette.text.secondary, font: { family: MONO, size: 11 }, maxRotation: 60, padding: 6 },
    };
    return {
      responsive: true,
      maintainAspectRatio: false,
      animation: false as const,
      spanGaps: false,
      interaction: { mode: 'nearest' as const, intersect: false },
      scales: { x: scale, y: scale },
      plugins: {
        legend: {
          position: 'bottom' as const,
          labels: { usePointStyle: true, color: palette.text.primary, font, boxHeight: 7 },
        },
      },
    };
  }, [palette]);
}

/** One curve of a chart as a plain line; dashed ones are thinner. */
export function curve(label: string, data: { x: number; y: number }[], colour: string, dash: number[] = []) {
  return {
    label,
    data,
    borderColor: colour,
    backgroundColor: colour,
    borderWidth: dash.length > 0 ? 1.5 : 2.25,
    borderDash: dash,
    borderJoinStyle: 'round' as const,
    pointRadius: 0,
    pointStyle: 'line' as const,
  };
}

/** What was measured, as marks that no line joins. @param style one for all, or of each */
export function dots(
  label: string,
  data: { x: number; y: number }[],
  colour: string,
  style: PointStyle | PointStyle[],
  radius: number,
) {
  return {
    label,
    data,
    showLine: false,
    pointRadius: radius,
    pointStyle: style,
    borderColor: colour,
    backgroundColor: colour,
    borderWidth: 2,
  };
}

/** A limit as a line across the chart, named on the line itself. */
export function limitLine(value: number, name: string, color: string, ground: string) {
  return {
    type: 'line' as const,
    yMin: value,
    yMax: value,
    borderColor: color,
    borderWidth: 1.5,
    borderDash: [6, 4],
    label: {
      display: true,
      content: name,
      position: 'start' as const,
      backgroundColor: ground,
      color,
      font: { size: 12 },
      padding: { x: 4, y: 1 },
    },
  };
}
